/** Compressing what the app server sends, once, when it is built. */
import { readdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'

/** Files below this are sent as they are, bytes: the packet is the same. */
const SMALLEST = 1000
const KINDS = /\.(js|css|wasm|svg|json|html)$/

const brotli = promisify(brotliCompress)
const zip = promisify(gzip)

/** Puts `.br` and `.gz` beside every file of a folder that grows smaller by it. */
export async function compressAssets(folder: string) {
  for (const name of await readdir(folder)) {
    if (!KINDS.test(name)) continue
    const bytes = await readFile(join(folder, name))
    if (bytes.length < SMALLEST) continue
    const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length }
    const made = [
      ['br', await brotli(bytes, { params })],
      ['gz', await zip(bytes, { level: 9 })],
    ] as const
    for (const [ending, smaller] of made)
      if (smaller.length < bytes.length * 0.95) await writeFile(join(folder, `${name}.${ending}`), smaller)
  }
}
