/** Gradients in an SVG, drawn by a writer of its own, against what CSS says of single points (CSS Images 4 §3). */
import { Resvg } from '@resvg/resvg-js'
import { PNG } from 'pngjs'
import { expect, test } from 'vitest'
import { exactly, lay } from '../../arrange/test-page'
import type { Fill } from '../../properties/items'
import { pageSvg } from './page'

type Gradient = Extract<Fill, { kind: 'gradient' }>

/** The SVG of a box of 200 × 100 at the page's top left, black to white. */
function svgOf(gradient: Partial<Gradient>): string {
  const fill: Gradient = {
    order: 'a0',
    kind: 'gradient',
    angle: 0,
    stops: [
      { color: '#000000', at: 0 },
      { color: '#ffffff', at: 100 },
    ],
    ...gradient,
  }
  const { doc, layout } = lay({ flow: 'free' }, [
    {
      id: 'b',
      kind: 'box',
      name: 'b',
      order: 'a0',
      props: { ...exactly(200, 100), pinLeft: { px: 0 }, pinTop: { px: 0 }, fills: { it: fill } },
    },
  ])
  return pageSvg(doc, layout, new Map())
}

/** @returns grey at points of the box */
function greys(gradient: Partial<Gradient>, ...points: [number, number][]): number[] {
  const png = PNG.sync.read(Buffer.from(new Resvg(svgOf(gradient)).render().asPng()))
  return points.map(([x, y]) => png.data[(png.width * y + x) * 4]!)
}
const near = (found: number[], wanted: number[]) =>
  found.forEach((each, i) => {
    expect(Math.abs(each - wanted[i]!), `${found} for ${wanted}`).toBeLessThan(5)
  })

test('radial: the colour at the centre, half-way, and the last at the farthest corner', () => {
  // Farthest corner: 100√2 wide, 50√2 high.
  near(greys({ shape: 'radial' }, [100, 50], [170, 50], [100, 85], [199, 99]), [0, 126, 126, 254])
  near(greys({ shape: 'radial', x: 0, y: 0 }, [0, 0], [141, 0]), [0, 127])
})

test('conic: a quarter of the way each quarter turn, from where it begins', () => {
  const round = { shape: 'conic' } as const
  near(greys(round, [190, 50], [100, 95], [10, 50]), [64, 127, 191])
  near(greys({ ...round, angle: 90 }, [100, 95], [10, 50], [100, 5]), [64, 127, 191])
  near(greys({ ...round, x: 25 }, [190, 50], [50, 95]), [64, 127])
})

test('between stops of unlike opacity colours are mixed premultiplied', () => {
  const stops = [
    { color: '#ff000000', at: 0 },
    { color: '#00000080', at: 100 },
  ]
  // Nothing of the red shows on the way: half-way it is a quarter black on white.
  near(greys({ shape: 'conic', stops }, [100, 95]), [191])
})

test('no slice leads out of its box: writers of pictures have failed on that', () => {
  const [, slices] = /crispEdges">(.*?)<\/g>/s.exec(svgOf({ shape: 'conic', x: 3, y: 90, angle: 20 }))!
  const corners = [...slices!.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ])
  expect(corners.length).toBeGreaterThan(1000)
  for (const [x, y] of corners) expect(x! >= 0 && x! <= 200 && y! >= 0 && y! <= 100).toBe(true)
})
