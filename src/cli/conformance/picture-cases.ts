/** Pictures whose widths follow heights. */

import type { ProjectFile } from '../../core/document/schema'
import { allBorders } from '../../core/properties/items'
import type { Props } from '../../core/properties/table'
import { box, node, percent, project, px, snug, stretch, text } from './pieces'

const columns = (span: number) => ({ kind: 'columns', span }) as const
/** Without a file of its own: 300 × 200 px, 3 : 2. */
const picture = (props: Props) => node('picture', { width: stretch(), ...props })

/** JPEG, WebP and PNG of 1200 × 800, 613 × 921 and 480 × 360 px: see `cli/photographs.ts`. */
const photo = (asset: 'photo-field' | 'photo-tall' | 'photo-cut', props: Props = {}) =>
  node('picture', { asset, width: stretch(), ...props })
const padded = { paddingTop: 20, paddingRight: 30, paddingBottom: 20, paddingLeft: 30 }

/** By name: the rule, and the smallest document that needs it. */
export const PICTURE_CASES: Record<string, ProjectFile> = {
  'picture: the limits of its height hold its width, by its ratio (CSS Sizing 4 §5.1.1, CSS 2.2 §10.4)':
    project(
      box({ width: snug }, picture({ maxHeight: 60 })),
      box({ width: snug }, picture({ minHeight: 260 })),
      box({ width: snug }, picture({ maxHeight: 0, paddingBottom: 10 })),
    ),
  'photograph: the files to choose from are no items of the row or the lattice (HTML §4.8.2)': project(
    box(
      { flow: 'row', columnGap: 24 },
      photo('photo-field'),
      photo('photo-tall'),
      photo('photo-cut'),
      text('Six of these make a gallery'),
    ),
    box(
      { flow: 'lattice', columns: 12, columnGap: 24, rowGap: 24, width: stretch() },
      ...[1, 2, 3, 4, 5, 6].map(() => photo('photo-field', { width: columns(4) })),
    ),
    box({ flow: 'column', rowGap: 16 }, photo('photo-tall', { width: px(300) }), photo('photo-cut')),
    box({ flow: 'row' }, photo('photo-field', { width: snug }), photo('photo-tall', { width: snug })),
  ),
  'photograph: with room round it or a border its ratio is that of its content (CSS Sizing 4 §5.1)': project(
    box({ width: px(900) }, photo('photo-field', padded)),
    box({ width: px(500) }, photo('photo-tall', { ...padded, ...allBorders(6) })),
    box(
      { flow: 'lattice', columns: 12, columnGap: 24, width: stretch() },
      photo('photo-field', { ...padded, width: columns(6) }),
      photo('photo-cut', { ...allBorders(3), width: columns(6) }),
    ),
    box({ flow: 'row' }, photo('photo-field', { ...padded, width: snug, height: px(200) })),
  ),
  'picture: its share of a snug column is that of its percentage, where that has something to be of (CSS Sizing 3 §5.2.1)':
    project(
      box({ width: snug, height: px(179.25) }, picture({ height: percent(25) })),
      box({ width: snug }, picture({ height: percent(25) })),
      box(
        { flow: 'row', width: snug, height: px(100) },
        picture({ width: percent(80), height: percent(50), maxHeight: 30 }),
        picture({ width: percent(100), height: stretch() }),
      ),
      box({ flow: 'row', width: snug }, picture({ width: percent(100), height: percent(50) })),
    ),
  'picture: a column’s item is as wide as its final height makes the pictures in it (Flexbox 1 §9.8)':
    project(
      box(
        { height: px(320) },
        box({ width: snug, height: stretch() }, picture({ height: percent(33.33) })),
        box({ width: snug, height: stretch(2) }, picture({ height: percent(25) })),
      ),
    ),
  'picture: in a lattice as wide as its content, columns are found again once the rows are (Grid 2 §12.1)':
    project(
      box(
        { flow: 'lattice', columns: 6, columnGap: 16, width: snug },
        picture({ width: columns(1), height: percent(50) }),
      ),
      box(
        { flow: 'lattice', columns: 6, columnGap: 16, width: snug },
        picture({ width: columns(2), height: percent(50) }),
        box({ width: px(20), height: px(300) }),
      ),
      box(
        { flow: 'lattice', columns: 2, width: snug, height: px(102.75) },
        picture({ width: columns(2), height: stretch() }),
      ),
      box(
        { flow: 'lattice', columns: 6, columnGap: 20, width: snug },
        box(
          { flow: 'lattice', width: columns(4), paddingLeft: 12 },
          picture({ width: columns(1), height: percent(60), minHeight: 30 }),
          picture({ width: columns(3), height: stretch(), maxHeight: 120 }),
        ),
      ),
    ),
  'picture: an item of a lattice row is as wide as the row makes the pictures in it (Grid 2 §6.2)': project(
    box(
      { flow: 'lattice', columns: 2, columnGap: 20, width: stretch() },
      box({ width: snug, height: percent(80) }, picture({ height: percent(50) })),
      box({ width: px(40), height: px(140) }),
    ),
  ),
  'picture: a lifted block is as wide as its height makes the pictures in it (Positioned Layout 3 §4)':
    project(
      box(
        { flow: 'free', width: px(600), height: px(200) },
        box(
          { width: snug, height: stretch(), pinLeft: { px: 20 }, pinTop: { px: 20 }, pinBottom: { px: 30 } },
          picture({ height: percent(50) }),
        ),
      ),
    ),
}
