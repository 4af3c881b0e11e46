/** Themes: other colours for the same tokens. One from another by lightness, with what read well reading well still. */
import { contrastOf, nearestThatReads } from '../color/contrast'
import { turned } from '../color/turned'
import type { Document } from '../document/document'
import type { Theme } from '../document/schema'
import { valueAt } from '../document/token-variants'
import { colorValue, tokenIn } from '../document/tokens'
import type { Edit } from '../edits/edit'
import { clearedEdits, setEdit } from './elsewhere'
import { storedToken } from './instead'
import type { Pair } from './pairs'

/** Takes a theme away with all that tokens say in it. The first stays as long as there are others. */
export const removeThemeEdits = (doc: Document, theme: string): Edit[] => [
  ...clearedEdits(doc, { theme }),
  { op: 'theme', id: theme, theme: null },
]

/** Colours by token that are colours of their own, not another token's. */
function ownColors(doc: Document, theme: string | undefined): Map<string, string> {
  const colors = new Map<string, string>()
  const there = doc.tokensAt(doc.views[0]!.id, theme)
  for (const name of doc.tokenTable.names('color')) {
    const token = storedToken(doc.tokens, name)!
    const value = (theme === undefined ? undefined : valueAt(token, { theme })) ?? token.$value
    if (tokenIn(value) === undefined) colors.set(name, there.lookup(name)!.value as string)
  }
  return colors
}

/** Colours of the pairs' grounds that read on no ink, and the other way round, moved in lightness until they do. */
function readable(colors: Map<string, string>, next: Map<string, string>, pairs: readonly Pair[]) {
  const nameOf = (hex: string) => [...colors].find(([, value]) => value === hex)?.[0]
  const now = (hex: string) => next.get(nameOf(hex) ?? '') ?? hex
  // Inks first: a ground is moved only where its ink is no token. Twice, since a token may be both.
  for (const side of ['ink', 'ground', 'ink', 'ground'] as const) {
    const other = side === 'ink' ? 'ground' : 'ink'
    for (const [name, hex] of colors) {
      const met = pairs.filter((pair) => pair[side] === hex && pair.ratio >= pair.needed)
      const against = met.filter((pair) => side === 'ink' || nameOf(pair.ink) === undefined)
      const short = against.some((pair) => contrastOf(now(pair.ink), now(pair.ground)) < pair.needed)
      if (!short) continue
      const least = Math.max(...against.map(({ needed }) => needed))
      const better = nearestThatReads(
        next.get(name)!,
        against.map((pair) => now(pair[other])),
        least,
      )
      if (better) next.set(name, better)
    }
  }
}

/**
 * The first theme's colours in another light: every token's own colour turned, then moved until what reads well on the pages reads
 * well in it, too. Tokens that are other tokens follow those.
 * @param pairs what meets on the pages in the first theme @param more tokens that are about to be
 */
export function turnedColors(
  doc: Document,
  pairs: readonly Pair[],
  more: ReadonlyMap<string, string> = new Map(),
): Map<string, string> {
  const colors = new Map([...ownColors(doc, undefined), ...more])
  const next = new Map([...colors].map(([name, hex]) => [name, turned(hex)]))
  readable(colors, next, pairs)
  return next
}

const LIGHT: Omit<Theme, 'id'> = { name: 'Light', scheme: 'light' }

/**
 * A new theme. The first one that is made gives what is there a name, too.
 * @param ids for the new one, and for the first
 * @param colors what its tokens are; the others are as in the first
 */
export function newThemeEdits(
  doc: Document,
  ids: { id: string; first: string },
  theme: Omit<Theme, 'id'>,
  colors: ReadonlyMap<string, string>,
): Edit[] {
  const edits: Edit[] = []
  if (doc.themes.length === 0) edits.push({ op: 'theme', id: ids.first, theme: LIGHT })
  edits.push({ op: 'theme', id: ids.id, theme })
  for (const [name, hex] of colors) edits.push(setEdit(doc, name, { theme: ids.id }, colorValue(hex)))
  return edits
}
