/** A menu behind a button on the phone: put there by hand, seen open on the board, and opened on the page that is handed off. */

import type { Locator } from '@playwright/test'
import { SiteViewer } from '../src/cli/browser'
import { choose, expect, findNode, handedOff, onSheet, row, saved, stored, test } from './app'

const box = (locator: Locator) =>
  locator.evaluate((each) => {
    const { x, y, width, height } = each.getBoundingClientRect()
    return { x, y, width, height }
  })

test('the demo’s menu opens on the phone, by the button and by Escape, as the board shows it', async ({
  desk,
}) => {
  await onSheet(desk, 'mobile', 'Menu').click()
  await expect(desk.locator('[data-opens]')).toHaveText(/Opens\s*Menu\s*on Mobile/)
  await expect(onSheet(desk, 'mobile', 'Workshops')).toBeHidden()
  await desk.locator('[data-opens]').getByRole('button', { name: 'Menu' }).click()
  const item = onSheet(desk, 'mobile', 'Workshops')
  await expect(item).toBeVisible()
  // What is in it is found under the pointer, over the hero.
  await item.click()
  await expect(desk.locator('aside[aria-label=Spec] h2')).toContainText('Link')
  const onBoard = await desk.evaluate(() => {
    const sheet = document.querySelector('[data-sheet="mobile"]')!
    const root = [sheet, ...sheet.querySelectorAll('*')].find((each) => each.shadowRoot)!.shadowRoot!
    const found = [...root.querySelectorAll('[data-node]')]
      .filter((each) => each.textContent === 'Workshops')
      .at(-1)!
    const { x, y } = found.getBoundingClientRect()
    const { x: left, y: top, width } = sheet.getBoundingClientRect()
    return { x: ((x - left) * 390) / width, y: ((y - top) * 390) / width }
  })
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('Escape')

  const viewer = await SiteViewer.open()
  const files = new Map(
    Object.entries(await handedOff(desk)).map(([path, bytes]) => [path, bytes as string | Uint8Array]),
  )
  await viewer.show(files, 'index.html', 390, 844)
  const { page } = viewer
  const link = page.getByRole('navigation').getByRole('link', { name: 'Workshops' })
  await expect(link).toBeHidden()
  const button = page.getByRole('button', { name: 'Menu' })
  await button.click()
  await expect(link).toBeVisible()
  const shown = await box(link)
  expect(shown.x).toBeCloseTo(onBoard.x, 0)
  expect(shown.y).toBeCloseTo(onBoard.y, 0)
  await page.keyboard.press('Escape')
  await expect(link).toBeHidden()
  // By keys alone, to the page that it leads to.
  await button.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await expect(link).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/workshops/)
  // On a wide window it stands in the header, without a button.
  await viewer.show(files, 'index.html', 1440, 900)
  await expect(link).toBeVisible()
  await expect(button).toBeHidden()
  await viewer.close()
})

test('a menu is taken out from behind its button, and put there again', async ({ desk }) => {
  const before = await stored(desk)
  await onSheet(desk, 'mobile', 'Menu').click()
  await desk.locator('[data-opens]').getByRole('button', { name: 'Menu' }).click()
  await expect(row(desk, 'Menu')).toContainText('behind a button')
  await choose(desk, /^In the flow or lifted/, 'in the flow')
  await expect(row(desk, 'Menu')).not.toContainText('behind a button')
  await expect(row(desk, 'Menu button')).toContainText('hidden here')
  await desk.keyboard.press('ControlOrMeta+k')
  await desk.keyboard.type('hamburger')
  await desk.keyboard.press('Enter')
  await expect(row(desk, 'Menu')).toContainText('behind a button')
  await expect(row(desk, 'Menu button')).not.toContainText('hidden here')
  await saved(desk)
  const sections = (await stored(desk)).pages[0]!.sections
  expect(findNode(sections, 'Menu')!.overrides!.mobile).toMatchObject({ folded: true, flow: 'column' })
  // There is one button, as before.
  expect(JSON.stringify(sections).match(/"Menu button"/g)).toHaveLength(1)
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect((await stored(desk)).pages).toEqual(before.pages)
})

test('a menu whose button was deleted says so, and is given one; a button leads elsewhere, and back to it', async ({
  desk,
}) => {
  await onSheet(desk, 'mobile', 'Menu').click()
  await desk.keyboard.press('Delete')
  await row(desk, 'Menu').click()
  await expect(desk.locator('[data-unopened]')).toHaveText(/No button opens it on Mobile/)
  await desk.getByRole('button', { name: 'Put one there' }).click()
  await expect(desk.locator('[data-unopened]')).toHaveCount(0)
  await row(desk, 'Menu button').click()
  await desk.getByRole('button', { name: 'Lead elsewhere' }).click()
  await desk.getByRole('button', { name: 'opens Menu' }).click()
  await expect(desk.locator('[data-opens]')).toHaveText(/Opens\s*Menu\s*on Mobile/)
})

test('what lies open is pulled and pushed by keys like any pinned block, and other views stay', async ({
  desk,
}) => {
  await onSheet(desk, 'mobile', 'Menu').click()
  await desk.locator('[data-opens]').getByRole('button', { name: 'Menu' }).click()
  await saved(desk)
  const before = (await stored(desk)).pages[0]!.sections
  const own = async () => findNode((await stored(desk)).pages[0]!.sections, 'Menu')!
  const pins = async () => {
    await saved(desk)
    return (await own()).overrides!.mobile as { pinTop: { px: number }; pinLeft: { px: number } }
  }
  const top = (await pins()).pinTop.px
  await desk.keyboard.press('Shift+F')
  const panel = (await desk.locator('[data-selected]').last().boundingBox())!
  await desk.mouse.move(panel.x + panel.width - 20, panel.y + panel.height - 12)
  await desk.mouse.down()
  await desk.mouse.move(panel.x + panel.width - 20, panel.y + panel.height + 60, { steps: 6 })
  await desk.mouse.up()
  await expect.poll(async () => (await pins()).pinTop.px).toBeGreaterThan(top)
  // It is kept to both sides of the window.
  expect((await pins()).pinLeft.px).toBe(0)
  const pulled = (await pins()).pinTop.px
  await desk.keyboard.press('ArrowDown')
  await expect.poll(async () => (await pins()).pinTop.px).toBe(pulled + 1)
  const { props, overrides } = await own()
  expect(props).toEqual(findNode(before, 'Menu')!.props)
  expect(Object.keys(overrides!)).toEqual(['mobile'])
})
