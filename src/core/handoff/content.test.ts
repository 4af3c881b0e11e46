/** What differs from view to view in the handoff, and what refers to tokens. */

import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { applyEdit } from '../edits/apply'
import { EditError } from '../edits/edit'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { buildSite } from './site'

function handedOff(block: Partial<NodeTree>, change: (file: ProjectFile) => void = () => undefined) {
  const file = starterProject('Site', 'home')
  const own: NodeTree = { id: 'b', kind: 'text', name: 'Block', order: 'a0', props: {}, ...block }
  file.pages[0]!.sections = [
    { id: 's', kind: 'section', name: 'Opening', order: 'a0', props: {}, children: [own] },
  ]
  change(file)
  const doc = Document.fromFile(file)
  const { text } = buildSite(doc, new Map())
  return { doc, html: text.get('index.html')!, css: text.get('styles.css')! }
}

/** The declarations of a class, outside of media queries and in the first one. */
function rules(css: string, name: string): [string, string] {
  const [wide, narrow] = [css.slice(0, css.indexOf('@media')), css.slice(css.indexOf('@media'))]
  return [wide, narrow].map((scope) => new RegExp(`\\.${name} \\{([^}]*)\\}`).exec(scope)?.[1] ?? '') as [
    string,
    string,
  ]
}

describe('content that differs per view', () => {
  test('other words are an element each, one of them shown', () => {
    const { html, css } = handedOff({
      props: { words: said('Borrow a packet of seed') },
      overrides: { mobile: { words: said('Borrow seed'), fontSize: 14 } },
    })
    expect(html).toMatch(
      /<p class="block">Borrow a packet of seed<\/p>\s*<p class="opening-block">Borrow seed<\/p>/,
    )
    expect(rules(css, 'block')[1]).toContain('display: none')
    const [wide, narrow] = rules(css, 'opening-block')
    expect(wide).toContain('display: none')
    expect(narrow).toContain('display: block')
    expect(narrow).toContain('font-size: 0.875rem')
  })

  test('a picture that is called as a tile of noise is another file', () => {
    const { css, html } = handedOff(
      {
        kind: 'picture',
        props: {
          asset: 'own',
          alt: 'Grain',
          fills: { a: { order: 'a0', kind: 'noise', amount: 40, grain: 2 } },
        },
      },
      (file) => {
        const hash = 'a'.repeat(64)
        file.assets = [
          { id: 'own', name: 'Noise 40 2.png', type: 'image/png', width: 4, height: 4, size: 1, hash },
        ]
      },
    )
    expect(css).toContain('url("pictures/noise-40-2.png")')
    expect(html).toContain('pictures/noise-40-2-2.png')
  })

  test('another picture is a source with its media query', () => {
    const { html } = handedOff(
      { kind: 'picture', props: { asset: 'wide', alt: 'Pods' }, overrides: { mobile: { asset: 'tall' } } },
      (file) => {
        const hash = 'a'.repeat(64)
        const asset = { type: 'image/png', width: 400, size: 1, hash } as const
        file.assets = [
          { id: 'wide', name: 'wide', height: 200, ...asset },
          { id: 'tall', name: 'tall', height: 800, ...asset },
        ]
      },
    )
    expect(html.replace(/\s+/g, ' ')).toContain(
      '<picture> <source media="(max-width: 640px)" srcset="pictures/tall.png" width="400" height="800"> <img class="block" src="pictures/wide.png" alt="Pods" width="400" height="200" decoding="async"> </picture>',
    )
  })

  test('what HTML has once is refused for a view alone', () => {
    const { doc } = handedOff({})
    for (const props of [{ tag: 'h1' }, { link: '#top' }] as Props[])
      expect(() => applyEdit(doc, { op: 'set', node: 'b', view: 'mobile', props })).toThrow(/for all views/)
    expect(doc.node('b').overrides).toEqual({})
  })

  test('what a kind does not have is refused, and left out of files that have it', () => {
    const { doc } = handedOff({ props: { rowGap: 8, fontSize: 20 } })
    expect(doc.node('b').props).toEqual({ fontSize: 20 })
    expect(() => applyEdit(doc, { op: 'set', node: 's', props: { fontSize: 20 } })).toThrow(
      '“Opening” is a section: it has no font size',
    )
  })
})

describe('fills in the border', () => {
  const gradient = (more: { in?: 'border' } = {}) => ({
    kind: 'gradient' as const,
    angle: 90,
    stops: [
      { color: '#aa0000', at: 0 },
      { color: '#0000aa', at: 100 },
    ],
    ...more,
  })
  const boxed = (fills: Props['fills']): Partial<NodeTree> => ({
    kind: 'box',
    name: 'Card',
    props: { borderTop: { width: 4, color: '#00aa00' }, fills },
  })
  const LINE = 'linear-gradient(90deg, #aa0000 0%, #0000aa 100%)'

  test('take the place of its colours; where a browser cannot, it is in those', () => {
    const { css } = handedOff(
      boxed({
        ground: { order: 'a1', kind: 'color', color: '#ffffff' },
        line: { order: 'a2', ...gradient({ in: 'border' }) },
        shade: { order: 'a0', ...gradient() },
      }),
    )
    const card = rules(css, 'card')[0]
    expect(card).toContain(`background-image: ${LINE}, ${LINE}`)
    expect(card).toContain('background-clip: border-area, border-box')
    expect(card).toContain('background-origin: border-box, padding-box')
    expect(card).toContain('background-color: #ffffff')
    expect(card).toContain('border-color: transparent')
    const plain = css.slice(css.indexOf('@supports not (background-clip: border-area)'))
    expect(plain).toContain(`background-image: ${LINE};`)
    expect(plain).toContain('background-clip: border-box;')
    expect(plain).toContain('border-color: #00aa00')
  })
  test('in a browser that cannot each view is as it is, but for that', () => {
    const { css } = handedOff({
      ...boxed({ shade: { order: 'a1', ...gradient() } }),
      overrides: { mobile: { fills: { line: { order: 'a0', ...gradient({ in: 'border' }) } } } },
    })
    const plain = css.slice(css.indexOf('@supports not'))
    expect(plain).toContain(`background-image: ${LINE};`)
    expect(plain).not.toContain('transparent')
    expect(plain).not.toContain('@media')
  })
  test('over a colour alone, that is an image: it would be cut like the border', () => {
    const { css } = handedOff(
      boxed({
        ground: { order: 'a1', kind: 'color', color: '#ffffff' },
        line: { order: 'a0', ...gradient({ in: 'border' }) },
      }),
    )
    expect(rules(css, 'card')[0]).toContain(`${LINE}, linear-gradient(#ffffff, #ffffff)`)
    expect(rules(css, 'card')[0]).not.toContain('background-color')
  })
  test('of a page without any nothing is said', () => {
    expect(handedOff(boxed({ shade: { order: 'a0', ...gradient() } })).css).not.toContain('@supports')
  })
})

describe('words from right to left', () => {
  test('say so, and end where they end', () => {
    const { html, css } = handedOff({ props: { words: said('זרעים באביב'), textAlign: 'right' } })
    expect(html).toContain('<p class="block" dir="rtl">זרעים באביב</p>')
    expect(rules(css, 'block')[0]).toContain('text-align: end')
    expect(css).toContain('noto-sans-hebrew-hebrew-wght-normal.woff2')
  })
  test('other words on a view run their own way; what is said holds for all', () => {
    const block = { props: { words: said('זרעים') }, overrides: { mobile: { words: said('Seeds') } } }
    expect(handedOff(block).html).toMatch(/dir="rtl">זרעים[\s\S]*<p class="opening-block">Seeds/)
    const always = handedOff({ ...block, props: { ...block.props, direction: 'rtl' } })
    expect(always.html.match(/dir="rtl"/g)).toHaveLength(2)
  })
})

describe('tokens', () => {
  const tokens = (file: ProjectFile) => {
    file.tokens = { ...file.tokens, n: { $type: 'number', $value: 40 } }
  }
  test('a number token stands for as many px, on both sides', () => {
    const { css } = handedOff({ props: { paddingTop: '{n}' } }, tokens)
    expect(css).toContain('padding: calc(var(--n) * 1px) 0 0')
  })
  test('a reference to nothing is not handed off', () => {
    const { css } = handedOff({
      props: {
        color: '{color.gone}',
        paddingTop: '{space.gone}',
        fontSize: '{size.gone}',
        type: '{type.gone}',
      },
    })
    expect(css).not.toContain('gone')
    expect(rules(css, 'block')[0]).toContain('font-size: 1rem')
  })
  test('one that is used is not taken away, also when only a span or a view uses it', () => {
    for (const block of [
      { props: { color: '{color.ink}' } },
      { props: { words: said([{ text: 'x', color: '{color.ink}' }]) } },
      { overrides: { mobile: { color: '{color.ink}' } } },
    ] satisfies Partial<NodeTree>[]) {
      const { doc } = handedOff(block)
      const edit = { op: 'token', name: 'color.ink', token: null } as const
      expect(() => applyEdit(doc, edit)).toThrow(
        new EditError('the token color.ink is still used by “Block”'),
      )
      applyEdit(doc, { op: 'remove', node: 'b' })
      expect(() => applyEdit(doc, edit)).not.toThrow()
    }
  })
})

describe('look', () => {
  test('a link within a text can be told from it, one that is the whole text is as designed', () => {
    const words = said([{ text: 'Ask ' }, { text: 'the desk', link: '#desk' }])
    const { html, css } = handedOff({ props: { words } })
    expect(html).toContain('Ask <a class="is-link">the desk</a>')
    expect(css).toContain('.is-link {\n  text-decoration: underline;\n}')
    const inked = handedOff({
      props: { words: said([{ text: 'desk', link: '#counter', color: '#aa0000', weight: 700 }]) },
    })
    expect(inked.html).toContain('<a class="is-link is-ink-aa0000"><strong>desk</strong></a>')
    const whole = handedOff({ props: { words, tag: 'a', link: '#desk' } })
    expect(whole.html).not.toContain('class="is-link"')
  })
  test('a border without a colour has that of the words: CSS says so by itself', () => {
    const { css } = handedOff({ props: { borderTop: { width: 2 }, color: '#aa0000' } })
    const [declared] = rules(css, 'block')
    expect(declared).toContain('border-width: 2px 0 0')
    expect(declared).not.toContain('border-color')
    expect(declared).not.toContain('border-style')
  })
  test('a line height in px is a length, not a share', () => {
    const { css } = handedOff({ props: { fontSize: 44, lineHeight: { px: 48 } } })
    expect(rules(css, 'block')[0]).toContain('line-height: 3rem')
  })
})
