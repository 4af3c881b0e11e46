/** The phone by itself: carried columns, an order of its own, and what differs there said in words. */
import type { Page } from '@playwright/test'
import { choose, expect, onSheet, row, saved, setValue, stored, test } from './app'
import { storedBlock } from './loose-page'

async function press(page: Page, view: string, text: string) {
  const box = (await onSheet(page, view, text).boundingBox())!
  await page.mouse.click(box.x + 4, box.y + box.height / 2)
}
const tops = async (page: Page, view: string, texts: string[]) =>
  Promise.all(texts.map(async (text) => (await onSheet(page, view, text).boundingBox())!.y))

test('columns are carried to the phone, are chosen there, and carried again when put back', async ({
  desk,
}) => {
  await row(desk, 'Ready to sow').press('ArrowRight')
  await press(desk, 'mobile', 'Tall Meadow bean')
  await desk.keyboard.press('Escape')
  const mark = desk.locator('[data-carried]')
  await expect(mark).toHaveText('carried from Desktop')
  await setValue(desk, /^Last column/, '2')
  await expect(mark).toHaveCount(0)
  await saved(desk)
  await press(desk, 'desktop', 'Tall Meadow bean')
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: /^differs on Mobile: width columns 1–2/ })).toBeVisible()
  await desk
    .getByRole('button', { name: /^differs on Mobile/ })
    .first()
    .click()
  await desk.getByRole('button', { name: /^Put back width on Mobile/ }).click()
  await expect(mark).toHaveText('carried from Desktop')
})

test('with “Only Mobile” a block moves there alone, and that it is read elsewhere is said', async ({
  desk,
}) => {
  const cards = ['Lantern Ridge corn', 'Tall Meadow bean', 'Glasshouse pepper']
  const before = await stored(desk)
  await press(desk, 'mobile', cards[1]!)
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-scope=only]')).toBeVisible()
  await desk.keyboard.press('Alt+ArrowUp')
  await expect
    .poll(async () => {
      const [first, second] = await tops(desk, 'mobile', cards)
      return second! < first!
    })
    .toBe(true)
  await expect(desk.locator('[data-read-order]')).toContainText('Second to see on Mobile, but read third')
  const [a, b, c] = await tops(desk, 'desktop', cards)
  expect([b! - a!, c! - a!].map(Math.round)).toEqual([0, 0])
  await saved(desk)
  const after = await stored(desk)
  const ids = (file: typeof before) =>
    JSON.stringify(file.pages[0]!.sections.map(({ children }) => children?.map(({ id }) => id)))
  expect(ids(after)).toBe(ids(before))
  await desk.keyboard.press('ControlOrMeta+z')
  await expect
    .poll(async () => {
      const [first, second] = await tops(desk, 'mobile', cards)
      return first! < second!
    })
    .toBe(true)
})

test('the scope stands on the board and in the spec, and says the same', async ({ desk }) => {
  await press(desk, 'mobile', 'Borrow a packet')
  await expect(desk.getByRole('radio', { name: 'Only Mobile' })).toBeChecked()
  await desk.locator('[data-scope]').click()
  await expect(desk.getByRole('radio', { name: 'Every view' })).toBeChecked()
  await desk.getByRole('radio', { name: 'Every view' }).focus()
  await desk.keyboard.press('ArrowLeft')
  await expect(desk.locator('[data-scope]')).toHaveAttribute('data-scope', 'only')
})

test('what a block is read as is guessed, said, chosen and put back', async ({ desk }) => {
  await row(desk, 'Ready to sow').click()
  await expect(desk.locator('[data-meaning=section]')).toBeVisible()
  await choose(desk, /^Read as/, 'an aside')
  await saved(desk)
  expect((await storedBlock(desk, '/', 'Ready to sow')).props.tag).toBe('aside')
  await desk.getByRole('button', { name: 'Put back what its place and kind say' }).click()
  await expect(desk.locator('[data-meaning=section]')).toBeVisible()
})
