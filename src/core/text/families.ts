/** Font families, shipped or a project's own: their files, and which file draws a character. */
import type { OwnFamily, OwnFontFile } from '../document/schema'
import { DEFAULT_FAMILY } from '../properties/type'
import { CATALOGUE } from './catalogue'
import { codesIn, type Interval, parseRanges } from './code-ranges'
import { drawsEastAsian } from './scripts'
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

/** Rises whenever families come, or are others than before. */
let version = 0
export const familiesVersion = () => version

const files = new Map<string, FontFile>()
const claimed = new Map<string, Interval[]>()
const holes = new Map<string, Interval[]>()

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

/** Spaces of other widths than the space's. */
const SPACES = [...codesIn([[0x2000, 0x200a]]), 0x202f, 0x205f]
/** What HarfBuzz makes of other characters where a font has it not. */
export const SYNTHESISED = [...SPACES, 0x2011]

/** What such a character is made of: spaces of the font's space, a hyphen that does not break of one that does; else itself. */
export function madeOf(code: number): number {
  if (SPACES.includes(code)) return 0x20
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
    const made = ownFiles(own)
    for (const [i, file] of made.entries()) {
      const drawn = parseRanges(own.files[i]!.ranges)
      files.set(file.id, file)
      // Without `unicode-range` it is asked for every character, and draws those that it has.
      claimed.set(file.id, file.ranges ? drawn : [[0, LAST_CODE]])
      holes.set(file.id, file.ranges ? [] : without(drawn))
    }
    learnt.set(own.id, own)
    BY_NAME.set(own.id, ownFamily(own, made))
    found.clear()
    version++
  }
  return version !== before
}

/** Each of a family's, in their order. */
function ownFiles({ id, family, files }: OwnFamily): FontFile[] {
  const ofStyle = new Map<string, number>()
  for (const file of files) ofStyle.set(styleOf(file), (ofStyle.get(styleOf(file)) ?? 0) + 1)
  const ranks = new Map<string, number>()
  return files.map((file) => {
    const { hash, italic = false, weights, ranges } = file
    const style = styleOf(file)
    const rank = ranks.get(style) ?? 0
    ranks.set(style, rank + 1)
    return {
      id: `${id}-${style}-${hash.slice(0, 8)}`,
      family,
      slug: id,
      italic,
      weights: [weights[0], weights[1]],
      rank,
      hash,
      // Parts of one font are asked for their own characters only.
      ...(ofStyle.get(style)! > 1 ? { ranges } : {}),
      ...(drawsEastAsian(parseRanges(ranges)) ? { isEastAsian: true } : {}),
    }
  })
}

/** Weights and slant, as they are written in a file's name. */
export const styleOf = ({ italic, weights }: Pick<OwnFontFile, 'italic' | 'weights'>): string =>
  `${[...new Set(weights)].join('-')}${italic ? '-italic' : ''}`

function ownFamily(own: OwnFamily, made: readonly FontFile[]): Family {
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
