/** Pictures: many at once, slid in their boxes, found and counted in the tray. */
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { expect, findNode, onSheet, row, type StoredNode, saved, setValue, stored, test } from './app'

const svg = (color: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300"><rect width="300" height="300" fill="${color}"/></svg>`

/** Drops files on a point of the board, as from a folder. */
async function drop(page: Page, at: { x: number; y: number }, files: { name: string; text: string }[]) {
  const transfer = await page.evaluateHandle((list) => {
    const held = new DataTransfer()
    for (const { name, text } of list)
      held.items.add(new File([text], name, { type: name.endsWith('.svg') ? 'image/svg+xml' : 'text/plain' }))
    return held
  }, files)
  const board = page.locator('[data-board]')
  const box = (await board.boundingBox())!
  const eventInit = { dataTransfer: transfer, clientX: box.x + at.x, clientY: box.y + at.y }
  await board.dispatchEvent('dragover', eventInit)
  await board.dispatchEvent('drop', eventInit)
}

async function middleOf(page: Page, index: number) {
  const board = (await page.locator('[data-board]').boundingBox())!
  const box = (await page.locator('[data-sheet="desktop"] img').nth(index).boundingBox())!
  return { x: box.x + box.width / 2 - board.x, y: box.y + box.height / 2 - board.y }
}

const picturesOf = (nodes: StoredNode[]): StoredNode[] =>
  nodes.flatMap((node) => [...(node.kind === 'picture' ? [node] : []), ...picturesOf(node.children ?? [])])

test('several dropped on selected pictures fill them in order, their crop kept, as one step', async ({
  desk,
}) => {
  const images = desk.locator('[data-sheet="desktop"] img')
  await images.nth(1).click()
  await images.nth(2).click({ modifiers: ['Shift'] })
  await expect(desk.getByRole('heading', { name: '2 blocks' })).toBeVisible()
  await drop(desk, await middleOf(desk, 1), [
    { name: 'moss.svg', text: svg('#446622') },
    { name: 'clay.svg', text: svg('#aa5533') },
  ])
  await expect
    .poll(async () => (await stored(desk)).assets.map(({ name }) => name))
    .toEqual(expect.arrayContaining(['moss', 'clay']))
  const { pages, assets } = await stored(desk)
  const names = picturesOf(pages[0]!.sections).map(
    ({ props }) => assets.find(({ id }) => id === props.asset)?.name,
  )
  expect(names.slice(1, 3)).toEqual(['moss', 'clay'])
  await expect(desk.getByRole('heading', { name: '2 blocks' })).toBeVisible()
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect((await stored(desk)).assets.map(({ name }) => name)).not.toContain('moss')
})

test('dropped where none is selected they become pictures there; a file that is none is said, the others are taken', async ({
  desk,
}) => {
  const before = picturesOf((await stored(desk)).pages[0]!.sections).length
  await row(desk, 'Quote').click()
  const board = (await desk.locator('[data-board]').boundingBox())!
  const quote = (await onSheet(desk, 'desktop', 'We saved eleven').boundingBox())!
  await drop(desk, { x: quote.x - board.x + 20, y: quote.y - board.y + 5 }, [
    { name: 'one.svg', text: svg('#112233') },
    { name: 'notes.txt', text: 'no picture' },
    { name: 'two.svg', text: svg('#332211') },
  ])
  await expect(desk.getByRole('alert')).toContainText('“notes.txt” is text/plain')
  await expect.poll(async () => picturesOf((await stored(desk)).pages[0]!.sections).length).toBe(before + 2)
  await desk.keyboard.press('ControlOrMeta+z')
  await saved(desk)
  expect(picturesOf((await stored(desk)).pages[0]!.sections)).toHaveLength(before)
})

test('a picture is slid in its box by pointer and keys, on every view or on Mobile alone', async ({
  desk,
}) => {
  const image = desk.locator('[data-sheet="desktop"] img').first()
  const position = () => image.evaluate((element) => getComputedStyle(element).objectPosition)
  const layer = desk.locator('[data-framing]')
  await image.click()
  // Flatter than its picture: there is something to slide.
  await setValue(desk, /^Width divided by height/, '3')
  await desk.keyboard.press('Escape')
  await image.dblclick()
  await expect(layer).toBeFocused()
  const box = (await image.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await desk.mouse.move(x, y)
  await desk.mouse.down()
  await desk.mouse.move(x + 30, y + 18, { steps: 4 })
  await desk.mouse.up()
  await desk.keyboard.press('Enter')
  await expect(layer).toHaveCount(0)
  await expect(desk.locator('[data-board]')).toBeFocused()
  const slid = await position()
  expect(slid).not.toBe('50% 50%')
  await saved(desk)
  const hero = async () => picturesOf((await stored(desk)).pages[0]!.sections)[0]!
  const { focusX, focusY } = (await hero()).props
  expect(slid).toBe(`${focusX ?? 50}% ${focusY ?? 50}%`)
  // One pull is one step.
  await desk.keyboard.press('ControlOrMeta+z')
  expect(await position()).toBe('50% 50%')
  await desk.locator('[data-sheet="mobile"] img').first().click()
  await expect(desk.getByLabel('Spec').getByRole('radio', { name: /Only Mobile/ })).toBeChecked()
  await desk.keyboard.press('Enter')
  await expect(layer).toBeFocused()
  for (let i = 0; i < 4; i++) await desk.keyboard.press('Shift+ArrowRight')
  for (let i = 0; i < 4; i++) await desk.keyboard.press('Shift+ArrowDown')
  await desk.keyboard.press('Escape')
  await saved(desk)
  expect(await position()).toBe('50% 50%')
  const own = (await hero()).overrides?.mobile
  expect([own?.focusX, own?.focusY]).not.toEqual([undefined, undefined])
})

test('the tray finds pictures, counts their uses, and takes out what nothing uses', async ({ desk }) => {
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  const shelf = desk.getByRole('region', { name: 'Shelf' })
  await expect(shelf.getByText(/^used (once|\d times) · /).first()).toBeVisible()
  await desk.getByLabel('Picture files').setInputFiles({
    name: 'spare.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(svg('#123456')),
  })
  await expect(shelf.getByText(/^not used · 300 × 300$/)).toBeVisible()
  await shelf.getByLabel('Find a picture').fill('spare')
  await expect(shelf.getByTitle(/^spare, SVG, 1 KB: press or drag it/)).toHaveCount(1)
  await shelf.getByLabel('Find a picture').fill('nothing like it')
  await expect(shelf.getByRole('status')).toContainText('No picture here is called')
  await shelf.getByLabel('Find a picture').fill('')
  await shelf.getByRole('button', { name: 'Take out spare' }).click()
  await saved(desk)
  expect((await stored(desk)).assets.map(({ name }) => name)).not.toContain('spare')
  expect(findNode((await stored(desk)).pages[0]!.sections, 'Header')).toBeDefined()
})

test('with “Only Mobile” on, a picture is replaced there alone, and what is said of it stays', async ({
  desk,
}) => {
  await desk.locator('[data-sheet="mobile"] img').first().click()
  await expect(desk.getByLabel('Spec').getByRole('radio', { name: /Only Mobile/ })).toBeChecked()
  const hero = async () => picturesOf((await stored(desk)).pages[0]!.sections)[0]!
  const { asset, alt } = (await hero()).props
  const board = (await desk.locator('[data-board]').boundingBox())!
  const box = (await desk.locator('[data-sheet="mobile"] img').first().boundingBox())!
  await drop(desk, { x: box.x + box.width / 2 - board.x, y: box.y + box.height / 2 - board.y }, [
    { name: 'small.svg', text: svg('#445566') },
  ])
  await expect.poll(async () => (await hero()).overrides?.mobile?.asset).toBeDefined()
  expect((await hero()).props).toMatchObject({ asset, alt })
})

/** Takes a drawing in as pixels and shows it in the picture that is selected. */
async function showHere(page: Page, name: string, drawing: string) {
  const buffer = await sharp(Buffer.from(drawing)).png().toBuffer()
  await page.getByRole('button', { name: /^Pictures/ }).click()
  await page.getByLabel('Picture files').setInputFiles({ name: `${name}.png`, mimeType: 'image/png', buffer })
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).waitFor()
  await page.getByRole('button', { name: /^Picture: / }).click()
  await page.getByRole('option', { name, exact: true }).click()
  await saved(page)
}

test('a plain backdrop is taken away, seen before it is; the picture as it was stays in the project', async ({
  desk,
}) => {
  // A pot on a light wall, its rim smoothed, its handle open.
  await desk.locator('[data-sheet="desktop"] img').first().click()
  // What is made of lines has no backdrop.
  await expect(desk.getByRole('button', { name: /^No backdrop/ })).toHaveCount(0)
  await showHere(
    desk,
    'pot',
    '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600"><rect width="900" height="600" fill="#f4f1ea"/><circle cx="450" cy="320" r="190" fill="#8c3b24"/><circle cx="450" cy="320" r="60" fill="#f4f1ea"/></svg>',
  )
  await desk.getByRole('button', { name: /^No backdrop/ }).click()
  const dialog = desk.getByRole('dialog', { name: 'Backdrop of pot' })
  await expect(dialog.getByRole('status')).toContainText('79 % of it goes')
  await setValue(desk, 'Tolerance: 6', '60')
  await expect(dialog.getByRole('status')).toContainText('100 % of it goes')
  await setValue(desk, 'Tolerance: 60', '6')
  await expect(dialog.getByRole('status')).toContainText('79 % of it goes')
  await dialog.getByRole('button', { name: 'Show it without the backdrop' }).click()
  await expect(desk.getByRole('button', { name: 'Picture: pot cut out' })).toBeVisible()
  await saved(desk)
  const { assets, pages } = await stored(desk)
  const cut = assets.find(({ name }) => name === 'pot cut out')!
  expect(assets.map(({ name }) => name)).toContain('pot')
  expect(picturesOf(pages[0]!.sections)[0]!.props.asset).toBe(cut.id)
  const bytes = await (await desk.request.get(`${new URL(desk.url()).origin}/api/blobs/${cut.hash}`)).body()
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  const alpha = (x: number, y: number) => data[(y * info.width + x) * 4 + 3]
  expect([info.width, info.height]).toEqual([900, 600])
  expect([alpha(5, 5), alpha(890, 590), alpha(450, 200), alpha(450, 320)]).toEqual([0, 0, 255, 255])
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(desk.getByRole('button', { name: 'Picture: pot', exact: true })).toBeVisible()
})

test('a part is cut out of a picture, turned and mirrored, by pointer and keys; cut otherwise later, or whole again', async ({
  desk,
}) => {
  // Four fields of a colour each.
  await desk.locator('[data-sheet="desktop"] img').first().click()
  await showHere(
    desk,
    'fields',
    '<svg xmlns="http://www.w3.org/2000/svg" width="800" height="400"><rect width="400" height="200" fill="#c00000"/><rect x="400" width="400" height="200" fill="#00a000"/><rect y="200" width="400" height="200" fill="#0000c0"/><rect x="400" y="200" width="400" height="200" fill="#e0e000"/></svg>',
  )
  await desk.getByRole('button', { name: /^Cut or turn/ }).click()
  const dialog = desk.getByRole('dialog', { name: 'Cut fields' })
  const part = dialog.getByRole('application')
  await expect(part).toHaveAccessibleName(/800 by 400 px/)
  // The right half, by its left edge; then its upper half, in numbers.
  const edge = (await part.locator('[data-handle="left"]').boundingBox())!
  const frame = (await part.boundingBox())!
  await desk.mouse.move(edge.x + edge.width / 2, edge.y + edge.height / 2)
  await desk.mouse.down()
  await desk.mouse.move(frame.x + frame.width * 0.75, edge.y + 40, { steps: 5 })
  await desk.mouse.up()
  await expect(part).toHaveAccessibleName(/^Part that stays: (199|200|201) by 400 px/)
  await setValue(desk, /^Width of the part/, '200')
  await setValue(desk, /^Height of the part/, '100*2')
  await expect(part).toHaveAccessibleName(/200 by 200 px/)
  await part.focus()
  for (let i = 0; i < 12; i++) await desk.keyboard.press('Shift+ArrowUp')
  for (let i = 0; i < 12; i++) await desk.keyboard.press('Shift+ArrowRight')
  await dialog.getByRole('button', { name: 'Mirrored' }).click()
  await dialog.getByRole('button', { name: 'A quarter turn' }).click()
  await dialog.getByRole('button', { name: 'Show this part' }).click()
  await expect(desk.getByRole('button', { name: 'Picture: fields, a part' })).toBeVisible()
  await saved(desk)
  const { assets } = await stored(desk)
  const cut = assets.find(({ name }) => name === 'fields, a part')!
  expect(cut).toMatchObject({ width: 200, height: 200, from: { turn: 90, mirrored: true } })
  const bytes = await (await desk.request.get(`${new URL(desk.url()).origin}/api/blobs/${cut.hash}`)).body()
  const { data } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true })
  // The upper right field alone.
  for (const at of [0, 100 * 200 + 100, 199 * 200 + 199]) {
    const [red, green, blue] = data.subarray(at * 3, at * 3 + 3)
    expect([red! < 30, green! > 130, blue! < 30]).toEqual([true, true, true])
  }
  await desk.getByRole('button', { name: /^Cut otherwise/ }).click()
  await expect(part).toHaveAccessibleName(/200 by 200 px/)
  await dialog.getByRole('button', { name: 'The whole again' }).click()
  await dialog.getByRole('button', { name: 'Show the whole picture' }).click()
  await expect(desk.getByRole('button', { name: 'Picture: fields', exact: true })).toBeVisible()
})

test('a drawing that is cut stays lines', async ({ desk }) => {
  await desk.locator('[data-sheet="desktop"] img').first().click()
  await expect(desk.getByRole('button', { name: /^Cut or turn/ })).toBeVisible()
  await desk.keyboard.press('ControlOrMeta+k')
  await desk.keyboard.type('cut a part')
  await desk.keyboard.press('Enter')
  const dialog = desk.getByRole('dialog', { name: /^Cut / })
  await dialog.getByRole('combobox', { name: /^Shape of the part/ }).click()
  await desk.getByRole('option', { name: '1 : 1' }).click()
  await setValue(desk, /^Turned by/, '12')
  await dialog.getByRole('button', { name: 'Show this part' }).click()
  await expect(desk.getByRole('button', { name: /^Picture: .*, a part/ })).toBeVisible()
  await saved(desk)
  const { assets } = await stored(desk)
  const cut = assets.find(({ name }) => name.endsWith(', a part'))!
  const answer = await desk.request.get(`${new URL(desk.url()).origin}/api/blobs/${cut.hash}`)
  expect(answer.headers()['content-type']).toContain('image/svg+xml')
  expect(await answer.text()).toMatch(/^<svg[^>]*><g transform="matrix\(0\.97/)
  await expect
    .poll(() =>
      desk
        .locator('[data-sheet="desktop"] img')
        .first()
        .evaluate(
          (image: HTMLImageElement) => image.naturalWidth > 0 && image.naturalWidth === image.naturalHeight,
        ),
    )
    .toBe(true)
})
