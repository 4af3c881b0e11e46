/** The widths that a view is for: between its breakpoint and the next view's, and those among them worth stopping at. All px. */
import type { View } from '../document/schema'

/** Window widths, both included. */
export type WidthRange = { least: number; most: number }

/** No window is narrower (WCAG 2.2, 1.4.10), and hardly one wider. */
const LEAST = 320
const MOST = 2560

/** @param views all of the project, widest first: a page that is not drawn at one ships with its breakpoint all the same */
export function rangeOf(views: readonly View[], id: string): WidthRange {
  const at = views.findIndex((view) => view.id === id)
  const { width, breakpoint } = views[at]!
  const narrower = views[at + 1]
  const least = narrower ? (narrower.breakpoint ?? narrower.width) + 1 : Math.min(LEAST, width)
  return { least, most: Math.max(width, at === 0 ? MOST : (breakpoint ?? width)) }
}

export type WidthStop = { width: number; words: string }

/**
 * In rising order: its own width, the ends with what takes over there, and widths of common windows.
 * @param common names of widths
 */
export function stopsOf(
  views: readonly View[],
  id: string,
  common: readonly { name: string; width: number }[],
): WidthStop[] {
  const { least, most } = rangeOf(views, id)
  const at = views.findIndex((view) => view.id === id)
  const stops = new Map<number, string>()
  for (const { name, width } of common)
    if (width > least && width < most && !stops.has(width)) stops.set(width, `a common ${name.toLowerCase()}`)
  if (views[at + 1]) stops.set(least, `narrower, ${views[at + 1]!.name} takes over`)
  else stops.set(least, 'the narrowest window')
  if (at > 0) stops.set(most, `wider, ${views[at - 1]!.name} takes over`)
  else stops.set(most, 'the widest tried')
  stops.set(views[at]!.width, `${views[at]!.name}’s own width`)
  return [...stops].map(([width, words]) => ({ width, words })).sort((a, b) => a.width - b.width)
}

/** A width pulled to: whole, within the range, on a stop that is not farther than `reach`. */
export function pulledTo(
  wanted: number,
  { least, most }: WidthRange,
  stops: readonly WidthStop[],
  reach: number,
): number {
  const width = Math.min(most, Math.max(least, Math.round(wanted)))
  let best: WidthStop | undefined
  for (const stop of stops) {
    const off = Math.abs(stop.width - wanted)
    if (off <= reach && (!best || off < Math.abs(best.width - wanted))) best = stop
  }
  return best?.width ?? width
}

/** Those of `widths`, by view, that are not their views' own by now, of views that are still there. */
export const stillOther = (
  widths: ReadonlyMap<string, number>,
  views: readonly View[],
): ReadonlyMap<string, number> =>
  new Map([...widths].filter(([id, width]) => views.some((view) => view.id === id && view.width !== width)))
