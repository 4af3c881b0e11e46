/** Layout off the main thread: the same core, with fonts of its own. */
import { breakagesOver } from '../core/adapt/breakages'
import { Document } from '../core/document/document'
import type { ProjectFile, View } from '../core/document/schema'
import { newMisfits } from '../core/lattice/fit'
import type { WidthRange } from '../core/lattice/shown-width'
import { PageLayout } from '../core/layout/page'
import type { Rect } from '../core/layout/rect'
import { FontLibrary } from '../core/text/fonts'
import { fontsOf } from '../core/text/needed'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { fontBytes } from './font-bytes'

export type LayoutRequest =
  | { ask: 'misfits'; file: ProjectFile; views: View[] }
  | { ask: 'breakages'; file: ProjectFile; page: string; view: string; range: WidthRange }
  | { ask: 'layout'; file: ProjectFile; page: string; view: string; width: number }
export type LayoutResult = { boxes: Record<string, Rect>; lines: Record<string, string[]> }

const fonts = new FontLibrary()
const paragraphs = new ParagraphCache(fonts)

async function loadFonts(file: ProjectFile) {
  const missing = [...fontsOf(Document.fromFile(structuredClone(file)))].filter((id) => !fonts.has(id))
  await Promise.all(
    missing.map(async (id) => {
      fonts.add(id, new Uint8Array((await fontBytes(id)).openType))
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

function answerTo(request: LayoutRequest) {
  switch (request.ask) {
    case 'misfits':
      return newMisfits(request.file, request.views, paragraphs)
    case 'breakages': {
      const { file, page, view, range } = request
      const doc = Document.fromFile(file)
      return breakagesOver(new PageLayout(doc, page, view, range.most, paragraphs), range)
    }
    case 'layout':
      return layOut(request.file, request.page, request.view, request.width)
  }
}

addEventListener('message', async (event: MessageEvent<{ id: number; request: LayoutRequest }>) => {
  const { id, request } = event.data
  try {
    await loadFonts(request.file)
    postMessage({ id, answer: answerTo(request) })
  } catch (error) {
    postMessage({ id, problem: error instanceof Error ? error.message : String(error) })
  }
})

// The shaper's module loads with a wait; what is posted before this would be lost.
postMessage({ ready: true })
