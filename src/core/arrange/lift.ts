/** Taking a block out of its flow so that it stays where it is, on every view that shows it. */
import type { Document } from '../document/document'
import { withOverrides } from '../document/resolve'
import type { Edit, PropChanges } from '../edits/edit'
import type { PageLayout } from '../layout/page'
import { deepEqual } from '../properties/plain-equal'
import type { PropKey, Props } from '../properties/table'
import { pinsAt } from './pins'

/** What lifts a block where it stands on one view; undefined: it is not shown there. */
function liftedOn(layout: PageLayout, id: string): PropChanges | undefined {
  const box = layout.boxes.get(id)
  const rect = layout.rect(id)
  if (!box || !rect) return undefined
  const { width } = box.resolved
  const follows = width.kind === 'stretch' || width.kind === 'columns' || width.kind === 'percent'
  return {
    lifted: true,
    ...pinsAt(layout, id, rect),
    // What took its width from the flow has to be told it now.
    ...(follows ? { width: { kind: 'exact', px: Math.round(box.width * 100) / 100 } } : {}),
  }
}

/**
 * @param layouts of the page's views, widest first
 * @param view the only one to lift it on; undefined: all
 */
export function liftEdits(doc: Document, layouts: readonly PageLayout[], id: string, view?: string): Edit[] {
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
      const own = ownValues(doc, layout, id, base, props)
      if (Object.keys(own).length > 0) edits.push({ op: 'set', node: id, view: layout.viewId, props: own })
    }
  }
  return edits
}

/** What a narrower view has to say for itself once `base` is said for all. */
function ownValues(doc: Document, layout: PageLayout, id: string, base: PropChanges, props: PropChanges) {
  const { props: before, overrides } = doc.node(id)
  const views = doc.cascade(layout.viewId).map((view) => view.id)
  const under = withOverrides({ props: { ...before, ...(base as Props) }, overrides }, views)
  const differs = Object.entries(props).filter(([key, value]) => !deepEqual(under[key as PropKey], value))
  return Object.fromEntries(differs) as PropChanges
}
