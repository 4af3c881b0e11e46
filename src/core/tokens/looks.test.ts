/** Shadows, gradients and borders as tokens of the W3C format. */
import { describe, expect, test } from 'vitest'
import { box, exactly, lay } from '../arrange/test-page'
import type { Document } from '../document/document'
import { resolve } from '../document/resolve'
import { colorValue, dimensionValue, problemOf, Tokens } from '../document/tokens'
import type { Edit } from '../edits/edit'
import { buildSite } from '../handoff/site'
import { shownItems } from '../properties/items'
import type { Props } from '../properties/table'
import { removeTokenEdits, renameTokenEdits, saidIn } from './instead'
import { newThemeEdits } from './themes'
import { type ReadTokens, readTokensFile } from './tokens-file'
import { tokenUses } from './uses'

const px = dimensionValue
const shade = { color: '{color.pine}', offsetX: px(0), offsetY: px(4), blur: px(12), spread: px(-2) }
const TOKENS = {
  shadow: {
    $type: 'shadow',
    card: { $value: [shade, { ...shade, color: colorValue('#00000033'), inset: true }] },
    both: { $value: ['{shadow.card}', { ...shade, offsetY: px(30) }] },
  },
  gradient: {
    $type: 'gradient',
    dusk: {
      $value: [
        { color: '{color.pine}', position: 0 },
        { color: colorValue('#d9812b'), position: 1.4 },
      ],
    },
  },
  border: { $type: 'border', hair: { $value: { color: '{color.pine}', width: px(3), style: 'dashed' } } },
}
const sides = ['borderTop', 'borderRight', 'borderBottom', 'borderLeft'] as const
const framed: Props = Object.fromEntries(sides.map((side) => [side, '{border.hair}']))

function page() {
  const made = lay({ flow: 'column' }, [
    box('a', {
      ...exactly(200, 100),
      ...framed,
      fills: { f: { order: 'a0', kind: 'gradient', angle: 45, stops: '{gradient.dusk}' } },
      shadows: { s: { order: 'a0', token: '{shadow.card}' } },
    }),
    box('b', { width: { kind: 'snug' } }, [box('c', { ...exactly(50, 50) })]),
  ])
  const edits = Object.entries(TOKENS).flatMap(([group, tokens]) => {
    const { $type, ...rest } = tokens as unknown as { $type: string } & Record<string, { $value: unknown }>
    return Object.entries(rest).map(
      ([name, token]): Edit => ({ op: 'token', name: `${group}.${name}`, token: { $type, ...token } }),
    )
  })
  made.run(edits)
  const lookOf = (id: string) => {
    const { fills, shadows, borderTop } = resolve(made.doc, made.doc.node(id), 'desktop')
    return {
      fills: shownItems(fills).map(({ order: _, ...rest }) => rest),
      shadows: shownItems(shadows),
      borderTop,
    }
  }
  return { ...made, lookOf }
}
const css = (doc: Document) => buildSite(doc, new Map()).text.get('styles.css')!

describe('looks by tokens', () => {
  test('a block has what they say: two shadows in one’s place, stops within their way, a border with its width', () => {
    const { doc, layout, lookOf } = page()
    const pine = (doc.tokenTable.lookup('color.pine') as { value: string }).value
    const look = lookOf('a')
    expect(look.shadows).toMatchObject([
      { x: 0, y: 4, blur: 12, spread: -2, color: pine },
      { color: '#00000033', inset: true },
    ])
    expect(look.fills).toMatchObject([
      {
        stops: [
          { color: pine, at: 0 },
          { color: '#d9812b', at: 100 },
        ],
      },
    ])
    expect(look.borderTop).toEqual({ width: 3, style: 'dashed', color: pine })
    expect(layout.boxes.get('a')!.borL).toBe(3)
    expect(shownItems(resolve(doc, doc.node('b'), 'desktop').shadows)).toEqual([])
  })
  test('a token that stands in another’s place brings all of its shadows', () => {
    const { doc } = page()
    expect((doc.tokenTable.lookup('shadow.both') as { value: unknown[] }).value).toHaveLength(3)
  })
  test('handed off as custom properties, which the rules name', () => {
    const { doc } = page()
    const text = css(doc)
    expect(text).toContain('--shadow-card: 0 4px 12px -2px #')
    expect(text).toMatch(/--gradient-dusk: #\w+ 0%, #d9812b 100%/)
    expect(text).toContain('--border-hair-width: 3px')
    expect(text).toContain('box-shadow: var(--shadow-card)')
    expect(text).toContain('linear-gradient(45deg, var(--gradient-dusk))')
    expect(text).toContain('border-width: var(--border-hair-width)')
    expect(text).toContain('border-style: var(--border-hair-style)')
  })
  test('another width lays out again; another colour does not', () => {
    const { doc, layout, run } = page()
    const before = doc.tokensAt('desktop')
    run([{ op: 'token', name: 'color.pine', token: { $type: 'color', $value: colorValue('#884422') } }])
    expect(doc.tokensAt('desktop').differInPaintOnly(before)).toBe(true)
    expect(layout.boxes.get('a')!.resolved.borderTop!.color).toBe('#884422')
    const border = { color: '{color.pine}', width: px(9), style: 'solid' }
    run([{ op: 'token', name: 'border.hair', token: { $type: 'border', $value: border } }])
    expect(layout.boxes.get('a')!.borL).toBe(9)
  })
  test('counted, renamed, and taken away with their values left: a block looks as before', () => {
    const { doc, run, lookOf } = page()
    expect([...tokenUses(doc).keys()].filter((name) => /shadow|gradient|border/.test(name)).sort()).toEqual([
      'border.hair',
      'gradient.dusk',
      'shadow.card',
    ])
    const before = lookOf('a')
    run(renameTokenEdits(doc, 'shadow.card', 'shadow.raised'))
    expect(lookOf('a')).toEqual(before)
    for (const name of ['shadow.raised', 'gradient.dusk', 'border.hair']) run(removeTokenEdits(doc, name))
    const after = lookOf('a')
    expect(after.shadows.map(({ order: _, ...rest }) => rest)).toEqual(
      before.shadows.map(({ order: _, ...rest }) => rest),
    )
    expect({ ...after, shadows: [] }).toEqual({ ...before, shadows: [] })
    expect(doc.node('a').props.borderTop).toMatchObject({ width: 3 })
  })
  test('what they say keeps colours that are other tokens', () => {
    const { doc } = page()
    expect(saidIn(doc, 'border.hair')).toEqual({ width: 3, style: 'dashed', color: '{color.pine}' })
    expect(saidIn(doc, 'shadow.card')).toMatchObject([{ color: '{color.pine}' }, { color: '#00000033' }])
    expect(saidIn(doc, 'color.pine')).toBeUndefined()
  })
  test('in a theme they have its colours', () => {
    const { doc, run } = page()
    const colors = new Map([['color.pine', '#88ccaa']])
    run(newThemeEdits(doc, { id: 'dark', first: 'light' }, { name: 'Dark', scheme: 'dark' }, colors))
    const [light, dark] = doc.themes.map(({ id }) => doc.tokensAt('desktop', id).lookup('border.hair'))
    expect(light).not.toEqual(dark)
  })
})

describe('a file with looks', () => {
  test('is taken in and written as it was', () => {
    const { doc } = lay({ flow: 'column' }, [])
    const file = { ...TOKENS, color: { pine: { $type: 'color', $value: colorValue('#1d5c45') } } }
    const read = readTokensFile(doc, JSON.stringify(file)) as ReadTokens
    expect(read.added).toEqual(expect.arrayContaining(['shadow.card', 'gradient.dusk', 'border.hair']))
  })
  test.each([
    [{ s: { $type: 'shadow', $value: [] } }, /tokens\.s: expected 1 to 16 shadows/],
    [{ s: { $type: 'shadow', $value: { ...shade, color: 'red' } } }, /color of a shadow in sRGB/],
    [
      { s: { $type: 'shadow', $value: { ...shade, color: colorValue('#000000'), blur: px(-1) } } },
      /blur of at least 0/,
    ],
    [{ s: { $type: 'shadow', $value: ['{s}'] } }, /refers to itself/],
    [{ g: { $type: 'gradient', $value: [{ color: colorValue('#000000'), position: 0 }] } }, /2 to 16 stops/],
    [{ g: { $type: 'gradient', $value: [{}, {}] } }, /position of a stop/],
    [
      { b: { $type: 'border', $value: { color: colorValue('#000000'), width: px(1), style: 'wavy' } } },
      /solid, dashed or dotted/,
    ],
    [{ b: { $type: 'border', $value: 3 } }, /an object with color, width and style/],
    [{ t: { $type: 'transition', $value: {} } }, /found "transition"/],
  ])('%j says what is wrong', (tree, words) => {
    expect(problemOf(tree)).toMatch(words)
    expect(new Tokens({}).problem()).toBeUndefined()
  })
})
