/** Fonts in the browser: the same files for shaping (core) and for drawing (CSS). */
import type { Document } from '../../core/document/document'
import { FontLibrary, fontFile } from '../../core/text/fonts'
import { fontsOf } from '../../core/text/needed'
import { ParagraphCache } from '../../core/text/paragraph'

export const library = new FontLibrary()
export const paragraphs = new ParagraphCache(library)
const loading = new Map<string, Promise<void>>()

/** Loads a file for both uses; a second call waits for the first. */
function load(id: string): Promise<void> {
  let job = loading.get(id)
  if (!job) {
    job = (async () => {
      const file = fontFile(id)!
      const face = new FontFace(file.family, `url("/fonts/${id}.woff2") format("woff2")`, {
        style: file.italic ? 'italic' : 'normal',
        weight: `${file.weights[0]} ${file.weights[1]}`,
        unicodeRange: file.ranges,
      })
      const [bytes] = await Promise.all([
        fetch(`/fonts/${id}.ttf`).then((response) => response.arrayBuffer()),
        face.load(),
      ])
      document.fonts.add(face)
      library.add(id, new Uint8Array(bytes))
    })()
    // A failed load may be tried again; until then the layout uses what it has.
    job.catch(() => loading.delete(id))
    loading.set(id, job)
  }
  return job
}

/** Makes sure every font of the document is there. @returns whether any had to be loaded */
export async function ensureFonts(doc: Document): Promise<boolean> {
  const missing = [...fontsOf(doc)].filter((id) => !library.has(id))
  if (missing.length === 0) return false
  await Promise.allSettled(missing.map(load))
  return true
}
