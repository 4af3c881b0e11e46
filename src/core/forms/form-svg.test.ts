import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { buildSite } from '../handoff/site'
import { starterProject } from '../shelf/starter'
import type { Form } from './form'
import { areLines, formSvg, isTipped, tipsIn } from './form-svg'

type Line = Extract<Form, { form: 'line' }>
const line = (slope: Line['slope'], tips: Partial<Line> = {}): Line => ({ form: 'line', slope, ...tips })

describe('tips of a line', () => {
  test.each([
    ['level', { x: 200, y: 25, turn: 0 }],
    ['upright', { x: 100, y: 50, turn: 90 }],
    ['rising', { x: 200, y: 0, turn: (Math.atan2(-50, 200) * 180) / Math.PI }],
    ['falling', { x: 200, y: 50, turn: (Math.atan2(50, 200) * 180) / Math.PI }],
  ] as const)('%s: where it ends, looking the way it runs in its box', (slope, place) => {
    expect(tipsIn(line(slope, { end: 'arrow' }), 200, 50)).toEqual([{ tip: 'arrow', ...place }])
    const [start] = tipsIn(line(slope, { start: 'dot' }), 200, 50)
    expect((start!.turn + 360) % 360).toBeCloseTo((place.turn + 180) % 360)
  })
  test('only what has one is drawn so', () => {
    expect(isTipped(line('level'))).toBe(false)
    expect(isTipped(line('level', { start: 'dot' }))).toBe(true)
    expect(isTipped({ form: 'ellipse' })).toBe(false)
  })
  test('is no part of what is stretched: a line in percent of its box, marked in widths of the line', () => {
    const drawn = formSvg(line('rising', { end: 'head' }), 'line-1')
    expect(drawn.attributes).toEqual([])
    expect(drawn.content.join('')).toContain(
      '<line x1="0" y1="100%" x2="100%" y2="0" marker-end="url(#line-1-end)"/>',
    )
    expect(drawn.content.join('')).not.toContain('marker-start')
    expect(formSvg(line('rising'), 'line-1').attributes).toContainEqual(['viewBox', '0 0 100 100'])
  })
})

describe('tips of curves', () => {
  const bent = (tips: object, data = 'M0 100C0 50 50 0 100 0'): Form => ({ form: 'path', data, ...tips })
  const tips = (form: Form, width: number, height: number) => tipsIn(form as Line, width, height)
  test('look the way the curve ends in its box', () => {
    const [start, end] = tips(bent({ start: 'dot', end: 'arrow' }), 300, 150)
    expect(start).toEqual({ tip: 'dot', x: 0, y: 150, turn: 90 })
    expect(end).toEqual({ tip: 'arrow', x: 300, y: 0, turn: 0 })
    const [steep] = tips(bent({ end: 'head' }, 'M0 0C0 0 50 50 100 100'), 100, 300)
    expect(steep!.turn).toBeCloseTo((Math.atan2(150, 50) * 180) / Math.PI)
  })
  test('a handle that lies in its end says nothing of it', () => {
    const [end] = tips(bent({ end: 'arrow' }, 'M0 0C0 100 100 100 100 100'), 100, 100)
    expect(end!.turn).toBe(0)
    const [alone] = tips(bent({ end: 'arrow' }, 'M0 0C0 0 100 0 100 0'), 100, 100)
    expect(alone!.turn).toBe(0)
    expect(tips(bent({ end: 'arrow' }, 'M50 50L50 50'), 100, 100)).toEqual([])
  })
  test('each open outline has its own; what is closed has none', () => {
    const two = 'M0 0L100 0M0 100L50 50L100 100M10 10L20 10L20 20Z'
    expect(tips(bent({ start: 'dot', end: 'dot' }, two), 10, 10)).toHaveLength(4)
    expect(isTipped(bent({ end: 'dot' }, 'M10 10L20 10L20 20Z'))).toBe(false)
    expect(areLines(bent({}))).toBe(true)
  })
  test('the curve is stretched with its box, its tips are not', () => {
    const { attributes, content } = formSvg(bent({ end: 'arrow' }), 'line-1')
    expect(attributes).toEqual([])
    expect(content.join('')).toContain('<svg viewBox="0 0 100 100" preserveAspectRatio="none"')
    expect(content.at(-1)).toBe(
      '<line x1="50%" y1="0" x2="100%" y2="0" stroke="none" marker-end="url(#line-1-end)"/>',
    )
  })
})

test('two lines on a page have markers of their own', () => {
  const file = starterProject('Site', 'home')
  const shape = (id: string) => ({
    id,
    kind: 'shape' as const,
    name: 'Arrow',
    order: id,
    props: {
      form: line('level', { start: 'dot', end: 'arrow' }),
      stroke: { width: 3, color: '#1d5c45' },
    },
  })
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Opening',
      order: 'a0',
      props: {},
      children: [shape('a1'), shape('a2')],
    },
  ]
  const html = buildSite(Document.fromFile(file), new Map()).text.get('index.html')!
  const ids = [...html.matchAll(/<marker id="([^"]+)"/g)].map(([, id]) => id)
  expect(new Set(ids).size).toBe(4)
  for (const id of ids) expect(html).toContain(`url(#${id})`)
})
