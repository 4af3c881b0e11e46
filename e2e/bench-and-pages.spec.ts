/** The lattice bench in full, the project's views, and its pages. */
import { readFile } from 'node:fs/promises'
import { choose, expect, row, saved, setValue, stored, test } from './app'

test('fractional columns: said, with whole-pixel neighbours one click away', async ({ desk }) => {
  await setValue(desk, /^Container: \d/, '1440-2*64')
  await expect(desk.locator('[data-bench=columnWidth]')).toContainText('87.33 px')
  await expect(desk.getByText('12 × 87.33 + 11 × 24 = 1312')).toBeVisible()
  await desk.getByRole('button', { name: 'Use 12 columns of 87 with gutter 24' }).click()
  await expect(desk.locator('[data-bench=columnWidth]')).toContainText('87 px')
  await expect(desk.getByText('Whole-pixel neighbours')).toHaveCount(0)
  await saved(desk)
  expect((await stored(desk)).views[0]!.lattice).toMatchObject({ container: 1308, columns: 12, gutter: 24 })
  // What stands on columns followed; the other sheet stayed.
  await row(desk, 'Hero').press('ArrowRight')
  await row(desk, 'Hero words').click()
  await expect(desk.locator('[data-size-tag=desktop]')).toContainText(`columns 1–6 · ${6 * 87 + 5 * 24} ×`)
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('b')
  await expect(desk.locator('[data-bench=columnWidth]')).toContainText('80 px')
})

test('half gutters, a stretched container, what is missing', async ({ desk }) => {
  await desk.getByLabel('Half a gutter outside the first and last column').check()
  await expect(desk.locator('[data-bench=columnWidth]')).toContainText('78 px')
  await desk.getByLabel('Half a gutter outside the first and last column').uncheck()
  await choose(desk, /^Container: centred/, 'stretched')
  await expect(desk.locator('[data-bench=margin]')).toContainText('108 px')
  await saved(desk)
  expect((await stored(desk)).views[0]!.lattice).toMatchObject({ container: null, margin: 108 })
  await desk.getByRole('button', { name: 'Solve for columns' }).click()
  await expect(desk.getByRole('alert')).toContainText('Still needed: columns or column width')
  await expect(desk.getByRole('group', { name: 'Columns of Desktop' }).locator('[data-column]')).toHaveCount(
    12,
  )
  await setValue(desk, /^Column: /, '240')
  await expect(desk.getByRole('alert')).toContainText('px too')
})

test('the bench speaks of the other view; widths take sums', async ({ desk }) => {
  await desk.getByRole('radio', { name: 'Mobile' }).click()
  await expect(desk.locator('[data-lattice-bench=mobile]')).toBeVisible()
  await setValue(desk, /^Viewport:/, '780/2+40')
  await expect(
    desk.getByRole('group', { name: 'Views shown' }).getByRole('button', { name: 'Mobile 430' }),
  ).toBeVisible()
  await saved(desk)
  expect((await stored(desk)).views[1]!.width).toBe(430)
})

test('a view is added, is drawn, and what would be lost with one is said', async ({ desk }) => {
  await desk.getByRole('button', { name: 'Views of the project' }).click()
  await desk.getByRole('dialog').getByLabel('Another width in px').fill('768')
  await desk.getByRole('dialog').getByRole('button', { name: 'Add this width' }).click()
  await desk.getByRole('button', { name: 'Remove Mobile' }).click()
  await expect(desk.getByRole('group', { name: 'Removing Mobile' })).toContainText('values for Mobile alone')
  await desk.getByRole('button', { name: 'Keep Mobile' }).click()
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-sheet]')).toHaveCount(3)
  await saved(desk)
  const { views } = await stored(desk)
  expect(views.map((view) => view.width)).toEqual([1440, 768, 390])
})

test('pages: made, renamed, left, deleted, brought back by undo', async ({ desk }) => {
  const before = (await stored(desk)).pages.map((page) => page.name)
  await desk.keyboard.press('n')
  const dialog = desk.getByRole('dialog', { name: 'New page' })
  await dialog.getByLabel('Path').fill('/catalogue')
  await dialog.getByLabel('Name', { exact: true }).fill('Attic')
  await dialog.getByRole('button', { name: 'Make the page' }).click()
  await expect(dialog.getByRole('alert')).toContainText('already the path of “Catalogue”')
  await dialog.getByLabel('Path').fill('/attic')
  await dialog.getByRole('button', { name: 'Make the page' }).click()
  await expect(desk.getByText('This page is empty')).toBeVisible()
  await desk.getByRole('button', { name: 'Page: Attic' }).click()
  await desk.getByRole('button', { name: 'Rename Attic' }).click()
  await desk.getByLabel('Page name').fill('Loft')
  await desk.keyboard.press('Enter')
  await desk.getByRole('button', { name: 'Delete Loft' }).click()
  await desk.keyboard.press('Escape')
  await saved(desk)
  expect((await stored(desk)).pages.map((page) => page.name)).toEqual(before)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  const after = (await stored(desk)).pages
  expect(after.map((page) => page.name)).toEqual([...before, 'Loft'])
  expect(after.at(-1)).toMatchObject({ path: '/attic' })
})

test('a page goes into a folder by its path, and stands under it in the list', async ({ desk }) => {
  const pages = desk.getByRole('button', { name: /^Page: / })
  const list = desk.getByRole('dialog', { name: /^Page: / })
  await pages.click()
  await list
    .getByRole('button', { name: /^Catalogue/ })
    .first()
    .click()
  await expect(pages).toContainText('Catalogue')
  await pages.click()
  await list.getByRole('button', { name: 'About Catalogue …' }).click()
  const path = desk.getByLabel('Path', { exact: false })
  await path.fill('/')
  await path.press('Enter')
  await expect(desk.getByText('/ is already the path of “Home”.')).toBeVisible()
  await path.fill('/seasons/autumn')
  await path.press('Enter')
  await desk.keyboard.press('Escape')
  await saved(desk)
  expect((await stored(desk)).pages.find(({ name }) => name === 'Catalogue')?.path).toBe('/seasons/autumn')
  await pages.click()
  await expect(list.getByText('/seasons', { exact: true })).toBeVisible()
  const [folder, page] = await Promise.all(
    [list.getByText('/seasons', { exact: true }), list.getByText('Catalogue', { exact: true })].map((each) =>
      each.boundingBox(),
    ),
  )
  expect(page!.y).toBeGreaterThan(folder!.y)
  expect(page!.x).toBeGreaterThan(folder!.x - 8)
})

test('what is said about a page and the site is handed off in its head', async ({ desk }) => {
  await desk.getByRole('button', { name: /^Page: Home/ }).click()
  await desk.getByRole('button', { name: /^About Home/ }).click()
  const dialog = desk.getByRole('dialog', { name: 'About Home' })
  await dialog.getByLabel('Description').fill('Seed to borrow, by the packet')
  await dialog.getByLabel('Language of this page').fill('cy?')
  await dialog.getByLabel('Language of this page').press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('A language such as')
  await dialog.getByLabel('Language of this page').fill('cy')
  await dialog.getByLabel('Language of this page').press('Enter')
  await dialog
    .getByRole('group', { name: /^Preview/ })
    .getByRole('button', { name: 'The glasshouse' })
    .click()
  await desk.keyboard.press('Escape')
  await saved(desk)
  const [home] = (await stored(desk)).pages as unknown as Record<string, string>[]
  expect(home).toMatchObject({
    description: 'Seed to borrow, by the packet',
    lang: 'cy',
    preview: 'pic-glasshouse',
  })
})

test('how many families a page may be set in is said for the site; texts in more are marked', async ({
  desk,
}) => {
  await expect(desk.locator('[data-page-mark$="families"]')).toHaveCount(0)
  await desk.getByRole('button', { name: /^Page: Home/ }).click()
  await desk.getByRole('button', { name: /^About Home/ }).click()
  const field = desk.getByRole('dialog').getByLabel('Families on a page, at most')
  await field.fill('none')
  await field.press('Enter')
  await expect(desk.getByRole('alert')).toContainText('A whole number from 1 to 50')
  await field.fill('1')
  await field.press('Enter')
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-page-mark$="one of 2 families"]').first()).toBeAttached()
  await saved(desk)
  expect((await stored(desk)) as unknown as { about: object }).toMatchObject({ about: { families: 1 } })
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.locator('[data-page-mark$="families"]')).toHaveCount(0)
})

test('views: named, widened, copied, and taken away with what that loses said first', async ({ desk }) => {
  await desk.locator('[data-board]').focus()
  await desk.getByRole('button', { name: 'Views of the project' }).click()
  const dialog = desk.getByRole('dialog', { name: 'Views of this project' })
  const rows = dialog.getByRole('listitem')
  await dialog.getByRole('button', { name: 'Rename Mobile' }).click()
  await desk.keyboard.type('Phone')
  await desk.keyboard.press('Enter')
  await expect(rows.nth(1)).toContainText('Phone')
  await dialog.getByRole('button', { name: 'Duplicate Desktop' }).click()
  await expect(rows).toHaveCount(3)
  await expect(rows.nth(1)).toContainText('Desktop copy')
  await dialog.getByRole('button', { name: /^Width of Desktop copy/ }).click()
  await desk.keyboard.type('1440')
  await desk.keyboard.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('1440 px wide already')
  await dialog.getByRole('button', { name: 'Remove Phone' }).click()
  await expect(dialog.getByRole('group', { name: 'Removing Phone' })).toContainText('values for Phone alone')
  await dialog.getByRole('button', { name: 'Keep Phone' }).click()
  await dialog.getByRole('button', { name: 'Remove Phone' }).click()
  await dialog.getByRole('button', { name: 'Remove it with them' }).click()
  await expect(rows).toHaveCount(2)
  await desk.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await saved(desk)
  expect((await stored(desk)).views.map(({ width }) => width)).not.toContain(390)
})

test('a window narrower than the container is no error: the least margin is used', async ({ desk }) => {
  await setValue(desk, /^Viewport:/, '1024')
  await expect(desk.getByRole('alert')).toHaveCount(0)
  await expect(desk.locator('[data-bench=container]')).toContainText('976')
  await expect
    .poll(async () => (await stored(desk)).views[0])
    .toMatchObject({ width: 1024, lattice: { container: 1224, margin: 24 } })
})

test('what a single key does is said with a way back; hidden tools come back by Escape', async ({ desk }) => {
  await row(desk, 'Quote').click()
  await desk.keyboard.press('h')
  const note = desk.locator('[data-key-note]')
  await expect(note).toContainText('Hide Quote')
  await note.getByRole('button', { name: 'Undo' }).click()
  await saved(desk)
  // Its Undo is of what the key did: after something else it is gone.
  await row(desk, 'Quote').click()
  await desk.keyboard.press('h')
  await expect(note).toBeVisible()
  await setValue(desk, /^Height of Header/, '100')
  await expect(note).toHaveCount(0)
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await row(desk, 'Quote').click()
  await desk.keyboard.press('0')
  await expect(note).toContainText('brings the tools back')
  await expect(row(desk, 'Quote')).toHaveCount(0)
  await desk.keyboard.press('Escape')
  await expect(row(desk, 'Quote')).toBeVisible()
})

test('a page is copied, shown, and put in another order; a sheet is saved as pixels', async ({ desk }) => {
  const pages = () => desk.getByRole('button', { name: /^Page: / })
  await pages().click()
  await desk.getByRole('button', { name: 'Duplicate Home' }).click()
  await expect(pages()).toContainText('Home copy')
  await expect(row(desk, 'Hero')).toBeVisible()
  await pages().click()
  await desk.getByRole('button', { name: 'Move Home copy up' }).click()
  await saved(desk)
  const names = () => stored(desk).then(({ pages: all }) => all.map(({ name }) => name))
  expect((await names())[0]).toBe('Home copy')
  await desk.keyboard.press('Escape')
  await desk.getByRole('button', { name: 'Hand off' }).click()
  const [download] = await Promise.all([
    desk.waitForEvent('download'),
    desk.getByRole('button', { name: /as PNG, 2 pixels for one px/ }).click(),
  ])
  expect(download.suggestedFilename()).toBe('home-copy-1440@2x.png')
  const png = await readFile(await download.path())
  expect(png.readUInt32BE(16)).toBe(2880)
  expect(png.length).toBeGreaterThan(50_000)
})

test('a page is saved as PDF: one sheet of its size; one that is not wanted any more is given up', async ({
  desk,
}) => {
  await desk.getByRole('button', { name: 'Hand off' }).click()
  const [download] = await Promise.all([
    desk.waitForEvent('download'),
    desk.getByRole('button', { name: /^Home, Desktop, on paper/ }).click(),
  ])
  expect(download.suggestedFilename()).toBe('home-1440.pdf')
  const pdf = (await readFile(await download.path())).toString('latin1')
  expect(pdf.slice(0, 5)).toBe('%PDF-')
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1)
  // 1440 px at three quarters of a point each.
  expect(/\/MediaBox \[ *0 0 ([\d.]+)/.exec(pdf)![1]).toBe('1080')
  await expect(desk.getByText('Making home-1440.pdf …')).toHaveCount(0)
  await desk.route('**/*.pdf', () => {})
  await desk.getByRole('button', { name: 'Hand off' }).click()
  await desk.getByRole('button', { name: /^Home, Desktop, on paper/ }).click()
  await expect(desk.getByText('Making home-1440.pdf …')).toBeVisible()
  await desk.getByRole('button', { name: 'Cancel' }).click()
  await expect(desk.getByText('Making home-1440.pdf …')).toHaveCount(0)
  await expect(desk.getByRole('alert')).toHaveCount(0)
  const other = `${desk.url().replace('/projects/', '/api/projects/')}/pages/nowhere/desktop.pdf`
  expect((await desk.request.get(other)).status()).toBe(404)
})
