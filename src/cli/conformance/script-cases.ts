/** Words in other scripts than Latin, and in several, that once differed, shrunk. */
import type { ProjectFile } from '../../core/document/schema'
import { project, px, snug, text } from './pieces'

/** By name: the rule, and the smallest document that needs it. */
export const SCRIPT_CASES: Record<string, ProjectFile> = {
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
  'text: brackets behind what only East Asian scripts share are not kerned with Latin letters (UAX #24, script extensions)':
    project(
      ...['・ (Te)', '「(Te)', 'abc、(Te)', 'カ ー(Te)', '한 (Te)・(Te)', '〒〆(Te) ！(Te)'].map((words) =>
        text(words, { fontFamily: 'Work Sans', fontSize: 18, width: snug }),
      ),
    ),
  'text: an end that is shaped again fits behind a place that is cut up to layout units (Chromium)': project(
    ...[16, 20, 24].map((fontSize) =>
      text('の種を貸し出しています', { fontSize, lang: 'ja', width: px(fontSize * 7) }),
    ),
  ),
  'text: contextual alternates are not used among Hangul (HarfBuzz)': project(
    ...(['서 2026-11', '서 ->6- ==', '春 2026-11'] as const).flatMap((words) =>
      ['normal', 'calt'].map((features) =>
        text(words, { fontFamily: 'Plus Jakarta Sans', features, width: snug }),
      ),
    ),
  ),
  'text: a letter with a mark is drawn by the file that has both, though it claims not the two as one (HarfBuzz; UAX #15)':
    project(
      ...['Literata', 'Hanken Grotesk', 'Work Sans'].flatMap((fontFamily) =>
        ['sēklas kē', 'Tāne no Ōtaki', 'Ÿ ẅ ḧ', 'ē', 'Γēk', 'и ēk'].map((words) =>
          text(words, { fontFamily, fontSize: 18, width: snug }),
        ),
      ),
    ),
  'text: places of a Japanese line that begins within the text are cut up, too (Chromium)': project(
    ...[176, 192].map((width) =>
      text('この図書館では、昔ながらの野菜の種を貸し出しています。', { lang: 'ja', width: px(width) }),
    ),
  ),
  'text: Arabic letters stay joined across sizes and where a word is cut (CSS Text 3 §7.3)': project(
    text([{ text: 'بذور في', size: 2 }, { text: 'مكتبة seed' }], { width: snug }),
    ...[60, 90, 140].map((width) =>
      text('بذور الربيع تعود في الخريف، كيسا من المكتبة القديمة لمن يزرع', {
        fontSize: 20,
        lang: 'ar',
        overflowWrap: 'anywhere',
        width: px(width),
      }),
    ),
    text('a وأ #7 b, وأ 7 T', { fontFamily: 'Work Sans', fontSize: 22.4, width: snug }),
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
  'text: a soft hyphen parts Hebrew words from what stands behind, too (Chromium; LB21a of other hyphens)':
    project(
      text('זרעים\u00adpeas אביב\u00ad12 הגן\u00adבית', {
        fontFamily: 'Work Sans',
        fontSize: 20,
        width: px(70),
      }),
    ),
  'text: nothing is kerned across a soft hyphen that another file draws (Chromium)': project(
    ...[60.5, 87.25, 101.5, 102.25].flatMap((width) =>
      ['Literata', 'Hanken Grotesk', 'Work Sans'].map((fontFamily) =>
        text('θήκη δα\u00adνεί\u00adζει', { fontFamily, fontSize: 16, lang: 'el', width: px(width) }),
      ),
    ),
  ),
}
