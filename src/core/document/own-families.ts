/** What families of a project's own may be beside each other and the shipped ones. */
import { FAMILIES } from '../text/families'
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
  for (const [i, file] of files.entries()) {
    const other = files.slice(0, i).find((each) => overlap(each, file))
    if (other)
      return `two files of “${family}” have the weight ${Math.max(file.weights[0], other.weights[0])}`
  }
  return undefined
}

/** A font file that was read, and where it is kept. */
export type TakenFont = { facts: FontFacts; hash: string; size: number }

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
  for (const { facts, hash, size } of taken) {
    const { weights, ranges } = facts
    const file: OwnFontFile = { ...(facts.italic ? { italic: true } : {}), weights, ranges, size, hash }
    const family: OwnFamily = familyOf(all(), facts.family) ?? {
      id: makeId(facts.family),
      family: ownName(facts.family),
      category: facts.category,
      files: [],
    }
    const files = [...family.files.filter((each) => !overlap(each, file)), file].sort(byStyle)
    changed.set(family.id, { ...family, files })
  }
  return [...changed.values()]
}

/** Upright before slanted, light before bold. */
const byStyle = (a: OwnFontFile, b: OwnFontFile) =>
  Number(a.italic ?? false) - Number(b.italic ?? false) || a.weights[0] - b.weights[0]
