/** Nothing is lost: killed browsers, streams that break, changes that come too late, panels that fail. */
import { type APIRequestContext, chromium, type TestInfo } from '@playwright/test'
import { LAUNCH } from '../src/cli/browser'
import type { Running } from '../src/cli/serve'
import { expect, newProject, row, SPEAKING, saved, setValue, stored, test } from './app'
import { killBrowser, setHeight } from './real-tabs'

const waiting = '[data-saved=waiting]'

/** A project of its own, and a profile whose browser can be killed and opened again. */
async function ownProfile(app: Running, request: APIRequestContext, info: TestInfo) {
  const profile = info.outputPath('profile')
  const reopen = () =>
    chromium.launchPersistentContext(profile, { ...LAUNCH, viewport: { width: 1280, height: 800 } })
  return { url: await newProject(request, app), profile, reopen }
}

test('a browser killed right after “Kept in this browser” has it when it is back', async ({
  app,
  request,
}, info) => {
  const { url, profile, reopen } = await ownProfile(app, request, info)
  let context = await reopen()
  let page = context.pages()[0]
  await page!.goto(url)
  await row(page!, 'Quote').waitFor()
  await context.setOffline(true)
  await setHeight(page!, 'Quote', '417')
  await expect(page!.locator(waiting)).toContainText('Kept in this browser')
  await killBrowser(profile)

  context = await reopen()
  page = context.pages()[0]
  await page!.goto(url)
  await expect(page!.locator('[data-height-of]').nth(3)).toHaveText('417')
  await saved(page!)
  expect((await stored(page!)).pages[0]!.sections[3]!.props.height).toEqual({ kind: 'exact', px: 417 })
  await context.close()
})

test('two tabs of one browser offline: each keeps its own; when it is killed, the one that comes back has both', async ({
  app,
  request,
}, info) => {
  const { url, profile, reopen } = await ownProfile(app, request, info)
  let context = await reopen()
  const [one, other] = [context.pages()[0], await context.newPage()]
  for (const page of [one, other]) {
    await page!.goto(url)
    await row(page!, 'Quote').waitFor()
  }
  await context.setOffline(true)
  await setHeight(one!, 'Quote', '421')
  await expect(one!.locator(waiting)).toBeVisible()
  await setHeight(other, 'Footer', '322')
  await expect(other.locator(waiting)).toBeVisible()
  await killBrowser(profile)

  context = await reopen()
  const page = context.pages()[0]!
  await page.goto(url)
  await expect(page.locator('[data-height-of]').nth(3)).toHaveText('421')
  await expect(page.locator('[data-height-of]').nth(4)).toHaveText('322')
  await saved(page)
  const { sections } = (await stored(page)).pages[0]!
  expect([sections[3], sections[4]].map((section) => section!.props.height)).toEqual([
    { kind: 'exact', px: 421 },
    { kind: 'exact', px: 322 },
  ])
  await context.close()
})

test('a stream that was answered 503 comes back, with what was missed', async ({ desk, context }) => {
  const other = await context.newPage()
  let refused = 0
  await other.route('**/stream?*', (route) => {
    if (refused++ < 2) return route.fulfill({ status: 503, body: '' })
    return route.continue()
  })
  await other.goto(desk.url())
  await row(other, 'Quote').waitFor()
  await setHeight(desk, 'Quote', '433')
  await expect(other.locator('[data-height-of]').nth(3)).toHaveText('433')
  expect(refused).toBeGreaterThan(2)
  await other.close()
})

test('a change that comes too late is set aside, listed, and put back as a new section', async ({
  desk,
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const late = await context.newPage()
  await late.goto(desk.url())
  await row(late, 'Quote').waitFor()
  // From here on nothing waits for the network.
  await late.locator('html[data-parts=here]').waitFor()
  await context.setOffline(true)
  await setHeight(late, 'Quote', '444')
  await row(late, 'Footer').click()
  await setValue(late, /^Padding top:/, '91')
  await expect(late.locator(waiting)).toBeVisible()

  await row(desk, 'Quote').click()
  await desk.keyboard.press('Delete')
  await saved(desk)
  await context.setOffline(false)
  await expect(late.getByRole('alert')).toContainText('somebody else removed “Quote”')
  await late.getByRole('button', { name: 'Understood' }).click()
  await late.getByRole('button', { name: '1 set aside' }).click()
  const dialog = late.getByRole('dialog', { name: 'Set aside' })
  await expect(dialog).toContainText('“Quote”: height 444')
  // Whoever else opens the project is shown it, too.
  await desk.reload()
  await desk.getByRole('button', { name: '1 set aside' }).click()
  await expect(desk.getByRole('dialog', { name: 'Set aside' })).toContainText('“Quote”: height 444')
  await desk.keyboard.press('Escape')
  // The other change arrived all the same.
  await expect.poll(async () => (await stored(late)).pages[0]!.sections.at(-1)?.props.paddingTop).toBe(91)

  await dialog.getByRole('button', { name: 'Put back as a new section' }).click()
  await expect(dialog).toContainText('Nothing is set aside')
  await late.keyboard.press('Escape')
  await expect(late.getByRole('button', { name: /set aside/ })).toHaveCount(0)
  await saved(late)
  await expect(row(desk, 'Quote')).toBeVisible()
  const { sections } = (await stored(late)).pages[0]!
  expect(sections.map((section) => section.name).slice(-2)).toEqual(['Quote', 'Footer'])
  expect(sections.at(-2)?.props.height).toEqual({ kind: 'exact', px: 444 })
  expect(sections.at(-2)?.children?.length).toBeGreaterThan(0)
  await context.close()
})

test('where the browser keeps nothing, that is said, and leaving is asked about', async ({
  app,
  request,
  page,
  context,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(IDBFactory.prototype, 'open', {
      value: () => {
        throw new DOMException('forbidden', 'SecurityError')
      },
    })
  })
  await page.goto(await newProject(request, app))
  await row(page, 'Quote').waitFor()
  await context.setOffline(true)
  await setHeight(page, 'Quote', '446')
  const state = page.locator('[data-saved=unkept]')
  await expect(state).toHaveText('Not saved, not kept')
  await expect(state).toHaveAttribute('title', /keeps nothing for this page.*Leave this tab open/)
  const asked = page.waitForEvent('dialog')
  const left = page.close({ runBeforeUnload: true })
  const dialog = await asked
  expect(dialog.type()).toBe('beforeunload')
  await dialog.dismiss()
  await left
  await context.setOffline(false)
  await saved(page)
  expect((await stored(page)).pages[0]!.sections[3]!.props.height).toEqual({ kind: 'exact', px: 446 })
})

test('undo leaves alone what somebody else has changed since', async ({ desk, context }) => {
  const other = await context.newPage()
  await other.goto(desk.url())
  await setHeight(desk, 'Quote', '450')
  await expect(other.locator('[data-height-of]').nth(3)).toHaveText('450')
  await setHeight(other, 'Quote', '460')
  await expect(desk.locator('[data-height-of]').nth(3)).toHaveText('460')
  await desk.getByRole('button', { name: /^Undo/ }).click()
  await expect(desk.getByRole('alert')).toContainText('somebody else has changed it since')
  await expect(desk.locator('[data-height-of]').nth(3)).toHaveText('460')
  await other.close()
})

test('a panel that fails says so and can be opened again; the board and what was made stay', async ({
  desk,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await setHeight(desk, 'Quote', '470')
  await row(desk, 'Quote').click()
  // What a browser extension does to a page, say: a row goes that the panel believes to have.
  await desk.evaluate(() => {
    const tree = document.querySelector('[role=tree]')!
    for (const child of [...tree.children]) child.replaceWith(document.createElement('i'))
  })
  await desk.keyboard.press('Delete')
  const fault = desk.getByRole('alert', { name: 'The ledger' })
  await expect(fault).toContainText('The ledger stopped')
  await expect(desk.locator('[data-sheet] [data-node]').first()).toBeVisible()
  await fault.getByRole('button', { name: 'Copy a report' }).click()
  await expect(fault.getByRole('button', { name: 'Report copied' })).toBeVisible()
  expect(await desk.evaluate(() => navigator.clipboard.readText())).toMatch(
    /Just Lattice, The ledger\n(.|\n)*at /,
  )
  await fault.getByRole('button', { name: 'Open it again' }).click()
  await expect(row(desk, 'Footer')).toBeVisible()
  await expect(row(desk, 'Quote')).toHaveCount(0)
  await saved(desk)
})

test('a link that could run something is refused where it is typed, and stays there to be mended', async ({
  desk,
}) => {
  await row(desk, 'Header').click()
  await desk.keyboard.press('ArrowRight')
  await desk.locator('[data-sheet=desktop] [data-node]', { hasText: 'Sign in' }).last().click()
  const field = desk.getByRole('textbox', { name: 'Leads to' })
  await field.fill('javascript:alert(1)')
  await field.press('Enter')
  await expect(desk.getByRole('alert')).toContainText('“javascript:” is not handed off')
  await expect(field).toHaveValue('javascript:alert(1)')
  await field.fill('/catalogue')
  await field.press('Enter')
  await expect(desk.getByRole('alert')).toHaveCount(0)
  await saved(desk)
  expect(JSON.stringify(await stored(desk))).toContain('"link":"page:page-catalogue"')
  await expect(field).toHaveValue('/catalogue')
  // The page moves to another path: the link still leads there, and shows where.
  const project = desk.url().replace('/projects/', '/api/projects/')
  const { revision, head } = await (await desk.request.get(project)).json()
  const edits = [{ op: 'page-meta', id: 'page-catalogue', set: { path: '/seeds' } }]
  await desk.request.post(`${project}/edits`, {
    data: { base: revision, head, key: 'moved', at: Date.now(), edits },
    headers: SPEAKING,
  })
  await expect(field).toHaveValue('/seeds')
  const { unzipSync } = await import('fflate')
  const files = unzipSync(new Uint8Array(await (await desk.request.get(`${project}/handoff.zip`)).body()))
  expect(new TextDecoder().decode(files['index.html'])).toContain('href="seeds/index.html"')
})

test('old unsaved edits of the version before are not forgotten', async ({ desk }) => {
  const id = desk.url().split('/').pop()
  const section = (await stored(desk)).pages[0]!.sections[3]!.id
  await desk.evaluate(
    ([key, node]) =>
      localStorage.setItem(
        key!,
        JSON.stringify([
          { key: 'old-batch', edits: [{ op: 'set', node, props: { height: { kind: 'exact', px: 480 } } }] },
        ]),
      ),
    [`just-lattice:unsaved:${id}`, section],
  )
  await desk.reload()
  await expect(desk.locator('[data-height-of]').nth(3)).toHaveText('480')
  await saved(desk)
  expect(await desk.evaluate((key) => localStorage.getItem(key), `just-lattice:unsaved:${id}`)).toBeNull()
})
