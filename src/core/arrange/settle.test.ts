import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyAll } from '../edits/apply'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { isLoose, settle } from './settle'

const paragraphs = new ParagraphCache(new FontLibrary())
let count = 0
const makeId = () => `made${count++}`

type Flow =
  | { leaf: true; width: number; height: number }
  | { row: boolean; gap: number; align: Props['align']; kids: Flow[] }

/** Random nested rows and columns of fixed leaves, as a designer would have drawn them loosely. */
const flow = (depth: number): fc.Arbitrary<Flow> => {
  const leaf = fc
    .record({ width: fc.integer({ min: 8, max: 120 }), height: fc.integer({ min: 8, max: 90 }) })
    .map((size): Flow => ({ leaf: true, ...size }))
  if (depth === 0) return leaf
  return fc.oneof(
    { weight: 1, arbitrary: leaf },
    {
      weight: 3,
      arbitrary: fc.record({
        row: fc.boolean(),
        gap: fc.integer({ min: 1, max: 40 }),
        align: fc.constantFrom('start', 'center', 'end') as fc.Arbitrary<Props['align']>,
        kids: fc.array(flow(depth - 1), { minLength: 2, maxLength: 4 }),
      }),
    },
  )
}

function lay(children: NodeTree[], props: Props) {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = [
    {
      id: 'section',
      kind: 'section',
      name: 'Section',
      order: 'a0',
      props: { fullBleed: true, flow: 'column' },
      children: [
        {
          id: 'host',
          kind: 'box',
          name: 'Host',
          order: 'a0',
          props: { width: { kind: 'exact', px: 1400 }, height: { kind: 'exact', px: 1600 }, ...props },
          children,
        },
      ],
    },
  ]
  const doc = Document.fromFile(file)
  return { doc, layout: new PageLayout(doc, file.pages[0]!.id, 'desktop', 1440, paragraphs) }
}

function treeOf(own: Flow, order: string): NodeTree {
  const base = { id: makeId(), kind: 'box' as const, name: 'Box', order }
  if ('leaf' in own)
    return {
      ...base,
      props: { width: { kind: 'exact', px: own.width }, height: { kind: 'exact', px: own.height } },
    }
  return {
    ...base,
    props: { flow: own.row ? 'row' : 'column', rowGap: own.gap, align: own.align, width: { kind: 'snug' } },
    children: own.kids.map((kid, i) => treeOf(kid, `a${i}`)),
  }
}

/** Every leaf lifted where it lay. */
function loosen(tree: NodeTree): NodeTree[] {
  const { layout } = lay([tree], { flow: 'column', paddingLeft: 30, paddingTop: 20 })
  const host = layout.rect('host')!
  return [...layout.visible()]
    .filter((box) => box.kids.length === 0 && box.id !== 'host' && box.id !== 'section')
    .map((box, i): NodeTree => {
      const rect = layout.rect(box.id)!
      return {
        id: box.id,
        kind: 'box',
        name: box.id,
        order: `b${String(i).padStart(3, '0')}`,
        props: {
          width: { kind: 'exact', px: rect.width },
          height: { kind: 'exact', px: rect.height },
          pinLeft: { px: rect.x - host.x },
          pinTop: { px: rect.y - host.y },
        },
      }
    })
}

const boxAt = (id: string, x: number, y: number, width: number, height: number): NodeTree => ({
  id,
  kind: 'box',
  name: id,
  order: `b${id}`,
  props: {
    width: { kind: 'exact', px: width },
    height: { kind: 'exact', px: height },
    pinLeft: { px: x },
    pinTop: { px: y },
  },
})

describe('settle', () => {
  test('any flow that was taken apart is found again, and nothing moves', () => {
    fc.assert(
      fc.property(flow(3), (own) => {
        const loose = loosen(treeOf(own, 'a0'))
        fc.pre(loose.length > 1)
        const ends = loose.map(({ props }) => {
          const { pinLeft, width } = props
          return (pinLeft as { px: number }).px + (width as { px: number }).px
        })
        // What is wider than its box is pressed together by any row.
        fc.pre(Math.max(...ends) < 1400)
        const { doc, layout } = lay(loose, { flow: 'free' })
        const before = new Map(loose.map(({ id }) => [id, layout.rect(id)!]))
        const made = settle(doc, layout, 'host', 0, makeId, paragraphs)
        if (typeof made === 'string') throw new Error(made)
        expect(made.moved).toEqual([])
        const inverses = applyAll(doc, made.edits)
        layout.update()
        for (const [id, rect] of before) {
          const now = layout.rect(id)!
          expect(Math.abs(now.x - rect.x)).toBeLessThanOrEqual(1)
          expect(Math.abs(now.y - rect.y)).toBeLessThanOrEqual(1)
          expect(now.width).toBeCloseTo(rect.width, 2)
          expect(layout.boxes.get(id)!.pins).toBeNull()
        }
        applyAll(doc, inverses)
        layout.update()
        for (const [id, rect] of before) expect(layout.rect(id)).toEqual(rect)
      }),
      { numRuns: 300 },
    )
  })

  test('near-equal gaps become one when asked, and it says what moves', () => {
    const loose = [
      boxAt('p', 0, 0, 100, 40),
      boxAt('q', 131, 0, 100, 40),
      boxAt('r', 263, 0, 100, 40),
      boxAt('s', 396, 0, 100, 40),
    ]
    const { doc, layout } = lay(loose, { flow: 'free' })
    const apart = settle(doc, layout, 'host', 0, makeId, paragraphs)
    const one = settle(doc, layout, 'host', 2, makeId, paragraphs)
    if (typeof apart === 'string' || typeof one === 'string') throw new Error('not settled')
    expect(apart.moved).toEqual([])
    expect(one.evened).toEqual([[31, 32, 33]])
    expect(one.moved).toEqual([])
    applyAll(doc, one.edits)
    expect(doc.node('host').props).toMatchObject({ flow: 'row', rowGap: 32 })
    expect(doc.node('host').children).toEqual(['p', 'q', 'r', 's'])
  })

  test('blocks that overlap stay lifted in a box of their own', () => {
    const loose = [boxAt('p', 0, 0, 100, 40), boxAt('q', 50, 20, 100, 40), boxAt('r', 0, 90, 60, 30)]
    const { doc, layout } = lay(loose, { flow: 'free' })
    const made = settle(doc, layout, 'host', 0, makeId, paragraphs)
    if (typeof made === 'string') throw new Error(made)
    expect(made.moved).toEqual([])
    applyAll(doc, made.edits)
    layout.update()
    expect(layout.boxes.get('q')!.pins).not.toBeNull()
    expect(layout.boxes.get('r')!.pins).toBeNull()
  })

  test('says why not', () => {
    const { doc, layout } = lay([boxAt('p', 0, 0, 10, 10), boxAt('q', 5, 5, 10, 10)], { flow: 'free' })
    expect(settle(doc, layout, 'host', 0, makeId, paragraphs)).toMatch(/overlap/)
    expect(settle(doc, layout, 'p', 0, makeId, paragraphs)).toMatch(/select a box/)
    expect(isLoose(layout, 'host')).toBe(true)
    expect(isLoose(layout, 'p')).toBe(false)
  })
})
