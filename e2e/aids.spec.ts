/** What helps to draw and is never handed off: guides, rulers, gauges left on a sheet, tracing. */
import type { Page } from '@playwright/test'
import { expect, onSheet, row, saved, setValue, test } from './app'
import { block, loosePage, storedBlock, storedPage } from './loose-page'

const guides = async (page: Page, path: string) =>
  ((await storedPage(page, path)).aids ?? []).filter((aid) => aid.kind === 'guide')

test('a guide is pulled out of a ruler, snaps, is snapped to, and goes when it is dragged off', async ({
  desk,
}) => {
  await loosePage(desk, 'Guides')
  const ruler = (await desk.locator('[data-rulers=desktop] [data-ruler=y]').boundingBox())!
  const column = (await desk.locator('[data-column="5"]').first().boundingBox())!
  await desk.mouse.move(ruler.x + 6, ruler.y + 60)
  await desk.mouse.down()
  await desk.mouse.move(column.x + 0.5, ruler.y + 90, { steps: 6 })
  await expect(desk.locator('[data-guide-words]')).toContainText('524 · column 5, left edge')
  await desk.mouse.up()
  await saved(desk)
  expect(await guides(desk, '/guides')).toMatchObject([{ axis: 'x', at: 524, view: 'desktop' }])

  // One of our own making, off the lattice, that a block then lands on.
  await desk.getByRole('button', { name: /^Guides on Desktop/ }).click()
  await setValue(desk, 'New guide at: …', '1440 / 2 - 100')
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-guide]')).toHaveCount(2)
  const from = await block(desk, 'Block 2')
  const guide = (await desk.locator('[data-guide]').last().locator('> div').first().boundingBox())!
  const to = (await desk.locator('[data-sheet=desktop]').boundingBox())!
  const zoom = to.width / 1440
  const at620 = to.x + 620 * zoom
  expect(guide.height).toBeGreaterThan(100)
  await desk.mouse.move(from.x, from.y)
  await desk.mouse.down()
  await desk.mouse.move(from.x + (at620 - from.left) + 1, from.y + 70, { steps: 6 })
  await expect(desk.locator('[data-snap="guide 620"]')).toBeAttached()
  await desk.mouse.up()
  await saved(desk)
  expect((await storedBlock(desk, '/guides', 'Block 2')).props.pinLeft).toEqual({ px: 620 })

  await desk.mouse.move(to.x + 524 * zoom, to.y + to.height - 30)
  await desk.mouse.down()
  await desk.mouse.move(to.x - 40, to.y + to.height - 30, { steps: 5 })
  await desk.mouse.up()
  await saved(desk)
  expect((await guides(desk, '/guides')).map((each) => each.at)).toEqual([620])
})

test('guides many at once, locked, hidden; the rulers count from another zero', async ({ desk }) => {
  await loosePage(desk, 'Many guides')
  await desk.getByRole('button', { name: /^Guides on Desktop/ }).click()
  await desk.getByRole('button', { name: 'thirds', exact: true }).click()
  await desk.getByRole('button', { name: 'columns', exact: true }).click()
  await saved(desk)
  // The edges of twelve columns, and two thirds of the container that lie in gutters.
  expect(await guides(desk, '/many-guides')).toHaveLength(26)
  await desk.getByRole('button', { name: 'Lock the guide at 108', exact: true }).click()
  await setValue(desk, /^Zero from the left/, '108')
  await expect(desk.getByRole('button', { name: 'Upright guide: 0' })).toBeVisible()
  await desk.getByLabel('Show guides and gauges').uncheck()
  await expect(desk.locator('[data-guide]')).toHaveCount(0)
  await desk.getByLabel('Show guides and gauges').check()
  await desk.getByRole('button', { name: 'Take all away' }).click()
  await saved(desk)
  expect(await guides(desk, '/many-guides')).toEqual([])
  // One key takes it back: in the panel itself, and right behind the key that closes it.
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.locator('[data-guide]')).toHaveCount(26)
  await desk.getByRole('button', { name: 'Take all away' }).click()
  await expect(desk.locator('[data-guide]')).toHaveCount(0)
  await Promise.all([desk.keyboard.press('Escape'), desk.keyboard.press('ControlOrMeta+z')])
  await expect(desk.locator('[data-guide]')).toHaveCount(26)
  await saved(desk)
  expect(await guides(desk, '/many-guides')).toHaveLength(26)
})

test('a gauge is left on the sheet, follows its blocks, and is taken away', async ({ desk }) => {
  await loosePage(desk, 'Gauges')
  await row(desk, 'Block 0').click()
  const other = await block(desk, 'Block 1')
  await desk.mouse.move(other.x, other.y)
  await desk.keyboard.down('g')
  await expect(desk.locator('[data-gauge]')).toContainText('31')
  await desk.mouse.down()
  await desk.mouse.up()
  await desk.keyboard.up('g')
  await expect(desk.locator('[data-gauge]')).toHaveCount(0)
  const pinned = desk.locator('[data-pinned-gauge]')
  await expect(pinned).toContainText('31')
  await desk.keyboard.press('Shift+ArrowLeft')
  await expect(pinned).toContainText('39')
  await pinned.getByRole('button', { name: 'Take the gauge away' }).click()
  await expect(pinned).toHaveCount(0)
})

/** Boxes on twelve columns of 80 with gutters of 24, drawn at half size. */
const REFERENCE = `<svg xmlns="http://www.w3.org/2000/svg" width="720" height="600" viewBox="0 0 1440 1200">
<rect width="1440" height="1200" fill="#fdfaf4"/><rect x="108" y="160" width="600" height="400" fill="#e2d3b4"/>
<rect x="732" y="160" width="600" height="90" fill="#557a66"/><rect x="108" y="640" width="392" height="320" fill="#cfe0d2"/>
<rect x="524" y="640" width="392" height="320" fill="#f0dcc0"/><rect x="940" y="640" width="392" height="320" fill="#ecd5cf"/>
<rect x="108" y="1040" width="288" height="120" fill="#d8d4ca"/><rect x="420" y="1040" width="80" height="120" fill="#a9a493"/></svg>`

test('tracing: edges found, the lattice read off, guides laid, scaled by two points, never handed off', async ({
  desk,
}) => {
  await desk.keyboard.press('n')
  await desk.getByLabel('Name').fill('Traced')
  await desk.getByRole('button', { name: 'Make the page' }).click()
  await desk.getByRole('button', { name: /^Tracing on Desktop/ }).click()
  await desk
    .getByLabel('Reference picture')
    .setInputFiles({ name: 'sketch.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(REFERENCE) })
  await expect(desk.locator('[data-tracing]')).toHaveCount(1)
  await expect(desk.locator('[data-proposal]').first()).toContainText('12 of 80, gutter 24')
  await desk.getByRole('button', { name: 'guides there' }).click()
  await desk.keyboard.press('Escape')
  await saved(desk)
  const laid = (await guides(desk, '/traced')).map((each) => each.at)
  // The sixteen longest.
  expect(laid).toHaveLength(16)
  expect(laid).toEqual(expect.arrayContaining([108, 160, 560, 708, 1332]))

  await desk.getByRole('button', { name: /^Tracing on Desktop/ }).click()
  await desk.getByRole('button', { name: 'scale by two points' }).click()
  const sheet = (await desk.locator('[data-sheet=desktop]').boundingBox())!
  const zoom = sheet.width / 1440
  for (const x of [108, 708]) await desk.mouse.click(sheet.x + x * zoom, sheet.y + 300 * zoom)
  await setValue(desk, /^Distance of the points/, '300')
  await saved(desk)
  const tracing = (await storedPage(desk, '/traced')).aids!.find((aid) => aid.kind === 'tracing')!
  // It stood at 2 sheet px for one of its own; the points were 600 px apart.
  expect(tracing.scale).toBeCloseTo(1, 1)
  const { origin, pathname } = new URL(desk.url())
  const handoff = await desk.request.get(`${origin}/api${pathname}/handoff.zip`)
  expect(handoff.ok()).toBe(true)
  expect((await handoff.body()).includes('sketch')).toBe(false)
})

test('what is to be looked at in the type is marked on its sheet, said for what is selected, and switched off', async ({
  desk,
}) => {
  const heading = onSheet(desk, 'mobile', 'Return a harvest.')
  await heading.click()
  await expect(desk.locator('[data-page-mark]', { hasText: 'on Desktop' })).toHaveCount(0)
  // Larger on Mobile alone it takes more lines there.
  await setValue(desk, /^Font size/, '64')
  const marks = desk.locator('[data-page-mark*="2 lines on Desktop"]')
  await expect(marks).toHaveCount(1)
  await expect(marks).toContainText(/^\d lines, 2 lines on Desktop$/)
  await row(desk, 'Hero').click()
  await expect(marks).toHaveCount(1)
  await expect(marks).toHaveText('')
  await desk.getByRole('button', { name: /^Guides on/ }).click()
  await desk.getByLabel('Marks on type, contrast and links').uncheck()
  await expect(desk.locator('[data-page-mark]')).toHaveCount(0)
})

test('words that do not read and what leads nowhere are marked on the sheet, and said for what is selected', async ({
  desk,
}) => {
  await expect(desk.locator('[data-page-mark*="needed"], [data-page-mark*="leads"]')).toHaveCount(0)
  await onSheet(desk, 'desktop', 'Return a harvest.').click()
  await desk.getByRole('button', { name: /^Ink/ }).click()
  const panel = desk.getByRole('dialog', { name: /^Ink/ })
  await panel.getByLabel('Ink as hex, rgb, hsl or oklch').fill('#f4efe6')
  await desk.keyboard.press('Enter')
  await desk.keyboard.press('Escape')
  const pale = desk.locator('[data-page-mark$="3 : 1 is needed"]')
  // On every sheet; in words on the one that is worked on.
  await expect(pale).toHaveCount(2)
  await expect(pale.filter({ hasText: 'is needed' })).toHaveCount(1)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(pale).toHaveCount(0)
  // A button from the shelf leads nowhere yet.
  await row(desk, 'Hero').click()
  await desk.keyboard.press('/')
  await desk.getByPlaceholder(/Place anything/).fill('button')
  await desk.keyboard.press('Enter')
  await expect(desk.locator('[data-page-mark="leads nowhere yet"]').first()).toBeAttached()
})
