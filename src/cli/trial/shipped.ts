/** The site as the app itself hands it off, and the board held against it. */
import { strFromU8, unzipSync } from 'fflate'
import { HtmlValidate } from 'html-validate'
import type { Blobs } from '../../core/blobs/blobs'
import type { Document } from '../../core/document/document'
import { openProject } from '../../core/document/open'
import { pageFileName } from '../../core/handoff/names'
import type { PageLayout } from '../../core/layout/page'
import { layoutPage } from '../../server/pictures'
import type { BoardViewer } from '../board-viewer'
import type { SiteViewer } from '../browser'
import { pictureOf } from '../capture'
import { compareDocument } from '../conformance/compare'
import { STRICT } from '../html-rules'
import { compare, pixelsOf } from '../parity/compare'
import { sizeOf } from '../print'
import type { Draw } from '../random'
import { Fault } from './fault'
import type { Tab } from './tab'

/** Share of a sheet's pixels, and levels in flat areas, by which a board may differ from the page. */
const BAR = { share: 0.003, flat: 8 }

export type Shipped = { doc: Document; blobs: Blobs; files: ReadonlyMap<string, Uint8Array> }

/** @throws Fault when the app does not hand it off */
export async function handedOff({ address, project }: Tab): Promise<Shipped> {
  const answer = await fetch(`${address}api/projects/${project}/handoff.zip`)
  if (!answer.ok)
    throw new Fault('handoff', `the handoff is answered with ${answer.status}: ${await answer.text()}`)
  const files = new Map(Object.entries(unzipSync(new Uint8Array(await answer.arrayBuffer()))))
  const { document: doc, blobs } = openProject(files.get('project.lattice')!)
  return { doc, blobs, files }
}

const html = new HtmlValidate(STRICT)

/** @throws Fault at the first thing in which a page is no valid, accessible HTML */
export async function checkValid({ files }: Shipped) {
  for (const [path, bytes] of files) {
    if (!path.endsWith('.html')) continue
    const source = strFromU8(bytes)
    const { results } = await html.validateString(source, path)
    for (const { ruleId, message, line } of results.flatMap(({ messages }) => messages))
      throw new Fault('valid', `${path}: ${ruleId}: ${message}\n${source.split('\n')[line - 1]!.trim()}`)
  }
}

/** Views’ own widths, and two between. */
function widthsOf(doc: Document, draw: Draw): number[] {
  const own = doc.views.map(({ width }) => width)
  return [...own, draw.whole(320, 900), draw.whole(901, 1920)]
}

/** Every box and line at the views' widths and two between. @throws Fault at the first that differs */
export async function checkBoxes(viewer: SiteViewer, { doc, blobs }: Shipped, page: string, draw: Draw) {
  const index = doc.pagesInOrder().findIndex(({ id }) => id === page)
  if (index < 0) return
  const { boxesOff, linesOff } = await compareDocument(
    viewer,
    { file: doc.toFile(), blobs },
    widthsOf(doc, draw),
    index,
  )
  const [box] = boxesOff
  if (box)
    throw new Fault(
      'boxes',
      `${boxesOff.length} boxes differ; ${nameOf(doc, box.node)} at ${box.width}: core ${JSON.stringify(box.core)}, browser ${JSON.stringify(box.browser)}`,
    )
  const [line] = linesOff
  if (line)
    throw new Fault(
      'lines',
      `${nameOf(doc, line.node)} at ${line.width}: core ${JSON.stringify(line.core)}, browser ${JSON.stringify(line.browser)}`,
    )
}

const nameOf = (doc: Document, id: string) => `“${doc.nodes.get(id)?.name ?? id}” (${id})`

/** Each sheet of a page in each theme, as the board draws it, against the page. @throws Fault at the first that differs */
export async function checkPixels(
  viewer: SiteViewer,
  board: BoardViewer,
  { doc, blobs, files }: Shipped,
  { project }: Tab,
  page: string,
) {
  const themes = doc.themes.length > 1 ? doc.themes.map(({ id }) => id) : [undefined]
  for (const view of doc.views)
    for (const theme of themes) {
      const layout = await layoutPage({ doc, blobs }, page, view.width, theme)
      if (layout.height < 1) continue
      await viewer.show(files, pageFileName(doc.pages.get(page)!.path), view.width, view.fold)
      if (theme !== undefined)
        await viewer.page.evaluate((id) => document.documentElement.setAttribute('data-theme', id), theme)
      const shipped = await pixelsOf(await pictureOf(viewer.page, sizeOf(layout), 1))
      await board.show({ project, view: view.id, page, theme }, doc, layout)
      const drawn = await pixelsOf(await board.picture(view.id, layout))
      const { share, flat } = compare(shipped, drawn)
      const where = `${doc.pages.get(page)!.name} at ${view.name}${theme ? ` in ${theme}` : ''}`
      if (share > BAR.share)
        throw new Fault('pixels', `${(share * 100).toFixed(2)} % of the pixels differ: ${where}`)
      if (flat > BAR.flat) throw new Fault('flat', `flat areas differ by ${flat} levels: ${where}`)
    }
}

/** What a tab has drawn bit by bit, against what one draws that has just come. @throws Fault at the first section that differs */
export async function checkDrawn(board: BoardViewer, doc: Document, tab: Tab, page: string) {
  const [view] = doc.views
  const layout: PageLayout = await layoutPage({ doc, blobs: new Map() }, page, view!.width)
  const live = await drawnSections(tab.page, view!.id)
  await board.show({ project: tab.project, view: view!.id, page }, doc, layout)
  const fresh = await drawnSections(board.page, view!.id)
  for (const [id, source] of live)
    if (fresh.get(id) !== source)
      throw new Fault(
        'drawn',
        `${nameOf(doc, id)}\nin the tab ${firstDifference(source, fresh.get(id) ?? '')}`,
      )
}

/** Of each section that is drawn: its source. Where pictures come from is the tab's own affair. */
async function drawnSections(page: Tab['page'], view: string): Promise<Map<string, string>> {
  return new Map(
    await page.evaluate(
      (id) =>
        [...document.querySelector(`[data-sheet="${id}"]`)!.shadowRoot!.querySelectorAll('.page > *')].map(
          (element) =>
            [
              (element as HTMLElement).dataset.node!,
              // Its distance is to what is drawn before it.
              element.outerHTML
                .replace(/(src="|url\((?:&quot;)?)[^")&]*/g, '$1')
                .replace(/margin-top: [^;]*;/, ''),
            ] as [string, string],
        ),
      view,
    ),
  )
}

function firstDifference(one: string, other: string): string {
  let at = 0
  while (at < one.length && one[at] === other[at]) at++
  const from = Math.max(0, at - 160)
  return `…${one.slice(from, at + 120)}…\nfresh …${other.slice(from, at + 120)}…`
}
