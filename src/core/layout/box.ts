/** The layout tree: one flat-fielded object per block, with what its style asks and what layout found. */
import type { Node } from '../document/document'
import type { Resolved } from '../document/resolve'
import type { UsedLattice } from '../lattice/used'
import type { Paragraph } from '../text/paragraph'

export enum Flow {
  Row,
  Column,
  Lattice,
  Free,
  Text,
  Picture,
  /** The page: sections one below the other. */
  Stack,
}

export enum Sizing {
  Exact,
  Snug,
  Stretch,
  /** `value` is a ratio, 0.5 for 50 %. */
  Percent,
}

export enum Align {
  Start,
  Center,
  End,
  Baseline,
}

export enum Spread {
  Start,
  Center,
  End,
  Between,
  Around,
  Evenly,
  Stretch,
}

/** A pin: px from the edge plus a ratio of the containing block; NaN px: not pinned. */
export type Pins = {
  left: number
  leftRatio: number
  right: number
  rightRatio: number
  top: number
  topRatio: number
  bottom: number
  bottomRatio: number
  centerX: number
  centerY: number
}

/** Columns a lattice places its children on, px from its border box's left edge. */
export type Tracks = { left: Float64Array; width: Float64Array; gap: number }

const NONE = Number.NaN
/** Shared by all that hold nothing: most boxes are leaves. */
export const NO_BOXES: readonly LayoutBox[] = []

export class LayoutBox {
  parent: LayoutBox | null = null
  /** In flow, in visual order. */
  kids: readonly LayoutBox[] = NO_BOXES
  /** Out of flow, in document order. */
  lifted: readonly LayoutBox[] = NO_BOXES
  /** Out of the flow in any view it is hidden in. */
  hidden = false
  /** Visual order among the siblings. */
  order = 0
  /** Its own size or padding follows the window's width directly. */
  followsWindow = false
  private resolvedProps: Resolved | undefined
  private resolver: ((node: Node) => Resolved) | undefined
  paragraph: Paragraph | null = null

  // What the style asks, px unless said otherwise.
  flow: Flow = Flow.Column
  wrap = false
  dense = false
  rowGap = 0
  colGap = 0
  justify: Spread = Spread.Start
  align: Align = Align.Start
  alignContent: Spread = Spread.Stretch
  /** How this box is aligned across its parent's flow. */
  alignSelf: Align = Align.Start
  /** Distance before it along its row or column, beside the gap. */
  before = 0
  padT = 0
  padR = 0
  padB = 0
  padL = 0
  borT = 0
  borR = 0
  borB = 0
  borL = 0
  widthKind: Sizing = Sizing.Snug
  widthValue = 0
  heightKind: Sizing = Sizing.Snug
  heightValue = 0
  minW = NONE
  maxW = NONE
  minH = NONE
  maxH = NONE
  /** Width divided by height; NaN: none. */
  ratio = NONE
  /** The ratio is the picture file's own: it holds between content edges; `aspect-ratio` holds between borders. */
  naturalRatio = false
  /** Of the picture file, px. */
  naturalWidth = 0
  clip = false
  /** Lattice placement; `from` 0: automatic. */
  from = 0
  span = 1
  /** A lattice's own column count. */
  columns = 1
  subgrid = false
  /** A section's own lattice. */
  lattice: UsedLattice | null = null
  tracks: Tracks | null = null
  pins: Pins | null = null

  // What layout found: border box, x and y from the parent's border box.
  x = 0
  y = 0
  width = 0
  height = 0

  // Caches, valid until `dirty`.
  minContent = NONE
  maxContent = NONE
  lastW = NONE
  lastH = NONE
  lastDefinite = false
  lastResult = NONE
  measuredW = NONE
  measuredHeight = NONE

  // Scratch of the parent's algorithm.
  base = 0
  low = 0
  high = 0
  hypothetical = 0
  target = 0
  /** Flexed size before the limits. */
  wanted = 0
  frozen = false
  cross = 0
  column = 0
  row = 0

  constructor(
    readonly id: string,
    public node: Node,
  ) {}

  /** Everything the block is in this view; worked out when first asked for. */
  get resolved(): Resolved {
    this.resolvedProps ??= this.resolver!(this.node)
    return this.resolvedProps
  }

  /** @param resolver shared by the boxes of a page */
  resolveWith(resolver: (node: Node) => Resolved) {
    this.resolver = resolver
    this.resolvedProps = undefined
  }

  get padX() {
    return this.padL + this.padR + this.borL + this.borR
  }
  get padY() {
    return this.padT + this.padB + this.borT + this.borB
  }

  /** Forgets what layout found here and above: called when the style or the children changed. */
  invalidate() {
    for (let box: LayoutBox | null = this; box; box = box.parent) {
      box.minContent = NONE
      box.maxContent = NONE
      box.lastW = NONE
      box.measuredW = NONE
    }
  }
}

/** `value` within [low, high]; NaN bounds do not bind; low wins over high, as in CSS. */
export function clamp(value: number, low: number, high: number): number {
  // Comparisons with NaN are false; Math.min and Math.max would give NaN.
  const capped = value > high ? high : value
  return capped < low ? low : capped
}
