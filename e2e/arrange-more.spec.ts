/** Mirror, repeat, swap, stack, sections by their height, several blocks at once. */
import type { Page } from '@playwright/test'
import { expect, row, saved, setValue, test } from './app'
import { block, loosePage, storedBlock, storedPage } from './loose-page'

const order = async (page: Page, path: string) =>
  [...(await storedPage(page, path)).sections]
    .sort((a, b) => (a.order < b.order ? -1 : 1))
    .map((section) => section.name)

test('a section is mirrored: its picture and its words change sides, and back', async ({ desk }) => {
  await row(desk, 'Hero').click()
  const left = async (name: string) => (await block(desk, name)).left
  await row(desk, 'Hero').press('ArrowRight')
  const before = [await left('Hero words'), await left('Picture')]
  expect(before[0]).toBeLessThan(before[1]!)
  await row(desk, 'Hero').click()
  await desk.keyboard.press('i')
  await expect.poll(async () => (await left('Hero words')) > (await left('Picture'))).toBe(true)
  await saved(desk)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(() => left('Hero words')).toBeCloseTo(before[0]!, 0)
  await saved(desk)
})

test('a block is repeated in steps, in one step of the history; two change places', async ({ desk }) => {
  await loosePage(desk, 'Repeats')
  await row(desk, 'Block 2').click()
  await desk.keyboard.press('Shift+R')
  await setValue(desk, /^Copies/, '2')
  await setValue(desk, 'Gap: 24', '20')
  await desk.getByRole('button', { name: 'Repeat', exact: true }).click()
  await saved(desk)
  const lefts = async () =>
    (await storedPage(desk, '/repeats')).sections[0]!.children!.map(
      (each) => (each.props.pinLeft as { px: number }).px,
    )
  // 563, and two more 200 wide with gaps of 20.
  expect((await lefts()).sort((a, b) => a - b)).toEqual([100, 331, 563, 783, 1003])
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await lefts()).toHaveLength(3)
  await row(desk, 'Block 0').click()
  await row(desk, 'Block 2').click({ modifiers: ['ControlOrMeta'] })
  await desk.keyboard.press('x')
  await saved(desk)
  expect((await storedBlock(desk, '/repeats', 'Block 0')).props.pinLeft).toEqual({ px: 563 })
  expect((await storedBlock(desk, '/repeats', 'Block 2')).props.pinLeft).toEqual({ px: 100 })
})

test('of two that overlap, the one brought to the front is the one that is pressed', async ({ desk }) => {
  await loosePage(desk, 'Stack')
  await row(desk, 'Block 0').click()
  await setValue(desk, /^Pin left/, '300')
  const over = await block(desk, 'Block 1')
  const press = () => desk.mouse.click(over.left + over.width * 0.4, over.y)
  await press()
  await expect(row(desk, 'Block 1')).toHaveAttribute('aria-selected', 'true')
  await row(desk, 'Block 0').click()
  await desk.keyboard.press('}')
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('Escape')
  await press()
  await expect(row(desk, 'Block 0')).toHaveAttribute('aria-selected', 'true')
})

test('a section is dragged by its height at the sheet’s edge', async ({ desk }) => {
  expect(await order(desk, '/')).toEqual(['Header', 'Hero', 'Ready to sow', 'Quote', 'Footer'])
  const handle = (id: string) => desk.locator(`[data-section-handle="${id}"]`)
  const { sections } = await storedPage(desk, '/')
  const id = (name: string) => sections.find((section) => section.name === name)!.id
  const from = (await handle(id('Quote')).boundingBox())!
  const to = (await handle(id('Hero')).boundingBox())!
  await desk.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await desk.mouse.down()
  await desk.mouse.move(to.x + to.width / 2, to.y - 60, { steps: 8 })
  await expect(desk.locator('[data-insertion]')).toHaveAttribute('data-insertion', /before Hero/)
  await desk.mouse.up()
  await saved(desk)
  expect(await order(desk, '/')).toEqual(['Header', 'Quote', 'Hero', 'Ready to sow', 'Footer'])
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await order(desk, '/')).toEqual(['Header', 'Hero', 'Ready to sow', 'Quote', 'Footer'])
})

test('several at once: what differs says mixed, a change makes all alike; the tools are hidden and come back', async ({
  desk,
}) => {
  await loosePage(desk, 'Several')
  await row(desk, 'Block 0').click()
  await setValue(desk, /^Height in px/, '90')
  await row(desk, 'Block 1').click({ modifiers: ['Shift'] })
  await expect(desk.locator('[data-mixed=height]')).toBeVisible()
  await expect(desk.locator('[data-mixed=width]')).toHaveCount(0)
  await setValue(desk, /^Height in px/, '10*7')
  await expect(desk.locator('[data-mixed=height]')).toHaveCount(0)
  await saved(desk)
  for (const name of ['Block 0', 'Block 1'])
    expect((await storedBlock(desk, '/several', name)).props.height).toEqual({ kind: 'exact', px: 70 })
  // From the spec, too.
  await desk.keyboard.press('0')
  await expect(desk.getByRole('complementary', { name: 'Ledger' })).toHaveCount(0)
  await expect(desk.getByRole('complementary', { name: 'Spec' })).toHaveCount(0)
  await desk.keyboard.press('0')
  await expect(desk.getByRole('complementary', { name: 'Ledger' })).toBeVisible()
})

test('one block of a row keeps more distance than the gap gives all; a length is said in columns', async ({
  desk,
}) => {
  await row(desk, 'Header').press('ArrowRight')
  const menu = desk
    .locator('[data-sheet=desktop] [data-node]')
    .getByText('Workshops', { exact: true })
    .first()
  const next = desk.locator('[data-sheet=desktop] [data-node]').getByText('Borrow', { exact: true }).first()
  const gap = async () => (await next.boundingBox())!.x - (await menu.boundingBox())!.x
  const before = await gap()
  const box = (await next.boundingBox())!
  await desk.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
  await setValue(desk, /^Distance before it/, '1col')
  await saved(desk)
  const zoom = (await desk.locator('[data-sheet=desktop]').boundingBox())!.width / 1440
  // A column is 80 px wide; the whole row keeps its place in the header by its middle or its end.
  expect((await gap()) - before).toBeCloseTo(80 * zoom, 0)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
})
