/** What cannot be right is said where it was given, and changes nothing. */
import { readFile } from 'node:fs/promises'
import sharp from 'sharp'
import { DEMO_FILE } from '../src/cli/serve'
import { writeArchive } from '../src/core/blobs/archive'
import { openProject } from '../src/core/document/open'
import { projectJson } from '../src/core/document/save'
import { expect, row, saved, setValue, stored, test } from './app'

test('a broken project file: the place and the reason, nothing imported', async ({ page, app }) => {
  await page.goto(app.address)
  const cards = page.locator('[data-project]')
  await expect(cards).not.toHaveCount(0)
  const before = await cards.count()
  const archive = await readFile(DEMO_FILE)
  const { document, blobs } = openProject(archive)
  const demo = projectJson(document)
  const open = (name: string, content: string | Uint8Array) =>
    page
      .getByLabel('Project file')
      .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) })
  await open('cut.json', demo.slice(0, 5000))
  await expect(page.getByRole('alert')).toContainText('cut short')
  await open('newer.json', demo.replace('"version": 3', '"version": 9'))
  await expect(page.getByRole('alert')).toContainText('version: this file is of version 9')
  const twice = JSON.parse(demo)
  twice.pages[1].sections[0].id = twice.pages[0].sections[0].id
  await open('twice.json', JSON.stringify(twice))
  await expect(page.getByRole('alert')).toContainText('pages[1].sections[0].id')
  // Its pictures are not in it; a picture in it is spoilt; the archive is cut short.
  await open('alone.json', demo)
  await expect(page.getByRole('alert')).toContainText('choose the .lattice file')
  const [hash, bytes] = [...blobs][0]!
  const spoilt = Uint8Array.from(bytes, (byte, i) => (i === 99 ? byte ^ 1 : byte))
  await open('spoilt.lattice', writeArchive(demo, new Map([...blobs, [hash, spoilt]])))
  await expect(page.getByRole('alert')).toContainText(`blobs/${hash}: the picture`)
  await open('short.lattice', archive.subarray(0, 9000))
  await expect(page.getByRole('alert')).toContainText('short.lattice')
  await page.getByRole('button', { name: 'Understood' }).click()
  await page.reload()
  await expect(cards).toHaveCount(before)
})

test('a lattice that cannot be: said at the bench, the sheet keeps its last good one', async ({ desk }) => {
  const header = desk.getByRole('group', { name: 'Columns of Desktop' })
  await expect(header.locator('[data-column]')).toHaveCount(12)
  for (const [label, value, reason] of [
    [/^Columns:/, '0', 'at least 1'],
    [/^Gutter:/, '200', 'no room'],
    [/^Gutter:/, '-4', 'negative'],
  ] as const) {
    await setValue(desk, label, value)
    await expect(desk.getByRole('alert')).toContainText(reason)
    await expect(header.locator('[data-column]')).toHaveCount(12)
    await setValue(desk, label, String(label).includes('Col') ? '12' : '24')
    await expect(desk.getByRole('alert')).toHaveCount(0)
  }
  await saved(desk)
  expect((await stored(desk)).views[0]!.lattice).toMatchObject({ columns: 12, gutter: 24 })
})

test('letters and divisions by zero in a field: said there, the old value kept', async ({ desk }) => {
  await row(desk, 'Quote').click()
  await setValue(desk, /^Padding top:/, '9/0')
  await expect(desk.getByRole('alert')).toContainText('division by zero')
  await desk.locator('input:focus').fill('tall')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('alert')).toContainText('a number is missing')
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: /^Padding top:/ })).toHaveText('96')
})

test('a file that is no picture is refused with its name', async ({ desk }) => {
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  await desk
    .getByLabel('Picture files')
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') })
  await expect(desk.getByRole('alert')).toContainText('“notes.png” cannot be read as a picture')
  await desk.getByLabel('Picture files').setInputFiles({
    name: 'leaf.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30" fill="#8fae7c"/></svg>',
    ),
  })
  await expect(desk.getByTitle(/^leaf, /)).toBeVisible()
})

test('a picture that ends in the middle, and one that would fill the memory, are refused before they are unpacked', async ({
  desk,
}) => {
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  const give = (name: string, mimeType: string, buffer: Buffer) =>
    desk.getByLabel('Picture files').setInputFiles({ name, mimeType, buffer })
  const plain = sharp({ create: { width: 600, height: 400, channels: 3, background: '#888888' } })
  const whole = await plain.clone().jpeg().toBuffer()
  await give('half.jpg', 'image/jpeg', whole.subarray(0, whole.length / 2))
  await expect(desk.getByRole('alert')).toContainText('“half.jpg” ends in the middle')
  // Some hundred bytes that say they are 60,000 px a side.
  const bomb = Buffer.from(await plain.clone().png().toBuffer())
  bomb.writeUInt32BE(60_000, 16)
  bomb.writeUInt32BE(60_000, 20)
  await give('bomb.png', 'image/png', bomb)
  await expect(desk.getByRole('alert')).toContainText('“bomb.png” is 60000 × 60000 px; at most 20,000 a side')
  // A script in front of a picture's name.
  await give('page.png', 'image/png', Buffer.from('<html><script>alert(1)</script></html>'))
  await expect(desk.getByRole('alert')).toContainText('“page.png” cannot be read as a picture')
  await saved(desk)
  expect((await stored(desk)).assets.map(({ name }) => name)).not.toContain('half')
  await give('whole.jpg', 'image/jpeg', whole)
  await expect(desk.getByTitle(/^whole, /)).toBeVisible()
  // What moves is taken in as its first picture, what only some browsers show as what all do.
  await give('wave.gif', 'image/gif', await plain.clone().gif().toBuffer())
  await expect(desk.getByTitle(/^wave, PNG/)).toBeVisible()
  await give('field.avif', 'image/avif', await plain.clone().avif({ effort: 0 }).toBuffer())
  await expect(desk.getByTitle(/^field, WEBP/)).toBeVisible()
})
