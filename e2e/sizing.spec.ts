/** Sizing and moving loose blocks with the pointer: proportions, centre, snaps, turning, and every way of giving up. */
import type { Page } from '@playwright/test'
import { expect, onSheet, row, saved, setValue, test } from './app'
import { block, loosePage, storedBlock } from './loose-page'

const notch = async (page: Page, which: string) => {
  const box = (await page.locator(`[data-notch="${which}"]`).boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}
const px = async (page: Page, path: string, name: string) => {
  const { props } = await storedBlock(page, path, name)
  const size = (key: string) => (props[key] as { px: number }).px
  return { width: size('width'), height: size('height'), left: size('pinLeft'), top: size('pinTop') }
}

test('Shift keeps a block’s proportions, Alt its centre, a left notch its right edge', async ({ desk }) => {
  await loosePage(desk, 'Sizes')
  await row(desk, 'Block 0').click()
  const drag = async (which: string, dx: number, dy: number, ...held: string[]) => {
    const from = await notch(desk, which)
    await desk.mouse.move(from.x, from.y)
    await desk.mouse.down()
    for (const key of [...held, 'Control']) await desk.keyboard.down(key)
    await desk.mouse.move(from.x + dx, from.y + dy, { steps: 4 })
    await desk.mouse.up()
    for (const key of [...held, 'Control']) await desk.keyboard.up(key)
    await saved(desk)
    return px(desk, '/sizes', 'Block 0')
  }
  // 200 × 120 at 100, 80.
  const larger = await drag('1,1', 30, 4, 'Shift')
  expect(larger.width).toBeGreaterThan(230)
  expect(larger.width / larger.height).toBeCloseTo(200 / 120, 1)
  expect([larger.left, larger.top]).toEqual([100, 80])
  const wider = await drag('1,0', 20, 0, 'Alt')
  expect(wider.left + wider.width / 2).toBeCloseTo(larger.left + larger.width / 2, 0)
  expect(wider.width).toBeGreaterThan(larger.width + 60)
  const narrower = await drag('-1,0', 15, 0)
  expect(narrower.left + narrower.width).toBeCloseTo(wider.left + wider.width, 0)
  expect(narrower.width).toBeLessThan(wider.width)
})

test('a right edge snaps to a column’s right edge and says so', async ({ desk }) => {
  await loosePage(desk, 'Snaps')
  await row(desk, 'Block 1').click()
  const from = await notch(desk, '1,0')
  const column = (await desk.locator('[data-column="7"]').first().boundingBox())!
  await desk.mouse.move(from.x, from.y)
  await desk.mouse.down()
  await desk.mouse.move(column.x + column.width + 1.5, from.y, { steps: 6 })
  await expect(desk.locator('[data-snap]')).toHaveAttribute('data-snap', 'column 7, right edge')
  await desk.mouse.up()
  await expect(desk.getByText(/column 7, right edge/)).toBeAttached()
  await saved(desk)
  const { left, width } = await px(desk, '/snaps', 'Block 1')
  // Columns of 80 with gutters of 24 from 108: the seventh ends at 812.
  expect(left + width).toBe(812)
})

test('the round notch turns a block, Shift in steps; the spec says by how much', async ({ desk }) => {
  await loosePage(desk, 'Turns')
  await row(desk, 'Block 0').click()
  const handle = (await desk.locator('[data-turn]').boundingBox())!
  const centre = await block(desk, 'Block 0')
  const from = { x: handle.x + handle.width / 2, y: handle.y + handle.height / 2 }
  const radius = Math.hypot(from.x - centre.x, from.y - centre.y)
  const angle = Math.atan2(from.y - centre.y, from.x - centre.x) + (33 * Math.PI) / 180
  await desk.mouse.move(from.x, from.y)
  await desk.mouse.down()
  await desk.keyboard.down('Shift')
  await desk.mouse.move(centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle), {
    steps: 5,
  })
  await desk.mouse.up()
  await desk.keyboard.up('Shift')
  await expect(desk.getByRole('button', { name: 'Turn: 30°' })).toBeVisible()
  await saved(desk)
  expect((await storedBlock(desk, '/turns', 'Block 0')).props.rotate).toBe(30)

  // Sized along its own side: the notch across from the one that is dragged stays where it is seen.
  const stays = await notch(desk, '-1,0')
  const grip = await notch(desk, '1,0')
  await desk.mouse.move(grip.x, grip.y)
  await desk.mouse.down()
  await desk.mouse.move(grip.x + 40 * Math.cos(Math.PI / 6), grip.y + 40 * Math.sin(Math.PI / 6), {
    steps: 4,
  })
  await desk.mouse.up()
  await saved(desk)
  const after = await notch(desk, '-1,0')
  expect(Math.hypot(after.x - stays.x, after.y - stays.y)).toBeLessThan(1)
  expect((await px(desk, '/turns', 'Block 0')).width).toBeGreaterThan(250)
})

test('a second pointer, a lost one and a left window each put the block back', async ({ desk }) => {
  await loosePage(desk, 'Given up')
  const before = await px(desk, '/given-up', 'Block 0').catch(() => undefined)
  await saved(desk)
  const start = before ?? (await px(desk, '/given-up', 'Block 0'))
  for (const event of ['pointerdown', 'pointercancel', 'blur'] as const) {
    const at = await block(desk, 'Block 0')
    await desk.mouse.move(at.x, at.y)
    await desk.mouse.down()
    await desk.mouse.move(at.x + 40, at.y + 25, { steps: 4 })
    await expect.poll(async () => (await block(desk, 'Block 0')).x).toBeGreaterThan(at.x + 20)
    await desk.evaluate((type) => {
      if (type === 'blur') window.dispatchEvent(new Event('blur'))
      // The mouse is pointer 1 in Chromium.
      else
        window.dispatchEvent(
          new PointerEvent(type, {
            pointerId: type === 'pointerdown' ? 7 : 1,
            bubbles: true,
            isPrimary: false,
          }),
        )
    }, event)
    await expect.poll(async () => (await block(desk, 'Block 0')).x).toBeCloseTo(at.x, 0)
    await desk.mouse.move(at.x + 90, at.y + 60)
    await desk.mouse.up()
    await expect.poll(async () => (await block(desk, 'Block 0')).x).toBeCloseTo(at.x, 0)
  }
  await saved(desk)
  expect(await px(desk, '/given-up', 'Block 0')).toEqual(start)
})

test('Alt lifts a block out of its flow where it is; keys size it', async ({ desk }) => {
  await desk.keyboard.press('f')
  const words = desk
    .locator('[data-sheet=desktop] [data-node]')
    .getByText('Browse the catalogue', { exact: true })
  const box = (await words.first().boundingBox())!
  await desk.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
  await expect(desk.getByRole('combobox', { name: 'In the flow or lifted: in the flow' })).toBeVisible()
  await desk.keyboard.down('Alt')
  await desk.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await desk.mouse.down()
  await desk.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2 + 40, { steps: 5 })
  await desk.mouse.up()
  await desk.keyboard.up('Alt')
  await expect(desk.getByRole('combobox', { name: 'In the flow or lifted: lifted out of it' })).toBeVisible()
  const tag = desk.locator('[data-size-tag=desktop]')
  const width = Number.parseFloat((await tag.textContent())!)
  await desk.keyboard.press('ControlOrMeta+Shift+ArrowRight')
  await expect(tag).toContainText(new RegExp(`^${Math.round(width) + 8} `))
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.getByRole('combobox', { name: 'In the flow or lifted: in the flow' })).toBeVisible()
  await saved(desk)
})

test('pins are pressed on a picture of the block in its parent, and tried there', async ({ desk }) => {
  await loosePage(desk, 'Pins')
  await row(desk, 'Block 0').click()
  const picture = desk.locator('[data-pins-picture]')
  const before = await block(desk, 'Block 0')
  await expect(picture.getByRole('button', { name: 'Pin to the left edge' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await picture.getByRole('button', { name: 'Pin to the right edge' }).click()
  await picture.getByRole('button', { name: 'Pin to the left edge' }).click()
  await saved(desk)
  const { props } = await storedBlock(desk, '/pins', 'Block 0')
  // Of a parent 1440 wide, 200 from 100: 1140 to the right.
  expect(props).toMatchObject({ pinRight: { px: 1140 }, width: { kind: 'exact', px: 200 } })
  expect(props.pinLeft).toBeUndefined()
  expect((await block(desk, 'Block 0')).x).toBeCloseTo(before.x, 0)
  const inside = async () => (await picture.locator('[data-pinned-block]').boundingBox())!.x
  const small = await inside()
  await picture.getByRole('slider').fill('130')
  expect(await inside()).toBeGreaterThan(small + 5)
})

test('a block on a lattice slides to other columns, and says which', async ({ desk }) => {
  await row(desk, 'Hero').press('ArrowRight')
  await desk.locator('[role=treeitem][data-name^="Picture "]').first().click()
  await setValue(desk, /^Last column/, '11')
  await expect(desk.locator('[data-size-tag=desktop]')).toContainText('columns 7–11')
  const at = await block(desk, 'Picture')
  const zoom = (await desk.locator('[data-sheet=desktop]').boundingBox())!.width / 1440
  await desk.mouse.move(at.x, at.y)
  await desk.mouse.down()
  await desk.mouse.move(at.x + 90 * zoom, at.y + 4, { steps: 5 })
  await expect(desk.locator('[data-drawing]')).toHaveAttribute('data-drawing', 'columns 8–12 of 12')
  await desk.mouse.up()
  await saved(desk)
  expect(
    (await storedBlock(desk, '/', 'Hero')).children!.find((each) => each.name === 'Picture')!.props.width,
  ).toEqual({
    kind: 'columns',
    span: 5,
    from: 8,
  })
  // Let go on the columns it stands on, it makes no step of the history: two steps go back to the beginning.
  const now = await block(desk, 'Picture')
  await desk.mouse.move(now.x, now.y)
  await desk.mouse.down()
  await desk.mouse.move(now.x + 10 * zoom, now.y + 4, { steps: 5 })
  await desk.mouse.up()
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(
    (await storedBlock(desk, '/', 'Hero')).children!.find((each) => each.name === 'Picture')!.props.width,
  ).toEqual({
    kind: 'columns',
    span: 6,
    from: 7,
  })
})

test('Tab goes on to the next number and opens it; the step of the arrows is set', async ({ desk }) => {
  await loosePage(desk, 'Tabs')
  await row(desk, 'Block 0').click()
  await desk.getByRole('button', { name: /^Pin left/ }).click()
  await desk.locator('input:focus').fill('120')
  await desk.keyboard.press('Tab')
  await expect(desk.locator('input:focus')).toHaveAttribute('aria-label', 'Pin right')
  await desk.keyboard.press('Escape')
  await desk.getByRole('button', { name: /^Snaps/ }).click()
  await setValue(desk, /^Step/, '10')
  await desk.keyboard.press('Escape')
  await row(desk, 'Block 0').click()
  await desk
    .locator('[data-board]')
    .focus()
    .catch(() => undefined)
  await row(desk, 'Block 0').blur()
  await desk.keyboard.press('Shift+ArrowRight')
  await saved(desk)
  expect((await px(desk, '/tabs', 'Block 0')).left).toBe(130)
})

test('a question mark says what the words mean where they stand', async ({ desk }) => {
  await row(desk, 'Hero').press('ArrowRight')
  await row(desk, 'Hero words').click()
  await desk.getByRole('button', { name: /^What exact, snug, stretch/ }).click()
  const help = desk.locator('[data-help=size]')
  await expect(help.getByRole('term')).toHaveText(['exact', 'snug', 'stretch', 'percent', 'columns'])
  await expect(help.locator('svg')).toHaveCount(5)
  await desk.keyboard.press('Escape')
  await expect(help).toHaveCount(0)
  await expect(desk.getByRole('button', { name: /^What exact, snug, stretch/ })).toBeFocused()
})

test('a height in parts of a px says what brings them', async ({ desk }) => {
  await onSheet(desk, 'desktop', 'We saved eleven packets').click()
  await setValue(desk, /^Line height in px/, '41.3')
  const lines = /has lines of 41.3 px$/
  await expect(desk.getByLabel('Spec').getByText(lines)).toBeVisible()
  const height = row(desk, 'Quote').locator('[data-height-of]')
  await expect(height).toHaveText(/\.\d/)
  await expect(height).toHaveAttribute('title', lines)
})
