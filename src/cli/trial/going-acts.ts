/** Going about: pages, sights, tabs, the network; what leaves the project as it is, and back and forth in what was done. */
import type { Draw } from '../random'
import { type Act, act, select } from './act'
import { placeByName, write } from './placing-acts'
import { Tab } from './tab'

const undo = async (tab: Tab, draw: Draw) => {
  for (let i = draw.whole(1, 4); i > 0; i--) await tab.key('ControlOrMeta+z')
  if (draw.chance(0.5)) for (let i = draw.whole(1, 4); i > 0; i--) await tab.key('ControlOrMeta+Shift+z')
  return true
}

const SIGHTS = ['f', 'Shift+F', 'ControlOrMeta+=', 'ControlOrMeta+-', 'PageDown', 'PageUp', 'l', 'Shift+B']
const lookAround = async (tab: Tab, draw: Draw) => {
  await tab.key(draw.one(SIGHTS))
  if (draw.chance(0.3)) await select(tab, draw)
  return true
}

const closer = async (tab: Tab, draw: Draw) => {
  if (!(await select(tab, draw))) return false
  await tab.key('Shift+F')
  return true
}

const newPage = async (tab: Tab, draw: Draw) => {
  await tab.key('n')
  const dialog = tab.page.getByRole('dialog')
  await dialog.getByLabel('Path').fill(`/page-${draw.whole(1, 99_999)}`)
  await dialog.getByLabel('Name', { exact: true }).fill(draw.one(['Prices', 'About', 'Visit', 'Growers']))
  await tab.key('Enter')
  return true
}

const otherPage = async (tab: Tab, draw: Draw) => {
  await tab.page.getByRole('button', { name: /^Page: / }).click()
  const pages = tab.page.getByRole('dialog').locator('button[data-option]:not([data-option=true])')
  await pages.first().waitFor()
  const page = pages.nth(draw.whole(0, (await pages.count()) - 1))
  const id = await page.getAttribute('data-option')
  await page.click()
  await tab.page.locator(`[data-board][data-page="${id}"]`).waitFor({ state: 'attached' })
  return true
}

const offline = async (tab: Tab, draw: Draw) => {
  tab.isOffline = !tab.isOffline
  await tab.page.context().setOffline(tab.isOffline)
  if (!tab.isOffline && draw.chance(0.3)) await tab.reload()
  return true
}

const reload = async (tab: Tab) => {
  if (tab.isOffline) return false
  await tab.saved()
  await tab.reload()
  return true
}

const DIALOGS = ['?', 'Shift+T', 'y', 'ControlOrMeta+f', 'p', 'Shift+E', 'ControlOrMeta+k']
const openAndLeave = async (tab: Tab, draw: Draw) => {
  if (draw.chance(0.5)) await select(tab, draw)
  await tab.key(draw.one(DIALOGS))
  // Fetched when it is asked for first.
  await tab.page
    .getByRole('dialog')
    .first()
    .waitFor({ timeout: 10_000 })
    .catch(() => undefined)
  return true
}

const template = async (tab: Tab, draw: Draw) =>
  (await tab.command('Template of this page: make, stand on, let go')) && tab.take(draw.chance(0.9))

/** Somebody else, at the same project meanwhile. */
const secondTab = async (tab: Tab, draw: Draw) => {
  if (tab.isOffline) return false
  const other = await Tab.open(tab.page.context(), tab.address, tab.project)
  await draw.one([placeByName, write])(other, draw)
  await other.close()
  await other.saved()
  await other.page.close()
  tab.said.push(...other.said)
  return true
}

const budget = async (tab: Tab, draw: Draw) => {
  await tab.key('p')
  const field = tab.page.getByRole('dialog').getByRole('textbox').first()
  await field.waitFor()
  const words = Array.from(
    { length: draw.whole(2, 4) },
    () => `${draw.one(['Intro', 'Offer', 'Prices', 'Voices'])} ${draw.whole(8, 60) * 10}`,
  )
  await field.fill(words.join(', '))
  return tab.take(true)
}

export const GOING: Act[] = [
  act('undo and redo', 6, undo, { reach: 'project', isHistory: true }),
  act('look around', 5, lookAround, { reach: 'nothing' }),
  act('closer', 4, closer, { reach: 'nothing' }),
  act('open and leave', 3, openAndLeave, { reach: 'nothing' }),
  act('a new page', 1, newPage),
  act('a template', 1, template, { reach: 'project' }),
  act('a second tab', 2, secondTab, { isHistory: true }),
  act('another page', 2, otherPage, { reach: 'nothing' }),
  act('page budget', 1, budget),
  act('offline, or back', 1, offline, { reach: 'nothing', isHistory: true }),
  act('reload', 1, reload, { reach: 'nothing', isHistory: true }),
]
