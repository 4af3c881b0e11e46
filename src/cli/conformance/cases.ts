/** Documents that once differed, shrunk: each with the rule it exercises. The browser judges them in the tests. */
import type { NodeTree, ProjectFile, Props, Span } from '../../core/document/schema'
import { FORMAT, VERSION } from '../../core/document/schema'

let count = 0
const node = (kind: NodeTree['kind'], props: Props, children: NodeTree[] = []): NodeTree => {
  const id = `c${count++}`
  return { id, kind, name: `${kind} ${id}`, order: `a${String(count).padStart(4, '0')}`, props, children }
}
const box = (props: Props, ...children: NodeTree[]) => node('box', props, children)
const text = (words: string | Span[], props: Props = {}) =>
  node('text', { spans: typeof words === 'string' ? [{ text: words }] : words, ...props })
const px = (length: number) => ({ kind: 'exact', px: length }) as const
const snug = { kind: 'snug' } as const
const stretch = (weight = 1) => ({ kind: 'stretch', weight }) as const
const percent = (share: number) => ({ kind: 'percent', percent: share }) as const

function project(...children: NodeTree[]): ProjectFile {
  return {
    format: FORMAT,
    version: VERSION,
    name: 'Case',
    tokens: {},
    assets: [],
    views: [
      {
        id: 'wide',
        name: 'Desktop',
        width: 1440,
        breakpoint: null,
        fold: 900,
        lattice: {
          columns: 12,
          gutter: 24,
          container: 1224,
          margin: 24,
          halfGutters: false,
          place: 'center',
          baseline: 8,
        },
      },
    ],
    pages: [
      {
        id: 'page',
        name: 'Page',
        path: '/',
        order: 'a0',
        views: [],
        sections: [node('section', { flow: 'column', height: snug }, children)],
      },
    ],
  }
}

function inSection(props: Props, ...children: NodeTree[]): ProjectFile {
  const file = project()
  file.pages[0].sections = [node('section', { height: snug, ...props }, children)]
  return file
}

/** As `project`, with a second view below 600 px in which `overrides` of the blocks count. */
function inTwoViews(...children: NodeTree[]): ProjectFile {
  const file = project(...children)
  file.views.push({ ...file.views[0], id: 'narrow', name: 'Mobile', width: 390, breakpoint: 600, fold: 844 })
  return file
}

/** By name: the rule, and the smallest document that needs it. */
export const CASES: Record<string, ProjectFile> = {
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
      borderLeft: 3,
      borderRight: 3,
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
  'frame: a height by aspect-ratio, and min-height carried over to the width (CSS Sizing 4 §5.1)': project(
    box(
      { flow: 'row', width: snug },
      box({ width: stretch(), height: snug, ratio: 1.5, minHeight: 63.25 }),
      box({ width: px(90), height: snug, ratio: 0.75 }),
    ),
  ),
  'row: the freeze loop of flexible lengths (Flexbox §9.7)': project(
    box(
      { flow: 'row', width: px(600), columnGap: 10 },
      box({ width: stretch(1), maxWidth: 80, height: px(20) }),
      box({ width: stretch(3), minWidth: 400, height: px(20) }),
      box({ width: stretch(1), height: px(20) }),
    ),
  ),
  'row: weights under one leave room (Flexbox §9.7, 4b)': project(
    box(
      { flow: 'row', width: px(600) },
      box({ width: stretch(0.25), height: px(20) }),
      box({ width: stretch(0.5), height: px(20) }),
    ),
  ),
  'row: the automatic minimum is the longest word (Flexbox §4.5)': project(
    box(
      { flow: 'row', width: px(100) },
      text('glasshouse catalogue', { width: stretch() }),
      text('seed', { width: stretch() }),
    ),
  ),
  'column: a most height holds the hypothetical size, not the base size that is shrunk (Flexbox 1 §9.2)':
    project(
      box(
        { flow: 'column', width: px(300), height: px(200) },
        box({ width: px(50), height: px(150), minHeight: 0 }),
        box(
          { width: px(60), height: snug, maxHeight: 80, clip: true },
          box({ width: px(40), height: px(260) }),
        ),
      ),
    ),
  'column: percent heights against an indefinite parent are automatic (CSS Sizing 3 §5.2.1)': project(
    box({ flow: 'column', width: px(300) }, box({ width: stretch(), height: percent(50) }, text('seeds'))),
  ),
  'lattice: a subgrid’s padding comes off its outer tracks (Grid 2 §9)': project(
    box(
      { flow: 'lattice', columns: 6, columnGap: 20, width: stretch() },
      box(
        { flow: 'lattice', width: { kind: 'columns', span: 4, from: 2 }, paddingLeft: 30, paddingRight: 10 },
        box({ width: { kind: 'columns', span: 1 }, height: px(20) }),
        box({ width: { kind: 'columns', span: 3 }, height: px(20) }),
      ),
    ),
  ),
  'lattice: rows are made without the baselines of nested lattices, which are aligned all the same (Chromium)':
    project(
      box(
        { flow: 'lattice', columns: 6, columnGap: 20, align: 'baseline', width: stretch() },
        box({ width: { kind: 'columns', span: 1 }, height: px(263) }),
        box(
          { flow: 'lattice', width: { kind: 'columns', span: 2 }, height: snug },
          box({ width: { kind: 'columns', span: 1 }, height: px(56) }),
          box({ width: { kind: 'columns', span: 2 }, height: px(180) }),
        ),
        text('seeds\nto lend', { width: { kind: 'columns', span: 2 } }),
        box({ width: { kind: 'columns', span: 6 }, height: px(40) }),
      ),
    ),
  'lattice: a gap put back in a narrower view leaves a nested lattice its parent’s (Grid 2 §9)': inTwoViews(
    box(
      { flow: 'lattice', columns: 6, columnGap: 20, width: stretch() },
      {
        ...box(
          { flow: 'row', columnGap: 29, width: { kind: 'columns', span: 4 } },
          box({ width: { kind: 'columns', span: 2 }, height: px(20) }),
          box({ width: { kind: 'columns', span: 2 }, height: px(20) }),
        ),
        overrides: { narrow: { flow: 'lattice' } },
      },
    ),
  ),
  'lifted: both pins and no size stretch; a centre pin keeps its offset (Positioned Layout 3 §4)': project(
    box(
      { flow: 'free', width: px(400), height: px(200), borderLeft: 5, borderTop: 5 },
      box({ lifted: true, pinLeft: { px: 10 }, pinRight: { percent: 25 }, width: stretch(), height: px(30) }),
      box({ lifted: true, pinCenterX: 20, pinCenterY: -10, width: px(50), height: px(40) }),
    ),
  ),
  'lifted: what is seen of turned blocks, one in another (CSS Transforms 2 §3)': project(
    box(
      { flow: 'free', width: px(400), height: px(200), rotate: 30, borderLeft: 5 },
      box(
        {
          lifted: true,
          pinLeft: { px: 10 },
          pinTop: { px: 20 },
          width: px(120),
          height: px(60),
          rotate: -75,
        },
        box({ width: px(30), height: px(30) }),
      ),
      text('seeds to lend', { lifted: true, pinRight: { px: 0 }, pinBottom: { px: 8 }, rotate: 12 }),
    ),
  ),
  'row: a margin before an item counts in wrapping, in fit-content and in shrinking (Flexbox 1 §9.3, Sizing 3 §5.1)':
    project(
      box(
        { flow: 'row', wrap: true, columnGap: 10, width: px(300) },
        box({ width: px(100), height: px(20) }),
        box({ width: px(100), height: px(20), spaceBefore: 40 }),
        box({ width: px(60), height: px(20), spaceBefore: 12 }),
      ),
      box(
        { flow: 'row', width: px(300) },
        text('seeds to lend to the neighbours in spring', { spaceBefore: 80 }),
        text('and to give back', { spaceBefore: 7 }),
      ),
      box({ flow: 'row', width: snug }, text('peas'), text('and beans', { spaceBefore: 33 })),
      box(
        { flow: 'column', height: px(200), justify: 'space-between' },
        box({ width: px(20), height: px(20), spaceBefore: 15 }),
        box({ width: px(20), height: stretch(), spaceBefore: 25 }),
        box({ width: px(20), height: px(20) }),
      ),
    ),
  'section: on a lattice of its own, columns in it and in its boxes are that lattice’s (Grid 2 §7.2)':
    inSection(
      { flow: 'lattice', lattice: { columns: 9, gutter: 30, container: 1100, margin: 16 } },
      box({ width: { kind: 'columns', span: 4, from: 3 }, height: px(20) }),
      box(
        { flow: 'column', width: { kind: 'columns', span: 9 } },
        box({ width: { kind: 'columns', span: 2 }, height: px(20) }),
        box(
          { flow: 'lattice', width: stretch() },
          box({ width: { kind: 'columns', span: 3 }, height: px(20) }),
        ),
      ),
    ),
}
