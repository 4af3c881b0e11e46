/** Pictures put into what is there: dropped, pulled or pressed onto a picture, asked for by a double press. */
import type { Page } from '@playwright/test'
import { photographs } from '../src/cli/photographs'
import { expect, findNode, type StoredNode, saved, stored, test } from './app'

const sheetPictures = (desk: Page) => desk.locator('[data-sheet="desktop"] img')
const picturesOf = (nodes: StoredNode[]): StoredNode[] =>
  nodes.flatMap((node) => [...(node.kind === 'picture' ? [node] : []), ...picturesOf(node.children ?? [])])
const shownIn = async (desk: Page) => {
  const { pages, assets } = await stored(desk)
  return picturesOf(pages[0]!.sections).map(({ props }) => assets.find(({ id }) => id === props.asset)?.name)
}
const heights = (desk: Page) =>
  desk
    .locator('[data-sheet="desktop"] .page > div')
    .evaluateAll((all) => all.map((each) => (each as HTMLElement).offsetHeight))

/** Drops photographs on a point of the window. */
async function drop(desk: Page, at: { x: number; y: number }, shift = false) {
  const { assets, blobs } = await photographs()
  const list = assets.map(({ name, type, hash }) => ({
    name,
    type,
    base64: Buffer.from(blobs.get(hash)!).toString('base64'),
  }))
  const dataTransfer = await desk.evaluateHandle(
    (files) => {
      const held = new DataTransfer()
      for (const { name, type, base64 } of files)
        held.items.add(new File([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], name, { type }))
      return held
    },
    list.slice(0, 1),
  )
  const event = { dataTransfer, clientX: at.x, clientY: at.y, shiftKey: shift }
  await desk.locator('[data-board]').dispatchEvent('dragover', event)
  await desk.locator('[data-board]').dispatchEvent('drop', event)
}
async function middleOf(desk: Page, index: number) {
  const box = (await sheetPictures(desk).nth(index).boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

test('a photograph dropped on a picture is shown by that, and nothing moves; with Shift it is placed beside', async ({
  desk,
}) => {
  const before = await shownIn(desk)
  const tall = await heights(desk)
  await drop(desk, await middleOf(desk, 0))
  await expect.poll(() => shownIn(desk)).toEqual(['Field', ...before.slice(1)])
  expect(await heights(desk)).toEqual(tall)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  await drop(desk, await middleOf(desk, 0), true)
  await expect.poll(async () => (await shownIn(desk)).length).toBe(before.length + 1)
})

test('a picture pulled out of the tray onto another replaces it, beside it with Shift; pressed, it goes into what is selected', async ({
  desk,
}) => {
  const before = await shownIn(desk)
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  const jars = desk.getByRole('region', { name: 'Shelf' }).getByTitle(/jars/i).first()
  await jars.scrollIntoViewIfNeeded()
  const from = (await jars.boundingBox())!
  const tall = await heights(desk)
  const to = await middleOf(desk, 0)
  await desk.mouse.move(from.x + 20, from.y + 20)
  await desk.mouse.down()
  await desk.mouse.move(to.x - 40, to.y - 10, { steps: 4 })
  await desk.mouse.move(to.x, to.y, { steps: 4 })
  await desk.mouse.up()
  await expect.poll(async () => (await shownIn(desk))[0]).not.toBe(before[0])
  expect(await heights(desk)).toEqual(tall)
  expect((await shownIn(desk)).slice(1)).toEqual(before.slice(1))
  // It is one step.
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(await shownIn(desk)).toEqual(before)
  await sheetPictures(desk).nth(1).click()
  await jars.click()
  await expect.poll(async () => (await shownIn(desk))[1]).not.toBe(before[1])
  expect((await shownIn(desk)).length).toBe(before.length)
})

test('a double press on an empty picture asks for one', async ({ desk }) => {
  await sheetPictures(desk).first().click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('picture')
  await desk.keyboard.press('Enter')
  await saved(desk)
  const { pages } = await stored(desk)
  const empty = picturesOf(pages[0]!.sections).find(({ props }) => props.asset === undefined)!
  const [chooser] = await Promise.all([
    desk.waitForEvent('filechooser'),
    desk.locator(`[data-sheet="desktop"] [data-node="${empty.id}"]`).dblclick(),
  ])
  const { assets, blobs } = await photographs()
  const [{ name, type, hash }] = assets as [(typeof assets)[number]]
  await chooser.setFiles({ name, mimeType: type, buffer: Buffer.from(blobs.get(hash)!) })
  await expect
    .poll(async () => {
      const file = await stored(desk)
      const node = findNode(file.pages[0]!.sections, empty.name)
      return (
        picturesOf(file.pages[0]!.sections).find(({ id }) => id === empty.id)?.props.asset !== undefined ||
        node === undefined
      )
    })
    .toBe(true)
})

test('a button that is written in keeps its fill', async ({ desk }) => {
  const button = desk
    .locator('[data-sheet="desktop"] [data-node]', { hasText: 'Browse the catalogue' })
    .last()
  const fill = () =>
    button.evaluate((element) => [
      getComputedStyle(element).backgroundColor,
      getComputedStyle(element).visibility,
    ])
  const before = await fill()
  expect(before[0]).not.toBe('rgba(0, 0, 0, 0)')
  await button.dblclick()
  await desk
    .locator('[data-text-editor][contenteditable=true], [data-text-editor] [contenteditable=true]')
    .first()
    .waitFor()
  expect(await fill()).toEqual(before)
  expect(
    await button
      .locator('.line')
      .first()
      .evaluate((line) => getComputedStyle(line).visibility),
  ).toBe('hidden')
})
