/** What is on a page moved, sized, wrapped, put together. */
import type { Draw } from '../random'
import { type Act, act, select } from './act'
import type { Tab } from './tab'

/** One block, at times several. */
async function selectSome(tab: Tab, draw: Draw): Promise<boolean> {
  const first = await select(tab, draw)
  if (!first) return false
  if (draw.chance(0.35)) {
    const others = (await tab.spots()).filter(({ id, view }) => id !== first.id && view === first.view)
    await tab.page.keyboard.down('Shift')
    for (let i = draw.whole(1, 2); i > 0 && others.length > 0; i--) await tab.press(draw.one(others))
    await tab.page.keyboard.up('Shift')
  } else if (draw.chance(0.4)) await tab.key(...Array(draw.whole(1, 2)).fill('Escape'))
  return true
}

async function pullBlock(tab: Tab, draw: Draw) {
  const spot = await select(tab, draw)
  if (!spot) return false
  const others = await tab.spots()
  const to =
    draw.chance(0.6) && others.length > 0
      ? draw.one(others)
      : { x: spot.x + draw.whole(-200, 200), y: spot.y + draw.whole(-120, 120) }
  const held = draw.chance(0.15) ? [draw.one(['Shift', 'Alt', 'Control'])] : []
  await tab.pull(spot, { x: to.x + draw.whole(-8, 8), y: to.y + draw.whole(-8, 8) }, held)
  return true
}

async function pullNotch(tab: Tab, draw: Draw) {
  if (!(await select(tab, draw))) return false
  const notch = await tab.place('[data-notch]', draw.whole(0, 7))
  if (!notch) return false
  const held = draw.chance(0.2) ? [draw.one(['Shift', 'Alt'])] : []
  await tab.pull(notch, { x: notch.x + draw.whole(-90, 90), y: notch.y + draw.whole(-60, 60) }, held)
  return true
}

async function pullColumn(tab: Tab, draw: Draw) {
  if (!(await select(tab, draw))) return false
  const column = await tab.place('[data-column]', draw.whole(0, 15))
  if (!column) return false
  const to = await tab.place('[data-column]', draw.whole(0, 15))
  if (draw.chance(0.5) || !to) await tab.press(column)
  else await tab.pull(column, to)
  return true
}

const MOVES = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown']
async function nudge(tab: Tab, draw: Draw) {
  if (!(await selectSome(tab, draw))) return false
  const how = draw.one(['', 'Shift+', 'Alt+'])
  for (let i = draw.whole(1, 3); i > 0; i--) await tab.key(how + draw.one(MOVES))
  return true
}

const onSelected = (keys: readonly string[]) => async (tab: Tab, draw: Draw) => {
  if (!(await selectSome(tab, draw))) return false
  await tab.key(draw.one(keys))
  return true
}

/** By their names in the list of commands. */
const EDGES = ['left', 'centre', 'right', 'top', 'middle', 'bottom']
const COMMANDS = [
  'Mirror left and right',
  'Turn a row into a column, or back',
  'Swap the two',
  'Align left edges',
  'Align middles',
  'Align bottom edges',
  ...EDGES.map((edge) => `Align ${edge} in what it lies in`),
  'Align left to the lattice',
  'Align right to the sheet',
  'Same width as the last one',
  'Same height as the last one',
  'Equal gaps across',
  'Equal gaps down',
  'Hide or show',
  'Lock or unlock',
  'Unite shapes',
  'Subtract shapes from the lowest',
  'Keep where shapes overlap',
  'Mask the others with the shape or text that is selected',
  'Let what is masked out of its mask',
  'Turn the text into outlines: a shape, no longer text',
  'Add a section below',
  'Split the section behind this block',
  'Join with the section below',
  'Take a shape apart into those that it was put together from',
]

async function byCommand(tab: Tab, draw: Draw) {
  if (!(await selectSome(tab, draw))) return false
  return tab.command(draw.one(COMMANDS))
}

async function lift(tab: Tab, draw: Draw) {
  if (!(await select(tab, draw))) return false
  const list = tab.page.getByRole('combobox', { name: /^In the flow or lifted/ })
  if ((await list.count()) === 0) return false
  await list.first().click()
  const options = tab.page.getByRole('option')
  await options.first().waitFor()
  await options.nth(draw.whole(0, (await options.count()) - 1)).click()
  return true
}

/** A menu, or another box, behind a button, or out again. */
const fold = async (tab: Tab, draw: Draw) => {
  if (!(await select(tab, draw))) return false
  // Words lie in boxes.
  if (draw.chance(0.7)) await tab.key('Escape')
  return tab.command('Behind a button, or in front')
}

/** A dialog that says what it would do; done, or left. */
const inDialog = (name: string) => async (tab: Tab, draw: Draw) => {
  if (!(await selectSome(tab, draw)) || !(await tab.command(name))) return false
  return tab.take(draw.chance(0.8))
}

const copy = async (tab: Tab, draw: Draw) => {
  if (!(await selectSome(tab, draw))) return false
  await tab.key(draw.chance(0.8) ? 'ControlOrMeta+c' : 'ControlOrMeta+x')
  await select(tab, draw)
  await tab.key('ControlOrMeta+v')
  return true
}

export const ARRANGING: Act[] = [
  act('pull a block', 9, pullBlock),
  act('pull a notch', 8, pullNotch),
  act('columns in the header', 4, pullColumn),
  act('move by keys', 5, nudge),
  act('wrap', 6, onSelected(['r', 'c', 'Shift+L'])),
  act('take the box away', 2, onSelected(['u'])),
  act('duplicate', 4, onSelected(['ControlOrMeta+d'])),
  act('delete', 4, onSelected(['Delete', 'Backspace'])),
  act('arrange by command', 14, byCommand),
  act('lift', 4, lift),
  act('behind a button', 2, fold),
  act('settle', 2, inDialog('Settle into rows and columns …')),
  act('repeat', 2, inDialog('Repeat in steps …')),
  act('copy and paste', 3, copy),
]
