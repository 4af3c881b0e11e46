/** The app under test: its own database, its own port, stopped at the end. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type Page } from '@playwright/test'
import { type Running, serve } from '../src/cli/serve'

export const test = base.extend<{ desk: Page }, { app: Running }>({
  app: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner demands a pattern
    async ({}, use) => {
      const data = await mkdtemp(join(tmpdir(), 'just-lattice-e2e-'))
      const running = await serve({ data, port: 0, demo: true, logLevel: 'silent' })
      await use(running)
      await running.stop().catch(() => undefined)
      await rm(data, { recursive: true, force: true })
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  /** The demo project, open. */
  desk: async ({ page, app }, use) => {
    await page.goto(app.address)
    await page.getByRole('link', { name: 'Open Hollow Oak Seed Library', exact: true }).click()
    await page.locator('[data-sheet] [data-node]').first().waitFor()
    await use(page)
  },
})

export { expect }

/** A value of the spec or the bench, opened, typed and taken. */
export async function setValue(page: Page, label: string | RegExp, value: string) {
  await page.getByRole('button', { name: label }).first().click()
  const field = page.locator('input:focus')
  await field.fill(value)
  await field.press('Enter')
}

/** A choice in the spec. */
export async function choose(page: Page, label: string | RegExp, option: string) {
  await page.getByRole('button', { name: label }).first().click()
  await page.getByRole('option', { name: option }).first().click()
}

export const saved = (page: Page) =>
  expect(page.locator('[data-saved]')).toHaveAttribute('data-saved', 'saved')
export const row = (page: Page, name: string) => page.getByRole('treeitem', { name, exact: true })
/** A block on a sheet, by the words in it. */
export const onSheet = (page: Page, view: string, text: string) =>
  page.locator(`[data-sheet="${view}"] [data-node]`, { hasText: text }).last()

export type Stored = {
  file: {
    views: {
      id: string
      width: number
      lattice: { columns: number; gutter: number; container: number | null; margin: number }
    }[]
    pages: StoredPage[]
    name: string
  }
}
type StoredPage = { id: string; name: string; path: string; sections: StoredNode[] }
export type StoredNode = {
  id: string
  name: string
  kind: string
  props: Record<string, unknown>
  overrides?: Record<string, Record<string, unknown>>
  children?: StoredNode[]
}

/** The project as the server has it. */
export async function stored(page: Page): Promise<Stored['file']> {
  const id = page.url().split('/').pop()
  const response = await page.request.get(`${new URL(page.url()).origin}/api/projects/${id}`)
  return ((await response.json()) as Stored).file
}

export function findNode(nodes: StoredNode[], name: string): StoredNode | undefined {
  for (const node of nodes) {
    if (node.name === name) return node
    const inside = findNode(node.children ?? [], name)
    if (inside) return inside
  }
  return undefined
}
