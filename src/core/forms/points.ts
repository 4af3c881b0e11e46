/** An outline as what is taken hold of: points with the handles of the curves that meet there. Any unit; pure, each answer a new outline. */
import { type Chain, near, type Path, type Point, type Step } from './path'

/** A point and the handles of the curve that comes in and of the one that goes out. Without one that side is straight as far as it decides. */
export type Anchor = { readonly at: Point; readonly into?: Point; readonly out?: Point }
/** `part`: which of the shapes it is of, where several are put together. */
export type Outline = {
  readonly anchors: readonly Anchor[]
  readonly closed: boolean
  readonly part?: number
}
export type Outlines = readonly Outline[]
/** A point by its outline and its place in that. */
export type AnchorRef = { readonly outline: number; readonly anchor: number }
/** A place on the way from a point to the next, by its share of that. */
export type EdgePlace = AnchorRef & { readonly t: number }

/** Handles are on one line, as far as anybody sees: the sine of the angle between them. */
const STRAIGHT = 0.01

export const plus = ([a, b]: Point, [c, d]: Point): Point => [a + c, b + d]
export const minus = ([a, b]: Point, [c, d]: Point): Point => [a - c, b - d]
export const times = ([a, b]: Point, by: number): Point => [a * by, b * by]
export const lengthOf = ([a, b]: Point): number => Math.hypot(a, b)
const mix = (a: Point, b: Point, t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]

const anchorOf = (at: Point, into: Point | undefined, out: Point | undefined): Anchor => ({
  at,
  ...(into && !near(into, at) ? { into } : {}),
  ...(out && !near(out, at) ? { out } : {}),
})

function outlineOf({ from, steps, closed }: Chain, part?: number): Outline {
  const anchors = [from, ...steps.map(({ to }) => to)].map((at, i) =>
    anchorOf(at, steps[i - 1]?.by?.[1], steps[i]?.by?.[0]),
  )
  const last = anchors.at(-1)!
  // The way back to where it began ends in that point.
  if (closed && anchors.length > 1 && near(last.at, from)) {
    anchors.pop()
    anchors[0] = anchorOf(from, last.into, anchors[0]!.out)
  }
  return { anchors, closed, ...(part === undefined ? {} : { part }) }
}

export const outlinesOf = (path: Path, part?: number): Outlines => path.map((chain) => outlineOf(chain, part))

/** From one point to the next: straight unless one of the two has a handle there. */
const stepTo = (from: Anchor, to: Anchor): Step =>
  from.out || to.into ? { to: to.at, by: [from.out ?? from.at, to.into ?? to.at] } : { to: to.at }

export const pathOfOutlines = (outlines: Outlines): Path =>
  outlines.map(({ anchors, closed }) => {
    const steps = anchors.slice(1).map((anchor, i) => stepTo(anchors[i]!, anchor))
    const back = stepTo(anchors.at(-1)!, anchors[0]!)
    return { from: anchors[0]!.at, steps: closed && back.by ? [...steps, back] : steps, closed }
  })

export const anchorAt = (outlines: Outlines, { outline, anchor }: AnchorRef): Anchor | undefined =>
  outlines[outline]?.anchors[anchor]

export const isSame = (a: AnchorRef, b: AnchorRef) => a.outline === b.outline && a.anchor === b.anchor

/** All points, in order. */
export const allAnchors = (outlines: Outlines): AnchorRef[] =>
  outlines.flatMap(({ anchors }, outline) => anchors.map((_, anchor) => ({ outline, anchor })))

/** Whether a point is the first or last of an open outline. */
export function isEnd(outlines: Outlines, { outline, anchor }: AnchorRef): boolean {
  const { anchors, closed } = outlines[outline]!
  return !closed && (anchor === 0 || anchor === anchors.length - 1)
}

/** Whether curves go through a point without a bend: both handles, on one line, on either side. */
export function isSmooth({ at, into, out }: Anchor): boolean {
  if (!into || !out) return false
  const [a, b] = [minus(into, at), minus(out, at)]
  const size = lengthOf(a) * lengthOf(b)
  return Math.abs(a[0] * b[1] - a[1] * b[0]) <= STRAIGHT * size && a[0] * b[0] + a[1] * b[1] < 0
}

/** The points before and after one; none beyond the ends of an open outline. */
function beside({ anchors, closed }: Outline, i: number): [Anchor | undefined, Anchor | undefined] {
  const count = anchors.length
  return closed
    ? [anchors[(i + count - 1) % count], anchors[(i + 1) % count]]
    : [anchors[i - 1], anchors[i + 1]]
}

/** Some points of one outline changed. */
export function changed(
  outlines: Outlines,
  refs: readonly AnchorRef[],
  change: (anchor: Anchor, outline: Outline, i: number) => Anchor,
): Outlines {
  const chosen = new Map<number, Set<number>>()
  for (const { outline, anchor } of refs)
    chosen.set(outline, (chosen.get(outline) ?? new Set<number>()).add(anchor))
  return outlines.map((outline, o) => {
    const here = chosen.get(o)
    if (!here) return outline
    return {
      ...outline,
      anchors: outline.anchors.map((anchor, i) => (here.has(i) ? change(anchor, outline, i) : anchor)),
    }
  })
}

/** Points moved with their handles. */
export const movedBy = (outlines: Outlines, refs: readonly AnchorRef[], by: Point): Outlines =>
  changed(outlines, refs, ({ at, into, out }) =>
    anchorOf(plus(at, by), into && plus(into, by), out && plus(out, by)),
  )

/**
 * One handle pulled to a place. Where curves go through without a bend they still do: the other handle turns with it.
 * @param alone the other stays as it is
 */
export const handlePulled = (
  outlines: Outlines,
  ref: AnchorRef,
  side: 'into' | 'out',
  to: Point,
  alone = false,
): Outlines =>
  changed(outlines, [ref], (anchor) => {
    const other = side === 'into' ? anchor.out : anchor.into
    const way = minus(to, anchor.at)
    const length = lengthOf(way)
    const turned =
      !alone && other && isSmooth(anchor) && length > 0
        ? minus(anchor.at, times(way, lengthOf(minus(other, anchor.at)) / length))
        : other
    return side === 'into' ? anchorOf(anchor.at, to, turned) : anchorOf(anchor.at, turned, to)
  })

/** Both handles of a new point, alike: one where the pointer is, one opposite. */
export const handlesPulled = (outlines: Outlines, ref: AnchorRef, to: Point): Outlines =>
  changed(outlines, [ref], ({ at }) => anchorOf(at, minus(times(at, 2), to), to))

/** Curves go through points without a bend: along the line from the one before to the one after, a third as long as the way there. */
export const smoothed = (outlines: Outlines, refs: readonly AnchorRef[]): Outlines =>
  changed(outlines, refs, ({ at }, outline, i) => {
    const [before, after] = beside(outline, i)
    const along = minus((after ?? { at }).at, (before ?? { at }).at)
    const length = lengthOf(along)
    if (length === 0) return { at }
    const third = (other: Anchor | undefined) =>
      other && times(along, lengthOf(minus(other.at, at)) / 3 / length)
    const [back, on] = [third(before), third(after)]
    return anchorOf(at, back && minus(at, back), on && plus(at, on))
  })

/** Corners: their sides are as straight as the points beside them leave them. */
export const cornered = (outlines: Outlines, refs: readonly AnchorRef[]): Outlines =>
  changed(outlines, refs, ({ at }) => ({ at }))

/** The four points of the curve from a point to the next. Undefined: nothing follows. */
export function curveFrom(outlines: Outlines, { outline, anchor }: AnchorRef): readonly Point[] | undefined {
  const all = outlines[outline]
  const from = all?.anchors[anchor]
  const to = all && beside(all, anchor)[1]
  if (!from || !to || all.anchors.length < 2) return undefined
  return [from.at, from.out ?? from.at, to.into ?? to.at, to.at]
}

/** A curve cut in two at a share of its way (De Casteljau). */
export function cutCurve([a, b, c, d]: readonly Point[], t: number): [readonly Point[], readonly Point[]] {
  const [ab, bc, cd] = [mix(a!, b!, t), mix(b!, c!, t), mix(c!, d!, t)]
  const [abc, bcd] = [mix(ab, bc, t), mix(bc, cd, t)]
  const at = mix(abc, bcd, t)
  return [
    [a!, ab, abc, at],
    [at, bcd, cd, d!],
  ]
}

export const pointOn = (curve: readonly Point[], t: number): Point => cutCurve(curve, t)[0][3]!

/** A point put on the way to the next without changing what is drawn. */
export function inserted(outlines: Outlines, place: EdgePlace): [Outlines, AnchorRef] {
  const all = outlines[place.outline]!
  const curve = curveFrom(outlines, place)
  if (!curve) return [outlines, place]
  const { anchors } = all
  const next = (place.anchor + 1) % anchors.length
  const isStraight = !anchors[place.anchor]!.out && !anchors[next]!.into
  const [one, two] = cutCurve(curve, place.t)
  const made = isStraight ? { at: mix(curve[0]!, curve[3]!, place.t) } : anchorOf(one[3]!, one[2], two[1])
  const shorter = anchors.map((anchor, i) => {
    if (isStraight) return anchor
    if (i === place.anchor) return anchorOf(anchor.at, anchor.into, one[1])
    return i === next ? anchorOf(anchor.at, two[2], anchor.out) : anchor
  })
  const at = place.anchor + 1
  const outline = { ...all, anchors: [...shorter.slice(0, at), made, ...shorter.slice(at)] }
  return [outlines.with(place.outline, outline), { outline: place.outline, anchor: at }]
}

const SAMPLES = 16
const HALVINGS = 12

/** The place on a curve that is nearest to a point: looked for in steps, then between them. */
function nearestOn(curve: readonly Point[], to: Point): { t: number; distance: number } {
  const away = (t: number) => lengthOf(minus(pointOn(curve, t), to))
  let best = { t: 0, distance: away(0) }
  for (let i = 1; i <= SAMPLES; i++) {
    const distance = away(i / SAMPLES)
    if (distance < best.distance) best = { t: i / SAMPLES, distance }
  }
  for (let i = 0, step = 0.5 / SAMPLES; i < HALVINGS; i++, step /= 2)
    for (const t of [best.t - step, best.t + step]) {
      if (t < 0 || t > 1) continue
      const distance = away(t)
      if (distance < best.distance) best = { t, distance }
    }
  return best
}

/** Where an outline comes nearest to a point, if it comes as near as that. */
export function nearestEdge(outlines: Outlines, to: Point, within: number): EdgePlace | undefined {
  let best: (EdgePlace & { distance: number }) | undefined
  for (const ref of allAnchors(outlines)) {
    const curve = curveFrom(outlines, ref)
    if (!curve) continue
    // A curve lies within the bounds of its four points.
    const far = ([0, 1] as const).some((axis) => {
      const values = curve.map((point) => point[axis])
      const reach = best?.distance ?? within
      return to[axis] < Math.min(...values) - reach || to[axis] > Math.max(...values) + reach
    })
    if (far) continue
    const { t, distance } = nearestOn(curve, to)
    if (distance <= (best?.distance ?? within)) best = { ...ref, t, distance }
  }
  return best && { outline: best.outline, anchor: best.anchor, t: best.t }
}

/** The point nearest to a place, if it is as near as that; of those on one another the uppermost. */
export function nearestAnchor(outlines: Outlines, to: Point, within: number): AnchorRef | undefined {
  let best: AnchorRef | undefined
  let reach = within
  for (const ref of allAnchors(outlines)) {
    const distance = lengthOf(minus(outlines[ref.outline]!.anchors[ref.anchor]!.at, to))
    if (distance > reach) continue
    best = ref
    reach = distance
  }
  return best
}
