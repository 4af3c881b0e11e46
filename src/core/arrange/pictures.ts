/** Pictures put into blocks, one or many at once. */
import type { Document, Node } from '../document/document'
import type { Asset, NodeTree } from '../document/schema'
import type { Edit } from '../edits/edit'
import type { SetEdit } from './align'

/** Whether a block can take a picture: it shows one, or holds nothing yet. */
export const takesPicture = ({ kind, children }: Node) =>
  kind === 'picture' || (kind === 'box' && children.length === 0)

/**
 * Puts pictures into blocks, one each, in both's order. A picture is replaced, its crop kept; what is said of it goes with it where it is
 * replaced on every view and nobody has written that. An empty box is filled from edge to edge.
 * @param set what sets the picture: on every view, or on the active one alone
 * @returns the edits, and the blocks that show the pictures now
 */
export function fillEdits(
  doc: Document,
  targets: readonly Node[],
  assets: readonly Asset[],
  set: SetEdit,
  makeId: () => string,
): { edits: Edit[]; shown: string[] } {
  const filled = targets.slice(0, assets.length).map((node, i) => {
    if (node.kind === 'picture') return { edits: replaceEdits(doc, node, assets[i]!, set), shown: node.id }
    const tree = filling(assets[i]!, makeId())
    return { edits: [{ op: 'insert' as const, parent: node.id, tree }], shown: tree.id }
  })
  return { edits: filled.flatMap(({ edits }) => edits), shown: filled.map(({ shown }) => shown) }
}

function replaceEdits(doc: Document, node: Node, { id, name }: Asset, set: SetEdit): Edit[] {
  const ratio = keptRatio(doc, node)
  const replaced = set(node, { asset: id, ...(ratio === undefined ? {} : { ratio }) })
  const { alt, asset: before } = node.props
  const isOurs = !alt || alt === doc.assets.get(before ?? '')?.name
  // What is said of a picture is said for all views.
  const everywhere = replaced.op === 'set' && replaced.view === undefined
  return everywhere && isOurs ? [replaced, { op: 'set', node: node.id, props: { alt: name } }] : [replaced]
}

/** Width by height of a picture without a file. */
const EMPTY = 1.5
const AROUND = [
  'paddingTop',
  'paddingRight',
  'paddingBottom',
  'paddingLeft',
  'borderTop',
  'borderRight',
  'borderBottom',
  'borderLeft',
] as const

/** The ratio that a picture is held to from now on, so that its box stays as it is whatever it shows. Undefined: its box says it. */
function keptRatio(doc: Document, { props, overrides }: Node): number | undefined {
  const said = [props, ...Object.values(overrides)]
  const isHeld = said.some(({ ratio, height }) => ratio !== undefined || (height && height.kind !== 'snug'))
  // With room round it its own ratio is that of what is in it.
  const isFramed = said.some((each) => AROUND.some((key) => each[key] !== undefined))
  if (isHeld || isFramed) return undefined
  const asset = doc.assets.get(props.asset ?? '')
  return asset ? asset.width / asset.height : EMPTY
}

function filling({ id: asset, name }: Asset, id: string): NodeTree {
  const stretch = { kind: 'stretch', weight: 1 } as const
  return {
    id,
    kind: 'picture',
    name: name.slice(0, 60) || 'Picture',
    order: 'a0',
    props: { asset, alt: name, width: stretch, height: stretch, minHeight: 0 },
  }
}
