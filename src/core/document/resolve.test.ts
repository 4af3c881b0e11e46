import { describe, expect, test } from 'vitest'
import { oneFill } from '../properties/items'
import { starterProject, viewFor } from '../shelf/starter'
import { Document } from './document'
import { jsonSchemaOfFormat } from './json-schema'
import { cascaded, originOf, resolve } from './resolve'
import type { NodeTree } from './schema'
import { colorValue, eachToken, Tokens } from './tokens'

function sample(node: Partial<NodeTree>) {
  const file = starterProject('Test', 'home')
  file.views = [
    file.views[0]!,
    { ...viewFor('tablet', 'Tablet', 834, file.views[0]), breakpoint: 1000 },
    file.views[1]!,
  ]
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'S',
      order: 'a0',
      props: {},
      children: [{ id: 'n', kind: 'text', name: 'N', order: 'a0', props: {}, ...node }],
    },
  ]
  const doc = Document.fromFile(file)
  return { doc, node: doc.node('n') }
}

describe('the cascade', () => {
  const { doc, node } = sample({
    props: { paddingTop: 10, fontSize: 20 },
    overrides: { tablet: { paddingTop: 8 }, mobile: { fontSize: 14 } },
  })
  test('narrower views take what wider ones override', () => {
    expect(['desktop', 'tablet', 'mobile'].map((view) => cascaded(doc, node, view).paddingTop)).toEqual([
      10, 8, 8,
    ])
    expect(['desktop', 'tablet', 'mobile'].map((view) => cascaded(doc, node, view).fontSize)).toEqual([
      20, 20, 14,
    ])
  })
  test('where a value comes from', () => {
    expect(originOf(doc, node, 'mobile', 'paddingTop')).toBe('tablet')
    expect(originOf(doc, node, 'desktop', 'paddingTop')).toBe('')
    expect(originOf(doc, node, 'mobile', 'opacity')).toBeUndefined()
  })
  test('the view for a window, as max-width queries choose it', () => {
    expect([1920, 1001, 1000, 641, 640, 200].map((width) => doc.viewAt(width).id)).toEqual([
      'desktop',
      'desktop',
      'tablet',
      'tablet',
      'mobile',
      'mobile',
    ])
  })
})

describe('resolving', () => {
  test('a type style gives defaults, own values win', () => {
    const { doc, node } = sample({ props: { type: '{type.display}', fontWeight: 300 } })
    expect(resolve(doc, node, 'desktop')).toMatchObject({
      fontFamily: 'Fraunces',
      fontSize: 64,
      fontWeight: 300,
      lineHeight: { ratio: 1.125 },
      letterSpacing: -0.5,
    })
  })
  test('tokens become values; a reference to nothing becomes the default', () => {
    const { doc, node } = sample({
      props: {
        paddingTop: '{space.l}',
        paddingLeft: '{space.gone}',
        fills: oneFill('{color.pine}'),
        borderTop: { width: 2, color: '{color.gone}' },
      },
    })
    expect(resolve(doc, node, 'desktop')).toMatchObject({
      paddingTop: 48,
      paddingLeft: 0,
      fills: oneFill('#1d5c45'),
      borderTop: { width: 2, color: undefined },
    })
  })
})

describe('tokens', () => {
  const tokens = new Tokens({
    space: {
      $type: 'dimension',
      base: { $value: { value: 8, unit: 'px' } },
      rem: { $value: { value: 2, unit: 'rem' } },
      alias: { $value: '{space.base}' },
    },
    loop: { $type: 'number', a: { $value: '{loop.b}' }, b: { $value: '{loop.a}' } },
    ink: {
      $type: 'color',
      half: { $value: colorValue('#11223380') },
      hex: { $value: '#ABCDEF' },
      wrong: { $value: 'red' },
    },
    odd: { $type: 'cubicBezier', x: { $value: [0, 0, 1, 1] } },
  })
  test('types are inherited, aliases followed, rem is 16 px', () => {
    expect(tokens.lookup('{space.alias}')).toEqual({ type: 'dimension', value: 8 })
    expect(tokens.lookup('space.rem')).toEqual({ type: 'dimension', value: 32 })
    expect(tokens.lookup('{ink.half}')?.value).toBe('#11223380')
    expect(tokens.lookup('{ink.hex}')?.value).toBe('#abcdef')
  })
  test('what is wrong is said with the token’s name', () => {
    expect(tokens.lookup('{loop.a}')).toBeUndefined()
    expect(() => tokens.read('loop.a', [])).toThrow(
      'tokens.loop.a: refers to itself (loop.a → loop.b → loop.a)',
    )
    expect(() => tokens.read('ink.wrong', [])).toThrow('tokens.ink.wrong: expected a colour in sRGB')
    expect(() => tokens.read('odd.x', [])).toThrow(/found "cubicBezier"/)
    expect(() => tokens.read('nowhere', [])).toThrow('there is no such token')
    expect(tokens.problem()).toContain('loop.a')
  })
  test('names by type', () => {
    expect(tokens.names('dimension')).toEqual(['space.base', 'space.rem', 'space.alias'])
    const seen: string[] = []
    eachToken(tokens.tree, (name) => seen.push(name))
    expect(seen.length).toBe(9)
  })
})

test('the JSON Schema names every part of the format', () => {
  const schema = jsonSchemaOfFormat() as {
    $defs: { node: { properties: { props: { properties: object }; children: unknown } } }
  }
  expect(Object.keys(schema.$defs.node.properties.props.properties)).toEqual(
    expect.arrayContaining(['flow', 'rowGap', 'width', 'pinLeft', 'words']),
  )
  expect(schema.$defs.node.properties.children).toEqual({ type: 'array', items: { $ref: '#/$defs/node' } })
})
