/** Random texts: words of several languages, hyphens and slashes, spans, forced breaks. */

import fc from 'fast-check'
import type { Props } from '../properties/table'
import { FAMILIES } from '../text/families'
import { type Item, list, OBJECT, paragraph, plainText, type Span, said, type Words } from '../words/words'
import type { Feature } from './features'

const PLAIN = (
  'seed leaf pod packet glasshouse autumn harvest gardener heirloom a of to in the borrow return, spring row peas “beans” tall ' +
  'meadow sow. moon; 12 1,250 3.5 50% (early) late: catalogue workshop! why? it’s'
).split(' ')
const JOINED = (
  'lantern-ridge re-sow well-kept spring/summer and/or 10-12 2026-11-25 sow–harvest beds—rows pod… a/b https://seeds.test/late/peas ' +
  'tool_box one·two ½-inch £4.50 #7 seed@test.test 3×4'
)
  .split(' ')
  .concat([
    '12\u00a0g',
    'row\u00a03',
    'glass\u00adhouse',
    'ger\u00admi\u00adna\u00adtion',
    'a\u200bb',
    'un\u00adder–sown',
  ])
const LANGUAGES = (
  'Ærø naïve façade sēklas Tāne Łódź über Žlutý kůň Σπόροι και φύλλα, συγκομιδή του κήπου Семена и листья, урожай сада — весной ' +
  'Hạt giống và lá, mùa thu hoạch vườn nhà kính Đậu cũ → ✓ ★★★ ⅓ 10⁴ ≈ ≤5 ∞ ■ 10\u20112 well\u2010kept 🌱 ❤️'
).split(' ')
/** Words that run from right to left, figures and signs among them. */
const LEFTWARD = (
  'זרעים וגבעולים, אוסף הגן (הישן) אביב 12 1,250 שָׁלוֹם: בית־ספר! ' +
  'بذور وأوراق، حصاد الحديقة في الربيع ٣٫٥ ١٢ مَكْتَبَة؟ كتاب «قديم» می\u200cخواهم'
).split(' ')
/** Words without spaces, with small kana, wide signs and spaces. */
const EAST_ASIAN = (
  '種子 図書館から 借りた、秋に返す。 「温室」 カタログ キャベツ、12袋 豆と　トマト！ 图书馆 借出的种子 씨앗 도서관에서 （予約） ' +
  '2026年11月 100％ ￥450'
).split(' ')
const LONG = [
  'Donaudampfschifffahrtsgesellschaft',
  'seedlibraryborrowingregulations',
  '1234567890123456789012345',
]

const NAMES = FAMILIES.map(({ family }) => family)

const clean = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, each]) => each !== undefined)) as T
const optional = <T>(value: fc.Arbitrary<T>, weight = 1, skip = 3) =>
  fc.oneof({ weight: skip, arbitrary: fc.constant(undefined) }, { weight, arbitrary: value })

function word(features: ReadonlySet<Feature>): fc.Arbitrary<string> {
  const options = [{ weight: 6, arbitrary: fc.constantFrom(...PLAIN) }]
  if (features.has('setting')) options.push({ weight: 1, arbitrary: fc.nat(99_999).map((n) => `${n}`) })
  if (features.has('breaks'))
    options.push(
      { weight: 2, arbitrary: fc.constantFrom(...JOINED) },
      { weight: 1, arbitrary: fc.constantFrom(...LONG) },
    )
  if (features.has('languages'))
    options.push(
      { weight: 3, arbitrary: fc.constantFrom(...LANGUAGES) },
      { weight: 1, arbitrary: fc.constantFrom(...LEFTWARD) },
      { weight: 1, arbitrary: fc.constantFrom(...EAST_ASIAN) },
    )
  return fc.oneof(...options)
}

const sentence = (features: ReadonlySet<Feature>, most: number) =>
  fc.array(word(features), { minLength: 1, maxLength: most }).map((list) => list.join(' '))

/** How a whole text is set. */
export function type(features: ReadonlySet<Feature>): fc.Arbitrary<Props> {
  return fc
    .record({
      fontFamily: fc.constantFrom(...NAMES),
      fontSize: fc.constantFrom(12, 14, 16, 17, 20, 28, 40, 56, 15.5, 22.4),
      fontWeight: fc.constantFrom(400, 400, 500, 700),
      italic: optional(fc.constant(true), 1, 6),
      lineHeight: fc.oneof(
        fc.constantFrom(1, 1.2, 1.5, 1.55).map((ratio) => ({ ratio })),
        fc.constantFrom(24, 31).map((px) => ({ px })),
        fc.constant('normal' as const),
      ),
      letterSpacing: optional(fc.constantFrom(-0.5, 0.25, 1, 2), 1, 4),
      wordSpacing: features.has('setting')
        ? optional(fc.constantFrom(-1.5, 0.75, 3, 8), 1, 5)
        : fc.constant(undefined),
      textAlign: optional(
        fc.constantFrom('center', 'right', ...(features.has('setting') ? ['justify'] : [])) as fc.Arbitrary<
          Props['textAlign']
        >,
      ),
      textWrap: features.has('setting')
        ? optional(fc.constantFrom('balance' as const, 'pretty' as const, 'nowrap' as const), 1, 6)
        : fc.constant(undefined),
      maxLines: features.has('clamp') ? optional(fc.constantFrom(1, 2, 3, 5), 1, 4) : fc.constant(undefined),
      figures: features.has('setting')
        ? optional(
            fc.constantFrom('tabular', 'oldstyle', 'tabular-oldstyle') as fc.Arbitrary<Props['figures']>,
            1,
            3,
          )
        : fc.constant(undefined),
      features: features.has('setting')
        ? optional(fc.constantFrom('frac', 'lnum pnum', 'zero', 'smcp', 'dlig', 'liga', 'ss01 case'), 1, 4)
        : fc.constant(undefined),
      axes: features.has('setting')
        ? optional(fc.constantFrom('wdth 75', 'wdth 62.5', 'wdth 110'), 1, 3)
        : fc.constant(undefined),
      lang: features.has('languages')
        ? optional(
            fc.constantFrom('tr', 'az-Latn', 'lt', 'el', 'nl', 'ro', 'sr', 'pl', 'de', 'ar', 'he', 'fa'),
            1,
            4,
          )
        : fc.constant(undefined),
      direction: features.has('languages')
        ? optional(fc.constantFrom('ltr' as const, 'rtl' as const), 1, 8)
        : fc.constant(undefined),
      hyphens: features.has('breaks') ? optional(fc.constant('auto' as const), 1, 3) : fc.constant(undefined),
      textCase: optional(
        fc.constantFrom('uppercase', 'lowercase', 'capitalize') as fc.Arbitrary<Props['textCase']>,
        1,
        6,
      ),
      overflowWrap: features.has('breaks')
        ? optional(fc.constant('anywhere' as const), 1, 3)
        : fc.constant(undefined),
    })
    .map(clean)
}

/** Letters that are joined are cut otherwise by the browser where a word breaks anywhere: docs/measured.md says so. */
export function uncutWhereJoined({ overflowWrap, ...style }: Props, words: Words): Props {
  const isJoined = /\p{Script=Arabic}/u.test(plainText(words))
  return isJoined || overflowWrap === undefined ? style : { ...style, overflowWrap }
}

const ARROW = { name: 'arrow-right', data: 'M20 50L80 50M50 20L80 50L50 80', line: 8 }

/** An icon before or behind words, with or without a space between. */
const icon = () => fc.tuple(fc.boolean(), fc.constantFrom('', ' ', '\u00a0'))

function withIcon(span: Span, drawn: [before: boolean, apart: string] | undefined): Span[] {
  if (!drawn) return [span]
  const [before, apart] = drawn
  const { text, ...look } = span
  const own = { ...look, text: OBJECT, icon: ARROW }
  return before ? [own, { ...span, text: apart + text }] : [{ ...span, text: text + apart }, own]
}

/** Stretches of one paragraph. */
function spans(features: ReadonlySet<Feature>): fc.Arbitrary<Span[]> {
  const some = (most: number) => sentence(features, most)
  const options: { weight: number; arbitrary: fc.Arbitrary<Span[]> }[] = [
    { weight: 4, arbitrary: some(24).map((text) => [{ text }]) },
    { weight: 1, arbitrary: fc.tuple(some(6), some(6)).map(([a, b]) => [{ text: `${a}\n${b}` }]) },
  ]
  if (features.has('spans')) {
    const look = fc
      .record({
        weight: optional(fc.constantFrom(300, 600, 700), 1, 1),
        italic: optional(fc.boolean(), 1, 1),
        size: optional(fc.constantFrom(0.75, 1.25, 1.5, 2), 1, 1),
        link: optional(fc.constant('https://seeds.test/'), 1, 3),
        case: optional(fc.constantFrom('uppercase', 'capitalize', 'none'), 1, 8),
        code: optional(fc.constant(true), 1, 8),
        script: optional(fc.constantFrom('sup' as const, 'sub' as const), 1, 6),
        underline: optional(fc.constant(true), 1, 8),
      })
      .map(clean)
    options.push({
      weight: 3,
      arbitrary: fc
        .array(fc.tuple(some(6), look, fc.constantFrom(' ', ' ', '', '\n'), optional(icon(), 1, 4)), {
          minLength: 2,
          maxLength: 5,
        })
        .map((list) =>
          list.flatMap(([text, own, after, drawn]) => withIcon({ ...own, text: text + after }, drawn)),
        ),
    })
  }
  return fc.oneof(...options)
}

const item = (text: string): Item => ({ type: 'item', content: [paragraph([{ text }])] })

/** What a text says. */
export function words(features: ReadonlySet<Feature>): fc.Arbitrary<Words> {
  const one = spans(features).map(said)
  if (!features.has('paragraphs')) return one
  const text = sentence(features, 12)
  const items = fc.array(text, { minLength: 1, maxLength: 4 })
  const nested = fc
    .tuple(items, items)
    .map(([outer, inner]) => [
      ...outer.map(item),
      { ...item('Under it'), content: [...item('Under it').content, list('bullets', inner)] } as Item,
    ])
  const block = fc.oneof(
    spans(features).map(paragraph),
    fc
      .tuple(fc.constantFrom('bullets', 'numbers'), fc.oneof(items, nested))
      .map(([type, own]) => list(type, own)),
  )
  const several = fc.array(block, { minLength: 1, maxLength: 4 })
  return fc.oneof({ weight: 2, arbitrary: one }, { weight: 1, arbitrary: several })
}
