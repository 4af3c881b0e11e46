/** Core boxes and lines against Chromium's for one document. */
import { Document } from '../../core/document/document'
import { isText } from '../../core/document/kinds'
import { checkProject } from '../../core/document/open'
import type { ProjectFile } from '../../core/document/schema'
import { pageFileName } from '../../core/handoff/names'
import { buildSite } from '../../core/handoff/site'
import { PageLayout, type Rect } from '../../core/layout/page'
import { ParagraphCache } from '../../core/text/paragraph'
import { loadFonts } from '../../server/fonts'
import type { SiteViewer } from '../browser'

export const TOLERANCE = 0.5

export type BoxDifference = {
  node: string
  width: number
  core: Rect | undefined
  browser: Rect | undefined
  by: number
}
export type Comparison = {
  boxes: number
  boxesOff: BoxDifference[]
  paragraphs: number
  linesOff: { node: string; width: number; core: string[]; browser: string[] }[]
  largest: number
}

export async function compareDocument(
  viewer: SiteViewer,
  file: ProjectFile,
  widths: number[],
  pageIndex = 0,
): Promise<Comparison> {
  const doc = Document.fromFile(checkProject(structuredClone(file)))
  const fonts = await loadFonts(doc)
  const page = doc.pagesInOrder()[pageIndex]
  const files = buildSite(doc, { mark: true })
  const result: Comparison = { boxes: 0, boxesOff: [], paragraphs: 0, linesOff: [], largest: 0 }
  const texts = [...doc.walk(page.id)].filter((node) => isText(node.kind)).map((node) => node.id)
  const paragraphs = new ParagraphCache(fonts)
  let first = true
  for (const width of widths) {
    const view = doc.viewAt(width)
    if (first) await viewer.show(files, pageFileName(page.path), width, view.fold)
    else await viewer.resize(width, view.fold)
    first = false
    const measured = await viewer.measure(texts)
    const layout = new PageLayout(doc, page.id, view.id, width, paragraphs)
    const visible = new Set([...layout.visible()].map((box) => box.id))
    for (const id of new Set([...visible, ...Object.keys(measured.boxes)])) {
      const core = visible.has(id) ? layout.rect(id) : undefined
      const browser = measured.boxes[id]
      result.boxes++
      const by =
        core && browser
          ? Math.max(
              Math.abs(core.x - browser.x),
              Math.abs(core.y - browser.y),
              Math.abs(core.width - browser.width),
              Math.abs(core.height - browser.height),
            )
          : Number.POSITIVE_INFINITY
      if (Number.isFinite(by)) result.largest = Math.max(result.largest, by)
      if (by > TOLERANCE) result.boxesOff.push({ node: id, width, core, browser, by })
    }
    for (const id of texts) {
      if (!visible.has(id) || !measured.boxes[id]) continue
      result.paragraphs++
      const core = layout.lineTexts(id).map((line) => line.trim())
      const browser = measured.lines[id] ?? []
      const upper = (lines: string[]) => lines.join('\n').toLowerCase()
      if (upper(core) !== upper(browser)) result.linesOff.push({ node: id, width, core, browser })
    }
  }
  return result
}
