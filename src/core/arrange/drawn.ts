/** Shapes and boxes drawn on a sheet: lifted in the card, or else the section, that they were drawn on, where they were drawn. */
import type { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import type { Form } from '../forms/form'
import { boundsOf } from '../forms/path'
import { type Outlines, pathOfOutlines } from '../forms/points'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { type Kind, mayHoldKind } from '../properties/kinds'
import { blockAt } from './hit'
import { orderAt } from './order'
import { boxRound, hundredths, keptIn, sized } from './outline'

export type Drawn = { edits: Edit[]; made: string }

/** @returns a reason when it cannot be there */
function drawn(
  doc: Document,
  layout: PageLayout,
  { kind, name, rect, y, props }: { kind: Kind; name: string; rect: Rect; y: number; props: PropChanges },
  makeId: () => string,
): Drawn | string {
  const section = layout.own.find((each) => y >= each.y && y < each.y + each.height)
  if (!section) return 'what is drawn lies in a section of this page: place one first'
  const holder = cardUnder(doc, layout, kind, rect) ?? section
  const { x: left, y: top } = layout.rect(holder.id)!
  const id = makeId()
  const order = orderAt(doc, holder.id, doc.node(holder.id).children.length)
  const own = {
    ...sized(rect),
    lifted: true,
    pinLeft: { px: hundredths(rect.x - left - holder.borL) },
    pinTop: { px: hundredths(rect.y - top - holder.borT) },
    ...props,
  }
  const tree: NodeTree = { id, kind, name, order, props: own as NodeTree['props'] }
  return { edits: [{ op: 'insert', parent: holder.id, tree }], made: id }
}

/** The innermost box that is seen, and holds all of what is drawn: that goes along with it, to the phone, too. */
function cardUnder(doc: Document, layout: PageLayout, kind: Kind, rect: Rect): LayoutBox | undefined {
  const top = blockAt(layout, rect.x + rect.width / 2, rect.y + rect.height / 2)
  const around: LayoutBox[] = []
  for (let box = top === undefined ? null : layout.boxes.get(top)!; box; box = box.parent) around.push(box)
  // What is turned has other axes than what is drawn.
  const lastTurned = around.findLastIndex((box) => box.turn !== 0)
  return around
    .slice(lastTurned + 1)
    .find(
      (box) =>
        box.node.kind === 'box' &&
        doc.nodes.has(box.id) &&
        mayHoldKind(box.node.kind, kind) &&
        isSeen(box) &&
        holds(layout.rect(box.id)!, rect),
    )
}

const holds = (outer: Rect, inner: Rect) =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  inner.x + inner.width <= outer.x + outer.width &&
  inner.y + inner.height <= outer.y + outer.height

/** Whether a box shows where it is: a ground, a border, a shadow. */
const isSeen = (box: LayoutBox): boolean =>
  [box.resolved.fills, box.resolved.shadows].some((items) => items && Object.keys(items).length > 0) ||
  box.borT + box.borR + box.borB + box.borL > 0

/** A path by its points, px on the sheet. */
export function drawnPath(
  doc: Document,
  layout: PageLayout,
  outlines: Outlines,
  look: PropChanges,
  makeId: () => string,
): Drawn | string {
  const path = pathOfOutlines(outlines)
  const rect = boxRound(boundsOf(path))
  const form = { form: 'path', data: keptIn(path, rect) }
  const props = { form, ...look }
  return drawn(doc, layout, { kind: 'shape', name: 'Path', rect, y: path[0]!.from[1], props }, makeId)
}

type Point = { x: number; y: number }

/** px of a side that was not pulled: a press alone draws that large. */
const PRESSED = 160
/** A line that hardly leaves a level is one; a level one's box is as high as the shelf's. */
const LEVEL = 8

const isLine = (form: Form | 'box') => form !== 'box' && form.form === 'line'

type Slope = Extract<Form, { form: 'line' }>['slope']

/** How a line that was pulled so far runs; with Shift along one direction. */
function slopeOf(dx: number, dy: number, isEven: boolean): Slope {
  const [across, down] = [Math.abs(dx), Math.abs(dy)]
  if (down < LEVEL || (isEven && across >= down)) return 'level'
  if (across < LEVEL || isEven) return 'upright'
  return dx > 0 !== dy > 0 ? 'rising' : 'falling'
}

/** From one corner to the other; `isEven`: both sides as long. Pressed alone, a square. */
export function drawnRect(from: Point, to: Point, form: Form | 'box', isEven: boolean): Rect {
  let [dx, dy] = [to.x - from.x, to.y - from.y]
  if (dx === 0 && dy === 0) [dx, dy] = [PRESSED, isLine(form) ? 0 : PRESSED]
  if (isEven && !isLine(form)) {
    const side = Math.max(Math.abs(dx), Math.abs(dy))
    ;[dx, dy] = [Math.sign(dx || 1) * side, Math.sign(dy || 1) * side]
  }
  const rect = {
    x: Math.min(from.x, from.x + dx),
    y: Math.min(from.y, from.y + dy),
    width: Math.abs(dx),
    height: Math.abs(dy),
  }
  if (!isLine(form)) return { ...rect, width: Math.max(1, rect.width), height: Math.max(1, rect.height) }
  const slope = slopeOf(dx, dy, isEven)
  if (slope === 'level') return { ...rect, y: from.y - LEVEL, height: LEVEL * 2 }
  return slope === 'upright' ? { ...rect, x: from.x - LEVEL, width: LEVEL * 2 } : rect
}

/** A line runs as it was pulled. */
const formOf = (form: Form, from: Point, to: Point, isEven: boolean): Form =>
  form.form === 'line' ? { ...form, slope: slopeOf(to.x - from.x, to.y - from.y, isEven) } : form

/** @param what a form, or a box that others can lie in @param to where it was pulled to; Shift: `isEven` */
export function drawnShape(
  doc: Document,
  layout: PageLayout,
  {
    what,
    name,
    from,
    to,
    isEven,
    look,
  }: { what: Form | 'box'; name: string; from: Point; to: Point; isEven: boolean; look: PropChanges },
  makeId: () => string,
): Drawn | string {
  const rect = drawnRect(from, to, what, isEven)
  const props = what === 'box' ? look : { form: formOf(what, from, to, isEven), ...look }
  return drawn(doc, layout, { kind: what === 'box' ? 'box' : 'shape', name, rect, y: from.y, props }, makeId)
}
