/** Which pictures a cover needs. */
import type { Asset } from '../core/document/schema'
import type { Tree } from '../core/document/tree'

/** The pictures on the first page. */
export function* onFirstPage(doc: Tree): Generator<Asset> {
  const page = doc.pagesInOrder()[0]
  if (!page) return
  const used = new Set<string>()
  for (const node of doc.walk(page.id))
    for (const props of [node.props, ...Object.values(node.overrides)]) if (props.asset) used.add(props.asset)
  for (const id of used) {
    const asset = doc.assets.get(id)
    if (asset) yield asset
  }
}
