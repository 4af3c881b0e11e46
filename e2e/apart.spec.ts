/** What lies apart from the document: pages that are not open, and pictures. */
import { expect, newProject, row, SPEAKING, saved, stored, test } from './app'

const asked = (urls: string[]) =>
  urls.filter((url) => /\/projects\/[^/]+\/page/.test(url)).map((url) => url.replace(/.*\/page/, ''))

test('a project opens with one page; another comes when it is opened, found in, or deleted and brought back', async ({
  page,
  app,
}) => {
  const made: string[] = []
  const another = async () => {
    made.push(await newProject(page.request, app))
    await page.goto(app.address)
    await page.goto(made.at(-1)!)
    await page.locator('[data-sheet] [data-node]').first().waitFor()
  }
  const urls: string[] = []
  page.on('request', (request) => urls.push(request.url()))
  await another()
  expect(asked(urls)).toEqual([''])

  await page.getByRole('button', { name: /^Page: Home/ }).click()
  await page.getByRole('button', { name: /^Catalogue/ }).click()
  await expect(page.locator('[data-sheet]').first()).toContainText('All seed, by the month you sow it')
  expect(asked(urls)).toEqual(['', '?id=page-catalogue'])

  // Somebody new: words of a page that is not open are found.
  await another()
  await page.keyboard.press('Control+f')
  await page.getByRole('searchbox', { name: 'Find' }).fill('under glass')
  await page
    .getByRole('button', { name: /Under glass.*Catalogue/ })
    .first()
    .click()
  await expect(page.locator('[data-sheet]').first()).toContainText('Under glass')

  // And deleted before it was ever seen, it comes back with everything on it.
  await another()
  const before = await stored(page)
  await page.getByRole('button', { name: /^Page: Home/ }).click()
  await page.getByRole('button', { name: 'Delete Catalogue' }).click()
  // It is fetched before it is deleted, so that it can come back.
  await expect.poll(async () => (await stored(page)).pages.length).toBe(before.pages.length - 1)
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-saved]')).toHaveAttribute('data-saved', 'saved')
  await expect.poll(async () => (await stored(page)).pages).toEqual(before.pages)
  for (const url of made)
    await page.request.delete(url.replace('/projects/', '/api/projects/'), { headers: SPEAKING })
})

test('the page that is open is deleted by somebody else: another is fetched and shown, never an empty one', async ({
  desk,
}) => {
  const id = desk.url().split('/').pop()
  const home = (await stored(desk)).pages[0]!.id
  const batch = { base: 0, head: '', key: 'gone', at: 1, edits: [{ op: 'page', id: home, page: null }] }
  const url = new URL(`/api/projects/${id}/edits`, desk.url()).href
  expect((await desk.request.post(url, { data: batch, headers: SPEAKING })).ok()).toBe(true)
  await expect(desk.getByRole('button', { name: 'Page: Catalogue' })).toBeVisible()
  await expect(desk.locator('[data-sheet]').first()).toContainText('All seed, by the month you sow it')
})

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40" onload="window.harmed=1"><rect width="60" height="40" fill="#1f4d3a"/></svg>'

test('a picture is placed without a network, kept, sent when there is one, and shown from there', async ({
  desk,
}) => {
  await row(desk, 'Quote').click()
  // What checks pictures comes behind the board.
  await desk.waitForFunction(() =>
    performance.getEntriesByType('resource').some(({ name }) => name.includes('purify')),
  )
  await desk.context().setOffline(true)
  await desk.getByRole('button', { name: /^Pictures/ }).click()
  await desk
    .getByLabel('Picture files')
    .setInputFiles({ name: 'plot.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(SVG) })
  await expect(desk.locator('[data-saved]')).toHaveAttribute('data-saved', 'waiting')
  await desk.getByTitle(/^plot, SVG/).click()
  const picture = desk.locator('[data-sheet] img[data-node]').last()
  const drawn = () => picture.evaluate((img: HTMLImageElement) => img.complete && img.naturalWidth)
  await expect.poll(drawn).toBe(60)
  await desk.context().setOffline(false)
  await saved(desk)
  const { assets } = await stored(desk)
  const asset = assets.find((each) => each.name === 'plot')!
  const served = await desk.request.get(new URL(`/api/blobs/${asset.hash}`, desk.url()).href)
  expect(served.headers()['content-type']).toBe('image/svg+xml')
  expect(await served.text()).not.toContain('onload')
  await desk.reload()
  await desk.locator('[data-sheet] [data-node]').first().waitFor()
  await expect
    .poll(() =>
      desk
        .locator(`[data-sheet] img[src="/api/blobs/${asset.hash}"]`)
        .first()
        .evaluate((img: HTMLImageElement) => img.complete && img.naturalWidth),
    )
    .toBe(60)
})
