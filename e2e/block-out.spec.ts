/** Blocking out: areas drawn and typed, sections with lattices of their own, the lattice pulled on the sheet, heights in words. */
import type { Page } from '@playwright/test'
import { choose, expect, row, saved, setValue, stored, test } from './app'
import { paste, storedBlock, storedPage } from './loose-page'

async function emptyPage(page: Page, name: string) {
  await page.keyboard.press('n')
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Make the page' }).click()
  await page.keyboard.press('f')
}

test('areas are typed: too many columns are told, the rest is placed, on narrow views one below the other', async ({
  desk,
}) => {
  await emptyPage(desk, 'Typed')
  await desk.keyboard.press('Shift+E')
  const dialog = desk.getByRole('dialog', { name: 'Areas in words' })
  await dialog.getByRole('textbox').fill('aside 4, article 9')
  await expect(dialog.getByRole('alert')).toContainText('1 too many')
  await expect(dialog.getByRole('button', { name: 'Block out' })).toBeDisabled()
  await dialog.getByRole('textbox').fill('aside 4, article 7, leave one')
  await dialog.getByRole('textbox').press('Enter')
  await saved(desk)
  expect((await storedBlock(desk, '/typed', 'Article')).props.width).toEqual({
    kind: 'columns',
    span: 7,
    from: 5,
  })
  await desk.keyboard.press('ControlOrMeta+0')
  await expect(desk.locator('[data-area-words]').filter({ hasText: 'Aside' }).first()).toContainText(
    'columns 1–4 of 12',
  )
  const narrow = (await storedBlock(desk, '/typed', 'Article')).overrides?.mobile
  expect(narrow).toEqual({ width: { kind: 'columns', span: 4, from: 1 } })
})

test('areas are drawn over the columns: a press in a gutter belongs to a column, Escape ends it', async ({
  desk,
}) => {
  await emptyPage(desk, 'Drawn')
  await desk.keyboard.press('e')
  const sheet = (await desk.locator('[data-sheet=desktop]').boundingBox())!
  const zoom = sheet.width / 1440
  const at = (x: number, y: number) => [sheet.x + x * zoom, sheet.y + y * zoom] as const
  // From the gutter before column 3 to the one behind column 6.
  await desk.mouse.move(...at(310, 40))
  await desk.mouse.down()
  await desk.mouse.move(...at(712, 300), { steps: 5 })
  await expect(desk.locator('[data-drawing]')).toHaveAttribute('data-drawing', /^columns 3–6 of 12 · 392 × /)
  await desk.mouse.up()
  await saved(desk)
  expect((await storedBlock(desk, '/drawn', 'Area 1')).props.width).toEqual({
    kind: 'columns',
    span: 4,
    from: 3,
  })
  await desk.keyboard.press('Escape')
  await expect(desk.getByText('Drag over the columns')).toHaveCount(0)
})

test('a section stands on a lattice of its own; its blocks are placed on that', async ({ desk }) => {
  await row(desk, 'Ready to sow').click()
  await choose(desk, /^Lattice of the section/, 'a lattice of its own')
  await setValue(desk, /^Own columns/, '9')
  await expect(desk.getByRole('group', { name: 'Columns of Desktop' }).locator('[data-column]')).toHaveCount(
    9,
  )
  await saved(desk)
  const section = await storedBlock(desk, '/', 'Ready to sow')
  expect(section.props.lattice).toMatchObject({ columns: 9, gutter: 24, container: 1224 })
  expect(section.overrides?.mobile?.lattice).toBe('view')
  // From the spec back to the board, then from the section to the page.
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('group', { name: 'Columns of Desktop' }).locator('[data-column]')).toHaveCount(
    12,
  )
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect((await storedBlock(desk, '/', 'Ready to sow')).props.lattice).toBeUndefined()
})

test('the lattice is pulled on the sheet: a container’s edge on both sides, the gutters; Escape leaves it', async ({
  desk,
}) => {
  const lattice = async () => (await stored(desk)).views[0]!.lattice
  const sheet = (await desk.locator('[data-sheet=desktop]').boundingBox())!
  const zoom = sheet.width / 1440
  const pull = async (handle: string, by: number, end: () => Promise<void>) => {
    const box = (await desk.locator(`[data-lattice-handle=${handle}]`).first().boundingBox())!
    const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
    await desk.mouse.move(from.x, from.y)
    await desk.mouse.down()
    await desk.mouse.move(from.x + by * zoom, from.y, { steps: 4 })
    await end()
    await desk.mouse.up()
    await saved(desk)
  }
  await pull('right', 30, async () => expect(desk.getByText(/container 128\d ·/).first()).toBeVisible())
  const { container } = await lattice()
  expect(container).toBeGreaterThan(1224 + 50)
  await pull('gutter', 20, () => desk.keyboard.press('Escape'))
  expect((await lattice()).gutter).toBe(24)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect((await lattice()).container).toBe(1224)
})

test('a height in words: the rest of the first screen; a cushion stays last', async ({ desk }) => {
  await emptyPage(desk, 'Heights')
  await desk.keyboard.press('p')
  await desk.getByRole('dialog').getByRole('textbox').fill('header 96, hero 300, cushion 80')
  await desk.getByRole('button', { name: 'Lay out the bands' }).click()
  await setValue(desk, /^Height of Hero/, 'rest - 100')
  await saved(desk)
  expect((await storedBlock(desk, '/heights', 'Hero')).props.height).toEqual({
    kind: 'exact',
    px: 900 - 96 - 100,
  })
  await desk.keyboard.press('p')
  await desk.getByRole('dialog').getByRole('textbox').fill('header 96, hero 300, news 400, cushion 80')
  await desk.getByRole('button', { name: 'Lay out the bands' }).click()
  await saved(desk)
  const { sections } = await storedPage(desk, '/heights')
  const names = [...sections].sort((a, b) => (a.order < b.order ? -1 : 1))
  expect(names.map((each) => each.name)).toEqual(['Header', 'Hero', 'News', 'Cushion'])
})

test('the baseline rhythm and the safe area are drawn when asked for', async ({ desk }) => {
  await desk.keyboard.press('ControlOrMeta+0')
  await desk.keyboard.press('Shift+B')
  await expect(desk.locator('[data-baseline=desktop]')).toBeAttached()
  await desk.keyboard.press('b')
  await setValue(desk, /^Safe width/, '1024')
  await expect(desk.locator('[data-safe="1024"]')).toContainText('safe 1024')
  await saved(desk)
  expect((await stored(desk)).views[0]!.safe).toBe(1024)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
})

test('an SVG is pasted as a picture, broken markup as words', async ({ desk }) => {
  await emptyPage(desk, 'Pasted')
  await paste(
    desk,
    '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><rect width="40" height="20"/></svg>',
  )
  await expect(row(desk, 'Picture')).toBeVisible()
  await paste(desk, '<svg width="40"><rect')
  await saved(desk)
  const { sections } = await storedPage(desk, '/pasted')
  const kinds = sections.flatMap((section) => (section.children ?? []).map((each) => each.kind))
  expect(kinds.sort()).toEqual(['picture', 'text'])
})

test('shortcuts are changed and put back; the desk is found as it was left', async ({ desk }) => {
  await desk.keyboard.press('?')
  const dialog = desk.getByRole('dialog', { name: 'Shortcuts' })
  await dialog.getByRole('button', { name: /^Keys of Show or hide the lattice/ }).click()
  await desk.keyboard.press('m')
  await expect(dialog.getByRole('button', { name: 'Keys of Show or hide the lattice: M' })).toBeVisible()
  await desk.keyboard.press('Escape')
  const shown = desk.getByRole('button', { name: 'Lattice', exact: true })
  await expect(shown).toHaveAttribute('aria-pressed', 'true')
  await desk.keyboard.press('m')
  await expect(shown).toHaveAttribute('aria-pressed', 'false')
  await desk.keyboard.press('ControlOrMeta+=')
  const zoom = await desk.getByTitle(/^Real size/).textContent()
  await desk.reload()
  await desk.locator('[data-sheet] [data-node]').first().waitFor()
  await expect(shown).toHaveAttribute('aria-pressed', 'false')
  await expect(desk.getByTitle(/^Real size/)).toHaveText(zoom!)
  await desk.keyboard.press('?')
  await desk.getByRole('button', { name: 'Put all back' }).click()
  await desk.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await desk.keyboard.press('l')
  await expect(shown).toHaveAttribute('aria-pressed', 'true')
})

test('the lattice is pulled by keys, too: a px, the step, one step of the history for a run of them', async ({
  desk,
}) => {
  await desk.locator('[data-board]').focus()
  const gutters = desk.getByRole('slider', { name: 'Gutters, Desktop' })
  await gutters.focus()
  await desk.keyboard.press('ArrowRight')
  await desk.keyboard.press('Shift+ArrowRight')
  await expect(gutters).toHaveAttribute('aria-valuetext', '33 px')
  await expect(gutters).toBeFocused()
  await saved(desk)
  expect((await stored(desk)).views[0]!.lattice.gutter).toBe(33)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(gutters).toHaveAttribute('aria-valuetext', '24 px')
})
