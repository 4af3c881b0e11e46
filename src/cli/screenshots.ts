/** `lattice screenshots`: docs/screenshots, one picture of each main view, from the demo data. */

import { mkdir, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Browser, Page } from '@playwright/test'
import { allCorners, oneFill } from '../core/properties/items'
import { knowing, launch } from './browser'
import { readArgs } from './refusal'
import { buildWeb, serve } from './serve'

const VIEWPORT = { width: 1280, height: 800 }
const OUT = fileURLToPath(new URL('../../docs/screenshots/', import.meta.url))

/** A row of the ledger by what the block is called. */
const ledgerRow = (page: Page, name: string) => page.locator(`[role=treeitem][data-name="${name}"]`)

async function tour(page: Page, address: string) {
  const shot = (name: string) => page.screenshot({ path: join(OUT, `${name}.png`) })
  await page.goto(address)
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).waitFor()
  await page.waitForLoadState('networkidle')
  await shot('projects')
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).click()
  await page.locator('[data-sheet] [data-node]').first().waitFor()
  await page.getByRole('button', { name: /^Sections/ }).click()
  await page.getByRole('button', { name: 'Heroes' }).click()
  await page.waitForFunction(() =>
    [...document.querySelectorAll<HTMLImageElement>('[data-shelf-item] img')].every(
      (image) => image.naturalWidth > 0,
    ),
  )
  await shot('lattice-bench-and-shelf')
  await page.getByRole('button', { name: /^Sections/ }).click()
  await page.keyboard.press('f')
  await ledgerRow(page, 'Hero').click()
  await ledgerRow(page, 'Hero').press('ArrowRight')
  await ledgerRow(page, 'Hero words').click()
  await shot('board')
  await page.getByRole('button', { name: 'Tokens of the project' }).click()
  await page.getByRole('region', { name: 'Colours' }).waitFor()
  await shot('tokens')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Hand off' }).click()
  await shot('handoff')
  await page.keyboard.press('Escape')
  await phone(page)
  await shot('phone')
  await page.keyboard.press('ControlOrMeta+z')
  await page.keyboard.press('Escape')
  await anyWidth(page)
  await shot('any-width')
}

/** A card that stands earlier on Mobile alone. */
async function phone(page: Page) {
  await page.keyboard.press('f')
  const card = page.locator('[data-sheet="mobile"] [data-node]', { hasText: /^Tall Meadow bean/ }).last()
  const box = (await card.boundingBox())!
  await page.mouse.click(box.x + 4, box.y + box.height / 2)
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+ArrowUp')
  await page.locator('[data-read-order]').waitFor()
}

/** Mobile tried at its narrowest, where a word of the heading has no room. */
async function anyWidth(page: Page) {
  await page.keyboard.press('f')
  await page
    .locator('[data-sheet="desktop"] [data-node]', { hasText: /^Borrow a packet/ })
    .last()
    .dblclick()
  await page.getByRole('textbox', { name: /^Text of/ }).waitFor()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('Glasshouse-grown heirloomtomatoes')
  await page.keyboard.press('Escape')
  await page.getByRole('slider', { name: /^Width of Mobile/ }).focus()
  await page.keyboard.press('Home')
  await page.getByRole('region', { name: 'What breaks on Mobile' }).getByText(/break/).first().waitFor()
}

/** Blocks placed loosely on an empty page, pasted as the board copies them. */
async function placeLoosely(page: Page) {
  const block = (i: number, x: number, y: number, width: number, height: number, fill: string) => ({
    id: `b${i}`,
    kind: 'box',
    name: ['Picture', 'Words', 'Prices', 'Map'][i],
    order: `a${i}`,
    props: {
      fills: oneFill(fill),
      ...allCorners(4),
      width: { kind: 'exact', px: width },
      height: { kind: 'exact', px: height },
      pinLeft: { px: x },
      pinTop: { px: y },
    },
  })
  const blocks = [
    block(0, 108, 80, 392, 220, '#d9e4d3'),
    block(1, 524, 80, 392, 220, '#f3e2c3'),
    block(2, 939, 80, 393, 220, '#ead9d2'),
    block(3, 108, 340, 808, 180, '#cfd8cf'),
  ]
  const section = {
    id: 's',
    kind: 'section',
    name: 'Plan',
    order: 'a0',
    props: { flow: 'free', fullBleed: true, height: { kind: 'exact', px: 600 } },
    children: blocks,
  }
  await page.evaluate(
    (text) => {
      const data = new DataTransfer()
      data.setData('text/plain', text)
      document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }))
    },
    JSON.stringify({ format: 'just-lattice-blocks', trees: [section], assets: [] }),
  )
  await ledgerRow(page, 'Plan').click()
  await page.keyboard.press('ArrowRight')
  await ledgerRow(page, 'Map').waitFor()
}

/** Planning and arranging, in the middle of each gesture. */
async function arranging(page: Page) {
  const shot = (name: string) => page.screenshot({ path: join(OUT, `${name}.png`) })
  await page.keyboard.press('f')
  await page.keyboard.press('n')
  await page.getByRole('dialog').getByLabel('Name').fill('Visit')
  await page.getByRole('button', { name: 'Make the page' }).click()
  await page.keyboard.press('p')
  await page
    .getByRole('dialog')
    .getByRole('textbox')
    .fill('header 96, hero rest, 3 × section 520, footer 180')
  await shot('page-budget')
  await page.keyboard.press('Escape')
  await placeLoosely(page)
  await page.keyboard.press('f')
  const block = async (index: number) =>
    (await page
      .locator('[data-sheet=desktop] [data-node]')
      .nth(index + 1)
      .boundingBox())!
  const picture = await block(0)
  const map = await block(3)
  await page.mouse.move(picture.x + 30, picture.y + 30)
  await page.mouse.down()
  await page.mouse.move(map.x + map.width + 30 + (map.x - picture.x) + 9, map.y + 31, { steps: 8 })
  await shot('snapping')
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await page.mouse.click(picture.x + 30, picture.y + 30)
  await page.mouse.move(map.x + 40, map.y + 30)
  await page.keyboard.down('g')
  await page.locator('[data-gauge]').waitFor({ state: 'attached' })
  await shot('gauge')
  await page.keyboard.up('g')
  const last = await block(2)
  await page.mouse.move(picture.x - 10, picture.y - 10)
  await page.mouse.down()
  await page.mouse.move(last.x + last.width + 8, last.y + last.height + 8, { steps: 5 })
  await page.mouse.up()
  await shot('several-selected')
  await ledgerRow(page, 'Plan').click()
  await page.keyboard.press('s')
  await page.getByRole('dialog').waitFor()
  await shot('settle')
  await page.keyboard.press('Escape')
}

/** Boxes on twelve columns, as somebody might have drawn them elsewhere. */
const SKETCH = `<svg xmlns="http://www.w3.org/2000/svg" width="720" height="600" viewBox="0 0 1440 1200">
<rect width="1440" height="1200" fill="#fdfaf4"/><rect width="1440" height="96" fill="#22332c"/>
<rect x="108" y="160" width="600" height="400" fill="#e2d3b4"/><rect x="732" y="160" width="600" height="90" fill="#557a66"/>
<rect x="732" y="280" width="392" height="40" fill="#b9b3a3"/><rect x="108" y="640" width="392" height="320" fill="#cfe0d2"/>
<rect x="524" y="640" width="392" height="320" fill="#f0dcc0"/><rect x="940" y="640" width="392" height="320" fill="#ecd5cf"/>
<rect x="108" y="1040" width="288" height="120" fill="#d8d4ca"/><rect x="420" y="1040" width="80" height="120" fill="#a9a493"/></svg>`

/** Tracing, blocking out, pins. */
async function planning(page: Page) {
  const shot = (name: string) => page.screenshot({ path: join(OUT, `${name}.png`) })
  const newPage = async (name: string) => {
    await page.locator('[data-board]').focus()
    await page.keyboard.press('n')
    await page.getByRole('dialog').getByLabel('Name').fill(name)
    await page.getByRole('button', { name: 'Make the page' }).click()
    await page.keyboard.press('2')
    await page.keyboard.press('f')
  }
  await newPage('Sketch')
  await page.getByRole('button', { name: /^Tracing on Desktop/ }).click()
  await page
    .getByLabel('Reference picture')
    .setInputFiles({ name: 'sketch.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(SKETCH) })
  await page.locator('[data-proposal]').first().waitFor()
  await shot('tracing')
  await page.keyboard.press('Escape')
  await page.locator('[data-board]').focus()
  await page.keyboard.press('e')
  const sheet = (await page.locator('[data-sheet=desktop]').boundingBox())!
  const at = (x: number, y: number) =>
    [sheet.x + (x * sheet.width) / 1440, sheet.y + (y * sheet.width) / 1440] as const
  const draw = async (from: readonly [number, number], to: readonly [number, number]) => {
    await page.mouse.move(...at(...from))
    await page.mouse.down()
    await page.mouse.move(...at(...to), { steps: 5 })
  }
  await draw([120, 170], [690, 555])
  await page.mouse.up()
  await page.locator('[data-area-words]').first().waitFor()
  await draw([760, 62], [1300, 150])
  await shot('block-out')
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await newPage('Places')
  await placeLoosely(page)
  await ledgerRow(page, 'Words').click()
  await page.getByRole('button', { name: 'Pin to the right edge' }).click()
  await page.getByRole('slider', { name: /^Try its parent/ }).fill('125')
  await shot('pins')
}

/** A change that came too late: made offline to a section that somebody else removes. */
async function settingAside(browser: Browser, address: string) {
  const contexts = await Promise.all([1, 2].map(() => browser.newContext({ viewport: VIEWPORT })))
  await Promise.all(contexts.map(knowing))
  const [late, other] = await Promise.all(contexts.map((context) => context.newPage()))
  for (const page of [late, other]) {
    await page!.goto(address)
    await page!.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).click()
    await ledgerRow(page!, 'Quote').waitFor()
  }
  await contexts[0]!.setOffline(true)
  await late!.getByRole('button', { name: /^Height of Quote/ }).click()
  await late!.keyboard.type('444')
  await late!.keyboard.press('Enter')
  await late!.locator('[data-saved=waiting]').waitFor()
  await ledgerRow(other!, 'Quote').click()
  await other!.keyboard.press('Delete')
  await other!.locator('[data-saved=saved]').waitFor()
  await contexts[0]!.setOffline(false)
  await late!.getByRole('button', { name: 'Understood' }).click()
  await late!.locator('[data-saved=saved]').waitFor()
  await ledgerRow(late!, 'Footer').click()
  await late!.getByRole('button', { name: '1 set aside' }).click()
  await late!.locator('[data-parked]').waitFor()
  await late!.screenshot({ path: join(OUT, 'set-aside.png') })
}

/** A page on a template, with something of it selected. */
async function onTemplate(browser: Browser, address: string) {
  const page = await browser.newPage({ viewport: VIEWPORT })
  await knowing(page)
  await page.goto(address)
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).click()
  await ledgerRow(page, 'Header').waitFor()
  await page.getByRole('button', { name: /^Page: / }).click()
  await page.getByRole('button', { name: 'Template for this page' }).click()
  await page.getByRole('button', { name: /^Make Main/ }).click()
  await page.locator('[data-shared-section]').first().waitFor()
  await page.locator('[data-sheet=desktop] [data-node]', { hasText: 'Sign in' }).last().click()
  await page.getByText('From the template').waitFor()
  await page.screenshot({ path: join(OUT, 'template.png') })
}

/** A paragraph with a list being written, two words of it selected. */
async function writing(browser: Browser, address: string) {
  const page = await browser.newPage({ viewport: VIEWPORT })
  await knowing(page)
  await page.goto(address)
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library' }).click()
  const text = page.locator('[data-sheet=desktop] [data-node]', { hasText: /^Take home heirloom/ }).last()
  await text.click()
  await page.keyboard.press('Shift+F')
  await text.dblclick()
  await page.getByRole('textbox', { name: /^Text of/ }).waitFor()
  for (const part of ['Bring with you', '- a jar for each kind', 'the year and the place on a label'])
    await page.keyboard.type(part).then(() => page.keyboard.press('Enter'))
  await page.keyboard.press('Backspace')
  for (let i = 0; i < 'a label'.length; i++) await page.keyboard.press('Shift+ArrowLeft')
  await page.keyboard.press('ControlOrMeta+b')
  await page.screenshot({ path: join(OUT, 'writing.png') })
}

/** The other demo in the dark, a picture cut out over its giant type. */
async function atNight(browser: Browser, address: string) {
  const page = await browser.newPage({ viewport: VIEWPORT, colorScheme: 'dark' })
  await knowing(page)
  await page.goto(address)
  await page.getByRole('link', { name: 'Open Undertow Night Market' }).click()
  await page.locator('[data-sheet] [data-node]').first().waitFor()
  await page.locator('[data-board][data-looked=true]').waitFor()
  await ledgerRow(page, 'Hero').click()
  await ledgerRow(page, 'Hero').press('ArrowRight')
  await ledgerRow(page, 'Stage').press('ArrowRight')
  await ledgerRow(page, 'Cut-out').click()
  await page
    .locator('aside[aria-label=Spec]')
    .getByRole('button', { name: /^Cut to/ })
    .scrollIntoViewIfNeeded()
  await page.waitForLoadState('networkidle')
  await page.screenshot({ path: join(OUT, 'board-dark.png') })
  await page.close()
}

export async function screenshots(args: string[]): Promise<number> {
  readArgs(args, {})
  await buildWeb()
  await mkdir(OUT, { recursive: true })
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-shots-'))
  const running = await serve({ data, port: 0, demo: true, otherDemo: true })
  const browser = await launch()
  try {
    const page = await browser.newPage({ viewport: VIEWPORT })
    await knowing(page)
    await tour(page, running.address)
    await page.keyboard.press('Escape')
    await arranging(page)
    await page.keyboard.press('Escape')
    await planning(page)
    await settingAside(browser, running.address)
    await onTemplate(browser, running.address)
    await writing(browser, running.address)
    await atNight(browser, running.address)
  } finally {
    await browser.close()
    await running.stop()
    await rm(data, { recursive: true, force: true })
  }
  console.log('docs/screenshots is up to date')
  return 0
}
