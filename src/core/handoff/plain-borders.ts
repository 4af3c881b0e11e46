/** Borders where a browser does not fill them (`background-clip: border-area`): in their own colours, without what would fill them. */
import type { Node } from '../document/document'
import { cascaded } from '../document/resolve'
import type { View } from '../document/schema'
import { type Declarations, lookDeclarations } from '../properties/declarations'
import { isInBorder, shownItems } from '../properties/items'
import { INITIAL } from './css'
import { type Place, resolvedIn } from './declarations'
import { writingFor } from './written'

/** What is asked of a browser that needs them. */
export const PLAIN_BORDERS = '@supports not (background-clip: border-area)'

/** @param declared of a block in a view @returns the same, with borders that are not filled */
export function withPlainBorders(place: Place, node: Node, declared: Declarations): Declarations {
  const { doc, view, outside } = place
  const raw = cascaded(doc, node, view)
  if (!shownItems(raw.fills).some(isInBorder)) return declared
  const fills = Object.fromEntries(Object.entries(raw.fills!).filter(([, fill]) => !isInBorder(fill)))
  const write = writingFor(doc.tokensAt(view), outside)
  return lookDeclarations(node.kind, { ...raw, fills }, resolvedIn(place, node), write)
}

/** What is filled, or has a border. */
const DRAWN = /^(background|border)-/

/**
 * What a block is with plain borders: all that is otherwise then in some view, said of every view.
 * @param declared by view, widest first; `plain` the same of `withPlainBorders` @returns undefined: nothing is
 */
export function plainRule(
  views: readonly View[],
  declared: readonly Declarations[],
  plain: readonly Declarations[],
) {
  const names = new Set<string>()
  plain.forEach((own, i) => {
    if (own === declared[i]) return
    for (const name of [...own.keys(), ...declared[i]!.keys()])
      if (DRAWN.test(name) && own.get(name) !== declared[i]!.get(name)) names.add(name)
  })
  if (names.size === 0) return undefined
  const said = (of: Declarations, name: string) => of.get(name) ?? INITIAL[name] ?? 'unset'
  const base: Declarations = new Map([...names].map((name) => [name, said(plain[0]!, name)]))
  const changes = new Map<string, Declarations>()
  plain.forEach((own, i) => {
    // What is hidden is drawn in no way.
    if (i === 0 || own.get('display') === 'none') return
    const wide = plain[i - 1]!
    const change = [...names].filter((name) => said(own, name) !== said(wide, name))
    if (change.length > 0) changes.set(views[i]!.id, new Map(change.map((name) => [name, said(own, name)])))
  })
  return { base, changes }
}
