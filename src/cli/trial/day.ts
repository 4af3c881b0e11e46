/** A day at work: an empty project or a demo, steps by pointer and keys, and what has to hold after them. */
import { readFile } from 'node:fs/promises'
import { isDeepStrictEqual } from 'node:util'
import type { BrowserContext } from '@playwright/test'
import { openProject } from '../../core/document/open'
import type { ProjectFile } from '../../core/document/schema'
import { starterProject } from '../../core/shelf/starter'
import { violationsOn } from '../axe'
import { BoardViewer } from '../board-viewer'
import { knowing, SiteViewer } from '../browser'
import { Draw, randomFrom } from '../random'
import { DEMO_FILE, OTHER_DEMO_FILE } from '../serve'
import { storeProject } from '../store-project'
import { actOf, drawOf, placing, type Step } from './acts'
import { differenceOf } from './difference'
import { Fault } from './fault'
import { checkReach } from './reach'
import { checkBoxes, checkSheet, checkValid, handedOff, sheetsOf } from './shipped'
import { Tab } from './tab'

export const BEGINNINGS = ['empty', 'demo', 'other demo'] as const
export type Beginning = (typeof BEGINNINGS)[number]

/** Steps between two times that everything is looked at. */
const BETWEEN = 6
/** Presses of undo until what one act did is taken back. */
const UNDOS = 12

async function fileOf(beginning: Beginning): Promise<ProjectFile> {
  if (beginning === 'empty') return starterProject('A day', 'home')
  const path = beginning === 'demo' ? DEMO_FILE : OTHER_DEMO_FILE
  return openProject(await readFile(path)).document.toFile()
}

/** The browsers of a trial: one that is worked in, one that shows what is handed off and what a new tab draws. */
export class Desk {
  private constructor(
    readonly address: string,
    private readonly viewer: SiteViewer,
    private readonly board: BoardViewer,
    private readonly folder?: string,
  ) {}

  /** @param address of the app, with a slash @param folder where pictures are kept of what differs */
  static async open(address: string, folder?: string): Promise<Desk> {
    const viewer = await SiteViewer.open()
    return new Desk(address, viewer, await BoardViewer.open(viewer.browser, address), folder)
  }

  close() {
    return this.viewer.close()
  }

  /**
   * Does steps until one finds a fault.
   * @param told of each act that is done, and whether there was anything to do it to
   * @param isOver no more steps
   * @param between how many steps lie between two times that everything is looked at
   * @returns the fault and how many steps led to it; undefined: there is none
   */
  async day(
    beginning: Beginning,
    steps: readonly Step[],
    told: (act: string, isDone: boolean) => void = () => {},
    isOver: () => boolean = () => false,
    between = BETWEEN,
  ): Promise<{ fault: Fault; steps: Step[] } | undefined> {
    const context = await this.viewer.browser.newContext({ viewport: { width: 1280, height: 800 } })
    await knowing(context)
    const done: Step[] = []
    try {
      const project = await storeProject(this.address, await fileOf(beginning))
      const tab = await Tab.open(context, this.address, project)
      for (const step of steps) {
        done.push(step)
        await this.step(tab, step, told)
        if (done.length % between === 0) await this.lookAt(tab, step, 'a sheet')
        if (isOver()) break
      }
      await back(tab)
      const last = done.at(-1)
      if (last) await this.lookAt(tab, last, 'every sheet')
    } catch (error) {
      return { fault: asFault(error), steps: done }
    } finally {
      await leave(context)
    }
    return undefined
  }

  /** One step, and what of the project it may have changed. @throws Fault when that is more than was meant */
  private async step(tab: Tab, step: Step, told: (act: string, isDone: boolean) => void) {
    const draw = drawOf(step)
    if (tab.isOffline && draw.chance(0.3)) await back(tab)
    // On nothing there is nothing to do but to place something.
    const isBare = (await tab.spots()).length === 0 && draw.chance(0.8)
    const act = isBare ? placing : actOf(step)
    const before = tab.isOffline ? undefined : await tab.stored()
    const isDone = await act.do(tab, draw)
    told(act.name, isDone)
    await tab.close()
    await tab.saved()
    heard(tab)
    if (!before || tab.isOffline) return
    const after = await tab.stored()
    await checkReach(tab, act, before, after)
    if (!act.isHistory && isDone && draw.chance(0.3)) await backAndForth(tab, act.name, before, after)
  }

  /** Everything that has to hold at any time. @throws Fault */
  private async lookAt(tab: Tab, [name, seed]: Step, pixelsOf: 'a sheet' | 'every sheet') {
    if (tab.isOffline) return
    const draw = new Draw(randomFrom(seed + name.length))
    await tab.unselect()
    const shipped = await handedOff(tab)
    const page = await tab.page.locator('[data-board]').getAttribute('data-page')
    // A template is no page of the site.
    if (page === null || !shipped.doc.pagesInOrder().some(({ id }) => id === page)) return
    await checkBoxes(this.viewer, shipped, page, draw)
    const sheets = sheetsOf(shipped.doc, page)
    for (const sheet of pixelsOf === 'a sheet' ? [draw.one(sheets)] : sheets)
      await checkSheet(this.viewer, this.board, shipped, tab, sheet, this.folder)
    await checkValid(shipped)
    const [violation] = await violationsOn(tab.page)
    if (violation) throw new Fault('axe', violation)
    heard(tab)
  }
}

async function back(tab: Tab) {
  if (!tab.isOffline) return
  tab.isOffline = false
  await tab.page.context().setOffline(false)
  await tab.saved()
}

/** @throws Fault at what the page or its console said was wrong */
function heard(tab: Tab) {
  const [said] = tab.said.splice(0)
  if (said) throw new Fault('said', said)
}

/** Undo gives the project back exactly, redo what was made of it. @throws Fault where they do not */
async function backAndForth(tab: Tab, name: string, before: ProjectFile, after: ProjectFile) {
  if (isDeepStrictEqual(before, after)) return
  let presses = 0
  for (let now = after; !isDeepStrictEqual(now, before); presses++) {
    if (presses === UNDOS)
      throw new Fault('undo', `${UNDOS} undos do not take “${name}” back: ${differenceOf(before, now)}`)
    await tab.key('ControlOrMeta+z')
    await tab.saved()
    now = await tab.stored()
  }
  for (let i = 0; i < presses; i++) await tab.key('ControlOrMeta+Shift+z')
  await tab.saved()
  const now = await tab.stored()
  if (!isDeepStrictEqual(now, after))
    throw new Fault('redo', `${presses} redos do not do “${name}” again: ${differenceOf(after, now)}`)
}

/** What fails in the browser's hands is a fault, too: something that cannot be pressed, a page that is gone. */
function asFault(error: unknown): Fault {
  if (error instanceof Fault) return error
  return new Fault('hand', (error as Error).stack ?? String(error))
}

async function leave(context: BrowserContext) {
  await context.setOffline(false).catch(() => undefined)
  await context.close().catch(() => undefined)
}
