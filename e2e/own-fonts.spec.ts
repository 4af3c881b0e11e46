/** Fonts of one's own: from files to what a visitor's browser draws. */
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import decompress from 'woff2-encoder/decompress'
import { SiteViewer } from '../src/cli/browser'
import { compareDocument } from '../src/cli/conformance/compare'
import type { Running } from '../src/cli/serve'
import { storeBlob, storeProject } from '../src/cli/store-project'
import { openProject } from '../src/core/document/open'
import { mapValues } from '../src/core/document/token-variants'
import { applyAll } from '../src/core/edits/apply'
import { eastAsianFont } from '../src/core/samples/large-font'
import { starterProject } from '../src/core/shelf/starter'
import { readFont } from '../src/core/text/font-file'
import { storedToken } from '../src/core/tokens/instead'
import { said } from '../src/core/words/words'
import { openType, woff2 } from '../src/server/fonts'
import { choose, expect, handedOff, onSheet, saved, setValue, stored, test } from './app'

const FOLDER = 'node_modules/@fontsource/dejavu-sans/files'
const fileOf = (weight: number, style = 'normal') =>
  readFile(join(FOLDER, `dejavu-sans-latin-${weight}-${style}.woff2`))

const ownFonts = async (page: Page) => (await stored(page)).fonts ?? []

async function openFonts(page: Page) {
  await page.keyboard.press('ControlOrMeta+k')
  await page.keyboard.type('fonts of your own')
  await page.keyboard.press('Enter')
  return page.getByRole('dialog', { name: 'Fonts of this project' })
}

test('a family is taken in from files, set, handed off as it is drawn, and taken out again', async ({
  desk,
}) => {
  const dialog = await openFonts(desk)
  await expect(dialog).toContainText('None yet')
  // What is no font is said by its name, and the others are taken all the same.
  await dialog.getByLabel('Font files').setInputFiles([
    { name: 'regular.woff2', mimeType: 'font/woff2', buffer: await fileOf(400) },
    { name: 'bold.ttf', mimeType: 'font/ttf', buffer: Buffer.from(await decompress(await fileOf(700))) },
    { name: 'italic.woff2', mimeType: 'font/woff2', buffer: await fileOf(400, 'italic') },
    { name: 'notes.ttf', mimeType: 'font/ttf', buffer: Buffer.from('no font at all') },
    { name: 'half.woff2', mimeType: 'font/woff2', buffer: (await fileOf(400)).subarray(0, 9000) },
  ])
  await expect(dialog.getByRole('alert')).toContainText('“notes.ttf” was not taken: it is no font')
  await expect(dialog.getByRole('alert')).toContainText('“half.woff2” was not taken: the font is cut off')
  const adding = dialog.getByRole('region', { name: 'Fonts to be added' })
  await expect(adding.getByRole('listitem')).toHaveText([/Sans 400/, /Sans 700/, /Sans italic 400/])
  const add = adding.getByRole('button', { name: 'Add the 3 files' })
  await expect(add).toBeDisabled()
  await adding.getByRole('checkbox').check()
  await add.click()
  const family = dialog.getByRole('listitem', { name: 'DejaVu Sans' })
  await expect(family).toContainText('400, 700, italic 400')
  await expect(family).toContainText('not used')
  await desk.keyboard.press('Escape')

  const lead = onSheet(desk, 'desktop', 'Take home heirloom')
  await lead.click()
  const line = lead.locator('.line').first()
  const before = await line.textContent()
  await choose(desk, /^Font family/, 'DejaVu Sans')
  await choose(desk, /^Font weight/, '700')
  await saved(desk)
  const [own] = await ownFonts(desk)
  expect(own).toMatchObject({
    family: 'DejaVu Sans',
    files: [{ weights: [400, 400] }, { weights: [700, 700] }, { italic: true }],
  })
  // Wider letters: the line ends at another word.
  await expect(line).not.toHaveText(before!)

  const files = await handedOff(desk)
  const css = new TextDecoder().decode(files['styles.css'])
  expect(css).toContain('font-family: "DejaVu Sans"')
  const named = [...css.matchAll(/url\("(fonts\/dejavu[^"]+)"\)/g)].map(([, path]) => path)
  expect(named).toHaveLength(1)
  expect(Object.keys(files)).toContain(named[0])

  // The whole project set in it: the core's boxes and lines are the browser's.
  const { document: doc, blobs } = openProject(files['project.lattice']!)
  applyAll(
    doc,
    doc.tokenTable.names('typography').map((name) => ({
      op: 'token',
      name,
      token: mapValues(storedToken(doc.tokens, name)!, (value) => ({
        ...(value as object),
        fontFamily: own!.id,
      })),
    })),
  )
  const viewer = await SiteViewer.open()
  try {
    for (const [index] of doc.pagesInOrder().entries()) {
      const { boxesOff, linesOff, paragraphs } = await compareDocument(
        viewer,
        { file: doc.toFile(), blobs },
        [1440, 1000, 390],
        index,
      )
      expect([boxesOff, linesOff]).toEqual([[], []])
      expect(paragraphs).toBeGreaterThan(20)
    }
  } finally {
    await viewer.close()
  }

  // Taken out, what was set in it is set in another; undone, all is as it was.
  await (await openFonts(desk))
    .getByRole('button', { name: 'Take out, set them in Hanken Grotesk: DejaVu Sans' })
    .click()
  await expect(dialog).toContainText('None yet')
  await desk.keyboard.press('Escape')
  await saved(desk)
  expect(await ownFonts(desk)).toEqual([])
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await ownFonts(desk)).toEqual([own])

  // Whoever comes from a text's list of families sets it from there.
  await onSheet(desk, 'desktop', 'FREE TO BORROW').click()
  await choose(desk, /^Font family/, 'Add a font of your own')
  await dialog.getByRole('button', { name: 'Set Eyebrow in DejaVu Sans' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(desk.getByRole('combobox', { name: 'Font family: DejaVu Sans' })).toBeVisible()
})

test('taking in a large font says how far it is, and is cancelled where one is, or by leaving', async ({
  desk,
}) => {
  const buffer = Buffer.from(eastAsianFont(await decompress(await fileOf(400))))
  const large = { name: 'large.ttf', mimeType: 'font/ttf', buffer }
  const dialog = await openFonts(desk)
  const reading = dialog.getByRole('status')
  await dialog.getByLabel('Font files').setInputFiles([large])
  await expect(reading).toContainText(/^Reading the font, part \d+ of \d+/)
  await reading.getByRole('button', { name: 'Cancel' }).click()
  await expect(reading).toHaveCount(0)
  await expect(dialog).toContainText('None yet')
  await dialog.getByLabel('Font files').setInputFiles([large])
  await expect(reading).toContainText(/part \d+ of \d+/)
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(desk.getByText(/^Reading the font/)).toHaveCount(0)
})

test('a large font is parted: a page loads, and is handed off with, the parts that it draws with', async ({
  desk,
}) => {
  const buffer = Buffer.from(eastAsianFont(await decompress(await fileOf(400))))
  const dialog = await openFonts(desk)
  await dialog.getByLabel('Font files').setInputFiles([{ name: 'large.ttf', mimeType: 'font/ttf', buffer }])
  const adding = dialog.getByRole('region', { name: 'Fonts to be added' })
  const [inParts, licence] = [/^In \d+ parts, so that a page loads only/, /licence/].map((name) =>
    adding.getByRole('checkbox', { name }),
  )
  await expect(inParts!).toBeChecked()
  await licence!.check()
  await adding.getByRole('button', { name: 'Add the font' }).click()
  const family = dialog.getByRole('listitem', { name: 'DejaVu Sans' })
  await expect(family).toContainText(
    /^DejaVu Sans400 · \d+ KB in \d+ parts, each loaded when it is drawn with/,
  )
  await desk.keyboard.press('Escape')
  await saved(desk)
  const [own] = await ownFonts(desk)
  const parts = new Map(own!.files.map(({ hash, ranges }) => [hash, ranges]))
  expect(parts.size).toBeGreaterThan(8)

  const fetched = new Set<string>()
  desk.on('request', (request) => {
    const hash = /\/api\/blobs\/([0-9a-f]{64})$/.exec(request.url())?.[1]
    if (hash && parts.has(hash)) fetched.add(hash)
  })
  await onSheet(desk, 'desktop', 'FREE TO BORROW').dblclick()
  await expect(desk.getByRole('textbox', { name: /^Text of/ })).toBeFocused()
  await desk.keyboard.press('ControlOrMeta+a')
  await desk.keyboard.insertText('Seed 一丁、かな 倉')
  await desk.keyboard.press('Escape')
  await choose(desk, /^Font family/, 'DejaVu Sans')
  await saved(desk)
  await expect.poll(() => fetched.size).toBeGreaterThan(2)
  // What is not drawn is not fetched.
  expect(fetched.size).toBeLessThan(7)

  const files = await handedOff(desk)
  const css = new TextDecoder().decode(files['styles.css'])
  const declared = [...css.matchAll(/"DejaVu Sans";[^}]*url\("([^"]+)"\)[^}]*unicode-range: ([^;]+);/g)]
  expect(declared.map(([, , ranges]) => ranges).sort()).toEqual(
    [...fetched].map((hash) => parts.get(hash)).sort(),
  )
  for (const [, path] of declared) expect(Object.keys(files)).toContain(path)
  const { document: doc, blobs } = openProject(files['project.lattice']!)
  const viewer = await SiteViewer.open()
  try {
    const { boxesOff, linesOff } = await compareDocument(viewer, { file: doc.toFile(), blobs }, [1440, 390])
    expect([boxesOff, linesOff]).toEqual([[], []])
  } finally {
    await viewer.close()
  }
})

/** Keeps a project with one text, set in a font of its own that is made of a file. */
async function projectIn(app: Running, name: string, file: string) {
  const named = await storeBlob(app.address, await woff2(file), 'font/woff2')
  const { weights, ranges } = readFont(await openType(file))
  const own = {
    id: `hedgerow-${name}`,
    family: 'Hedgerow',
    category: 'hand',
    files: [{ weights, ranges, ...named }],
  }
  const { pages, ...rest } = starterProject(name, 'home')
  const text = {
    id: 't',
    kind: 'text',
    name: 'Text',
    order: 'a0',
    props: { words: said('Hedge and thorn'), fontFamily: own.id, fontSize: 60 },
  }
  const section = { id: 's', kind: 'section', name: 'Section', order: 'a0', props: {} }
  const sections = [{ ...section, children: [text] }]
  await storeProject(app.address, { ...rest, fonts: [own], pages: [{ ...pages[0], sections }] } as never)
}

test('two projects have a family of one name each: either is drawn in its own, whichever was open before', async ({
  page,
  app,
}) => {
  await projectIn(app, 'Thicket', 'caveat-latin-wght-normal')
  await projectIn(app, 'Spinney', 'fraunces-latin-wght-normal')
  await page.goto(app.address)
  const widthIn = async (name: string) => {
    await page
      .getByRole('link', { name: new RegExp(name) })
      .first()
      .click()
    const line = onSheet(page, 'desktop', 'Hedge and thorn').locator('.line span').first()
    await expect(line).toBeVisible()
    await page.evaluate(() => document.fonts.ready.then(() => undefined))
    const { width } = (await line.boundingBox())!
    await page.getByRole('link', { name: 'All projects' }).first().click()
    return width
  }
  const first = await widthIn('Thicket')
  const second = await widthIn('Spinney')
  expect(Math.abs(first - second)).toBeGreaterThan(5)
  expect(await widthIn('Thicket')).toBeCloseTo(first, 0)
  expect(await widthIn('Spinney')).toBeCloseTo(second, 0)
})

test('a font of one’s own is set in every axis that its file varies in, and handed off so', async ({
  page,
  app,
}) => {
  await projectIn(app, 'Thicket', 'archivo-latin-wdth-normal')
  await page.goto(app.address)
  await page
    .getByRole('link', { name: /Thicket/ })
    .first()
    .click()
  const words = onSheet(page, 'desktop', 'Hedge and thorn')
  const line = words.locator('.line span').first()
  await words.click()
  const chip = page.getByRole('button', { name: /^Width of the letters/ })
  await expect(chip).toHaveText('width as drawn')
  const before = (await line.boundingBox())!.width
  await setValue(page, /^Width of the letters/, '62')
  await expect.poll(async () => (await line.boundingBox())!.width).toBeLessThan(0.9 * before)
  await saved(page)
  const files = await handedOff(page)
  expect(new TextDecoder().decode(files['styles.css'])).toContain('font-variation-settings: "wdth" 62')
  const { document: doc, blobs } = openProject(files['project.lattice']!)
  const viewer = await SiteViewer.open()
  try {
    const { boxesOff, linesOff, boxes, exact } = await compareDocument(
      viewer,
      { file: doc.toFile(), blobs },
      [1440, 390],
    )
    expect([boxesOff, linesOff]).toEqual([[], []])
    expect(exact).toBe(boxes)
  } finally {
    await viewer.close()
  }
})
