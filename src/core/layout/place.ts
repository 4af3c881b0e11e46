/** Laying out one box: dispatch by flow, with the caches that make a second visit free. */
import { cutToUnit } from '../text/unit'
import { clamp, Flow, type LayoutBox, Sizing } from './box'

/**
 * What lays out a box's content by its flow, in a border box of a width and a height (NaN: from the content). They ask `layoutBox` of
 * what is in the box and know nothing of one another.
 */
export type Algorithms = {
  /** Rows and columns. @returns the border-box height */
  flex: (box: LayoutBox, width: number, height: number, definite: boolean) => number
  /** @returns the border-box height */
  lattice: (box: LayoutBox, width: number, height: number) => number
  /** Places what is out of the flow, once its size is known. */
  lifted: (box: LayoutBox, width: number, height: number) => void
}

let algorithms: Algorithms

/** Said once, where all are known: `algorithms.ts`. */
export function layOutWith(all: Algorithms) {
  algorithms = all
}

/** Height that `aspect-ratio` gives a box of border-box width `width`; NaN when it has none, or something flows in it. */
export function ratioHeight(box: LayoutBox, width: number): number {
  if (!(box.ratio > 0) || box.kids.length > 0) return Number.NaN
  return box.naturalRatio
    ? cutToUnit(Math.max(0, width - box.padX) / box.ratio) + box.padY
    : cutToUnit(width / box.ratio)
}

/** Border-box height at border-box width `width` when nothing fixes the height, within min and max. */
export function measureHeight(box: LayoutBox, width: number): number {
  return limit(box, contentHeight(box, width))
}

/** The same without the box's own least and most height: the flex base size along a column (Flexbox 1 §9.2). */
export function contentHeight(box: LayoutBox, width: number): number {
  if (box.measuredW === width) return box.measuredHeight
  const { uncommon } = box
  let height = layoutBox(box, width, Number.NaN, false)
  if (height <= uncommon.minH || height >= uncommon.maxH) {
    box.uncommon = { ...uncommon, minH: Number.NaN, maxH: Number.NaN }
    box.lastW = Number.NaN
    height = layoutBox(box, width, Number.NaN, false)
    box.uncommon = uncommon
    box.lastW = Number.NaN
  }
  box.measuredW = width
  box.measuredHeight = height
  return height
}

/**
 * Lays out everything in `box`, with its border box `width` wide and `height` high (NaN: from the content).
 * `definite`: whether percentages of the height resolve inside. Returns the border-box height.
 */
export function layoutBox(box: LayoutBox, width: number, height: number, definite: boolean): number {
  const same = box.lastW === width && box.lastDefinite === definite
  if (same && (box.lastH === height || (Number.isNaN(box.lastH) && Number.isNaN(height))))
    return box.lastResult
  box.lastW = width
  box.lastH = height
  box.lastDefinite = definite
  const result = layoutContent(box, width, height, definite)
  box.lastResult = result
  if (box.lifted.length > 0) algorithms.lifted(box, width, result)
  return result
}

function layoutContent(box: LayoutBox, width: number, height: number, definite: boolean): number {
  const auto = Number.isNaN(height)
  // Most boxes of a page hold nothing: no algorithm to run.
  if (box.kids.length === 0 && (box.flow === Flow.Row || box.flow === Flow.Column) && !(box.ratio > 0)) {
    return auto ? limit(box, box.padY) : height
  }
  switch (box.flow) {
    case Flow.Text: {
      if (!auto) return height
      return limit(box, box.typeset!.height(Math.max(0, width - box.padX)) + box.padY)
    }
    case Flow.Picture:
      return auto ? limit(box, ratioHeight(box, width) || box.padY) : height
    case Flow.Free:
      return auto ? limit(box, Math.max(box.padY, ratioHeight(box, width) || 0)) : height
    case Flow.Stack: {
      let y = 0
      for (const kid of box.kids) {
        const own =
          kid.heightKind === Sizing.Exact
            ? Math.max(kid.padY, clamp(kid.heightValue, kid.minH, kid.maxH))
            : Number.NaN
        kid.width = width
        kid.height = layoutBox(kid, width, own, !Number.isNaN(own))
        kid.x = 0
        kid.y = y
        y += kid.height
      }
      return y
    }
    default: {
      if (auto && box.kids.length === 0) return limit(box, Math.max(box.padY, ratioHeight(box, width) || 0))
      return box.flow === Flow.Lattice
        ? algorithms.lattice(box, width, height)
        : algorithms.flex(box, width, height, definite)
    }
  }
}

const limit = (box: LayoutBox, height: number) => Math.max(box.padY, clamp(height, box.minH, box.maxH))
