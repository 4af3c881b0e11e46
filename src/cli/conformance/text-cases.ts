/** Texts that once differed, shrunk. */
import type { ProjectFile } from '../../core/document/schema'
import { box, project, px, snug, stretch, text } from './pieces'

const LONG =
  'What is lent in the spring comes back in the autumn as seed that is saved for whoever sows next year.'

/** By name: the rule, and the smallest document that needs it. */
export const TEXT_CASES: Record<string, ProjectFile> = {
  'text: kerning that varies with the weight is not whole font units (OpenType GPOS, variation index)':
    project(
      text('“beans” (early) are Taken Away, Very well', {
        fontFamily: 'Work Sans',
        fontSize: 20,
        fontWeight: 500,
        width: snug,
      }),
    ),
  'text: a font size is kept to 1/100 px, advances to 1/64 (Chromium)': project(
    text('harvest festival of the small seeds in autumn', { fontSize: 22.4, width: snug }),
    text('harvest festival of the small seeds in autumn', { fontSize: 16.8, width: snug }),
  ),
  'text: each element on a line takes whole layout units (Chromium)': project(
    text(
      [
        { text: 'workshop! row', weight: 600, size: 1.5 },
        { text: 'borrow pod spring autumn', size: 0.75 },
      ],
      {
        fontFamily: 'Fraunces',
        fontSize: 17,
        width: px(161.25),
      },
    ),
  ),
  'text: lines that are too many are cut off where there is one paragraph, and its least width is no word’s (CSS Overflow 4 §5)':
    project(
      text(LONG, { width: px(200), maxLines: 2, paddingTop: 8, paddingBottom: 20 }),
      text(LONG, { tag: 'h2', width: px(200), maxLines: 1, textAlign: 'center' }),
      text(`${LONG}\n${LONG}`, { width: px(240), maxLines: 5, minHeight: 200 }),
      text(LONG, { width: px(200), maxLines: 3, maxHeight: 40 }),
      text(LONG, { width: px(40), maxLines: 2 }),
      text(LONG, { width: snug, maxLines: 90 }),
    ),
  'text: words are set apart by spaces, those that do not break too, and not at a line’s end (CSS Text 3 §8.1)':
    project(
      text('a\u00a0jar for each kind, and the year', { wordSpacing: 7.5, width: px(150) }),
      text('a\u00a0jar for each kind, and the year', { wordSpacing: -2.25, letterSpacing: 1, width: snug }),
    ),
  'text: balanced, three words are as narrow as can be, the last is not alone, hyphens are seldom (CSS Text 4 §6.4.3)':
    project(
      ...[
        ['returning a borrow', 28, 151],
        ['catalogue of packet', 40, 264],
        ['in the catalogue borrow', 40, 381],
        ['a a harvest returning', 20, 188],
        ['lend\u00ading of cat\u00ada\u00adlogue in work\u00adshop', 16, 116],
        ['har\u00advest the of glass\u00adhouse', 40, 172],
        ['work\u00adshop of cat\u00ada\u00adlogue work\u00adshop leaf har\u00advest the', 20, 123],
        ['packet in lend\u00ading un\u00adder\u00adneath', 16, 79],
      ].map(([words, fontSize, width]) =>
        text(String(words), {
          fontFamily: 'Work Sans',
          fontSize: Number(fontSize),
          width: px(Number(width)),
          textWrap: 'balance',
        }),
      ),
    ),
  'text: East Asian characters break between one another, small kana too, and wide spaces hang (UAX #14, CSS Text 3 §4.1.3)':
    project(
      text('図書館から借りた種子は、秋に返す。「温室」のキャベツ12袋（予約）100％￥450です。', {
        width: px(150),
      }),
      text('借出的种子（豆）和图书馆的目录，秋天归还。2026年11月。', {
        width: px(130),
        letterSpacing: 1,
        lang: 'zh',
      }),
      text('도서관에서 빌린 씨앗은 가을에 돌려줍니다. 豆と　トマト！', { width: px(120) }),
      text('豆　と　ト　マ　ト　と　ニンジン', { width: snug, maxWidth: 90 }),
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
  'text: hyphens cost less in balanced and pretty lines that are set in the middle or at the end': project(
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
  'text: signs, quotes and hyphens beside East Asian characters (UAX #14, LB19 to LB30)': project(
    ...[
      'sown→「温室」©（豆）',
      '’ゃ”ァ»ー',
      '+ー −ァ ￥ゃ',
      'ゃ% ァ° ー％',
      '、−5 」±5 )¢ ]№',
      '−(a) ±[b] ¢(c)',
      '– → –種 ‐½ –안',
      '種”種“種 a”種“a',
      '1/€ 1,€ x/€',
      '￥「1 ￥「x £(1',
    ].map((words) => text(words, { width: px(1) })),
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
  'text: words from right to left, both ways in a line, lists of them, joined letters that are not set apart (UAX #9, CSS Text 4 §9.2.1)':
    project(
      text('זרעים שנשאלו באביב (12 חבילות) חוזרים בסתיו: seed library, בית־ספר לגינון.', { width: px(180) }),
      text('بذور الربيع تعود في الخريف، ١٢ كيسًا من seed library «القديمة» لمن يزرع؟', {
        width: px(200),
        letterSpacing: 1.5,
        textAlign: 'right',
      }),
      text('Lent in spring بذور الربيع تعود 1,250 and back', { width: px(160), letterSpacing: -0.5 }),
      text('What is lent in the spring', { direction: 'rtl', width: px(120), textWrap: 'balance' }),
      text('בית־ספר בית־12 בית־seed', { width: px(70), spaceBefore: 12 }),
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
      ...[
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
      ].map(([words, fontSize, width]) =>
        text(String(words), {
          fontFamily: 'Work Sans',
          fontSize: Number(fontSize),
          width: px(Number(width)),
          textWrap: 'pretty',
        }),
      ),
    ),
  'text: lines are as high as their largest span (CSS Inline 3 §5)': project(
    text([{ text: 'small ' }, { text: 'large', size: 2 }, { text: ' small again and again and again' }], {
      width: px(180),
      lineHeight: { ratio: 1.2 },
    }),
  ),
  'text: line-height normal asks the font, and the fonts that stand in (CSS Inline 3 §5.3)': project(
    text('весной kính tall borrow', {
      fontFamily: 'Outfit',
      fontSize: 40,
      lineHeight: 'normal',
      width: px(240),
    }),
  ),
  'text: a soft hyphen needs room for its hyphen (CSS Text 3 §5.4)': project(
    text('in un\u00adder\u2013sown one\u00b7two', { fontFamily: 'Figtree', fontSize: 56, width: px(137.5) }),
  ),
  'text: no break between a no-break space and its neighbours (UAX #14 LB12)': project(
    text('sow 12\u00a0g in row\u00a03', { width: px(60) }),
  ),
  'text: no break behind “!” or “/” before a letter (Chromium’s table for ASCII)': project(
    text('spring/summer workshop!borrow why?not well-kept 10-12', { width: px(50) }),
  ),
  'text: overflow-wrap anywhere counts single letters for the min-content (CSS Text 3 §5.5)': project(
    box(
      { flow: 'row', width: px(10) },
      text('seedlibraryborrowing', { overflowWrap: 'anywhere', width: stretch() }),
    ),
  ),
  'text: an upright span in slanted text is upright': project(
    text([{ text: 'slanted ' }, { text: 'upright', italic: false }], {
      italic: true,
      fontFamily: 'Literata',
      width: snug,
    }),
  ),
  'text: a closing bracket is of the script of the one it closes (UAX #24 §5.1)': project(
    text('one\u00b7two Łódź συγκομιδή (early) glasshouse', {
      fontFamily: 'Work Sans',
      fontSize: 16,
      italic: true,
      width: snug,
    }),
    text([{ text: 'Σπόροι 3.5 ' }, { text: '(early) Đậu', size: 2 }], {
      fontFamily: 'Bricolage Grotesque',
      fontSize: 20,
      width: snug,
    }),
  ),
  'text: a line-height without a unit is of the size in whole layout units (Chromium)': project(
    text('seed '.repeat(60), { fontSize: 22.4, lineHeight: { ratio: 1.5 }, width: px(40) }),
  ),
  'text: in a box with borders the end of a line is measured by itself (Chromium)': project(
    text('3.5 1,250 of 1234567890123456789012345 row Donaudampfschifffahrtsgesellschaft', {
      fontFamily: 'Newsreader',
      fontSize: 15.5,
      fontWeight: 500,
      width: px(350),
      borderLeft: { width: 3 },
      borderRight: { width: 3 },
    }),
    text('3.5 1,250 of 1234567890123456789012345 row Donaudampfschifffahrtsgesellschaft', {
      fontFamily: 'Newsreader',
      fontSize: 15.5,
      fontWeight: 500,
      width: px(344),
    }),
  ),
  'text: a line that begins in contextual letters has room for what it is by itself (Chromium)': project(
    text('spring façade kính pod… über 50% vườn well-kept Žlutý pod…', {
      fontFamily: 'Caveat',
      fontSize: 14,
      textCase: 'uppercase',
      width: px(97.5),
    }),
  ),
  'text: kerning reaches across a link and a zero-width space': project(
    text([{ text: 'AV' }, { text: 'AVAT', link: 'https://seeds.test/' }, { text: 'AVAWA' }], {
      fontFamily: 'Work Sans',
      fontSize: 40,
      width: snug,
    }),
    text('A\u200bV\u200bA\u200bT', { fontFamily: 'Work Sans', fontSize: 40, width: snug }),
  ),
  'text: a hyphen need not fit beside what a line leaves for it, only beside the line (CSS Text 3 §5.4.1, Chromium)':
    project(
      text('the harvest ger\u00admi\u00adna\u00adtion', {
        fontFamily: 'Bricolage Grotesque',
        fontSize: 16,
        lineHeight: { ratio: 1.5 },
        width: px(66.75),
      }),
    ),
}
