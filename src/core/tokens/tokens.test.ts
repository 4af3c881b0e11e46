import { describe, expect, test } from 'vitest'
import { box, exactly, lay, paragraphs } from '../arrange/test-page'
import { contrastOf } from '../color/contrast'
import type { Document } from '../document/document'
import { resolve } from '../document/resolve'
import type { NodeTree } from '../document/schema'
import { placesIn, withFluid, withValueAt } from '../document/token-variants'
import { colorValue, dimensionValue } from '../document/tokens'
import { applyAll } from '../edits/apply'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'
import { oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import { said } from '../words/words'
import { setEdit } from './elsewhere'
import { colorsInUse, sizesInUse, spacesInUse } from './in-use'
import { nameProblem, removeTokenEdits, renameTokenEdits, storedToken } from './instead'
import { bindEdits, nearTokens } from './near'
import { pageThen } from './page-then'
import { onPictures, pairsOn, readingOf } from './pairs'
import { newThemeEdits, removeThemeEdits, turnedColors } from './themes'
import { type ReadTokens, readTokensFile } from './tokens-file'
import { turnedThemeEdits } from './turned-theme'
import { tokenUses } from './uses'

const text = (id: string, props: Props, overrides?: Record<string, Props>): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order: `a${id}`,
  props: { words: said('Beans'), ...props },
  ...(overrides ? { overrides } : {}),
})

const gradient = {
  sky: {
    order: 'a0',
    kind: 'gradient' as const,
    angle: 90,
    stops: [
      { color: '{color.pine}', at: 0 },
      { color: '#ffffff', at: 100 },
    ],
  },
}

const page = () =>
  lay({ flow: 'column', fills: oneFill('{color.paper}'), paddingTop: 25 }, [
    text('t', { type: '{type.heading}', color: '{color.ink}' }, { mobile: { color: '{color.pine}' } }),
    text('u', { type: '{type.body}', fontSize: 15 }),
    box('b', { ...exactly(300, 100), fills: gradient, rowGap: '{space.m}' as never }, [
      text('v', { color: '#1d5c46', fontSize: 16, fontWeight: 400 }),
    ]),
  ])

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

describe('themes', () => {
  const dark = (made = page()) => {
    const { doc, layout, run } = made
    const before = pairsOn(layout)
    run(
      newThemeEdits(
        doc,
        { id: 'dark', first: 'light' },
        { name: 'Dark', scheme: 'dark' },
        turnedColors(doc, before),
      ),
    )
    const night = new PageLayout(doc, layout.page, 'desktop', 1440, paragraphs, undefined, 'dark')
    return { ...made, before, night }
  }

  test('dark from light: grounds are dark, and what read well reads well', () => {
    const { doc, before, night } = dark()
    expect(doc.themes.map(({ name }) => name)).toEqual(['Light', 'Dark'])
    const well = before.filter(({ ratio, needed }) => ratio >= needed).flatMap(({ nodes }) => nodes)
    expect(well.length).toBeGreaterThan(0)
    for (const pair of pairsOn(night))
      if (pair.nodes.some((id) => well.includes(id)))
        expect(pair.ratio, `${pair.ink} on ${pair.ground}`).toBeGreaterThanOrEqual(pair.needed)
    const { lookup } = {
      lookup: (name: string) => doc.tokensAt('desktop', 'dark').lookup(name)!.value as string,
    }
    expect(contrastOf(lookup('color.paper'), '#000000')).toBeLessThan(3)
  })

  test('a page that says no token for its background gets one: words on it read in both', () => {
    const { doc, layout, run } = page()
    const section = layout.boxes.get('t')!.parent!.id
    run([{ op: 'set', node: section, props: { fills: null } }])
    const before = pairsOn(layout).filter(({ nodes }) => nodes.includes('t'))
    expect(before).toMatchObject([{ ground: '#ffffff' }])
    const ids = { id: 'dark', first: 'light' }
    run(turnedThemeEdits(doc, ids, { name: 'Dark', scheme: 'dark' }, pairsOn(layout)))
    expect(doc.node(layout.page).props.background).toBe('{color.page}')
    const ground = (theme: string) => doc.tokensAt('desktop', theme).lookup('color.page')!.value as string
    expect(ground('light')).toBe('#ffffff')
    expect(contrastOf(ground('dark'), '#ffffff')).toBeGreaterThan(7)
    const night = new PageLayout(doc, layout.page, 'desktop', 1440, paragraphs, undefined, 'dark')
    const [words] = pairsOn(night).filter(({ nodes }) => nodes.includes('t'))
    expect(words!.ratio).toBeGreaterThanOrEqual(words!.needed)
    // A second one has nothing to take along.
    const again = turnedThemeEdits(doc, { id: 'dusk', first: '' }, { name: 'Dusk', scheme: 'dark' }, [])
    expect(again.some((edit) => edit.op === 'set')).toBe(false)
  })

  test('boxes and lines are the same in every theme', () => {
    const { layout, night, doc } = dark()
    for (const { id } of layout.visible()) {
      expect(night.rect(id)).toEqual(layout.rect(id))
      expect(night.lineTexts(id)).toEqual(layout.lineTexts(id))
    }
    expect(buildSite(doc, new Map()).text.get('index.html')).toBe(
      buildSite(page().doc, new Map()).text.get('index.html'),
    )
  })

  test('handed off: by itself for who prefers it, and where it is asked for', () => {
    const { doc } = dark()
    const css = buildSite(doc, new Map()).text.get('styles.css')!
    const paper = doc.tokensAt('desktop', 'dark').lookup('color.paper')!.value
    expect(css).toContain('color-scheme: light dark')
    expect(css).toMatch(
      new RegExp(
        `@media \\(prefers-color-scheme: dark\\) \\{\\s*:root:not\\(\\[data-theme\\]\\) \\{[^}]*--color-paper: ${paper};`,
      ),
    )
    expect(css).toMatch(new RegExp(`\\[data-theme="dark"\\] \\{[^}]*--color-paper: ${paper};`))
  })

  test('taken away again, nothing is left of it', () => {
    const { doc, run } = dark()
    run(removeThemeEdits(doc, 'dark'))
    run(removeThemeEdits(doc, 'light'))
    expect(doc.toFile()).toEqual(page().doc.toFile())
  })
})

describe('pairs', () => {
  test('words on what is behind them: the worst stop of a gradient, and what falls short first', () => {
    const { layout } = page()
    const [worst] = pairsOn(layout)
    // Pine words on a gradient that begins in pine.
    expect(worst).toMatchObject({ ink: '#1d5c46', needed: 4.5, nodes: ['v'] })
    expect(worst!.ratio).toBeLessThan(1.1)
    const heading = readingOf(layout.boxes.get('t')!)!
    expect(heading.ratio).toBeGreaterThan(10)
    expect(heading.isSure).toBe(true)
  })
  test('a gradient in the words is held by its worst stop against what is behind them', () => {
    const { layout, run } = page()
    const fill = { order: 'a0', kind: 'gradient' as const, angle: 0 }
    const stops = [
      { color: '#000000', at: 0 },
      { color: '#f4f4f4', at: 100 },
    ]
    run([{ op: 'set', node: 't', props: { fillsIn: 'words', fills: { f: { ...fill, stops } } } }])
    expect(readingOf(layout.boxes.get('t')!)).toMatchObject({ ink: '#f4f4f4', isSure: true })
    run([{ op: 'set', node: 't', props: { fillsIn: null } }])
    // Behind the words it is what they stand on, and there may be a stop that they read on.
    const behind = readingOf(layout.boxes.get('t')!)!
    expect(behind.best).toBeGreaterThan(behind.ratio)
  })
  test('on a picture only pixels tell, unless a colour that lets nothing through lies between', () => {
    const { layout, run } = page()
    expect(onPictures(layout)).toEqual([])
    const section = layout.boxes.get('t')!.parent!.id
    const about = {
      name: 'One',
      type: 'image/png' as const,
      width: 40,
      height: 30,
      size: 9,
      hash: '0'.repeat(64),
    }
    const picture = { p: { order: 'Zz', kind: 'picture' as const, asset: 'one', fit: 'cover' as const } }
    run([{ op: 'asset', id: 'one', asset: { id: 'one', ...about } }])
    run([{ op: 'set', node: section, props: { fills: picture } }])
    expect(onPictures(layout).map(({ id }) => id)).toContain('t')
    expect(pairsOn(layout).flatMap(({ nodes }) => nodes)).not.toContain('t')
    run([{ op: 'set', node: 't', props: { fills: oneFill('#ffffff80') } }])
    expect(onPictures(layout).map(({ id }) => id)).toContain('t')
    run([{ op: 'set', node: 't', props: { fills: oneFill('#ffffff') } }])
    expect(onPictures(layout).map(({ id }) => id)).not.toContain('t')
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
