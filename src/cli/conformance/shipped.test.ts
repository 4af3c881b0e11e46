/** What `conformance --shipped` compares is what ships. */
import { expect, test } from 'vitest'
import { shippedSites } from './verb'

test('the demo, every page of it, and the shelf', async () => {
  const sites = await shippedSites()
  expect(sites.map(([name]) => name)).toEqual([
    'demo, Home',
    'demo, Catalogue',
    'demo, Workshops',
    'demo, Borrow',
    'shelf',
  ])
  for (const [, file, page] of sites) expect(file.pages[page].sections.length).toBeGreaterThan(2)
})
