/** What families of a project's own may be beside each other and the shipped ones. */
import { parseRanges } from '../text/code-ranges'
import { FAMILIES, styleOf } from '../text/families'
import type { FontFacts } from '../text/font-file'
import type { OwnFamily, OwnFontFile } from './schema'

const plain = (name: string) => name.trim().toLowerCase()
const SHIPPED = new Set(FAMILIES.map(({ family }) => plain(family)))

/** What a family from outside is called here: one that is called as a shipped one is told apart from it, always in the same way. */
export const ownName = (name: string): string => (SHIPPED.has(plain(name)) ? `${name} own` : name)

/** Browsers take no notice of capitals (CSS Fonts 4 §4.2). */
const isCalled = (name: string) => (own: OwnFamily) => plain(own.family) === plain(name)

/** The family that a file from outside belongs to, where it is there already. */
export const familyOf = (families: readonly OwnFamily[], name: string): OwnFamily | undefined =>
  families.find(isCalled(ownName(name)))

const overlap = (a: OwnFontFile, b: OwnFontFile) =>
  (a.italic ?? false) === (b.italic ?? false) && a.weights[0] <= b.weights[1] && b.weights[0] <= a.weights[1]

/** Why a family cannot stand beside others; undefined when it can. */
export function problemOfFamily(
  { id, family, files }: OwnFamily,
  among: readonly OwnFamily[],
): string | undefined {
  const others = among.filter((other) => other.id !== id)
  if (SHIPPED.has(plain(id))) return `the id “${id}” is the name of a shipped family`
  if (SHIPPED.has(plain(family)) || others.some(isCalled(family)))
    return `there is another family called “${family}”`
  const styles = new Map<string, OwnFontFile[]>()
  for (const file of files) {
    const parts = styles.get(styleOf(file))
    if (parts) parts.push(file)
    else styles.set(styleOf(file), [file])
  }
  const first = [...styles.values()].map((parts) => parts[0]!)
  for (const [i, file] of first.entries()) {
    const other = first.slice(0, i).find((each) => overlap(each, file))
    if (other)
      return `two files of “${family}” have the weight ${Math.max(file.weights[0], other.weights[0])}`
  }
  for (const parts of styles.values()) {
    const twice = drawnTwice(parts)
    if (twice !== undefined)
      return `two files of “${family}” of the weight ${parts[0]!.weights[0]} have the character U+${twice.toString(16).toUpperCase()}`
  }
  return undefined
}

/** A character that two parts of one font have. */
function drawnTwice(parts: readonly OwnFontFile[]): number | undefined {
  const drawn = parts.flatMap(({ ranges }) => parseRanges(ranges)).sort((a, b) => a[0] - b[0])
  let last = -1
  for (const [from, to] of drawn) {
    if (from <= last) return from
    last = Math.max(last, to)
  }
  return undefined
}

/** A font that was read, and where it is kept: in one file, or in parts that have other characters each. */
export type TakenFont = { facts: FontFacts; files: Pick<OwnFontFile, 'ranges' | 'hash' | 'size'>[] }

/**
 * Families with some files taken in: to a family of the same name they come, in the place of files of the same weight.
 * @param makeId makes an id for a family of a name
 * @returns those that are new or changed
 */
export function withFonts(
  families: readonly OwnFamily[],
  taken: readonly TakenFont[],
  makeId: (name: string) => string,
): OwnFamily[] {
  const changed = new Map<string, OwnFamily>()
  const all = () => [...families.filter(({ id }) => !changed.has(id)), ...changed.values()]
  for (const { facts, files: parts } of taken) {
    const { weights, italic } = facts
    const added = parts.map((part): OwnFontFile => ({ ...(italic && { italic }), weights, ...part }))
    const family: OwnFamily = familyOf(all(), facts.family) ?? {
      id: makeId(facts.family),
      family: ownName(facts.family),
      category: facts.category,
      files: [],
    }
    const kept = family.files.filter((each) => !overlap(each, added[0]!))
    const files = [...kept, ...added].sort(byStyle)
    changed.set(family.id, { ...family, files })
  }
  return [...changed.values()]
}

/** Upright before slanted, light before bold. */
const byStyle = (a: OwnFontFile, b: OwnFontFile) =>
  Number(a.italic ?? false) - Number(b.italic ?? false) || a.weights[0] - b.weights[0]
