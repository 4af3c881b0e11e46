/** Icons: found, placed, put into a button, handed off. */
import { expect, findNode, onSheet, row, saved, stored, test } from './app'

test('an icon is found by what it means, takes the ink of its words, and stands where it was placed', async ({
  desk,
}) => {
  await desk.getByRole('button', { name: /^Icons/ }).click()
  const sought = desk.getByRole('searchbox', { name: 'Find an icon' })
  await sought.fill('magnifier')
  await expect(desk.getByRole('option', { name: 'Search', exact: true })).toBeVisible()
  await sought.fill('arrow')
  const list = desk.getByRole('listbox', { name: 'Icons' })
  await list.focus()
  await expect(desk.getByRole('option').first()).toHaveAttribute('aria-selected', 'true')
  await desk.keyboard.press('ArrowRight')
  await expect(desk.getByRole('option').nth(1)).toHaveAttribute('aria-selected', 'true')
  const name = (await desk.getByRole('option').nth(1).getAttribute('aria-label'))!
  await row(desk, 'Footer').click()
  await list.focus()
  await desk.keyboard.press('Enter')
  await expect(row(desk, name)).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  const { pages } = await stored(desk)
  const icon = findNode(pages[0]!.sections, name)!
  expect(icon.kind).toBe('shape')
  expect(icon.props).toMatchObject({
    form: { form: 'path' },
    // The footer is dark; its words are paper.
    stroke: { width: 2, color: '{color.paper}', cap: 'round', join: 'round' },
    width: { kind: 'exact', px: 24 },
  })
  // Another in its place, drawn as it is; what is pressed next without that is placed anew.
  await desk.getByRole('checkbox', { name: /^In place of/ }).check()
  await sought.fill('heart')
  await desk.getByRole('option', { name: 'Heart', exact: true }).click()
  await expect(row(desk, 'Heart')).toHaveAttribute('aria-selected', 'true')
  await saved(desk)
  const other = findNode((await stored(desk)).pages[0]!.sections, 'Heart')!
  expect(other.id).toBe(icon.id)
  expect({ ...other.props, form: undefined }).toEqual({ ...icon.props, form: undefined })
  expect(other.props.form).not.toEqual(icon.props.form)
  await desk.getByRole('checkbox', { name: /^In place of/ }).uncheck()
  await desk.getByRole('option', { name: 'Heart', exact: true }).click()
  await expect(row(desk, 'Heart')).toHaveCount(2)
})

test('pressed with a button selected, an icon goes before its words, and nothing else of it changes', async ({
  desk,
}) => {
  const button = onSheet(desk, 'desktop', 'Browse the catalogue')
  await button.click()
  const before = (await button.boundingBox())!
  await desk.keyboard.press('/')
  await desk.keyboard.type('book open')
  await expect(desk.locator('[data-shelf-item="icon-book-open"]')).toBeVisible()
  await desk.keyboard.press('Enter')
  const made = desk.getByRole('treeitem', { selected: true })
  await expect(made).toBeVisible()
  await saved(desk)
  const id = (await made.getAttribute('data-row'))!
  const block = desk.locator(`[data-sheet="desktop"] [data-node="${id}"]`)
  const after = (await block.boundingBox())!
  expect(after.x).toBeCloseTo(before.x, 1)
  expect(after.height).toBeCloseTo(before.height, 1)
  expect(after.width).toBeGreaterThan(before.width)
  await expect(block).toHaveCSS('background-color', 'rgb(29, 92, 69)')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(block).toHaveCount(0)
  await expect(onSheet(desk, 'desktop', 'Browse the catalogue')).toBeVisible()
})
