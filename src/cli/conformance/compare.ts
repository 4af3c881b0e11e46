/** Core boxes and lines against Chromium's for one document. */

import type { Blobs } from '../../core/blobs/blobs'
import { checkProject } from '../../core/document/check'
import { Document, type Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import type { ProjectFile } from '../../core/document/schema'
import { Instances } from '../../core/expand/instances'
import { pageFileName } from '../../core/handoff/names'
import { PageLayout } from '../../core/layout/page'
import { difference, type Rect } from '../../core/layout/rect'
import { isText } from '../../core/properties/kinds'
import { standIns } from '../../core/samples/stand-in'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import { UNIT } from '../../core/text/unit'
import { loadFonts } from '../../server/fonts'
import type { Files, SiteViewer } from '../browser'
import { handOff } from '../hand-off'

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
  /** Boxes that are the same to the browser's layout unit. */
  exact: number
}

/** What has no width, and is not among the characters that the browser says to have painted. */
const withoutUnseen = (line: string) => line.replace(/[\u00ad\u200b]/g, '')

/** Lines without what shows differently: case, hyphens at a line's end, spaces, characters of no width. */
const letters = (lines: string[]) =>
  lines
    .filter((line) => line !== '\u200b')
    .map((line) =>
      withoutUnseen(line)
        .trim()
        .replace(/[\u2010-]$/, ''),
    )
    .join('\n')
    .toLowerCase()
    // In some languages capitals have, or lose, marks.
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replaceAll('ı', 'i')
    .replaceAll('ς', 'σ')

/** Where lines are cut off, those that are seen; of the last as much as there is before the ellipsis, which is in no text. */
function asSeen(layout: PageLayout, id: string, lines: string[]): { core: string[]; browser: string[] } {
  const core = layout.lineTexts(id)
  const ellipsis = layout.placed(id).at(-1)?.lines.at(-1)?.ellipsis
  if (!ellipsis) return { core, browser: lines }
  const last = core.length - 1
  // An icon before it leaves a space in the one and not in the other.
  core[last] = withoutUnseen(core[last]!.slice(0, -ellipsis.text.length)).trimStart()
  const browser = lines.slice(0, core.length).map(withoutUnseen)
  browser[last] = browser[last]?.slice(0, core[last].length) ?? ''
  return { core, browser }
}

/**
 * `blobs`: its own fonts and pictures; drawings that are not there are stood in for. `files`: what is handed off of it, marked, where
 * somebody has that already.
 */
export type Compared = { file: ProjectFile; blobs: Blobs; files?: Files }

export async function compareDocument(
  viewer: SiteViewer,
  { file, blobs, files: given }: Compared,
  widths: number[],
  pageIndex = 0,
): Promise<Comparison> {
  const doc = Document.fromFile(checkProject(structuredClone(file)))
  const fonts = await loadFonts(doc, blobs)
  const page = doc.pagesInOrder()[pageIndex]!
  const files = given ?? (await handOff(doc, new Map([...standIns(doc), ...blobs]), { mark: true }))
  const result: Comparison = { boxes: 0, boxesOff: [], paragraphs: 0, linesOff: [], largest: 0, exact: 0 }
  const paragraphs = new ParagraphCache(fonts)
  let first = true
  for (const width of widths) {
    const view = doc.viewAt(width)
    if (first) await viewer.show(files, pageFileName(page.path), width, view.fold)
    else await viewer.resize(width, view.fold)
    first = false
    const panels = panelsOn(doc, page.id, view.id)
    for (const open of [undefined, ...panels]) {
      await viewer.openPanel(open)
      const layout = new PageLayout(doc, page.id, view.id, width, paragraphs, undefined, undefined, open)
      await compareShown(viewer, layout, result)
    }
    await viewer.openPanel(undefined)
  }
  return result
}

/** What is behind a button in a view, and can be opened. */
function panelsOn(doc: Document, page: string, view: string): string[] {
  const closed = new Instances(doc, page)
  const found: string[] = []
  const visit = (node: Node) => {
    const { hidden, folded } = cascaded(doc, node, view)
    if (hidden) return
    // One in another opens when that one is open.
    if (folded) found.push(node.id)
    else for (const id of node.children) visit(closed.node(id))
  }
  visit(closed.node(page))
  return found.slice(0, MOST_PANELS)
}

/** Of one page at one width. */
const MOST_PANELS = 3

async function compareShown(viewer: SiteViewer, layout: PageLayout, result: Comparison) {
  const { width } = layout.used
  const shown = [...layout.visible()]
  const visible = new Set(shown.map(({ id }) => id))
  // A template's, too.
  const texts = shown.filter(({ node }) => isText(node.kind)).map(({ id }) => id)
  const measured = await viewer.measure(texts)
  for (const id of new Set([...visible, ...Object.keys(measured.boxes)])) {
    const core = visible.has(id) ? layout.seen(id) : undefined
    const browser = measured.boxes[id]
    result.boxes++
    const by = core && browser ? difference(core, browser) : Number.POSITIVE_INFINITY
    if (Number.isFinite(by)) result.largest = Math.max(result.largest, by)
    if (by < UNIT / 2) result.exact++
    if (by > TOLERANCE) result.boxesOff.push({ node: id, width, core, browser, by })
  }
  for (const id of texts) {
    if (!measured.boxes[id]) continue
    result.paragraphs++
    const { core, browser } = asSeen(layout, id, measured.lines[id] ?? [])
    if (letters(core) !== letters(browser)) result.linesOff.push({ node: id, width, core, browser })
  }
}
