import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { checkViews } from '../document/check'
import { Document } from '../document/document'
import { applyAll } from '../edits/apply'
import { viewEdits } from '../edits/views'
import { starterProject, starterViews, viewFor } from '../shelf/starter'
import { box, exactly, lay } from './test-page'
import {
  freeName,
  keptViewsEdits,
  lostWith,
  moreViewsEdits,
  removeViewEdits,
  withBreakpoint,
  withCopy,
  withView,
  withWidth,
} from './views'

const [desktop, mobile] = starterViews()

describe('views', () => {
  test('no two have the same name', () => {
    expect(freeName([desktop!, mobile!], 'Tablet', 834)).toBe('Tablet')
    expect(freeName([desktop!, mobile!], 'desktop', 1512)).toBe('desktop 1512')
    expect(freeName([desktop!, { ...mobile!, name: 'Desktop 1512' }], 'Desktop', 1512)).toBe(
      'Desktop 1512 (2)',
    )
    expect(freeName([desktop!, mobile!], 'Desktop', 1440, desktop!.id)).toBe('Desktop')
  })

  test('added, widened, narrowed, copied: always in order, with breakpoints that a project may have', () => {
    const step = fc.oneof(
      fc.record({ kind: fc.constant('add' as const), width: fc.integer({ min: 200, max: 2400 }) }),
      fc.record({
        kind: fc.constant('width' as const),
        width: fc.integer({ min: 200, max: 2400 }),
        at: fc.nat(9),
      }),
      fc.record({ kind: fc.constant('copy' as const), at: fc.nat(9) }),
      fc.record({
        kind: fc.constant('hold' as const),
        width: fc.integer({ min: 200, max: 2400 }),
        at: fc.nat(9),
      }),
    )
    fc.assert(
      fc.property(fc.array(step, { maxLength: 6 }), (steps) => {
        let views = starterViews()
        steps.forEach((each, i) => {
          const id = 'at' in each ? views[each.at % views.length]!.id : ''
          const next =
            each.kind === 'add'
              ? withView(views, 'Desktop', each.width, `v${i}`)
              : each.kind === 'width'
                ? withWidth(views, id, each.width)
                : each.kind === 'copy'
                  ? withCopy(views, id, `v${i}`)
                  : withBreakpoint(views, id, each.width)
          if (typeof next === 'string') return
          views = next
          checkViews(views)
          expect(new Set(views.map(({ name }) => name.toLowerCase())).size).toBe(views.length)
        })
      }),
    )
  })

  test('what cannot be is said', () => {
    expect(withWidth([desktop!, mobile!], 'mobile', 1440)).toContain('1440 px wide already')
    expect(withBreakpoint([desktop!, mobile!], 'mobile', 300)).toContain('at least')
    expect(withBreakpoint([desktop!, mobile!], 'mobile', 1440)).toContain('begins')
    expect(withBreakpoint([desktop!, mobile!], 'desktop', 2000)).toContain('widest')
  })

  test('a fold for every width: lying for computers, standing for tablets and phones', () => {
    for (const width of [1000, 1100, 1250, 1600]) expect(viewFor('v', 'V', width).fold).toBeLessThan(width)
    for (const width of [600, 700, 820]) expect(viewFor('v', 'V', width).fold).toBeGreaterThan(width * 0.9)
    expect(viewFor('v', 'V', 1000).fold).toBe(680)
  })

  test('one that goes takes with it what is said for it, and undo brings that back', () => {
    const { doc } = lay({ flow: 'column' }, [box('a', exactly(100, 50)), box('b', exactly(100, 50))])
    applyAll(doc, [
      { op: 'set', node: 'a', view: 'mobile', props: { hidden: true } },
      ...viewEdits(doc.views, withView(doc.views, 'Tablet', 834, 'tablet') as typeof doc.views),
      ...keptViewsEdits(doc),
    ])
    expect(lostWith(doc, 'mobile')).toEqual({ blocks: ['a'], pages: ['Home'] })
    const edits = removeViewEdits(doc, 'mobile')
    if (typeof edits === 'string') throw new Error(edits)
    applyAll(doc, edits)
    expect(doc.views.map(({ id }) => id)).toEqual(['desktop', 'tablet'])
    expect(doc.node('a').overrides).toEqual({})
    expect(lostWith(doc, 'tablet').blocks).toEqual([])
  })

  test('one more is shown on the pages that are drawn at all there are, and on no other', () => {
    const { doc } = lay({ flow: 'column' }, [])
    const [home] = doc.allPages()
    const add = (width: number, id: string) => {
      const views = withView(doc.views, 'Tablet', width, id)
      if (typeof views === 'string') throw new Error(views)
      applyAll(doc, moreViewsEdits(doc, views))
    }
    applyAll(doc, keptViewsEdits(doc))
    add(834, 'tablet')
    expect(doc.pages.get(home!.id)!.views).toContain('tablet')
    applyAll(doc, [{ op: 'page-meta', id: home!.id, set: { views: ['mobile'] } }])
    add(1024, 'more')
    expect(doc.pages.get(home!.id)!.views).toEqual(['mobile'])
  })

  test('the widest may go: the next is the widest then', () => {
    const doc = Document.fromFile(starterProject('Test', 'home'))
    const edits = removeViewEdits(doc, 'desktop')
    if (typeof edits === 'string') throw new Error(edits)
    applyAll(doc, edits)
    expect(doc.views).toMatchObject([{ id: 'mobile', breakpoint: null }])
    expect(removeViewEdits(doc, 'mobile')).toContain('at least one view')
  })

  test('a page that is drawn at one view alone keeps it', () => {
    const doc = Document.fromFile(starterProject('Test', 'home'))
    applyAll(doc, [{ op: 'page-meta', id: 'home', set: { views: ['mobile'] } }])
    expect(removeViewEdits(doc, 'mobile')).toContain('at this view alone')
  })
})
