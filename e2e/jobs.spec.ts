/** Two jobs of every day, from an empty project by hand, within as many gestures as they may take. */
import type { Page } from '@playwright/test'
import { emptyProject, expect, saved, stored, test } from './app'
import { Hand } from './gestures'

test.beforeEach(({ page, app }) => emptyProject(page, app, 'By hand'))

/** On no view, at no width, once that has been looked through. */
async function nothingBreaks(page: Page) {
  await page.locator('[data-looked=true]').waitFor()
  await expect(page.getByRole('button', { name: /things? breaks? on/ })).toHaveCount(0)
}

test('a header: name, menu of four, action, spread apart on one line, in at most 45 gestures', async ({
  page,
}) => {
  const hand = new Hand(page)
  await hand.place('row')
  await hand.place('heading')
  await hand.write('Hollow Oak')
  await hand.place('row')
  await hand.key('Enter')
  await hand.type('Home, Catalogue, Workshops, Borrow')
  await hand.key('Enter')
  await hand.key('Escape')
  await hand.place('button')
  await hand.write('Sign in')
  await hand.key('Escape')
  await hand.choose(/^Packed/, 'spread apart')
  await hand.key('Escape')
  await hand.key('Escape')
  await hand.set(/^Padding top/, '24')
  await hand.set(/^Padding bottom/, '24')
  await saved(page)
  expect(hand.count).toBeLessThanOrEqual(45)

  const sheet = page.locator('[data-sheet="desktop"]')
  const boxes = await Promise.all(
    ['Hollow Oak', 'Home', 'Borrow', 'Sign in'].map(
      async (text) => (await sheet.getByText(text, { exact: true }).first().boundingBox())!,
    ),
  )
  // Each item once.
  await expect(sheet.getByText('Catalogue', { exact: true })).toHaveCount(1)
  const middles = boxes.map(({ y, height }) => y + height / 2)
  for (const middle of middles) expect(Math.abs(middle - middles[0]!)).toBeLessThan(4)
  for (const [i, { x }] of boxes.entries()) if (i > 0) expect(x).toBeGreaterThan(boxes[i - 1]!.x)
  expect(JSON.stringify((await stored(page)).pages)).toContain('space-between')
  await nothingBreaks(page)
  console.log(`a header by hand: ${hand.count} gestures`)
})

test('a split hero: words and actions at the left, a picture at the right, in at most 35 gestures', async ({
  page,
}) => {
  const hand = new Hand(page)
  await hand.place('lattice')
  await hand.place('column')
  await hand.place('heading')
  await hand.write('Borrow a packet')
  await hand.place('paragraph')
  await hand.write('Take home seed, grow it, and bring some back.')
  await hand.place('button')
  await hand.write('Browse')
  await hand.key('Escape')
  await hand.key('Escape')
  await hand.place('picture')
  await saved(page)
  expect(hand.count).toBeLessThanOrEqual(35)

  const sheet = page.locator('[data-sheet="desktop"]')
  const heading = (await sheet.getByText('Borrow a packet').first().boundingBox())!
  const picture = (await sheet.locator('img').first().boundingBox())!
  expect(picture.x).toBeGreaterThan(heading.x + heading.width)
  expect(picture.y).toBeLessThanOrEqual(heading.y + heading.height)
  await nothingBreaks(page)
  console.log(`a split hero by hand: ${hand.count} gestures`)
})

/** A row in a row, still empty, whose items are asked for. */
async function emptyMenu(page: Page): Promise<Hand> {
  const hand = new Hand(page)
  await hand.place('row')
  await hand.place('row')
  await hand.key('Enter')
  return hand
}

/** Holds the part of the spec back that shows blocks. @returns what lets it through */
async function withoutBlockSpec(page: Page): Promise<() => void> {
  let give = () => {}
  const given = new Promise<void>((resolve) => (give = resolve))
  await page.route('**/block-spec*.js', async (route) => {
    await given
    await route.continue()
  })
  await page.reload()
  await expect(page.getByRole('complementary', { name: 'Spec' })).toBeVisible()
  return give
}

test('what is typed right behind Enter is a menu’s, however late the spec shows its line', async ({
  page,
}) => {
  await page.clock.install()
  const give = await withoutBlockSpec(page)
  const hand = await emptyMenu(page)
  // Once more, since nothing seemed to happen.
  await hand.key('Enter')
  await hand.type('Home, Catalogue, Help')
  await hand.key('Enter')
  await page.clock.fastForward(30_000)
  give()
  const sheet = page.locator('[data-sheet="desktop"]')
  for (const item of ['Home', 'Catalogue', 'Help'])
    await expect(sheet.getByText(item, { exact: true })).toHaveCount(1)
  await expect(page.getByRole('treeitem', { name: /hidden/ })).toHaveCount(0)
})

test('Escape while the spec is not there yet: keys are keys again, and nothing is typed later', async ({
  page,
}) => {
  const give = await withoutBlockSpec(page)
  const hand = await emptyMenu(page)
  await hand.type('Home')
  await hand.key('Escape')
  give()
  const items = page.getByRole('textbox', { name: 'Items' })
  await hand.place('heading')
  await hand.write('Hollow Oak')
  await saved(page)
  await expect(items).toHaveCount(0)
  const sheet = page.locator('[data-sheet="desktop"]')
  await expect(sheet.getByText('Hollow Oak')).toHaveCount(1)
  await expect(sheet.getByText('Home', { exact: true })).toHaveCount(0)
  await expect(page.getByRole('treeitem', { name: /hidden/ })).toHaveCount(0)
})
