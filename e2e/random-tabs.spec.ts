/**
 * Three tabs of a real browser do what comes, over a network that loses requests and answers; they are reloaded, closed, and
 * the browser is killed: in the end all show what the server has, and nothing that was said to be kept is missing.
 */
import { type BrowserContext, chromium, type Page } from '@playwright/test'
import fc from 'fast-check'
import { LAUNCH } from '../src/cli/browser'
import { expect, newProject, row, saved, stored, test } from './app'
import { killBrowser, setHeight, setHeightIfThere } from './real-tabs'

const SEED = Number(process.env.LATTICE_SEED ?? 1)
const TABS = 3
const ACTS = 36

const act = fc.record({
  tab: fc.nat(TABS - 1),
  what: fc.constantFrom(
    'height',
    'height',
    'height',
    'duplicate',
    'delete',
    'undo',
    'reload',
    'close',
    'kill',
    'wait',
  ),
  section: fc.nat(9),
  px: fc.integer({ min: 201, max: 999 }),
  /** What happens to this tab’s batches until its next act. */
  network: fc.constantFrom('well', 'well', 'well', 'requests lost', 'answers lost'),
})

class Desk {
  readonly network: string[] = []
  private constructor(
    private readonly url: string,
    private readonly profile: string,
    private context: BrowserContext,
    readonly pages: Page[],
  ) {}

  static async open(url: string, profile: string): Promise<Desk> {
    const context = await chromium.launchPersistentContext(profile, {
      ...LAUNCH,
      viewport: { width: 1280, height: 800 },
    })
    const desk = new Desk(url, profile, context, [])
    for (let i = 0; i < TABS; i++) await desk.newTab(i)
    return desk
  }

  async newTab(i: number) {
    const page = i === 0 && this.pages.length === 0 ? this.context.pages()[0] : await this.context.newPage()
    this.pages[i] = page!
    this.network[i] = 'well'
    await page!.route('**/edits', async (route) => {
      if (this.network[i] === 'requests lost') return route.abort()
      if (this.network[i] === 'answers lost') await route.fetch()
      else return route.continue()
      return route.abort()
    })
    await page!.goto(this.url)
    await row(page!, 'Header').waitFor()
  }

  async kill() {
    await killBrowser(this.profile)
    await this.context.close().catch(() => undefined)
    this.context = await chromium.launchPersistentContext(this.profile, {
      ...LAUNCH,
      viewport: { width: 1280, height: 800 },
    })
    this.pages.length = 0
    for (let i = 0; i < TABS; i++) await this.newTab(i)
  }

  close() {
    return this.context.close()
  }
}

/** The sections' names and heights as a tab's ledger shows them. */
const shown = (page: Page) =>
  page
    .locator('[role=treeitem][aria-level="1"]')
    .evaluateAll((rows) => rows.map((each) => each.textContent?.replace(/\s+/g, ' ').trim()))

test('three real tabs at random', async ({ app, request }, info) => {
  console.log(`three real tabs: seed ${SEED}`)
  const url = await newProject(request, app)
  const desk = await Desk.open(url, info.outputPath('profile'))
  const [acts] = fc.sample(fc.array(act, { minLength: ACTS, maxLength: ACTS }), { seed: SEED, numRuns: 1 })
  let kills = 0
  for (const { tab, what, section, px, network } of acts!) {
    const page = desk.pages[tab]!
    desk.network[tab] = network
    const rows = page.locator('[role=treeitem][aria-level="1"]')
    const count = await rows.count()
    if (what === 'height' && count > 0) {
      const name = (await rows.nth(section % count).getAttribute('data-name')) ?? ''
      await setHeightIfThere(page, name, String(px))
    } else if ((what === 'duplicate' && count < 9) || (what === 'delete' && count > 3)) {
      // The header stays: it is how a tab is known to be up.
      const one = rows.nth(1 + (section % (count - 1)))
      // Somebody else may remove it just then.
      if (
        !(await one.click({ timeout: 5000 }).then(
          () => true,
          () => false,
        ))
      )
        continue
      await page.keyboard.press(what === 'delete' ? 'Delete' : 'Control+d')
    } else if (what === 'undo') await page.keyboard.press('Control+z')
    else if (what === 'reload') {
      desk.network[tab] = 'well'
      await page.reload()
      await row(page, 'Header').waitFor()
    } else if (what === 'close') {
      await page.close()
      await desk.newTab(tab)
    } else if (what === 'kill' && kills++ < 2) await desk.kill()
    else if (what === 'wait')
      await expect(page.locator('[data-saved=saved], [data-saved=waiting]')).toBeVisible()
  }
  // A last change that is kept by a browser that is then killed.
  desk.network.fill('requests lost')
  await setHeight(desk.pages[1]!, 'Header', '777')
  await expect(desk.pages[1]!.locator('[data-saved=waiting]')).toBeVisible()
  await desk.kill()
  for (const page of desk.pages) await saved(page)
  // It arrived, whatever another tab's own unsent change of the same height made of it after that.
  const log = `${url.replace('/projects/', '/api/projects/')}/edits?since=0&head=`
  await expect.poll(async () => (await request.get(log)).text()).toContain('{"kind":"exact","px":777}')
  const server = (await stored(desk.pages[0]!)).pages[0]!.sections.map((each) => each.name)
  for (const page of desk.pages) {
    await expect.poll(() => shown(page)).toEqual(await shown(desk.pages[0]!))
    await expect(page.locator('[role=treeitem][aria-level="1"]')).toHaveCount(server.length)
  }
  await desk.close()
})
