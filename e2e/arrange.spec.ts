/** Arranging on the board, by real pointer and keys: drag, snap, lift, gauge, select an area, align, settle, budget, history. */
import type { Page } from '@playwright/test'
import { expect, findNode, row, saved, setValue, stored, test } from './app'
import { block, loosePage } from './loose-page'

/** A block of the header's menu, by its exact words. */
const link = async (page: Page, words: string) => {
  const item = page.locator('[data-sheet=desktop] [data-node]').getByText(words, { exact: true }).first()
  const box = (await item.boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2, box }
}
const home = async (page: Page) => (await stored(page)).pages.find((each) => each.path === '/')!
const names = async (page: Page, id: string) => {
  const { sections } = await home(page)
  const find = (nodes: typeof sections): typeof sections | undefined => {
    for (const node of nodes) {
      if (node.id === id) return node.children ?? []
      const found = find(node.children ?? [])
      if (found) return found
    }
    return undefined
  }
  return find(sections)!.map((node) => node.id)
}
test('a block in a row is dragged to another place in it, with a mark; Escape puts it back', async ({
  desk,
}) => {
  const menu = await desk.evaluate(() => {
    const links = [
      ...document
        .querySelector('[data-sheet=desktop]')!
        .shadowRoot!.querySelectorAll<HTMLElement>('[data-node]'),
    ]
    const link = links.find((each) => each.textContent === 'Catalogue')!
    return link.parentElement!.dataset.node!
  })
  const before = await names(desk, menu)
  const from = await link(desk, 'Catalogue')
  const to = await link(desk, 'Borrow')
  await desk.mouse.move(from.x, from.y)
  await desk.mouse.down()
  await desk.mouse.move(to.x + to.box.width * 0.3, to.y, { steps: 6 })
  await expect(desk.locator('[data-insertion]')).toBeVisible()
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-insertion]')).toHaveCount(0)
  await desk.mouse.up()
  expect(await names(desk, menu)).toEqual(before)
  await desk.mouse.move(from.x, from.y)
  await desk.mouse.down()
  await desk.mouse.move(to.x + to.box.width * 0.3, to.y, { steps: 6 })
  await expect(desk.locator('[data-insertion]')).toHaveAttribute('data-insertion', /in |before /)
  await desk.mouse.up()
  await saved(desk)
  const after = await names(desk, menu)
  expect(after).not.toEqual(before)
  expect([...after].sort()).toEqual([...before].sort())
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await names(desk, menu)).toEqual(before)
})

test('a loose block snaps and says what to; the gauge tells distances; the arrows nudge', async ({
  desk,
}) => {
  await loosePage(desk, 'Loose')
  const one = await block(desk, 'Block 0')
  await desk.mouse.move(one.x, one.y)
  await desk.mouse.down()
  const sheet = (await desk.locator('[data-sheet=desktop]').boundingBox())!
  await desk.mouse.move(sheet.x + sheet.width / 2 + 1, one.y + 40, { steps: 8 })
  await expect(desk.locator('[data-snap]')).not.toHaveCount(0)
  const reason = await desk.locator('[data-snap]').first().getAttribute('data-snap')
  expect(reason).toMatch(/column|centre|gap|edge|baseline/)
  await desk.mouse.up()
  await saved(desk)
  const moved = findNode((await stored(desk)).pages.at(-1)!.sections, 'Block 0')!
  expect(moved.props.pinLeft).not.toEqual({ px: 100 })
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  const again = await block(desk, 'Block 0')
  await desk.mouse.click(again.x, again.y)
  await desk.keyboard.press('ArrowRight')
  await desk.keyboard.press('Shift+ArrowDown')
  await saved(desk)
  expect(findNode((await stored(desk)).pages.at(-1)!.sections, 'Block 0')!.props).toMatchObject({
    pinLeft: { px: 101 },
    pinTop: { px: 88 },
  })
  const other = await block(desk, 'Block 1')
  await desk.mouse.move(other.x, other.y)
  await desk.keyboard.down('g')
  await expect(desk.locator('[data-gauge]')).toContainText('30')
  await desk.keyboard.up('g')
  await expect(desk.locator('[data-gauge]')).toHaveCount(0)
})

test('an area selects what lies in it; aligned, distributed and settled without moving', async ({ desk }) => {
  await loosePage(desk, 'Area')
  const first = await block(desk, 'Block 0')
  const last = await block(desk, 'Block 2')
  await desk.mouse.move(first.left - 12, first.y - first.height)
  await desk.mouse.down()
  await desk.mouse.move(last.x + last.width, last.y + last.height, { steps: 6 })
  await expect(desk.locator('[data-area]')).toBeVisible()
  await desk.mouse.up()
  await expect(desk.getByRole('heading', { name: '3 blocks' })).toBeVisible()
  await expect(desk.locator('[data-mixed=pinLeft]')).toBeVisible()
  await desk.getByRole('button', { name: 'Equal gaps across' }).click()
  await saved(desk)
  const band = async () => (await stored(desk)).pages.at(-1)!.sections[0]!
  const left = async (name: string) => (findNode([await band()], name)!.props.pinLeft as { px: number }).px
  expect(await left('Block 1')).toBeCloseTo(331.5, 1)
  await desk.keyboard.press('ControlOrMeta+z')
  await row(desk, 'Band').click()
  await desk.keyboard.press('s')
  await expect(desk.getByText('Nothing moves.')).toBeVisible()
  await desk.getByRole('checkbox').check()
  await desk.getByRole('button', { name: 'Settle', exact: true }).click()
  await saved(desk)
  expect((await band()).props).toMatchObject({ flow: 'row' })
  const after = await block(desk, 'Block 2')
  expect(Math.abs(after.x - last.x)).toBeLessThan(1)
})

test('the page budget lays out bands, with their sum and the fold; wrong words are told', async ({
  desk,
}) => {
  await desk.keyboard.press('n')
  await desk.getByLabel('Name').fill('Bands')
  await desk.getByRole('button', { name: 'Make the page' }).click()
  await desk.keyboard.press('p')
  const field = desk.getByRole('dialog').getByRole('textbox')
  await field.fill('header ninety')
  await expect(desk.getByRole('alert')).toContainText('header ninety')
  await field.fill('header 96, 3 × section 520, footer 180')
  await expect(desk.getByRole('dialog')).toContainText('1836')
  await desk.getByRole('button', { name: 'Lay out the bands' }).click()
  await saved(desk)
  const page = (await stored(desk)).pages.at(-1)!
  expect(page.sections.map((section) => section.props.height)).toEqual(
    [96, 520, 520, 520, 180].map((px) => ({ kind: 'exact', px })),
  )
  await expect(row(desk, 'Footer')).toBeVisible()
})

test('the history goes back to any step, newest first with values, and survives a reload', async ({
  desk,
}) => {
  await row(desk, 'Hero').click()
  await desk.keyboard.press('h')
  await desk.keyboard.press('h')
  await setValue(desk, /^Gap between rows|^Gap:/, '40')
  await saved(desk)
  await desk.reload()
  await row(desk, 'Hero').waitFor()
  await desk.locator('[data-board]').focus()
  await desk.keyboard.press('y')
  const steps = desk.getByRole('dialog').getByRole('listitem')
  await expect(steps).toHaveCount(4)
  await expect(steps.first()).toContainText('→ 40 px')
  await expect(steps.nth(2)).toContainText('hidden')
  await desk.getByRole('searchbox', { name: 'Find in the history' }).fill('40 px')
  await expect(steps).toHaveCount(1)
  await desk.getByRole('searchbox', { name: 'Find in the history' }).fill('')
  await desk.getByRole('button', { name: 'As it was opened' }).click()
  await expect(desk.getByRole('dialog').locator('[aria-current=step]')).toContainText('As it was opened')
})

test('the menu at the pointer offers what lies under it; a look is copied in part; find opens a block', async ({
  desk,
}) => {
  const catalogue = await link(desk, 'Catalogue')
  await desk.mouse.click(catalogue.x, catalogue.y, { button: 'right' })
  const menu = desk.getByRole('menu', { name: 'Block' })
  await expect(menu.getByRole('menuitem', { name: /^Menu/ })).toBeVisible()
  await menu.getByRole('menuitem', { name: /^Menu/ }).click()
  await expect(desk.getByRole('heading', { name: 'Menu', exact: true })).toBeVisible()

  await desk.keyboard.press('ControlOrMeta+f')
  await desk.getByRole('searchbox', { name: 'Find' }).fill('eyebrow')
  await desk
    .getByRole('dialog')
    .getByRole('button', { name: /Eyebrow/ })
    .first()
    .click()
  await expect(desk.getByRole('heading', { name: 'Eyebrow', exact: true })).toBeVisible()
  await desk.keyboard.press('ControlOrMeta+Shift+c')
  await desk.keyboard.press('ControlOrMeta+f')
  await desk.getByRole('searchbox', { name: 'Find' }).fill('paragraph')
  await desk
    .getByRole('dialog')
    .getByRole('button', { name: /Paragraph/ })
    .first()
    .click()
  const { id } = findNode((await home(desk)).sections, 'Paragraph')!
  await desk.keyboard.press('ControlOrMeta+Shift+v')
  await desk.getByRole('dialog').getByLabel('Type and ink').uncheck()
  await desk.getByRole('dialog').getByLabel('Type and ink').check()
  await desk
    .getByRole('dialog')
    .getByRole('button', { name: /Put it on/ })
    .click()
  await saved(desk)
  const { sections } = await home(desk)
  const eyebrow = findNode(sections, 'Eyebrow')!
  const paragraph = findNode(sections, 'Paragraph')!
  expect(paragraph.id).toBe(id)
  expect(paragraph.props.color).toEqual(eyebrow.props.color)
  expect(paragraph.props.type).toEqual(eyebrow.props.type)
  await desk.keyboard.press('ControlOrMeta+z')
})

test('a number is changed by dragging on it, in one step; sections are added, split and joined', async ({
  desk,
}) => {
  await row(desk, 'Hero').click()
  await desk.keyboard.press('ArrowRight')
  await row(desk, 'Hero words').click()
  const chip = desk.getByRole('button', { name: /^Row gap|^Gap/ }).first()
  const box = (await chip.boundingBox())!
  const gap = async () => findNode((await home(desk)).sections, 'Hero words')!.props.rowGap
  const before = await gap()
  await desk.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await desk.mouse.down()
  await desk.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 5 })
  await desk.mouse.up()
  await saved(desk)
  expect(await gap()).not.toEqual(before)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await gap()).toEqual(before)

  const sections = async () => (await home(desk)).sections.map((section) => section.name)
  const all = await sections()
  await row(desk, 'Hero words').click()
  await desk.keyboard.press('k')
  await saved(desk)
  expect(await sections()).toContain('Hero 2')
  await row(desk, 'Hero').click()
  await desk.keyboard.press('j')
  await saved(desk)
  expect(await sections()).toEqual(all)
  await row(desk, 'Hero').click()
  await desk.keyboard.press('Shift+N')
  await saved(desk)
  expect((await sections()).indexOf('Section')).toBe(all.indexOf('Hero') + 1)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await sections()).toEqual(all)
})
