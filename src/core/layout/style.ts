/** From resolved props to the layout box's flat fields. */

import type { Document } from '../document/document'
import { borderIn } from '../document/looks'
import type { View } from '../document/schema'
import type { Tokens } from '../document/tokens'
import { placeColumns } from '../lattice/carrying'
import { type Held, heldOn } from '../lattice/held'
import { sectionLattice } from '../lattice/section-lattice'
import { spanWidth, type UsedLattice, usedLattice } from '../lattice/used'
import { isText, type Kind } from '../properties/kinds'
import { defaultsOf, type Props } from '../properties/table'
import type { Pin, ScreenHeight, Size } from '../properties/values'
import { cutToUnit, toUnit } from '../text/unit'
import { mostLines } from '../words/parts'
import { Align, COMMON, Flow, type LayoutBox, Sizing, Spread, type Uncommon } from './box'

const SPREAD: Record<string, Spread> = {
  start: Spread.Start,
  center: Spread.Center,
  end: Spread.End,
  'space-between': Spread.Between,
  'space-around': Spread.Around,
  'space-evenly': Spread.Evenly,
  stretch: Spread.Stretch,
}
const ALIGN: Record<string, Align> = {
  start: Align.Start,
  center: Align.Center,
  end: Align.End,
  baseline: Align.Baseline,
}
const FLOW: Record<string, Flow> = {
  row: Flow.Row,
  column: Flow.Column,
  lattice: Flow.Lattice,
  free: Flow.Free,
}

export type Surroundings = {
  doc: Document
  tokens: Tokens
  view: View
  used: UsedLattice
  /** Ids of the view and all wider ones, widest first. */
  cascade: readonly string[]
  /** What lies open over the window though it is behind a button. */
  opened: string | undefined
}

/** Whether a block is out of its parent's flow. */
export const isLifted = (set: Pick<Props, 'lifted' | 'folded'>, parentFlow: Flow) =>
  set.lifted === true || set.folded === true || parentFlow === Flow.Free

/** Whether a block is there without a button being pressed. */
export const isShown = (set: Pick<Props, 'hidden' | 'folded'>) => set.hidden !== true && set.folded !== true

/** What a block behind a button is pinned to the window by: where nothing says, its top left corner. */
export function panelPins<P extends Pick<Props, PinKey>>(set: P): P {
  const across = set.pinLeft ?? set.pinRight ?? set.pinCenterX
  const down = set.pinTop ?? set.pinBottom ?? set.pinCenterY
  if (across !== undefined && down !== undefined) return set
  const corner = { px: 0 }
  // On top of what the set stands on.
  return Object.assign(
    Object.create(set) as P,
    across === undefined && { pinLeft: corner },
    down === undefined && { pinTop: corner },
  )
}
type PinKey = 'pinLeft' | 'pinRight' | 'pinTop' | 'pinBottom' | 'pinCenterX' | 'pinCenterY'

/** The flow of a box in words CSS knows; `free` parents lift all their children. */
export function flowOf(kind: Kind, flow: Props['flow']): Flow {
  if (kind === 'page') return Flow.Stack
  if (kind === 'picture') return Flow.Picture
  if (isText(kind)) return Flow.Text
  return FLOW[flow ?? 'column']!
}

/** A length prop in whole layout units, px: its own, its token's, or `fallback`. */
function lengthOf(tokens: Tokens, raw: number | string | undefined, fallback: number): number {
  if (typeof raw === 'number') return toUnit(raw)
  if (raw === undefined) return toUnit(fallback)
  const token = tokens.lookup(raw)
  return toUnit(token && (token.type === 'dimension' || token.type === 'number') ? token.value : fallback)
}

/** Sets the box's fields from `set`, the node's props cascaded into the view. */
export function applyStyle(box: LayoutBox, set: Props, around: Surroundings) {
  const { view, tokens } = around
  const { kind } = box.node
  const lattice =
    kind === 'section' && set.lattice !== undefined && set.lattice !== 'view'
      ? usedLattice(sectionLattice(view.lattice, set), around.used.width)
      : null
  const used = lattice ?? around.used
  const defaults = defaultsOf(kind)
  const flowWord = set.flow ?? defaults.flow
  box.flow = flowOf(kind, flowWord)
  const parentFlow = box.parent?.flow ?? Flow.Stack
  const isPanel = set.folded === true
  box.hidden = set.hidden === true || (isPanel && around.opened !== box.id)
  box.order = set.order ?? 0
  box.wrap = box.flow === Flow.Row && set.wrap === true
  box.dense = set.dense === true
  box.rowGap = lengthOf(tokens, set.rowGap, 0)
  box.justify = SPREAD[set.justify ?? defaults.justify!]!
  box.align = ALIGN[set.align ?? defaults.align!]!
  box.alignContent = SPREAD[set.alignContent ?? defaults.alignContent!]!
  box.alignSelf = set.alignSelf ? ALIGN[set.alignSelf]! : (box.parent?.align ?? Align.Start)
  // Across a column there is no baseline to share: it aligns like start.
  if (parentFlow === Flow.Column && box.alignSelf === Align.Baseline) box.alignSelf = Align.Start
  box.padT = lengthOf(tokens, set.paddingTop, defaults.paddingTop as number)
  box.padR = lengthOf(tokens, set.paddingRight, defaults.paddingRight as number)
  box.padB = lengthOf(tokens, set.paddingBottom, defaults.paddingBottom as number)
  box.padL = lengthOf(tokens, set.paddingLeft, defaults.paddingLeft as number)
  const contained = kind === 'section' && !set.fullBleed
  box.followsWindow = contained || lattice !== null
  if (contained) {
    box.padL = toUnit(box.padL + used.left + used.inset)
    box.padR = toUnit(box.padR + used.right + used.inset)
  }
  // Lines that are too many are cut off, and so is all that sticks out.
  box.clip = set.clip === true || isPanel || mostLines(set) !== undefined
  const out = box.parent !== null && isLifted(set, parentFlow)
  const held = out ? heldOn(box.node, around.cascade, set) : undefined
  box.uncommon = uncommonOf(kind, set, around, lattice, out, held)
  const inLine = !out && (parentFlow === Flow.Row || parentFlow === Flow.Column)
  box.before = inLine ? lengthOf(tokens, set.spaceBefore, 0) : 0
  box.subgrid = box.flow === Flow.Lattice && parentFlow === Flow.Lattice && !out
  box.from = 0
  box.span = 1
  const width = set.width ?? defaults.width!
  const height = set.height ?? defaults.height!
  applyHeight(box, height, view, tokens)
  applyWidth(
    box,
    width,
    used,
    tokens,
    parentFlow === Flow.Lattice && !out,
    box.parent?.columns ?? used.columns,
    set.ratio,
  )
  if (box.flow === Flow.Lattice) {
    box.columns = box.subgrid ? box.span : kind === 'section' ? used.columns : (set.columns ?? used.columns)
    box.colGap = box.subgrid ? box.parent!.colGap : lengthOf(tokens, set.columnGap, used.gutter)
  } else box.colGap = lengthOf(tokens, set.columnGap, box.rowGap)
}

function uncommonOf(
  kind: Kind,
  set: Props,
  { doc, tokens, view }: Surroundings,
  lattice: UsedLattice | null,
  lifted: boolean,
  held: Held | undefined,
): Uncommon {
  const asks =
    kind === 'picture' ||
    lifted ||
    lattice !== null ||
    set.borderTop !== undefined ||
    set.borderRight !== undefined ||
    set.borderBottom !== undefined ||
    set.borderLeft !== undefined ||
    set.minWidth !== undefined ||
    set.maxWidth !== undefined ||
    set.minHeight !== undefined ||
    set.maxHeight !== undefined ||
    set.ratio !== undefined ||
    set.rotate !== undefined ||
    (set.height !== undefined && growsIn(kind, set.height))
  if (!asks) return COMMON
  const defaults = defaultsOf(kind)
  const asset = kind === 'picture' && set.asset ? doc.assets.get(set.asset) : undefined
  const ratio =
    kind === 'picture'
      ? (set.ratio ?? (asset ? asset.width / asset.height : 1.5))
      : shapesHeight(kind, set.ratio, set.width ?? defaults.width!, set.height ?? defaults.height!)
        ? set.ratio!
        : Number.NaN
  return {
    borT: borderIn(tokens, set.borderTop)?.width ?? 0,
    borR: borderIn(tokens, set.borderRight)?.width ?? 0,
    borB: borderIn(tokens, set.borderBottom)?.width ?? 0,
    borL: borderIn(tokens, set.borderLeft)?.width ?? 0,
    minW: lengthOf(tokens, set.minWidth, Number.NaN),
    maxW: lengthOf(tokens, set.maxWidth, Number.NaN),
    minH: leastHeight(kind, set, view, tokens),
    maxH: lengthOf(tokens, set.maxHeight, set.folded ? belowTop(set, view.fold) : Number.NaN),
    ratio,
    naturalRatio: set.ratio === undefined && asset !== undefined,
    naturalWidth: asset?.width ?? 300,
    turn: set.rotate ?? 0,
    lattice,
    pins: lifted ? { ...pinsOf(set.folded ? panelPins(set) : set), held } : null,
  }
}

/** px; NaN: none. */
function leastHeight(kind: Kind, { minHeight, height }: Props, view: View, tokens: Tokens): number {
  const own = lengthOf(tokens, minHeight, Number.NaN)
  if (height === undefined || !growsIn(kind, height)) return own
  const screen = screenHeight(height, view)
  return own > screen ? own : screen
}

function applyWidth(
  box: LayoutBox,
  width: Size,
  used: UsedLattice,
  tokens: Tokens,
  inLattice: boolean,
  hostColumns: number,
  shape: number | undefined,
) {
  switch (width.kind) {
    case 'exact':
      box.widthKind = Sizing.Exact
      box.widthValue = lengthOf(tokens, width.px, 0)
      break
    case 'percent':
      box.widthKind = Sizing.Percent
      box.widthValue = width.percent
      break
    case 'stretch':
      box.widthKind = Sizing.Stretch
      box.widthValue = width.weight
      break
    case 'columns': {
      const placed = placeColumns(width, hostColumns)
      if (inLattice) {
        box.widthKind = Sizing.Stretch
        box.widthValue = 1
        box.from = placed.from
        box.span = placed.span
      } else {
        box.widthKind = Sizing.Exact
        box.widthValue = toUnit(spanWidth(used, Math.min(width.span, used.columns)))
        box.followsWindow = true
      }
      break
    }
    default:
      box.widthKind = Sizing.Snug
      box.widthValue = 0
      if (shape !== undefined && box.heightKind === Sizing.Exact) {
        box.widthKind = Sizing.Exact
        box.widthValue = cutToUnit(box.heightValue * shape)
      }
      if (box.flow === Flow.Picture) {
        box.widthKind = Sizing.Exact
        box.widthValue =
          box.heightKind === Sizing.Exact ? cutToUnit(box.heightValue * box.ratio) : box.naturalWidth
      }
  }
}

/**
 * Whether a block's height follows its width by its ratio: where the width says something and the height nothing, and nothing
 * flows in the block (a frame). A snug width follows an exact height instead; two given sides need no ratio. Pictures always keep one.
 */
export const shapesHeight = (kind: Kind, ratio: number | undefined, width: Size, height: Size): boolean =>
  ratio !== undefined && !isText(kind) && height.kind === 'snug' && width.kind !== 'snug'

/** Whether a height is the least that it may be: no other kind of block than a section grows. */
export const growsIn = (kind: Kind, height: Size): height is ScreenHeight =>
  kind === 'section' && height.kind === 'svh' && height.grows === true

/** px */
const screenHeight = ({ percent, less = 0 }: ScreenHeight, view: View) =>
  toUnit(Math.max(0, (view.fold * percent) / 100 - less))

function applyHeight(box: LayoutBox, height: Size, view: View, tokens: Tokens) {
  switch (height.kind) {
    case 'exact':
      box.heightKind = Sizing.Exact
      box.heightValue = lengthOf(tokens, height.px, 0)
      break
    case 'svh':
      box.heightKind = growsIn(box.node.kind, height) ? Sizing.Snug : Sizing.Exact
      box.heightValue = growsIn(box.node.kind, height) ? 0 : screenHeight(height, view)
      break
    case 'percent':
      box.heightKind = Sizing.Percent
      box.heightValue = height.percent
      break
    case 'stretch':
      box.heightKind = Sizing.Stretch
      box.heightValue = height.weight
      break
    default:
      box.heightKind = Sizing.Snug
      box.heightValue = 0
  }
}

/** What of the window there is below a panel's top, px: more it is scrolled to. */
function belowTop(set: Props, window: number): number {
  const { pinTop: top = { px: 0 } } = set
  return Math.max(0, 'px' in top ? window - top.px : (window * (100 - top.percent)) / 100)
}

const px = (pin: Pin | undefined) => (pin === undefined ? Number.NaN : 'px' in pin ? toUnit(pin.px) : 0)
const percent = (pin: Pin | undefined) => (pin !== undefined && 'percent' in pin ? pin.percent : 0)

function pinsOf(set: Props) {
  return {
    left: px(set.pinLeft),
    leftPercent: percent(set.pinLeft),
    right: px(set.pinRight),
    rightPercent: percent(set.pinRight),
    top: px(set.pinTop),
    topPercent: percent(set.pinTop),
    bottom: px(set.pinBottom),
    bottomPercent: percent(set.pinBottom),
    centerX: toUnit(set.pinCenterX ?? Number.NaN),
    centerY: toUnit(set.pinCenterY ?? Number.NaN),
  }
}
