/** Four jobs with real content, from an empty project by hand, counted in gestures. */
import type { Page } from '@playwright/test'
import { emptyProject, expect, findNode, saved, stored, test } from './app'
import { Hand } from './gestures'

test.beforeEach(({ page, app }) => emptyProject(page, app, 'With content'))

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })
const option = (page: Page, name: string) => page.getByRole('option', { name, exact: true })

/** In what is selected, or as a picture of its own: three gestures. */
async function draw(hand: Hand, subject: string) {
  await hand.click(button(hand.page, /^Pictures/))
  await hand.click(button(hand.page, 'Draw a picture'))
  await hand.click(option(hand.page, subject))
}

test('a split hero with a masked picture, in at most 32 gestures', async ({ page }) => {
  const hand = new Hand(page)
  await hand.place('lattice')
  await hand.place('column')
  await hand.place('heading')
  await hand.write('Borrow a packet')
  await hand.place('paragraph')
  await hand.write('Take home seed, grow it, and bring some back.')
  await hand.key('Escape')
  await hand.key('Escape')
  await hand.place('picture')
  await draw(hand, 'plants')
  await hand.click(button(page, 'Cut to: not cut'))
  await hand.click(option(page, 'blob'))
  await hand.key('Escape')
  await saved(page)
  const { pages, assets } = await stored(page)
  expect(assets).toHaveLength(1)
  expect(JSON.stringify(pages)).toContain('"form":"blob"')
  expect(hand.count).toBeLessThanOrEqual(32)
  console.log(`a split hero with a masked picture: ${hand.count} gestures`)
})

test('text that reads on a photograph, in at most 24 gestures', async ({ page }) => {
  const hand = new Hand(page)
  await hand.place('heading')
  await hand.write('Open until the lanterns go out')
  await hand.click(page.getByRole('treeitem').first())
  for (const fill of ['A picture', 'A gradient']) {
    await hand.click(button(page, 'Another fill on top'))
    await hand.click(option(page, fill))
  }
  await hand.click(page.locator('[data-sheet="desktop"]').getByText('Open until').first())
  await hand.click(button(page, /^Ink/))
  await hand.click(option(page, 'paper'))
  await hand.key('Escape')
  await saved(page)
  const text = JSON.stringify((await stored(page)).pages)
  expect(text).toContain('"kind":"picture"')
  expect(text).toContain('"kind":"gradient"')
  expect((await stored(page)).assets).toHaveLength(1)
  expect(hand.count).toBeLessThanOrEqual(24)
  console.log(`text on a photograph: ${hand.count} gestures`)
  // Ink, gradient, and the picture with its fill: a step each.
  for (let i = 0; i < 3; i++) await page.keyboard.press('ControlOrMeta+z')
  await saved(page)
  await expect(async () => {
    const { pages, assets } = await stored(page)
    expect(JSON.stringify(pages)).not.toContain('"kind":"picture"')
    expect(assets).toHaveLength(0)
  }).toPass()
})

test('a list of fills that is open stays open when a picture that was asked for before arrives', async ({
  page,
}) => {
  const hand = new Hand(page)
  await hand.place('heading')
  await hand.click(page.getByRole('treeitem').first())
  // It is being looked at until this says that it has arrived, as on a slow machine.
  await page.evaluate(() => {
    const decode = HTMLImageElement.prototype.decode
    HTMLImageElement.prototype.decode = async function () {
      await new Promise((resolve) => window.addEventListener('arrived', resolve, { once: true }))
      return decode.call(this)
    }
  })
  await hand.click(button(page, 'Another fill on top'))
  await hand.click(option(page, 'A picture'))
  await hand.click(button(page, 'Another fill on top'))
  await expect(option(page, 'A gradient')).toBeVisible()
  await expect(page.getByRole('combobox', { name: /^Where fill 1 is seen/ })).toBeHidden()
  await page.evaluate(() => window.dispatchEvent(new Event('arrived')))
  await expect(page.getByRole('combobox', { name: /^Where fill 1 is seen/ })).toBeVisible()
  await hand.click(option(page, 'A gradient'))
  await expect(page.getByRole('combobox', { name: /^Where fill 2 is seen/ })).toBeVisible()
})

test('words on a photograph are read on its pixels: marked where they read worst, mended by a veil', async ({
  page,
}) => {
  const hand = new Hand(page)
  await hand.place('heading')
  await hand.write('Open until the lanterns go out')
  await hand.click(page.getByRole('treeitem').first())
  await hand.click(button(page, 'Another fill on top'))
  await hand.click(option(page, 'A picture'))
  await hand.click(page.locator('[data-sheet="desktop"]').getByText('Open until').first())
  await hand.click(button(page, /^Ink/))
  const reading = page.locator('[data-reading]')
  await expect(reading).toContainText(/: 1 where it is worst: reads badly, 3 is needed/)
  const mark = page.locator('[data-worst-place]')
  await expect(mark).toContainText(/: 1 here, too little/)
  const words = (await page.locator('[data-sheet="desktop"]').getByText('Open until').first().boundingBox())!
  const marked = (await mark.boundingBox())!
  expect(marked.y).toBeGreaterThan(words.y - marked.height)
  expect(marked.y).toBeLessThan(words.y + words.height)
  await button(page, /^Lay white over the picture/).click()
  await expect(reading).toContainText(/[3-9]\.\d : 1 where it is worst: reads well/)
  await expect(mark).toContainText(/: 1 here$/)
  await hand.key('Escape')
  await expect(mark).toHaveCount(0)
  await saved(page)
  expect(JSON.stringify((await stored(page)).pages)).toMatch(/"color":"#ffffff[0-9a-f]{2}"/)
})

test('a page in two themes, in at most 8 gestures', async ({ page }) => {
  const hand = new Hand(page)
  await hand.place('hero')
  await hand.key('Shift+T')
  await hand.click(button(page, 'New theme'))
  await hand.click(button(page, /^Dark from light/))
  await hand.key('Escape')
  await expect(page.locator('[data-sheet="desktop"]')).toHaveCount(2)
  await saved(page)
  expect(hand.count).toBeLessThanOrEqual(8)
  console.log(`a page in two themes: ${hand.count} gestures`)
})

test('a logo of three shapes, in at most 14 gestures', async ({ page }) => {
  const hand = new Hand(page)
  for (const shape of ['ring', 'triangle', 'star']) await hand.place(shape)
  const rows = page.getByRole('treeitem')
  for (const name of ['Ring', 'Triangle']) {
    hand.count++
    await rows.filter({ hasText: name }).click({ modifiers: ['ControlOrMeta'] })
  }
  await hand.click(page.getByRole('button', { name: 'unite', exact: true }))
  await expect(rows.filter({ hasText: 'Star' })).toHaveCount(0)
  await saved(page)
  expect(findNode((await stored(page)).pages[0]!.sections, 'Ring')!.props.form).toMatchObject({
    form: 'path',
  })
  expect(hand.count).toBeLessThanOrEqual(14)
  console.log(`a logo of three shapes: ${hand.count} gestures`)
})
