/** Balanced, pretty and justified lines that once differed, shrunk. */
import type { ProjectFile } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import { project, px, text } from './pieces'

/** Texts of these sizes and widths, px. */
const each = (props: Props, texts: readonly (readonly [words: string, fontSize: number, width: number])[]) =>
  texts.map(([words, fontSize, width]) => text(words, { ...props, fontSize, width: px(width) }))

/** By name: the rule, and the smallest document that needs it. */
export const BALANCE_CASES: Record<string, ProjectFile> = {
  'text: balanced, three words are as narrow as can be, the last is not alone, hyphens are seldom (CSS Text 4 §6.4.3)':
    project(
      ...each({ fontFamily: 'Work Sans', textWrap: 'balance' }, [
        ['returning a borrow', 28, 151],
        ['catalogue of packet', 40, 264],
        ['in the catalogue borrow', 40, 381],
        ['a a harvest returning', 20, 188],
        ['lend\u00ading of cat\u00ada\u00adlogue in work\u00adshop', 16, 116],
        ['har\u00advest the of glass\u00adhouse', 40, 172],
        ['work\u00adshop of cat\u00ada\u00adlogue work\u00adshop leaf har\u00advest the', 20, 123],
        ['packet in lend\u00ading un\u00adder\u00adneath', 16, 79],
      ]),
    ),
  'text: a pretty end with parts of a long last word in its lines, and one given up for a word too long':
    project(
      ...[150, 207, 246].map((width) =>
        text(
          'autumn autumn seed garden catalogue Donaudampfschifffahrtsgesellschaft seedlibraryborrowingregulations',
          { fontFamily: 'Newsreader', hyphens: 'auto', textWrap: 'pretty', width: px(width) },
        ),
      ),
      ...[116, 140].map((width) =>
        text('leaf Donaudampfschifffahrtsgesellschaft seed packet the spring of harvest in a leaf', {
          textWrap: 'pretty',
          width: px(width),
        }),
      ),
    ),
  'text: hyphens cost less in balanced and pretty lines that are justified': project(
    ...(['left', 'center', 'right', 'justify'] as const).flatMap((textAlign) =>
      (['balance', 'pretty'] as const).flatMap((textWrap) =>
        [305, 362, 470, 560].map((width) =>
          text(
            'meadow moon; spring a of 10-2 catalogue of leaf (early) leaf underneath a borrow of germination',
            {
              fontFamily: 'Fira Code',
              fontSize: 20,
              hyphens: 'auto',
              textAlign,
              textWrap,
              width: px(width),
            },
          ),
        ),
      ),
    ),
  ),
  'text: balanced lines are as long as they are shaped by themselves: letters that a space draws near':
    project(
      ...[346, 352, 356].map((width) =>
        text(
          'the a returning lending packet in glasshouse catalogue catalogue spring spring catalogue leaf in the returning spring borrow the a of seed leaf underneath borrow workshop harvest of',
          { fontFamily: 'Work Sans', textWrap: 'balance', width: px(width) },
        ),
      ),
      text(
        'seed packet lending of in glasshouse glasshouse in workshop spring in packet harvest workshop workshop in',
        {
          fontFamily: 'Work Sans',
          fontSize: 12,
          textWrap: 'balance',
          width: px(174),
        },
      ),
    ),
  'text: justified lines end as they are shaped by themselves, without the space that draws a letter near (Chromium)':
    project(
      ...(['wrap', 'balance', 'pretty'] as const).flatMap((textWrap) => [
        text(
          'workshop germination a borrow underneath of the germination in seed the of underneath of spring harvest returning germination catalogue packet in leaf harvest of leaf of underneath underneath',
          { fontFamily: 'Work Sans', fontSize: 12, textAlign: 'justify', textWrap, width: px(169) },
        ),
        text(
          'germination harvest harvest of leaf returning leaf workshop catalogue of glasshouse underneath harvest',
          { fontFamily: 'Work Sans', fontSize: 20, textAlign: 'justify', textWrap, width: px(301) },
        ),
      ]),
    ),
  'text: of balanced ways as good as one another the one that Chromium comes to, where all characters are as wide':
    project(
      ...[157.453125, 163.328125, 275.6875, 287.4375, 334.4375].map((width) =>
        text('图书馆出借古老蔬菜品种的种子。春天带走一包，秋天归还一把收获的种子。', {
          fontFamily: 'Work Sans',
          fontSize: 24,
          fontWeight: 600,
          lang: 'zh-Hans',
          textWrap: 'balance',
          width: px(width),
        }),
      ),
    ),
  'text: beside a line that fits by the space behind it alone, all others are as good as one another (Chromium)':
    project(
      ...(['pretty', 'balance'] as const).flatMap((textWrap) =>
        [99.15625, 99.375, 101].map((width) =>
          text('SELLSCHAFT IN GIỐNG POD IN TO HẠT', {
            fontFamily: 'Manrope',
            fontSize: 16,
            fontWeight: 700,
            textWrap,
            width: px(width),
          }),
        ),
      ),
    ),
  'text: balanced, a line that sticks out is filled, and the next ends where that was to (Chromium)': project(
    ...[232, 232.5].map((width) =>
      text('peas tool_box 51837 ￥450 spring tall', {
        fontFamily: 'Work Sans',
        fontSize: 56,
        textWrap: 'balance',
        width: px(width),
      }),
    ),
  ),
  'text: balanced and pretty to the layout unit: the first line’s room, an end shaped again, a line chosen that has none, a short last word (Chromium)':
    project(
      ...each({ fontFamily: 'Inter Tight', fontWeight: 500, textWrap: 'balance' }, [
        ['thu return, gardener キャベツ、12袋', 40, 351.734375],
        ['thu return, gardener キャベツ、12袋', 40, 351.75],
        ['thu return, gardener キャベツ、12袋', 40, 351.765625],
      ]),
      ...each({ fontFamily: 'Manrope', textWrap: 'balance' }, [
        ['half harvest row wellkept return leaf tall lending leaf WAVE gardener tall', 25, 221.1875],
        ['half harvest row wellkept return leaf tall lending leaf WAVE gardener tall', 25, 221.203125],
        ['half harvest row wellkept return leaf tall lending leaf WAVE gardener tall', 25, 221.21875],
      ]),
      ...each({ fontFamily: 'Manrope', fontWeight: 700, textWrap: 'pretty' }, [
        ['IN GIOONG POD IN TO HAT', 16, 93.046875],
        ['IN GIOONG POD IN TO HAT', 16, 93.078125],
        ['IN GIOONG POD IN TO HAT', 16, 93.09375],
        ['SELLSCHAFT IN GIOONG POD IN TO HAT', 16, 99.625],
      ]),
    ),
  'text: no pretty end where a word is cut (Chromium)': project(
    ...[140, 200, 300].map((width) =>
      text(
        'Donaudampfschifffahrtsgesellschaft tall garden 52928 seed in the gardener spring glasshouse of workshop and packet returning, the meadow underneath a tall sunflower in seed',
        {
          fontFamily: 'Work Sans',
          fontSize: 20,
          overflowWrap: 'anywhere',
          textWrap: 'pretty',
          width: px(width),
        },
      ),
    ),
  ),
  'text: East Asian characters are balanced: the shorter line first where all are as wide, and a wide space counts in its line':
    project(
      ...[13, 21, 28, 46, 59].map((many) =>
        text('図'.repeat(many), { fontSize: 12, width: px(145), textWrap: 'balance' }),
      ),
      ...[25, 49, 61].map((many) =>
        text('図'.repeat(many), { fontSize: 12, width: px(145), textWrap: 'pretty' }),
      ),
      ...[
        ['豆と　トマト！ leaf φύλλα,', 'Fraunces', 120],
        ['pod 豆と　トマト！ 3.5', 'Unbounded', 134],
        ['借りた、「温室」￥450袋￥450カタログカタログ', 'Work Sans', 241],
      ].map(([words, fontFamily, width]) =>
        text(String(words), {
          fontFamily: String(fontFamily),
          width: px(Number(width)),
          textWrap: 'balance',
        }),
      ),
    ),
  'text: balanced into no more lines than it is filled into; of one that is cut off the lines that are shown':
    project(
      text(
        'of seed un\u00adder\u00adneath the in bor\u00adrow un\u00adder\u00adneath of seed a spring glass\u00adhouse a lend\u00ading',
        {
          fontFamily: 'Urbanist',
          fontSize: 40,
          width: px(276),
          textWrap: 'balance',
        },
      ),
      ...[2, 3].map((maxLines) =>
        text(
          'packet underneath germination a seed packet packet returning in borrow spring packet underneath harvest seed the a a the spring workshop the',
          { fontFamily: 'Urbanist', fontSize: 40, width: px(629), textWrap: 'balance', maxLines },
        ),
      ),
    ),
  'text: pretty, a short last word gets company, each forced part by itself, and hyphens do not pile up (CSS Text 4 §6.4.3)':
    project(
      ...each({ fontFamily: 'Work Sans', textWrap: 'pretty' }, [
        ['lending seed spring glasshouse catalogue catalogue in', 12, 130],
        [
          'packet of the seed and a leaf of spring in the workshop harvest\nseed the packet leaf packet leaf in a seed of',
          20,
          353,
        ],
        [
          'packet a spring borrow cat\u00ada\u00adlogue lend\u00ading seed spring the lend\u00ading bor\u00adrow glass\u00adhouse un\u00adder\u00adneath packet glass\u00adhouse un\u00adder\u00adneath lend\u00ading leaf',
          20,
          393,
        ],
        [
          're\u00adturn\u00ading the seed packet spring un\u00adder\u00adneath in cat\u00ada\u00adlogue seed of work\u00adshop bor\u00adrow work\u00adshop un\u00adder\u00adneath',
          40,
          348,
        ],
      ]),
    ),
  'text: what is held against a hyphen is of the text’s size, not of that of the words in it (Chromium)':
    project(
      ...(['balance', 'pretty'] as const).flatMap((textWrap) =>
        [97, 144, 210, 260].map((width) =>
          text(
            [
              { text: 'har\u00advest the ' },
              {
                text: 'un\u00adder\u00adneath leaf of glass\u00adhouse bor\u00adrow lend\u00ading',
                size: 1.5,
              },
            ],
            { fontFamily: 'Work Sans', fontSize: 12, textWrap, width: px(width) },
          ),
        ),
      ),
    ),
}
