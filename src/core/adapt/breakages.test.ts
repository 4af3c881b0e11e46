/** What breaks, and from which width on: worked pages, and that no width is said wrongly. */
import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { openType } from '../samples/fonts'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { breakagesIn, breakagesOver } from './breakages'

const fonts = new FontLibrary()
beforeAll(async () => {
  const id = 'hanken-grotesk-latin-wght-normal'
  fonts.add(id, await openType(id))
})

let count = 0
const node = (kind: NodeTree['kind'], name: string, props: Props, children: NodeTree[] = []): NodeTree => ({
  id: name.toLowerCase(),
  kind,
  name,
  order: `a${String(count++).padStart(4, '0')}`,
  props,
  children,
})
const px = (length: number) => ({ kind: 'exact', px: length }) as const
const percent = (share: number) => ({ kind: 'percent', percent: share }) as const

function laidOut(props: Props, ...children: NodeTree[]) {
  const file = starterProject('Test', 'home')
  file.pages[0].sections = [node('section', 'Section', { fullBleed: true, flow: 'row', ...props }, children)]
  const doc = Document.fromFile(file)
  return new PageLayout(doc, 'home', doc.views[0].id, 1440, new ParagraphCache(fonts))
}

describe('what breaks', () => {
  test('a block that no longer has room beside another, from the width on at which it has none', () => {
    const layout = laidOut(
      {},
      node('box', 'Wide', { width: px(700) }),
      node('box', 'Beside', { width: px(300) }),
    )
    expect(breakagesOver(layout, { least: 600, most: 2000 })).toEqual([
      { node: 'beside', name: 'Beside', kind: 'sideways', from: 600, to: 999 },
      { node: 'wide', name: 'Wide', kind: 'sideways', from: 600, to: 699 },
    ])
  })

  test('nothing for what is clipped, or lies in what sticks out already', () => {
    const inner = node('box', 'Inner', { width: px(900) })
    expect([
      ...breakagesIn(laidOut({}, node('box', 'Frame', { width: px(500), clip: true }, [inner]))).keys(),
    ]).toEqual([])
    const layout = laidOut(
      {},
      node('box', 'Outer', { width: px(1500) }, [node('box', 'In', { width: px(1480) })]),
    )
    expect([...breakagesIn(layout).keys()]).toEqual(['sideways outer'])
  })

  test('what is wider than what it stands in lies over what is beside', () => {
    const layout = laidOut(
      { flow: 'row' },
      node('box', 'Half', { width: percent(50), minWidth: 0 }, [node('box', 'Words', { width: px(600) })]),
      node('box', 'Other', { width: percent(50), minWidth: 0 }),
    )
    expect(breakagesOver(layout, { least: 800, most: 2000 })).toEqual([
      { node: 'words', name: 'Words', kind: 'out', from: 800, to: 1198 },
    ])
  })

  test('a word wider than its block, and lines of one word each', () => {
    const words = {
      words: said('seedlibrary glasshouses lanternridge'),
      fontFamily: 'Hanken Grotesk',
      fontSize: 20,
    }
    const cut = laidOut({}, node('text', 'Words', { ...words, width: percent(10), minWidth: 0 }))
    const [first, second] = breakagesOver(cut, { least: 320, most: 2560 })
    expect(first).toMatchObject({ kind: 'crumbled', node: 'words' })
    expect(second).toMatchObject({ kind: 'cut', node: 'words', from: 320 })
    expect(second.to).toBe(first.from - 1)
  })

  test('at every width said it breaks, at its neighbours it does not', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ wide: fc.integer({ min: 50, max: 900 }), share: fc.boolean() }), {
          minLength: 1,
          maxLength: 4,
        }),
        (blocks) => {
          const layout = laidOut(
            { wrap: false },
            ...blocks.map(({ wide, share }, i) =>
              node('box', `B${i}`, share ? { width: percent(wide / 20) } : { width: px(wide) }),
            ),
          )
          const has = (width: number, key: string) => {
            layout.update(width)
            return breakagesIn(layout).has(key)
          }
          for (const { kind, node: id, from, to } of breakagesOver(layout, { least: 320, most: 1600 })) {
            const key = `${kind} ${id}`
            expect([has(from, key), has(to, key)]).toEqual([true, true])
            if (from > 320) expect(has(from - 1, key)).toBe(false)
            if (to < 1600) expect(has(to + 1, key)).toBe(false)
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})
