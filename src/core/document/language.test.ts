/** Words in other languages than the page: capitals of their own, said in what is handed off. */
import { beforeAll, expect, test } from 'vitest'
import { applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'
import { loadFonts } from '../samples/fonts'
import { starterProject } from '../shelf/starter'
import { fontsOf } from '../text/needed'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { Document } from './document'

let paragraphs: ParagraphCache
beforeAll(async () => {
  const doc = site()
  applyAll(doc, [set({ lang: 'tr' })])
  paragraphs = new ParagraphCache(await loadFonts(doc))
})

function site(): Document {
  const file = starterProject('Site', 'home')
  const text = {
    id: 't',
    kind: 'text',
    name: 'Text',
    order: 'a0',
    props: { words: said('iris in spring'), textCase: 'uppercase' },
  } as const
  const section = { id: 's', kind: 'section', name: 'Section', order: 'a0', props: {}, children: [text] }
  const pages = [{ ...file.pages[0], sections: [section] }]
  return Document.fromFile({ ...file, pages } as typeof file)
}
const set = (props: Record<string, unknown>): Edit => ({ op: 'set', node: 't', props })
const shown = (doc: Document) =>
  new PageLayout(doc, 'home', doc.views[0]!.id, 1440, paragraphs).lineTexts('t')

test('a text has the capitals of its own language, of the page’s, of the site’s', () => {
  const doc = site()
  expect(shown(doc)).toEqual(['IRIS IN SPRING'])
  const layout = new PageLayout(doc, 'home', doc.views[0]!.id, 1440, paragraphs)
  applyAll(doc, [{ op: 'project', about: { lang: 'tr-TR' } }])
  layout.update()
  expect(layout.lineTexts('t')).toEqual(['İRİS İN SPRİNG'])
  applyAll(doc, [{ op: 'page-meta', id: 'home', set: { lang: 'fr' } }])
  layout.update()
  expect(layout.lineTexts('t')).toEqual(['IRIS IN SPRING'])
  applyAll(doc, [set({ lang: 'az' })])
  layout.update()
  expect(layout.lineTexts('t')).toEqual(['İRİS İN SPRİNG'])
})

test('the files of such capitals are needed, wherever the language is said', () => {
  const capitals = (edit: Edit | undefined) => {
    const doc = site()
    if (edit) applyAll(doc, [edit])
    return [...fontsOf(doc)].some((id) => id.includes('-latin-ext-'))
  }
  expect(capitals(undefined)).toBe(false)
  expect(capitals(set({ lang: 'tr' }))).toBe(true)
  expect(capitals({ op: 'page-meta', id: 'home', set: { lang: 'tr' } })).toBe(true)
  expect(capitals({ op: 'project', about: { lang: 'tr' } })).toBe(true)
})

test('it is handed off on the element, and what is no language is refused', () => {
  const doc = site()
  applyAll(doc, [set({ lang: 'pt-BR' })])
  expect(buildSite(doc, new Map()).text.get('index.html')).toMatch(/<p class="[^"]*" lang="pt-BR">iris/)
  for (const lang of ['', 'a language', 'en"><script>', 'x'])
    expect(() => applyAll(doc, [set({ lang })])).toThrow()
})
