/** The ledger's rows: what is open of the page's tree, top down. */

import { coverOf, isOnLattice } from '../../core/arrange/spans'
import type { Document, Node } from '../../core/document/document'
import { cascaded, resolve } from '../../core/document/resolve'
import type { Instances } from '../../core/expand/instances'
import type { PageLayout } from '../../core/layout/page'
import type { Resolved } from '../../core/properties/table'

export type Row = {
  node: Node
  depth: number
  open: boolean
  parent: string
  position: number
  siblings: number
}

/** Siblings as a view shows them. @param instances what the page shows */
export function rowsOf(instances: Instances, doc: Document, view: string, open: ReadonlySet<string>): Row[] {
  const { page } = instances
  const orderOf = (id: string) => cascaded(doc, instances.node(id), view).order ?? 0
  const shown = (ids: readonly string[]) =>
    ids.some((id) => orderOf(id) !== 0) ? [...ids].sort((a, b) => orderOf(a) - orderOf(b)) : ids
  const rows: Row[] = []
  const visit = (id: string, depth: number, position: number, siblings: number) => {
    const node = instances.node(id)
    const isOpen = open.has(id) && node.children.length > 0
    rows.push({ node, depth, open: isOpen, parent: node.parent ?? page, position, siblings })
    if (isOpen)
      shown(node.children).forEach((child, i) => {
        visit(child, depth + 1, i, node.children.length)
      })
  }
  const sections = shown(instances.node(page).children)
  sections.forEach((id, i) => {
    visit(id, 0, i, sections.length)
  })
  return rows
}

/** A few words on what a block is, for the row's right end. */
export function wordsFor(doc: Document, node: Node, view: string, layout: PageLayout | undefined): string {
  const resolved: Resolved = resolve(doc, node, view)
  if (resolved.hidden) return 'hidden here'
  if (resolved.folded) return 'behind a button'
  if (layout && isOnLattice(layout, node)) {
    const cover = coverOf(layout, node.id)
    if (cover) return cover.from === cover.to ? `column ${cover.from}` : `columns ${cover.from}–${cover.to}`
  }
  if (resolved.lifted) return 'lifted'
  if (node.kind === 'box')
    return resolved.flow === 'free' || resolved.flow === 'lattice'
      ? resolved.flow
      : `${resolved.flow} · ${resolved.rowGap}`
  return node.kind
}
