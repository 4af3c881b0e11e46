/** Two tabs of one project, and the server or its database going away and coming back. */
import { serve } from '../src/cli/serve'
import { freePort, startMariaDb } from '../src/server/mariadb'
import { expect, onSheet, row, saved, setValue, stored, test } from './app'

test('an edit in one tab is seen in the other, and both may edit at once', async ({ desk, context }) => {
  const other = await context.newPage()
  await other.goto(desk.url())
  await row(other, 'Quote').waitFor()
  await row(desk, 'Quote').click()
  await desk.getByRole('button', { name: /^Height of Quote/ }).click()
  await desk.keyboard.type('400')
  await desk.keyboard.press('Enter')
  await expect(other.locator('[data-height-of]').nth(3)).toHaveText('400')
  // Each changes something else while the other does too.
  await Promise.all([
    (async () => {
      await row(other, 'Footer').click()
      await setValue(other, /^Padding top:/, '80')
    })(),
    setValue(desk, /^Padding top:/, '120'),
  ])
  await saved(desk)
  await saved(other)
  await expect
    .poll(async () => {
      const sections = (await stored(desk)).pages[0]!.sections
      return [sections[3]!.props.paddingTop, sections[4]!.props.paddingTop]
    })
    .toEqual([120, 80])
  await expect(desk.locator('[data-page-height]')).toHaveText(
    (await other.locator('[data-page-height]').textContent())!,
  )
  await other.close()
})

test('while the database is down edits are kept; they go out when it is back', async ({ page }, info) => {
  const data = info.outputPath('data')
  const databasePort = await freePort()
  let running = await serve({ data, port: 0, demo: true, databasePort, logLevel: 'silent' })
  await page.goto(running.address)
  await page.getByRole('link', { name: 'Open Hollow Oak Seed Library', exact: true }).click()
  await row(page, 'Quote').waitFor()

  // Only the database stops; the app server stays.
  await running.database!.stop()
  await page.getByRole('button', { name: /^Height of Quote/ }).click()
  await page.keyboard.type('321')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-saved=waiting]')).toContainText('Kept in this browser')
  await expect(page.locator('[data-height-of]').nth(3)).toHaveText('321')
  const database = await startMariaDb(data, databasePort)
  await saved(page)
  expect((await stored(page)).pages[0]!.sections[3]!.props.height).toEqual({ kind: 'exact', px: 321 })

  // The whole server goes; the tab is closed before it is back. What was typed meanwhile is not lost.
  const { port } = running
  await running.stop()
  await database.stop()
  await page.getByRole('button', { name: /^Height of Quote/ }).click()
  await page.keyboard.type('345')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-saved=waiting]')).toBeVisible()
  const url = page.url()
  await page.goto('about:blank')
  running = await serve({ data, port, demo: true, databasePort, logLevel: 'silent' })
  await page.goto(url)
  await expect(page.locator('[data-height-of]').nth(3)).toHaveText('345')
  await saved(page)
  expect((await stored(page)).pages[0]!.sections[3]!.props.height).toEqual({ kind: 'exact', px: 345 })
  await expect(onSheet(page, 'desktop', 'eleven packets')).toBeVisible()
  await running.stop()
})
