/** From an empty project to a page handed off, by mouse and keyboard, as a new user would. */
import { readFile } from 'node:fs/promises'
import { SiteViewer } from '../src/cli/browser'
import { openProject } from '../src/core/document/open'
import { choose, expect, findNode, handedOff, onSheet, row, saved, setValue, stored, test } from './app'

test('from an empty project to a page handed off', async ({ page, app }) => {
  await page.goto(app.address)
  await page.getByRole('button', { name: 'New project' }).click()
  await page.getByLabel('Name').fill('Seed swap')
  await page.keyboard.press('Enter')
  await expect(page.getByText('This page is empty')).toBeVisible()

  // A page of its own, with one more view than the project has.
  await page.keyboard.press('n')
  await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('Market day')
  await page.getByRole('dialog').getByRole('button', { name: 'Tablet 834' }).click()
  await page.getByRole('button', { name: 'Make the page' }).click()
  await expect(page.getByRole('button', { name: 'Page: Market day' })).toBeVisible()

  // The lattice bench: 1512 wide, container 1224, 12 columns, gutter 24 gives 80 and 144.
  await setValue(page, /^Viewport:/, '1512')
  await setValue(page, /^Container: \d/, '1224')
  await expect(page.locator('[data-bench=columnWidth]')).toContainText('80 px')
  await expect(page.locator('[data-bench=margin]')).toContainText('144 px')

  // One too many: it says which values disagree and by how much, and the sheet keeps what it had.
  await page.getByRole('button', { name: 'Keep margin as it is' }).click()
  await setValue(page, /^Margin:/, '140')
  await expect(page.getByRole('alert')).toContainText('8 px too narrow')
  await page.getByRole('button', { name: 'Solve for margin' }).click()
  await expect(page.locator('[data-bench=margin]')).toContainText('144 px')

  // From the shelf: header, hero, content, footer.
  for (const [search, item] of [
    ['Name, links, action', 'header'],
    ['Words left', 'hero'],
    ['Three cards', 'cards'],
    ['Name and link lists', 'footer'],
  ] as const) {
    await page.getByLabel(/Place anything/).fill(search)
    await page.locator(`[data-shelf-item=${item}]`).click()
  }
  await page.getByLabel(/Place anything/).press('Escape')
  await expect(row(page, 'Footer')).toBeVisible()
  await saved(page)

  // The ledger adds up: every offset is the sum of the heights before it.
  const heights = await page.locator('[data-height-of]').allTextContents()
  const offsets = await page.locator('[data-offset-of]').allTextContents()
  let sum = 0
  heights.forEach((height, i) => {
    expect(Number(offsets[i])).toBeCloseTo(sum, 1)
    sum += Number(height)
  })
  expect(Number(await page.locator('[data-page-height]').textContent())).toBeCloseTo(sum, 1)

  // A button grows with its label.
  await page.keyboard.press('f')
  const button = onSheet(page, 'desktop', 'Begin here')
  const before = (await button.boundingBox())!
  await button.dblclick()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('Begin here with a much longer label')
  await page.keyboard.press('Enter')
  const longer = onSheet(page, 'desktop', 'much longer label')
  await expect(longer).toBeVisible()
  expect((await longer.boundingBox())!.width).toBeGreaterThan(before.width * 2)
  await expect(onSheet(page, 'mobile', 'much longer label')).toBeVisible()

  // A section pushes what is below it; its height takes arithmetic.
  const heroOffset = () => page.locator('[data-offset-of]').nth(2).textContent().then(Number)
  const was = await heroOffset()
  await page.getByRole('button', { name: /^Height of Hero/ }).click()
  await page.keyboard.type('520*1+96')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-height-of]').nth(1)).toHaveText('616')
  expect(await heroOffset()).not.toBe(was)

  // The column header: drag the hero words from columns 1–6 to 2–5.
  await row(page, 'Hero').press('ArrowRight')
  await row(page, 'Hero words').click()
  const columns = page.getByRole('group', { name: 'Columns of Desktop' })
  const two = (await columns.locator('[data-column="2"]').boundingBox())!
  const five = (await columns.locator('[data-column="5"]').boundingBox())!
  await page.mouse.move(two.x + two.width / 2, two.y + 8)
  await page.mouse.down()
  await page.mouse.move(five.x + 4, five.y + 8, { steps: 5 })
  await page.mouse.up()
  await expect(page.locator('[data-size-tag=desktop]')).toContainText('columns 2–5')

  // Gap, direction, alignment, size kind, in the spec.
  await setValue(page, /^Gap:/, '24+8')
  await choose(page, /^Lined up:/, 'centre')
  await choose(page, /^Height:/, 'exact')
  await setValue(page, 'Height in px', '')
  await page.keyboard.press('Escape')
  await choose(page, /^Height:/, 'snug')
  await saved(page)
  let words = findNode((await stored(page)).pages[1]!.sections, 'Hero words')!
  expect(words.props).toMatchObject({
    rowGap: 32,
    align: 'center',
    width: { kind: 'columns', from: 2, span: 4 },
    height: { kind: 'snug' },
  })

  // Only on Mobile: marked, shown only there, and put back.
  const sheet = page.locator('[data-sheet=mobile]')
  const box = (await sheet.boundingBox())!
  await page.mouse.click(
    box.x + box.width / 2,
    (await onSheet(page, 'mobile', 'Say the one thing').boundingBox())!.y + 4,
  )
  await expect(page.getByRole('radio', { name: 'Only Mobile' })).toBeChecked()
  await setValue(page, /^Font size:/, '30')
  await expect(page.locator('[data-line=fontSize]')).toHaveAttribute('data-overridden', 'true')
  await saved(page)
  let heading = findNode((await stored(page)).pages[1]!.sections, 'Heading')!
  expect(heading.overrides?.mobile).toMatchObject({ fontSize: 30 })
  expect(heading.props.fontSize).toBeUndefined()
  await page.getByRole('button', { name: 'Put back font size on Mobile' }).click()
  await saved(page)
  heading = findNode((await stored(page)).pages[1]!.sections, 'Heading')!
  expect(heading.overrides?.mobile?.fontSize).toBeUndefined()

  // Reorder in the ledger by keyboard, undo it all the way, redo it.
  await row(page, 'Content').click()
  await row(page, 'Content').press('Alt+ArrowUp')
  await expect(page.getByRole('treeitem', { level: 1 }).nth(1)).toHaveAttribute('data-name', 'Content')
  await page.keyboard.press('ControlOrMeta+z')
  await expect(page.getByRole('treeitem', { level: 1 }).nth(1)).toHaveAttribute('data-name', 'Hero')
  await page.keyboard.press('ControlOrMeta+Shift+z')
  await expect(page.getByRole('treeitem', { level: 1 }).nth(1)).toHaveAttribute('data-name', 'Content')
  await saved(page)

  // Reload: nothing acknowledged is gone.
  const beforeReload = await stored(page)
  await page.reload()
  await page.locator('[data-sheet]').first().waitFor()
  expect(await stored(page)).toEqual(beforeReload)

  // Hand off: the zip lays out in a browser; the project inside opens again identically.
  const files = await handedOff(page)
  const text = (name: string) => new TextDecoder().decode(files[name])
  expect(openProject(files['project.lattice']!).document.toFile()).toEqual(beforeReload)
  expect(text('market-day/index.html')).toContain('<h1')
  expect(text('market-day/index.html')).not.toContain('style=')
  expect(text('styles.css')).toContain('@media (max-width:')
  expect(text('styles.css')).toContain('var(--type-')
  expect(Object.keys(files).some((name) => name.endsWith('.woff2'))).toBe(true)
  const viewer = await SiteViewer.open()
  await viewer.show(new Map(Object.entries(files)), 'market-day/index.html', 1512, 900)
  expect(await viewer.page.getByRole('heading', { level: 1 }).textContent()).toContain('Say the one thing')
  await viewer.close()
  words = findNode(beforeReload.pages[1]!.sections, 'Hero words')!
  expect(words.name).toBe('Hero words')

  // The project file opens again as another project, the same in every part.
  await page.getByRole('button', { name: 'Hand off' }).click()
  const [projectFile] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /Project file/ }).click(),
  ])
  expect(projectFile.suggestedFilename()).toMatch(/\.lattice$/)
  const again = await readFile(await projectFile.path())
  // Made here or by the server: the same bytes.
  expect(again.equals(files['project.lattice']!)).toBe(true)
  await page.goto(app.address)
  await page.getByLabel('Project file').setInputFiles({ name: 'again.lattice', mimeType: '', buffer: again })
  await page.locator('[data-sheet]').first().waitFor()
  expect(await stored(page)).toEqual(beforeReload)
})
