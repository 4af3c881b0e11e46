/** Looks that go to other projects. */
import * as v from 'valibot'
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { applyAll } from '../edits/apply'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { CarriedLookSchema, carryLook, settleLook } from './carried-look'
import { copyBlocks, readBlocks, settleBlocks } from './clipboard'

const picture = {
  id: 'leaf',
  name: 'Leaf',
  type: 'image/png',
  width: 10,
  height: 10,
  size: 100,
  hash: 'a'.repeat(64),
} as const
const family = (id: string) => ({
  id,
  family: 'Hedgerow',
  category: 'hand' as const,
  files: [{ weights: [400, 400] as [number, number], ranges: 'U+20-7E', size: 10, hash: 'b'.repeat(64) }],
})
const soft = {
  $type: 'shadow',
  $value: [0, 8].map((y) => ({
    color: '#00000033',
    offsetX: { value: 0, unit: 'px' },
    offsetY: { value: y, unit: 'px' },
    blur: { value: 4, unit: 'px' },
    spread: { value: 0, unit: 'px' },
  })),
}

let count = 0
/** A project of its own tokens, a picture, a font; and one without any. */
function projects(): { from: Document; to: Document } {
  const file = starterProject('From', 'home')
  const tokens = {
    ...file.tokens,
    depth: { soft },
    color: { ...(file.tokens.color as object), ember: { $value: '#b8350a' } },
  }
  const from = Document.fromFile({
    ...file,
    tokens,
    assets: [picture],
    fonts: [family('own')],
  } as ProjectFile)
  const bare = { ...file, tokens: { color: { $type: 'color', ink: { $value: '#111111' } } } }
  return { from, to: Document.fromFile(bare as ProjectFile) }
}
const LOOK = {
  color: '{color.ink}',
  fills: {
    a: { order: 'a0', kind: 'color', color: '{color.ember}' },
    b: { order: 'a1', kind: 'picture', asset: 'leaf', fit: 'cover' },
  },
  shadows: { s: { order: 'a0', token: '{depth.soft}' } },
  type: '{type.title}',
} as unknown as Props

/** As it is kept on the way. */
const carried = (from: Document, look: Props) =>
  v.parse(CarriedLookSchema, JSON.parse(JSON.stringify(carryLook(from, 'Card', look))))

test('where its tokens are it is as it was', () => {
  const { from } = projects()
  expect(settleLook(from, carried(from, LOOK))).toEqual({ props: LOOK, left: [], assets: [] })
})

test('where they are not it looks the same; those of the same name and type are taken', () => {
  const { from, to } = projects()
  const { props, left, assets } = settleLook(to, carried(from, LOOK))!
  expect(left).toEqual(['color.ember', 'depth.soft', 'type.title'])
  expect(props.color).toBe('{color.ink}')
  expect(props.fills!.a).toEqual({ order: 'a0', kind: 'color', color: '#b8350a' })
  expect(Object.values(props.shadows!)).toMatchObject([{ y: 0 }, { y: 8 }])
  expect(props.type).toBeUndefined()
  const title = from.tokenTable.lookup('type.title')!.value as { fontFamily: string; fontSize: number }
  expect(props).toMatchObject({ fontFamily: title.fontFamily, fontSize: title.fontSize })
  expect(assets).toEqual([picture])
})

test('a family of one’s own is the one of its name there, or is not set', () => {
  const { from, to } = projects()
  const look = carried(from, { fontFamily: 'own', fontSize: 20 })
  expect(settleLook(to, look)!.props).toEqual({ fontSize: 20 })
  const other = Document.fromFile({ ...to.toFile(), fonts: [family('theirs')] })
  expect(settleLook(other, look)!.props).toEqual({ fontSize: 20, fontFamily: 'theirs' })
  expect(settleLook(to, carried(from, { fontFamily: 'Figtree' }))!.props).toEqual({ fontFamily: 'Figtree' })
})

test('a picture that was not carried is not filled with', () => {
  const { from, to } = projects()
  const look = { ...carried(from, LOOK), assets: [] }
  expect(Object.keys(settleLook(to, look)!.props.fills!)).toEqual(['a'])
})

test('blocks have values in the place of tokens that are none where they come to', () => {
  const { from, to } = projects()
  const words = said('Late')
  const child = { id: 'c', kind: 'text', name: 'Text', order: 'a0', props: { words, color: '{color.ember}' } }
  const box = { id: 'b', kind: 'box', name: 'Box', order: 'a0', props: { paddingTop: 8 }, children: [child] }
  const tree = { ...box, overrides: { mobile: { fills: LOOK.fills } } } as NodeTree
  applyAll(from, [
    {
      op: 'insert',
      parent: 'home',
      tree: { ...tree, id: 's', kind: 'section', children: [{ ...tree, id: 'bb' }] },
    },
  ])
  const blocks = readBlocks(copyBlocks(from, ['bb']), () => `id${count++}`)!
  expect(settleBlocks(from, blocks)).toEqual(blocks.trees)
  const [settled] = settleBlocks(to, blocks)
  expect(settled!.children![0]!.props).toEqual({ words, color: '#b8350a' })
  expect(settled!.overrides!.mobile!.fills!.a).toMatchObject({ color: '#b8350a' })
  expect(settled!.props).toEqual({ paddingTop: 8 })
  const strange = {
    trees: [{ ...tree, props: 'none', overrides: 'none' }],
    assets: [],
    carried: blocks.carried,
  }
  expect(settleBlocks(to, strange as never)[0]!.props).toBe('none')
})

test('what is no look is none', () => {
  const { from, to } = projects()
  const look = carried(from, LOOK)
  expect(v.is(CarriedLookSchema, { ...look, props: { opacity: 7 } })).toBe(false)
  const tokens = (value: unknown) => look.tokens.map(([name, token]) => [name, { ...token, value }])
  expect(v.is(CarriedLookSchema, { ...look, tokens: tokens('nothing') })).toBe(false)
  const red = look.tokens.map(([name, token]) => [
    name,
    token.type === 'color' ? { ...token, value: 'red;' } : token,
  ])
  expect(settleLook(to, { ...look, tokens: red } as never)).toBeUndefined()
})
