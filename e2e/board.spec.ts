/** The board, the ledger and the keyboard. */

import { starterProject } from '../src/core/shelf/starter'
import { choose, expect, findNode, onSheet, row, SPEAKING, saved, setValue, stored, test } from './app'

test('pan, zoom, fit, real size', async ({ desk }) => {
  const sheet = desk.locator('[data-sheet=desktop]')
  const width = async () => (await sheet.boundingBox())!.width
  const fitted = await width()
  await desk.keyboard.press('ControlOrMeta+0')
  expect(await width()).toBeCloseTo(1440, 0)
  await desk.mouse.move(600, 400)
  const before = (await sheet.boundingBox())!
  await desk.mouse.wheel(0, 120)
  await expect.poll(async () => (await sheet.boundingBox())!.y).toBeCloseTo(before.y - 120, 0)
  await desk.keyboard.down('Control')
  await desk.mouse.wheel(0, 100)
  await desk.keyboard.up('Control')
  await expect.poll(width).toBeLessThan(1440)
  await desk.keyboard.press('f')
  await expect.poll(width).toBeCloseTo(fitted, 0)
})

test('a notch sizes a block on whole columns; Escape takes a drag back', async ({ desk }) => {
  await row(desk, 'Hero').press('ArrowRight')
  await row(desk, 'Hero words').click()
  const tag = desk.locator('[data-size-tag=desktop]')
  await expect(tag).toContainText('columns 1–6')
  const notch = (await desk.locator('[data-notch="1,0"]').boundingBox())!
  const column = (await desk
    .getByRole('group', { name: 'Columns of Desktop' })
    .locator('[data-column="4"]')
    .boundingBox())!
  const from = { x: notch.x + 4, y: notch.y + 4 }
  await desk.mouse.move(from.x, from.y)
  await desk.mouse.down()
  // Let go inside the gutter behind column 4: the right edge goes to the column, not into the gutter.
  await desk.mouse.move(column.x + column.width + 2, from.y, { steps: 4 })
  await expect(tag).toContainText('columns 1–4')
  await desk.keyboard.press('Escape')
  await desk.mouse.up()
  await expect(tag).toContainText('columns 1–6')
})

test('drag a section in the ledger; it is the same on every sheet', async ({ desk }) => {
  const from = (await row(desk, 'Quote').boundingBox())!
  const to = (await row(desk, 'Ready to sow').boundingBox())!
  await desk.mouse.move(from.x + 60, from.y + 14)
  await desk.mouse.down()
  await desk.mouse.move(to.x + 60, to.y + 3, { steps: 6 })
  await expect(row(desk, 'Ready to sow')).toHaveAttribute('data-drop', 'before')
  await desk.mouse.up()
  await expect(desk.getByRole('treeitem', { level: 1 }).nth(2)).toHaveAttribute('data-name', 'Quote')
  await saved(desk)
  expect((await stored(desk)).pages[0]!.sections.map((section) => section.name)).toEqual([
    'Header',
    'Hero',
    'Quote',
    'Ready to sow',
    'Footer',
  ])
  const quote = (await onSheet(desk, 'mobile', 'eleven packets').boundingBox())!
  const ready = (await onSheet(desk, 'mobile', 'Ready to sow this week').boundingBox())!
  expect(quote.y).toBeLessThan(ready.y)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.getByRole('treeitem', { level: 1 }).nth(2)).toHaveAttribute('data-name', 'Ready to sow')
})

test('hidden only on Mobile: the other sheet keeps it', async ({ desk }) => {
  const block = onSheet(desk, 'mobile', 'Take home')
  const box = (await block.boundingBox())!
  await desk.mouse.click(box.x + 5, box.y + 5)
  await desk.keyboard.press('h')
  await expect(onSheet(desk, 'mobile', 'Take home')).toHaveCount(0)
  await expect(onSheet(desk, 'desktop', 'Take home')).toBeVisible()
  await saved(desk)
  const node = findNode((await stored(desk)).pages[0]!.sections, 'Paragraph')!
  expect(node.overrides?.mobile?.hidden).toBe(true)
  expect(node.props.hidden).toBeUndefined()
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(onSheet(desk, 'mobile', 'Take home')).toBeVisible()
})

test('the palette finds and runs a command', async ({ desk }) => {
  await desk.keyboard.press('ControlOrMeta+k')
  await desk.keyboard.type('new page')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('dialog', { name: 'New page' })).toBeVisible()
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('dialog', { name: 'New page' })).toHaveCount(0)
})

test('projects: rename, duplicate, delete, bring back', async ({ page, app }) => {
  await page.goto(app.address)
  const card = (name: string) => page.locator(`[data-project="${name}"]`)
  const more = async (name: string, command: string) => {
    await page.getByRole('button', { name: `More for ${name}`, exact: true }).click()
    await page.getByRole('dialog').getByRole('button', { name: command }).click()
  }
  await more('Hollow Oak Seed Library', 'Duplicate')
  await expect(card('Hollow Oak Seed Library copy')).toBeVisible()
  await more('Hollow Oak Seed Library copy', 'Rename')
  await page.getByLabel('Project name').fill('Second shelf')
  await page.keyboard.press('Enter')
  await expect(card('Second shelf')).toBeVisible()
  await more('Second shelf', 'Delete')
  await expect(card('Second shelf')).toHaveCount(0)
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(card('Second shelf')).toBeVisible()
})

test('copy, cut and paste blocks; words from elsewhere become a text', async ({ desk }) => {
  await row(desk, 'Quote').click()
  await desk.keyboard.press('ControlOrMeta+c')
  await row(desk, 'Footer').click()
  await desk.keyboard.press('ControlOrMeta+v')
  await expect(desk.getByRole('treeitem', { level: 1 })).toHaveCount(6)
  await saved(desk)
  const sections = (await stored(desk)).pages[0]!.sections
  expect(sections.map((section) => section.name)).toEqual([
    'Header',
    'Hero',
    'Ready to sow',
    'Quote',
    'Footer',
    'Quote',
  ])
  expect(sections[5]!.children!.map((block) => block.props)).toEqual(
    sections[3]!.children!.map((block) => block.props),
  )
  await desk.keyboard.press('ControlOrMeta+x')
  await expect(desk.getByRole('treeitem', { level: 1 })).toHaveCount(5)
  await row(desk, 'Quote').click()
  await desk.evaluate(() => {
    const data = new DataTransfer()
    data.setData('text/plain', 'Pasted from a letter')
    document.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    )
  })
  await expect(onSheet(desk, 'desktop', 'Pasted from a letter')).toBeVisible()
})

test('wrap two blocks in a row and take the box away again', async ({ desk }) => {
  await row(desk, 'Quote').press('ArrowRight')
  await row(desk, 'Quotation').click()
  await row(desk, 'Source').click({ modifiers: ['Shift'] })
  await desk.keyboard.press('r')
  await expect(row(desk, 'Row')).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  expect(
    findNode((await stored(desk)).pages[0]!.sections, 'Row')!.children!.map((block) => block.name),
  ).toEqual(['Quotation', 'Source'])
  await desk.keyboard.press('u')
  await expect(row(desk, 'Row')).toHaveCount(0)
  await expect(row(desk, 'Source')).toHaveAttribute('aria-level', '2')
})

test('projects: found by name, put in order, brought back from the trash, begun from a front page', async ({
  page,
  app,
}) => {
  await page.goto(app.address)
  await page.getByRole('button', { name: 'New project' }).click()
  await page.getByLabel('Name').fill('Allotment map')
  await page.getByRole('radio', { name: /^A front page/ }).check()
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(row(page, 'Footer')).toBeVisible()
  await expect(page.locator('[role=treeitem][aria-level="1"]')).toHaveCount(5)
  await page.getByRole('link', { name: 'All projects' }).click()
  await page.getByRole('searchbox', { name: 'Find a project' }).fill('allot')
  await expect(page.locator('[data-project]')).toHaveCount(1)
  await page.getByRole('button', { name: 'More for Allotment map' }).click()
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page.locator('[data-project="Allotment map"]')).toHaveCount(0)
  await page.reload()
  await page.getByText('Trash', { exact: false }).first().click()
  await page.getByRole('button', { name: 'Bring Allotment map back' }).click()
  await expect(page.locator('[data-project="Allotment map"]')).toHaveCount(1)
  await page.getByRole('radio', { name: 'A to Z' }).check()
  const names = await page
    .locator('[data-project]')
    .evaluateAll((cards) => cards.map((card) => card.getAttribute('data-project')))
  expect(names).toEqual([...names].sort((a, b) => a!.localeCompare(b!)))
})

test('a block wholly off its sheet is selected and brought back: the board goes on', async ({
  page,
  app,
}) => {
  const file = starterProject('Off', 'home')
  const lifted = (id: string, pins: object) => ({
    id,
    kind: 'box' as const,
    name: id,
    order: `a${id}`,
    props: {
      lifted: true,
      width: { kind: 'exact' as const, px: 120 },
      height: { kind: 'exact' as const, px: 60 },
      ...pins,
    },
  })
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Stage',
      order: 'a0',
      props: { height: { kind: 'exact', px: 400 } },
      children: [
        lifted('Left', { pinLeft: { px: -900 }, pinTop: { px: 20 } }),
        lifted('Above', { pinLeft: { px: -900 }, pinTop: { px: -900 } }),
        lifted('Right', { pinLeft: { px: 4000 }, pinTop: { px: 20 } }),
        lifted('Below', { pinLeft: { px: 20 }, pinTop: { px: 9000 } }),
      ],
    },
  ]
  const made = await page.request.post(`${app.address}api/projects`, {
    data: { file: JSON.stringify(file) },
    headers: SPEAKING,
  })
  await page.goto(`${app.address}projects/${((await made.json()) as { id: string }).id}`)
  await page.locator('[data-sheet] [data-node]').first().waitFor()
  await row(page, 'Stage').click()
  await page.keyboard.press('ArrowRight')
  for (const name of ['Left', 'Above', 'Right', 'Below']) {
    await row(page, name).click()
    await expect(row(page, name)).toHaveAttribute('aria-selected', 'true')
    await expect(page.locator('[data-size-tag]').first()).toContainText('120 × 60')
  }
  await expect(page.getByText('The board stopped')).toHaveCount(0)
})

test('words move with their padding, also where neither their box nor their lines change', async ({
  desk,
}) => {
  const text = onSheet(desk, 'desktop', 'Take home heirloom')
  await text.click()
  await choose(desk, /^Width/, 'exact')
  const line = text.locator('.line').first()
  const { width } = (await text.boundingBox())!
  const before = (await line.boundingBox())!.x
  await setValue(desk, /^Padding left/, '3')
  await expect.poll(async () => (await line.boundingBox())!.x - before).toBeGreaterThan(0.5)
  expect((await text.boundingBox())!.width).toBeCloseTo(width, 1)
  await setValue(desk, /^Padding left/, '0')
  await expect.poll(async () => (await line.boundingBox())!.x).toBeCloseTo(before, 1)
})
