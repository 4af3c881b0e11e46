/** Signs that keyboards do not have, by what people call them. */

/** `shown`: for what is not seen by itself. */
export type Sign = { sign: string; name: string; words?: string; shown?: string }

export const SIGNS: readonly Sign[] = [
  { sign: '—', name: 'em dash', words: 'long line' },
  { sign: '–', name: 'en dash', words: 'range to line' },
  { sign: '…', name: 'ellipsis', words: 'three dots' },
  { sign: '“', name: 'left double quote', words: 'open quotation' },
  { sign: '”', name: 'right double quote', words: 'close quotation' },
  { sign: '‘', name: 'left single quote', words: 'open quotation' },
  { sign: '’', name: 'apostrophe', words: 'right single quote' },
  { sign: '«', name: 'left guillemet', words: 'quotation angle' },
  { sign: '»', name: 'right guillemet', words: 'quotation angle' },
  { sign: '•', name: 'bullet', words: 'dot point' },
  { sign: '·', name: 'middle dot', words: 'interpunct separator' },
  { sign: '©', name: 'copyright', words: 'c legal' },
  { sign: '®', name: 'registered', words: 'r mark legal' },
  { sign: '™', name: 'trade mark', words: 'tm legal' },
  { sign: '§', name: 'section sign', words: 'paragraph legal' },
  { sign: '¶', name: 'pilcrow', words: 'paragraph' },
  { sign: '†', name: 'dagger', words: 'footnote' },
  { sign: '→', name: 'arrow right', words: 'next' },
  { sign: '←', name: 'arrow left', words: 'back' },
  { sign: '↑', name: 'arrow up', words: 'top' },
  { sign: '↓', name: 'arrow down', words: 'bottom' },
  { sign: '✓', name: 'check mark', words: 'tick yes done' },
  { sign: '×', name: 'times', words: 'multiply by close' },
  { sign: '÷', name: 'divided by', words: 'division' },
  { sign: '±', name: 'plus or minus', words: 'tolerance' },
  { sign: '≈', name: 'about equal', words: 'approximately' },
  { sign: '≤', name: 'at most', words: 'less or equal' },
  { sign: '≥', name: 'at least', words: 'greater or equal' },
  { sign: '°', name: 'degree', words: 'temperature angle' },
  { sign: '½', name: 'one half', words: 'fraction 1/2' },
  { sign: '⅓', name: 'one third', words: 'fraction 1/3' },
  { sign: '¼', name: 'one quarter', words: 'fraction 1/4' },
  { sign: '¾', name: 'three quarters', words: 'fraction 3/4' },
  { sign: '²', name: 'squared', words: 'superscript 2 square' },
  { sign: '³', name: 'cubed', words: 'superscript 3 cubic' },
  { sign: '€', name: 'euro', words: 'money currency price' },
  { sign: '£', name: 'pound', words: 'money currency price' },
  { sign: '¥', name: 'yen', words: 'money currency price' },
  { sign: '¢', name: 'cent', words: 'money currency price' },
  { sign: '№', name: 'number', words: 'no numero' },
  { sign: '\u00a0', name: 'space that does not break', words: 'nbsp fixed', shown: '⍽' },
  { sign: '\u2009', name: 'thin space', words: 'narrow', shown: '·' },
  { sign: '\u00ad', name: 'soft hyphen', words: 'break here', shown: '-|' },
]

/** Those whose name, words or sign hold every word of `sought`; all for nothing. */
export function signsFor(sought: string): Sign[] {
  const parts = sought.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return SIGNS.filter(({ sign, name, words = '' }) =>
    parts.every((part) => `${name} ${words}`.includes(part) || sign === part),
  )
}
