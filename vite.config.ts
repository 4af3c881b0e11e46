import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin, type Rolldown } from 'vite'

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
      writeFileSync(file, Buffer.from(found[2]!, 'base64'))
      const begun = `fetch(wasmAddress).then(answer=>{if(!answer.ok)throw new Error("the font unpacker did not load");return answer.arrayBuffer()}).then(wasmBinary=>new Promise($1=>{$2({wasmBinary,onRuntimeInitialized(){$1(this)}})}))`
      const changed = code.replace(data, '$1').replace(start, begun)
      return { code: `import wasmAddress from ${JSON.stringify(`${file}?url`)};${changed}`, map: null }
    },
  }
}

/** Names the part of the app that a module is in, if it is one that the board cannot be shown without. */
function boardPart(): Rolldown.CodeSplittingNameFunction {
  const needed = new Set<string>()
  return (id, modules) => {
    const walk = (module: string) => {
      if (needed.has(module)) return
      needed.add(module)
      for (const next of modules.getModuleInfo(module)?.importedIds ?? []) walk(next)
    }
    if (needed.size === 0) walk(join(import.meta.dirname, 'src/web/editor/editor.tsx'))
    return needed.has(id) ? 'board' : null
  }
}

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    outDir: 'dist/web',
    emptyOutDir: true,
    target: 'es2023',
    chunkSizeWarningLimit: 2000,
    assetsInlineLimit: 0,
    rolldownOptions: {
      // What is always fetched together is one file: in many each costs more to ask for than it weighs, and packs worse.
      output: {
        codeSplitting: {
          groups: [{ name: 'app', tags: ['$initial'] }, { name: boardPart() }],
        },
      },
    },
  },
  worker: { format: 'es', plugins: () => [wasmAsFile()] },
})
