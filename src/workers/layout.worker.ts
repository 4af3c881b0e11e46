/** Layout off the main thread: the same core, with fonts of its own. */
import { type Breakage, breakagesAtSteps } from '../core/adapt/over-widths'
import { Document } from '../core/document/document'
import type { ProjectFile, View } from '../core/document/schema'
import { newMisfits } from '../core/lattice/fit'
import type { WidthRange } from '../core/lattice/shown-width'
import { PageLayout } from '../core/layout/page'
import type { Rect } from '../core/layout/rect'
import { fontFile } from '../core/text/families'
import { FontLibrary } from '../core/text/fonts'
import { learnTexts } from '../core/text/learn'
import { fontsOf } from '../core/text/needed'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { fontAddress } from './font-address'
import { fontBytes } from './font-bytes'

export type LayoutRequest =
  | { ask: 'misfits'; file: ProjectFile; views: View[] }
  | { ask: 'breakages'; file: ProjectFile; page: string; view: string; range: WidthRange; own: number }
  | { ask: 'layout'; file: ProjectFile; page: string; view: string; width: number }
export type LayoutResult = { boxes: Record<string, Rect>; lines: Record<string, string[]> }

const fonts = new FontLibrary()
const paragraphs = new ParagraphCache(fonts)

async function loadFonts(file: ProjectFile) {
  const doc = Document.fromFile(structuredClone(file))
  await learnTexts(doc)
  const missing = [...fontsOf(doc)].filter((id) => !fonts.has(id))
  await Promise.all(
    missing.map(async (id) => {
      fonts.add(id, new Uint8Array((await fontBytes(fontAddress(fontFile(id)!))).openType))
    }),
  )
}

function layOut(file: ProjectFile, page: string, view: string, width: number): LayoutResult {
  const layout = new PageLayout(Document.fromFile(file), page, view, width, paragraphs)
  const result: LayoutResult = { boxes: {}, lines: {} }
  for (const box of layout.visible()) {
    result.boxes[box.id] = layout.rect(box.id)!
    if (box.typeset) result.lines[box.id] = layout.lineTexts(box.id)
  }
  return result
}

/** How long is worked in a row until others are heard, ms. */
const TURN = 40
/** Questions that somebody waits for. */
const open = new Set<number>()

async function breakages(
  id: number,
  { file, page, view, range, own }: Extract<LayoutRequest, { ask: 'breakages' }>,
): Promise<Breakage[]> {
  const search = breakagesAtSteps(
    new PageLayout(Document.fromFile(file), page, view, own, paragraphs),
    range,
    own,
  )
  for (let begun = performance.now(); ; ) {
    const { done, value } = search.next()
    if (done) return value
    if (performance.now() - begun < TURN) continue
    await new Promise((resolve) => setTimeout(resolve))
    if (!open.has(id)) throw new Error('taken back')
    begun = performance.now()
  }
}

function answerTo(id: number, request: LayoutRequest) {
  switch (request.ask) {
    case 'misfits':
      return newMisfits(request.file, request.views, paragraphs)
    case 'breakages':
      return breakages(id, request)
    case 'layout':
      return layOut(request.file, request.page, request.view, request.width)
  }
}

addEventListener(
  'message',
  async (event: MessageEvent<{ id: number; request: LayoutRequest | 'taken back' }>) => {
    const { id, request } = event.data
    if (request === 'taken back') return void open.delete(id)
    open.add(id)
    try {
      await loadFonts(request.file)
      postMessage({ id, answer: await answerTo(id, request) })
    } catch (error) {
      postMessage({ id, problem: error instanceof Error ? error.message : String(error) })
    } finally {
      open.delete(id)
    }
  },
)

// The shaper's module loads with a wait; what is posted before this would be lost.
postMessage({ ready: true })
