/** `lattice screenshots`: docs/screenshots, one picture of each main view, from the demo data. */
import { mkdir, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Page } from '@playwright/test'
import { launch } from './browser'
import { readArgs } from './refusal'
import { buildWeb, serve } from './serve'

const OUT = fileURLToPath(new URL('../../docs/screenshots/', import.meta.url))

async function tour(page: Page, address: string) {
  const shot = (name: string) => page.screenshot({ path: join(OUT, `${name}.png`) })
  await page.goto(address)
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).waitFor()
  await page.waitForLoadState('networkidle')
  await shot('projects')
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).click()
  await page.locator('[data-sheet] [data-node]').first().waitFor()
  await page.getByRole('tab', { name: /Sections/ }).click()
  await page.getByRole('button', { name: 'Heroes' }).click()
  await page.waitForFunction(() =>
    [...document.querySelectorAll<HTMLImageElement>('[data-shelf-item] img')].every(
      (image) => image.complete,
    ),
  )
  await shot('lattice-bench-and-shelf')
  await page.getByRole('tab', { name: /Sections/ }).click()
  await page.keyboard.press('f')
  await page.getByRole('treeitem', { name: 'Hero', exact: true }).click()
  await page.getByRole('treeitem', { name: 'Hero', exact: true }).press('ArrowRight')
  await page.getByRole('treeitem', { name: 'Hero words' }).click()
  await shot('board')
  await page.getByRole('button', { name: 'Dark' }).click()
  await shot('board-dark')
  await page.getByRole('button', { name: 'Light' }).click()
  await page.getByRole('button', { name: 'Hand off' }).click()
  await shot('handoff')
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await page.getByLabel('Name').fill('Workshops')
  await shot('new-page')
}

export async function screenshots(args: string[]): Promise<number> {
  readArgs(args, {})
  await buildWeb()
  await mkdir(OUT, { recursive: true })
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-shots-'))
  const running = await serve({ data, port: 0, demo: true })
  const browser = await launch()
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await tour(page, running.address)
  } finally {
    await browser.close()
    await running.stop()
    await rm(data, { recursive: true, force: true })
  }
  console.log('docs/screenshots is up to date')
  return 0
}
