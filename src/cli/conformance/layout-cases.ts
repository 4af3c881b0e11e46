/** Rows, columns, lattices and lifted blocks that once differed, shrunk. */
import type { ProjectFile } from '../../core/document/schema'
import { allBorders } from '../../core/properties/items'
import { box, inSection, inTwoViews, node, percent, project, px, snug, stretch, text } from './pieces'

/** By name: the rule, and the smallest document that needs it. */
export const LAYOUT_CASES: Record<string, ProjectFile> = {
  'borders are whole px, and one at least (CSS Values 4, snap as a border width)': project(
    box({ ...allBorders(0.5), width: snug }, box({ ...allBorders(1.5), width: px(100), height: px(20) })),
    box({ ...allBorders(2.75), width: snug }, text('In a border of two px and three quarters')),
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
      { flow: 'free', width: px(400), height: px(200), borderLeft: { width: 5 }, borderTop: { width: 5 } },
      box({ lifted: true, pinLeft: { px: 10 }, pinRight: { percent: 25 }, width: stretch(), height: px(30) }),
      box({ lifted: true, pinCenterX: 20, pinCenterY: -10, width: px(50), height: px(40) }),
    ),
  ),
  'lifted: what is seen of turned blocks, one in another (CSS Transforms 2 §3)': project(
    box(
      { flow: 'free', width: px(400), height: px(200), rotate: 30, borderLeft: { width: 5 } },
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
  'lattice: a nested lattice’s padding counts for the content’s width at the tracks it touches only (Grid 2 §9)':
    project(
      box(
        { flow: 'lattice', columns: 4, columnGap: 16, width: snug },
        box(
          { flow: 'lattice', width: { kind: 'columns', span: 3 }, paddingRight: 30, paddingLeft: 12 },
          box({ width: px(20), height: px(20) }),
          box({ width: px(25), height: px(20) }),
        ),
      ),
    ),
  'lattice: a minimum height is not shifted to the baseline when rows are pressed (Chromium)': project(
    box(
      { flow: 'lattice', columns: 2, align: 'baseline', width: px(600), height: px(200) },
      box({ flow: 'row', width: px(100), height: px(100) }, box({ width: px(20), height: px(300) })),
      box({ width: px(100), minHeight: 20 }, box({ width: px(30), height: px(150) })),
      box({ width: px(20), height: px(50) }),
    ),
  ),
  'lattice: rows are aligned in a height that limits make, also when they stick out of it (Box Alignment 3 §5)':
    project(
      box(
        { flow: 'lattice', columns: 2, alignContent: 'center', maxHeight: 20, width: px(200) },
        box({ width: px(30), height: px(40) }),
      ),
      box(
        { flow: 'lattice', columns: 2, alignContent: 'end', minHeight: 90, width: px(200) },
        box({ width: px(30), height: px(40) }),
      ),
    ),
  'lattice: rows of a nested lattice are stretched, but not aligned in such a height (Chromium)': project(
    box(
      { flow: 'lattice', columns: 3, columnGap: 10, width: px(600) },
      box(
        {
          flow: 'lattice',
          width: { kind: 'columns', span: 2 },
          height: snug,
          alignContent: 'center',
          minHeight: 100,
        },
        box({ width: px(20), height: px(30) }),
      ),
      box(
        { flow: 'lattice', width: { kind: 'columns', span: 3 }, height: snug, minHeight: 100 },
        box({ width: px(20), height: stretch() }),
      ),
    ),
  ),
  'column: the least height of an item is that of its content without its own height (Flexbox 1 §4.5)':
    project(
      box(
        { height: px(211), width: px(500) },
        box(
          { flow: 'row', width: snug, height: percent(100) },
          node('picture', { width: percent(33), height: stretch() }),
        ),
        node('picture', { width: stretch() }),
      ),
    ),
}
