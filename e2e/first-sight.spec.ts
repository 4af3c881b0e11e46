/** Seen for the first time, and in windows that have little room. */
import { emptyProject, expect, newProject, row, test } from './app'

test('the tour: five cards, shown once, taking no focus; Escape skips it, a command shows it again', async ({
  app,
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  const url = await newProject(page.request, app)
  await page.goto(url)
  const card = page.getByRole('region', { name: /^Tour, \d of 5$/ })
  await expect(card).toContainText('The columns are numbered')
  await expect(card.locator(':focus')).toHaveCount(0)
  const seen: (string | null)[] = []
  for (let i = 0; i < 4; i++) {
    seen.push(await card.getByRole('heading').textContent())
    const box = (await card.boundingBox())!
    expect(box.x >= 0 && box.y >= 0 && box.x + box.width <= 1280 && box.y + box.height <= 800).toBe(true)
    await card.getByRole('button', { name: 'Next' }).click()
  }
  expect(new Set(seen).size).toBe(4)
  await card.getByRole('button', { name: 'Begin' }).click()
  await expect(card).toHaveCount(0)
  await page.reload()
  await row(page, 'Hero').waitFor()
  await page.locator('html[data-parts=here]').waitFor()
  await expect(card).toHaveCount(0)
  await page.keyboard.press('ControlOrMeta+k')
  await page.keyboard.type('show the tour')
  await page.keyboard.press('Enter')
  await expect(card).toBeVisible()
  await card.getByRole('button', { name: 'Next' }).focus()
  await page.keyboard.press('Escape')
  await expect(card).toHaveCount(0)
  await context.close()
})

test.describe('320 px wide, as at 400 %', () => {
  test('panels lie over the board one at a time, and nothing is out of reach', async ({ desk }) => {
    await row(desk, 'Hero').click()
    await desk.setViewportSize({ width: 320, height: 512 })
    const ledger = desk.getByRole('complementary', { name: 'Ledger' })
    const spec = desk.getByRole('complementary', { name: 'Spec' })
    await expect(ledger).toHaveCount(0)
    await expect(spec).toHaveCount(0)
    // Nothing makes the window itself scroll sideways.
    expect(await desk.evaluate(() => document.documentElement.scrollWidth)).toBe(320)
    await desk.getByRole('button', { name: 'ledger', exact: true }).click()
    await expect(ledger).toBeVisible()
    expect((await ledger.boundingBox())!.width).toBe(320)
    await row(desk, 'Quote').click()
    await desk.getByRole('button', { name: 'spec', exact: true }).click()
    await expect(ledger).toHaveCount(0)
    await expect(spec.getByRole('heading').first()).toHaveText('Quote')
    for (const chip of await spec.getByRole('button').all()) {
      await chip.scrollIntoViewIfNeeded()
      const box = (await chip.boundingBox())!
      expect(box.x >= 0 && box.x + box.width <= 320, (await chip.textContent()) ?? '').toBe(true)
    }
    await desk.getByRole('button', { name: 'Hand off' }).click()
    const panel = desk.getByRole('dialog', { name: 'Hand off' })
    const box = (await panel.boundingBox())!
    expect(box.x >= 0 && box.x + box.width <= 320).toBe(true)
    await desk.keyboard.press('Escape')
    await desk.setViewportSize({ width: 1280, height: 800 })
    await expect(ledger).toBeVisible()
    await expect(spec).toBeVisible()
  })
})

test('with colours chosen by the system, what is selected still shows', async ({ desk }) => {
  await desk.emulateMedia({ forcedColors: 'active' })
  await row(desk, 'Hero').click()
  const outline = (name: string) =>
    row(desk, name).evaluate((element) => getComputedStyle(element).outlineStyle)
  expect(await outline('Hero')).toBe('solid')
  expect(await outline('Quote')).toBe('none')
  // The page on the board keeps its own colours.
  const adjust = await desk
    .locator('[data-board]')
    .evaluate((board) => getComputedStyle(board).forcedColorAdjust)
  expect(adjust).toBe('none')
})

test('a tip shows by the pointer and by keys, stays while it is pointed at, and goes with Escape', async ({
  desk,
}) => {
  const tip = desk.getByRole('tooltip')
  const commands = desk.getByRole('button', { name: 'All commands' })
  await commands.hover()
  await expect(tip).toHaveText('All commands (Ctrl K)')
  // The browser shows none of its own beside it.
  await expect(commands).not.toHaveAttribute('title')
  await expect(commands).toHaveAttribute('aria-describedby', (await tip.getAttribute('id'))!)
  // Pointed at itself it stays; what is under it is pressed through it.
  const box = (await tip.boundingBox())!
  await desk.mouse.move(box.x + box.width / 2, box.y + box.height - 2, { steps: 4 })
  await expect(tip).toBeVisible()
  await desk.keyboard.press('Escape')
  await expect(tip).toHaveCount(0)
  await desk.locator('[data-board]').hover({ position: { x: 20, y: 400 } })
  await expect(commands).toHaveAttribute('title', 'All commands (Ctrl K)')
  await commands.focus()
  await desk.keyboard.press('Tab')
  await expect(tip).toBeVisible()
  await desk.keyboard.press('Shift+Tab')
  await expect(tip).toHaveText('All commands (Ctrl K)')
  await commands.press('Enter')
  await expect(tip).toHaveCount(0)
})

test('what went otherwise is said above the shelf, however high that is, and goes by itself', async ({
  desk,
}) => {
  await desk.clock.install()
  await row(desk, 'Hero').click()
  await desk.keyboard.press('2')
  await desk.locator('[data-board]').focus()
  await desk.keyboard.press('r')
  const notice = desk.getByRole('alert').filter({ hasText: 'Understood' })
  await expect(notice).toBeVisible()
  const shelf = (await desk.getByRole('region', { name: 'Shelf' }).boundingBox())!
  const box = (await notice.boundingBox())!
  expect(shelf.height).toBeGreaterThan(100)
  expect(box.y + box.height).toBeLessThanOrEqual(shelf.y)
  await notice.hover()
  await desk.clock.fastForward(60_000)
  await expect(notice).toBeVisible()
  await desk.mouse.move(5, 5)
  await desk.clock.fastForward(60_000)
  await expect(notice).toHaveCount(0)
})

test('what is pressed next on an empty page is not covered by what went otherwise', async ({ page, app }) => {
  await emptyProject(page, app, 'Not covered')
  await page.keyboard.press('ControlOrMeta+k')
  await page.keyboard.type('Draw a box')
  await page.keyboard.press('Enter')
  const sheet = (await page.locator('[data-sheet=desktop]').boundingBox())!
  await page.mouse.move(sheet.x + 60, sheet.y + 60)
  await page.mouse.down()
  await page.mouse.move(sheet.x + 160, sheet.y + 120, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByRole('alert').filter({ hasText: 'place one first' })).toBeVisible()
  await page.getByRole('button', { name: 'Open the shelf' }).click()
  await expect(page.getByRole('alert')).toBeVisible()
})
