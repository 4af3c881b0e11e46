/** What `conformance --shipped` compares is what ships. */
import { expect, test } from 'vitest'
import { Document } from '../../core/document/document'
import type { ProjectFile } from '../../core/document/schema'
import { rulesFor } from '../../core/text/hyphenation'
import { SAMPLES } from './languages-project'
import { shippedSites } from './verb'

function blocksOf(file: ProjectFile, page: number) {
  const doc = Document.fromFile(structuredClone(file))
  return doc.walk(doc.pagesInOrder()[page]!.id)
}

test('the demos, every page of them, and the shelf', async () => {
  const sites = await shippedSites()
  expect(sites.map(([name]) => name)).toEqual([
    'Hollow Oak Seed Library, Home',
    'Hollow Oak Seed Library, Catalogue',
    'Hollow Oak Seed Library, Workshops',
    'Hollow Oak Seed Library, Borrow',
    'Undertow Night Market, Home',
    'shelf',
    'languages',
  ])
  for (const [, { file }, page] of sites) expect([...blocksOf(file, page)].length).toBeGreaterThan(20)
})

test('a sample in every language whose words are parted, and in every script that ships', () => {
  const parted = new Set(Object.keys(SAMPLES).map((lang) => rulesFor(lang)))
  expect(parted.size).toBeGreaterThan(33)
  const all = Object.values(SAMPLES).join('')
  for (const script of ['Latin', 'Greek', 'Cyrillic', 'Hebrew', 'Arabic', 'Han', 'Hiragana', 'Hangul'])
    expect(all).toMatch(new RegExp(`\\p{Script=${script}}`, 'u'))
})
