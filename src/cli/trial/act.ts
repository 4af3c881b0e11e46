/** What somebody may do at any time. */
import type { Draw } from '../random'
import type { Tab } from './tab'

export type Act = {
  name: string
  /** How often it is done beside others. */
  weight: number
  /** What it may change: nothing, values of what is selected, everything; left out: the page that is open. */
  reach?: 'nothing' | 'values' | 'project'
  /** It is no step of its own that undo takes back. */
  isHistory?: true
  /** @returns false: there was nothing to do it to */
  do(tab: Tab, draw: Draw): Promise<boolean>
}

/** What is the same for every act of a kind: a name and how often, and what it does. */
export const act = (
  name: string,
  weight: number,
  work: (tab: Tab, draw: Draw) => Promise<boolean>,
  more: Partial<Act> = {},
): Act => ({ name, weight, do: work, ...more })

/** Presses a block in sight. @returns it; undefined: there is none */
export async function select(tab: Tab, draw: Draw, kind?: string) {
  const spots = await tab.spots(kind)
  if (spots.length === 0) return undefined
  const spot = draw.one(spots)
  await tab.press(spot)
  return spot
}
