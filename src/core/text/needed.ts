/** Which font files a document's texts need. */
import type { Document } from '../document/document'
import { DEFAULT_LANG, languagesOf } from '../document/language'
import { resolve } from '../document/resolve'
import { isText } from '../properties/kinds'
import type { Resolved } from '../properties/table'
import { BULLET } from '../words/parts'
import { looksIn, type Words } from '../words/words'
import { CODE_FAMILY, filesNeeded, learnFamilies } from './families'
import { transformCase } from './spans'

/** Files for the words of a text, and for what it says of itself. @param languages that they may be in where they say none */
export function filesForWords(
  style: Resolved,
  words: Words | undefined,
  ids: Set<string>,
  languages: Iterable<string> = [],
) {
  const { fontFamily: family, textCase } = style
  const own = { family, italic: style.italic!, weight: style.fontWeight! }
  filesNeeded(own, words?.some(({ type }) => type !== 'paragraph') ? MARKERS : '', ids)
  for (const { text, look } of looksIn(words)) {
    const wanted = { ...own, italic: look.italic ?? own.italic, weight: look.weight ?? own.weight }
    const cases = new Set(style.lang === undefined ? languages : [])
    const shown = [...cases.add(style.lang ?? DEFAULT_LANG)]
      .map((lang) => transformCase(text, look.case ?? textCase, '', lang))
      .join('')
    filesNeeded(look.code ? { ...wanted, family: CODE_FAMILY } : wanted, shown, ids)
    // The box of what is emphasised around code counts on its line, though not a letter is set in its font.
    if (look.code) filesNeeded(wanted, '', ids)
  }
}

/** What may stand before the items of a list. */
const MARKERS = `${BULLET}0123456789.`

/** What a page says otherwise than its template. */
function changedWords(doc: Document, page: string, ids: Set<string>, languages: Iterable<string>) {
  for (const [id, { props, overrides = {} }] of Object.entries(doc.pages.get(page)?.changes ?? {})) {
    const node = doc.nodes.get(id)
    if (!node) continue
    const resolved = resolve(doc, node, doc.views[0]!.id)
    for (const { words } of [props, ...Object.values(overrides)])
      filesForWords(resolved, words, ids, languages)
  }
}

/** @param since a `tick` of the document: only what changed after it is looked at; left out: everything */
export function fontsOf(doc: Document, since?: number): Set<string> {
  learnFamilies(doc.fonts)
  const ids = new Set<string>()
  const languages = languagesOf(doc)
  const touched = since === undefined ? undefined : doc.touchedSince(since)
  const nodes = touched ? [...touched].flatMap((id) => doc.nodes.get(id) ?? []) : doc.nodes.values()
  for (const node of nodes) {
    if (node.kind === 'page') changedWords(doc, node.id, ids, languages)
    if (!isText(node.kind)) continue
    // Without overrides it is the same on every view.
    const own = Object.keys(node.overrides).length === 0
    for (const view of own ? doc.views.slice(0, 1) : doc.views) {
      const resolved = resolve(doc, node, view.id)
      filesForWords(resolved, resolved.words, ids, languages)
    }
  }
  // The type styles too, so that whatever is placed next can be drawn at once.
  for (const { id } of doc.views) {
    const tokens = doc.tokensAt(id)
    for (const name of tokens.names('typography')) {
      const token = tokens.lookup(name)
      if (token?.type !== 'typography') continue
      const { fontFamily: family, fontWeight: weight } = token.value
      filesNeeded({ family, italic: false, weight }, '', ids)
    }
  }
  return ids
}
