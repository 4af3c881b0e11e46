/** Taking a block out of its flow so that it stays where it is, on every view that shows it. */
import type { Document } from '../document/document'
import { withOverrides } from '../document/resolve'
import type { Edit, PropChanges } from '../edits/edit'
import type { PageLayout } from '../layout/page'
import { deepEqual } from '../properties/plain-equal'

const px = (value: number) => Math.round(value * 100) / 100

/** What lifts a block where it stands on one view; undefined: it is not shown there. */
function liftedOn(layout: PageLayout, id: string): PropChanges | undefined {
  const box = layout.boxes.get(id)
  const host = box?.parent
  if (!box || !host || box.hidden) return undefined
  const { width } = box.resolved
  const follows = width.kind === 'stretch' || width.kind === 'columns' || width.kind === 'percent'
  return {
    lifted: true,
    pinLeft: { px: px(box.x - host.borL) },
    pinTop: { px: px(box.y - host.borT) },
    // What took its width from the flow has to be told it now.
    ...(follows ? { width: { kind: 'exact', px: px(box.width) } } : {}),
  }
}

/**
 * @param layouts of the page's views, widest first
 * @param view the only one to lift it on; undefined: all
 */
export function liftEdits(doc: Document, layouts: readonly PageLayout[], id: string, view?: string): Edit[] {
  const node = doc.node(id)
  const shown = layouts.filter((layout) => view === undefined || layout.viewId === view)
  const edits: Edit[] = []
  let base: PropChanges | undefined
  for (const layout of shown) {
    const props = liftedOn(layout, id)
    if (!props) continue
    if (view !== undefined) edits.push({ op: 'set', node: id, view, props })
    else if (!base) {
      base = props
      edits.push({ op: 'set', node: id, props })
    } else {
      const own = ownValues(doc, layout, node.id, { ...base }, props)
      if (Object.keys(own).length > 0) edits.push({ op: 'set', node: id, view: layout.viewId, props: own })
    }
  }
  return edits
}

/** What a narrower view has to say for itself once `base` is said for all. */
function ownValues(doc: Document, layout: PageLayout, id: string, base: PropChanges, props: PropChanges) {
  const views = doc.cascade(layout.viewId).map((view) => view.id)
  const under = {
    ...withOverrides({ ...doc.node(id), props: { ...doc.node(id).props, ...base } as never }, views),
  }
  return Object.fromEntries(
    Object.entries(props).filter(([key, value]) => !deepEqual(under[key as keyof typeof under], value)),
  ) as PropChanges
}
