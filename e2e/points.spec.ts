/** Shapes by their points: drawn, pulled, put together and taken apart again, by pointer and by keys. */
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { choose, expect, findNode, onSheet, row, saved, setValue, stored, test } from './app'
import { loosePage, storedBlock, storedPage } from './loose-page'

type Kept = { form: string; data: string; of?: { how: string; parts: string[] } }

const formOf = async (page: Page, path: string, name: string) =>
  (await storedBlock(page, path, name)).props.form as Kept
const layer = (page: Page) => page.locator('[data-points]')
const words = (page: Page) => page.locator('[data-points-words]')

async function begin(page: Page) {
  await page.keyboard.press('d')
  await expect(layer(page)).toBeFocused()
}

/** A place on the desktop sheet, px of the page, as px of the window. */
async function placeOn(page: Page) {
  const sheet = (await page.locator('[data-sheet=desktop]').boundingBox())!
  const zoom = sheet.width / 1440
  return (x: number, y: number): [number, number] => [sheet.x + x * zoom, sheet.y + y * zoom]
}

async function drag(page: Page, from: [number, number], to: [number, number]) {
  await page.mouse.move(...from)
  await page.mouse.down()
  await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2)
  await page.mouse.move(...to, { steps: 4 })
  await page.mouse.up()
}

test('a path is drawn point by point, with a curve, closed at its first point, and is filled', async ({
  desk,
}) => {
  await loosePage(desk, 'Paths')
  const at = await placeOn(desk)
  await begin(desk)
  await desk.mouse.click(...at(900, 100))
  await desk.mouse.click(...at(1100, 100))
  await expect(row(desk, 'Path')).toBeVisible()
  await drag(desk, at(1200, 200), at(1200, 300))
  // What is pulled out goes on behind the point: a curve without a bend.
  await desk.mouse.click(...at(1000, 450))
  await expect(words(desk)).toHaveText('Point 4 of 4')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(words(desk)).toHaveText(/of 3/)
  await desk.keyboard.press('ControlOrMeta+Shift+z')
  await desk.getByRole('button', { name: 'next', exact: true }).click()
  await layer(desk).focus()
  await desk.keyboard.press('Enter')
  await expect(layer(desk)).toHaveCount(0)
  await saved(desk)
  const drawn = await storedBlock(desk, '/paths', 'Path')
  expect(drawn.props).toMatchObject({ lifted: true, pinLeft: { px: 900 }, pinTop: { px: 100 } })
  expect((drawn.props.form as Kept).data).toMatch(/^M[^C]*L[^C]*C[^C]*C[^C]*$/)

  // Gone on with from its end, and closed.
  await row(desk, 'Path').click()
  await desk.keyboard.press('Enter')
  await expect(layer(desk)).toBeFocused()
  await desk.mouse.click(...at(1000, 450))
  await desk.getByRole('button', { name: 'go on from here' }).click()
  await desk.mouse.click(...at(900, 300))
  await desk.mouse.click(...at(900, 100))
  await expect(layer(desk)).toHaveAttribute('aria-label', /Points of Path/)
  await saved(desk)
  expect((await formOf(desk, '/paths', 'Path')).data).toMatch(/Z$/)
})

test('drawn in one go and closed, a path is filled; Escape leaves what is drawn', async ({ desk }) => {
  await loosePage(desk, 'Closed')
  const at = await placeOn(desk)
  await desk.keyboard.press('/')
  await desk.keyboard.type('draw')
  await desk.getByRole('button', { name: 'Draw on the sheet' }).click()
  await desk.getByRole('option', { name: 'a path' }).click()
  await expect(layer(desk)).toBeFocused()
  for (const [x, y] of [
    [900, 100],
    [1100, 100],
    [1000, 300],
    [900, 100],
  ])
    await desk.mouse.click(...at(x!, y!))
  await expect(words(desk)).toHaveText('None of 3 points chosen')
  await desk.getByRole('button', { name: 'Done' }).click()
  await saved(desk)
  const { props } = await storedBlock(desk, '/closed', 'Path')
  expect(props).toMatchObject({ paint: '{color.ink}', width: { kind: 'exact', px: 200 } })
  expect(props.stroke).toBeUndefined()
  await begin(desk)
  await desk.mouse.click(...at(1200, 100))
  await desk.mouse.click(...at(1300, 180))
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('Escape')
  await expect(layer(desk)).toHaveCount(0)
  await expect(row(desk, 'Path')).toHaveCount(2)
})

test('points are pulled, added, taken away, made curves and round; the shape’s box goes along', async ({
  desk,
}) => {
  await loosePage(desk, 'Points')
  await row(desk, 'Band').click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('triangle')
  await desk.keyboard.press('Enter')
  await expect(row(desk, 'Triangle')).toHaveAttribute('aria-selected', 'true')
  const seen = (await desk.locator('[data-selected]').first().boundingBox())!
  const [middle, top, bottom] = [seen.x + seen.width / 2, seen.y, seen.y + seen.height]
  await desk.mouse.dblclick(middle, (top + bottom) / 2)
  await expect(layer(desk)).toBeFocused()
  // Its tip.
  await desk.mouse.click(middle, top)
  await expect(words(desk)).toHaveText('Point 1 of 3')
  await setValue(desk, /^Round the corner by/, '20')
  await expect(words(desk)).toHaveText('Point 1 of 4')
  await saved(desk)
  const round = await storedBlock(desk, '/points', 'Triangle')
  expect((round.props.form as Kept).data.match(/C/g)).toHaveLength(1)
  const before = (round.props.height as { px: number }).px
  expect(before).toBeLessThan(159)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(words(desk)).toHaveText(/of 3/)

  // A point on the way along its lower edge, pulled down.
  await drag(desk, [middle, bottom - 1], [middle, bottom + 40])
  await expect(words(desk)).toHaveText(/of 4$/)
  await desk.keyboard.press('Space')
  await expect(desk.getByText('a curve, at')).toBeVisible()
  await saved(desk)
  const pulled = await storedBlock(desk, '/points', 'Triangle')
  expect((pulled.props.form as Kept).data.match(/C/g)).toHaveLength(2)
  expect((pulled.props.height as { px: number }).px).toBeGreaterThan(before + 40)

  // Its handle, alone.
  const handle = (await desk.locator('[data-point-handle]').first().boundingBox())!
  await desk.keyboard.down('Alt')
  await drag(
    desk,
    [handle.x + handle.width / 2, handle.y + handle.height / 2],
    [handle.x - 20, handle.y - 30],
  )
  await desk.keyboard.up('Alt')
  await expect(desk.getByText('a corner, at')).toBeVisible()
  await desk.keyboard.press('Delete')
  await expect(words(desk)).toHaveText('None of 3 points chosen')
  await desk.keyboard.press('Enter')
  await saved(desk)
  expect((await formOf(desk, '/points', 'Triangle')).data).not.toContain('C')
})

test('by keys alone: a line is drawn, goes on, is moved, closed', async ({ desk }) => {
  await loosePage(desk, 'Keys')
  await begin(desk)
  await desk.keyboard.press('Enter')
  await expect(words(desk)).toHaveText('Point 2 of 2')
  await desk.keyboard.press('Insert')
  await expect(words(desk)).toHaveText('Point 3 of 3')
  for (let i = 0; i < 9; i++) await desk.keyboard.press('Shift+ArrowDown')
  await desk.keyboard.press('PageUp')
  await expect(words(desk)).toHaveText('Point 2 of 3')
  await desk.keyboard.press('Space')
  await desk.keyboard.press('PageDown')
  const close = desk.getByRole('button', { name: 'close', exact: true })
  await close.focus()
  await desk.keyboard.press('Enter')
  await saved(desk)
  const { data } = await formOf(desk, '/keys', 'Path')
  expect(data).toMatch(/^M[^L]*C[^L]*Z$/)
  await layer(desk).focus()
  await desk.keyboard.press('ControlOrMeta+a')
  await expect(words(desk)).toHaveText('3 of 3 points chosen')
  await desk.keyboard.press('Enter')
  await expect(layer(desk)).toHaveCount(0)
  await expect(row(desk, 'Path')).toHaveAttribute('aria-selected', 'true')
})

test('a line keeps its tips when it is bent by its points; a path that is drawn may have some', async ({
  desk,
}) => {
  await loosePage(desk, 'Tips')
  const at = await placeOn(desk)
  await begin(desk)
  await desk.mouse.click(...at(900, 300))
  await drag(desk, at(1100, 200), at(1200, 200))
  await desk.keyboard.press('Enter')
  await expect(layer(desk)).toHaveCount(0)
  await choose(desk, /^End of the line/, 'a filled arrow')
  await choose(desk, /^Beginning of the line/, 'a dot')
  await saved(desk)
  const bent = await storedBlock(desk, '/tips', 'Path')
  expect(bent.props.form).toMatchObject({ form: 'path', start: 'dot', end: 'head' })
  const drawn = desk.locator(`[data-sheet="desktop"] [data-node="${bent.id}"]`)
  const tips = drawn.locator('line')
  await expect(tips).toHaveCount(2)
  const [x, y] = at(1100, 200)
  const tip = (await tips.nth(1).boundingBox())!
  expect(Math.abs(tip.x + tip.width - x)).toBeLessThan(3)
  expect(Math.abs(tip.y - y)).toBeLessThan(3)

  // A third point: what the line ends with is at that now.
  await row(desk, 'Path').click()
  await desk.keyboard.press('Enter')
  await expect(layer(desk)).toBeFocused()
  await desk.mouse.click(x, y)
  await desk.keyboard.press('Insert')
  await expect(words(desk)).toHaveText('Point 3 of 3')
  await desk.keyboard.press('Shift+ArrowDown')
  await saved(desk)
  const longer = await formOf(desk, '/tips', 'Path')
  expect(longer).toMatchObject({ form: 'path', start: 'dot', end: 'head' })
  await expect(tips).toHaveCount(2)
  await expect.poll(async () => (await tips.nth(1).boundingBox())!.x).toBeGreaterThan(x)
  await desk.getByRole('button', { name: 'close', exact: true }).click()
  await expect(tips).toHaveCount(0)
})

test('shapes put together stay shapes: a point of one is pulled, how is chosen, they are taken apart', async ({
  desk,
}) => {
  await loosePage(desk, 'Together')
  await row(desk, 'Band').click()
  for (const name of ['ellipse', 'star']) {
    await desk.keyboard.press('/')
    await desk.keyboard.type(name)
    await desk.keyboard.press('Enter')
  }
  await expect(row(desk, 'Star')).toHaveAttribute('aria-selected', 'true')
  await row(desk, 'Ellipse').click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: 'subtract', exact: true }).click()
  await expect(row(desk, 'Star')).toHaveCount(0)
  await desk.getByRole('combobox', { name: /^Put together/ }).click()
  await desk.getByRole('option', { name: 'united' }).click()
  await expect(desk.getByRole('combobox', { name: 'Put together: united' })).toBeVisible()
  await saved(desk)
  const united = await formOf(desk, '/together', 'Ellipse')
  expect(united.of).toMatchObject({ how: 'unite' })
  expect(united.of!.parts).toHaveLength(2)

  await desk.getByRole('button', { name: 'points', exact: true }).click()
  await expect(words(desk)).toHaveText(/of 14 points chosen/)
  await desk.getByRole('button', { name: 'next', exact: true }).click()
  await layer(desk).focus()
  await desk.keyboard.press('Shift+ArrowUp')
  await desk.keyboard.press('Enter')
  await saved(desk)
  const pulled = await formOf(desk, '/together', 'Ellipse')
  expect(pulled.data).not.toBe(united.data)
  expect(pulled.of!.parts).toHaveLength(2)

  await desk.getByRole('button', { name: 'take apart' }).click()
  await expect(row(desk, 'Ellipse 2')).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  const { sections } = (await stored(desk)).pages.find(({ path }) => path === '/together')!
  for (const name of ['Ellipse', 'Ellipse 2'])
    expect(findNode(sections, name)!.props.form).not.toHaveProperty('of')
})

/** The mean difference of two pictures of one size, levels of 255. */
async function differ(one: Buffer, other: Buffer): Promise<number> {
  const [a, b] = await Promise.all([one, other].map((each) => sharp(each).greyscale().raw().toBuffer()))
  expect(a!.length).toBe(b!.length)
  return a!.reduce((sum, level, i) => sum + Math.abs(level - b![i]!), 0) / a!.length
}

test('a text becomes the outlines of its letters: the same to the eye, a shape with points, said aloud', async ({
  desk,
}) => {
  const heading = onSheet(desk, 'desktop', 'Borrow a packet')
  await heading.click()
  const name = (await desk.locator('aside h2').textContent())!.trim()
  // At full size: smaller, the browser puts letters on whole px and shapes between them.
  await desk.locator('[data-board]').focus()
  await desk.keyboard.press('ControlOrMeta+0')
  await expect(desk.getByRole('button', { name: '100 %', exact: true })).toBeVisible()
  const clip = (await desk.locator('[data-selected]').first().boundingBox())!
  const look = async () => {
    await row(desk, 'Hero').click()
    await expect(row(desk, 'Hero')).toHaveAttribute('aria-selected', 'true')
    return desk.screenshot({ clip })
  }
  const before = await look()
  await heading.click()
  await desk.getByRole('button', { name: 'Into outlines' }).click()
  await expect(desk.getByText('A shape now, said as its words').first()).toBeVisible()
  await expect(desk.getByRole('button', { name: 'Form: path' })).toBeVisible()
  await saved(desk)
  const made = findNode((await stored(desk)).pages[0]!.sections, name)!
  expect(made.kind).toBe('shape')
  expect(made.props.alt).toMatch(/Borrow a packet/)
  expect((made.overrides!.mobile!.width as { px: number }).px).toBeLessThan(
    (made.props.width as { px: number }).px,
  )
  // Letters are drawn a little darker than shapes, and nothing else differs.
  expect(await differ(before, await look())).toBeLessThan(5)
  await desk.keyboard.press('ControlOrMeta+z')
  await heading.click()
  await expect(desk.getByRole('button', { name: 'Into outlines', exact: true })).toBeVisible()
})

test('shapes are drawn from corner to corner, on lines they come near to; even with Shift', async ({
  desk,
}) => {
  await loosePage(desk, 'Drawn')
  const at = await placeOn(desk)
  const draw = async (what: string) => {
    await desk.keyboard.press('ControlOrMeta+k')
    await desk.keyboard.type(`draw ${what}`)
    await desk.keyboard.press('Enter')
    await expect(desk.getByText(`Drag where ${what} is to be; with Shift`)).toBeVisible()
  }
  await draw('a star')
  await desk.mouse.move(...at(900, 100))
  await desk.mouse.down()
  await desk.mouse.move(...at(1000, 200))
  await desk.mouse.move(...at(1115, 250))
  // The edge of column 10.
  await expect(desk.locator('[data-drawing]')).toContainText(/× 150 · column 10/)
  await desk.keyboard.down('Shift')
  await desk.mouse.move(...at(1116, 251))
  await desk.mouse.up()
  await desk.keyboard.up('Shift')
  await expect(row(desk, 'Star')).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  const { props } = await storedBlock(desk, '/drawn', 'Star')
  expect(props.width).toEqual(props.height)
  expect(props).toMatchObject({
    form: { form: 'star' },
    paint: '{color.pine}',
    // It began beside the edge of column 9.
    pinLeft: { px: 916 },
    lifted: true,
  })

  await draw('a line')
  await drag(desk, at(900, 500), at(1100, 400))
  await expect(row(desk, 'Line')).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  expect((await storedBlock(desk, '/drawn', 'Line')).props).toMatchObject({
    form: { form: 'line', slope: 'rising' },
  })

  await draw('a box')
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: 'Cancel' })).toHaveCount(0)
  await desk.mouse.click(...at(1300, 500))
  await expect(row(desk, 'Box')).toHaveCount(0)

  // What is drawn on a card goes where that goes.
  await draw('a box')
  await drag(desk, at(100, 300), at(500, 560))
  await draw('a star')
  await drag(desk, at(200, 340), at(300, 440))
  await saved(desk)
  const card = await storedBlock(desk, '/drawn', 'Box')
  expect(card.children!.map(({ name, props }) => [name, props.lifted])).toEqual([['Star', true]])
})

test('a shape masks what lies over it; the mask is pulled by its points, and lets all out again', async ({
  desk,
}) => {
  await loosePage(desk, 'Masks')
  await row(desk, 'Band').click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('ellipse')
  await desk.keyboard.press('Enter')
  await expect(row(desk, 'Ellipse')).toHaveAttribute('aria-selected', 'true')
  const lower = desk.locator('[data-selected]').first()
  const at = await placeOn(desk)
  const seen = (await lower.boundingBox())!
  await drag(desk, [seen.x + seen.width / 2, seen.y + seen.height / 2], at(310, 190))
  await row(desk, 'Ellipse').click()
  for (const name of ['Block 0', 'Block 1']) await row(desk, name).click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: 'Mask the others' }).click()
  const mask = row(desk, 'Ellipse with what it masks')
  await expect(mask).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  const box = await storedBlock(desk, '/masks', 'Ellipse with what it masks')
  expect(box.props).toMatchObject({ flow: 'free', cut: { form: 'path' } })
  expect(box.children!.map(({ name }) => name)).toEqual(['Block 0', 'Block 1'])

  await desk.getByRole('button', { name: 'points', exact: true }).click()
  await expect(words(desk)).toHaveText('None of 4 points chosen')
  await expect(layer(desk)).toBeFocused()
  await desk.keyboard.press('ControlOrMeta+a')
  await desk.keyboard.press('Shift+ArrowLeft')
  await desk.keyboard.press('Enter')
  await saved(desk)
  const moved = await storedBlock(desk, '/masks', 'Ellipse with what it masks')
  expect(moved.props.cut).not.toEqual(box.props.cut)
  expect(moved.props.width).toEqual(box.props.width)
  await desk.getByRole('button', { name: 'let out' }).click()
  await expect(row(desk, 'Mask')).toHaveAttribute('aria-selected', 'true')
  await expect(mask).toHaveCount(0)
  await saved(desk)
  expect((await storedBlock(desk, '/masks', 'Block 0')).props).toMatchObject({
    pinLeft: { px: 100 },
    pinTop: { px: 80 },
  })
})

test('with “Only Mobile” on an outline is not pulled, and nothing is masked: both are the same on every view', async ({
  desk,
}) => {
  await loosePage(desk, 'Scope')
  await row(desk, 'Band').click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('star')
  await desk.keyboard.press('Enter')
  await expect(row(desk, 'Star')).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  const before = await storedPage(desk, '/scope')
  const sheet = (await desk.locator('[data-sheet=mobile]').boundingBox())!
  const star = (await desk.locator('[data-selected]').last().boundingBox())!
  expect(star.x).toBeGreaterThan(sheet.x - 1)
  await desk.mouse.dblclick(star.x + star.width / 2, star.y + star.height / 2)
  await expect(desk.getByRole('alert')).toContainText('switch “Only Mobile” off')
  await expect(layer(desk)).toHaveCount(0)
  await row(desk, 'Block 0').click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: 'Mask the others' }).click()
  await expect(desk.getByRole('alert')).toContainText('A mask is the same on every view')
  await saved(desk)
  expect(await storedPage(desk, '/scope')).toEqual(before)
})
