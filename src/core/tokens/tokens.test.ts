import { describe, expect, test } from 'vitest'
import { paragraphs } from '../arrange/test-page'
import type { Document } from '../document/document'
import { resolve } from '../document/resolve'
import { placesIn, withFluid, withValueAt } from '../document/token-variants'
import { colorValue, dimensionValue } from '../document/tokens'
import { applyAll } from '../edits/apply'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'
import { setEdit } from './elsewhere'
import { colorsInUse, sizesInUse, spacesInUse } from './in-use'
import { nameProblem, removeTokenEdits, renameTokenEdits, storedToken } from './instead'
import { bindEdits, nearTokens } from './near'
import { pageThen } from './page-then'
import { page } from './test-page'
import { type ReadTokens, readTokensFile } from './tokens-file'
import { tokenUses } from './uses'

/** Everything that every block is on every view, with tokens followed. */
const looks = (doc: Document) =>
  [...doc.nodes.values()].flatMap((node) =>
    node.kind === 'page'
      ? []
      : doc.views.map((view) => ({ ...resolve(doc, node, view.id), type: undefined })),
  )

describe('uses', () => {
  test('each property that names a token, on every view, once', () => {
    const uses = tokenUses(page().doc)
    expect(uses.get('color.pine')).toEqual([
      { node: 'b', page: expect.any(String), key: 'fills' },
      { node: 't', page: expect.any(String), view: 'mobile', key: 'color' },
    ])
    expect(uses.get('type.heading')).toHaveLength(1)
    expect(uses.has('color.gold')).toBe(false)
  })
})

describe('in another’s place', () => {
  test('renamed, every block looks as before, and the old name is gone', () => {
    for (const name of page().doc.tokenTable.names()) {
      const { doc, run } = page()
      const before = looks(doc)
      run(renameTokenEdits(doc, name, 'other.one'))
      expect(looks(doc), name).toEqual(before)
      expect(doc.tokenTable.names()).not.toContain(name)
      expect(tokenUses(doc).has(name)).toBe(false)
    }
  })

  test('taken away with its value left, every block looks as before', () => {
    for (const name of page().doc.tokenTable.names()) {
      const { doc, run } = page()
      const before = looks(doc)
      run(removeTokenEdits(doc, name))
      expect(looks(doc), name).toEqual(before)
      expect(doc.tokenTable.names()).not.toContain(name)
    }
  })

  test('merged into another, blocks take that; tokens that referred to it do, too', () => {
    const { doc, run } = page()
    run([{ op: 'token', name: 'color.accent', token: { $type: 'color', $value: '{color.pine}' } }])
    run(removeTokenEdits(doc, 'color.pine', 'color.ink'))
    expect(doc.tokenTable.lookup('color.accent')).toEqual(doc.tokenTable.lookup('color.ink'))
    expect(
      tokenUses(doc)
        .get('color.ink')!
        .map(({ node }) => node),
    ).toEqual(['b', 't', 't'])
  })

  test('taken back, the project is as it was', () => {
    const { doc } = page()
    const before = JSON.stringify(doc.toFile())
    const inverse = applyAll(doc, renameTokenEdits(doc, 'color.pine', 'color.forest'))
    expect(JSON.stringify(doc.toFile())).not.toBe(before)
    applyAll(doc, inverse)
    expect(doc.toFile()).toEqual(JSON.parse(before))
  })

  test('names that cannot be', () => {
    const { doc } = page()
    expect(nameProblem(doc, 'color.pine')).toContain('there already')
    expect(nameProblem(doc, 'color.pine', 'color.pine')).toBe(undefined)
    expect(nameProblem(doc, 'color.Deep Sea')).toContain('small letters')
    expect(nameProblem(doc, 'color.deep-sea')).toBe(undefined)
  })
})

describe('nearly a token', () => {
  test('colours that hardly differ and spaces within 3 px, bound in one step', () => {
    const { doc, run } = page()
    const near = nearTokens(doc)
    // One use each: what is off by less comes first.
    expect(near.map(({ value, token }) => [value, token])).toEqual([
      ['#1d5c46', 'color.pine'],
      [25, 'space.m'],
    ])
    run(bindEdits(doc, near))
    expect(doc.node('s').props.paddingTop).toBe('{space.m}')
    expect(doc.node('v').props.color).toBe('{color.pine}')
    expect(nearTokens(doc)).toEqual([])
  })
})

describe('in use', () => {
  test('values with how often, and how many of them are a token', () => {
    const { doc, run } = page()
    expect(spacesInUse(doc)).toEqual([
      { value: 24, count: 1, bound: 1, nodes: ['b'] },
      { value: 25, count: 1, bound: 0, nodes: ['s'] },
    ])
    const sizes = sizesInUse(doc)
    expect(sizes.map(({ value, bound }) => [value, bound])).toEqual([
      [15, 0],
      [16, 0],
      [40, 1],
    ])
    const pine = colorsInUse(doc).find(({ value }) => value === '#1d5c45')!
    expect(pine).toMatchObject({ count: 2, bound: 2, nodes: ['b', 't'] })
    run(bindEdits(doc, nearTokens(doc)))
    expect(spacesInUse(doc)).toEqual([{ value: 24, count: 2, bound: 2, nodes: ['s', 'b'] }])
  })
})

describe('values of a view alone', () => {
  const narrow = () => {
    const made = page()
    const { doc, run } = made
    run([
      setEdit(doc, 'space.m', { view: 'mobile' }, dimensionValue(9)),
      setEdit(
        doc,
        'type.heading',
        { view: 'mobile' },
        {
          ...(storedToken(doc.tokens, 'type.heading')!.$value as object),
          fontSize: dimensionValue(31),
        },
      ),
    ])
    return made
  }

  test('hold there and on narrower views, in layout and in blocks', () => {
    const { doc } = narrow()
    expect(doc.tokensAt('mobile').lookup('space.m')!.value).toBe(9)
    expect(doc.tokensAt('desktop').lookup('space.m')!.value).toBe(24)
    expect(resolve(doc, doc.node('t'), 'mobile').fontSize).toBe(31)
    const phone = new PageLayout(doc, doc.pagesInOrder()[0]!.id, 'mobile', 390, paragraphs)
    expect(phone.boxes.get('b')!.rowGap).toBe(9)
    expect(phone.boxes.get('t')!.resolved.fontSize).toBe(31)
  })

  test('renamed and taken away, every block looks as before on every view', () => {
    for (const name of ['space.m', 'type.heading'])
      for (const change of [renameTokenEdits, removeTokenEdits]) {
        const { doc, run } = narrow()
        const before = looks(doc)
        run(change(doc, name, change === renameTokenEdits ? 'other.one' : (undefined as never)))
        expect(looks(doc), `${name} ${change.name}`).toEqual(before)
      }
  })

  test('a colour has none, and nothing else follows a theme', () => {
    const { doc, run } = page()
    expect(() => run([setEdit(doc, 'color.ink', { view: 'mobile' }, colorValue('#000000'))])).toThrow(
      /by theme, not by view/,
    )
    expect(() => run([setEdit(doc, 'space.m', { theme: 'dark' }, dimensionValue(3))])).toThrow(
      /only a colour/,
    )
    expect(() => run([setEdit(doc, 'space.m', { view: 'mobile' }, '{space.m}')])).toThrow(/refers to itself/)
  })

  test('put back, the token is as it was, and what others keep in it stays', () => {
    const token = { $type: 'number', $value: 1, $extensions: { 'org.example': { a: 1 } } }
    const changed = withValueAt(token, { view: 'mobile' }, 2)
    expect(placesIn(changed)).toEqual([{ view: 'mobile' }])
    expect(withValueAt(changed, { view: 'mobile' }, null)).toEqual(token)
    expect(withValueAt(withValueAt({ $value: 1 }, { theme: 'x' }, 2), { theme: 'x' }, null)).toEqual({
      $value: 1,
    })
  })
})

describe('type that grows with the window', () => {
  const fluid = () => {
    const made = page()
    const { doc, run } = made
    const token = storedToken(doc.tokens, 'type.heading')!
    const narrow = { ...(token.$value as object), fontSize: dimensionValue(30) }
    run([
      {
        op: 'token',
        name: 'type.heading',
        token: withFluid(withValueAt(token, { view: 'mobile' }, narrow), true),
      },
    ])
    return made
  }
  const sizeAt = (doc: Document, width: number) =>
    new PageLayout(doc, doc.pagesInOrder()[0]!.id, doc.viewAt(width).id, width, paragraphs).boxes.get('t')!
      .resolved.fontSize

  test('is what is said at each view’s width, goes evenly between, and stays beyond', () => {
    const { doc } = fluid()
    expect([1440, 390, 2000, 320].map((width) => sizeAt(doc, width))).toEqual([40, 30, 40, 30])
    expect(sizeAt(doc, (1440 + 390) / 2)).toBeCloseTo(35, 6)
    // A view's own breakpoint is no step.
    const { breakpoint } = doc.view('mobile')
    expect(Math.abs(sizeAt(doc, breakpoint!) - sizeAt(doc, breakpoint! + 1))).toBeLessThan(0.02)
  })

  test('is handed off as one expression, which no view sets again', () => {
    const css = buildSite(fluid().doc, new Map()).text.get('styles.css')!
    expect(css.match(/--type-heading-size/g)!.length).toBe(
      1 + css.match(/var\(--type-heading-size\)/g)!.length,
    )
    expect(css).toContain(
      '--type-heading-size: clamp(1.875rem, 1.875rem + 10 * (100cqw - 390px) / 1050, 2.5rem)',
    )
  })
})

describe('a tokens file', () => {
  const read = (tree: unknown) =>
    readTokensFile(page().doc, typeof tree === 'string' ? tree : JSON.stringify(tree))
  const srgb = (...components: number[]) => ({ colorSpace: 'srgb', components })

  test('what it adds and changes, types from its groups; what is the same is left out', () => {
    const { doc, run } = page()
    const own = JSON.stringify(doc.tokens)
    expect(readTokensFile(doc, own)).toEqual({ edits: [], added: [], changed: [] })
    const file = {
      color: { $type: 'color', moss: { $value: srgb(0, 0.5, 0) }, pine: { $value: '{color.moss}' } },
    }
    const found = readTokensFile(doc, JSON.stringify(file))
    expect(found).toMatchObject({ added: ['color.moss'], changed: ['color.pine'] })
    run((found as ReadTokens).edits)
    expect(doc.tokenTable.lookup('color.pine')).toEqual({ type: 'color', value: '#008000' })
    expect(doc.tokenTable.names()).toContain('color.gold')
  })

  test.each([
    ['{', 'not JSON'],
    ['[]', 'no object'],
    [{}, 'no tokens'],
    [{ a: { $type: 'color', b: { $value: '{a.c}' }, c: { $value: '{a.b}' } } }, 'refers to itself'],
    [{ a: { $type: 'cubicBezier', b: { $value: [0, 0, 1, 1] } } }, 'tokens.a.b: expected $type'],
    [{ a: { $type: 'color', b: { $value: 'greenish' } } }, 'tokens.a.b: expected a colour'],
    ['x'.repeat(2_000_001), '2 MB'],
  ])('%# is refused with a reason', (tree, reason) => expect(read(tree)).toContain(reason))
})

test('a page is laid out as it would be, and stays as it is', () => {
  const { doc, layout } = page()
  const before = JSON.stringify(doc.toFile())
  const at = { page: layout.page, view: layout.viewId, theme: undefined }
  const edit = setEdit(doc, 'space.m', undefined, dimensionValue(100))
  const ink = setEdit(doc, 'color.ink', undefined, colorValue('#ff0000'))
  const then = pageThen(doc, [edit, ink], at, paragraphs)
  expect(then.layout.boxes.get('t')!.resolved.color).toBe('#ff0000')
  expect(then.doc.tokenTable.lookup('space.m')!.value).toBe(100)
  expect(layout.boxes.get('t')!.resolved.color).not.toBe('#ff0000')
  expect(JSON.stringify(doc.toFile())).toBe(before)
})
