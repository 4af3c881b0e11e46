/** The CSS of one block in one view: the right-hand side of the document's meaning. */

import { isPhotograph } from '../blobs/picture-type'
import type { Document, Node } from '../document/document'
import { cascaded, resolve, resolved as withValues } from '../document/resolve'
import type { Instances } from '../expand/instances'
import { type Carrying, placeColumns } from '../lattice/carrying'
import { type Held, heldOn } from '../lattice/held'
import { hasOwnLattice, latticeOf } from '../lattice/section-lattice'
import { Flow } from '../layout/box'
import { flowOf, growsIn, isLifted, isShown, panelPins, shapesHeight } from '../layout/style'
import { stackingDeclarations, stackingOf } from '../paint/stacking'
import { num, percent, px, rem, shorthand } from '../properties/css-text'
import { type Declarations, lookDeclarations } from '../properties/declarations'
import type { Border } from '../properties/look'
import type { Props, Resolved } from '../properties/table'
import type { ScreenHeight, Size } from '../properties/values'
import { holdsParagraphs, isOneParagraph, mostLines } from '../words/parts'
import { latticeProperties } from './lattice-properties'
import { remainder, writePanel, writePins } from './pin-declarations'
import { Writer } from './writer'
import { type Outside, writingFor } from './written'

/** What grows with the size that a reader has set. */
const OF_TYPE: ReadonlySet<string> = new Set(['font-size', 'line-height', 'letter-spacing', 'word-spacing'])
const inRem = (value: string) => value.replace(/(-?[\d.]+)px/g, (_, px: string) => rem(Number(px)))

const FLEX_SPREAD: Record<string, string> = { start: 'flex-start', end: 'flex-end' }
const flexWord = (word: string) => FLEX_SPREAD[word] ?? word

export type Place = {
  doc: Document
  /** What the page shows. */
  instances: Instances
  carrying: Carrying
  view: string
  /** Where the style sheet finds pictures. */
  outside?: Outside
  /** In this view; undefined for a section. */
  parent: { node: Node; resolved: Resolved; flow: Flow; columns: number } | undefined
}

const setIn = ({ doc, carrying, view }: Pick<Place, 'doc' | 'carrying' | 'view'>, node: Node): Props =>
  carrying.setIn(node, view, cascaded(doc, node, view))

/** Everything a block is in a view, carried where the view does not say. */
export const resolvedIn = (place: Pick<Place, 'doc' | 'carrying' | 'view'>, node: Node): Resolved =>
  withValues(place.doc.tokensAt(place.view), node, setIn(place, node))

export function declarationsOf(place: Place, node: Node): Declarations {
  const raw = setIn(place, node)
  const own = resolvedIn(place, node)
  const resolved = own.folded ? panelPins(own) : own
  const writer = new Writer(raw, resolved, writingFor(place.doc.tokensAt(place.view), place.outside))
  const flow = flowOf(node.kind, resolved.flow)
  const parentFlow = place.parent?.flow ?? Flow.Stack
  const lifted = place.parent !== undefined && isLifted(resolved, parentFlow)
  if (resolved.hidden) {
    writer.set('display', 'none')
    return writer.out
  }
  if (hasOwnLattice(node))
    for (const [name, value] of latticeProperties(latticeOf(place.doc, place.instances, node, place.view)))
      writer.set(name, value)
  if (resolved.order) writer.set('order', String(resolved.order))
  writeFlow(writer, place, node, flow, lifted)
  writeBox(writer, node)
  const held = lifted ? heldIn(place, node, raw) : undefined
  if (lifted) writePins(writer, held)
  const around = lifted ? Flow.Free : parentFlow
  if (resolved.spaceBefore && (around === Flow.Row || around === Flow.Column))
    writer.set(around === Flow.Row ? 'margin-left' : 'margin-top', writer.length('spaceBefore'))
  writeWidth(writer, place, node, around, held)
  writeHeight(writer, place, node, around)
  if (writer.out.has('aspect-ratio') && isPhotographed(place, node, resolved)) sizeContent(writer)
  for (const [name, value] of lookDeclarations(node.kind, raw, resolved, writer.write))
    writer.set(name, OF_TYPE.has(name) ? inRem(value) : value)
  const inFront = node.children.flatMap((id) => {
    const child = resolve(place.doc, place.instances.node(id), place.view)
    return isShown(child) && isLifted(child, flow) ? [child.z ?? 0] : []
  })
  for (const [name, value] of stackingDeclarations(
    stackingOf(lifted ? (resolved.z ?? 0) : undefined, inFront),
  ))
    writer.set(name, value)
  if (resolved.folded) writePanel(writer)
  return writer.out
}

function writeFlow(writer: Writer, place: Place, node: Node, flow: Flow, lifted: boolean) {
  const { resolved, raw } = writer
  // Its drawing is as large as a cell, which is as large as it.
  if (node.kind === 'shape') writer.set('display', 'grid')
  else if (node.kind === 'text' && mostLines(resolved) !== undefined) {
    // The old names are those that every browser knows (CSS Overflow 4 §5.3).
    writer.set('display', '-webkit-box')
    writer.set('-webkit-box-orient', 'vertical')
    writer.set('-webkit-line-clamp', String(resolved.maxLines))
  } else if (flow === Flow.Row || flow === Flow.Column) {
    writer.set('display', 'flex')
    const direction = flow === Flow.Row ? 'row' : 'column'
    if (direction !== 'row') writer.set('flex-direction', direction)
    if (flow === Flow.Row && resolved.wrap) {
      writer.set('flex-wrap', 'wrap')
      if (resolved.alignContent !== 'stretch') writer.set('align-content', flexWord(resolved.alignContent!))
    }
    if (resolved.columnGap !== undefined && resolved.columnGap !== resolved.rowGap) {
      writer.set('gap', `${writer.length('rowGap')} ${writer.length('columnGap')}`)
    } else if (resolved.rowGap !== 0) writer.set('gap', writer.length('rowGap'))
    if (resolved.justify !== 'start') writer.set('justify-content', flexWord(resolved.justify!))
    writer.set('align-items', flexWord(resolved.align!))
  } else if (flow === Flow.Lattice) {
    writer.set('display', 'grid')
    const subgrid = place.parent?.flow === Flow.Lattice && !lifted
    const own = node.kind === 'section' || resolved.columns === undefined
    writer.set(
      'grid-template-columns',
      subgrid ? 'subgrid' : `repeat(${own ? 'var(--columns)' : resolved.columns}, minmax(0, 1fr))`,
    )
    if (resolved.rowGap !== 0) writer.set('row-gap', writer.length('rowGap'))
    if (!subgrid)
      writer.set('column-gap', raw.columnGap === undefined ? 'var(--gutter)' : writer.length('columnGap'))
    if (resolved.dense) writer.set('grid-auto-flow', 'row dense')
    writer.set('align-items', resolved.align!)
    writer.set(
      'justify-items',
      resolved.justify === 'center' || resolved.justify === 'end' ? resolved.justify : 'start',
    )
    if (resolved.alignContent !== 'stretch') writer.set('align-content', resolved.alignContent!)
  }
  if (node.kind === 'button') writer.set('align-content', 'center')
  if (
    node.kind === 'text' &&
    holdsParagraphs(node.kind, resolved.tag) &&
    !isOneParagraph(resolved.words ?? [])
  ) {
    writer.set('display', 'flex')
    writer.set('flex-direction', 'column')
    if (resolved.paragraphGap) writer.set('row-gap', `${num(resolved.paragraphGap)}em`)
  }
}

function writeBox(writer: Writer, node: Node) {
  const { resolved } = writer
  const sides = [
    writer.length('paddingTop'),
    writer.length('paddingRight'),
    writer.length('paddingBottom'),
    writer.length('paddingLeft'),
  ]
  if (node.kind === 'section' && !resolved.fullBleed) {
    const edge = (side: string, own: number, text: string) =>
      own === 0 ? `var(--edge-${side})` : `calc(var(--edge-${side}) + ${text})`
    sides[1] = edge('end', resolved.paddingRight, sides[1]!)
    sides[3] = edge('start', resolved.paddingLeft, sides[3]!)
  }
  if (sides.some((side) => side !== '0')) writer.set('padding', shorthand(sides))
  if (writer.raw.minWidth !== undefined) writer.set('min-width', writer.length('minWidth'))
  if (writer.raw.maxWidth !== undefined) writer.set('max-width', writer.length('maxWidth'))
  if (writer.raw.minHeight !== undefined) writer.set('min-height', writer.length('minHeight'))
  if (writer.raw.maxHeight !== undefined) writer.set('max-height', writer.length('maxHeight'))
}

function heldIn({ doc, view }: Place, node: Node, set: Props): Held | undefined {
  const views = doc.cascade(view).map(({ id }) => id)
  return heldOn(node, views, set)
}

const naturalWidth = (place: Place, resolved: Resolved) =>
  (resolved.asset ? place.doc.assets.get(resolved.asset)?.width : undefined) ?? 300

/** A width that follows a height by a ratio; undefined where the height says nothing. */
function widthByRatio(height: Size, ratio: number): string | undefined {
  if (height.kind === 'exact') return px((height.px as number) * ratio)
  if (height.kind !== 'svh') return undefined
  return height.less ? `calc(${screenText(height)} * ${num(ratio)})` : `${num(height.percent * ratio)}svh`
}

/** A share of the first screen, less what is taken off. */
const screenText = ({ percent, less }: ScreenHeight): string =>
  less ? `calc(${num(percent)}svh - ${px(less)})` : `${num(percent)}svh`

const exactText = (writer: Writer, size: Size): string =>
  (size.kind === 'exact' ? writer.write.length(size.px) : undefined) ?? '0'

function writeWidth(writer: Writer, place: Place, node: Node, around: Flow, held?: Held) {
  const { resolved, raw } = writer
  const { width } = resolved
  const picture = node.kind === 'picture'
  if (around === Flow.Stack) return
  let rigid = false
  switch (width.kind) {
    case 'exact':
      writer.set(
        'width',
        held?.width
          ? `min(${exactText(writer, raw.width ?? width)}, 100%)`
          : exactText(writer, raw.width ?? width),
      )
      rigid = true
      break
    case 'percent':
      writer.set('width', percent(width.percent))
      break
    case 'stretch':
      if (around === Flow.Row) {
        writer.set('flex', `${num(width.weight)} 1 0px`)
        // What it adds to its parent's size; without it a stretched height would be carried over by its ratio.
        if (picture) writer.set('width', px(naturalWidth(place, resolved)))
      } else if (around === Flow.Free) {
        writer.set('width', remainder(resolved.pinLeft, resolved.pinRight, resolved.pinCenterX !== undefined))
      } else if (around === Flow.Lattice) writer.set('justify-self', 'stretch')
      else writer.set('align-self', 'stretch')
      if (picture && around !== Flow.Row && around !== Flow.Free) writer.set('width', '100%')
      break
    case 'columns': {
      if (around === Flow.Lattice) {
        const { from, span } = placeColumns(width, place.parent!.columns)
        writer.set('grid-column', from > 0 ? `${from} / span ${span}` : `span ${span}`)
        writer.set('justify-self', 'stretch')
        if (picture) writer.set('width', '100%')
      } else {
        const span = Math.min(width.span, latticeOf(place.doc, place.instances, node, place.view).columns)
        writer.set('width', `calc(${span} * var(--column) + ${span - 1} * var(--gutter))`)
        rigid = true
      }
      break
    }
    default:
      if (picture) {
        const asset = resolved.asset ? place.doc.assets.get(resolved.asset) : undefined
        const ratio = resolved.ratio ?? (asset ? asset.width / asset.height : 1.5)
        writer.set('width', widthByRatio(resolved.height, ratio) ?? px(naturalWidth(place, resolved)))
        rigid = true
      } else {
        const shaped =
          resolved.ratio === undefined ? undefined : widthByRatio(resolved.height, resolved.ratio)
        writer.set('width', shaped ?? 'fit-content')
        rigid = shaped !== undefined
      }
  }
  if (rigid && around === Flow.Row) writer.set('flex-shrink', '0')
}

/** Whether anything in a block takes part in its flow in this view. */
function holdsFlow(place: Place, node: Node): boolean {
  const { doc, instances, view } = place
  const flow = flowOf(node.kind, resolve(doc, node, view).flow)
  return node.children.some((id) => {
    const child = resolve(doc, instances.node(id), view)
    return isShown(child) && !isLifted(child, flow)
  })
}

function writeHeight(writer: Writer, place: Place, node: Node, around: Flow) {
  const { resolved, raw } = writer
  const alignment = resolved.alignSelf ?? place.parent?.resolved.align
  const { height } = resolved
  const inFlow = around === Flow.Row || around === Flow.Column || around === Flow.Lattice
  const aligned = () => {
    if (!inFlow || around === Flow.Column) return
    if (resolved.alignSelf)
      writer.set('align-self', around === Flow.Lattice ? resolved.alignSelf : flexWord(resolved.alignSelf))
  }
  const picture = node.kind === 'picture'
  if (around === Flow.Column && resolved.alignSelf && resolved.width.kind !== 'stretch')
    writer.set('align-self', flexWord(resolved.alignSelf))
  switch (height.kind) {
    case 'exact':
      writer.set('height', exactText(writer, raw.height ?? height))
      if (around === Flow.Column) writer.set('flex-shrink', '0')
      aligned()
      break
    case 'svh':
      if (!growsIn(node.kind, height)) writer.set('height', screenText(height))
      else if (raw.minHeight === undefined) writer.set('min-height', screenText(height))
      else writer.set('min-height', `max(${writer.length('minHeight')}, ${screenText(height)})`)
      if (around === Flow.Column) writer.set('flex-shrink', '0')
      aligned()
      break
    case 'percent':
      writer.set('height', percent(height.percent))
      aligned()
      // A height taken from the row, aligned by a baseline that makes the row: browsers do not agree with themselves.
      if (around === Flow.Lattice && alignment === 'baseline') writer.set('align-self', 'start')
      break
    case 'stretch':
      if (around === Flow.Column) writer.set('flex', `${num(height.weight)} 1 0px`)
      else if (around === Flow.Free)
        writer.set(
          'height',
          remainder(resolved.pinTop, resolved.pinBottom, resolved.pinCenterY !== undefined),
        )
      else if (inFlow) writer.set('align-self', 'stretch')
      break
    default:
      aligned()
      // Between two insets an automatic height would fill the room.
      if (
        around === Flow.Free &&
        !picture &&
        (resolved.pinCenterY !== undefined || (resolved.pinTop && resolved.pinBottom))
      ) {
        writer.set('height', 'fit-content')
      }
  }
  const frame = shapesHeight(node.kind, resolved.ratio, resolved.width, height) && !holdsFlow(place, node)
  if (frame || (picture && resolved.ratio !== undefined)) writer.set('aspect-ratio', num(resolved.ratio!))
  else if (picture && !resolved.asset) writer.set('aspect-ratio', '1.5')
  else if (isPhotographed(place, node, resolved)) {
    // Made smaller, a photograph is whole px high, and not quite of its own ratio.
    const asset = place.doc.assets.get(resolved.asset!)!
    writer.set('aspect-ratio', `${num(asset.width)} / ${num(asset.height)}`)
  }
}

/** Whether a block shows a photograph in that one's own ratio. */
function isPhotographed({ doc }: Place, { kind }: Node, { asset: id, ratio }: Resolved): boolean {
  const asset = kind === 'picture' && id !== undefined ? doc.assets.get(id) : undefined
  return asset !== undefined && ratio === undefined && isPhotograph(asset)
}

/**
 * Sizes of the content instead of the border box: `aspect-ratio` is of what sizes are of (CSS Sizing 4 §5.1), and a photograph's own ratio
 * is that of its content, whatever is round it.
 */
function sizeContent({ out, resolved }: Writer) {
  const border = (side: Border | undefined) => side?.width ?? 0
  const across =
    resolved.paddingLeft + resolved.paddingRight + border(resolved.borderLeft) + border(resolved.borderRight)
  const down =
    resolved.paddingTop + resolved.paddingBottom + border(resolved.borderTop) + border(resolved.borderBottom)
  if (across === 0 && down === 0) return
  const less = (around: number, names: readonly string[]) => {
    for (const name of around > 0 ? names : []) {
      const value = out.get(name)
      const length = value === '0' ? 0 : Number(/^([\d.]+)px$/.exec(value ?? '')?.[1])
      if (!Number.isNaN(length)) out.set(name, px(Math.max(0, length - around)))
      else if (value !== undefined) out.set(name, `calc(${value} - ${px(around)})`)
    }
  }
  less(across, ['width', 'min-width', 'max-width'])
  less(down, ['height', 'min-height', 'max-height'])
  out.set('box-sizing', 'content-box')
}
