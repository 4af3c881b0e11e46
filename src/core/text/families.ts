/** Font families, shipped or a project's own: their files, and which file draws a character. */
import type { OwnFamily } from '../document/schema'
import { DEFAULT_FAMILY } from '../properties/type'
import { CATALOGUE } from './catalogue'
import { sequencesIn } from './sequences'

export type FontFile = {
  /** File name without ending: `fraunces-latin-wght-italic`. */
  id: string
  family: string
  slug: string
  italic: boolean
  weights: [number, number]
  /** CSS `unicode-range`; left out: it is asked for every character. */
  ranges?: string
  /** Draws Chinese, Japanese or Korean. */
  isEastAsian?: boolean
  /** Lies with the program; else in its family's package. */
  isShipped?: boolean
  /** Id of the same file that varies in its weight alone, where this one varies in more. */
  lighter?: string
  /** SHA-256 of the file, one of a project's own. */
  hash?: string
  /** Place among the files of its family and style; the first that has a character draws it. */
  rank: number
}

export type Family = {
  family: string
  slug: string
  category: string
  weights: [number, number]
  italic: boolean
  /** Files by style, in the order in which a character is looked for. */
  upright: FontFile[]
  slanted: FontFile[]
  /** A project's: each file has weights, and characters, of its own. */
  isOwn?: true
}

type Interval = [number, number]

/** Rises whenever families come, or are others than before. */
let version = 0
export const familiesVersion = () => version

const files = new Map<string, FontFile>()
const claimed = new Map<string, Interval[]>()
const holes = new Map<string, Interval[]>()

function parseRanges(ranges: string): Interval[] {
  if (ranges === '') return []
  return ranges.split(',').map((range) => {
    const [from, to] = range.trim().replace('U+', '').split('-')
    return [Number.parseInt(from!, 16), Number.parseInt(to ?? from!, 16)]
  })
}

const ALL: Family[] = CATALOGUE.map((entry) => {
  const weights: [number, number] = [entry.weights[0]!, entry.weights[1]!]
  const kind = 'kind' in entry ? entry.kind : 'wght'
  const make = (style: 'normal' | 'italic') =>
    entry.subsets.map((subset, rank) => {
      const slug = 'slug' in subset ? subset.slug : entry.slug
      const file: FontFile = {
        id: `${slug}-${subset.name}-${kind}-${style}`,
        family: entry.family,
        slug,
        italic: style === 'italic',
        weights,
        ranges: subset.ranges,
        rank,
        ...('shipped' in entry ? { isShipped: true } : {}),
      }
      if (kind !== 'wght') {
        file.lighter = `${slug}-${subset.name}-wght-${style}`
        files.set(file.lighter, { ...file, id: file.lighter })
      }
      files.set(file.id, file)
      claimed.set(file.id, parseRanges(subset.ranges))
      holes.set(file.id, parseRanges(style === 'italic' ? subset.italicHoles : subset.uprightHoles))
      return file
    })
  return { ...entry, weights, upright: make('normal'), slanted: entry.italic ? make('italic') : [] }
})

/** A file of East Asian characters, as their catalogue has it. */
type EastAsianFile = { slug: string; name: string; ranges: string; holes: string }

const SCRIPTS = ALL.find(({ slug }) => slug === 'lattice-scripts')!

/** Makes files known that draw East Asian characters. Those that are known stay as they are. */
export function learnEastAsianFiles(list: readonly EastAsianFile[]) {
  for (const { slug, name, ranges, holes: missing } of list) {
    const id = `${slug}-${name}-wght-normal`
    if (files.has(id)) continue
    const { family, weights, upright } = SCRIPTS
    const file: FontFile = {
      id,
      family,
      slug,
      italic: false,
      weights,
      ranges,
      rank: upright.length,
      isEastAsian: true,
    }
    files.set(id, file)
    claimed.set(id, parseRanges(ranges))
    holes.set(id, parseRanges(missing))
    upright.push(file)
  }
  found.clear()
  version++
}

/** Families to set text in: not those that only stand in for missing characters. */
export const FAMILIES = ALL.filter(({ category }) => category !== 'symbols')

const BY_NAME = new Map<string, Family>(ALL.map((family) => [family.family, family]))

export const fontFile = (id: string) => files.get(id)

/** In the order to declare them in: where ranges overlap, the `@font-face` declared last wins (CSS Fonts 4 §4.5). */
export const declaredOrder = (list: FontFile[]): FontFile[] =>
  list.sort((a, b) =>
    a.slug !== b.slug ? (a.slug < b.slug ? -1 : 1) : Number(a.italic) - Number(b.italic) || b.rank - a.rank,
  )
/** By the name of a shipped one, or the id of one of a project's own that is known here. */
export const familyNamed = (name: string): Family | undefined => BY_NAME.get(name)

/** Families tried after the one asked for; the handoff writes the same list into `font-family`. */
export const FALLBACK = [DEFAULT_FAMILY, 'Literata', 'Lattice Symbols', 'Lattice Scripts', 'Noto Emoji']

/** What code within a text is set in. */
export const CODE_FAMILY = 'JetBrains Mono'

export function familyChain(name: string): Family[] {
  const names = [name, ...FALLBACK.filter((fallback) => fallback !== name)]
  return names.flatMap((each) => BY_NAME.get(each) ?? [])
}

const within = (intervals: Interval[], code: number) =>
  intervals.some(([from, to]) => code >= from && code <= to)

const LAST_CODE = 0x10ffff

/** What lies in none of some intervals, which are in order. */
function without(intervals: Interval[]): Interval[] {
  const rest: Interval[] = []
  let next = 0
  for (const [from, to] of intervals) {
    if (from > next) rest.push([next, from - 1])
    next = to + 1
  }
  return [...rest, [next, LAST_CODE]]
}

/** What HarfBuzz makes a character of that a font has not: spaces of its space, a hyphen that does not break of one that does. */
function madeOf(code: number): number {
  if ((code >= 0x2000 && code <= 0x200a) || code === 0x202f || code === 0x205f) return 0x20
  return code === 0x2011 ? 0x2010 : code
}

/** Whether a file is asked for a character. */
export const claims = (file: FontFile, code: number): boolean => within(claimed.get(file.id)!, code)

/** Whether a file claims a character and has a glyph for it; the same whether it is loaded or not. */
export function has(file: FontFile, code: number): boolean {
  const missing = holes.get(file.id)!
  return claims(file, code) && (!within(missing, code) || !within(missing, madeOf(code)))
}

/** Whether a file draws a character: as it is, or as the letter and the marks over it that it canonically is (HarfBuzz; UAX #15). */
function covers(file: FontFile, code: number): boolean {
  if (has(file, code)) return true
  if (code < 0xc0) return false
  const [letter, mark] = parted(code)
  if (letter === undefined) return false
  return mark === undefined ? has(file, letter) : has(file, mark) && covers(file, letter)
}

/** The last mark of a character, and the letter without it; only a letter: another code of the same character; neither: it has no parts. */
function parted(code: number): [letter?: number, mark?: number] {
  const character = String.fromCodePoint(code)
  const parts = [...character.normalize('NFD')]
  if (parts.length === 1) return parts[0] === character ? [] : [parts[0]!.codePointAt(0)!]
  const mark = parts.pop()!.codePointAt(0)!
  const rest = [...parts.join('').normalize('NFC')]
  return rest.length === 1 ? [rest[0]!.codePointAt(0)!, mark] : []
}

/** What a piece of text asks for. `family`: the name of a shipped one, or the id of one of the project's own. */
export type FaceWanted = {
  family: string
  italic: boolean
  weight: number
  /** Where its other axes stand (`axesIn`); left out: where the file has them. */
  axes?: string | undefined
}

/** How far a file's weights are from one that is wanted, nearer ones first (CSS Fonts 4 §5.2, weight). */
function farFrom([least, most]: readonly [number, number], wanted: number): number {
  if (wanted >= least && wanted <= most) return 0
  const isHeavier = least > wanted
  const steps = isHeavier ? least - wanted : wanted - most
  // Of 400 to 500 the next heavier up to 500 come first; else lighter ones of what is light, heavier ones of what is bold.
  const first = wanted < 400 ? !isHeavier : wanted > 500 ? isHeavier : isHeavier && least <= 500
  if (first) return steps
  return 1000 + (wanted >= 400 && wanted <= 500 && isHeavier ? 1000 : 0) + steps
}

/** The files of a family for what is wanted; a family without italics gives its upright (the browser slants it). */
export function filesOf(family: Family, { italic, weight }: FaceWanted): FontFile[] {
  const files = italic && family.slanted.length > 0 ? family.slanted : family.upright
  if (!family.isOwn) return files
  const usable = files.length > 0 ? files : family.slanted
  const nearest = Math.min(...usable.map((file) => farFrom(file.weights, weight)))
  return usable.filter((file) => farFrom(file.weights, weight) === nearest)
}

/** Files found before, by what was wanted, then by character. */
const found = new Map<string, Map<number, FontFile | undefined>>()

function chainOfFiles(wanted: FaceWanted): FontFile[] {
  return familyChain(wanted.family).flatMap((each) => filesOf(each, wanted))
}

/** The file that draws a character of a text, looking through its family's chain; undefined when none has it. */
export function fileFor(wanted: FaceWanted, code: number): FontFile | undefined {
  const { family, italic, weight } = wanted
  // Shipped families have all weights in each file.
  const key = BY_NAME.get(family)?.isOwn
    ? `${family} ${italic} ${weight}`
    : italic
      ? `${family} italic`
      : family
  let known = found.get(key)
  if (!known) {
    known = new Map()
    found.set(key, known)
  }
  if (known.has(code)) return known.get(code)
  const file = chainOfFiles(wanted).find((each) => covers(each, code))
  known.set(code, file)
  return file
}

/** The file that draws a character where none that would put it together is asked for anything else of its stretch. */
export const fileHaving = (wanted: FaceWanted, code: number): FontFile | undefined =>
  chainOfFiles(wanted).find((each) => has(each, code)) ?? fileFor(wanted, code)

/** The file that draws all of some characters, as one; undefined when none has them all. */
export function fileForAll(wanted: FaceWanted, codes: readonly number[]): FontFile | undefined {
  if (codes.length === 1) return fileFor(wanted, codes[0]!)
  return chainOfFiles(wanted).find((file) => codes.every((code) => covers(file, code)))
}

/** The file whose metrics set the line box. */
export const primaryFile = (wanted: FaceWanted): FontFile =>
  filesOf(BY_NAME.get(wanted.family) ?? BY_NAME.get(DEFAULT_FAMILY)!, wanted)[0]!

/** Every file that a text may need. */
export function filesNeeded(wanted: FaceWanted, text: string, into: Set<string>) {
  into.add(primaryFile(wanted).id)
  for (const { codes } of sequencesIn(text)) {
    const file = fileForAll(wanted, codes)
    if (file) into.add(file.id)
  }
  for (const char of text) {
    const code = char.codePointAt(0)!
    if (code < 0x20) continue
    const file = fileFor(wanted, code)
    if (!file) continue
    into.add(file.id)
    if (!has(file, code)) into.add(fileHaving(wanted, code)!.id)
  }
}

/** What families were learnt from, by id. */
const learnt = new Map<string, OwnFamily>()

/**
 * Makes a project's own families known by their ids, here and from then on; others under the same id take their place.
 * @returns whether anything is new
 */
export function learnFamilies(families: readonly OwnFamily[]): boolean {
  const before = version
  for (const own of families) {
    const known = learnt.get(own.id)
    if (known === own || (known && JSON.stringify(known) === JSON.stringify(own))) continue
    for (const file of own.files) {
      const made = ownFile(own, file)
      files.set(made.id, made)
      // Without `unicode-range` it is asked for every character, and draws those that it has.
      claimed.set(made.id, [[0, LAST_CODE]])
      holes.set(made.id, without(parseRanges(file.ranges)))
    }
    learnt.set(own.id, own)
    BY_NAME.set(own.id, ownFamily(own))
    found.clear()
    version++
  }
  return version !== before
}

const ownFile = (
  { id, family }: OwnFamily,
  { hash, italic, weights }: OwnFamily['files'][number],
): FontFile => ({
  id: `${id}-${[...new Set(weights)].join('-')}${italic ? '-italic' : ''}-${hash.slice(0, 8)}`,
  family,
  slug: id,
  italic: italic ?? false,
  weights: [weights[0], weights[1]],
  rank: 0,
  hash,
})

function ownFamily(own: OwnFamily): Family {
  const made = own.files.map((file) => files.get(ownFile(own, file).id)!)
  return {
    family: own.family,
    slug: own.id,
    category: own.category,
    weights: [
      Math.min(...made.map(({ weights }) => weights[0])),
      Math.max(...made.map(({ weights }) => weights[1])),
    ],
    italic: made.some(({ italic }) => italic),
    upright: made.filter(({ italic }) => !italic),
    slanted: made.filter(({ italic }) => italic),
    isOwn: true,
  }
}
