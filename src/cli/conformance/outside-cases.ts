/** What parted on pages that others made, shrunk. */
import type { ProjectFile } from '../../core/document/schema'
import { TAGS } from '../../core/properties/kinds'
import { list, paragraph } from '../../core/words/words'
import { box, inTwoViews, node, project, px, snug, stretch, text } from './pieces'

const svh = (share: number) => ({ kind: 'svh', percent: share }) as const
const columns = (span: number) => ({ kind: 'columns', span }) as const

/** Every element that a text may be, beside a picture of what the browser's own sheet makes of it. */
const everyTag = (kind: 'box' | 'text') =>
  project(
    ...TAGS.map((tag) =>
      kind === 'text'
        ? text(`${tag} of seed`, { tag, width: snug })
        : box({ flow: 'row', tag, width: snug }, text(tag), box({ width: px(20), height: px(10) })),
    ),
  )

const wideGutters = inTwoViews(
  box({ width: columns(3), height: px(20) }, box({ width: columns(1), height: px(20) })),
)
wideGutters.views[1]!.lattice = { ...wideGutters.views[1]!.lattice, columns: 12, gutter: 40, margin: 16 }

/** By name: the rule, and the smallest document that needs it. */
export const OUTSIDE_CASES: Record<string, ProjectFile> = {
  'picture: a snug width follows a height in svh by its ratio': project(
    box(
      { flow: 'row', width: snug },
      node('picture', { width: snug, height: svh(20) }),
      node('picture', { width: snug, height: svh(12.5), ratio: 0.8 }),
    ),
  ),
  'text: no element is set otherwise than it says (the browser’s own style sheet)': everyTag('text'),
  'box: no element is laid out otherwise than it says (the browser’s own style sheet)': everyTag('box'),
  'text: capitals at the beginning of words, words by UAX #29, across spans (CSS Text 3 §2.1)': project(
    text("don't sow/harvest well-kept a.b re:x (early) “beans” 3d o’clock", {
      textCase: 'capitalize',
      width: px(150),
    }),
    text([{ text: 'so' }, { text: 'wing', weight: 700 }, { text: ' and' }, { text: '/or', italic: true }], {
      textCase: 'capitalize',
      width: snug,
    }),
  ),
  'columns: gutters wider than the container leave columns of no width': wideGutters,
  'row: what is one layout unit too wide wraps (Flexbox 1 §9.3)': project(
    box(
      { flow: 'row', wrap: true, width: px(100) },
      box({ width: px(50.015625), height: px(10) }),
      box({ width: px(50), height: px(10) }),
    ),
    box(
      { flow: 'row', wrap: true, width: px(100), rowGap: 0.01 },
      box({ width: px(50), height: px(10) }),
      box({ width: px(50), height: px(10) }),
    ),
  ),
  'text: paragraphs and lists stand under each other, empty ones are lines (CSS Lists 3, Flexbox 1)': project(
    node('text', {
      width: px(180),
      words: [
        paragraph([{ text: 'Bring what you have saved of last year’s harvest' }]),
        paragraph([]),
        list('numbers', ['a jar', 'a label with the year on it, and the name', '']),
        list('bullets', [
          {
            type: 'item',
            content: [paragraph([{ text: 'peas' }]), list('bullets', ['tall ones', 'small ones'])],
          },
        ]),
      ],
    }),
    box(
      { flow: 'row', width: px(300) },
      node('text', { width: snug, fontSize: 15.5, words: [list('numbers', ['one', 'two words'])] }),
      node('text', {
        width: stretch(),
        paragraphGap: 1.3,
        words: [paragraph([{ text: 'a' }]), paragraph([{ text: 'b' }])],
      }),
    ),
  ),
  'text: in a heading or a label paragraphs are lines': project(
    node('text', { tag: 'h2', words: [paragraph([{ text: 'Borrow' }]), list('bullets', ['and return'])] }),
    node('button', { words: [paragraph([{ text: 'Borrow' }]), paragraph([{ text: 'now' }])], width: snug }),
  ),
  'text: what the family has not stands in: arrows, ticks, fractions, maths, spaces, emoji': project(
    ...[
      '→ ← ↗ ⇒ Read more →',
      '✓ ✗ ★ ☆ ■ ● ◆ ♥ ☎ ⚠',
      '⅓ ⅔ ⅛ ⁴ ⁵ ₂ ℃ № ℗',
      '≈ ≤ ≥ ≠ ∞ ∑ √ −',
      'well\u2010kept 10\u20112 a\u2009b c\u2003d ―',
      '🌱 😀 👍 🎉 a🌱b',
      '❤️ ☀️ ✔️',
      '1️⃣ 👍🏽 🇬🇧 👩‍🌾',
    ].flatMap((words) => [
      text(words, { width: snug }),
      text(words, {
        fontFamily: 'Fraunces',
        fontWeight: 700,
        italic: true,
        fontSize: 22.4,
        lineHeight: 'normal',
        width: px(90),
      }),
    ]),
  ),
  'text: what is emphasised around code counts on the line in its own font (CSS Inline 3 §5)': project(
    ...(['Hanken Grotesk', 'Literata', 'Fraunces'] as const).map((fontFamily) =>
      text(
        [
          { text: 'return, ' },
          { text: 'moon 1234 weeks', weight: 700, italic: true, code: true },
          { text: ' or ' },
          { text: 'more', weight: 600, size: 1.5, link: 'https://seeds.test/', code: true },
        ],
        { fontFamily, fontSize: 14, lineHeight: { px: 31 }, letterSpacing: 2, width: px(140) },
      ),
    ),
  ),
  'text: code, size and case of a part': project(
    text(
      [
        { text: 'Ask for ' },
        { text: 'packet 12', code: true },
        { text: ' or ' },
        { text: 'all of them', case: 'uppercase', size: 0.8, weight: 500 },
        { text: ' of this year', underline: true, strike: true },
      ],
      { width: px(170), lineHeight: { ratio: 1.4 } },
    ),
  ),
}
