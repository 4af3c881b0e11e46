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
  // The type styles too, so that whatever is placed next can be drawn at once.
  for (const name of doc.tokenTable.names('typography')) {
    const token = doc.tokenTable.lookup(name)
    if (token?.type === 'typography') filesNeeded(token.value.fontFamily, false, '', ids)
  }
  return ids
}
