/** The app under test: its own database, its own port, stopped at the end. */
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type APIRequestContext, test as base, expect, type Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { knowing } from '../src/cli/browser'
import { DEMO_FILE, type Running, serve } from '../src/cli/serve'
import { openProject } from '../src/core/document/open'
import { projectJson } from '../src/core/document/save'

/** What a page of the app says of itself with each request. */
export const SPEAKING = { 'X-Just-Lattice': 'test' }

/** A new project with the demo's content. @returns its address */
export async function newProject(request: APIRequestContext, app: Running): Promise<string> {
  // Its pictures are here already: the demo project shows them.
  const file = projectJson(openProject(await readFile(DEMO_FILE)).document)
  const made = await request.post(`${app.address}api/projects`, { data: { file }, headers: SPEAKING })
  return `${app.address}projects/${((await made.json()) as { id: string }).id}`
}

export const test = base.extend<{ desk: Page }, { app: Running }>({
  /** The tour is a test of its own. */
  context: async ({ context }, use) => {
    await knowing(context)
    await use(context)
  },
  app: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner demands a pattern
    async ({}, use) => {
      const data = await mkdtemp(join(tmpdir(), 'just-lattice-e2e-'))
      const running = await serve({ data, port: 0, demo: true, logLevel: 'silent' })
      await use(running)
      await running.stop().catch(() => undefined)
      await rm(data, { recursive: true, force: true })
    },
    { scope: 'worker', timeout: 300_000 },
  ],
  /** A project of its own with the demo's content, open: no test sees what another did. */
  desk: async ({ page, app }, use) => {
    const url = await newProject(page.request, app)
    await page.goto(url)
    await page.locator('[data-sheet] [data-node]').first().waitFor()
    await page.locator('html[data-parts=here]').waitFor()
    // Every sheet in sight.
    await page.keyboard.press('f')
    await use(page)
    const gone = () => page.request.delete(url.replace('/projects/', '/api/projects/'), { headers: SPEAKING })
    await expect.poll(async () => (await gone()).status(), 'the project is put away').toBeLessThan(500)
  },
})

export { expect }

/** A project without anything in it, made as a user does, open. */
export async function emptyProject(page: Page, app: Running, name: string) {
  await page.goto(app.address)
  await page.getByRole('button', { name: 'New project' }).click()
  await page.getByLabel('Name').fill(name)
  await page.keyboard.press('Enter')
  await expect(page.getByText('This page is empty')).toBeVisible()
}

/** A value of the spec or the bench, opened, typed and taken. */
export async function setValue(page: Page, label: string | RegExp, value: string) {
  await page.getByRole('button', { name: label }).first().click()
  const field = page.locator('input:focus')
  await field.fill(value)
  await field.press('Enter')
}

/** A choice in the spec. */
export async function choose(page: Page, label: string | RegExp, option: string) {
  await page.getByRole('combobox', { name: label }).first().click()
  await page.getByRole('option', { name: option }).first().click()
}

/** The website, handed off by hand. @returns its files by path */
export async function handedOff(page: Page): Promise<Record<string, Uint8Array>> {
  await page.getByRole('button', { name: 'Hand off' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /Website/ }).click(),
  ])
  return unzipSync(await readFile(await download.path()))
}

export const saved = (page: Page) =>
  expect(page.locator('[data-saved]')).toHaveAttribute('data-saved', 'saved')
export const row = (page: Page, name: string) => page.locator(`[role=treeitem][data-name="${name}"]`)
/** A block on a sheet, by the words in it. */
export const onSheet = (page: Page, view: string, text: string) =>
  page.locator(`[data-sheet="${view}"] [data-node]`, { hasText: text }).last()

export type Stored = {
  file: {
    views: {
      id: string
      width: number
      safe?: number
      lattice: { columns: number; gutter: number; container: number | null; margin: number }
    }[]
    pages: StoredPage[]
    assets: { id: string; name: string; hash: string; from?: Record<string, unknown> }[]
    tokens: Record<string, Record<string, unknown>>
    fonts?: {
      id: string
      family: string
      files: { weights: number[]; hash: string; ranges: string; italic?: boolean }[]
    }[]
    name: string
  }
}
export type StoredAid = {
  kind: string
  id: string
  view: string
  axis?: string
  at?: number
  [key: string]: unknown
}
type StoredPage = {
  id: string
  name: string
  path: string
  props?: { background?: string }
  aids?: StoredAid[]
  sections: StoredNode[]
}
export type StoredNode = {
  id: string
  order: string
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
