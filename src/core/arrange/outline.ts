/** A shape's outline on its sheet: read off it, put back into the block, so that what was not pulled stays where it is seen. */
import type { Document, Node } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import type { Combination, Form } from '../forms/form'
import { madeOf, pathIn, pathOfForm } from '../forms/form'
import { type Bounds, boundsOf, mapPath, type Path, pathData } from '../forms/path'
import { type Outlines, outlinesOf, pathOfOutlines } from '../forms/points'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import type { SetEdit } from './align'
import { ordersAt } from './order'
import { pinsAt } from './pins'

/** Puts shapes together; fetched where it is needed. */
export type Combine = (paths: readonly Path[], how: Combination) => Path

/** Between a box and the 100 × 100 that outlines are kept in. */
const intoBox = (path: Path, { x, y, width, height }: Rect): Path =>
  mapPath(path, ([a, b]) => [x + (a / 100) * width, y + (b / 100) * height])
/** As it is kept: a hundredth of a px is told apart in a box of 1000 px. */
export const keptIn = (path: Path, { x, y, width, height }: Rect): string =>
  pathData(
    mapPath(path, ([a, b]) => [((a - x) / (width || 1)) * 100, ((b - y) / (height || 1)) * 100]),
    DIGITS,
  )
const DIGITS = 5

const partOf = (data: string) => pathOfForm({ form: 'path', data })

/** What is drawn of a shape, or what anything else is cut to. */
const formOf = ({ node, resolved }: LayoutBox): Form | undefined =>
  node.kind === 'shape' ? resolved.form : resolved.cut?.form === 'fade' ? undefined : resolved.cut

/** What lines begin and end with stays, however they run. */
const tipsOf = (form: Form | undefined) => {
  const { start, end } = form?.form === 'line' || form?.form === 'path' ? form : {}
  return { ...(start ? { start } : {}), ...(end ? { end } : {}) }
}

/** The points of a shape, or of what a block is cut to, px on its sheet, as if nothing turned it. Of shapes put together those of each. */
export function outlinesOn(layout: PageLayout, id: string): Outlines | undefined {
  const rect = layout.rect(id)
  const box = layout.boxes.get(id)
  const form = box && formOf(box)
  if (!rect || !form) return undefined
  const of = madeOf(form)
  if (!of) return outlinesOf(pathIn(form, rect.x, rect.y, rect.width, rect.height))
  return of.parts.flatMap((data, part) => outlinesOf(intoBox(partOf(data), rect), part))
}

/** Least side of a box that an outline makes, px: a level line has none. */
const LEAST = 1
/** As lengths are kept that come of pulling, px. */
export const hundredths = (value: number) => Math.round(value * 100) / 100

function along(low: number, high: number): [from: number, size: number] {
  const length = Math.max(LEAST, high - low)
  return [hundredths((low + high - length) / 2), hundredths(length)]
}

const isExact = (size: unknown) => (size as { kind?: string } | undefined)?.kind === 'exact'

/** The box that holds an outline, px, no side less than a px long. */
export function boxRound({ left, top, right, bottom }: Bounds): Rect {
  const [x, width] = along(left, right)
  const [y, height] = along(top, bottom)
  return { x, y, width, height }
}

/** Sides of an exact size go with the outline, others stay. */
function boxFor({ resolved }: LayoutBox, rect: Rect, outline: Bounds): Rect {
  const round = boxRound(outline)
  return {
    ...(isExact(resolved.width) ? { x: round.x, width: round.width } : { x: rect.x, width: rect.width }),
    ...(isExact(resolved.height) ? { y: round.y, height: round.height } : { y: rect.y, height: rect.height }),
  }
}

/** Where a turned box is to lie so that what is in it is seen where it was: boxes turn about their own middle. */
function turnedPlace(from: Rect, to: Rect, degrees: number): { x: number; y: number } {
  const angle = (degrees * Math.PI) / 180
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
  const [cx, cy] = [from.x + from.width / 2, from.y + from.height / 2]
  const [dx, dy] = [to.x + to.width / 2 - cx, to.y + to.height / 2 - cy]
  return { x: cx + dx * cos - dy * sin - to.width / 2, y: cy + dx * sin + dy * cos - to.height / 2 }
}

export const sized = ({ width, height }: Pick<Rect, 'width' | 'height'>) => ({
  width: { kind: 'exact', px: hundredths(width) },
  height: { kind: 'exact', px: hundredths(height) },
})

/** The pins that keep what is in a lifted box where it is seen when its box becomes another. */
const placed = (layout: PageLayout, box: LayoutBox, from: Rect, to: Rect): PropChanges =>
  box.pins === null
    ? {}
    : pinsAt(layout, box.id, {
        ...turnedPlace(from, to, box.resolved.rotate ?? 0),
        width: to.width,
        height: to.height,
      })

/** The outlines of each shape that one was put together from. */
const partsOf = (outlines: Outlines): Outlines[] => {
  const parts = new Map<number, Outlines>()
  for (const outline of outlines) {
    const part = outline.part ?? 0
    parts.set(part, [...(parts.get(part) ?? []), outline])
  }
  return [...parts].sort(([a], [b]) => a - b).map(([, own]) => own)
}

/**
 * What a shape becomes with these points. Sides of an exact size follow the outline, others stay; what is lifted is pinned so that it stays where
 * it is seen.
 * @param rect where the box lay when the points were read
 * @param combine for a shape that others were put together to
 * @param how they are; left out: as they were
 * @returns a reason when nothing would be left
 */
export function reshaped(
  layout: PageLayout,
  id: string,
  outlines: Outlines,
  rect: Rect,
  combine?: Combine,
  how?: Combination,
): PropChanges | string {
  const box = layout.boxes.get(id)
  if (!box || outlines.length === 0) return 'nothing would be left of it'
  const was = madeOf(formOf(box))
  const of = was && { ...was, how: how ?? was.how }
  const parts = of ? partsOf(outlines).map(pathOfOutlines) : []
  const isMade = of !== undefined && combine !== undefined && parts.length > 1
  const path = isMade ? combine(parts, of.how) : pathOfOutlines(outlines)
  if (path.length === 0) return 'nothing would be left of it'
  const isShape = box.node.kind === 'shape'
  const to = isShape ? boxFor(box, rect, boundsOf(path)) : rect
  const kept = (each: Path) => keptIn(each, to)
  const form: Form = {
    form: 'path',
    data: kept(path),
    ...tipsOf(formOf(box)),
    ...(isMade ? { of: { how: of.how, parts: parts.map(kept) } } : {}),
  }
  // What is cut stays as large as it is.
  if (!isShape) return { cut: form }
  const { width, height } = sized(to)
  return {
    form,
    ...(isExact(box.resolved.width) ? { width } : {}),
    ...(isExact(box.resolved.height) ? { height } : {}),
    ...placed(layout, box, rect, to),
  }
}

/** A shape that others were put together to, as these again: the lowest stays the block, the others lie on it in order. @returns a reason */
export function apartEdits(
  doc: Document,
  layout: PageLayout,
  node: Node,
  set: SetEdit,
  makeId: () => string,
): { edits: Edit[]; made: string[] } | string {
  const box = layout.boxes.get(node.id)
  const rect = layout.rect(node.id)
  const of = madeOf(box?.resolved.form)
  if (!box || !rect || !of || node.parent === null) return 'it is one shape'
  const parts = of.parts.map((data) => {
    const path = intoBox(partOf(data), rect)
    const to = boxRound(boundsOf(path))
    return {
      form: { form: 'path', data: keptIn(path, to) },
      ...sized(to),
      ...placed(layout, box, rect, to),
    }
  })
  const made = parts.map((_, i) => (i === 0 ? node.id : makeId()))
  const { children } = doc.node(node.parent)
  const orders = ordersAt(doc, node.parent, children.indexOf(node.id) + 1, parts.length - 1)
  const edits = parts.map((props, i): Edit => {
    if (i === 0) return set(node, props)
    const name = `${node.name} ${i + 1}`
    const own = { ...node.props, ...props } as NodeTree['props']
    const tree = { id: made[i]!, kind: 'shape' as const, name, order: orders[i - 1]!, props: own }
    return { op: 'insert', parent: node.parent!, tree }
  })
  return { edits, made }
}
