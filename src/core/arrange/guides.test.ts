import { describe, expect, test } from 'vitest'
import { addGuideEdits, GUIDE_SETS, guideSet, guidesOf, guideTargets, snapGuide } from './guides'
import { snapLines, snapRect } from './snap'
import { at, lay, makeId } from './test-page'
import { scaledBy, tracedHeight, tracedLines } from './trace'

const page = () => lay({ flow: 'free' }, [at('a', 150, 60, 200, 80)])

describe('guides', () => {
  test('sets lie where their names say: on a container of 1224 from 108', () => {
    const { layout } = page()
    const xs = (set: Parameters<typeof guideSet>[1], selection: string[] = []) =>
      guideSet(layout, set, selection).map(({ axis, at: value }) => `${axis}${Math.round(value)}`)
    expect(xs('halves')).toEqual(['x720'])
    expect(xs('thirds')).toEqual(['x516', 'x924'])
    expect(xs('margins')).toEqual(['x108', 'x1332'])
    expect(xs('columns')).toHaveLength(24)
    expect(xs('sections')).toEqual(['y400', 'y500'])
    expect(xs('selection', ['a'])).toEqual(['x150', 'x350', 'y60', 'y140'])
    expect(xs('selection')).toEqual([])
  })
  test('are laid once: where one lies already none is added, and undoing takes just these away', () => {
    const { doc, layout, run } = page()
    for (const set of GUIDE_SETS) run(addGuideEdits(doc, layout, guideSet(layout, set), makeId))
    const laid = guidesOf(doc, layout.page, 'desktop')
    expect(new Set(laid.map(({ axis, at: value }) => `${axis}${value}`)).size).toBe(laid.length)
    expect(addGuideEdits(doc, layout, guideSet(layout, 'margins'), makeId)).toEqual([])
    // They belong to one view.
    expect(guidesOf(doc, layout.page, 'mobile')).toEqual([])
  })
  test('blocks snap to them by any edge and by the middle', () => {
    const { doc, layout, run } = page()
    run(addGuideEdits(doc, layout, [{ axis: 'x', at: 611 }], makeId))
    const lines = snapLines(
      layout,
      ['a'],
      new Set(['guides'] as const),
      guidesOf(doc, layout.page, 'desktop'),
    )
    for (const x of [613, 413 - 4, 513 - 1]) {
      const { rect, hits } = snapRect({ x, y: 0, width: 200, height: 80 }, lines, 6)
      expect(hits.map((hit) => hit.reason)).toEqual(['guide 611'])
      expect([rect.x, rect.x + 100, rect.x + 200]).toContain(611)
    }
  })
  test('they land on columns, sections and blocks, else on whole px', () => {
    const { layout } = page()
    const targets = guideTargets(layout)
    expect(snapGuide('x', 109.4, targets, 5)).toMatchObject({ at: 108 })
    expect(snapGuide('x', 351.2, targets, 5).line?.reason).toBe('a, right edge')
    expect(snapGuide('y', 397, targets, 5)).toMatchObject({ at: 400 })
    expect(snapGuide('x', 1400.4, targets, 5)).toEqual({ at: 1400, line: undefined })
  })
})

describe('tracing', () => {
  const tracing = {
    ...{ kind: 'tracing' as const, id: 't', view: 'desktop', asset: 'p', opacity: 0.5 },
    ...{ x: 20, y: 40, scale: 2 },
  }
  test('its edges are lines of the sheet', () => {
    const lines = tracedLines(tracing, { x: [{ at: 50, run: 90 }], y: [{ at: 10, run: 30 }] })
    expect(lines.map(({ axis, at: value }) => [axis, value])).toEqual([
      ['x', 120],
      ['y', 60],
    ])
  })
  test('scaled by two points they lie as far apart as was said, the first where it was', () => {
    const first = { x: 120, y: 60 }
    const scaled = scaledBy(tracing, first, { x: 420, y: 460 }, 250)!
    // 500 px apart before: half as large, and the point of the picture under `first` still there.
    expect(scaled.scale).toBe(1)
    const inPicture = (of: typeof tracing) => [(first.x - of.x) / of.scale, (first.y - of.y) / of.scale]
    expect(inPicture(scaled as typeof tracing)).toEqual(inPicture(tracing))
    expect(scaledBy(tracing, first, first, 100)).toBeUndefined()
  })
  test('a sheet is as tall as its tracing', () => {
    const { doc, layout, run } = page()
    const asset = {
      id: 'p',
      name: 'p',
      type: 'image/png' as const,
      width: 10,
      height: 600,
      size: 0,
      hash: '0'.repeat(64),
    }
    run([
      { op: 'asset', id: 'p', asset },
      { op: 'aid', page: layout.page, id: 't', aid: tracing },
    ])
    expect(tracedHeight(doc, layout.page, 'desktop')).toBe(1240)
    expect(tracedHeight(doc, layout.page, 'mobile')).toBe(0)
    // What a tracing shows cannot be taken out from under it.
    expect(() => run([{ op: 'asset', id: 'p', asset: null }])).toThrow(/used by “a tracing on/)
    expect(() =>
      run([{ op: 'aid', page: layout.page, id: 'u', aid: { ...tracing, id: 'u', asset: 'gone' } }]),
    ).toThrow(/no picture gone/)
  })
})
