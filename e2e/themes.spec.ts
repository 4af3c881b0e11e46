/** Two worlds of colour, and values of narrower views: made in the interface, seen on the board, and the same in the handed-off page. */
import type { Page } from '@playwright/test'
import { SiteViewer } from '../src/cli/browser'
import { handOff } from '../src/cli/hand-off'
import { openProject } from '../src/core/document/open'
import { standIns } from '../src/core/samples/stand-in'
import { expect, handedOff, onSheet, saved, setValue, stored, test } from './app'

const dialog = (page: Page) => page.getByRole('dialog', { name: 'Tokens of the project' })
const sheets = (page: Page) => page.locator('[data-sheet="desktop"]')

/** Ink and ground of every block, by its id. */
const looks = (root: Element | Document) => {
  const host = (root as Element).shadowRoot ?? root
  return Object.fromEntries(
    [...host.querySelectorAll<HTMLElement>('[data-node]')]
      .filter((element) => getComputedStyle(element).display !== 'none')
      .map((element) => {
        const { color, backgroundColor } = getComputedStyle(element)
        return [element.dataset.node!, `${color} on ${backgroundColor}`]
      }),
  )
}

test('dark from light: both on the board side by side, and what is handed off looks so, too', async ({
  desk,
}) => {
  test.slow()
  await desk.getByRole('button', { name: 'Tokens of the project' }).click()
  await dialog(desk).getByRole('tab', { name: 'Colours' }).click()
  await expect(dialog(desk).getByRole('button', { name: 'Colour paper in Light' })).toBeInViewport()
  // As a project is that has none yet.
  for (const name of ['Dark', 'Light'])
    await dialog(desk)
      .getByRole('button', { name: `Take away ${name}` })
      .click()
  await dialog(desk).getByRole('button', { name: 'New theme' }).click()
  await desk.getByRole('button', { name: /Dark from light/ }).click()
  await expect(dialog(desk).locator('[data-theme-column]')).toHaveCount(2)
  // One colour by hand, and one back to what it is in the first.
  await dialog(desk).getByRole('button', { name: 'Colour paper in Dark' }).click()
  await desk.getByLabel('Colour paper in Dark as hex, rgb, hsl or oklch').fill('#101820')
  await desk.keyboard.press('Escape')
  await dialog(desk).getByRole('button', { name: 'gold has a value of its own in Dark: put it back' }).click()
  await desk.keyboard.press('Escape')
  await expect(sheets(desk)).toHaveCount(2)
  await expect(sheets(desk).last()).toHaveAccessibleName('Home at Desktop, 1440 px, Dark')
  await expect(desk.getByRole('combobox', { name: /^Theme shown/ })).toHaveText('Side by side')
  await saved(desk)

  const file = await stored(desk)
  const { document } = openProject(JSON.stringify(file))
  const viewer = await SiteViewer.open()
  try {
    await viewer.page.emulateMedia({ colorScheme: 'light' })
    await viewer.show(await handOff(document, standIns(document), { mark: true }), 'index.html', 1440, 900)
    const light = await viewer.page.evaluate(looks, await viewer.page.evaluateHandle(() => window.document))
    await viewer.page.emulateMedia({ colorScheme: 'dark' })
    const dark = await viewer.page.evaluate(looks, await viewer.page.evaluateHandle(() => window.document))
    const [first, twin] = [
      await sheets(desk).first().evaluate(looks),
      await sheets(desk).last().evaluate(looks),
    ]
    expect(Object.keys(twin).length).toBeGreaterThan(20)
    for (const id of Object.keys(twin)) {
      expect(light[id], id).toBe(first[id])
      expect(dark[id], id).toBe(twin[id])
    }
    expect(dark).not.toEqual(light)
    // Asked for by name, whatever the visitor prefers.
    const id = document.themes[0]!.id
    await viewer.page.evaluate((name) => window.document.documentElement.setAttribute('data-theme', name), id)
    expect(
      await viewer.page.evaluate(looks, await viewer.page.evaluateHandle(() => window.document)),
    ).toEqual(light)
  } finally {
    await viewer.close()
  }

  // What is selected in the twin is the same block; in one theme alone the spec speaks of that.
  await sheets(desk).last().locator('[data-node]', { hasText: 'Borrow a packet' }).last().click()
  await expect(desk.locator('[role=treeitem][aria-selected=true]')).toHaveAttribute('data-name', /^Heading/)
  await desk.getByRole('combobox', { name: /^Theme shown/ }).click()
  await desk.getByRole('option', { name: 'Dark' }).click()
  await expect(sheets(desk)).toHaveCount(1)
  await desk.reload()
  await expect(desk.getByRole('combobox', { name: /^Theme shown/ })).toHaveText('Dark')

  // Taken away, the page is as it was.
  await desk.getByRole('button', { name: 'Tokens of the project' }).click()
  await dialog(desk).getByRole('tab', { name: 'Colours' }).click()
  await dialog(desk).getByRole('button', { name: 'Take away Dark' }).click()
  await expect(dialog(desk).locator('[data-theme-column]')).toHaveCount(1)
  await saved(desk)
  expect(JSON.stringify((await stored(desk)) as unknown)).not.toContain('#101820')
})

test('a heading is smaller on the phone by its type style, once for all of that style', async ({ desk }) => {
  const size = (view: string) =>
    onSheet(desk, view, 'Ready to sow this week').evaluate(
      (element) => getComputedStyle(element.querySelector('span') ?? element).fontSize,
    )
  const wide = await size('desktop')
  await desk.getByRole('button', { name: 'Tokens of the project' }).click()
  await dialog(desk).getByRole('tab', { name: 'Type' }).click()
  await dialog(desk).getByRole('radio', { name: 'Mobile' }).check()
  await setValue(desk, 'Size of heading', '27')
  await expect(dialog(desk).getByRole('radio', { name: 'Mobile 1 of its own' })).toBeChecked()
  await desk.keyboard.press('Escape')
  expect(await size('desktop')).toBe(wide)
  await saved(desk)
  const css = new TextDecoder().decode((await handedOff(desk))['styles.css'])
  expect(css.slice(css.indexOf('@media (max-width'))).toContain('--type-heading-size: 1.6875rem')
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  const { pages } = await stored(desk)
  expect(pages.length).toBeGreaterThan(0)
})
