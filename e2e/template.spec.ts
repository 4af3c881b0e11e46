/** A template by gestures: made of a page, stood on by another, changed once for all, and on one page alone. */

import type { Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { expect, onSheet, row, saved, test } from './app'

const openMenu = (desk: Page) => desk.getByRole('button', { name: /^Page: / }).click()
const openPage = async (desk: Page, name: RegExp) => {
  await openMenu(desk)
  await desk.getByRole('button', { name }).last().click()
}
async function handedOff(desk: Page): Promise<Record<string, string>> {
  await saved(desk)
  const zip = await desk.request.get(`${desk.url().replace('/projects/', '/api/projects/')}/handoff.zip`)
  return Object.fromEntries(
    Object.entries(unzipSync(new Uint8Array(await zip.body())))
      .filter(([name]) => /\.(html|css)$/.test(name))
      .map(([name, bytes]) => [name, new TextDecoder().decode(bytes)]),
  )
}

/** Home's header and footer become the template Main. */
async function makeMain(desk: Page) {
  await openMenu(desk)
  await desk.getByRole('button', { name: 'Template for this page' }).click()
  await desk.getByRole('button', { name: 'Make Main of 2 sections' }).click()
  await expect(desk.getByRole('dialog')).toHaveCount(0)
}

test('is made in three presses, and nothing on the page moves', async ({ desk }) => {
  const height = desk.locator('[data-page-height]')
  const before = await height.textContent()
  await makeMain(desk)
  await expect(height).toHaveText(before!)
  await expect(row(desk, 'Header')).toHaveAttribute('data-shared', 'true')
  await expect(row(desk, 'Hero')).not.toHaveAttribute('data-shared')
  await expect(desk.locator('[data-shared-section]')).toHaveCount(4)
  await desk.keyboard.press('Control+z')
  await expect(row(desk, 'Header')).not.toHaveAttribute('data-shared')
  await expect(height).toHaveText(before!)
})

test('changed once, it changes on every page that stands on it', async ({ desk }) => {
  await makeMain(desk)
  await openPage(desk, /^Catalogue/)
  await openMenu(desk)
  await desk.getByRole('button', { name: 'Template for this page' }).click()
  await desk.getByRole('button', { name: /^Stand on Main/ }).click()
  await expect(row(desk, 'Header')).toHaveAttribute('data-shared', 'true')
  await onSheet(desk, 'desktop', 'Workshops').first().click()
  await desk.getByRole('button', { name: 'Change it in Main' }).click()
  await expect(desk.getByText('Each page’s own sections stand here').first()).toBeVisible()
  await onSheet(desk, 'desktop', 'Workshops').first().dblclick()
  await desk.keyboard.press('Control+a')
  await desk.keyboard.type('Classes')
  await desk.keyboard.press('Escape')
  await openPage(desk, /^Home/)
  await expect(onSheet(desk, 'desktop', 'Classes').first()).toBeVisible()
  await openPage(desk, /^Catalogue/)
  await expect(onSheet(desk, 'desktop', 'Classes').first()).toBeVisible()
  const files = await handedOff(desk)
  expect(
    Object.keys(files)
      .filter((name) => name.endsWith('.html'))
      .sort(),
  ).toEqual(['borrow/index.html', 'catalogue/index.html', 'index.html', 'workshops/index.html'])
  for (const name of ['index.html', 'catalogue/index.html'])
    expect(files[name]!.match(/Classes/g)).toHaveLength(1)
})

test('a page changes words on one view alone, leaves a block out, and puts both back', async ({ desk }) => {
  await makeMain(desk)
  await onSheet(desk, 'mobile', 'Sign in').first().dblclick()
  const words = desk.getByLabel('Words')
  await expect(words).toBeFocused()
  await words.fill('Enter')
  await words.press('Enter')
  await expect(onSheet(desk, 'mobile', 'Enter').first()).toBeVisible()
  await expect(onSheet(desk, 'desktop', 'Sign in').first()).toBeVisible()
  const { 'index.html': home } = await handedOff(desk)
  expect(home).toMatch(/>Sign in<\/a>\s*<a [^>]*>Enter<\/a>/)
  await desk.getByRole('button', { name: 'Put back the template’s words' }).click()
  await expect(onSheet(desk, 'mobile', 'Sign in').first()).toBeVisible()
  await onSheet(desk, 'desktop', 'Sign in').first().click()
  await desk.getByRole('combobox', { name: /Shown on this page/ }).click()
  await desk.getByRole('option', { name: 'left out' }).click()
  await expect(onSheet(desk, 'desktop', 'Sign in')).toHaveCount(0)
  await expect(onSheet(desk, 'mobile', 'Sign in')).toHaveCount(0)
  await desk.keyboard.press('Control+z')
  await expect(onSheet(desk, 'desktop', 'Sign in').first()).toBeVisible()
})

test('from the template’s page others are stood on it, and let go with a copy', async ({ desk }) => {
  await makeMain(desk)
  await openPage(desk, /^Main/)
  await openMenu(desk)
  await desk.getByRole('button', { name: /^Pages that stand on Main/ }).click()
  const catalogue = desk.getByRole('checkbox', { name: /Catalogue/ })
  await catalogue.check()
  await expect(desk.getByText('2 pages')).toHaveCount(0)
  await desk.keyboard.press('Escape')
  await openPage(desk, /^Catalogue/)
  await expect(row(desk, 'Header')).toHaveAttribute('data-shared', 'true')
  await openMenu(desk)
  await desk.getByRole('button', { name: 'Stands on Main' }).click()
  await desk.getByRole('button', { name: 'Let go, keep a copy' }).click()
  await expect(row(desk, 'Header')).not.toHaveAttribute('data-shared')
  await expect(onSheet(desk, 'desktop', 'Sign in').first()).toBeVisible()
  // While a page stands on it, it stays.
  await openMenu(desk)
  await desk.getByRole('button', { name: 'Delete Main' }).click()
  await expect(desk.getByText(/“Home” stands on “Main”/)).toBeVisible()
})

test('by the keyboard: the ledger shows what is shared, and Enter goes to its words', async ({ desk }) => {
  await makeMain(desk)
  await row(desk, 'Header').focus()
  await desk.keyboard.press('ArrowRight')
  await desk.keyboard.press('ArrowDown')
  const spec = desk.getByRole('complementary', { name: 'Spec' })
  await expect(spec).toContainText('is part of Main')
  const inner = await spec.getByRole('heading').first().textContent()
  await desk.keyboard.press('Escape')
  await expect(spec.getByRole('heading').first()).not.toHaveText(inner!)
  await expect(spec).toContainText('“Header” is part of Main')
  await desk.keyboard.press('Escape')
  await expect(spec).not.toContainText('is part of Main')
  await row(desk, 'Header').focus()
  await desk.keyboard.press('Alt+ArrowDown')
  await expect(row(desk, 'Header')).toHaveAttribute('data-shared', 'true')
})

test('a new page stands on what the open one stands on, and says so', async ({ desk }) => {
  await makeMain(desk)
  await openMenu(desk)
  await desk.getByRole('button', { name: 'New page' }).click()
  await expect(desk.getByRole('radio', { name: 'Main' })).toBeChecked()
  await desk.getByLabel('Name').fill('Visit')
  await desk.getByRole('button', { name: 'Make the page' }).click()
  await expect(row(desk, 'Header')).toHaveAttribute('data-shared', 'true')
  await expect(onSheet(desk, 'desktop', 'Sign in').first()).toBeVisible()
})

test('stood on beside its own header when it is said so', async ({ desk }) => {
  await makeMain(desk)
  await openPage(desk, /^Catalogue/)
  const before = await desk.getByRole('treeitem', { name: /^Header/ }).count()
  await openMenu(desk)
  await desk.getByRole('button', { name: 'Template for this page' }).click()
  await desk.getByRole('checkbox', { name: /in place of/ }).uncheck()
  await desk.getByRole('button', { name: /^Stand on Main/ }).click()
  await expect(desk.getByRole('treeitem', { name: /^Header/ })).toHaveCount(before + 1)
})
