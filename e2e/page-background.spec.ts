/** What a page is drawn on: chosen in the spec, seen on every sheet and in what is handed off. */
import type { Page } from '@playwright/test'
import { expect, handedOff, saved, stored, test } from './app'

/** The colour of a sheet where no block is. */
const paper = (page: Page, view: string) =>
  page
    .locator(`[data-sheet="${view}"]`)
    .evaluate((sheet) => getComputedStyle(sheet.parentElement!).backgroundColor)
const chip = (page: Page) => page.getByRole('button', { name: /^Background of the page:/ })

async function openBackground(page: Page) {
  await page.keyboard.press('ControlOrMeta+k')
  await page.keyboard.type('background of this page')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('listbox', { name: 'Background of the page tokens' })).toBeVisible()
}

test('a page is drawn on a colour of the project, all pages so in one press, and handed off so', async ({
  desk,
}) => {
  expect(await paper(desk, 'desktop')).toBe('rgb(255, 253, 248)')
  await openBackground(desk)
  await desk.getByRole('option', { name: 'night' }).click()
  await expect(chip(desk)).toHaveText('night')
  for (const view of ['desktop', 'mobile']) await expect.poll(() => paper(desk, view)).toBe('rgb(34, 51, 43)')
  await saved(desk)
  const background = async () => (await stored(desk)).pages.map((page) => page.props?.background)
  expect(await background()).toEqual(['{color.night}', ...Array(3).fill('{color.paper}')])
  await desk.getByRole('button', { name: 'On all pages' }).click()
  await expect(desk.getByRole('button', { name: 'On all pages' })).toHaveCount(0)
  await saved(desk)
  expect(await background()).toEqual(Array(4).fill('{color.night}'))

  const files = await handedOff(desk)
  expect(new TextDecoder().decode(files['styles.css'])).toMatch(
    /:root \{\s+background-color: var\(--color-night\);/,
  )
  await desk.keyboard.press('Escape')

  // Two steps back, and by the first of its names white.
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(() => paper(desk, 'desktop')).toBe('rgb(255, 253, 248)')
  await chip(desk).click()
  await desk.getByRole('option', { name: 'white' }).click()
  await expect(chip(desk)).toHaveText('white')
  await expect.poll(() => paper(desk, 'desktop')).toBe('rgb(255, 255, 255)')
})

test('from the menu of pages, by keys, and back in one step', async ({ desk }) => {
  await desk.getByRole('button', { name: /Home/ }).first().click()
  await desk.getByRole('button', { name: 'Background of Home …' }).click()
  const field = desk.getByLabel('Background of the page as hex, rgb, hsl or oklch')
  await field.fill('#102030')
  await desk.keyboard.press('Enter')
  await expect.poll(() => paper(desk, 'desktop')).toBe('rgb(16, 32, 48)')
  await desk.keyboard.press('Escape')
  await expect(chip(desk)).toBeFocused()
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(chip(desk)).toHaveText('paper')
})
