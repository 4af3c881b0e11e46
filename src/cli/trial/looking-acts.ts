/** Values of what is selected, changed in the spec: numbers, lists, fills and inks. */
import type { Draw } from '../random'
import { type Act, act, select } from './act'
import type { Tab } from './tab'

const SPEC = 'aside[aria-label=Spec]'

/** A number that its name makes likely. */
function numberFor(label: string, draw: Draw): string {
  if (/Opacity|percent|Largest lines/i.test(label)) return String(draw.whole(10, 100))
  if (/Font size/.test(label)) return String(draw.whole(11, 72))
  if (/Line height in px/.test(label)) return String(draw.whole(12, 80))
  if (/spacing/.test(label)) return String(draw.whole(-1, 4))
  if (/^Turn/.test(label)) return String(draw.one([0, 0, -6, 4, 15, 90]))
  if (/Border|Outline|Blur|Corner/.test(label)) return String(draw.whole(0, 24))
  if (/Width|width|Height|height/.test(label)) return String(draw.whole(40, 900))
  if (/span|Columns/i.test(label)) return String(draw.whole(1, 8))
  return String(draw.whole(0, 96))
}

/** Something in the spec by lot, brought into sight. @returns its label */
async function anyOf(tab: Tab, draw: Draw, selector: string) {
  const all = tab.page.locator(`${SPEC} ${selector}`)
  const count = await all.count()
  if (count === 0) return undefined
  const one = all.nth(draw.whole(0, count - 1))
  const label = (await one.getAttribute('aria-label')) ?? ''
  await one.click()
  return { one, label }
}

/** @param on what is selected first: anything, or nothing where the view itself is meant */
const number = (on: 'block' | 'view') => async (tab: Tab, draw: Draw) => {
  if (on === 'block') {
    if (!(await select(tab, draw))) return false
    if (draw.chance(0.3)) await tab.key('Escape')
  } else if (!(await tab.command('Lattice bench'))) return false
  const found = await anyOf(tab, draw, 'button.chip[aria-label*=": "]:not([aria-haspopup]):not([role])')
  if (!found) return false
  const isField = await tab.page.evaluate(() => document.activeElement?.tagName === 'INPUT')
  // Some of them add something at once.
  if (!isField) return true
  await tab.key('ControlOrMeta+a')
  await tab.type(numberFor(found.label, draw))
  await tab.key(draw.one(['Enter', 'Enter', 'Tab']))
  return true
}

async function list(tab: Tab, draw: Draw) {
  if (!(await select(tab, draw))) return false
  if (draw.chance(0.3)) await tab.key('Escape')
  if (!(await anyOf(tab, draw, '[role=combobox]'))) return false
  const options = tab.page.getByRole('option')
  await options.first().waitFor()
  await options.nth(draw.whole(0, (await options.count()) - 1)).click()
  return true
}

/** A colour: one of the tokens, or typed. */
async function color(tab: Tab, draw: Draw) {
  if (!(await select(tab, draw))) return false
  if (draw.chance(0.3)) await tab.key('Escape')
  const what = draw.one(['^Fill', '^Ink', '^Border colour'])
  const chip = tab.page.locator(SPEC).getByRole('button', { name: new RegExp(what) })
  if ((await chip.count()) === 0) return false
  await chip.first().click()
  const panel = tab.page.getByRole('dialog').last()
  await panel.waitFor()
  const tokens = panel.locator('button[aria-label][data-token], [role=option], [role=radio]')
  const count = await tokens.count()
  const field = panel.getByRole('textbox')
  if (count > 0 && draw.chance(0.6)) await tokens.nth(draw.whole(0, count - 1)).click()
  else if ((await field.count()) > 0) {
    await field.first().fill(draw.one(['#1d5c45', '#f6e3c5', '#26332c', '#a8481f', '#ffffff', '#1c2b2480']))
    await tab.key('Enter')
  }
  return true
}

async function scope(tab: Tab, draw: Draw) {
  const views = [...new Set((await tab.spots()).map(({ view }) => view))]
  const [, narrow] = views
  if (narrow === undefined) return false
  const spots = (await tab.spots()).filter(({ view }) => view === narrow)
  await tab.press(draw.one(spots))
  const pick = tab.page.locator(SPEC).getByText(draw.one([/^Only /, /^Every view$/]))
  if ((await pick.count()) > 0) await pick.first().click()
  return true
}

/** The tokens' dialog at its colours. */
async function colors(tab: Tab) {
  await tab.key('Shift+T')
  const dialog = tab.page.getByRole('dialog', { name: 'Tokens of the project' })
  await dialog.getByRole('tab', { name: 'Colours' }).click()
  return dialog
}

const darkTheme = async (tab: Tab) => {
  const dialog = await colors(tab)
  await dialog.getByRole('button', { name: 'New theme' }).click()
  const offer = tab.page.getByRole('button', { name: /Dark from light/ })
  if ((await offer.count()) === 0) return false
  await offer.first().click()
  return true
}

async function token(tab: Tab, draw: Draw) {
  const chips = (await colors(tab)).getByRole('button', { name: /^Colour / })
  const count = await chips.count()
  if (count === 0) return false
  await chips.nth(draw.whole(0, count - 1)).click()
  const field = tab.page.getByLabel(/as hex, rgb, hsl or oklch$/).last()
  await field.fill(draw.one(['#f4efe6', '#1c2b24', '#a8481f', '#1d5c45', '#6b5b95']))
  await field.press('Enter')
  return true
}

async function themesShown(tab: Tab, draw: Draw) {
  const list = tab.page.getByRole('combobox', { name: /^Theme shown/ })
  if ((await list.count()) === 0) return false
  await list.click()
  const options = tab.page.getByRole('option')
  await options.first().waitFor()
  await options.nth(draw.whole(0, (await options.count()) - 1)).click()
  return true
}

const copyLook = async (tab: Tab, draw: Draw) => {
  if (!(await select(tab, draw)) || !(await tab.command('Copy the look'))) return false
  await select(tab, draw)
  if (await tab.command('Put a look on: the copied one, or one that is kept …')) await tab.key('Enter')
  return true
}

export const LOOKING: Act[] = [
  act('a number', 14, number('block'), { reach: 'values' }),
  act('a list', 12, list, { reach: 'values' }),
  act('a colour', 8, color, { reach: 'values' }),
  act('only this view', 5, scope, { reach: 'nothing' }),
  act('the lattice', 2, number('view'), { reach: 'project' }),
  act('a dark theme', 1, darkTheme, { reach: 'project' }),
  act('a token', 2, token, { reach: 'project' }),
  act('themes shown', 1, themesShown, { reach: 'nothing' }),
  act('a look', 2, copyLook),
]
