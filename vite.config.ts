import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'

/** Generated files that are no part of the project. */
const MADE = join(import.meta.dirname, 'node_modules/.cache/just-lattice')

/**
 * The font unpacker holds its WebAssembly as base64 text, which hardly compresses: it is
 * taken out and fetched. @throws when the package no longer looks so, rather than building what would not run
 */
function wasmAsFile(): Plugin {
  return {
    name: 'wasm-as-file',
    enforce: 'pre',
    transform(code, id) {
      if (!id.includes('woff2-encoder/dist/decompress')) return undefined
      const data = /(data:application\/octet-stream;base64,)([A-Za-z0-9+/=]{1000,})/
      const start = /new Promise\((\w+)=>\{(\w+)\(\{onRuntimeInitialized\(\)\{\1\(this\)\}\}\)\}\)/
      const found = data.exec(code)
      if (!found || !start.test(code)) throw new Error('woff2-encoder is not as vite.config.ts expects it')
      mkdirSync(MADE, { recursive: true })
      const file = join(MADE, 'woff2-decompress.wasm')
      writeFileSync(file, Buffer.from(found[2], 'base64'))
      const begun = `fetch(wasmAddress).then(answer=>{if(!answer.ok)throw new Error("the font unpacker did not load");return answer.arrayBuffer()}).then(wasmBinary=>new Promise($1=>{$2({wasmBinary,onRuntimeInitialized(){$1(this)}})}))`
      const changed = code.replace(data, '$1').replace(start, begun)
      return { code: `import wasmAddress from ${JSON.stringify(`${file}?url`)};${changed}`, map: null }
    },
  }
}

const SHARED =
  /src\/web\/(api|editor\/theme|parts\/(find-field|rename|popover|floating|when-idle|mark|theme-button))\.tsx?$/

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist/web',
    emptyOutDir: true,
    target: 'es2023',
    chunkSizeWarningLimit: 2000,
    assetsInlineLimit: 0,
    rolldownOptions: {
      // What both screens share is little: in files of their own each would cost more to ask for than it weighs.
      output: { codeSplitting: { groups: [{ name: 'shared', test: SHARED }] } },
    },
  },
  worker: { format: 'es', plugins: () => [wasmAsFile()] },
})
