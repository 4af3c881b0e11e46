/** Several shapes made one: the lowest of them becomes what they come to, the others go. */
import type { Node } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import { combined } from '../forms/combine'
import { type Combination, pathIn } from '../forms/form'
import { boundsOf, type Path, roundedRectangle, turned } from '../forms/path'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { paintedBlocks } from '../paint/layers'
import type { Items, SaidFill } from '../properties/items'
import { hasProperty } from '../properties/table'
import type { SetEdit } from './align'
import { boxRound, keptIn, outlinesOn, reshaped } from './outline'

/** A shape, or the outline of a box, as it is seen, px from the page's top left: turned, too. */
export function pathOfBox(layout: PageLayout, box: LayoutBox): Path {
  const { x, y, width, height } = layout.rect(box.id)!
  const { resolved } = box
  const path =
    box.node.kind === 'shape'
      ? pathIn(resolved.form!, x, y, width, height)
      : [
          roundedRectangle({ x, y, width, height }, [
            resolved.radiusTopLeft,
            resolved.radiusTopRight,
            resolved.radiusBottomRight,
            resolved.radiusBottomLeft,
          ]),
        ]
  return turned(path, [x + width / 2, y + height / 2], resolved.rotate ?? 0)
}

const isOpen = (path: Path) => path.some(({ closed }) => !closed)

/** Shapes, and boxes that hold nothing. */
export const isCombinable = ({ kind, children }: Pick<Node, 'kind' | 'children'>): boolean =>
  kind === 'shape' || (kind === 'box' && children.length === 0)

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
  const paths = boxes.map((box) => pathOfBox(layout, box))
  if (paths.some(isOpen)) return 'a line has no inside: shapes are put together that have one'
  const sum = combined(paths, how)
  if (sum.length === 0) return 'nothing would be left of them'
  const [lowest, ...others] = boxes
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
  const tree = asShape(lowest!.node, props, makeId())
  if (typeof tree === 'string') return tree
  const edits: Edit[] = [
    { op: 'insert', parent: lowest!.node.parent!, tree },
    { op: 'remove', node: lowest!.node.id },
  ]
  return { edits: [...edits, ...gone], made: tree.id }
}

/** What is on top of a box's colours. */
function colorOf(fills: Items<SaidFill>): string | undefined {
  const [top] = Object.values(fills)
    .filter((fill) => fill.kind === 'color' && !fill.hidden)
    .sort((a, b) => (a.order < b.order ? 1 : -1))
  return top?.kind === 'color' ? top.color : undefined
}

/** A shape in a box's place, with its colour and its border. @returns a reason when a shape cannot look like it */
function asShape(node: Node, changes: PropChanges, id: string): NodeTree | string {
  const { fills = {}, borderTop } = node.props
  const paint = colorOf(fills as Items<SaidFill>)
  if (paint === undefined && Object.keys(fills).length > 0)
    return `a shape is painted in one colour, and “${node.name}” in none: give it a colour first`
  const kept = Object.entries({ ...node.props, ...changes }).filter(
    ([key, value]) => value !== null && hasProperty('shape', key),
  )
  const border = typeof borderTop === 'object' && borderTop.color !== undefined ? borderTop : undefined
  return {
    id,
    kind: 'shape',
    name: node.name,
    order: node.order,
    props: {
      ...Object.fromEntries(kept),
      ...(paint === undefined ? {} : { paint }),
      ...(border ? { stroke: { width: border.width, color: border.color } } : {}),
    } as NodeTree['props'],
  }
}

/** A shape that others were put together to, put together otherwise. @returns a reason when nothing would be left of them */
export function recombined(layout: PageLayout, id: string, how: Combination): PropChanges | string {
  const outlines = outlinesOn(layout, id)
  const rect = layout.rect(id)
  return outlines && rect ? reshaped(layout, id, outlines, rect, combined, how) : 'it is not on this page'
}
