/** Which colours meet on a page, words on what lies behind them, and how well they read there. */
import { contrastOf, laidOver, neededFor } from '../color/contrast'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { paperFor } from '../paint/paper'
import { type Fill, type Items, isInBorder, shownItems } from '../properties/items'

/**
 * What lies behind a block: one colour, or those of a gradient's stops. What is lifted under it is not looked at: `isSure` says whether
 * it stands on fills of what it lies in alone, none of them a picture, down to one that lets nothing through.
 */
export type Ground = { colors: string[]; isSure: boolean }

function fillsOf(box: LayoutBox): Fill[] {
  return shownItems(box.resolved.fills as Items<Fill> | undefined).filter((fill) => !isInBorder(fill))
}

/** Of a pattern both what is drawn and what is not; of a picture and of noise none are known. */
function colorsIn(fill: Fill): string[] {
  if (fill.kind === 'color') return [fill.color]
  if (fill.kind === 'gradient') return fill.stops.map(({ color }) => color)
  return fill.kind === 'pattern' ? [fill.color, '#00000000'] : ['#00000000']
}

const isOpaque = (color: string) => color.length < 9 || color.toLowerCase().endsWith('ff')

/** The colours of a fill; those that let something through are laid over each of `under`. */
function overlaid(fill: Fill, under: readonly string[]): string[] {
  const colors = colorsIn(fill)
  return [...new Set(colors.flatMap((color) => under.map((ground) => laidOver(color, ground))))]
}

const fillsWords = ({ resolved }: LayoutBox) => resolved.fillsIn === 'words'

/** What words are drawn in: their ink, or the colours of what fills them. */
function inksOf(box: LayoutBox, ink: string): { inks: string[]; isSure: boolean } {
  const fills = fillsWords(box) ? fillsOf(box) : []
  // Of several the topmost is seen; through it what lies below.
  const [top] = fills
  if (!top) return { inks: [ink], isSure: true }
  return { inks: colorsIn(top), isSure: fills.length === 1 && top.kind !== 'picture' && top.kind !== 'noise' }
}

/** What words in a block stand on. @param known of the blocks around it, found so far */
export function groundOf(box: LayoutBox, known = new Map<LayoutBox, Ground>()): Ground {
  const found = known.get(box)
  if (found) return found
  const under = box.parent
    ? groundOf(box.parent, known)
    : { colors: [paperFor(box.resolved.background)], isSure: true }
  // What fills the words is not behind them.
  const fills = fillsWords(box) ? [] : fillsOf(box)
  let { colors } = under
  // The lowest first.
  for (const fill of fills.toReversed()) colors = overlaid(fill, colors)
  // Nothing is seen of what lies below a colour that lets nothing through.
  const cover = fills.findIndex((fill) => fill.kind === 'color' && isOpaque(fill.color) && !fill.blend)
  const seen = cover < 0 ? fills : fills.slice(0, cover)
  const isKnown = seen.every(({ kind }) => kind !== 'picture')
  const ground = { colors, isSure: isKnown && (cover >= 0 || (under.isSure && box.pins === null)) }
  known.set(box, ground)
  return ground
}

/**
 * How words read on what is behind them: the worst of it, of a gradient in the words as well. `ratio`: WCAG 2.2; `best`: of the worst ink
 * on the ground that it reads best on.
 */
export type Reading = {
  ink: string
  ground: string
  ratio: number
  best: number
  needed: number
  isSure: boolean
}

/** Ratios that were worked out, by ink and ground. */
type Ratios = Map<string, number>

function ratioOf(ink: string, ground: string, known: Ratios): number {
  const key = `${ink} ${ground}`
  const ratio = known.get(key) ?? contrastOf(ink, ground)
  known.set(key, ratio)
  return ratio
}

export function readingOf(
  box: LayoutBox,
  grounds = new Map<LayoutBox, Ground>(),
  ratios: Ratios = new Map(),
): Reading | undefined {
  const { color: ink, fontSize, fontWeight } = box.resolved
  if (!box.typeset || box.typeset.isEmpty || ink === undefined) return undefined
  const { colors, isSure } = groundOf(box, grounds)
  const drawn = inksOf(box, ink)
  const needed = neededFor(fontSize, fontWeight as number)
  let worst: Reading | undefined
  for (const each of drawn.inks) {
    const all = colors.map((ground) => ({ ground, ratio: ratioOf(each, ground, ratios) }))
    const best = Math.max(...all.map(({ ratio }) => ratio))
    for (const { ground, ratio } of all)
      if (!worst || ratio < worst.ratio)
        worst = { ink: each, ground, ratio, best, needed, isSure: isSure && drawn.isSure }
  }
  return worst
}

/** Words of one colour on one ground; `nodes`: the blocks, those that read worst for their size first. */
export type Pair = Reading & { nodes: string[] }

/** Texts of which only pixels say what they stand on: a picture, or what they are lifted over. */
export function onPictures(layout: PageLayout): LayoutBox[] {
  const grounds = new Map<LayoutBox, Ground>()
  return [...layout.visible()].filter(
    (box) =>
      box.typeset &&
      !box.typeset.isEmpty &&
      box.resolved.color !== undefined &&
      !groundOf(box, grounds).isSure,
  )
}

/** The pairs of a sheet, those that fall short first; without those that only pixels tell of. */
export function pairsOn(layout: PageLayout): Pair[] {
  const pairs = new Map<string, Pair>()
  const grounds = new Map<LayoutBox, Ground>()
  const ratios: Ratios = new Map()
  for (const box of layout.visible()) {
    const reading = readingOf(box, grounds, ratios)
    if (!reading?.isSure) continue
    const key = `${reading.ink} ${reading.ground} ${reading.needed}`
    const pair = pairs.get(key) ?? { ...reading, nodes: [] }
    pair.nodes.push(box.id)
    pairs.set(key, pair)
  }
  return [...pairs.values()].sort((a, b) => a.ratio / a.needed - b.ratio / b.needed)
}
