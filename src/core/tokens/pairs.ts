/** Which colours meet on a page, words on what lies behind them, and how well they read there. */
import { contrastOf, laidOver, neededFor } from '../color/contrast'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { type Fill, type Items, shownItems } from '../properties/items'

/** A page without any fill. */
const WHITE = '#ffffff'

/**
 * What lies behind a block: one colour, or those of a gradient's stops. What is lifted under it is not looked at: `isSure` says whether
 * it stands on fills of what it lies in alone, none of them a picture.
 */
export type Ground = { colors: string[]; isSure: boolean }

function fillsOf(box: LayoutBox): Fill[] {
  return shownItems(box.resolved.fills as Items<Fill> | undefined)
}

/** Of a pattern both what is drawn and what is not; of a picture and of noise none are known. */
function colorsIn(fill: Fill): string[] {
  if (fill.kind === 'color') return [fill.color]
  if (fill.kind === 'gradient') return fill.stops.map(({ color }) => color)
  return fill.kind === 'pattern' ? [fill.color, '#00000000'] : ['#00000000']
}

/** The colours of a fill; those that let something through are laid over each of `under`. */
function overlaid(fill: Fill, under: readonly string[]): string[] {
  const colors = colorsIn(fill)
  return [...new Set(colors.flatMap((color) => under.map((ground) => laidOver(color, ground))))]
}

/** What words in a block stand on. */
export function groundOf(box: LayoutBox): Ground {
  const chain: LayoutBox[] = []
  for (let at: LayoutBox | null = box; at; at = at.parent) chain.push(at)
  let colors = [WHITE]
  // From the page inwards, each block's fills from the lowest up.
  for (const at of chain.reverse()) for (const fill of fillsOf(at).reverse()) colors = overlaid(fill, colors)
  const isKnown = (at: LayoutBox) => at.pins === null && fillsOf(at).every(({ kind }) => kind !== 'picture')
  return { colors, isSure: chain.every(isKnown) }
}

/** How words read on what is behind them: the worst of it. `ratio`: WCAG 2.2. */
export type Reading = { ink: string; ground: string; ratio: number; needed: number; isSure: boolean }

export function readingOf(box: LayoutBox): Reading | undefined {
  const { color: ink, fontSize, fontWeight } = box.resolved
  if (!box.typeset || box.typeset.isEmpty || ink === undefined) return undefined
  const { colors, isSure } = groundOf(box)
  const needed = neededFor(fontSize, fontWeight as number)
  const worst = colors
    .map((ground) => ({ ink, ground, ratio: contrastOf(ink, ground), needed, isSure }))
    .sort((a, b) => a.ratio - b.ratio)
  return worst[0]
}

/** Words of one colour on one ground; `nodes`: the blocks, those that read worst for their size first. */
export type Pair = Reading & { nodes: string[] }

/** The pairs of a sheet, those that fall short first. */
export function pairsOn(layout: PageLayout): Pair[] {
  const pairs = new Map<string, Pair>()
  for (const box of layout.visible()) {
    const reading = readingOf(box)
    if (!reading) continue
    const key = `${reading.ink} ${reading.ground} ${reading.needed}`
    const pair = pairs.get(key) ?? { ...reading, nodes: [] }
    pair.nodes.push(box.id)
    pairs.set(key, pair)
  }
  return [...pairs.values()].sort((a, b) => a.ratio / a.needed - b.ratio / b.needed)
}
