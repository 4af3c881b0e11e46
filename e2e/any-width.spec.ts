/** A sheet pulled to other widths: laid out live, as the browser lays out the handed-off page there; nothing of the project changes. */
import type { Page } from '@playwright/test'
import { expect, saved, stored, test } from './app'

const grip = (page: Page, view: string) => page.getByRole('slider', { name: `Width of ${view}’s sheet` })
const sheetWidth = (page: Page, view: string) =>
  page
    .locator(`[data-sheet="${view}"]`)
    .evaluate((sheet) => Number.parseFloat((sheet as HTMLElement).style.width))

async function pull(page: Page, view: string, by: number, letGo = true) {
  const box = (await grip(page, view).boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 1; i <= 8; i++) await page.mouse.move(x + (by * i) / 8, y)
  if (letGo) await page.mouse.up()
}

test('pulled, the page lays itself out on the way; back again nothing has changed', async ({ desk }) => {
  const before = await stored(desk)
  const words = desk.locator('[data-sheet="desktop"] [data-node]', { hasText: /^Borrow a packet/ }).last()
  const id = await words.getAttribute('data-node')
  const heading = desk.locator(`[data-sheet="desktop"] [data-node="${id}"]`)
  const high = (await heading.boundingBox())!.height
  await pull(desk, 'Desktop', -125, false)
  await expect(grip(desk, 'Desktop')).not.toHaveAttribute('aria-valuenow', '1440')
  // Narrower, the heading takes another line.
  await expect.poll(async () => (await heading.boundingBox())!.height).toBeGreaterThan(high * 1.2)
  await desk.mouse.up()
  const width = Number(await grip(desk, 'Desktop').getAttribute('aria-valuenow'))
  expect(width).toBeGreaterThan(1000)
  expect(width).toBeLessThan(1300)
  expect(await sheetWidth(desk, 'desktop')).toBe(width)
  await desk.getByRole('button', { name: 'Back to 1440' }).click()
  expect(await sheetWidth(desk, 'desktop')).toBe(1440)
  await expect.poll(async () => (await heading.boundingBox())!.height).toBeCloseTo(high, 0)
  await saved(desk)
  expect(await stored(desk)).toEqual(before)
})

test('Escape puts back what was pulled; keys go by a px, to the stops, to the ends', async ({ desk }) => {
  await pull(desk, 'Desktop', -60, false)
  await desk.keyboard.press('Escape')
  await desk.mouse.up()
  await expect(grip(desk, 'Desktop')).toHaveAttribute('aria-valuenow', '1440')
  await grip(desk, 'Mobile').focus()
  await desk.keyboard.press('ArrowLeft')
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuetext', '389 px')
  await desk.keyboard.press('PageDown')
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuetext', '360 px, a common small mobile')
  await desk.keyboard.press('Home')
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuetext', '320 px, the narrowest window')
  await desk.keyboard.press('ArrowLeft')
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuenow', '320')
  await desk.keyboard.press('End')
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuetext', /wider, Desktop takes over/)
  await desk.keyboard.press('Escape')
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuenow', '390')
})

test('a width that suits becomes the view’s own, as one step', async ({ desk }) => {
  await grip(desk, 'Desktop').focus()
  await desk.keyboard.press('PageDown')
  await expect(grip(desk, 'Desktop')).toHaveAttribute('aria-valuetext', '1366 px, a common laptop')
  await desk.getByRole('button', { name: 'Make it 1366' }).click()
  await saved(desk)
  expect((await stored(desk)).views[0]).toMatchObject({ id: 'desktop', width: 1366 })
  await expect(desk.getByRole('button', { name: /^Back to/ })).toHaveCount(0)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(grip(desk, 'Desktop')).toHaveAttribute('aria-valuenow', '1440')
})

test('tried at another width, it says what breaks at which widths, and goes there', async ({ desk }) => {
  await desk
    .locator('[data-sheet="desktop"] [data-node]', { hasText: /^Borrow a packet/ })
    .last()
    .dblclick()
  await expect(desk.getByRole('textbox', { name: /^Text of/ })).toBeFocused()
  await desk.keyboard.press('ControlOrMeta+a')
  await desk.keyboard.type('Heirloomtomatoes')
  await desk.keyboard.press('Escape')
  await grip(desk, 'Mobile').focus()
  await desk.keyboard.press('ArrowLeft')
  const bar = desk.getByRole('region', { name: 'What breaks on Mobile' })
  const breaks = bar.getByRole('button', { name: /^Heading .*, from \d+ px down$/ })
  await expect(breaks).toBeVisible()
  const from = /from (\d+) px down/.exec((await breaks.textContent())!)![1]!
  await breaks.click()
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuenow', from)
  await expect(desk.getByLabel('Spec').getByRole('heading').first()).toHaveText('Heading Heirloomtomatoes')
  // A px wider it does not.
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(bar.getByText('nothing breaks at any width')).toBeVisible()
})

test('where something breaks is marked under the columns at its width, counted and listed without trying any', async ({
  desk,
}) => {
  await expect(desk.locator('[data-breaks]')).toHaveCount(0)
  await desk
    .locator('[data-sheet="desktop"] [data-node]', { hasText: /^Borrow a packet/ })
    .last()
    .dblclick()
  await expect(desk.getByRole('textbox', { name: /^Text of/ })).toBeFocused()
  await desk.keyboard.press('ControlOrMeta+a')
  await desk.keyboard.type('Heirloomtomatoes')
  await desk.keyboard.press('Escape')
  const count = desk.getByRole('button', { name: '2 things break on Mobile' })
  await expect(count).toBeVisible()
  // On Mobile's own sheet, and on Desktop's, whose widths go on with Mobile's.
  const strip = desk.locator('[data-breaks=mobile]')
  await expect(strip).toHaveCount(2)
  await expect(strip.last()).toHaveAttribute(
    'title',
    /^Mobile at \d+ px: Heading Heirloomtomatoes is wider than what it stands in, .*, and 1 more$/,
  )
  await strip.last().click()
  await expect(desk.getByLabel('Spec').getByRole('heading').first()).toHaveText('Heading Heirloomtomatoes')
  // It breaks at the width that it is drawn at: there is nothing to go back to.
  const bar = desk.getByRole('region', { name: 'What breaks on Mobile' })
  await bar.getByRole('button', { name: 'Close' }).click()
  await expect(bar).toHaveCount(0)
  await count.press('Enter')
  const sideways = bar.getByRole('button', { name: /^Heading Heirloomtomatoes sticks out of the page, from/ })
  const from = /from (\d+) px down/.exec((await sideways.textContent())!)![1]!
  await sideways.click()
  await expect(grip(desk, 'Mobile')).toHaveAttribute('aria-valuenow', from)
  await bar.getByRole('button', { name: 'Back to 390' }).click()
  await expect(bar).toHaveCount(0)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.locator('[data-breaks]')).toHaveCount(0)
})
