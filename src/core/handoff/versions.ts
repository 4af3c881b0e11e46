/** What of a block's content differs from view to view, and how that is handed off. */
import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import { isText } from '../properties/kinds'
import type { Span } from '../properties/values'

/** What a text says in some of the views: an element of its own, hidden in the others. */
export type Version = { spans: readonly Span[]; views: ReadonlySet<string> }

const ONE: readonly [undefined] = [undefined]

/** Whether anything of a block's content is said for a view alone. */
const differs = (node: Node, key: 'spans' | 'asset') =>
  Object.values(node.overrides).some((props) => props[key] !== undefined)

/** The versions of a text, that of the widest view first; [undefined] for a block that is the same everywhere. */
export function versionsOf(doc: Document, node: Node): readonly (Version | undefined)[] {
  if (!isText(node.kind) || !differs(node, 'spans')) return ONE
  const versions = new Map<string, { spans: readonly Span[]; views: Set<string> }>()
  for (const { id } of doc.views) {
    const spans = cascaded(doc, node, id).spans ?? []
    const words = JSON.stringify(spans)
    const version = versions.get(words) ?? { spans, views: new Set<string>() }
    versions.set(words, version)
    version.views.add(id)
  }
  return versions.size === 1 ? ONE : [...versions.values()]
}

/** The pictures of narrower views, narrowest first: the first whose breakpoint holds is shown (HTML, `source` in `picture`). */
export function picturesByView(doc: Document, node: Node): { breakpoint: number; asset: string }[] {
  if (!differs(node, 'asset')) return []
  const shown = doc.views.map(({ id, breakpoint }) => ({
    breakpoint: breakpoint ?? 0,
    asset: cascaded(doc, node, id).asset ?? '',
  }))
  return shown.filter((each, i) => i > 0 && each.asset !== shown[i - 1].asset).reverse()
}
