/** What is handed off of hostile projects does no harm to whoever opens it. */
import { expect, test } from '@playwright/test'
import { hostile } from '../src/cli/conformance/hostile'

test('hostile names, texts, links, tokens, paths and pictures: no script runs, no request leaves', async () => {
  const seed = Number(process.env.LATTICE_SEED ?? 1)
  const { documents, refused, pages, links } = await hostile(8, seed, () => undefined)
  expect(documents).toBe(8)
  expect(refused).toBeLessThan(8)
  expect(pages).toBe(32)
  expect(links).toBeGreaterThan(50)
})
