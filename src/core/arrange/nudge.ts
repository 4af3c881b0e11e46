/** Moving and sizing by a few px at a time, as keys do. */
import type { Edit } from '../edits/edit'
import type { PageLayout } from '../layout/page'
import type { SetEdit } from './align'
import { isLiftedBox, pinsAt } from './pins'
import { resizeProps } from './resize'

/** Moves the lifted ones of `ids` by px; blocks in a flow stay. */
export function nudgeEdits(
  layout: PageLayout,
  ids: readonly string[],
  dx: number,
  dy: number,
  set: SetEdit,
): Edit[] {
  return ids.flatMap((id) => {
    const box = layout.boxes.get(id)
    const rect = layout.rect(id)
    if (!box || !rect || !isLiftedBox(box)) return []
    const to = { ...(dx === 0 ? {} : { x: rect.x + dx }), ...(dy === 0 ? {} : { y: rect.y + dy }) }
    return [set(box.node, pinsAt(layout, id, to))]
  })
}

/** Changes a side by px, the left or top edge staying; a section's width is the page's and stays. */
export function growEdits(
  layout: PageLayout,
  ids: readonly string[],
  side: 'width' | 'height',
  by: number,
  set: SetEdit,
): Edit[] {
  const handle = side === 'width' ? ({ across: 1, down: 0 } as const) : ({ across: 0, down: 1 } as const)
  return ids.flatMap((id) => {
    const box = layout.boxes.get(id)
    const rect = layout.rect(id)
    if (!box || !rect || (side === 'width' && box.node.kind === 'section')) return []
    const to = { ...rect, [side]: Math.max(0, Math.round(rect[side] + by)) }
    return [set(box.node, resizeProps(layout, id, to, handle, { ratio: false, centre: false }))]
  })
}
