/** The site as the app itself hands it off, and the board held against it. */
import { writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { strFromU8, unzipSync, zipSync } from 'fflate'
import { HtmlValidate } from 'html-validate'
import type { Blobs } from '../../core/blobs/blobs'
import type { Document } from '../../core/document/document'
import { openProject } from '../../core/document/open'
import { pageFileName } from '../../core/handoff/names'
import { layoutPage } from '../../server/pictures'
import type { BoardViewer } from '../board-viewer'
import type { SiteViewer } from '../browser'
import { pictureOf } from '../capture'
import { compareDocument } from '../conformance/compare'
import { handOff } from '../hand-off'
import { STRICT } from '../html-rules'
import { compare, pixelsOf } from '../parity/compare'
import { keep } from '../parity/keep'
import { sizeOf } from '../print'
import type { Draw } from '../random'
import { Fault } from './fault'
import type { Tab } from './tab'

/** As of parity: share of a sheet's pixels, and levels in flat areas. Photographs are made smaller in the one and not in the other. */
const BAR = { share: 0.01, flat: 8 }

/** ms until a tab shows what another has saved. */
const HEARD = 5000

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

// Which heading comes first is the designer's to say.
const html = new HtmlValidate({ ...STRICT, rules: { ...STRICT.rules, 'heading-level': 'off' } })

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
export async function checkBoxes(viewer: SiteViewer, shipped: Shipped, page: string, draw: Draw) {
  const { doc, blobs } = shipped
  const index = doc.pagesInOrder().findIndex(({ id }) => id === page)
  if (index < 0) return
  const marked = await handOff(doc, blobs, { mark: true })
  checkSame(shipped, marked)
  const { boxesOff, linesOff } = await compareDocument(
    viewer,
    { file: doc.toFile(), blobs, files: marked },
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

/** What is measured is, but for its marks, what the app hands off. @throws Fault where it is not */
function checkSame({ files }: Shipped, marked: Shipped['files']) {
  for (const [path, bytes] of marked) {
    if (!/\.(html|css)$/.test(path)) continue
    const [source, given] = [strFromU8(bytes), strFromU8(files.get(path) ?? new Uint8Array())]
    if (source.replace(/ data-node="[^"]*"/g, '') !== given)
      throw new Fault('door', `${path} is not as it is measured: ${firstDifference(given, source)}`)
  }
}

const nameOf = (doc: Document, id: string) => `“${doc.nodes.get(id)?.name ?? id}” (${id})`

/** A page at a view, in a theme where there are several. */
type Sheet = { page: string; view: string; theme?: string }

export function sheetsOf(doc: Document, page: string): Sheet[] {
  const themes = doc.themes.length > 1 ? doc.themes.map(({ id }) => id) : [undefined]
  return doc.views.flatMap(({ id: view }) => themes.map((theme) => ({ page, view, theme })))
}

/**
 * A sheet as a tab that has just come draws it, against the one that is worked in and against the page.
 * @param folder where pictures are kept of what differs
 * @throws Fault when it does
 */
export async function checkSheet(
  viewer: SiteViewer,
  board: BoardViewer,
  { doc, blobs, files }: Shipped,
  tab: Tab,
  sheet: Sheet,
  folder?: string,
) {
  const { name, path } = doc.pages.get(sheet.page)!
  const view = doc.view(sheet.view)
  const { theme } = sheet
  const layout = await layoutPage({ doc, blobs }, sheet.page, view.width, theme)
  if (layout.height < 1) return
  await board.show({ project: tab.project, ...sheet }, doc, layout).catch((error: Error) => {
    throw new Fault('fresh', error.message)
  })
  await checkDrawn(board, doc, tab, view.id)
  await viewer.show(files, pageFileName(path), view.width, view.fold)
  const [broken] = await viewer.broken()
  if (broken) throw new Fault('broken', `${name} shows a picture that is not there: ${broken}`)
  if (theme !== undefined)
    await viewer.page.evaluate((id) => document.documentElement.setAttribute('data-theme', id), theme)
  const shipped = await pixelsOf(await pictureOf(viewer.page, sizeOf(layout), 1))
  const drawn = await pixelsOf(await board.picture(view.id, layout))
  const { share, flat, picture } = compare(shipped, drawn)
  const where = `${name} at ${view.name}${theme ? ` in ${theme}` : ''}`
  const isOff = share > BAR.share || flat > BAR.flat
  if (isOff && folder) {
    await keep(folder, `${tab.project} ${where}`, [shipped, drawn, picture])
    await writeFile(join(folder, `${tab.project}.zip`), zipSync(Object.fromEntries(files)))
  }
  if (share > BAR.share)
    throw new Fault('pixels', `${(share * 100).toFixed(2)} % of the pixels differ: ${where}`)
  if (flat > BAR.flat) throw new Fault('flat', `flat areas differ by ${flat} levels: ${where}`)
}

/** What a tab has drawn bit by bit, against the sheet that one shows which has just come. @throws Fault at the first section that differs */
async function checkDrawn(board: BoardViewer, doc: Document, tab: Tab, id: string) {
  const sheet = tab.page.locator(`[data-sheet="${id}"]`).first()
  // It may be hidden, or shown at a width between.
  if ((await sheet.count()) === 0) return
  const width = await sheet.evaluate((element) => (element as HTMLElement).offsetWidth)
  if (width !== doc.view(id).width) return
  const fresh = await drawnSections(board.page, id)
  const isOther = ([section, source]: [string, string]) => fresh.get(section) !== source
  // What others did is heard of a moment later.
  const until = Date.now() + HEARD
  let other: [string, string] | undefined
  do other = [...(await drawnSections(tab.page, id))].find(isOther)
  while (other && Date.now() < until)
  if (other) {
    const [section, source] = other
    throw new Fault(
      'drawn',
      `${nameOf(doc, section)}\nin the tab ${firstDifference(source, fresh.get(section) ?? '')}`,
    )
  }
}

/** Of each section that is drawn: its source. In which order declarations were made, and where pictures come from, is the tab's own affair. */
async function drawnSections(page: Tab['page'], view: string): Promise<Map<string, string>> {
  const sections = await page.evaluate((id) => {
    const drawn = document.querySelector(`[data-sheet="${id}"]`)!.shadowRoot!.querySelectorAll('.page > *')
    return [...drawn].map((section): [string, string] => {
      const copy = section.cloneNode(true) as HTMLElement
      // Its distance is to what is drawn before it.
      copy.style.marginTop = ''
      for (const each of [copy, ...copy.querySelectorAll('*')]) {
        if (each.className === '') each.removeAttribute('class')
        const style = each.getAttribute('style')
        if (style !== null) each.setAttribute('style', style.split(/;\s*/).sort().join('; '))
      }
      return [copy.dataset.node!, copy.outerHTML]
    })
  }, view)
  return new Map(
    sections.map(([id, source]) => [id, source.replace(/(src="|url\((?:&quot;)?)[^")&]*/g, '$1')]),
  )
}

function firstDifference(one: string, other: string): string {
  let at = 0
  while (at < one.length && one[at] === other[at]) at++
  const from = Math.max(0, at - 160)
  return `…${one.slice(from, at + 120)}…\nfresh …${other.slice(from, at + 120)}…`
}
