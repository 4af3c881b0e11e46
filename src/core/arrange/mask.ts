/** Blocks seen through the outline of another: they lie in a box that is cut to it, each moved by itself there, all with the box. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import { combined } from '../forms/combine'
import { pathIn } from '../forms/form'
import { boundsOf, mapPath, type Path, turned } from '../forms/path'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { paintedBlocks } from '../paint/layers'
import { shownItems } from '../properties/items'
import { hasProperty } from '../properties/table'
import type { SetEdit } from './align'
import { pathOfBox } from './combine'
import { orderAt, ordersAt } from './order'
import { boxRound, hundredths, keptIn, sized } from './outline'
import { pinsAt } from './pins'
import { lettersOf } from './text-outline'

type Props = Record<string, unknown>

const NO_PINS = {
  pinLeft: null,
  pinTop: null,
  pinRight: null,
  pinBottom: null,
  pinCenterX: null,
  pinCenterY: null,
}
/** What a mask is drawn with, and what its words are: nothing of that is a box's. */
const OWN =
  /^(width|height|minWidth|maxWidth|minHeight|maxHeight|ratio|rotate|alt|tag|link|padding.*|fills.*|border.*|radius.*|shadows|cast|outline)$/

/** What of a mask the box that stands in its place has, too: where it lies, how it mixes. */
const placing = (props: Props) =>
  Object.fromEntries(Object.entries(props).filter(([key]) => hasProperty('box', key) && !OWN.test(key)))

/** A shape, or a text whose letters are drawn. */
const hasOutline = ({ node }: LayoutBox) => node.kind === 'shape' || node.kind === 'text'

/** What is drawn of a block and in it, as far as it can mask: of a group each shape and text. Undefined: something has no outline, or would be lost. */
function drawnIn(box: LayoutBox): LayoutBox[] | undefined {
  if (hasOutline(box)) return [box]
  const { fills, rotate, cut } = box.resolved
  if (box.node.kind !== 'box' || rotate || cut || shownItems(fills).length > 0) return undefined
  const parts = [...box.kids, ...box.lifted].filter(({ hidden }) => !hidden).map(drawnIn)
  return parts.length === 0 || parts.includes(undefined) ? undefined : (parts as LayoutBox[][]).flat()
}

/** The outline of one block, px on the sheet, as it is seen. Undefined: it has none. */
function outlineOf(layout: PageLayout, box: LayoutBox): Path | undefined {
  if (box.node.kind === 'shape') return pathOfBox(layout, box)
  if (!box.typeset || box.resolved.rotate) return undefined
  const { x, y } = layout.rect(box.id)!
  return mapPath(lettersOf(box), ([a, b]) => [a + x, b + y])
}

/** The outline of what masks, all in it as one. */
function outlineOfAll(layout: PageLayout, mask: LayoutBox): Path | undefined {
  const paths = drawnIn(mask)?.map((box) => outlineOf(layout, box))
  if (!paths || paths.includes(undefined)) return undefined
  return paths.length === 1 ? paths[0] : combined(paths as Path[], 'unite')
}

/** Where a block lies in a box at `around`, as large as it is now. */
const pinnedIn = (rect: Rect, around: Rect): PropChanges => ({
  ...NO_PINS,
  pinLeft: { px: hundredths(rect.x - around.x) },
  pinTop: { px: hundredths(rect.y - around.y) },
  ...sized(rect),
  minWidth: null,
  maxWidth: null,
  minHeight: null,
  maxHeight: null,
  ratio: null,
})
/** The one among several that masks: the only shape or text, else the only group of such, else the lowest of all. */
function maskAmong(boxes: readonly LayoutBox[]): LayoutBox | undefined {
  for (const may of [boxes.filter(hasOutline), boxes.filter((box) => drawnIn(box) !== undefined)])
    if (may.length === 1) return may[0]
  return boxes[0]
}

const middleOf = ({ x, y, width, height }: Rect) => [x + width / 2, y + height / 2] as const

type Masked = { edits: Edit[]; made: string }

/** One block alone is cut itself, and stays what and where it is. */
function cutOne(layout: PageLayout, mask: LayoutBox, other: LayoutBox, path: Path, set: SetEdit): Masked {
  const rect = layout.rect(other.id)!
  const data = keptIn(turned(path, middleOf(rect), -(other.resolved.rotate ?? 0)), rect)
  const edits: Edit[] = [set(other.node, { cut: { form: 'path', data } }), { op: 'remove', node: mask.id }]
  return { edits, made: other.id }
}

/** Several lie in a box in the mask's place, which is cut. */
function cutBox(
  doc: Document,
  layout: PageLayout,
  { mask, others, path }: { mask: LayoutBox; others: readonly LayoutBox[]; path: Path },
  set: SetEdit,
  makeId: () => string,
): Masked {
  const to = boxRound(boundsOf(path))
  const id = makeId()
  const { node } = mask
  const { children } = doc.node(node.parent!)
  const place =
    mask.pins === null
      ? {}
      : pinsAt(layout, mask.id, { x: to.x, y: to.y, width: to.width, height: to.height })
  const tree: NodeTree = {
    id,
    kind: 'box',
    name: `${node.name} with what it masks`,
    order: orderAt(doc, node.parent!, children.indexOf(node.id)),
    props: {
      ...placing(node.props),
      ...place,
      ...sized(to),
      flow: 'free',
      cut: { form: 'path', data: keptIn(path, to) },
    } as NodeTree['props'],
  }
  const keys = generateNKeysBetween(null, null, others.length)
  return {
    edits: [
      { op: 'insert', parent: node.parent!, tree },
      ...others.flatMap((other, i): Edit[] => [
        { op: 'move', node: other.id, parent: id, order: keys[i]! },
        set(other.node, pinnedIn(layout.rect(other.id)!, to)),
      ]),
      { op: 'remove', node: node.id },
    ],
    made: id,
  }
}

/**
 * One of several blocks, a shape, a text or a group of such, masks the others: the only one of these, or the lowest of all. Nothing moves.
 * @returns the edits and what is cut, or a reason
 */
export function maskEdits(
  doc: Document,
  layout: PageLayout,
  ids: readonly string[],
  set: SetEdit,
  makeId: () => string,
): Masked | string {
  const chosen = new Set(ids)
  const boxes = paintedBlocks(layout).filter(({ id }) => chosen.has(id))
  const mask = maskAmong(boxes)
  const others = boxes.filter((box) => box !== mask)
  if (!mask || others.length === 0) return 'select what masks, and what is to be seen through it'
  if (boxes.some(({ node }) => node.kind === 'section'))
    return 'sections cannot be masked: put what is in one into a box'
  if (boxes.some(({ id }) => doc.ancestors(id).some((node) => chosen.has(node.id))))
    return 'one of them lies in another: select blocks that lie beside each other'
  const path = outlineOfAll(layout, mask)
  if (!path || path.length === 0)
    return 'a shape masks, a text that is not turned, or a group of such: of several the lowest'
  if (path.some(({ closed }) => !closed)) return 'a line has no inside: what masks is a shape that has one'
  const [first] = others
  const isOne = others.length === 1 && hasProperty(first!.node.kind, 'cut') && !first!.resolved.cut
  return isOne
    ? cutOne(layout, mask, first!, path, set)
    : cutBox(doc, layout, { mask, others, path }, set, makeId)
}

/**
 * What is masked let out, where it is seen, and the mask a shape again.
 * @param line what that is drawn with
 * @returns a reason when it is not masked
 */
export function unmaskEdits(
  doc: Document,
  layout: PageLayout,
  node: Node,
  line: PropChanges,
  set: SetEdit,
  makeId: () => string,
): { edits: Edit[]; made: string[] } | string {
  const { cut } = node.props
  const box = layout.boxes.get(node.id)
  const around = node.parent === null ? undefined : layout.rect(node.parent)
  if (!box?.parent || !cut || cut.form === 'fade' || node.parent === null || !around)
    return 'select what is cut to a form'
  const isGroup = node.kind === 'box' && box.resolved.flow === 'free'
  const inner = { x: around.x + box.parent.borL, y: around.y + box.parent.borT, width: 0, height: 0 }
  const rect = layout.rect(node.id)!
  const path = turned(
    pathIn(cut, rect.x, rect.y, rect.width, rect.height),
    middleOf(rect),
    box.resolved.rotate ?? 0,
  )
  const to = boxRound(boundsOf(path))
  const id = makeId()
  const index = doc.node(node.parent).children.indexOf(node.id)
  const [own, ...orders] = ordersAt(doc, node.parent, index + 1, node.children.length + 1)
  const tree: NodeTree = {
    id,
    kind: 'shape',
    name: 'Mask',
    order: own!,
    props: {
      ...Object.fromEntries(Object.entries(pinnedIn(to, inner)).filter(([, value]) => value !== null)),
      ...line,
      lifted: true,
      form: { form: 'path', data: keptIn(path, to) },
    } as NodeTree['props'],
  }
  const shape: Edit = { op: 'insert', parent: node.parent, tree }
  if (!isGroup) return { edits: [shape, set(node, { cut: null })], made: [id, node.id] }
  const out = node.children.flatMap((child, i): Edit[] => [
    { op: 'move', node: child, parent: node.parent!, order: orders[i]! },
    set(doc.node(child), { ...pinnedIn(layout.rect(child)!, inner), lifted: true }),
  ])
  return { edits: [shape, ...out, { op: 'remove', node: node.id }], made: [id, ...node.children] }
}
