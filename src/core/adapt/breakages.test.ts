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
import { breakagesIn } from './breakages'
import { breakagesOver, stretchesOf } from './over-widths'

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
  file.pages[0]!.sections = [node('section', 'Section', { fullBleed: true, flow: 'row', ...props }, children)]
  const doc = Document.fromFile(file)
  return new PageLayout(doc, 'home', doc.views[0]!.id, 1440, new ParagraphCache(fonts))
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
    expect(second!.to).toBe(first!.from - 1)
  })

  test('a block that is too low for what is in it, from the width on at which its lines are too many', () => {
    const words = { words: said('beans and squash and marigold and kale'), fontSize: 20 }
    const band = node('box', 'Band', { width: percent(50), minWidth: 0, height: px(70) }, [
      node('text', 'Words', { ...words, width: { kind: 'stretch', weight: 1 } }),
    ])
    const layout = laidOut({}, band)
    const [low] = breakagesOver(layout, { least: 320, most: 1440 })
    expect(low).toMatchObject({ kind: 'low', node: 'band', from: 320 })
    const high = (width: number) => {
      layout.update(width)
      return layout.rect('words')!.height
    }
    expect([high(low!.to) > 70, high(low!.to + 1) > 70]).toEqual([true, false])
  })

  test('a lifted block that comes to lie over words; what it lies over as drawn is meant so', () => {
    const lifted = (name: string, left: number) =>
      node('box', name, {
        lifted: true,
        pinLeft: { px: left },
        pinTop: { px: 0 },
        width: px(100),
        height: px(100),
      })
    const words = { words: said('Seeds to borrow'), fontSize: 20, width: percent(60) }
    const layout = laidOut(
      { flow: 'free', height: px(300) },
      lifted('Far', 900),
      lifted('Meant', 40),
      node('text', 'Words', { ...words, lifted: true, pinRight: { px: 0 }, pinTop: { px: 20 } }),
      node('text', 'Under', { words: said('Beans'), lifted: true, pinLeft: { px: 60 }, pinTop: { px: 10 } }),
    )
    const found = breakagesOver(layout, { least: 600, most: 2000 }, 1440)
    // The far block ends at 1000; the words begin at 40 % of the window, and reach it only where that is wide.
    const far = found.find(({ node: id }) => id === 'far')!
    expect(far).toMatchObject({ kind: 'over', to: 2000 })
    expect(far.from).toBeGreaterThan(1800)
    expect(found.map(({ node: id }) => id)).not.toContain('meant')
  })

  test('stretches: what meets is one, with all that breaks in it', () => {
    const of = (name: string, from: number, to: number) => ({
      node: name,
      name,
      kind: 'cut' as const,
      from,
      to,
    })
    const all = [of('a', 320, 400), of('b', 380, 500), of('c', 501, 520), of('d', 600, 640)]
    expect(stretchesOf(all).map(({ from, to, broken }) => [from, to, broken.length])).toEqual([
      [600, 640, 1],
      [320, 520, 3],
    ])
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
