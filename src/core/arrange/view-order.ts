/** Siblings in another order on one view than in the document: seen so, but read as before. */
import type { Document } from '../document/document'
import { cascaded, withOverrides } from '../document/resolve'
import type { Edit } from '../edits/edit'
import { Flow, type LayoutBox } from '../layout/box'
import type { SetEdit } from './align'

/** A block's children as a view shows them. */
export function shownChildren(doc: Document, parent: string, view: string): string[] {
  const { children } = doc.node(parent)
  const order = (id: string) => cascaded(doc, doc.node(id), view).order ?? 0
  return children.some((id) => order(id) !== 0)
    ? [...children].sort((a, b) => order(a) - order(b))
    : [...children]
}

/**
 * The edits that show siblings in the order `wanted` on a view, and on those narrower that say nothing else. Most keep the order they
 * have in the document, so that few are set.
 */
export function viewOrderEdits(doc: Document, wanted: readonly string[], view: string): Edit[] {
  const { children } = doc.node(doc.node(wanted[0]!).parent!)
  const at = new Map(children.map((id, i) => [id, i]))
  const levels: number[] = []
  let level = 0
  wanted.forEach((id, i) => {
    if (i > 0 && at.get(id)! < at.get(wanted[i - 1]!)!) level++
    levels.push(level)
  })
  const counts = levels.reduce(
    (all, each) => all.set(each, (all.get(each) ?? 0) + 1),
    new Map<number, number>(),
  )
  const most = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a))[0]
  const wider = doc
    .cascade(view)
    .slice(0, -1)
    .map(({ id }) => id)
  return wanted.flatMap((id, i): Edit[] => {
    const node = doc.node(id)
    const order = levels[i]! - most
    const under = withOverrides(node, wider).order ?? 0
    const own = node.overrides[view]?.order
    const next = order === under ? undefined : order
    return own === next ? [] : [{ op: 'set', node: id, view, props: { order: next ?? null } }]
  })
}

/** Where a block is seen and where it is read among those beside it, from 1; undefined where that is the same. */
export function seenElsewhere(
  doc: Document,
  id: string,
  view: string,
): { seen: number; read: number } | undefined {
  const { parent } = doc.node(id)
  if (parent === null) return undefined
  const seen = shownChildren(doc, parent, view).indexOf(id) + 1
  const read = doc.node(parent).children.indexOf(id) + 1
  return seen === read ? undefined : { seen, read }
}

/**
 * What goes with a new order in a lattice whose blocks have places in it: they take over each other's, where they are of one width;
 * else those that moved are placed by their order alone.
 * @param after the children as they are to be, some perhaps new here
 */
export function placesAlong(host: LayoutBox, after: readonly string[], set: SetEdit): Edit[] {
  if (host.flow !== Flow.Lattice || host.kids.every(({ from }) => from === 0)) return []
  const boxes = new Map(host.kids.map((kid) => [kid.id, kid]))
  const stay = after.filter((id) => boxes.has(id))
  const moved = host.kids.map((kid, i) => kid.id !== stay[i])
  const first = moved.indexOf(true)
  if (first < 0) return []
  const last = moved.lastIndexOf(true)
  const range = host.kids.slice(first, last + 1)
  const alike = range.every(({ span }) => span === range[0]!.span)
  return range.flatMap((there, i) => {
    const box = boxes.get(stay[first + i]!)
    if (!box) return []
    const from = alike ? there.from : 0
    if (box.from === from || box.resolved.width.kind !== 'columns') return []
    return [set(box.node, { width: { kind: 'columns', span: box.span, ...(from > 0 ? { from } : {}) } })]
  })
}
