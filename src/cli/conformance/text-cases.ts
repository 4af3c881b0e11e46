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
  'text: min-content looks for breaks piece by piece: a hyphen that begins one begins a word (LB20a, LB25, Chromium)':
    project(
      box(
        { flow: 'column', width: px(1) },
        ...['ق 2222-3333', 'אאאא-cccc-בבבב', 'قققق-1111-قققق', 'ق 11-22 אב'].map((words) =>
          text(words, { fontFamily: 'Syne', fontSize: 20, width: snug }),
        ),
        text([{ text: 'aaaa' }, { text: '-1111-2222 a', weight: 700 }], {
          fontFamily: 'Syne',
          fontSize: 20,
          width: snug,
        }),
      ),
    ),
}
