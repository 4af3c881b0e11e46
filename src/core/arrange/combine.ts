/** Several shapes made one: the lowest of them becomes what they come to, the others go. */
import type { Edit, PropChanges } from '../edits/edit'
import { combined } from '../forms/combine'
import { type Combination, pathIn } from '../forms/form'
import { boundsOf, type Path, turned } from '../forms/path'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { paintedBlocks } from '../paint/layers'
import type { SetEdit } from './align'
import { boxRound, keptIn, outlinesOn, reshaped } from './outline'

/** A shape as it is seen, px from the page's top left: turned, too. */
export function pathOfBox(layout: PageLayout, box: LayoutBox): Path {
  const { x, y, width, height } = layout.rect(box.id)!
  const path = pathIn(box.resolved.form!, x, y, width, height)
  return turned(path, [x + width / 2, y + height / 2], box.resolved.rotate ?? 0)
}

const isOpen = (path: Path) => path.some(({ closed }) => !closed)

/** @returns a reason when they cannot be put together */
export function combineEdits(
  layout: PageLayout,
  ids: readonly string[],
  how: Combination,
  set: SetEdit,
): Edit[] | string {
  const chosen = new Set(ids)
  const boxes = paintedBlocks(layout).filter(({ id }) => chosen.has(id))
  if (boxes.length < 2 || boxes.some(({ node }) => node.kind !== 'shape'))
    return 'select two or more shapes, and nothing else'
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
  return [
    set(lowest!.node, {
      form: { form: 'path', data: kept(sum), of: { how, parts: paths.map(kept) } },
      width: { kind: 'exact', px: to.width },
      height: { kind: 'exact', px: to.height },
      rotate: null,
      ratio: null,
      ...place,
    }),
    ...others.map(({ id }): Edit => ({ op: 'remove', node: id })),
  ]
}

/** A shape that others were put together to, put together otherwise. @returns a reason when nothing would be left of them */
export function recombined(layout: PageLayout, id: string, how: Combination): PropChanges | string {
  const outlines = outlinesOn(layout, id)
  const rect = layout.rect(id)
  return outlines && rect ? reshaped(layout, id, outlines, rect, combined, how) : 'it is not on this page'
}
