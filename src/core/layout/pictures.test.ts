/**
 * Pictures whose widths follow heights, in boxes as wide as their content. The numbers are those that Chromium gives for the
 * handed-off page; the named cases ask it anew.
 */

import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Props } from '../properties/table'
import type { Size } from '../properties/values'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { PageLayout } from './page'

let count = 0
const node = (kind: NodeTree['kind'], id: string, props: Props, children: NodeTree[] = []): NodeTree => ({
  id,
  kind,
  name: id,
  order: `a${String(count++).padStart(4, '0')}`,
  props,
  children,
})
const px = (length: number): Size => ({ kind: 'exact', px: length })
const percent = (share: number): Size => ({ kind: 'percent', percent: share })
const stretch: Size = { kind: 'stretch', weight: 1 }
const snug: Size = { kind: 'snug' }

/** Width and height of the box `c` and of the picture `i`, px to two places, laid out in a page of 1440 px. */
function sizes(...children: NodeTree[]): string {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    { ...node('section', 'section', { flow: 'column', fullBleed: true }, children), kind: 'section' },
  ]
  const layout = new PageLayout(
    Document.fromFile(file),
    'home',
    file.views[0]!.id,
    1440,
    new ParagraphCache(new FontLibrary()),
  )
  const size = (id: string) => {
    const { width, height } = layout.rect(id)!
    return [width, height].map((each) => Math.round(each * 100) / 100).join('×')
  }
  return `${size('c')} ${size('i')}`
}
/** Without a file a picture is 300 × 200 px. */
const picture = (width: Size, more: Props) => node('picture', 'i', { width, ...more })

describe('in a row', () => {
  const row = (height: Size, width: Size, more: Props) =>
    sizes(node('box', 'c', { flow: 'row', width: snug, height }, [picture(width, more)]))
  test.each<[string, Size, Size, Props, string]>([
    ['a share of no height is none', snug, percent(100), { height: percent(50) }, '300×200 300×200'],
    ['its width by its greatest height', snug, percent(100), { maxHeight: 60 }, '90×60 90×60'],
    ['its width by its least height', snug, percent(100), { minHeight: 260 }, '390×260 390×260'],
    ['its width by half of the row', px(100), percent(100), { height: percent(50) }, '75×100 75×50'],
    ['its width by all of the row', px(100), percent(100), { height: stretch }, '150×100 150×100'],
    ['the limit of its share', px(100), percent(100), { height: percent(50), maxHeight: 30 }, '45×100 45×30'],
    ['its own width where it is to grow', px(100), stretch, { height: percent(50) }, '300×100 300×50'],
    ['its own width where it has one', px(100), px(300), { height: percent(50) }, '300×100 300×50'],
    ['a share of a share', px(100), percent(80), { height: percent(50) }, '75×100 60×50'],
  ])('%s', (_, height, width, more, expected) => {
    expect(row(height, width, more)).toBe(expected)
  })
})

describe('in a column', () => {
  const column = (height: Size, width: Size, more: Props) =>
    sizes(node('box', 'c', { flow: 'column', width: snug, height }, [picture(width, more)]))
  test.each<[string, Size, Size, Props, string]>([
    ['a share of no height is none', snug, stretch, { height: percent(50) }, '300×200 300×200'],
    ['no room to share out', snug, stretch, { height: stretch }, '300×0 300×0'],
    ['its width by its greatest height', snug, stretch, { maxHeight: 60 }, '90×60 90×60'],
    ['its width by its least height', snug, stretch, { minHeight: 260 }, '390×260 390×260'],
    ['its width by half of the column', px(100), stretch, { height: percent(50) }, '75×100 75×50'],
    ['shrunk in height it keeps its width', px(100), stretch, {}, '300×100 300×100'],
    [
      'all the room, which its width does not follow',
      px(100),
      stretch,
      { height: stretch },
      '300×100 300×100',
    ],
    [
      'the least height of its share',
      px(100),
      stretch,
      { height: percent(50), minHeight: 260 },
      '390×100 390×260',
    ],
  ])('%s', (_, height, width, more, expected) => {
    expect(column(height, width, more)).toBe(expected)
  })
})

describe('on a lattice', () => {
  const lattice = (columns: number, more: Props, box: Props = {}, beside: NodeTree[] = []) =>
    sizes(
      node('box', 'c', { flow: 'lattice', columns, columnGap: 16, width: snug, height: snug, ...box }, [
        picture({ kind: 'columns', span: 1 }, more),
        ...beside,
      ]),
    )
  const tall = () => node('box', 'tall', { width: px(20), height: px(300) })
  test.each<[string, () => string, string]>([
    ['the row it makes itself', () => lattice(6, { height: percent(50) }), '980×100 150×50'],
    ['all of that row', () => lattice(1, { height: percent(100) }), '300×200 300×200'],
    ['a most height', () => lattice(6, { height: percent(50), maxHeight: 60 }), '350×30 45×15'],
    ['a row made by another', () => lattice(4, { height: percent(50) }, {}, [tall()]), '948×300 225×150'],
    [
      'rows of a given height',
      () => lattice(1, { height: percent(50) }, { height: px(400) }),
      '300×400 300×200',
    ],
    ['stretched in its row', () => lattice(1, { height: stretch, maxHeight: 120 }), '180×120 180×120'],
  ])('%s', (_, run, expected) => {
    expect(run()).toBe(expected)
  })

  test('paddings of a nested lattice count at the tracks they touch', () => {
    const nested = (from: number) =>
      sizes(
        node('box', 'c', { flow: 'lattice', columns: 4, columnGap: 10, width: snug, height: snug }, [
          node(
            'box',
            'inner',
            { flow: 'lattice', width: { kind: 'columns', span: 3, from: 1 }, paddingRight: 30 },
            [node('picture', 'i', { width: { kind: 'columns', span: 1, from }, height: px(50) })],
          ),
        ]),
      ).split(' ')[0]
    // Four tracks as wide as the picture, 75 px; in the last of three the padding is beside it.
    expect(nested(1)).toBe('330×50')
    expect(nested(3)).toBe('450×50')
  })
})

describe('in a lifted block', () => {
  test('its share of the height between two pins', () => {
    const block = node(
      'box',
      'c',
      { width: snug, height: stretch, pinTop: { px: 20 }, pinBottom: { px: 30 } },
      [picture(stretch, { height: percent(50) })],
    )
    expect(sizes(node('box', 'host', { flow: 'free', width: px(600), height: px(250) }, [block]))).toBe(
      '150×200 150×100',
    )
  })
})
