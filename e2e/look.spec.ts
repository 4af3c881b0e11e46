/** Fills, borders, corners and shadows from the spec: on the board, in what is stored, and in what is handed off. */
import type { Page } from '@playwright/test'
import { storeProject } from '../src/cli/store-project'
import { starterProject } from '../src/core/shelf/starter'
import { said } from '../src/core/words/words'
import { choose, expect, findNode, onSheet, row, saved, setValue, stored, test } from './app'

const button = (desk: Page) => onSheet(desk, 'desktop', 'Browse the catalogue')
const propsOf = async (desk: Page) => {
  await saved(desk)
  const { pages } = await stored(desk)
  return findNode(pages[0]!.sections, 'Call to action')!
}
const style = (desk: Page, property: string) =>
  button(desk).evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property)

test.beforeEach(async ({ desk }) => {
  await row(desk, 'Hero').focus()
  await button(desk).click()
  await expect(desk.getByRole('heading', { name: 'Call to action' })).toBeVisible()
})

test('a gradient over a fill, shown or not, in another angle, and away again', async ({ desk }) => {
  await desk.getByRole('button', { name: 'Another fill on top' }).click()
  await desk.getByRole('option', { name: 'A gradient' }).click()
  await expect.poll(() => style(desk, 'background-image')).toMatch(/^linear-gradient\(rgba\(28, 43, 36, 0\)/)
  await expect.poll(() => style(desk, 'background-color')).toBe('rgb(29, 92, 69)')
  await desk.getByRole('button', { name: /^Gradient:/ }).click()
  await setValue(desk, /^Angle of the gradient/, '90')
  await desk.keyboard.press('Escape')
  await expect.poll(() => style(desk, 'background-image')).toMatch(/^linear-gradient\(90deg/)
  await desk.getByRole('button', { name: 'Do not draw fill 1' }).click()
  await expect.poll(() => style(desk, 'background-image')).toBe('none')
  await desk.getByRole('button', { name: 'Remove fill 1' }).click()
  expect(Object.keys((await propsOf(desk)).props.fills as object)).toHaveLength(1)
  await desk.keyboard.press('ControlOrMeta+z')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect.poll(() => style(desk, 'background-image')).toMatch(/^linear-gradient\(90deg/)
})

test('a gradient out of a point and round one, from where it is put', async ({ desk }) => {
  await desk.getByRole('button', { name: 'Another fill on top' }).click()
  await desk.getByRole('option', { name: 'A gradient' }).click()
  const chip = desk.getByRole('button', { name: /^Gradient:/ })
  await chip.click()
  await choose(desk, /^Shape of the gradient/, 'out of a point')
  await expect
    .poll(() => style(desk, 'background-image'))
    .toMatch(/^radial-gradient\(at 50% 50%|^radial-gradient\(rgba/)
  await setValue(desk, /^Centre across/, '20')
  await expect.poll(() => style(desk, 'background-image')).toMatch(/^radial-gradient\(at 20% 50%, /)
  await choose(desk, /^Shape of the gradient/, 'round a point')
  await setValue(desk, /^Angle of the gradient/, '45')
  await expect.poll(() => style(desk, 'background-image')).toMatch(/^conic-gradient\(from 45deg at 20% 50%, /)
  await desk.keyboard.press('Escape')
  await expect(chip).toHaveText('conic 45°')
})

test('a border all round, then one side by itself; corners each by itself', async ({ desk }) => {
  await setValue(desk, /^Border width/, '2')
  await expect.poll(() => style(desk, 'border-top-width')).toBe('2px')
  await choose(desk, /^Border style/, 'dashed')
  await choose(desk, /^Border sides/, 'each by itself')
  await setValue(desk, /^Border bottom width/, '4')
  await expect.poll(() => style(desk, 'border-width')).toBe('2px 2px 4px')
  await expect.poll(() => style(desk, 'border-style')).toBe('dashed')
  await choose(desk, /^Which corners/, 'each by itself')
  await setValue(desk, /^Corner top left/, '20')
  await expect.poll(() => style(desk, 'border-radius')).toBe('20px 4px 4px')
  expect((await propsOf(desk)).props).toMatchObject({
    borderTop: { width: 2, style: 'dashed', color: '{color.ink}' },
    borderBottom: { width: 4, style: 'dashed', color: '{color.ink}' },
    radiusTopLeft: 20,
  })
})

test('two shadows; on Mobile alone one is not drawn, and that is put back', async ({ desk }) => {
  await desk.getByRole('button', { name: 'Add a shadow' }).click()
  await desk.getByRole('button', { name: 'Add a shadow' }).click()
  await setValue(desk, /^Shadow down: /, '12')
  await choose(desk, /^Where the shadow falls, 2/, 'into it')
  await expect.poll(() => style(desk, 'box-shadow')).toMatch(/^(?!.*inset.*inset).*inset/)
  await expect.poll(async () => (await style(desk, 'box-shadow')).match(/px rgb|rgba/g)?.length).toBe(2)
  await onSheet(desk, 'mobile', 'Browse the catalogue').click()
  await desk.getByRole('button', { name: 'Remove shadow 1' }).click()
  const mobile = () =>
    onSheet(desk, 'mobile', 'Browse the catalogue').evaluate((element) => getComputedStyle(element).boxShadow)
  await expect.poll(async () => (await mobile()).match(/rgba/g)?.length).toBe(1)
  expect((await style(desk, 'box-shadow')).match(/rgba/g)).toHaveLength(2)
  const { overrides, props } = await propsOf(desk)
  expect(Object.keys(props.shadows as object)).toHaveLength(2)
  expect(Object.values(overrides!.mobile!.shadows as object)).toMatchObject([{ hidden: true }])
  await desk.getByRole('button', { name: 'Put back shadows on Mobile' }).click()
  await expect.poll(async () => (await mobile()).match(/rgba/g)?.length).toBe(2)
})

test('of several blocks each takes what its kind has', async ({ desk }) => {
  await row(desk, 'Header').click()
  await button(desk).click({ modifiers: ['Shift'] })
  await expect(desk.getByRole('heading', { name: '2 blocks' })).toBeVisible()
  await setValue(desk, /^Font size/, '21')
  await expect.poll(() => style(desk, 'font-size')).toBe('21px')
  expect((await propsOf(desk)).props.fontSize).toBe(21)
})

test('corners are pulled on the block once the spec says them: all, or with Alt one', async ({ desk }) => {
  await desk.locator('[data-sheet="desktop"] img').first().click()
  await desk.getByRole('button', { name: /^Corners:/ }).click()
  const drag = async (corner: string, dx: number, dy: number) => {
    const box = (await desk.locator(`[data-corner="${corner}"]`).boundingBox())!
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    await desk.mouse.move(x, y)
    await desk.mouse.down()
    await desk.mouse.move(x + dx / 2, y + dy / 2)
    await desk.mouse.move(x + dx, y + dy)
    await desk.mouse.up()
  }
  const radii = async () => {
    await saved(desk)
    const { props } = findNode((await stored(desk)).pages[0]!.sections, 'Picture')!
    return ['TopLeft', 'TopRight', 'BottomRight', 'BottomLeft'].map(
      (corner) => props[`radius${corner}`] as number,
    )
  }
  await drag('radiusTopLeft', 20, 20)
  const [all, ...others] = await radii()
  expect(all).toBeGreaterThan(20)
  expect(others).toEqual([all, all, all])
  // The field that is open says what was pulled.
  await expect(desk.getByRole('textbox', { name: 'Corners' })).toHaveValue(String(all))
  await desk.keyboard.down('Alt')
  await drag('radiusBottomRight', -10, -10)
  await desk.keyboard.up('Alt')
  const [first, second, third, fourth] = await radii()
  expect([first, second, fourth]).toEqual([all, all, all])
  expect(third).toBeGreaterThan(all!)
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-pulls]')).toHaveCount(0)
})

test('a gradient is pulled on the block while the spec says it: its way, a colour, one more, its centre', async ({
  desk,
}) => {
  await row(desk, 'Hero').click()
  await desk.getByRole('button', { name: 'Another fill on top' }).click()
  await desk.getByRole('option', { name: 'A gradient' }).click()
  await desk.getByRole('button', { name: /^Gradient:/ }).click()
  const fill = async () => {
    await saved(desk)
    const { fills } = findNode((await stored(desk)).pages[0]!.sections, 'Hero')!.props as {
      fills: Record<
        string,
        { kind: string; angle: number; x?: number; stops: { at: number }[]; shape?: string }
      >
    }
    return Object.values(fills).find(({ kind }) => kind === 'gradient')!
  }
  const middle = async (selector: string) => {
    const box = (await desk.locator(selector).boundingBox())!
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  }
  const drag = async (selector: string, to: { x: number; y: number }) => {
    const from = await middle(selector)
    await desk.mouse.move(from.x, from.y)
    await desk.mouse.down()
    await desk.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2)
    await desk.mouse.move(to.x, to.y)
    await desk.mouse.up()
  }
  const hero = (await onSheet(desk, 'desktop', 'Borrow a packet.').boundingBox())!
  const block = (await desk.locator('[data-pulls]').boundingBox())!
  const centre = { x: block.x + block.width / 2, y: block.y + block.height / 2 }
  // From downwards to the right, and the panel stays open.
  await drag('[data-gradient-way]', { x: block.x + block.width - 4, y: centre.y })
  await expect(desk.getByRole('button', { name: /^Angle of the gradient: 90/ })).toBeVisible()
  await drag('[data-gradient-stop="0"]', { x: block.x + block.width / 4, y: hero.y })
  expect((await fill()).stops[0]!.at).toBeCloseTo(25, 0)
  await desk.mouse.click(block.x + block.width * 0.6, centre.y)
  expect((await fill()).stops.map(({ at }) => Math.round(at))).toEqual([25, 60, 100])
  await choose(desk, 'Shape of the gradient', 'out of a point')
  await drag('[data-gradient-centre]', { x: block.x + block.width * 0.2, y: centre.y })
  expect((await fill()).x).toBeCloseTo(20, 0)
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-pulls]')).toHaveCount(0)
  for (let i = 0; i < 5; i++) await desk.keyboard.press('ControlOrMeta+z')
  expect(await fill()).toMatchObject({ angle: 180, stops: [{ at: 0 }, { at: 100 }] })
})

test('a look is kept with the project, says what it would change, and is put on another block after a reload', async ({
  desk,
}) => {
  await button(desk).click()
  await desk.keyboard.press('ControlOrMeta+Shift+c')
  await desk.keyboard.press('ControlOrMeta+Shift+v')
  const dialog = desk.getByRole('dialog', { name: 'Put a look on' })
  await expect(dialog.locator('[data-look-changes]')).toHaveText(
    'It changes nothing: all of it is so already.',
  )
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(
    dialog.getByRole('button', { name: 'Remove' }).or(dialog.getByRole('button', { name: /no longer/ })),
  ).toHaveCount(1)
  await desk.keyboard.press('Escape')
  await saved(desk)
  await desk.reload()
  await desk.locator('html[data-parts=here]').waitFor()
  await onSheet(desk, 'desktop', 'Sign in').click()
  const name = (await desk.locator('aside h2').textContent())!.trim()
  await desk.keyboard.press('ControlOrMeta+Shift+v')
  await dialog.getByRole('button', { name: 'Call to action', exact: true }).click()
  await expect(dialog.locator('[data-look-changes]')).toContainText('Changes fills')
  await dialog.getByRole('button', { name: 'Put it on' }).click()
  await saved(desk)
  const { sections } = (await stored(desk)).pages[0]!
  const [one, other] = ['Call to action', name].map((each) => findNode(sections, each)!.props)
  expect(Object.values(other!.fills as object)).toEqual(Object.values(one!.fills as object))
  expect(other!.borderTop).toEqual(one!.borderTop)
  await desk.keyboard.press('ControlOrMeta+Shift+v')
  await dialog.getByRole('button', { name: /no longer/ }).click()
  await expect(dialog.getByRole('list', { name: 'Looks' }).getByRole('listitem')).toHaveText([/copied/])
})

test('a look goes to another project: its tokens where that has them, else their values', async ({
  desk,
  app,
}) => {
  await button(desk).click()
  await desk.keyboard.press('ControlOrMeta+Shift+c')
  const { pages, ...rest } = starterProject('Elsewhere', 'home')
  const { paper, ink } = rest.tokens.color as Record<string, unknown>
  const text = { id: 't', kind: 'text', name: 'Words', order: 'a0', props: { words: said('Elsewhere') } }
  const section = { id: 's', kind: 'section', name: 'Section', order: 'a0', props: {}, children: [text] }
  const tokens = { color: { $type: 'color', paper, ink } }
  const id = await storeProject(app.address, {
    ...rest,
    tokens,
    pages: [{ ...pages[0]!, sections: [section] }],
  } as never)
  await desk.goto(`${app.address}projects/${id}`)
  await onSheet(desk, 'desktop', 'Elsewhere').click()
  await desk.keyboard.press('ControlOrMeta+Shift+v')
  const dialog = desk.getByRole('dialog', { name: 'Put a look on' })
  await expect(dialog.getByRole('button', { name: 'Call to action, copied' })).toBeVisible()
  await expect(dialog).toContainText(/pine.* are no tokens of this project: their values are put on/)
  await dialog.getByRole('button', { name: 'Put it on Words' }).click()
  await expect
    .poll(() =>
      onSheet(desk, 'desktop', 'Elsewhere').evaluate((element) => getComputedStyle(element).backgroundColor),
    )
    .toBe('rgb(29, 92, 69)')
  await saved(desk)
  const { props } = findNode((await stored(desk)).pages[0]!.sections, 'Words')!
  expect(props.color).toBe('{color.paper}')
  expect(Object.values(props.fills as object)).toMatchObject([{ kind: 'color', color: '#1d5c45' }])
})
