/** A section's lattice: its own where it has one, else the view's. */
import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import type { Props, ViewLattice } from '../document/schema'

/** @param set a section's props, cascaded into the view */
export const sectionLattice = (view: ViewLattice, set: Pick<Props, 'lattice'>): ViewLattice =>
  set.lattice === undefined || set.lattice === 'view' ? view : { ...view, ...set.lattice }

/** Whether a section has a lattice of its own in any view: then its rule must say it in every view. */
export const hasOwnLattice = (node: Node): boolean =>
  node.kind === 'section' &&
  [node.props, ...Object.values(node.overrides)].some((props) => props.lattice !== undefined)

/** The lattice that a block stands on in a view. */
export function latticeOf(doc: Document, node: Node, view: string): ViewLattice {
  const { lattice } = doc.view(view)
  const section =
    node.kind === 'section' ? node : doc.ancestors(node.id).find((each) => each.kind === 'section')
  return section ? sectionLattice(lattice, cascaded(doc, section, view)) : lattice
}
