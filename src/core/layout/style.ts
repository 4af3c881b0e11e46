/** From resolved props to the layout box's flat fields. */
import type { Document } from '../document/document'
import { isText } from '../document/kinds'
import type { Resolved } from '../document/resolve'
import type { Pin, View } from '../document/schema'
import { spanWidth, type UsedLattice } from '../lattice/used'
import { Align, Flow, type LayoutBox, Sizing, Spread } from './box'

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

export type Surroundings = { doc: Document; view: View; used: UsedLattice }

/** Whether a block is out of its parent's flow. */
export const isLifted = (resolved: Resolved, parentFlow: Flow) =>
  resolved.lifted === true || parentFlow === Flow.Free

/** The flow of a box in words CSS knows; `free` parents lift all their children. */
export function flowOf(kind: string, resolved: Resolved): Flow {
  if (kind === 'page') return Flow.Stack
  if (kind === 'picture') return Flow.Picture
  if (isText(kind as 'text')) return Flow.Text
  return FLOW[resolved.flow ?? 'column']
}

export function applyStyle(box: LayoutBox, resolved: Resolved, around: Surroundings) {
  const { view, used, doc } = around
  const kind = box.node.kind
  box.resolved = resolved
  box.flow = flowOf(kind, resolved)
  const parentFlow = box.parent?.flow ?? Flow.Stack
  box.wrap = box.flow === Flow.Row && resolved.wrap === true
  box.dense = resolved.dense === true
  box.rowGap = resolved.rowGap
  box.justify = SPREAD[resolved.justify!]
  box.align = ALIGN[resolved.align!]
  box.alignContent = SPREAD[resolved.alignContent!]
  box.alignSelf = resolved.alignSelf ? ALIGN[resolved.alignSelf] : (box.parent?.align ?? Align.Start)
  // Across a column there is no baseline to share: it aligns like start.
  if (parentFlow === Flow.Column && box.alignSelf === Align.Baseline) box.alignSelf = Align.Start
  box.padT = resolved.paddingTop
  box.padR = resolved.paddingRight
  box.padB = resolved.paddingBottom
  box.padL = resolved.paddingLeft
  if (kind === 'section' && !resolved.fullBleed) {
    box.padL += used.left + used.inset
    box.padR += used.right + used.inset
  }
  box.borT = resolved.borderTop!
  box.borR = resolved.borderRight!
  box.borB = resolved.borderBottom!
  box.borL = resolved.borderLeft!
  box.minW = resolved.minWidth ?? Number.NaN
  box.maxW = resolved.maxWidth ?? Number.NaN
  box.minH = resolved.minHeight ?? Number.NaN
  box.maxH = resolved.maxHeight ?? Number.NaN
  box.clip = resolved.clip === true
  const asset = resolved.asset ? doc.assets.get(resolved.asset) : undefined
  box.naturalWidth = asset?.width ?? 300
  box.ratio = resolved.ratio ?? (kind === 'picture' ? (asset ? asset.width / asset.height : 1.5) : Number.NaN)
  box.naturalRatio = resolved.ratio === undefined && asset !== undefined && kind === 'picture'
  const out = box.parent !== null && isLifted(resolved, parentFlow)
  box.subgrid = box.flow === Flow.Lattice && parentFlow === Flow.Lattice && !out
  const hostColumns = box.parent?.columns ?? used.columns
  box.from = 0
  box.span = 1
  applyWidth(box, resolved, used, parentFlow === Flow.Lattice && !out, hostColumns)
  applyHeight(box, resolved, view)
  if (box.flow === Flow.Lattice) {
    box.columns = box.subgrid
      ? box.span
      : kind === 'section'
        ? used.columns
        : (resolved.columns ?? used.columns)
    box.colGap = box.subgrid ? box.parent!.colGap : (resolved.columnGap ?? used.gutter)
  } else box.colGap = resolved.columnGap ?? resolved.rowGap
  box.pins = out ? pinsOf(resolved) : null
}

function applyWidth(
  box: LayoutBox,
  resolved: Resolved,
  used: UsedLattice,
  inLattice: boolean,
  hostColumns: number,
) {
  const { width } = resolved
  switch (width.kind) {
    case 'exact':
      box.widthKind = Sizing.Exact
      box.widthValue = width.px as number
      break
    case 'percent':
      box.widthKind = Sizing.Percent
      box.widthValue = width.percent / 100
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
        box.widthValue = spanWidth(used, Math.min(width.span, used.columns))
      }
      break
    }
    default:
      box.widthKind = Sizing.Snug
      box.widthValue = 0
      if (box.flow === Flow.Picture && resolved.height.kind !== 'exact') {
        box.widthKind = Sizing.Exact
        box.widthValue = box.naturalWidth
      } else if (box.flow === Flow.Picture && resolved.height.kind === 'exact') {
        box.widthKind = Sizing.Exact
        box.widthValue = (resolved.height.px as number) * box.ratio
      }
  }
}

/** A columns size fitted into a lattice of `columns`; `from` 0: automatic. The handoff writes the same numbers. */
export function placeColumns(
  width: { span: number; from?: number },
  columns: number,
): { from: number; span: number } {
  if (width.from === undefined) return { from: 0, span: Math.min(width.span, columns) }
  const from = Math.min(width.from, columns)
  return { from, span: Math.min(width.span, columns - from + 1) }
}

function applyHeight(box: LayoutBox, resolved: Resolved, view: View) {
  const { height } = resolved
  switch (height.kind) {
    case 'exact':
      box.heightKind = Sizing.Exact
      box.heightValue = height.px as number
      break
    case 'svh':
      box.heightKind = Sizing.Exact
      box.heightValue = (view.fold * height.percent) / 100
      break
    case 'percent':
      box.heightKind = Sizing.Percent
      box.heightValue = height.percent / 100
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

const px = (pin: Pin | undefined) => (pin === undefined ? Number.NaN : 'px' in pin ? pin.px : 0)
const ratio = (pin: Pin | undefined) => (pin !== undefined && 'percent' in pin ? pin.percent / 100 : 0)

function pinsOf(resolved: Resolved) {
  return {
    left: px(resolved.pinLeft),
    leftRatio: ratio(resolved.pinLeft),
    right: px(resolved.pinRight),
    rightRatio: ratio(resolved.pinRight),
    top: px(resolved.pinTop),
    topRatio: ratio(resolved.pinTop),
    bottom: px(resolved.pinBottom),
    bottomRatio: ratio(resolved.pinBottom),
    centerX: resolved.pinCenterX ?? Number.NaN,
    centerY: resolved.pinCenterY ?? Number.NaN,
  }
}
