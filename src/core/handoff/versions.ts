/** What of a block's content differs from view to view, and how that is handed off. */
import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import { isText } from '../properties/kinds'
import { said, type Words } from '../words/words'

/** What a text says in some of the views: an element of its own, hidden in the others. */
export type Version = { words: Words; views: ReadonlySet<string> }

const ONE: readonly [undefined] = [undefined]

const NONE = said('')

/** Whether anything of a block's content is said for a view alone. */
const differs = (node: Node, key: 'words' | 'asset') =>
  Object.values(node.overrides).some((props) => props[key] !== undefined)

/** The versions of a text, that of the widest view first; [undefined] for a block that is the same everywhere. */
export function versionsOf(doc: Document, node: Node): readonly (Version | undefined)[] {
  if (!isText(node.kind) || !differs(node, 'words')) return ONE
  const versions = new Map<string, { words: Words; views: Set<string> }>()
  for (const { id } of doc.views) {
    const words = cascaded(doc, node, id).words ?? NONE
    const key = JSON.stringify(words)
    const version = versions.get(key) ?? { words, views: new Set<string>() }
    versions.set(key, version)
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
  return shown.filter((each, i) => i > 0 && each.asset !== shown[i - 1]!.asset).reverse()
}
