/** The project's tokens: changed once, all that has them follows; renamed, merged, made in place; how words read. */
import type { Page } from '@playwright/test'
import { expect, findNode, onSheet, row, saved, setValue, stored, test } from './app'

const dialog = (page: Page) => page.getByRole('dialog', { name: 'Tokens of the project' })
const tokenRow = (page: Page, name: string) => dialog(page).locator(`[data-token="${name}"]`)

async function openTokens(page: Page, tab = 'Colours') {
  await page.getByRole('button', { name: 'Tokens of the project' }).click()
  await dialog(page).getByRole('tab', { name: tab }).click()
}

test('all of them are seen at once, theme by theme; pressed, what uses one is selected', async ({ desk }) => {
  await desk.getByRole('button', { name: 'Tokens of the project' }).click()
  await expect(dialog(desk).getByRole('tab', { name: 'All' })).toBeFocused()
  const colors = dialog(desk).getByRole('region', { name: 'Colours' })
  await expect(colors.getByText('#171714')).toBeVisible()
  const display = dialog(desk).getByRole('region', { name: 'Type, Desktop' }).getByText('Fraunces 500, 64')
  await expect(display).toBeVisible()
  await colors.getByRole('button', { name: 'Change' }).click()
  await expect(tokenRow(desk, 'color.paper')).toBeVisible()
  await dialog(desk).getByRole('tab', { name: 'All' }).click()
  await colors
    .getByRole('button', { name: /^gold, used/ })
    .first()
    .click()
  await expect(dialog(desk)).toBeHidden()
  await expect(desk.locator('[role=treeitem][aria-selected=true]')).not.toHaveCount(0)
})

test('sizes on a scale are seen on the page before they are taken', async ({ desk }) => {
  const heading = onSheet(desk, 'desktop', 'Ready to sow this week')
  const size = () =>
    heading.evaluate((element) => getComputedStyle(element.querySelector('span') ?? element).fontSize)
  const before = await size()
  await openTokens(desk, 'Type')
  const scale = dialog(desk).getByRole('region', { name: 'As a scale' })
  await setValue(desk, 'Ratio of the scale', '1.5')
  await expect(scale.getByRole('img', { name: 'Home as it would be' })).toBeVisible()
  await expect(scale.getByText(/Home, Desktop: \d+ px high/)).toHaveCount(2)
  expect(await size()).toBe(before)
  await scale.getByRole('button', { name: 'Take it' }).click()
  // The body is its base; every size above it one and a half times the one before.
  await expect(tokenRow(desk, 'type.body').getByRole('button', { name: 'Size of body' })).toHaveText('16')
  await expect(tokenRow(desk, 'type.title').getByRole('button', { name: 'Size of title' })).toHaveText('24')
  expect(await size()).not.toBe(before)
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(size).toBe(before)
})

const background = (page: Page) =>
  onSheet(page, 'desktop', 'Browse the catalogue').evaluate(
    (element) => getComputedStyle(element).backgroundColor,
  )

test('a colour is changed once, and all that has it follows; renamed, it is still theirs', async ({
  desk,
}) => {
  expect(await background(desk)).toBe('rgb(29, 92, 69)')
  await openTokens(desk)
  await tokenRow(desk, 'color.pine').getByRole('button', { name: 'Colour pine in Light' }).click()
  const field = desk.getByLabel('Colour pine in Light as hex, rgb, hsl or oklch')
  await field.fill('rgb(120 20 60)')
  await desk.keyboard.press('Escape')
  await expect.poll(() => background(desk)).toBe('rgb(120, 20, 60)')
  await tokenRow(desk, 'color.pine').getByRole('button', { name: 'pine', exact: true }).click()
  await desk.keyboard.type('Deep berry')
  await desk.keyboard.press('Enter')
  await expect(tokenRow(desk, 'color.deep-berry')).toBeVisible()
  await expect(tokenRow(desk, 'color.pine')).toHaveCount(0)
  await saved(desk)
  expect(JSON.stringify((await stored(desk)).pages)).toContain('{color.deep-berry}')
  expect(await background(desk)).toBe('rgb(120, 20, 60)')
  // What uses it is one press away.
  await tokenRow(desk, 'color.deep-berry')
    .getByRole('button', { name: /select \d+ on this page$/ })
    .click()
  await expect(dialog(desk)).toHaveCount(0)
  await expect(desk.locator('[role=treeitem][aria-selected=true]').first()).toBeVisible()
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(() => background(desk)).toBe('rgb(29, 92, 69)')
})

test('taken away, what has it takes another or keeps its value; spaces are bound, and typed by name', async ({
  desk,
}) => {
  await openTokens(desk)
  await tokenRow(desk, 'color.gold').getByRole('button', { name: 'Take away gold' }).click()
  await desk.getByRole('button', { name: 'pine', exact: true }).last().click()
  await expect(tokenRow(desk, 'color.gold')).toHaveCount(0)
  await dialog(desk)
    .getByRole('tab', { name: /^Nearly tokens/ })
    .click()
  await dialog(desk).getByRole('button', { name: 'Make 24 px m' }).click()
  await expect(dialog(desk).getByRole('button', { name: 'Make 24 px m' })).toHaveCount(0)
  await dialog(desk)
    .getByRole('tab', { name: /^Spaces/ })
    .click()
  await setValue(desk, 'Length of m', '20')
  await desk.keyboard.press('Escape')
  await saved(desk)
  const { pages } = await stored(desk)
  expect(JSON.stringify(pages)).not.toContain('{color.gold}')
  expect(findNode(pages[0]!.sections, 'Eyebrow')!.props.color).toBe('{color.pine}')
  expect(JSON.stringify(pages)).toContain('{space.m}')
  await row(desk, 'Header').click()
  await expect(desk.getByRole('button', { name: /^Padding top/ })).toHaveText('m · 20')
  await setValue(desk, /^Padding top/, 'xl')
  await expect(desk.getByRole('button', { name: /^Padding top/ })).toHaveText('xl · 96')
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, 'Header')!.props.paddingTop).toBe('{space.xl}')
})

test('how words read is said where their colour is chosen, with the nearest that does; a token is made in place', async ({
  desk,
}) => {
  await onSheet(desk, 'desktop', 'Take home heirloom').click()
  const ink = desk.getByRole('button', { name: /^Ink/ })
  await ink.click()
  const panel = desk.getByRole('dialog', { name: /^Ink/ })
  await panel.getByLabel('Ink as hex, rgb, hsl or oklch').fill('#b8c4bc')
  const reading = panel.locator('[data-reading]')
  await expect(reading).toContainText(/1\.\d : 1 reads badly, 4.5 is needed/)
  await reading.getByRole('button', { name: /which reads$/ }).click()
  await ink.click()
  await expect(reading).toContainText(/4\.[5-9] : 1 reads well/)
  await panel.getByRole('button', { name: 'Make a token of it' }).click()
  await panel.getByLabel('Name of the colour').fill('quiet')
  await panel.getByRole('button', { name: 'Make', exact: true }).click()
  await desk.keyboard.press('Escape')
  await expect(ink).toContainText('quiet')
  await saved(desk)
  const { pages } = await stored(desk)
  expect(findNode(pages[0]!.sections, 'Paragraph')!.props.color).toBe('{color.quiet}')
})

test('a type style is changed in its list, and every text of it is set so', async ({ desk }) => {
  const size = () =>
    onSheet(desk, 'desktop', 'Ready to sow this week').evaluate(
      (element) => getComputedStyle(element.querySelector('span') ?? element).fontSize,
    )
  const before = await size()
  await openTokens(desk, 'Type')
  await setValue(desk, 'Size of heading', '52')
  await desk.keyboard.press('Escape')
  await expect.poll(size).toBe('52px')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(size).toBe(before)
})

test('a tokens file is taken in once what it changes was said; one that cannot be says why, and changes nothing', async ({
  desk,
}) => {
  await openTokens(desk)
  const give = (tree: unknown) =>
    desk.getByLabel('Tokens file').setInputFiles({
      name: 'brand.tokens.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(tree)),
    })
  await give({ color: { $type: 'color', a: { $value: '{color.b}' }, b: { $value: '{color.a}' } } })
  await expect(dialog(desk).getByRole('alert')).toContainText(
    '“brand.tokens.json” was not taken: tokens.color.a: refers to itself',
  )
  await give({
    color: {
      $type: 'color',
      pine: { $value: { colorSpace: 'srgb', components: [0.5, 0, 0.25] } },
      moss: { $value: { colorSpace: 'srgb', components: [0, 0.5, 0] } },
    },
  })
  await expect(dialog(desk).getByRole('status')).toContainText(
    '1 new: color.moss; 1 with other values: color.pine.',
  )
  expect(await background(desk)).toBe('rgb(29, 92, 69)')
  await dialog(desk).getByRole('button', { name: 'Take them in' }).click()
  await expect.poll(() => background(desk)).toBe('rgb(128, 0, 64)')
  await expect(tokenRow(desk, 'color.moss')).toBeVisible()
  const [download] = await Promise.all([
    desk.waitForEvent('download'),
    dialog(desk).getByRole('button', { name: 'Save as a tokens file' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('hollow-oak-seed-library.tokens.json')
})

test('what is in use is counted, and what is no token is one press away', async ({ desk }) => {
  await openTokens(desk, 'In use')
  const chart = dialog(desk).getByRole('img', { name: /^How often each is used\. / })
  await expect(chart).toHaveAccessibleName(/24 px: \d+, 0 of them a token/)
  await dialog(desk).getByRole('radio', { name: 'Colours' }).check()
  await expect(chart).toHaveAccessibleName(/#24302a: (\d+), \1 of them a token/)
  await dialog(desk).getByRole('radio', { name: 'Sizes of type' }).check()
  await dialog(desk).getByRole('radio', { name: 'Spaces' }).check()
  await dialog(desk)
    .getByRole('button', { name: /^Select what has 64 px/ })
    .click()
  await expect(dialog(desk)).toHaveCount(0)
  await expect(desk.locator('[role=treeitem][aria-selected=true][data-name=Hero]')).toBeVisible()
})

test('a colour is taken from a sheet: the project’s where it is one, else as it is seen', async ({
  desk,
}) => {
  await row(desk, 'Hero').click()
  await desk.getByRole('button', { name: /^Fill: / }).click()
  const take = desk.getByRole('button', { name: 'Take a colour from a sheet' })
  await take.click()
  const layer = desk.locator('[data-color-picking]')
  await expect(layer).toBeVisible()
  const button = (await onSheet(desk, 'desktop', 'Browse the catalogue').boundingBox())!
  await desk.mouse.move(button.x + 3, button.y + 3)
  await expect(layer).toContainText('pine')
  await desk.mouse.down()
  await desk.mouse.up()
  await expect(desk.getByRole('button', { name: 'Fill: pine' })).toBeVisible()
  // The panel is still there; a picture's colour is none of the project's.
  await take.click()
  const picture = (await desk.locator('[data-sheet="desktop"] img').first().boundingBox())!
  await desk.mouse.click(picture.x + 6, picture.y + 6)
  await expect(desk.getByRole('button', { name: /^Fill: #/ })).toBeVisible()
  await take.click()
  await desk.keyboard.press('Escape')
  await expect(layer).toHaveCount(0)
  await expect(take).toBeVisible()
  await desk.keyboard.press('Escape')
  await saved(desk)
  const { fills } = findNode((await stored(desk)).pages[0]!.sections, 'Hero')!.props
  expect(JSON.stringify(fills)).toMatch(/"color":"#[0-9a-f]{6}"/)
})

test('words on pictures are looked at without being asked, those that read worst first, and selected from there', async ({
  desk,
}) => {
  await row(desk, 'Hero').click()
  await desk.getByRole('button', { name: 'Another fill on top' }).click()
  await desk.getByRole('option', { name: 'A picture' }).click()
  await openTokens(desk)
  const part = desk.getByRole('region', { name: 'Words on pictures' })
  await expect(part.getByRole('status')).toHaveText(/^\d of \d read badly where they are worst$/)
  const [first, second] = await part.getByRole('listitem').allTextContents()
  const ratio = (words: string) => Number(/([\d.]+) : 1/.exec(words)![1])
  expect(ratio(first!)).toBeLessThan(4.5)
  expect(second).toBeTruthy()
  // On the button's own fill words read as they did: that is no picture's matter.
  await expect(part).not.toContainText('Call to action')
  await part.getByRole('button', { name: /^Paragraph Take home/ }).click()
  await expect(dialog(desk)).toHaveCount(0)
  await expect(desk.getByRole('heading', { name: /^Paragraph Take home/ })).toBeVisible()
})

test('colours out of a picture become tokens, called as people call them', async ({ desk }) => {
  const before = Object.keys((await stored(desk)).tokens.color!)
  await openTokens(desk)
  await dialog(desk).getByRole('button', { name: 'Colours from a picture' }).click()
  await desk.getByRole('option').first().click()
  const colors = desk.getByRole('group', { name: /^Colours of / })
  await expect(colors.getByRole('checkbox', { checked: true })).toHaveCount(5)
  await colors.getByRole('checkbox', { checked: true }).first().uncheck()
  await desk.getByRole('button', { name: 'Make 4 tokens' }).click()
  await saved(desk)
  const { color } = (await stored(desk)).tokens
  const made = Object.keys(color!).filter((name) => !before.includes(name))
  expect(made).toHaveLength(4)
  for (const name of made) {
    expect(name).toMatch(/^[a-z-]+(-\d)?$/)
    await expect(tokenRow(desk, `color.${name}`)).toBeVisible()
  }
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(Object.keys((await stored(desk)).tokens.color!)).toEqual(before)
})

test('a shadow, a gradient and a border become tokens; changed, all that have them follow; handed off by name', async ({
  desk,
}) => {
  const button = onSheet(desk, 'desktop', 'Browse the catalogue')
  const css = (property: string) =>
    button.evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property)
  await button.click()
  await desk.getByRole('button', { name: 'Add a shadow' }).click()
  await desk.getByRole('button', { name: /^Shadow token/ }).click()
  await desk.getByLabel('Name of the shadow token').fill('card')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('button', { name: 'Shadow token: card' })).toBeVisible()
  await setValue(desk, /^Border width/, '2')
  await desk.getByRole('button', { name: /^Border token/ }).click()
  await desk.getByLabel('Name of the border token').fill('hair')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('button', { name: 'Border token: hair' })).toBeVisible()
  await desk.getByRole('button', { name: 'Another fill on top' }).click()
  await desk.getByRole('option', { name: 'A gradient' }).click()
  await desk.getByRole('button', { name: /^Gradient: / }).click()
  await desk.getByRole('button', { name: /^Gradient, colours/ }).click()
  await desk.getByLabel('Name of the gradient token').fill('dawn')
  await desk.keyboard.press('Enter')
  await saved(desk)
  const { props } = findNode((await stored(desk)).pages[0]!.sections, 'Call to action')!
  expect(Object.values(props.shadows as object)).toMatchObject([{ token: '{shadow.card}' }])
  expect(props).toMatchObject({ borderTop: '{border.hair}', borderLeft: '{border.hair}' })
  expect(Object.values(props.fills as object)).toContainEqual(
    expect.objectContaining({ kind: 'gradient', stops: '{gradient.dawn}' }),
  )

  // Another block takes the shadow; both follow it.
  await onSheet(desk, 'desktop', 'How lending works').click()
  await desk.getByRole('button', { name: 'Add a shadow' }).click()
  await desk.getByRole('button', { name: /^Shadow token/ }).click()
  await desk.getByRole('button', { name: 'card', exact: true }).click()
  await desk.getByRole('button', { name: 'Tokens of the project' }).click()
  await desk.getByRole('tab', { name: /^Looks 5/ }).click()
  const card = desk.locator('[data-token="shadow.card"]')
  await expect(card).toContainText('used 2 times')
  await desk.getByRole('button', { name: 'Values of card' }).click()
  await setValue(desk, /^Shadow blur/, '33')
  await desk.keyboard.press('Escape')
  await setValue(desk, /^hair width/, '5')
  await expect.poll(() => css('box-shadow')).toMatch(/0px 4px 33px 0px$/)
  await expect.poll(() => css('border-top-width')).toBe('5px')
  await card.getByRole('button', { name: 'Take away card' }).click()
  await desk.getByRole('button', { name: 'the value that it has now' }).click()
  await expect(card).toHaveCount(0)
  await desk.keyboard.press('Escape')
  await expect.poll(() => css('box-shadow')).toMatch(/0px 4px 33px 0px$/)
  await saved(desk)
  const file = await stored(desk)
  expect(file.tokens.shadow).not.toHaveProperty('card')
  expect(file.tokens.border).toMatchObject({ hair: { $value: { width: { value: 5, unit: 'px' } } } })
})
