/** What changes how many points or outlines there are: points taken away, outlines closed, broken, joined, corners rounded. */
import { near, type Point } from './path'
import {
  type Anchor,
  type AnchorRef,
  anchorAt,
  curveFrom,
  cutCurve,
  isEnd,
  isSmooth,
  lengthOf,
  minus,
  type Outline,
  type Outlines,
  plus,
  pointOn,
  times,
} from './points'

/** Points taken away: those beside them are joined by what is left of the curves. @returns undefined when nothing would be left */
export function removed(outlines: Outlines, refs: readonly AnchorRef[]): Outlines | undefined {
  const gone = new Set(refs.map(({ outline, anchor }) => `${outline} ${anchor}`))
  const left = outlines
    .map((outline, o) => ({ ...outline, anchors: outline.anchors.filter((_, i) => !gone.has(`${o} ${i}`)) }))
    .filter(({ anchors }) => anchors.length > 1)
    // Two points have nothing between them.
    .map((outline) =>
      outline.anchors.length < 3 && !isRound(outline) ? { ...outline, closed: false } : outline,
    )
  return left.length > 0 ? left : undefined
}

const isRound = ({ anchors }: Outline) => anchors.some(({ into, out }) => into || out)

/** An open outline closed: its ends joined by a straight line, or made one where they lie on one another. */
export function closed(outlines: Outlines, index: number): Outlines {
  const outline = outlines[index]!
  const [first, last] = [outline.anchors[0]!, outline.anchors.at(-1)!] as const
  const isOne = outline.anchors.length > 2 && near(first.at, last.at)
  const anchors = isOne
    ? [{ ...first, ...(last.into ? { into: last.into } : {}) }, ...outline.anchors.slice(1, -1)]
    : outline.anchors
  return outlines.with(index, { ...outline, anchors, closed: true })
}

const without = (anchor: Anchor, side: 'into' | 'out'): Anchor => {
  const { [side]: _, ...rest } = anchor
  return rest
}

/** Broken at a point: a closed outline is open from there on, an open one becomes two. An end cannot be broken. */
export function broken(outlines: Outlines, ref: AnchorRef): [Outlines, AnchorRef] {
  const outline = outlines[ref.outline]!
  const { anchors } = outline
  const at = anchors[ref.anchor]
  if (isEnd(outlines, ref)) return [outlines, ref]
  const [head, tail] = [without(at!, 'into'), without(at!, 'out')]
  if (outline.closed) {
    const round = [head, ...anchors.slice(ref.anchor + 1), ...anchors.slice(0, ref.anchor), tail]
    const opened = { ...outline, anchors: round, closed: false }
    return [outlines.with(ref.outline, opened), { outline: ref.outline, anchor: round.length - 1 }]
  }
  const before = { ...outline, anchors: [...anchors.slice(0, ref.anchor), tail] }
  const after = { ...outline, anchors: [head, ...anchors.slice(ref.anchor + 1)] }
  return [
    [...outlines.slice(0, ref.outline), before, after, ...outlines.slice(ref.outline + 1)],
    { outline: ref.outline, anchor: ref.anchor },
  ]
}

const turned = (outline: Outline): Outline => ({
  ...outline,
  anchors: outline.anchors.toReversed().map(({ at, into, out }) => ({
    at,
    ...(out ? { into: out } : {}),
    ...(into ? { out: into } : {}),
  })),
})

/** Two ends joined: of one outline, which closes it, or of two, which makes them one. Undefined: they are no two ends of a shape. */
export function joined(outlines: Outlines, one: AnchorRef, other: AnchorRef): Outlines | undefined {
  if (!isEnd(outlines, one) || !isEnd(outlines, other)) return undefined
  if (one.outline === other.outline)
    return one.anchor === other.anchor ? undefined : closed(outlines, one.outline)
  const [a, b] = [outlines[one.outline]!, outlines[other.outline]!] as const
  if (a.part !== b.part) return undefined
  const head = one.anchor === 0 ? turned(a) : a
  const tail = other.anchor === 0 ? b : turned(b)
  const [last, first] = [head.anchors.at(-1)!, tail.anchors[0]!] as const
  const anchors = near(last.at, first.at)
    ? [
        ...head.anchors.slice(0, -1),
        { ...last, ...(first.out ? { out: first.out } : {}) },
        ...tail.anchors.slice(1),
      ]
    : [...head.anchors, ...tail.anchors]
  return outlines.with(one.outline, { ...head, anchors }).filter((_, i) => i !== other.outline)
}

/** A point put behind an end of an open outline. @returns the outlines and where the new one is */
export function continued(outlines: Outlines, end: AnchorRef, at: Point): [Outlines, AnchorRef] {
  const outline = outlines[end.outline]!
  const atStart = end.anchor === 0 && outline.anchors.length > 1
  const anchors = atStart ? [{ at }, ...outline.anchors] : [...outline.anchors, { at }]
  return [
    outlines.with(end.outline, { ...outline, anchors }),
    { outline: end.outline, anchor: atStart ? 0 : anchors.length - 1 },
  ]
}

/** The share of a curve's way at which it has come so far from where it begins, as the crow flies. */
function awayAt(curve: readonly Point[], distance: number): number {
  let [low, high] = [0, 1]
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (lengthOf(minus(pointOn(curve, middle), curve[0]!)) < distance) low = middle
    else high = middle
  }
  return (low + high) / 2
}

const backwards = (curve: readonly Point[]) => curve.toReversed()
/** How much of a side a round corner may take. */
const MOST = 0.999

/** The two sides of a corner, each going out from it. Undefined: it is an end, or no corner. */
function sidesOf(outlines: Outlines, ref: AnchorRef): [readonly Point[], readonly Point[]] | undefined {
  const anchor = anchorAt(outlines, ref)
  const outline = outlines[ref.outline]!
  if (!anchor || isEnd(outlines, ref) || isSmooth(anchor) || outline.anchors.length < 3) return undefined
  const before = (ref.anchor + outline.anchors.length - 1) % outline.anchors.length
  const back = curveFrom(outlines, { outline: ref.outline, anchor: before })
  const on = curveFrom(outlines, ref)
  return back && on && [backwards(back), on]
}

/** Whether a point is a corner that can be made round. */
export const canRound = (outlines: Outlines, ref: AnchorRef) => sidesOf(outlines, ref) !== undefined

/**
 * A corner made round as by a circle of a radius that touches both of its sides; where sides are curves, by their direction at the corner. A radius
 * that does not fit is the largest that does.
 * @returns the outlines and the first of the two points that the corner has become
 */
export function cornerRounded(outlines: Outlines, ref: AnchorRef, radius: number): [Outlines, AnchorRef] {
  const sides = sidesOf(outlines, ref)
  if (!sides || radius <= 0) return [outlines, ref]
  const corner = sides[0][0]
  const ways = sides.map((side) => {
    const towards = minus(side.find((point) => !near(point, corner!)) ?? side[3]!, corner!)
    return times(towards, 1 / (lengthOf(towards) || 1))
  })
  const between = Math.acos(Math.max(-1, Math.min(1, ways[0]![0] * ways[1]![0] + ways[0]![1] * ways[1]![1])))
  // A fold back on itself, or no bend: there is nothing to round.
  if (between < 1e-3 || between > Math.PI - 1e-3) return [outlines, ref]
  const room = Math.min(...sides.map((side) => lengthOf(minus(side[3]!, corner!)))) * MOST
  const reach = Math.min(radius / Math.tan(between / 2), room)
  const used = reach * Math.tan(between / 2)
  const handle = (4 / 3) * Math.tan((Math.PI - between) / 4) * used
  const cuts = sides.map((side) => cutCurve(side, awayAt(side, reach))[1])
  const [before, after] = cuts.map((cut, i) => {
    const at = cut[0]!
    const isStraight = near(sides[i]![0]!, sides[i]![1]!) && near(sides[i]![2]!, sides[i]![3]!)
    return {
      at,
      along: isStraight ? undefined : cut[1],
      towards: plus(at, times(ways[i]!, -handle)),
      far: cut[2]!,
    }
  })
  const made: Anchor[] = [
    { at: before!.at, ...(before!.along ? { into: before!.along } : {}), out: before!.towards },
    { at: after!.at, into: after!.towards, ...(after!.along ? { out: after!.along } : {}) },
  ]
  const outline = outlines[ref.outline]!
  const count = outline.anchors.length
  const [previous, next] = [(ref.anchor + count - 1) % count, (ref.anchor + 1) % count]
  const anchors = outline.anchors.flatMap((anchor, i): Anchor[] => {
    if (i === ref.anchor) return made
    const cut = { ...anchor }
    if (i === previous && before!.along) cut.out = before!.far
    if (i === next && after!.along) cut.into = after!.far
    return [cut]
  })
  return [outlines.with(ref.outline, { ...outline, anchors }), ref]
}
