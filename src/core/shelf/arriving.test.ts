/** What the shelf offers, in projects that have not the tokens it is made of. */
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import { resolved } from '../document/resolve'
import { tokensIn } from '../document/tokens'
import { arriving } from './arriving'
import { Builder, plant } from './build'
import { SHELF } from './items'
import { starterProject } from './starter'

const started = () => starterProject('Test', 'home')
/** Every block of an item in a project, with what it is on its widest view. */
function placed(file: ReturnType<typeof started>, id: string) {
  let count = 0
  const bare = Document.fromFile(structuredClone(file))
  const item = SHELF.find((each) => each.id === id)!
  const tree = arriving(
    bare,
    plant(item.build(new Builder(file.views)), () => `b${count++}`, 'a0'),
  )
  const section = { id: 's', kind: 'section' as const, name: 'S', order: 'a0', props: {}, children: [tree] }
  const own = { ...structuredClone(file) }
  own.pages[0]!.sections = [tree.kind === 'section' ? tree : section]
  const doc = Document.fromFile(own)
  const blocks = [...Array(count).keys()].map((i) => doc.node(`b${i}`))
  return {
    tree,
    doc,
    looks: blocks.map((node) => ({ ...resolved(doc.tokensAt('desktop'), node, node.props) })),
  }
}
/** A style's parts come one by one where the style is not there. */
const same = (looks: object[]) =>
  looks.map((look) => Object.fromEntries(Object.entries(look).filter(([key]) => key !== 'type')))

test.each(SHELF.map(({ id }) => id))('%s names no token that is not there, and looks the same', (id) => {
  const file = started()
  const whole = placed(file, id)
  expect(whole.doc.tokenTable.names()).toEqual(expect.arrayContaining([...new Set(tokensIn(whole.tree))]))
  const without = placed({ ...file, tokens: {} }, id)
  expect([...tokensIn(without.tree)]).toEqual([])
  expect(same(without.looks)).toEqual(same(whole.looks))
})

test('a project’s own token of the same name is what it is there', () => {
  const file = started()
  const tokens = structuredClone(file.tokens) as { color: { pine: { $value: unknown } } }
  const before = placed(file, 'hero')
  tokens.color.pine.$value = { colorSpace: 'srgb', components: [1, 0, 0] }
  const own = placed({ ...file, tokens }, 'hero')
  expect(own.tree).toEqual(before.tree)
  expect(own.looks).not.toEqual(before.looks)
})

test('colours come all together: words placed with their ground are read on it', () => {
  const file = started()
  // Light ink for a dark page, and no paper.
  const { ink } = (file.tokens as { color: Record<string, unknown> }).color
  const light = { ...(ink as object), $value: { colorSpace: 'srgb', components: [0.97, 0.95, 0.9] } }
  const own = placed({ ...file, tokens: { color: { $type: 'color', ink: light } } }, 'hero')
  const whole = placed(file, 'hero')
  const colors = (looks: readonly { color?: unknown }[]) => looks.map(({ color }) => color)
  expect(colors(own.looks)).toEqual(colors(whole.looks))
})
