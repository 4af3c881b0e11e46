/** The layout tree: one flat-fielded object per block, with what its style asks and what layout found. */

import type { Node } from '../document/document'
import type { Held } from '../lattice/held'
import type { UsedLattice } from '../lattice/used'
import type { Resolved } from '../properties/table'
import type { Typeset } from '../text/typeset'
import { declareFields, numbers, type PackedField, type Place, takeOffset, whole } from './packed'

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
  /** `value` in percent. */
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

/** A pin: px from the edge plus a percentage of the containing block; NaN px: not pinned. */
export type Pins = {
  left: number
  leftPercent: number
  right: number
  rightPercent: number
  top: number
  topPercent: number
  bottom: number
  bottomPercent: number
  centerX: number
  centerY: number
  /** A wider view's pins, which must not lead out of what they are pinned to. */
  held: Held | undefined
}

/** Columns a lattice places its children on, px from its border box's left edge. */
export type Tracks = { left: Float64Array; width: Float64Array; gap: number }

const NONE = Number.NaN

/** Shared by all that hold nothing: most boxes are leaves. */
export const NO_BOXES: readonly LayoutBox[] = []

/** What the style of few blocks asks; px. */
export type Uncommon = {
  readonly borT: number
  readonly borR: number
  readonly borB: number
  readonly borL: number
  /** Least and most sizes; NaN: none. */
  readonly minW: number
  readonly maxW: number
  readonly minH: number
  readonly maxH: number
  /** Width divided by height; NaN: none. */
  readonly ratio: number
  /** The ratio is the picture file's own: it holds between content edges; `aspect-ratio` holds between borders. */
  readonly naturalRatio: boolean
  /** Of the picture file. */
  readonly naturalWidth: number
  /** Degrees clockwise about its centre; places nothing else. */
  readonly turn: number
  /** A section's own lattice. */
  readonly lattice: UsedLattice | null
  /** What a lifted block keeps its distance to. */
  readonly pins: Pins | null
}

/** Shared by all boxes whose style asks none of it. */
export const COMMON: Uncommon = {
  borT: 0,
  borR: 0,
  borB: 0,
  borL: 0,
  minW: NONE,
  maxW: NONE,
  minH: NONE,
  maxH: NONE,
  ratio: NONE,
  naturalRatio: false,
  naturalWidth: 0,
  turn: 0,
  lattice: null,
  pins: null,
}

/**
 * Its numbers and choices lie with those of other boxes in one buffer: in fields of their own they would be the better part of
 * what the garbage collector has to copy.
 */
export class LayoutBox implements Place {
  readonly numbers: Float64Array
  readonly whole: Int32Array
  readonly offset: number
  parent: LayoutBox | null = null
  /** In flow, in visual order. */
  kids: readonly LayoutBox[] = NO_BOXES
  /** Out of flow, in document order. */
  lifted: readonly LayoutBox[] = NO_BOXES
  uncommon: Uncommon = COMMON
  /** What the block is in this view, or what can tell. */
  private source: Resolved | ((node: Node) => Resolved) | null = null
  typeset: Typeset | null = null
  /** Of its parent's lattice, as a nested lattice sees them. */
  tracks: Tracks | null = null
  /** A lattice's row heights, px. */
  rows: Float64Array | null = null

  /** Out of the flow in any view it is hidden in. */
  declare hidden: boolean
  /** Visual order among the siblings. */
  declare order: number
  /** Its own size or padding follows the window's width directly. */
  declare followsWindow: boolean

  // What the style asks, px unless said otherwise.
  declare flow: Flow
  declare wrap: boolean
  declare dense: boolean
  declare rowGap: number
  declare colGap: number
  declare justify: Spread
  declare align: Align
  declare alignContent: Spread
  /** How this box is aligned across its parent's flow. */
  declare alignSelf: Align
  /** Distance before it along its row or column, beside the gap. */
  declare before: number
  declare padT: number
  declare padR: number
  declare padB: number
  declare padL: number
  declare widthKind: Sizing
  declare widthValue: number
  declare heightKind: Sizing
  declare heightValue: number
  declare clip: boolean
  /** Lattice placement; `from` 0: automatic. */
  declare from: number
  declare span: number
  /** A lattice's own column count. */
  declare columns: number
  declare subgrid: boolean

  // What layout found: border box, x and y from the parent's border box.
  declare x: number
  declare y: number
  declare width: number
  declare height: number

  // What was found before, until `invalidate` forgets it.
  declare minContent: number
  declare maxContent: number
  /** The height that the two were taken at; NaN: not known. */
  declare contentAt: number
  /**
   * Whether they change with the box's height, since a picture in it takes its own from there: 0 if not, else one more than
   * the lattices there are between the two. Known once one of the two is.
   */
  declare followsHeight: number
  declare lastW: number
  declare lastH: number
  declare lastDefinite: boolean
  declare lastResult: number
  /** Height of the content without limits, and the width it was found at. */
  declare measuredW: number
  declare measuredHeight: number

  // Scratch of the parent's algorithm.
  declare base: number
  declare low: number
  declare hypothetical: number
  declare target: number
  /** Flexed size before the limits. */
  declare wanted: number
  declare frozen: boolean
  declare cross: number
  declare column: number
  declare row: number

  /** Without a style: `applyStyle` gives it one. */
  constructor(public node: Node) {
    this.offset = takeOffset()
    this.numbers = numbers
    this.whole = whole
  }

  get id(): string {
    return this.node.id
  }

  /** Everything the block is in this view; worked out when first asked for. */
  get resolved(): Resolved {
    if (typeof this.source === 'function') this.source = this.source(this.node)
    return this.source!
  }

  /** @param resolver shared by the boxes of a page */
  resolveWith(resolver: (node: Node) => Resolved) {
    this.source = resolver
  }

  get borT() {
    return this.uncommon.borT
  }
  get borR() {
    return this.uncommon.borR
  }
  get borB() {
    return this.uncommon.borB
  }
  get borL() {
    return this.uncommon.borL
  }
  get minW() {
    return this.uncommon.minW
  }
  get maxW() {
    return this.uncommon.maxW
  }
  get minH() {
    return this.uncommon.minH
  }
  get maxH() {
    return this.uncommon.maxH
  }
  get ratio() {
    return this.uncommon.ratio
  }
  get naturalRatio() {
    return this.uncommon.naturalRatio
  }
  get naturalWidth() {
    return this.uncommon.naturalWidth
  }
  get turn() {
    return this.uncommon.turn
  }
  get lattice() {
    return this.uncommon.lattice
  }
  get pins() {
    return this.uncommon.pins
  }

  /** Padding and border of both sides, px. */
  get padX() {
    const { borL, borR } = this.uncommon
    return this.padL + this.padR + borL + borR
  }
  get padY() {
    const { borT, borB } = this.uncommon
    return this.padT + this.padB + borT + borB
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

declareFields(LayoutBox.prototype satisfies Record<PackedField, number | boolean>)

/** `value` within [low, high]; NaN bounds do not bind; low wins over high, as in CSS. */
export function clamp(value: number, low: number, high: number): number {
  // Comparisons with NaN are false; Math.min and Math.max would give NaN.
  const capped = value > high ? high : value
  return capped < low ? low : capped
}
