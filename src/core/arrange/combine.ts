/** Several shapes made one: the lowest of them becomes what they come to, the others go. */
import { withOverrides } from '../document/resolve'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import { combined } from '../forms/combine'
import { type Combination, pathIn } from '../forms/form'
import { boundsOf, type Path, turned } from '../forms/path'
import { chainOf, inset, shape } from '../forms/round-rect'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { paintedBlocks } from '../paint/layers'
import { type Items, type SaidFill, shownItems } from '../properties/items'
import type { Stroke } from '../properties/shape'
import { hasProperty, type Resolved } from '../properties/table'
import type { SetEdit } from './align'
import { isCombinable } from './combinable'
import { boxRound, keptIn, outlinesOn, reshaped } from './outline'

/**
 * A shape, or the outline of a box, as it is seen, px from the page's top left: turned, too.
 * @param within of a box: px in from its edge
 */
export function pathOfBox(layout: PageLayout, box: LayoutBox, within = 0): Path {
  const { x, y, width, height } = layout.rect(box.id)!
  const { resolved } = box
  const path =
    box.node.kind === 'shape'
      ? pathIn(resolved.form!, x, y, width, height)
      : [chainOf(inset(outerOf(layout.rect(box.id)!, resolved), [within, within, within, within]))]
  return turned(path, [x + width / 2, y + height / 2], resolved.rotate ?? 0)
}

const outerOf = ({ x, y, width, height }: Rect, resolved: Resolved) =>
  shape(x, y, x + width, y + height, [
    resolved.radiusTopLeft,
    resolved.radiusTopRight,
    resolved.radiusBottomRight,
    resolved.radiusBottomLeft,
  ])

const isOpen = (path: Path) => path.some(({ closed }) => !closed)

/**
 * @param makeId for a box that becomes a shape
 * @returns a reason when they cannot be put together; `made`: what they are one in now
 */
export function combineEdits(
  layout: PageLayout,
  ids: readonly string[],
  how: Combination,
  set: SetEdit,
  makeId: () => string,
): { edits: Edit[]; made: string } | string {
  const chosen = new Set(ids)
  const boxes = paintedBlocks(layout).filter(({ id }) => chosen.has(id))
  if (boxes.length < 2 || boxes.some(({ node }) => !isCombinable(node)))
    return 'select two or more shapes or empty boxes, and nothing else'
  const [lowest, ...others] = boxes
  const line = lowest!.node.kind === 'box' ? lineOf(lowest!) : undefined
  // A border lies within its box, a line along its outline on both sides of it.
  const paths = boxes.map((box, i) => pathOfBox(layout, box, i === 0 ? (line?.width ?? 0) / 2 : 0))
  if (paths.some(isOpen)) return 'a line has no inside: shapes are put together that have one'
  const sum = combined(paths, how)
  if (sum.length === 0) return 'nothing would be left of them'
  const to = boxRound(boundsOf(sum))
  const kept = (path: Path) => keptIn(path, to)
  const around = layout.rect(lowest!.parent!.id) ?? { x: 0, y: 0 }
  const place =
    lowest!.pins === null
      ? {}
      : {
          pinLeft: { px: to.x - around.x - lowest!.parent!.borL },
          pinTop: { px: to.y - around.y - lowest!.parent!.borT },
          pinRight: null,
          pinBottom: null,
          pinCenterX: null,
          pinCenterY: null,
        }
  const props: PropChanges = {
    form: { form: 'path', data: kept(sum), of: { how, parts: paths.map(kept) } },
    width: { kind: 'exact', px: to.width },
    height: { kind: 'exact', px: to.height },
    rotate: null,
    ratio: null,
    ...place,
  }
  const gone = others.map(({ id }): Edit => ({ op: 'remove', node: id }))
  if (lowest!.node.kind === 'shape')
    return { edits: [set(lowest!.node, props), ...gone], made: lowest!.node.id }
  const tree = asShape(lowest!, props, line, makeId())
  if (typeof tree === 'string') return tree
  const edits: Edit[] = [
    { op: 'insert', parent: lowest!.node.parent!, tree },
    { op: 'remove', node: lowest!.node.id },
  ]
  return { edits: [...edits, ...gone], made: tree.id }
}

/** A border as the line of a shape; that at the top stands for all. */
function lineOf({ node: { props }, resolved }: LayoutBox): Stroke | undefined {
  const { borderTop } = resolved
  if (typeof borderTop !== 'object' || borderTop.width === 0) return undefined
  // As it is said: a token stays one.
  const said = typeof props.borderTop === 'object' ? props.borderTop.color : undefined
  return { width: borderTop.width, color: said ?? borderTop.color ?? resolved.color ?? '#000000' }
}

/** The colour on top among fills; '' where there are fills, and none of them is a colour. */
function colorOn(fills: Items<SaidFill> | undefined): string | undefined {
  const shown = shownItems(fills ?? {})
  const colors = shown.flatMap((fill) => (fill.kind === 'color' ? [fill.color] : []))
  return shown.length > 0 ? (colors[0] ?? '') : undefined
}

/** What a shape has of what a box had. */
const shared = (props: PropChanges) =>
  Object.fromEntries(
    Object.entries(props).filter(([key, value]) => value !== null && hasProperty('shape', key)),
  )

/** A shape in a box's place, with its colour and its border, on every view. @returns a reason when a shape cannot look like it */
function asShape(
  { node }: LayoutBox,
  changes: PropChanges,
  stroke: Stroke | undefined,
  id: string,
): NodeTree | string {
  const paint = colorOn(node.props.fills)
  if (paint === '')
    return `a shape is painted in one colour, and “${node.name}” in none: give it a colour first`
  const overrides = Object.entries(node.overrides).map(([view, own]) => {
    const there = own.fills && colorOn(withOverrides(node, [view]).fills)
    return [view, { ...shared(own), ...(there ? { paint: there } : {}) }]
  })
  return {
    id,
    kind: 'shape',
    name: node.name,
    order: node.order,
    props: {
      ...shared({ ...node.props, ...changes }),
      ...(paint === undefined ? {} : { paint }),
      ...(stroke ? { stroke } : {}),
    } as NodeTree['props'],
    overrides: Object.fromEntries(overrides) as NodeTree['overrides'],
  }
}

/** A shape that others were put together to, put together otherwise. @returns a reason when nothing would be left of them */
export function recombined(layout: PageLayout, id: string, how: Combination): PropChanges | string {
  const outlines = outlinesOn(layout, id)
  const rect = layout.rect(id)
  return outlines && rect ? reshaped(layout, id, outlines, rect, combined, how) : 'it is not on this page'
}
