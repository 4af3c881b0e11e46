/** Where the focus is while something is open, and where it goes afterwards: back to what opened it. */
import type { Locator, Page } from '@playwright/test'
import { expect, row, test } from './app'

/** What is open: the topmost dialog or list. */
const opened = (page: Page) =>
  page.locator(
    '[role=dialog]:visible, [role=alertdialog]:visible, [role=listbox]:visible, [role=menu]:visible',
  )

const FOCUSED = () => {
  const at = document.activeElement
  if (!at || at === document.body) return 'nothing'
  const inside = at.closest('[role=dialog], [role=alertdialog], [role=listbox], [role=menu]')
  if (inside) return 'inside'
  return at.matches('[data-base-ui-focus-guard]') ? 'inside' : `behind: ${at.outerHTML.slice(0, 120)}`
}

/** Opened from where the focus is, walked through, left by Escape. @returns what was wrong */
async function walk(
  page: Page,
  name: string,
  open: () => Promise<unknown>,
  back: Locator,
): Promise<string[]> {
  const wrong: string[] = []
  await open()
  await expect(opened(page).first(), `${name}: opens`).toBeVisible()
  await expect.poll(() => page.evaluate(FOCUSED), `${name}: opened`).toBe('inside')
  // A dialog keeps Tab; a list may close when it leaves.
  if (await page.locator('[role=dialog][aria-modal=true]:visible').count())
    for (let i = 0; i < 25; i++) {
      await page.keyboard.press('Tab')
      const at = await page.evaluate(FOCUSED)
      if (at !== 'inside') wrong.push(`${name}: after ${i + 1} Tabs ${at}`)
    }
  // One at a time: what is closing takes no key any more, and the next one would go to what lies behind it.
  for (let count = await opened(page).count(); count > 0; count = await opened(page).count()) {
    await page.keyboard.press('Escape')
    await expect.poll(() => opened(page).count()).toBeLessThan(count)
  }
  await expect(back, `${name}: closed`).toBeFocused()
  return wrong
}

const KEYS = ['p', 'y', 'ControlOrMeta+f', 'Shift+R', 'Shift+E', '?', 'n', 'a', 'Shift+T', 'ControlOrMeta+k']
const COMMANDS = ['About this page', 'Template of this page', 'Fonts of your own']
const BUTTONS = [
  'Views of the project',
  /^Page: /,
  'Hand off',
  'Tokens of the project',
  /^What exact, snug/,
  'Another fill on top',
  'Cut to: not cut',
  'Add a filter',
  /^Snaps/,
  /^Guides on/,
]
const LISTS = [/^Height: /, /^Theme shown/, /^In the row|^Flow/]

test('dialogs opened by a key or a command give the focus back to the row that had it', async ({ desk }) => {
  const hero = row(desk, 'Hero')
  await hero.click()
  const wrong: string[] = []
  for (const key of KEYS) {
    await hero.focus()
    wrong.push(...(await walk(desk, key, () => desk.keyboard.press(key), hero)))
  }
  for (const name of COMMANDS) {
    await hero.focus()
    const open = async () => {
      await desk.keyboard.press('ControlOrMeta+k')
      await desk.keyboard.type(name)
      await desk.keyboard.press('Enter')
      await desk.getByRole('combobox', { name: 'Command' }).waitFor({ state: 'detached' })
    }
    wrong.push(...(await walk(desk, name, open, hero)))
  }
  expect(wrong).toEqual([])
})

test('what a button opens, by pointer or by Enter, gives the focus back to it', async ({ desk }) => {
  await row(desk, 'Hero').click()
  const wrong: string[] = []
  const openers = [
    ...BUTTONS.map((name) => desk.getByRole('button', { name }).first()),
    ...LISTS.map((name) => desk.getByRole('combobox', { name }).first()),
  ]
  for (const opener of openers) {
    if ((await opener.count()) === 0) {
      wrong.push(`not there: ${opener}`)
      continue
    }
    wrong.push(...(await walk(desk, `${opener}, pressed`, () => opener.click(), opener)))
    await opener.focus()
    wrong.push(...(await walk(desk, `${opener}, Enter`, () => desk.keyboard.press('Enter'), opener)))
  }
  expect(wrong).toEqual([])
})

test('a value that is typed in place gives the focus back to its chip, taken or not', async ({ desk }) => {
  await row(desk, 'Hero').click()
  const chip = desk.getByRole('button', { name: /^Padding top/ }).first()
  for (const [keys, value] of [
    [['Escape'], undefined],
    [['Enter'], '72'],
    [['Enter'], '72'],
  ] as const) {
    await chip.focus()
    await desk.keyboard.press('Enter')
    const field = desk.locator('input:focus')
    await expect(field).toBeVisible()
    if (value) await field.fill(value)
    for (const key of keys) await desk.keyboard.press(key)
    await expect(chip).toBeFocused()
  }
})

test('what is asked about a page that would be lost takes the focus and answers to Escape', async ({
  desk,
}) => {
  await desk.getByRole('button', { name: /^Page: / }).click()
  const away = desk.getByRole('button', { name: /^(Delete|Remove|Take) .*Borrow/ }).first()
  await away.click()
  await expect.poll(() => desk.evaluate(FOCUSED)).toBe('inside')
  await desk.keyboard.press('Escape')
  await expect.poll(() => desk.evaluate(FOCUSED)).not.toBe('nothing')
})

test('what the desk says of itself: the ledger’s rows, the board, and what is selected', async ({ desk }) => {
  await row(desk, 'Hero').click()
  await expect(desk.getByRole('tree', { name: 'Sections of Home' })).toMatchAriaSnapshot(`
    - tree "Sections of Home":
      - treeitem /Header, \\d+ high from 0/ [level=1]
      - treeitem /Hero, \\d+ high from \\d+/ [level=1] [selected]
  `)
  await expect(desk.getByRole('application', { name: 'Board of Home' })).toMatchAriaSnapshot(`
    - application "Board of Home":
      - img "Home at Desktop, 1440 px"
      - img "Home at Mobile, 390 px"
      - group "Columns of Desktop"
      - slider "Width of Desktop’s sheet"
      - paragraph: /Desktop, 1440 wide, [\\d.]+ high. Header, \\d+ high; Hero, \\d+ high/
  `)
  await expect(desk.locator('[aria-live]').filter({ hasText: /^Hero selected on Desktop/ })).toHaveCount(1)
})
