/** A theme in another light, of a whole project: its pages' backgrounds go along where they are no tokens yet. */
import type { Document, Page } from '../document/document'
import type { Theme } from '../document/schema'
import { withValueAt } from '../document/token-variants'
import { colorValue } from '../document/tokens'
import type { Edit } from '../edits/edit'
import { paperFor } from '../paint/paper'
import type { Pair } from './pairs'
import { newThemeEdits, turnedColors } from './themes'

/** Pages by the colour that they lie on, of those that say no token for it; what stands on a template has that one's. */
function literalGrounds(doc: Document): Map<string, Page[]> {
  const grounds = new Map<string, Page[]>()
  for (const page of doc.allPages()) {
    if (doc.absent.has(page.id)) continue
    const { background } = doc.node(page.id).props
    if (background === undefined ? page.template !== undefined : background.startsWith('{')) continue
    const hex = paperFor(background)
    grounds.set(hex, [...(grounds.get(hex) ?? []), page])
  }
  return grounds
}

/** A name for the token of a page's background that no token has. */
function freeName(doc: Document, taken: ReadonlySet<string>): string {
  const names = new Set([...doc.tokenTable.names('color'), ...taken])
  for (let n = 1; ; n++) {
    const name = n === 1 ? 'color.page' : `color.page-${n}`
    if (!names.has(name)) return name
  }
}

/**
 * A new theme of the first one's colours in another light. A page's background that is no token becomes one: left as it is, words in
 * the new theme's inks would not read on it.
 * @param ids for the new one, and for the first @param pairs what meets on the pages in the first theme
 */
export function turnedThemeEdits(
  doc: Document,
  ids: { id: string; first: string },
  theme: Omit<Theme, 'id'>,
  pairs: readonly Pair[],
): Edit[] {
  const grounds = new Map<string, string>()
  const paints: Edit[] = []
  for (const [hex, pages] of literalGrounds(doc)) {
    const name = freeName(doc, new Set(grounds.keys()))
    grounds.set(name, hex)
    for (const { id } of pages) paints.push({ op: 'set', node: id, props: { background: `{${name}}` } })
  }
  const colors = turnedColors(doc, pairs, grounds)
  const known = new Map([...colors].filter(([name]) => !grounds.has(name)))
  const made = [...grounds].map(([name, hex]): Edit => {
    const token = { $type: 'color', $value: colorValue(hex) }
    return { op: 'token', name, token: withValueAt(token, { theme: ids.id }, colorValue(colors.get(name)!)) }
  })
  // The theme is there before what says something in it.
  return [...newThemeEdits(doc, ids, theme, known), ...made, ...paints]
}
