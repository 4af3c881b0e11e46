/** Pictures of the project on its pages: where each is used, and many put into many blocks at once. */
import type { Document, Node } from '../document/document'
import type { Asset } from '../document/schema'
import type { Edit } from '../edits/edit'
import { placesOf } from '../tokens/uses'

/** How often each picture is used: by blocks, tracings, the site's icon, pages' previews. One that is not is not in it. */
export function pictureUses(doc: Document): Map<string, number> {
  const uses = new Map<string, number>()
  const note = (id: string | undefined) => id !== undefined && uses.set(id, (uses.get(id) ?? 0) + 1)
  for (const { props } of placesOf(doc)) note(props.asset)
  note(doc.about.icon)
  for (const { preview, aids } of doc.pages.values()) {
    note(preview)
    for (const aid of aids ?? []) if (aid.kind === 'tracing') note(aid.asset)
  }
  return uses
}

/** Whether a block can take a picture: it shows one, or holds nothing yet. */
export const takesPicture = ({ kind, children }: Node) =>
  kind === 'picture' || (kind === 'box' && children.length === 0)

/**
 * Puts pictures into blocks, one each, in both's order. A picture is replaced, its crop kept; what is said of it goes with it unless
 * somebody wrote that. An empty box is filled from edge to edge.
 * @returns the edits, and the blocks that show the pictures now
 */
export function fillEdits(
  doc: Document,
  targets: readonly Node[],
  assets: readonly Asset[],
  makeId: () => string,
): { edits: Edit[]; shown: string[] } {
  const edits: Edit[] = []
  const shown: string[] = []
  targets.slice(0, assets.length).forEach((node, i) => {
    const { id: asset, name } = assets[i]
    if (node.kind === 'picture') {
      const before = doc.assets.get(node.props.asset ?? '')?.name
      const isOurs = !node.props.alt || node.props.alt === before
      edits.push({ op: 'set', node: node.id, props: { asset, ...(isOurs ? { alt: name } : {}) } })
      shown.push(node.id)
      return
    }
    const id = makeId()
    const stretch = { kind: 'stretch', weight: 1 } as const
    edits.push({
      op: 'insert',
      parent: node.id,
      tree: {
        id,
        kind: 'picture',
        name: name.slice(0, 60) || 'Picture',
        order: 'a0',
        props: { asset, alt: name, width: stretch, height: stretch, minHeight: 0 },
      },
    })
    shown.push(id)
  })
  return { edits, shown }
}
