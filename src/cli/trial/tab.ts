/** A tab of a real browser with a project open in it, and where things are on it. */
import type { BrowserContext, Page } from '@playwright/test'
import type { ProjectFile } from '../../core/document/schema'
import { Fault } from './fault'

export type Spot = { id: string; view: string; x: number; y: number; width: number; height: number }
export type Point = { x: number; y: number }

/** How often Escape may be needed until nothing is open any more. */
const ESCAPES = 8
/** ms: a shared machine may stand still for seconds. */
const PATIENCE = 30_000
/** What a browser says of a network that is not there. */
const OF_NO_NETWORK = /ERR_INTERNET_DISCONNECTED/

export class Tab {
  /** What the page or its console said was wrong. */
  readonly said: string[] = []
  isOffline = false

  private constructor(
    readonly page: Page,
    readonly address: string,
    readonly project: string,
  ) {
    page.setDefaultTimeout(PATIENCE)
    page.on('pageerror', (error) => this.said.push(`${error.message}\n${error.stack ?? ''}`))
    page.on('console', (message) => {
      if (message.type() !== 'error' || OF_NO_NETWORK.test(message.text())) return
      this.said.push(`console: ${message.text()} ${message.location().url}`)
    })
  }

  /** @param address of the app, with a slash */
  static async open(context: BrowserContext, address: string, project: string): Promise<Tab> {
    const tab = new Tab(await context.newPage(), address, project)
    await tab.page.goto(`${address}projects/${project}`)
    await tab.ready()
    return tab
  }

  async ready() {
    await this.page.locator('[data-sheet]').first().waitFor({ state: 'attached' })
    await this.page.locator('html[data-parts=here]').waitFor({ state: 'attached' })
    // Every sheet in sight.
    await this.key('f')
  }

  async reload() {
    await this.page.reload()
    await this.ready()
  }

  async key(...chords: string[]) {
    for (const chord of chords) await this.page.keyboard.press(chord)
  }

  async type(words: string) {
    await this.page.keyboard.type(words)
  }

  async press({ x, y }: Point, times: 1 | 2 = 1) {
    await this.page.mouse.click(x, y, { clickCount: times, delay: 5 })
  }

  /** @param held keys that are held meanwhile */
  async pull(from: Point, to: Point, held: readonly string[] = []) {
    const { mouse, keyboard } = this.page
    await mouse.move(from.x, from.y)
    await mouse.down()
    for (const key of held) await keyboard.down(key)
    await mouse.move((from.x * 2 + to.x) / 3, (from.y * 2 + to.y) / 3, { steps: 3 })
    await mouse.move(to.x, to.y, { steps: 4 })
    await mouse.up()
    for (const key of held) await keyboard.up(key)
  }

  /** Blocks whose middle is in sight and free, by view; what lies on top comes last. @param of one kind: its element's name */
  spots(of = '*'): Promise<Spot[]> {
    return this.page.evaluate((tag) => {
      const board = document.querySelector('[data-board]')!.getBoundingClientRect()
      const found: Spot[] = []
      for (const sheet of document.querySelectorAll<HTMLElement>('[data-sheet]'))
        for (const element of sheet.shadowRoot!.querySelectorAll<HTMLElement>(`${tag}[data-node]`)) {
          const { left, top, width, height } = element.getBoundingClientRect()
          const [x, y] = [left + width / 2, top + height / 2]
          const isSeen =
            x > board.left + 4 && x < board.right - 4 && y > board.top + 4 && y < board.bottom - 4
          if (!isSeen || width < 2 || height < 2) continue
          found.push({ id: element.dataset.node!, view: sheet.dataset.sheet!, x, y, width, height })
        }
      return found
    }, of)
  }

  /** Something of the interface that is in sight, by a selector; undefined: there is none. */
  async place(selector: string, which = 0): Promise<(Point & { width: number; height: number }) | undefined> {
    const all = await this.page.evaluate((what) => {
      const list: { x: number; y: number; width: number; height: number }[] = []
      for (const element of document.querySelectorAll(what)) {
        const { left, top, width, height } = element.getBoundingClientRect()
        if (width === 0 || left < 0 || top < 0 || left + width > innerWidth || top + height > innerHeight)
          continue
        list.push({ x: left + width / 2, y: top + height / 2, width, height })
      }
      return list
    }, selector)
    return all.length > 0 ? all[which % all.length] : undefined
  }

  /** By its exact name, out of the list of all commands. @returns whether there is one now */
  async command(name: string): Promise<boolean> {
    await this.key('ControlOrMeta+k')
    const field = this.page.getByPlaceholder('What do you want to do?')
    await field.fill(name)
    const item = this.page.locator(`[cmdk-item][data-value=${JSON.stringify(name)}]`)
    if ((await item.count()) === 0) {
      await this.key('Escape')
      return false
    }
    await item.click()
    await field.waitFor({ state: 'detached' })
    return true
  }

  /** Of the dialog that is open: what its button says is done, where that can be pressed, or it is left. */
  async take(isMeant: boolean): Promise<boolean> {
    const button = this.page.getByRole('dialog').last().locator('.main-button')
    await this.page.getByRole('dialog').last().waitFor()
    if (!isMeant || (await button.count()) === 0 || (await button.last().isDisabled())) return false
    await button.last().click()
    return true
  }

  /** The view that is worked on. */
  async activeView(): Promise<string | null> {
    return this.page.locator('[data-board]').getAttribute('data-view')
  }

  /** What can be undone next, in words. */
  shown(): Promise<string> {
    return this.page.locator('[aria-label^="Undo"]').first().getAttribute('aria-label').then(String)
  }

  /** @returns whether something was done since, waited for as long as one does who sees nothing happen */
  async otherThan(before: string): Promise<boolean> {
    const until = Date.now() + 10_000
    while (Date.now() < until) {
      if ((await this.shown()) !== before) return true
      await this.page.evaluate(() => new Promise(requestAnimationFrame))
    }
    return false
  }

  private isOpen(): Promise<boolean> {
    return this.page.evaluate(() => {
      const field = document.activeElement
      const isWriting =
        field instanceof HTMLElement &&
        (field.isContentEditable || (field.tagName === 'INPUT' && field.getAttribute('type') !== 'checkbox'))
      const board = document.querySelector<HTMLElement>('[data-board]')
      // What waits for a press on a sheet.
      if (board?.style.cursor === 'crosshair') return true
      return isWriting || document.querySelector('[role=dialog], [role=menu], [data-points-bar]') !== null
    })
  }

  /** Until what was pressed last is seen. */
  private drawn() {
    return this.page.evaluate(
      () => new Promise((then) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(then)))),
    )
  }

  /** Closes whatever is open, as one does who wants to go on. @throws Fault when Escape does not */
  async close() {
    for (let i = 0; i < ESCAPES; i++) {
      await this.drawn()
      if (!(await this.isOpen())) return
      await this.key('Escape')
    }
    const what = await this.page.evaluate(
      () => (document.querySelector('[role=dialog], [role=menu]') ?? document.activeElement)?.outerHTML ?? '',
    )
    throw new Fault('escape', `${ESCAPES} times Escape do not close it: ${what.slice(0, 200)}`)
  }

  /** Selects nothing: what is behind a button is closed then. */
  async unselect() {
    const chosen = this.page.locator('[role=treeitem][aria-selected=true]')
    for (let i = 0; i < ESCAPES && (await chosen.count()) > 0; i++) {
      await this.key('Escape')
      await this.drawn()
    }
  }

  /** Until all that was done is stored. @throws Fault when it is not */
  async saved() {
    await this.drawn()
    const state = this.isOffline ? '[data-saved=waiting], [data-saved=saved]' : '[data-saved=saved]'
    await this.page
      .locator(state)
      .first()
      .waitFor({ state: 'attached' })
      .catch(async () => {
        const shown = await this.page.locator('[data-saved]').first().getAttribute('data-saved')
        throw new Fault('saved', `what was done is not saved after ${PATIENCE / 1000} s: ${shown}`)
      })
  }

  /** The project as the server has it. */
  async stored(): Promise<ProjectFile> {
    const answer = await fetch(`${this.address}api/projects/${this.project}`)
    return ((await answer.json()) as { file: ProjectFile }).file
  }
}
