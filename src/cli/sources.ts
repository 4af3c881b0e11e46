/** When the sources that the web build is made of last changed. */
import { readdir, stat } from 'node:fs/promises'
import { join } from 'node:path'

async function newest(folder: string): Promise<number> {
  let latest = 0
  for (const entry of await readdir(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    latest = Math.max(latest, entry.isDirectory() ? await newest(path) : (await stat(path)).mtimeMs)
  }
  return latest
}

export async function newestSource(root: string): Promise<number> {
  const folders = await Promise.all(
    ['src/core', 'src/web', 'src/workers'].map((each) => newest(join(root, each)).catch(() => 0)),
  )
  const files = await Promise.all(
    ['package-lock.json', 'vite.config.ts', 'index.html'].map(
      async (each) => (await stat(join(root, each))).mtimeMs,
    ),
  )
  return Math.max(...folders, ...files)
}
