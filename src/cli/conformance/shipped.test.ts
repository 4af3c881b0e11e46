/** What `conformance --shipped` compares is what ships. */
import { expect, test } from 'vitest'
import { shippedSites } from './verb'

test('the demos, every page of them, and the shelf', async () => {
  const sites = await shippedSites()
  expect(sites.map(([name]) => name)).toEqual([
    'Hollow Oak Seed Library, Home',
    'Hollow Oak Seed Library, Catalogue',
    'Hollow Oak Seed Library, Workshops',
    'Hollow Oak Seed Library, Borrow',
    'Undertow Night Market, Home',
    'shelf',
  ])
  for (const [, file, page] of sites) expect(file.pages[page]!.sections.length).toBeGreaterThan(2)
})
