/** What families of a project's own may be beside each other and the shipped ones. */
import { FAMILIES } from '../text/families'
import type { FontFacts } from '../text/font-file'
import type { OwnFamily, OwnFontFile } from './schema'

const plain = (name: string) => name.trim().toLowerCase()
const SHIPPED = new Set(FAMILIES.map(({ family }) => plain(family)))

/** Whether no family is called so; browsers take no notice of capitals (CSS Fonts 4 §4.2). */
export const isFreeName = (name: string, others: readonly OwnFamily[]): boolean =>
  !SHIPPED.has(plain(name)) && others.every(({ family }) => plain(family) !== plain(name))

/** A name like one that is wanted, that no family has. */
export function freeName(wanted: string, others: readonly OwnFamily[]): string {
  let name = wanted
  for (let i = 2; !isFreeName(name, others); i++) name = `${wanted} ${i}`
  return name
}

const overlap = (a: OwnFontFile, b: OwnFontFile) =>
  (a.italic ?? false) === (b.italic ?? false) && a.weights[0] <= b.weights[1] && b.weights[0] <= a.weights[1]

/** Why a family cannot stand beside others; undefined when it can. */
export function problemOfFamily(
  { id, family, files }: OwnFamily,
  among: readonly OwnFamily[],
): string | undefined {
  const others = among.filter((other) => other.id !== id)
  if (SHIPPED.has(plain(id))) return `the id “${id}” is the name of a shipped family`
  if (!isFreeName(family, others)) return `there is another family called “${family}”`
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
 * @param makeId makes a part of an id that no other has
 * @returns those that are new or changed
 */
export function withFonts(
  families: readonly OwnFamily[],
  taken: readonly TakenFont[],
  makeId: () => string,
): OwnFamily[] {
  const changed = new Map<string, OwnFamily>()
  const all = () => [...families.filter(({ id }) => !changed.has(id)), ...changed.values()]
  for (const { facts, hash, size } of taken) {
    const { weights, ranges } = facts
    const file: OwnFontFile = { ...(facts.italic ? { italic: true } : {}), weights, ranges, size, hash }
    const known = all().find(({ family }) => plain(family) === plain(facts.family))
    const family: OwnFamily = known ?? {
      id: `${slug(facts.family)}-${makeId()}`.slice(0, 64),
      family: freeName(facts.family, all()),
      category: facts.category,
      files: [],
    }
    const files = [...family.files.filter((each) => !overlap(each, file)), file].sort(byStyle)
    changed.set(family.id, { ...family, files })
  }
  return [...changed.values()]
}

const slug = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'font'

/** Upright before slanted, light before bold. */
const byStyle = (a: OwnFontFile, b: OwnFontFile) =>
  Number(a.italic ?? false) - Number(b.italic ?? false) || a.weights[0] - b.weights[0]
