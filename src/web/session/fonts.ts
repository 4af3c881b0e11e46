/** Fonts in the browser: the same files for shaping (core) and for drawing (CSS). */
import type { Document } from '../../core/document/document'
import {
  declaredOrder,
  type FontFile,
  familyNamed,
  filesNeeded,
  fontFile,
  learnFamilies,
} from '../../core/text/families'
import { FontLibrary } from '../../core/text/fonts'
import { learnTexts } from '../../core/text/learn'
import { fontsOf } from '../../core/text/needed'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import { fontAddress } from '../../workers/font-address'
import { fetchFont } from './font-worker'

export const library = new FontLibrary()
export const paragraphs = new ParagraphCache(library)
const loading = new Map<string, Promise<void>>()
const faces = new Map<FontFile, FontFace>()

/** Loads a file for both uses; a second call waits for the first. */
function load(id: string): Promise<void> {
  let job = loading.get(id)
  if (!job) {
    job = (async () => {
      const file = fontFile(id)!
      const { woff2, openType } = await fetchFont(fontAddress(file))
      const face = new FontFace(file.family, woff2, {
        style: file.italic ? 'italic' : 'normal',
        weight: `${file.weights[0]} ${file.weights[1]}`,
        ...(file.ranges ? { unicodeRange: file.ranges } : {}),
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

/** The document that is open: families of others may go by the same names. */
let shown: Document | undefined

/** Makes sure every font of the document, and its languages' hyphens, are there. @returns whether any had to be loaded, or is another than before */
export async function ensureFonts(doc: Document): Promise<boolean> {
  const areOthers = learnFamilies(doc.fonts)
  const before = seen.get(doc)
  // Other views bring other overrides to bear on every text.
  const since = before && before.views === doc.views ? before.tick : undefined
  seen.set(doc, { tick: doc.tick, views: doc.views })
  const learnt = await learnTexts(doc, since).catch(() => undefined)
  const missing = [...fontsOf(doc, learnt?.files ? undefined : since)].filter((id) => !library.has(id))
  const isOther = shown !== doc
  shown = doc
  const loads = await Promise.allSettled(missing.map(load))
  // What failed is looked for again with the next change.
  if (!learnt || loads.some((each) => each.status === 'rejected')) seen.delete(doc)
  if (missing.length > 0 || areOthers || isOther) declare()
  return missing.length > 0 || areOthers || learnt?.rules === true
}

/** In the order in which a style sheet would have them: those that ship, and the open document's own. */
function declare() {
  const own = new Set(shown?.fonts.flatMap(({ files }) => files.map(({ hash }) => hash)))
  for (const file of declaredOrder([...faces.keys()])) {
    const face = faces.get(file)!
    document.fonts.delete(face)
    if (file.hash === undefined || own.has(file.hash)) document.fonts.add(face)
  }
}

/** Loads what a family's name is written in; one that cannot be had is shown in another. */
export async function showFamily(name: string) {
  const family = familyNamed(name)
  if (!family) return
  const needed = new Set<string>()
  filesNeeded({ family: name, italic: false, weight: 400 }, family.family, needed)
  const missing = [...needed].filter((id) => !faces.has(fontFile(id)!))
  if (missing.length > 0) await Promise.allSettled(missing.map(load)).then(declare)
}
