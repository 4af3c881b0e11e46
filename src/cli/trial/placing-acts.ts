/** What is put on a page: out of the shelf, photographs, shapes drawn on the sheet, words. */
import { SHELF } from '../../core/shelf/items'
import { photographs } from '../photographs'
import type { Draw } from '../random'
import { type Act, act, select } from './act'
import type { Point, Tab } from './tab'

/** A point on a sheet, where it is in sight. */
async function onSheet(tab: Tab, draw: Draw): Promise<Point | undefined> {
  const spots = await tab.spots()
  if (spots.length === 0) return tab.place('[data-sheet]')
  const { x, y, width, height } = draw.one(spots)
  return { x: x + (draw.random() - 0.5) * width * 0.8, y: y + (draw.random() - 0.5) * height * 0.8 }
}

export async function placeByName(tab: Tab, draw: Draw) {
  await tab.key('/')
  await tab.type(draw.one(SHELF).name)
  await tab.key('Enter')
  return true
}

async function pullOut(tab: Tab, draw: Draw) {
  await tab.key('/')
  await tab.type(draw.one(SHELF).name)
  const item = await tab.place('[data-marked]')
  const to = await onSheet(tab, draw)
  if (item && to) await tab.pull(item, to)
  await tab.page.locator('[data-shelf-search]').fill('')
  await tab.page.locator('[data-shelf-search]').press('Escape')
  return item !== undefined && to !== undefined
}

/** A photograph dropped from the desk of the computer: on a picture, or anywhere. */
async function drop(tab: Tab, draw: Draw) {
  const pictures = await tab.spots('img')
  const at = pictures.length > 0 && draw.chance(0.7) ? draw.one(pictures) : await onSheet(tab, draw)
  if (!at) return false
  const { assets, blobs } = await photographs()
  const { name, type, hash } = draw.one(assets)
  const file = { name, type, base64: Buffer.from(blobs.get(hash)!).toString('base64') }
  const dataTransfer = await tab.page.evaluateHandle(({ name, type, base64 }) => {
    const held = new DataTransfer()
    held.items.add(new File([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], name, { type }))
    return held
  }, file)
  const before = await tab.shown()
  const event = { dataTransfer, clientX: at.x, clientY: at.y, shiftKey: draw.chance(0.2) }
  const board = tab.page.locator('[data-board]')
  await board.dispatchEvent('dragover', event)
  await board.dispatchEvent('drop', event)
  // It is read beside, and then placed.
  return tab.otherThan(before)
}

/** Out of the tray: pressed for what is selected, or pulled onto a sheet. */
async function fromTray(tab: Tab, draw: Draw) {
  await select(tab, draw, 'img')
  const part = tab.page.getByRole('button', { name: /^Pictures/ })
  if ((await part.getAttribute('aria-expanded')) !== 'true') await part.click()
  const which = draw.whole(0, 9)
  const picture = await tab.place('#shelf-items button[title*="drag it into a picture"]', which)
  if (picture && draw.chance(0.5)) await tab.press(picture)
  else if (picture) {
    const to = await onSheet(tab, draw)
    if (to) await tab.pull(picture, to)
  }
  await tab.key('2')
  return picture !== undefined
}

const SHAPES = [
  'a box',
  'an ellipse',
  'a line',
  'an arrow',
  'a triangle',
  'a star',
  'an arc',
  'a wave',
  'a blob',
]
async function drawShape(tab: Tab, draw: Draw) {
  const from = await onSheet(tab, draw)
  if (!from || !(await tab.command(`Draw ${draw.one(SHAPES)}`))) return false
  await tab.pull(from, { x: from.x + draw.whole(10, 90), y: from.y + draw.whole(10, 70) })
  return true
}

const WORDS =
  'Early tall beans wait in the dry until Saturday, when somebody carries them home and brings a few back'.split(
    ' ',
  )

export async function write(tab: Tab, draw: Draw) {
  const spots = await tab.spots()
  if (spots.length === 0) return false
  await tab.press(draw.one(spots), 2)
  const isWriting = await tab.page.evaluate(
    () => (document.activeElement as HTMLElement | null)?.isContentEditable === true,
  )
  if (!isWriting) return false
  if (draw.chance(0.5)) await tab.key('ControlOrMeta+a')
  else await tab.key('End')
  for (let i = draw.whole(1, 3); i > 0; i--) {
    const from = draw.whole(0, WORDS.length - 2)
    await tab.type(WORDS.slice(from, from + draw.whole(1, 8)).join(' '))
    if (draw.chance(0.2)) await tab.key('Enter')
    if (draw.chance(0.1)) await tab.type('- ')
    if (draw.chance(0.2)) await tab.key('Shift+Home', 'ControlOrMeta+b', 'End')
  }
  if (draw.chance(0.1)) await tab.key('ControlOrMeta+z')
  return true
}

export const PLACING: Act[] = [
  act('place', 10, placeByName),
  act('pull out of the shelf', 5, pullOut),
  act('drop a photograph', 6, drop),
  act('picture from the tray', 4, fromTray),
  act('draw a shape', 3, drawShape),
  act('write', 10, write),
]
