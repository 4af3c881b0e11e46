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
/** The fields declared below that are lengths, factors and weights: 0 at first, or `NONE`. */
const AT_ZERO = [
  'rowGap',
  'colGap',
  'before',
  'padT',
  'padR',
  'padB',
  'padL',
  'borT',
  'borR',
  'borB',
  'borL',
  'widthValue',
  'heightValue',
  'naturalWidth',
  'turn',
  'x',
  'y',
  'width',
  'height',
  'base',
  'low',
  'high',
  'hypothetical',
  'target',
  'wanted',
  'cross',
] as const satisfies readonly (keyof LayoutBox)[]
const AT_NONE = [
  'minW',
  'maxW',
  'minH',
  'maxH',
  'ratio',
  'minContent',
  'maxContent',
  'lastW',
  'lastH',
  'lastResult',
  'measuredW',
  'measuredHeight',
] as const satisfies readonly (keyof LayoutBox)[]
const NUMBERS = [...AT_ZERO, ...AT_NONE]
/** Boxes whose numbers lie in one array. */
const CHUNK = 512
let chunk = new Float64Array(0)
let used = 0

/** Shared by all that hold nothing: most boxes are leaves. */
export const NO_BOXES: readonly LayoutBox[] = []

/** Its numbers lie with those of other boxes in one array: a number in a field of its own would be an object to the garbage collector. */
export class LayoutBox {
  readonly numbers: Float64Array
  readonly offset: number
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
  declare rowGap: number
  declare colGap: number
  justify: Spread = Spread.Start
  align: Align = Align.Start
  alignContent: Spread = Spread.Stretch
  /** How this box is aligned across its parent's flow. */
  alignSelf: Align = Align.Start
  /** Distance before it along its row or column, beside the gap. */
  declare before: number
  declare padT: number
  declare padR: number
  declare padB: number
  declare padL: number
  declare borT: number
  declare borR: number
  declare borB: number
  declare borL: number
  widthKind: Sizing = Sizing.Snug
  declare widthValue: number
  heightKind: Sizing = Sizing.Snug
  declare heightValue: number
  declare minW: number
  declare maxW: number
  declare minH: number
  declare maxH: number
  /** Width divided by height; NaN: none. */
  declare ratio: number
  /** The ratio is the picture file's own: it holds between content edges; `aspect-ratio` holds between borders. */
  naturalRatio = false
  /** Of the picture file, px. */
  declare naturalWidth: number
  clip = false
  /** Degrees clockwise about its centre; places nothing else. */
  declare turn: number
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
  declare x: number
  declare y: number
  declare width: number
  declare height: number

  // Caches, valid until `dirty`.
  declare minContent: number
  declare maxContent: number
  declare lastW: number
  declare lastH: number
  lastDefinite = false
  declare lastResult: number
  declare measuredW: number
  declare measuredHeight: number

  // Scratch of the parent's algorithm.
  declare base: number
  declare low: number
  declare high: number
  declare hypothetical: number
  declare target: number
  /** Flexed size before the limits. */
  declare wanted: number
  frozen = false
  declare cross: number
  column = 0
  row = 0

  constructor(
    readonly id: string,
    public node: Node,
  ) {
    if (used === chunk.length) {
      chunk = new Float64Array(CHUNK * NUMBERS.length)
      used = 0
    }
    this.numbers = chunk
    this.offset = used
    used += NUMBERS.length
    for (let i = this.offset + AT_ZERO.length; i < used; i++) chunk[i] = NONE
  }

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

for (const [index, name] of NUMBERS.entries()) {
  Object.defineProperty(LayoutBox.prototype, name, {
    get(this: LayoutBox) {
      return this.numbers[this.offset + index]
    },
    set(this: LayoutBox, value: number) {
      this.numbers[this.offset + index] = value
    },
  })
}

/** `value` within [low, high]; NaN bounds do not bind; low wins over high, as in CSS. */
export function clamp(value: number, low: number, high: number): number {
  // Comparisons with NaN are false; Math.min and Math.max would give NaN.
  const capped = value > high ? high : value
  return capped < low ? low : capped
}
