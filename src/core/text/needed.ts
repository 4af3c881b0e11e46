/** Which font files a document's texts need. */
import type { Document } from '../document/document'
import { resolve } from '../document/resolve'
import { isText } from '../properties/kinds'
import { filesNeeded } from './fonts'
import { transformCase } from './spans'

/** What a page says otherwise than its template. */
function changedWords(doc: Document, page: string, ids: Set<string>) {
  for (const [id, { props, overrides = {} }] of Object.entries(doc.pages.get(page)?.changes ?? {})) {
    const node = doc.nodes.get(id)
    if (!node) continue
    const { fontFamily, italic, textCase } = resolve(doc, node, doc.views[0].id)
    for (const span of [props, ...Object.values(overrides)].flatMap(({ spans = [] }) => spans))
      filesNeeded(fontFamily, span.italic ?? italic!, transformCase(span.text, textCase), ids)
  }
}

/** @param since a `tick` of the document: only what changed after it is looked at; left out: everything */
export function fontsOf(doc: Document, since?: number): Set<string> {
  const ids = new Set<string>()
  const touched = since === undefined ? undefined : doc.touchedSince(since)
  const nodes = touched ? [...touched].flatMap((id) => doc.nodes.get(id) ?? []) : doc.nodes.values()
  for (const node of nodes) {
    if (node.kind === 'page') changedWords(doc, node.id, ids)
    if (!isText(node.kind)) continue
    // Without overrides it is the same on every view.
    const own = Object.keys(node.overrides).length === 0
    for (const view of own ? doc.views.slice(0, 1) : doc.views) {
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
