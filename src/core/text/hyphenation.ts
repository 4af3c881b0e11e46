/**
 * Words parted at line ends by the rules of their language (Liang 1983, through a library): soft hyphens put into them before they are
 * set, and before they are handed off, so that the browser parts the same words at the same places.
 */
import type { Document } from '../document/document'
import { DEFAULT_LANG, languagesOf } from '../document/language'
import { type Inline, type ParagraphWords, type Words, withParagraphs } from '../words/words'
import { SOFT_HYPHEN } from './breaks'

/** Letters of the shortest word that is parted, and those that stay at least at the line's end and come to the next line. */
const SHORTEST = 6
const BEFORE = 2
const BEHIND = 3

type Rules = () => Promise<{ default: unknown }>
/** By language, some of them by region. */
const RULES: Readonly<Record<string, Rules>> = {
  bg: () => import('hyphen/patterns/bg.js'),
  ca: () => import('hyphen/patterns/ca.js'),
  cs: () => import('hyphen/patterns/cs.js'),
  cy: () => import('hyphen/patterns/cy.js'),
  da: () => import('hyphen/patterns/da.js'),
  de: () => import('hyphen/patterns/de-1996.js'),
  el: () => import('hyphen/patterns/el-monoton.js'),
  en: () => import('hyphen/patterns/en-us.js'),
  'en-gb': () => import('hyphen/patterns/en-gb.js'),
  es: () => import('hyphen/patterns/es.js'),
  et: () => import('hyphen/patterns/et.js'),
  eu: () => import('hyphen/patterns/eu.js'),
  fi: () => import('hyphen/patterns/fi.js'),
  fr: () => import('hyphen/patterns/fr.js'),
  ga: () => import('hyphen/patterns/ga.js'),
  gl: () => import('hyphen/patterns/gl.js'),
  hr: () => import('hyphen/patterns/hr.js'),
  hu: () => import('hyphen/patterns/hu.js'),
  is: () => import('hyphen/patterns/is.js'),
  it: () => import('hyphen/patterns/it.js'),
  lt: () => import('hyphen/patterns/lt.js'),
  lv: () => import('hyphen/patterns/lv.js'),
  nb: () => import('hyphen/patterns/nb.js'),
  nl: () => import('hyphen/patterns/nl.js'),
  pl: () => import('hyphen/patterns/pl.js'),
  pt: () => import('hyphen/patterns/pt.js'),
  ro: () => import('hyphen/patterns/ro.js'),
  ru: () => import('hyphen/patterns/ru.js'),
  sk: () => import('hyphen/patterns/sk.js'),
  sl: () => import('hyphen/patterns/sl.js'),
  sr: () => import('hyphen/patterns/sr-cyrl.js'),
  sv: () => import('hyphen/patterns/sv.js'),
  tr: () => import('hyphen/patterns/tr.js'),
  uk: () => import('hyphen/patterns/uk.js'),
}

/** Whose rules a language's words are parted by; undefined: there are none. @param lang a BCP 47 tag */
export function rulesFor(lang: string): string | undefined {
  const tag = lang.toLowerCase()
  const [language] = tag.split('-')
  return [tag, language === 'no' || language === 'nn' ? 'nb' : language].find((each) =>
    Object.hasOwn(RULES, each!),
  )
}

type Parting = {
  part: (text: string) => string
  /** Words parted before, which a page has over and over. */
  done: WeakMap<Words, Words>
}
const known = new Map<string, Parting>()

/** Rises when rules arrive: what was set before may be stale. */
export const hyphenationVersion = (): number => known.size

/** @param rules of `rulesFor` @throws when they cannot be had */
export async function learnRules(rules: string): Promise<void> {
  const [{ default: createHyphenator }, { default: patterns }] = await Promise.all([
    import('hyphen'),
    RULES[rules]!(),
  ])
  const part = createHyphenator(patterns, {
    async: false,
    html: false,
    hyphenChar: SOFT_HYPHEN,
    minWordLength: SHORTEST,
  })
  known.set(rules, { part, done: new WeakMap() })
}

/** The languages that a document's pages were in when it was last looked through. */
const languagesBefore = new WeakMap<Document, string>()

/**
 * Loads the rules that a document's texts are parted by.
 * @param since a `tick` of the document: only what changed after it is looked at; left out: everything
 * @returns whether any came
 * @throws when some cannot be had
 */
export async function learnHyphenation(doc: Document, since?: number): Promise<boolean> {
  const wanted = new Set<string>()
  const languages = [...languagesOf(doc)]
  const areOthers = languagesBefore.get(doc) !== languages.join()
  languagesBefore.set(doc, languages.join())
  const touched = since === undefined || areOthers ? undefined : doc.touchedSince(since)
  const nodes = touched ? [...touched].flatMap((id) => doc.nodes.get(id) ?? []) : doc.nodes.values()
  for (const { props } of nodes) {
    if (props.hyphens !== 'auto') continue
    for (const lang of props.lang === undefined ? languages : [props.lang]) {
      const rules = rulesFor(lang)
      if (rules && !known.has(rules)) wanted.add(rules)
    }
  }
  await Promise.all([...wanted].map(learnRules))
  return wanted.size > 0
}

/** Words with soft hyphens where the language parts them; the same where there are no rules, or they have not come yet. */
export function hyphenated(words: Words, lang = DEFAULT_LANG): Words {
  const parting = known.get(rulesFor(lang) ?? '')
  if (!parting) return words
  const before = parting.done.get(words)
  if (before) return before
  const parted = withParagraphs(words, (paragraph) => partedParagraph(paragraph, parting.part))
  parting.done.set(words, parted)
  return parted
}

/** Whole words are parted, whatever marks lie on parts of them; code is not. */
function partedParagraph(paragraph: ParagraphWords, part: Parting['part']): ParagraphWords {
  const content = paragraph.content ?? []
  const places = partings(content.map(lettersOf).join(''), part)
  if (places.size === 0) return paragraph
  let from = 0
  return {
    ...paragraph,
    content: content.map((piece) => {
      const start = from
      from += lettersOf(piece).length
      return piece.type === 'text' ? { ...piece, text: withHyphens(piece.text, start, places) } : piece
    }),
  }
}

/** Characters as they are parted: of code there are none that make a word. */
const lettersOf = (piece: Inline): string => {
  if (piece.type !== 'text') return '\n'
  return piece.marks?.some(({ type }) => type === 'code') ? noLetters(piece.text) : piece.text
}
/** What stands for a text in which nothing is parted. */
export const noLetters = (text: string): string => '\0'.repeat(text.length)

/** Words of letters alone; in addresses, numbers and what is parted by hand nothing is parted. */
const WORD = /(?<![^\s\p{P}]|[@/\\._-])[\p{L}\p{M}’']+(?![^\s\p{P}]|[@/\\_]|[.-]\S)/gu

/** Places in a paragraph in front of which a word may be parted; none where there are no rules. @param text as `lettersOf` has it */
export const partingsIn = (text: string, lang = DEFAULT_LANG): ReadonlySet<number> => {
  const parting = known.get(rulesFor(lang) ?? '')
  return parting ? partings(text, parting.part) : NOWHERE
}
const NOWHERE: ReadonlySet<number> = new Set()

function partings(text: string, part: (word: string) => string): Set<number> {
  const places = new Set<number>()
  for (const { 0: word, index } of text.matchAll(WORD)) {
    // In small letters, so that no system's own language has a say in it; where that takes more of them, places would be others.
    const small = word.toLowerCase()
    if (word.length < SHORTEST || small.length !== word.length) continue
    let at = 0
    for (const syllable of part(small).split(SOFT_HYPHEN)) {
      if (at >= BEFORE && word.length - at >= BEHIND) places.add(index + at)
      at += syllable.length
    }
  }
  return places
}

/** @param start of the text in its paragraph */
function withHyphens(text: string, start: number, places: ReadonlySet<number>): string {
  let parted = ''
  for (let i = 0; i < text.length; i++) parted += places.has(start + i) ? SOFT_HYPHEN + text[i] : text[i]
  return parted
}
