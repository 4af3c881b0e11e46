/** Fonts in the browser: the same files for shaping (core) and for drawing (CSS). */
import type { Document } from '../../core/document/document'
import { declaredOrder, type FontFile, FontLibrary, familyNamed, fontFile } from '../../core/text/fonts'
import { fontsOf } from '../../core/text/needed'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import type { FontMessage } from '../../workers/font.worker'
import type { FontBytes } from '../../workers/font-bytes'

export const library = new FontLibrary()
export const paragraphs = new ParagraphCache(library)
const loading = new Map<string, Promise<void>>()
const faces = new Map<FontFile, FontFace>()

const asked = new Map<string, { resolve: (bytes: FontBytes) => void; reject: (error: Error) => void }>()
let worker: Worker | undefined

function startWorker(): Worker {
  const made = new Worker(new URL('../../workers/font.worker.ts', import.meta.url), { type: 'module' })
  made.addEventListener('message', ({ data }: MessageEvent<FontMessage>) => {
    const { id, woff2, openType, problem } = data
    if (woff2 && openType) asked.get(id)?.resolve({ woff2, openType })
    else asked.get(id)?.reject(new Error(problem))
    asked.delete(id)
  })
  made.addEventListener('error', (event) => {
    for (const { reject } of asked.values()) reject(new Error(event.message))
    asked.clear()
    worker = undefined
  })
  return made
}

function unpacked(id: string): Promise<FontBytes> {
  worker ??= startWorker()
  return new Promise((resolve, reject) => {
    asked.set(id, { resolve, reject })
    worker?.postMessage(id)
  })
}

/** Loads a file for both uses; a second call waits for the first. */
function load(id: string): Promise<void> {
  let job = loading.get(id)
  if (!job) {
    job = (async () => {
      const file = fontFile(id)!
      const { woff2, openType } = await unpacked(id)
      const face = new FontFace(file.family, woff2, {
        style: file.italic ? 'italic' : 'normal',
        weight: `${file.weights[0]} ${file.weights[1]}`,
        unicodeRange: file.ranges,
      })
      await face.load()
      faces.set(file, face)
      library.add(id, new Uint8Array(openType))
    })()
    // A failed load may be tried again; until then the layout uses what it has.
    job.catch(() => loading.delete(id))
    loading.set(id, job)
  }
  return job
}

/** Up to where documents have been looked through. */
const seen = new WeakMap<Document, { tick: number; views: unknown }>()

/** Makes sure every font of the document is there. @returns whether any had to be loaded */
export async function ensureFonts(doc: Document): Promise<boolean> {
  const before = seen.get(doc)
  // Other views bring other overrides to bear on every text.
  const since = before && before.views === doc.views ? before.tick : undefined
  seen.set(doc, { tick: doc.tick, views: doc.views })
  const missing = [...fontsOf(doc, since)].filter((id) => !library.has(id))
  if (missing.length === 0) return false
  const loads = await Promise.allSettled(missing.map(load))
  // What failed is looked for again with the next change.
  if (loads.some((each) => each.status === 'rejected')) seen.delete(doc)
  declare()
  return true
}

/** In the order in which a style sheet would have them. */
function declare() {
  for (const file of declaredOrder([...faces.keys()])) {
    const face = faces.get(file)!
    document.fonts.delete(face)
    document.fonts.add(face)
  }
}

/** Loads what a family's name is written in; one that cannot be had is shown in another. */
export async function showFamily(name: string) {
  const file = familyNamed(name)?.upright[0]
  if (!file || faces.has(file)) return
  await load(file.id).then(declare, () => undefined)
}
