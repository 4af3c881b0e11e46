/** What blocks are painted with, by hand: pictures, patterns and noise behind them, cuts, filters, words filled, shapes. */
import type { Page } from '@playwright/test'
import { choose, expect, findNode, row, saved, setValue, stored, test } from './app'

const picture = (page: Page) => page.locator('[data-sheet="desktop"] img').first()
const styleOf = (page: Page, id: string) =>
  page.locator(`[data-sheet="desktop"] [data-node="${id}"]`).evaluate((element) => {
    const { maskImage, filter, backgroundImage, backgroundBlendMode, backgroundClip } =
      getComputedStyle(element)
    return { maskImage, filter, backgroundImage, backgroundBlendMode, backgroundClip }
  })
const another = async (page: Page, fill: string) => {
  await page.getByRole('button', { name: 'Another fill on top' }).click()
  await page.getByRole('option', { name: fill, exact: true }).click()
}

test('a picture, lines and noise behind a section, mixed; taken away one by one', async ({ desk }) => {
  await row(desk, 'Hero').click()
  await another(desk, 'A picture')
  await desk.getByRole('button', { name: /^Picture behind: / }).click()
  await desk.getByRole('option', { name: 'The glasshouse' }).click()
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: 'Picture behind: The glasshouse' })).toBeFocused()
  await another(desk, 'Lines')
  await another(desk, 'Noise')
  await choose(desk, 'How fill 1 mixes with those below', 'multiply')
  await saved(desk)
  const hero = findNode((await stored(desk)).pages[0]!.sections, 'Hero')!
  const { backgroundImage, backgroundBlendMode } = await styleOf(desk, hero.id)
  expect(backgroundImage).toMatch(/^url\("data:image\/png.*repeating-linear-gradient\(45deg.*url\(/)
  expect(backgroundBlendMode).toBe('multiply, normal, normal')
  await desk.getByRole('button', { name: 'Remove fill 2' }).click()
  await desk.getByRole('button', { name: 'Do not draw fill 1' }).click()
  await expect.poll(async () => (await styleOf(desk, hero.id)).backgroundImage).toMatch(/^url\("[^d]/)
  // What is shown behind a block is in use.
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  await expect(desk.getByText(/glasshouse/).first()).toBeVisible()
})

test('a gradient is seen in a border alone, which comes with it; taken back in one step', async ({
  desk,
}) => {
  await picture(desk).click()
  await another(desk, 'A gradient')
  await choose(desk, 'Where fill 1 is seen', 'in its border alone')
  await saved(desk)
  const node = findNode((await stored(desk)).pages[0]!.sections, 'Picture')!
  expect(node.props.borderLeft).toMatchObject({ width: 2 })
  expect(Object.values(node.props.fills!)[0]).toMatchObject({ kind: 'gradient', in: 'border' })
  expect((await styleOf(desk, node.id)).backgroundClip).toBe('border-area')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(async () => (await styleOf(desk, node.id)).backgroundClip).toBe('border-box')
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, 'Picture')!.props.borderLeft).toBeUndefined()
})

test('a line begins and ends with tips that are as thick as it', async ({ desk }) => {
  await row(desk, 'Hero').click()
  await desk.keyboard.press('ControlOrMeta+k')
  await desk.keyboard.type('Line shape')
  await desk.getByRole('option', { name: /^Line/ }).first().click()
  await choose(desk, /^End of the line/, 'a filled arrow')
  await choose(desk, /^Beginning of the line/, 'a dot')
  await saved(desk)
  const node = findNode((await stored(desk)).pages[0]!.sections, 'Line')!
  expect(node.props.form).toEqual({ form: 'line', slope: 'level', start: 'dot', end: 'head' })
  const drawn = desk.locator(`[data-sheet="desktop"] [data-node="${node.id}"]`)
  await expect(drawn.locator('marker')).toHaveCount(2)
  await choose(desk, /^End of the line/, 'nothing')
  await choose(desk, /^Beginning of the line/, 'nothing')
  await expect(drawn.locator('marker')).toHaveCount(0)
  await expect(drawn.locator('path')).toHaveCount(1)
  const ends = desk.getByRole('combobox', { name: /of the line/ })
  await expect(ends.filter({ hasText: 'nothing' })).toHaveCount(2)
  // Without a line nothing would be seen of them.
  await setValue(desk, 'Width of the line', '0')
  await expect(ends.filter({ hasText: 'nothing' })).toHaveCount(0)
})

test('a picture is cut to a form and toned down; what is put back is whole', async ({ desk }) => {
  await picture(desk).click()
  await desk.getByRole('button', { name: 'Cut to: not cut' }).click()
  await desk.getByRole('option', { name: 'blob' }).click()
  await setValue(desk, 'Cut to: bends', '9')
  await desk.keyboard.press('Escape')
  await desk.getByRole('button', { name: 'Add a filter' }).click()
  await desk.getByRole('option', { name: 'grey' }).click()
  await setValue(desk, 'Filter: grey', '80')
  await desk.getByRole('button', { name: 'Add a filter' }).click()
  await desk.getByRole('option', { name: 'blur' }).click()
  await saved(desk)
  const node = findNode((await stored(desk)).pages[0]!.sections, 'Picture')!
  expect(node.props.cut).toMatchObject({ form: 'blob', points: 9 })
  expect(node.props.filters).toEqual({ gray: 80, blur: 6 })
  const style = await styleOf(desk, node.id)
  expect(style.filter).toBe('grayscale(0.8) blur(6px)')
  expect(style.maskImage).toMatch(/^url\("data:image\/svg\+xml/)
  await setValue(desk, 'Filter: blur', '0')
  await expect(desk.getByRole('button', { name: /^Filter: blur/ })).toHaveCount(0)
  await desk.getByRole('button', { name: /^Cut to: blob/ }).click()
  await desk.getByRole('button', { name: 'not cut' }).click()
  await desk.getByRole('button', { name: 'fade out' }).click()
  await setValue(desk, 'Fading from', '10')
  await expect
    .poll(async () => (await styleOf(desk, node.id)).maskImage)
    .toMatch(/^linear-gradient\(rgb\(0, 0, 0\) 10%/)
})

test('a heading is filled with a gradient through its words', async ({ desk }) => {
  await desk.locator('[data-sheet="desktop"] [data-node]', { hasText: 'Borrow a packet' }).last().click()
  await another(desk, 'A gradient')
  await choose(desk, 'Where fills are seen', 'in the words alone')
  await saved(desk)
  const heading = findNode((await stored(desk)).pages[0]!.sections, 'Heading')!
  expect((await styleOf(desk, heading.id)).backgroundClip).toBe('text')
  expect(heading.props.fillsIn).toBe('words')
})

test('a shape is found by its name, placed, given another form, a paint and a line', async ({ desk }) => {
  await row(desk, 'Quote').click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('star')
  await desk.keyboard.press('Enter')
  await expect(row(desk, 'Star')).toHaveAttribute('aria-selected', 'true')
  await desk.getByRole('button', { name: 'Form: star' }).click()
  await setValue(desk, 'Form: points', '9')
  await desk.keyboard.press('Escape')
  await setValue(desk, 'Width of the line', '3')
  await choose(desk, /^Dashes/, 'dashed')
  await saved(desk)
  const star = findNode((await stored(desk)).pages[0]!.sections, 'Star')!
  expect(star.props).toMatchObject({
    form: { form: 'star', points: 9 },
    paint: '{color.pine}',
    stroke: { width: 3, dash: [12, 8] },
  })
  const path = desk.locator(`[data-sheet="desktop"] [data-node="${star.id}"] path`)
  expect((await path.getAttribute('d'))!.match(/L/g)).toHaveLength(17)
  expect(await path.evaluate((element) => getComputedStyle(element).strokeWidth)).toBe('3px')
})

test('placeholders are drawn for what is selected, each another, in its shape', async ({ desk }) => {
  const pictures = desk.locator('[data-sheet="desktop"] img')
  await pictures.nth(1).click()
  await pictures.nth(2).click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  await desk.getByRole('button', { name: 'Draw a picture' }).click()
  await desk.getByRole('option', { name: 'landscapes' }).click()
  await expect(desk.getByText('Landscapes 2').first()).toBeVisible()
  await saved(desk)
  const { assets } = await stored(desk)
  const drawn = assets.filter(({ name }) => name.startsWith('Landscapes')) as unknown as Record<
    string,
    number
  >[]
  expect(drawn).toHaveLength(2)
  expect(drawn[0]!.hash).not.toBe(drawn[1]!.hash)
  const box = (await pictures.nth(1).boundingBox())!
  for (const { width, height } of drawn) expect(width! / height!).toBeCloseTo(box.width / box.height, 1)
})

test('filler: several texts at once, each other words, in a chosen field', async ({ desk }) => {
  await desk.locator('[data-sheet="desktop"] [data-node]', { hasText: 'Lantern Ridge corn' }).last().click()
  await desk
    .locator('[data-sheet="desktop"] [data-node]', { hasText: 'Tall Meadow bean' })
    .last()
    .click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: 'Filler words' }).click()
  await desk.getByRole('radio', { name: 'harbour' }).check()
  await desk.getByRole('button', { name: 'a heading' }).click()
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-sheet="desktop"]').getByText('Lantern Ridge corn')).toHaveCount(0)
  await saved(desk)
  const said = JSON.stringify((await stored(desk)).pages[0]!.sections)
  expect(said).not.toContain('"text":"Tall Meadow bean"')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.locator('[data-sheet="desktop"]').getByText('Lantern Ridge corn')).toBeVisible()
})

test('a logo of three shapes: placed, lifted over one another, made one', async ({ desk }) => {
  await row(desk, 'Quote').click()
  for (const name of ['ring', 'triangle', 'ellipse']) {
    await desk.keyboard.press('/')
    await desk.keyboard.type(name)
    await desk.keyboard.press('Enter')
  }
  await expect(row(desk, 'Ellipse')).toHaveAttribute('aria-selected', 'true')
  await row(desk, 'Triangle').click({ modifiers: ['ControlOrMeta'] })
  await row(desk, 'Ring').click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: 'unite', exact: true }).click()
  await expect(row(desk, 'Ellipse')).toHaveCount(0)
  await expect(row(desk, 'Ring')).toHaveAttribute('aria-selected', 'true')
  await expect(desk.getByRole('button', { name: 'Form: path' })).toBeVisible()
  await saved(desk)
  const ring = findNode((await stored(desk)).pages[0]!.sections, 'Ring')!
  expect(ring.props.form).toMatchObject({ form: 'path' })
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(row(desk, 'Ellipse')).toBeVisible()
  // A line has no inside.
  await row(desk, 'Ellipse').click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('line')
  await desk.keyboard.press('Enter')
  await row(desk, 'Ellipse').click({ modifiers: ['ControlOrMeta'] })
  await desk.getByRole('button', { name: 'subtract', exact: true }).click()
  await expect(desk.getByRole('alert')).toContainText('A line has no inside')
})
