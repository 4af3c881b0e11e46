/** The outlines that a block may have. Each is drawn in a box of 100 × 100 and stretched to the block's. */
import * as v from 'valibot'
import { chance } from './chance'
import {
  type Chain,
  fitted,
  mapPath,
  type Path,
  type Point,
  pathData,
  pathFrom,
  polygonOf,
  QUARTER,
  rounded,
  type Step,
} from './path'

const whole = (from: number, to: number) => v.pipe(v.number(), v.integer(), v.minValue(from), v.maxValue(to))
const number = (from: number, to: number) => v.pipe(v.number(), v.finite(), v.minValue(from), v.maxValue(to))
/** How round corners are, percent of what they could be. */
const round = v.optional(number(0, 100))

/** Longest path, characters: some four thousand curves. */
export const MOST_DATA = 200_000

/** What a line may begin and end with. */
export const TIPS = ['arrow', 'head', 'dot'] as const
export type Tip = (typeof TIPS)[number]
const tip = v.optional(v.picklist(TIPS))

/** Ways of putting shapes together. */
export const COMBINATIONS = ['unite', 'subtract', 'intersect', 'exclude'] as const
export type Combination = (typeof COMBINATIONS)[number]

/** Paths as they were read last: one that is pulled is checked, drawn and taken hold of with every frame. */
const lately = new Map<string, Path | undefined>()
const MOST_LATELY = 40

function readPath(data: string): Path | undefined {
  if (lately.has(data)) return lately.get(data)
  const path = pathFrom(data)
  if (lately.size >= MOST_LATELY) lately.clear()
  lately.set(data, path)
  return path
}

/** Absolute M, L, H, V, C, Q and Z within 100 × 100. */
export const PathDataSchema = v.pipe(
  v.string(),
  v.maxLength(MOST_DATA),
  v.check((data) => readPath(data) !== undefined, 'a path of absolute M, L, H, V, C, Q and Z'),
)

export const FormSchema = v.variant('form', [
  v.strictObject({ form: v.literal('ellipse') }),
  v.strictObject({ form: v.literal('polygon'), sides: whole(3, 24), round }),
  /** `depth`: how far in the inner corners lie, percent of the way to the centre. */
  v.strictObject({ form: v.literal('star'), points: whole(3, 40), depth: number(0, 95), round }),
  /** A part of a ring: degrees clockwise from upwards; `hole` percent of the radius. */
  v.strictObject({
    form: v.literal('arc'),
    from: number(-360, 360),
    sweep: number(1, 360),
    hole: number(0, 99),
  }),
  /** A round top on straight sides. */
  v.strictObject({ form: v.literal('arch') }),
  /** Crests along the lower edge, `depth` percent of the height. */
  v.strictObject({ form: v.literal('wave'), crests: whole(1, 40), depth: number(1, 100) }),
  /** Something soft; another `seed` is another one. `swing`: how far it leaves a circle, percent. */
  v.strictObject({
    form: v.literal('blob'),
    seed: whole(0, 9999),
    points: whole(3, 16),
    swing: number(0, 100),
  }),
  v.strictObject({
    form: v.literal('line'),
    slope: v.picklist(['level', 'upright', 'rising', 'falling']),
    start: tip,
    end: tip,
  }),
  /**
   * `of`: the shapes that it was put together from, the lowest first, as long as they can be told apart; `data` is what they come to.
   * `start`, `end`: of each outline that is open.
   */
  v.strictObject({
    form: v.literal('path'),
    data: PathDataSchema,
    start: tip,
    end: tip,
    of: v.optional(
      v.strictObject({
        how: v.picklist(COMBINATIONS),
        parts: v.pipe(v.array(PathDataSchema), v.minLength(2), v.maxLength(16)),
      }),
    ),
  }),
])
export type Form = v.InferOutput<typeof FormSchema>

/** What a shape was put together from, as long as that is kept. */
export const madeOf = (form: Form | undefined): Extract<Form, { form: 'path' }>['of'] =>
  form?.form === 'path' ? form.of : undefined

const BOX = { left: 0, top: 0, right: 100, bottom: 100 }
const FULL = 360

/** A point on a circle round the middle; degrees clockwise from upwards, `radius` 0 to 50. */
function onCircle(degrees: number, radius: number): Point {
  const angle = (degrees * Math.PI) / 180
  return [50 + radius * Math.sin(angle), 50 - radius * Math.cos(angle)]
}

/** Curves along a circle, one for a quarter at most. */
function arcSteps(from: number, to: number, radius: number): Step[] {
  const count = Math.max(1, Math.ceil(Math.abs(to - from) / 90))
  const part = (to - from) / count
  const handle = (4 / 3) * Math.tan((part * Math.PI) / 180 / 4)
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [from + i * part, from + (i + 1) * part]
    const [start, end] = [onCircle(a, radius), onCircle(b, radius)]
    const tangent = (degrees: number): Point => {
      const angle = (degrees * Math.PI) / 180
      return [Math.cos(angle) * radius * handle, Math.sin(angle) * radius * handle]
    }
    const [ta, tb] = [tangent(a), tangent(b)]
    return {
      to: end,
      by: [
        [start[0] + ta[0], start[1] + ta[1]],
        [end[0] - tb[0], end[1] - tb[1]],
      ],
    }
  })
}

const circle = (radius: number): Chain => ({
  from: onCircle(0, radius),
  steps: arcSteps(0, FULL, radius),
  closed: true,
})

function arc(from: number, sweep: number, hole: number): Path {
  const inner = hole / 2
  const outer = arcSteps(from, from + sweep, 50)
  if (sweep === FULL) {
    const hollow: Chain = { from: onCircle(0, inner), steps: arcSteps(0, -FULL, inner), closed: true }
    return hole > 0 ? [circle(50), hollow] : [circle(50)]
  }
  const back: Step[] =
    hole > 0
      ? [{ to: onCircle(from + sweep, inner) }, ...arcSteps(from + sweep, from, inner)]
      : [{ to: [50, 50] }]
  return [{ from: onCircle(from, 50), steps: [...outer, ...back], closed: true }]
}

function wave(crests: number, depth: number): Chain {
  const [low, high] = [100, 100 - depth]
  const half = 100 / crests / 2
  const steps: Step[] = [{ to: [100, 0] }, { to: [100, (low + high) / 2] }]
  // From the right, each half crest by one curve with level handles at its ends.
  for (let i = 0; i < crests * 2; i++) {
    const x = 100 - i * half
    const y = i % 2 === 0 ? low : high
    steps.push({
      to: [x - half, (low + high) / 2],
      by: [
        [x - half * 0.36, (low + high) / 2 + ((y - (low + high) / 2) * 4) / 3],
        [x - half * 0.64, (low + high) / 2 + ((y - (low + high) / 2) * 4) / 3],
      ],
    })
  }
  return { from: [0, 0], steps, closed: true }
}

/** A smooth curve through points round the middle (Catmull and Rom 1974). */
function blob(seed: number, count: number, swing: number): Chain {
  const points = Array.from({ length: count }, (_, i) =>
    onCircle(
      (i * FULL) / count + (chance(seed, i + 100) - 0.5) * (120 / count),
      50 * (1 - (swing / 100) * chance(seed, i)),
    ),
  )
  const at = (i: number) => points[(i + count) % count]!
  const steps = points.map((_, i): Step => {
    const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)] as const
    const sixth = (a: Point, b: Point): Point => [(b[0] - a[0]) / 6, (b[1] - a[1]) / 6]
    const [out, into] = [sixth(before, to), sixth(from, after)] as const
    return {
      to,
      by: [
        [from[0] + out[0], from[1] + out[1]],
        [to[0] - into[0], to[1] - into[1]],
      ],
    }
  })
  return { from: points[0]!, steps, closed: true }
}

const LINES: Record<Extract<Form, { form: 'line' }>['slope'], [Point, Point]> = {
  level: [
    [0, 50],
    [100, 50],
  ],
  upright: [
    [50, 0],
    [50, 100],
  ],
  rising: [
    [0, 100],
    [100, 0],
  ],
  falling: [
    [0, 0],
    [100, 100],
  ],
}

const corners = (count: number, radius: (i: number) => number) =>
  Array.from({ length: count }, (_, i) => onCircle((i * FULL) / count, radius(i)))

/** A form within 100 × 100. */
export function pathOfForm(form: Form): Path {
  switch (form.form) {
    case 'ellipse':
      return [circle(50)]
    case 'polygon':
      return fitted([rounded(polygonOf(corners(form.sides, () => 50)), (form.round ?? 0) / 200)], BOX)
    case 'star': {
      const inner = 50 * (1 - form.depth / 100)
      const points = corners(form.points * 2, (i) => (i % 2 === 0 ? 50 : inner))
      return fitted([rounded(polygonOf(points), (form.round ?? 0) / 200)], BOX)
    }
    case 'arc':
      return arc(form.from, form.sweep, form.hole)
    case 'arch':
      return [
        {
          from: [0, 100],
          steps: [
            { to: [0, 50] },
            {
              to: [50, 0],
              by: [
                [0, 50 - 50 * QUARTER],
                [50 - 50 * QUARTER, 0],
              ],
            },
            {
              to: [100, 50],
              by: [
                [50 + 50 * QUARTER, 0],
                [100, 50 - 50 * QUARTER],
              ],
            },
            { to: [100, 100] },
          ],
          closed: true,
        },
      ]
    case 'wave':
      return [wave(form.crests, form.depth)]
    case 'blob':
      return fitted([blob(form.seed, form.points, form.swing)], BOX)
    case 'line': {
      const [from, to] = LINES[form.slope]
      return [{ from, steps: [{ to }], closed: false }]
    }
    case 'path':
      return readPath(form.data) ?? []
  }
}

/** What a browser draws a form by: the data of an SVG path within 100 × 100. */
export const dataOfForm = (form: Form): string =>
  form.form === 'path' && WRITTEN.test(form.data) ? form.data : pathData(pathOfForm(form))

/** Data as `pathData` writes it. */
const WRITTEN = /^[MLCZ\d .-]*$/

/** A form in a box, px. */
export const pathIn = (form: Form, left: number, top: number, width: number, height: number): Path =>
  mapPath(pathOfForm(form), ([x, y]) => [left + (x / 100) * width, top + (y / 100) * height])
