/** From the shelf onto a page: by name, by pressing, by dragging; and where the focus is afterwards. */
import type { Page } from '@playwright/test'
import { expect, onSheet, row, saved, setValue, stored, test } from './app'
import { storedBlock, storedPage } from './loose-page'

const search = (page: Page) => page.getByRole('combobox', { name: /^Place anything/ })
const board = (page: Page) => page.locator('[data-board]')

async function emptyPage(page: Page, name: string) {
  await page.getByRole('button', { name: /^Page: / }).click()
  await page.getByRole('button', { name: 'New page' }).click()
  const dialog = page.getByRole('dialog', { name: 'New page' })
  await dialog.getByLabel('Path').fill(`/${name.toLowerCase()}`)
  await dialog.getByLabel('Name', { exact: true }).fill(name)
  await dialog.getByRole('button', { name: 'Make the page' }).click()
  await expect(dialog).toHaveCount(0)
}

test('the best match for the name comes first and is marked; Enter places it, and the board has the focus', async ({
  desk,
}) => {
  await row(desk, 'Hero').click()
  await desk.keyboard.press('/')
  await search(desk).fill('link')
  await expect(desk.locator('[data-marked]')).toHaveAttribute('data-shelf-item', 'link')
  await expect(desk.getByRole('button', { expanded: true })).toContainText('Blocks')
  await search(desk).press('ArrowRight')
  await expect(desk.locator('[data-marked]')).not.toHaveAttribute('data-shelf-item', 'link')
  await search(desk).press('ArrowLeft')
  await search(desk).press('Enter')
  await expect(board(desk)).toBeFocused()
  await expect(
    desk.getByRole('complementary', { name: 'Spec' }).getByRole('heading', { level: 2 }),
  ).toContainText('Link')
})

test('dragged, it lies in the flow on the way; off the sheet, or with Escape, nothing is placed', async ({
  desk,
}) => {
  await desk.getByRole('button', { name: /^Blocks/ }).click()
  const item = (await desk.locator('[data-shelf-item=heading]').boundingBox())!
  const target = desk.locator('[data-sheet="desktop"] [data-node]', { hasText: /^Take home/ }).last()
  const there = (await target.boundingBox())!
  const placed = desk.locator('[data-sheet="desktop"] [data-node]', { hasText: /^A heading$/ })
  await desk.mouse.move(item.x + 40, item.y + 40)
  await desk.mouse.down()
  await desk.mouse.move(there.x + 20, there.y + 2, { steps: 6 })
  await expect(placed).not.toHaveCount(0)
  await desk.mouse.move(item.x + 40, item.y + 40, { steps: 4 })
  await expect(placed).toHaveCount(0)
  await desk.mouse.move(there.x + 20, there.y + 2, { steps: 6 })
  await desk.keyboard.press('Escape')
  await expect(placed).toHaveCount(0)
  await desk.mouse.up()
  await desk.mouse.move(item.x + 40, item.y + 40)
  await desk.mouse.down()
  await desk.mouse.move(there.x + 20, there.y + 2, { steps: 6 })
  await desk.mouse.up()
  await expect(placed).not.toHaveCount(0)
  await expect(board(desk)).toBeFocused()
  await saved(desk)
  const names = (await storedBlock(desk, '/', 'Hero words')).children!.map(({ name }) => name)
  expect(names).toContain('Heading')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(placed).toHaveCount(0)
})

test('first sizes: words what they need, a picture what is left of the row, nothing a single column', async ({
  desk,
}) => {
  await emptyPage(desk, 'Sizes')
  for (const name of ['lattice', 'heading', 'paragraph', 'picture']) {
    if (name !== 'lattice') await row(desk, 'Lattice').click()
    await desk.keyboard.press('/')
    await search(desk).fill(name)
    await search(desk).press('Enter')
  }
  await saved(desk)
  const lattice = await storedBlock(desk, '/sizes', 'Lattice')
  const spans = lattice.children!.map(({ name, props }) => [name, (props.width as { span: number }).span])
  expect(spans).toEqual([
    ['Heading', 12],
    ['Paragraph', 7],
    ['Picture', 5],
  ])
})

test('the focus never falls on nothing: after Escape, undo, deleting and duplicating', async ({ desk }) => {
  await row(desk, 'Quote').click()
  await desk.keyboard.press('Delete')
  await expect(desk.locator('[role=treeitem]:focus')).toHaveCount(1)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(row(desk, 'Quote')).toBeVisible()
  await row(desk, 'Quote').click()
  await desk.keyboard.press('ControlOrMeta+d')
  await expect(desk.locator('[role=treeitem]:focus')).toHaveCount(1)
  expect((await storedPage(desk, '/')).sections.length).toBeGreaterThan(4)
  await desk.getByRole('button', { name: /^Fill/ }).first().click()
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: /^Fill/ }).first()).toBeFocused()
  await desk.keyboard.press('Escape')
  await expect(board(desk)).toBeFocused()
})

test('single keys act wherever no words are typed; what deletes and moves acts on the board and in the ledger alone', async ({
  desk,
}) => {
  await row(desk, 'Quote').click()
  await desk.getByRole('button', { name: /^Lattice$/ }).focus()
  await desk.keyboard.press('Delete')
  await expect(row(desk, 'Quote')).toBeVisible()
  await desk.keyboard.press('ControlOrMeta+-')
  // A button that was pressed keeps no key from its command.
  await desk.getByRole('button', { name: /^Lattice$/ }).focus()
  await desk.keyboard.press('h')
  await saved(desk)
  expect((await storedBlock(desk, '/', 'Quote')).props.hidden).toBe(true)
  await desk.keyboard.press('h')
  await saved(desk)
  // Nor does a list that was chosen from, which shows its choices by Enter, the space bar and arrows.
  await desk.locator('aside[aria-label=Spec]').getByRole('combobox').first().click()
  await desk.getByRole('option').nth(1).click()
  await expect(desk.getByRole('option')).toHaveCount(0)
  await desk.keyboard.press('h')
  await saved(desk)
  expect((await storedBlock(desk, '/', 'Quote')).props.hidden).toBe(true)
  await desk.keyboard.press('h')
  await saved(desk)
  // Nor does a box that was ticked.
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('Escape')
  const half = desk.getByRole('checkbox', { name: /^Half a gutter/ })
  await half.focus()
  await desk.keyboard.press('Space')
  await expect(half).toBeChecked()
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(half).not.toBeChecked()
  await row(desk, 'Quote').click()
  // In a field they are what they are.
  await desk
    .getByRole('button', { name: /^Padding top/ })
    .first()
    .click()
  await desk.keyboard.press('h')
  await desk.keyboard.press('Escape')
  await saved(desk)
  expect((await storedBlock(desk, '/', 'Quote')).props.hidden ?? false).toBe(false)
})

test('Ctrl A selects blocks, wherever it is pressed, and never the words of the app', async ({ desk }) => {
  const chosen = desk.locator('[role=treeitem][aria-selected=true]')
  const words = () => desk.evaluate(() => getSelection()!.toString().trim())
  const { length } = (await storedPage(desk, '/')).sections
  await board(desk).focus()
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('ControlOrMeta+a')
  await expect(chosen).toHaveCount(length)
  expect(await words()).toBe('')
  await row(desk, 'Hero').click()
  await desk.getByRole('button', { name: /^Lattice$/ }).focus()
  await desk.keyboard.press('ControlOrMeta+a')
  await expect(chosen).toHaveCount(length)
  expect(await words()).toBe('')
})

test('Shift takes a range, Ctrl one, in the ledger and on the board', async ({ desk }) => {
  await row(desk, 'Hero').click()
  await row(desk, 'Footer').click({ modifiers: ['Shift'] })
  await expect(desk.locator('[role=treeitem][aria-selected=true]')).toHaveCount(4)
  await row(desk, 'Quote').click({ modifiers: ['ControlOrMeta'] })
  await expect(desk.locator('[role=treeitem][aria-selected=true]')).toHaveCount(3)
  await row(desk, 'Hero').click()
  await desk.keyboard.press('Shift+ArrowDown')
  await desk.keyboard.press('ControlOrMeta+ArrowDown')
  await desk.keyboard.press('ControlOrMeta+ArrowDown')
  await desk.keyboard.press('Space')
  await expect(desk.locator('[role=treeitem][aria-selected=true]')).toHaveCount(3)
})

test('what is selected in the ledger is brought into sight; all alike are counted before they are selected', async ({
  desk,
}) => {
  await board(desk).focus()
  await desk.keyboard.press('ControlOrMeta+0')
  const footer = desk.locator('[data-sheet="desktop"] [data-node]', { hasText: /^The old glasshouse/ }).last()
  const room = (await board(desk).boundingBox())!
  await row(desk, 'Footer').click()
  await expect.poll(async () => (await footer.boundingBox())!.y).toBeLessThan(room.y + room.height)
  await row(desk, 'Ready to sow').press('ArrowRight')
  await desk.locator('[role=treeitem][data-name^="Card "]').first().click()
  await desk.keyboard.press('a')
  const dialog = desk.getByRole('dialog', { name: 'Select all alike' })
  await expect(dialog.getByRole('button', { name: /^In Ready to sow/ })).toContainText('3')
  await dialog.getByRole('button', { name: /^In Ready to sow/ }).click()
  await expect(desk.getByRole('heading', { name: '3 blocks' })).toBeVisible()
})

test('alike on the whole site: a value changed here changes on other pages, too, as one step', async ({
  desk,
}) => {
  const before = (await stored(desk)).pages
    .slice(1)
    .reduce((all, page) => all + JSON.stringify(page).split('"hidden":true').length - 1, 0)
  await onSheet(desk, 'desktop', 'Hollow Oak').first().click()
  await desk.locator('[role=treeitem][aria-selected=true]').waitFor()
  await board(desk).focus()
  await desk.keyboard.press('a')
  const dialog = desk.getByRole('dialog', { name: 'Select all alike' })
  const site = dialog.getByRole('button', { name: /^On the whole site/ })
  const here = Number(
    /\d+/.exec((await dialog.getByRole('button', { name: /^On this page/ }).textContent())!)![0],
  )
  const all = Number(/\d+/.exec((await site.textContent())!)![0])
  expect(all).toBeGreaterThan(here)
  await site.click()
  await expect(desk.getByLabel('Spec').getByRole('heading').first()).toContainText(
    `and ${all - here} on other pages`,
  )
  await setValue(desk, /^Font size/, '31')
  const counted = async () => {
    await saved(desk)
    const { pages } = await stored(desk)
    return pages.map((page) => JSON.stringify(page).split('"fontSize":31').length - 1)
  }
  const sum = (counts: readonly number[]) => counts.reduce((all, each) => all + each, 0)
  await expect.poll(async () => (await counted())[0]).toBe(here)
  expect(sum(await counted())).toBe(all)
  // A key is about what is selected here: nothing is hidden on other pages.
  await desk.keyboard.press('Escape')
  await board(desk).focus()
  await desk.keyboard.press('h')
  await saved(desk)
  const hidden = (await stored(desk)).pages.map(
    (page) => JSON.stringify(page).split('"hidden":true').length - 1,
  )
  expect(hidden[0]).toBeGreaterThanOrEqual(here)
  expect(sum(hidden.slice(1))).toBe(before)
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(async () => sum(await counted())).toBe(0)
})

test('a dialog gives the focus back to what had it, also when something in it takes it by itself', async ({
  desk,
}) => {
  await desk.getByRole('button', { name: 'Hand off' }).click()
  await desk.keyboard.press('Escape')
  await board(desk).focus()
  await desk.keyboard.press('n')
  await expect(desk.getByRole('dialog').getByLabel('Name', { exact: true })).toBeFocused()
  await desk.keyboard.press('Escape')
  await expect(board(desk)).toBeFocused()
})

test('the menu opens at a row of the ledger by right press, and by its key; the focus goes back home', async ({
  desk,
}) => {
  const menu = desk.getByRole('menu', { name: 'Block' })
  await row(desk, 'Quote').click({ button: 'right' })
  await expect(menu.getByRole('menuitem', { name: /^Duplicate/ })).toBeVisible()
  await expect(row(desk, 'Quote')).toHaveAttribute('aria-selected', 'true')
  await desk.keyboard.press('Escape')
  await expect(menu).toHaveCount(0)
  await row(desk, 'Footer').click()
  await desk.keyboard.press('ContextMenu')
  await expect(menu).toBeVisible()
  await expect.poll(() => menu.evaluate((each) => each.contains(document.activeElement))).toBe(true)
  await desk.keyboard.type('dup')
  await desk.keyboard.press('Enter')
  await expect(row(desk, 'Footer')).toHaveCount(2)
  await board(desk).focus()
  await desk.keyboard.press('Shift+F10')
  await expect(menu).toBeVisible()
  await desk.keyboard.press('Escape')
  await expect(board(desk)).toBeFocused()
})

test('while a menu is open no single key acts, wherever the focus is just then', async ({ desk }) => {
  await row(desk, 'Quote').click({ button: 'right' })
  await expect(desk.getByRole('menu', { name: 'Block' })).toBeVisible()
  await row(desk, 'Quote').focus()
  await desk.keyboard.press('h')
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('menu')).toHaveCount(0)
  await expect(row(desk, 'Quote')).not.toHaveAccessibleName(/hidden/)
  await row(desk, 'Quote').focus()
  await desk.keyboard.press('h')
  await expect(row(desk, 'Quote')).toHaveAccessibleName(/hidden/)
})

test('a section’s row shows where it begins while it is pointed at; its switches hide and lock it', async ({
  desk,
}) => {
  const quote = row(desk, 'Quote')
  const offset = quote.locator('[data-offset-of]')
  await quote.hover()
  await expect(offset).toBeVisible()
  await quote.getByRole('button', { name: 'Hide Quote' }).hover()
  await quote.getByRole('button', { name: 'Lock Quote' }).click()
  await quote.getByRole('button', { name: 'Hide Quote' }).click()
  await desk.mouse.move(600, 400)
  await expect(offset).toBeVisible()
  await saved(desk)
  expect(await storedBlock(desk, '/', 'Quote')).toMatchObject({ locked: true, props: { hidden: true } })
})

test('single keys can be switched off at once, and the key of the distances is another when it is given one', async ({
  desk,
}) => {
  const gauge = desk.locator('[data-gauge]').first()
  const header = onSheet(desk, 'desktop', 'Sign in')
  const hold = async (key: string) => {
    await row(desk, 'Hero').click()
    await board(desk).focus()
    await header.hover()
    await desk.keyboard.down(key)
  }
  await hold('g')
  await expect(gauge).toHaveCount(1)
  await desk.keyboard.up('g')
  await expect(gauge).toHaveCount(0)
  const dialog = desk.getByRole('dialog', { name: 'Shortcuts' })
  await desk.keyboard.press('?')
  await dialog.getByRole('button', { name: /^Keys of See distances/ }).click()
  await desk.keyboard.press('x')
  await desk.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await hold('x')
  await expect(gauge).toHaveCount(1)
  await desk.keyboard.up('x')
  await desk.keyboard.press('?')
  await dialog.getByRole('checkbox', { name: /alone are shortcuts/ }).uncheck()
  await desk.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await hold('x')
  await desk.keyboard.up('x')
  await desk.keyboard.press('h')
  await saved(desk)
  await expect(gauge).toHaveCount(0)
  await expect(desk.locator('[data-key-note]')).toHaveCount(0)
  // What has Ctrl is heard as before; there one finds the way back.
  await desk.keyboard.press('ControlOrMeta+k')
  await desk.keyboard.type('shortcuts')
  await desk.keyboard.press('Enter')
  await dialog.getByRole('checkbox', { name: /alone are shortcuts/ }).check()
  await desk.keyboard.press('Escape')
  await row(desk, 'Hero').click()
  await desk.keyboard.press('h')
  await expect(desk.locator('[data-key-note]')).toBeVisible()
})

test('the board says what is on it, and where what is selected lies', async ({ desk }) => {
  await expect(board(desk)).toHaveAccessibleDescription(
    /^Desktop, 1440 wide, \d+ high: Header, 88 high; Hero, 608 high; .* Mobile, 390 wide, /,
  )
  await row(desk, 'Hero').click()
  await expect(desk.locator('[aria-live=polite].sr-only')).toContainText(
    'Hero selected on Desktop, 1440 by 608 at 0, 88',
  )
})
