/** Layout off the main thread: the same core, with fonts of its own. */
import { Document } from '../core/document/document'
import type { ProjectFile, View } from '../core/document/schema'
import { newMisfits } from '../core/lattice/fit'
import { PageLayout } from '../core/layout/page'
import type { Rect } from '../core/layout/rect'
import { FontLibrary } from '../core/text/fonts'
import { fontsOf } from '../core/text/needed'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { fontBytes } from './font-bytes'

export type LayoutRequest =
  | { ask: 'misfits'; file: ProjectFile; views: View[] }
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

addEventListener('message', async (event: MessageEvent<{ id: number; request: LayoutRequest }>) => {
  const { id, request } = event.data
  try {
    await loadFonts(request.file)
    const answer =
      request.ask === 'misfits'
        ? newMisfits(request.file, request.views, paragraphs)
        : layOut(request.file, request.page, request.view, request.width)
    postMessage({ id, answer })
  } catch (error) {
    postMessage({ id, problem: error instanceof Error ? error.message : String(error) })
  }
})

// The shaper's module loads with a wait; what is posted before this would be lost.
postMessage({ ready: true })
