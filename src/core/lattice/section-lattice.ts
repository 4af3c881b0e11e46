/** A section's lattice: its own where it has one, else the view's. */

import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import type { ViewLattice } from '../document/schema'
import type { Instances } from '../expand/instances'
import type { Props } from '../properties/table'

/** @param set a section's props, cascaded into the view */
export const sectionLattice = (view: ViewLattice, set: Pick<Props, 'lattice'>): ViewLattice =>
  set.lattice === undefined || set.lattice === 'view' ? view : { ...view, ...set.lattice }

/** Whether a section has a lattice of its own in any view: then its rule must say it in every view. */
export const hasOwnLattice = (node: Node): boolean =>
  node.kind === 'section' &&
  [node.props, ...Object.values(node.overrides)].some((props) => props.lattice !== undefined)

/** The lattice that what a page shows stands on in a view. */
export function latticeOf(doc: Document, instances: Instances, node: Node, view: string): ViewLattice {
  const { lattice } = doc.view(view)
  let section: Node | undefined = node
  while (section && section.kind !== 'section')
    section = section.parent === null ? undefined : instances.find(section.parent)
  return section ? sectionLattice(lattice, cascaded(doc, section, view)) : lattice
}
