/** Every screen and state, in both themes and in a narrow window, held against axe-core. */

import type { Page } from '@playwright/test'
import { violationsOn } from '../src/cli/axe'
import { choose, expect, onSheet, row, setValue, test } from './app'

async function themed(page: Page, theme: 'Dark' | 'Light') {
  const button = page.getByRole('button', { name: theme, exact: true })
  if (await button.count()) await button.click()
}

/** A state: how it is reached from the desk with the hero selected, and left again where Escape is not enough. */
type State = [name: string, reach: (page: Page) => Promise<unknown>, leave?: (page: Page) => Promise<unknown>]

const keys = (chord: string): State => [
  chord,
  async (page) => {
    await page.keyboard.press(chord)
    await page.getByRole('dialog').first().waitFor()
  },
]
const command = (name: string): State => [
  name,
  async (page) => {
    await page.keyboard.press('ControlOrMeta+k')
    await page.keyboard.type(name)
    await page.keyboard.press('Enter')
    await page.getByRole('dialog').first().waitFor()
  },
]
const button = (name: string | RegExp): State => [
  String(name),
  (page) => page.getByRole('button', { name }).first().click(),
]
const list = (name: string | RegExp): State => [
  `list ${name}`,
  (page) => page.getByRole('combobox', { name }).first().click(),
]
const block = (words: string): State => [
  words,
  (page) => onSheet(page, 'desktop', words).click(),
  (page) => row(page, 'Hero').click(),
]
const undone = async (page: Page) => {
  await page.keyboard.press('Escape')
  await page.keyboard.press('ControlOrMeta+z')
  await row(page, 'Hero').click()
}

const STATES: State[] = [
  ['a section', async () => {}],
  ...['p', 'y', 'ControlOrMeta+f', 'Shift+R', 'Shift+E', '?', 'n', 'a', 'Shift+T', 'ControlOrMeta+k'].map(
    keys,
  ),
  ...['About this page', 'Template of this page', 'Put the copied look on', 'Fonts of your own'].map(command),
  button('Views of the project'),
  button(/^Page: /),
  button('Hand off'),
  button(/^What exact, snug/),
  button(/^Padding top/),
  ['a colour', (page) => page.getByRole('button', { name: /paper/ }).first().click()],
  button('Another fill on top'),
  button('Cut to: not cut'),
  button('Add a filter'),
  list(/^Height: /),
  list(/^Theme shown/),
  [
    'a new theme',
    async (page) => {
      await page.keyboard.press('Shift+T')
      await page.getByRole('button', { name: 'New theme' }).click()
    },
    async (page) => {
      await page.keyboard.press('Escape')
      await page.keyboard.press('Escape')
    },
  ],
  [
    'colours from a picture',
    async (page) => {
      await page.keyboard.press('Shift+T')
      await page.getByRole('tab', { name: /^Colours/ }).click()
      await page.getByRole('button', { name: 'Colours from a picture' }).click()
      await page.getByRole('option').first().click()
      await page.getByRole('button', { name: /^Make \d tokens/ }).waitFor()
    },
    async (page) => {
      await page.keyboard.press('Escape')
      await page.keyboard.press('Escape')
    },
  ],
  [
    'a picture that is cut',
    async (page) => {
      await page.locator('[data-sheet="desktop"] img').first().click()
      await page.getByRole('button', { name: /^Cut or turn/ }).click()
      await page.getByRole('application', { name: /^Part that stays/ }).waitFor()
    },
    async (page) => {
      await page.keyboard.press('Escape')
      await row(page, 'Hero').click()
    },
  ],
  [
    'placeholder pictures',
    async (page) => {
      await page.getByRole('button', { name: /^Pictures/ }).click()
      await page.getByRole('button', { name: 'Draw a picture' }).click()
      await page.getByRole('option', { name: 'landscapes' }).waitFor()
    },
    async (page) => {
      await page.keyboard.press('Escape')
      await page.getByRole('button', { name: /^Pictures/ }).click()
    },
  ],
  [
    'icons',
    async (page) => {
      await page.getByRole('button', { name: /^Icons/ }).click()
      await page.getByRole('option', { name: 'Search', exact: true }).waitFor()
    },
    async (page) => {
      await page.getByRole('button', { name: /^Icons/ }).click()
    },
  ],
  [
    'filler and a list of families',
    async (page) => {
      await onSheet(page, 'desktop', 'Take home heirloom').click()
      await page.getByRole('button', { name: 'Filler words' }).click()
    },
    async (page) => {
      await page.keyboard.press('Escape')
      await page.getByRole('combobox', { name: /^Font family/ }).click()
      await page.keyboard.press('Escape')
      await row(page, 'Hero').click()
    },
  ],
  block('Browse the catalogue'),
  block('Take home heirloom'),
  [
    'a colour that reads badly',
    async (page) => {
      await onSheet(page, 'desktop', 'Take home heirloom').click()
      await page.getByRole('button', { name: /^Ink/ }).click()
      await page.getByLabel('Ink as hex, rgb, hsl or oklch').fill('#b8c4bc')
      await page.getByRole('button', { name: /which reads$/ }).waitFor()
    },
    undone,
  ],
  ...(['Colours', 'Type', 'Spaces', 'Nearly tokens', 'In use'] as const).map(
    (part): State => [
      `tokens ${part}`,
      async (page) => {
        await page.keyboard.press('Shift+T')
        await page.getByRole('tab', { name: new RegExp(`^${part}`) }).click()
      },
    ],
  ),
  ['a picture', (page) => page.locator('[data-sheet="desktop"] img').first().click(), undone],
  [
    'words being written',
    (page) => onSheet(page, 'desktop', 'Take home heirloom').dblclick(),
    async (page) => {
      await page.keyboard.press('Escape')
      await row(page, 'Hero').click()
    },
  ],
  [
    'several',
    (page) => row(page, 'Quote').click({ modifiers: ['ControlOrMeta'] }),
    (page) => row(page, 'Hero').click(),
  ],
  [
    'on Mobile alone',
    (page) => page.locator('[data-sheet="mobile"]').click({ position: { x: 100, y: 20 } }),
    (page) => row(page, 'Hero').click(),
  ],
  ...(['Sections', 'Blocks', 'Pictures'] as const).map(
    (part): State => [
      `shelf ${part}`,
      (page) => page.getByRole('button', { name: new RegExp(`^${part}`) }).click(),
      (page) => page.getByRole('button', { name: new RegExp(`^${part}`) }).click(),
    ],
  ),
  [
    'nothing found on the shelf',
    async (page) => {
      await page.keyboard.press('/')
      await page.keyboard.type('zzz')
    },
  ],
  ...[/^Guides on/, /^Tracing on/, /^Snaps/].map(button),
  [
    'the menu by right press',
    async (page) => {
      await row(page, 'Hero').press('Shift+F10')
      await page.getByRole('menu').waitFor()
    },
  ],
  ['nothing selected', (page) => page.keyboard.press('Escape'), (page) => row(page, 'Hero').click()],
  [
    'pins',
    async (page) => {
      await row(page, 'Hero').press('ArrowRight')
      await page.locator('[role=treeitem][aria-level="2"]').first().click()
      await choose(page, /^In the flow or lifted/, 'lifted')
      await page.locator('[data-pins-picture]').waitFor()
    },
    undone,
  ],
  [
    'a refused value',
    async (page) => {
      await setValue(page, /^Padding top/, '12 +')
      await page.getByRole('alert').first().waitFor()
    },
  ],
  [
    'what breaks',
    async (page) => {
      await page.getByRole('slider', { name: /^Width of Desktop/ }).press('ArrowLeft')
      await page.getByRole('region', { name: 'What breaks on Desktop' }).waitFor()
    },
    async (page) => {
      await page.getByRole('button', { name: 'Back to 1440' }).click()
      await row(page, 'Hero').click()
    },
  ],
]

for (const theme of ['Light', 'Dark'] as const)
  test(`nothing for axe-core in any state of the desk, ${theme.toLowerCase()}`, async ({ desk }) => {
    await themed(desk, theme)
    await row(desk, 'Hero').click()
    const found: string[] = []
    for (const [name, reach, leave] of STATES) {
      await reach(desk)
      found.push(...(await violationsOn(desk)).map((each) => `${name}: ${each}`))
      if (leave) await leave(desk)
      else {
        await desk.keyboard.press('Escape')
        await expect(desk.getByRole('dialog')).toHaveCount(0)
        await row(desk, 'Hero').click()
      }
    }
    expect(found).toEqual([])
  })

test('nor on the projects, in a new project, or where the window is narrow', async ({ page, app }) => {
  await page.goto(app.address)
  for (const theme of ['Light', 'Dark'] as const) {
    await page.getByRole('link', { name: 'Open Hollow Oak Seed Library', exact: true }).first().waitFor()
    await themed(page, theme)
    expect(await violationsOn(page), theme).toEqual([])
  }
  await page
    .getByRole('button', { name: /^More for/ })
    .first()
    .click()
  expect(await violationsOn(page), 'more').toEqual([])
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'New project' }).click()
  expect(await violationsOn(page), 'new project').toEqual([])
  await page.getByLabel('Name').fill('Empty')
  await page.keyboard.press('Enter')
  await page.getByText('This page is empty').waitFor()
  expect(await violationsOn(page), 'empty').toEqual([])
  await page.setViewportSize({ width: 320, height: 512 })
  expect(await violationsOn(page), 'narrow').toEqual([])
  for (const panel of ['ledger', 'spec']) {
    await page.getByRole('button', { name: panel, exact: true }).click()
    expect(await violationsOn(page), panel).toEqual([])
  }
})
