/** Which font files a document's texts need. */
import type { Document } from '../document/document'
import { isText } from '../document/kinds'
import { resolve } from '../document/resolve'
import { filesNeeded } from './fonts'
import { transformCase } from './paragraph'

export function fontsOf(doc: Document): Set<string> {
  const ids = new Set<string>()
  for (const node of doc.nodes.values()) {
    if (!isText(node.kind)) continue
    for (const view of doc.views) {
      const resolved = resolve(doc, node, view.id)
      filesNeeded(resolved.fontFamily, resolved.italic!, '', ids)
      for (const span of resolved.spans ?? []) {
        filesNeeded(
          resolved.fontFamily,
          span.italic ?? resolved.italic!,
          transformCase(span.text, resolved.textCase),
          ids,
        )
      }
    }
  }
  return ids
}
