/** Words that are left over on a last line. */
import { beforeAll, expect, test } from 'vitest'
import { Document } from '../document/document'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { loadFonts } from '../samples/fonts'
import { starterProject } from '../shelf/starter'
import { said, type Words } from '../words/words'
import { loneWords } from './lone-words'
import { ParagraphCache } from './paragraph-cache'

let paragraphs: ParagraphCache
const documentWith = (words: Words, props: Props) => {
  const file = starterProject('Site', 'home')
  const children = [{ id: 't', kind: 'text', name: 'Text', order: 'a0', props: { ...props, words } }]
  const section = { id: 's', kind: 'section', name: 'Section', order: 'a0', props: {}, children }
  return Document.fromFile({ ...file, pages: [{ ...file.pages[0], sections: [section] }] } as typeof file)
}
beforeAll(async () => {
  paragraphs = new ParagraphCache(await loadFonts(documentWith(said('a'), {})))
})

/** At every width at which the words have several lines. */
function alone(words: Words, props: Props = {}): Set<string> {
  const found = new Set<string>()
  for (let px = 120; px < 500; px += 5) {
    const doc = documentWith(words, { ...props, width: { kind: 'exact', px } })
    for (const word of loneWords(new PageLayout(doc, 'home', doc.views[0]!.id, 1440, paragraphs), 't'))
      found.add(word)
  }
  return found
}

test('only ever the last word, and only at some widths', () => {
  expect(alone(said('Take home heirloom seed for the next gardener'))).toEqual(new Set(['gardener']))
})

test('none of a label, of a line that somebody began there, of a word that is all there is', () => {
  expect(alone(said('Seeds and more'))).toEqual(new Set())
  expect(alone(said('Take home heirloom seed for the next\ngardener')).has('gardener')).toBe(false)
  expect(alone(said('Heirloomvegetableseedpackets'))).toEqual(new Set())
})
