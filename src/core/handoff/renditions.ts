/**
 * In which sizes a site's photographs are handed off, and how wide each is shown: `srcset` and `sizes` (HTML §4.8.4). Found from the
 * boxes that the core lays out at every view and at the ends of its range, so that `sizes` is never less than what is shown.
 */
import { framingOf } from '../arrange/framing'
import { isPhotograph } from '../blobs/picture-type'
import type { Document } from '../document/document'
import type { Asset } from '../document/schema'
import type { PageLayout } from '../layout/page'
import { num } from '../properties/css-text'

/** Sizes of one page's pictures by key, and px that each picture of the project is made at, narrowest first, by id. */
export type Renditions = {
  sizes: ReadonlyMap<string, ReadonlyMap<string, string>>
  widths: ReadonlyMap<string, readonly number[]>
}
/** A page at a width. */
export type LayAt = (page: string, width: number) => PageLayout

/** How wide a picture is drawn, px; `at`: of which width of the page. */
type Shown = { at: number; need: number }
/** Of one picture by range: what it shows there, and how wide. `fixed`: what it shows says how large it is. */
type Found = { assets: (Asset | undefined)[]; fixed: boolean; ranges: Shown[][] }
type Range = { low: number; view: number; high: number; breakpoint: number | null }

/** Narrowest page that is thought of, px. */
const NARROWEST = 320
/** Widest, of the widest view. */
const WIDEST = 2
/** Device pixels for one px. */
const DENSITIES = [1, 2, 3]
/** One as much narrower than the next is not made. */
const ALIKE = 0.85
/** px that are as good as none. */
const NEAR = 0.5

/** The widths that each view is for, the widest view first. */
function rangesOf(doc: Document): Range[] {
  return doc.views.map(({ width, breakpoint }, i) => ({
    low: Math.min(width, (doc.views[i + 1]?.breakpoint ?? NARROWEST - 1) + 1),
    view: width,
    high: breakpoint ?? width * WIDEST,
    breakpoint,
  }))
}

/** Where a range is looked at: twice at its beginning, for the way it goes there. */
const samplesOf = ({ low, view, high }: Range) => [
  ...new Set([low, Math.round(low + (view - low) / 8), view, high]),
]

const lengthText = (px: number) => `${Math.ceil(px)}px`

function lineText(from: Shown, to: Shown): string {
  const slope = (to.need - from.need) / (to.at - from.at)
  const rest = from.need - slope * from.at
  const share = `${num(Math.ceil(slope * 1000) / 10)}vw`
  if (Math.abs(rest) < NEAR) return share
  return `calc(${share} ${rest < 0 ? '-' : '+'} ${num(Math.abs(Math.ceil(rest)))}px)`
}

const isOnLine = (from: Shown, to: Shown, { at, need }: Shown) =>
  Math.abs(from.need + ((to.need - from.need) * (at - from.at)) / (to.at - from.at) - need) < 1

/** One length that is, over a range, as wide as the picture is shown: constant, along a line, along a line up to a most, or the most. */
export function sizeText(shown: readonly Shown[]): string {
  const most = Math.max(...shown.map(({ need }) => need))
  const [first, second] = shown
  const last = shown.at(-1)!
  if (shown.length < 2 || shown.every(({ need }) => Math.abs(need - most) < NEAR)) return lengthText(most)
  if (first!.need < last.need && shown.every((each) => isOnLine(first!, last, each)))
    return lineText(first!, last)
  const reached = Math.abs(last.need - most) < NEAR
  if (reached && first!.need < second!.need) {
    const slope = (second!.need - first!.need) / (second!.at - first!.at)
    const under = shown.every(
      ({ at, need }) => Math.min(first!.need + slope * (at - first!.at), most) >= need - NEAR,
    )
    if (under) return `min(${lineText(first!, second!)}, ${lengthText(most)})`
  }
  return lengthText(most)
}

/** px at which a picture is made for being shown in some widths. */
export function widthsFor({ width }: Pick<Asset, 'width'>, shown: readonly number[]): number[] {
  const wanted = shown.flatMap((px) => DENSITIES.map((density) => Math.min(width, Math.ceil(px * density))))
  const sorted = [...new Set(wanted)].filter((px) => px > 0).sort((a, b) => b - a)
  const kept: number[] = []
  for (const px of sorted) if (kept.length === 0 || px < kept.at(-1)! * ALIKE) kept.push(px)
  return kept.reverse()
}

/**
 * @param lay the project's pages
 * @param least the same where every photograph has as few px as can be: what changes takes its size from them, and is told their whole
 * width, since the browser takes what `sizes` says for their own
 */
export function planRenditions(doc: Document, lay: LayAt, least: LayAt): Renditions {
  const ranges = rangesOf(doc)
  const sizes = new Map<string, Map<string, string>>()
  const shownAt = new Map<string, number[]>()
  for (const { id } of doc.pagesInOrder()) {
    const shown = new Map<string, Found>()
    ranges.forEach((range, i) => {
      for (const at of samplesOf(range)) {
        const [layout, other] = [lay(id, at), least(id, at)]
        for (const box of layout.visible()) {
          const asset = box.resolved.asset && doc.assets.get(box.resolved.asset)
          if (box.node.kind !== 'picture' || !asset || !isPhotograph(asset)) continue
          const known = shown.get(box.id) ?? { assets: [], fixed: false, ranges: ranges.map(() => []) }
          shown.set(box.id, known)
          known.assets[i] = asset
          const need = framingOf(box, asset).picture.width
          known.ranges[i]!.push({ at, need })
          known.fixed ||= !isSame(layout, other, box.id)
          if (at === range.view) shownAt.set(asset.id, [...(shownAt.get(asset.id) ?? []), need])
        }
      }
    })
    const texts = [...shown].map(([key, { assets, fixed, ranges: found }]) => {
      if (!fixed) return [key, sizesText(ranges, found)] as const
      for (const asset of assets)
        if (asset) shownAt.set(asset.id, [...(shownAt.get(asset.id) ?? []), asset.width])
      return [key, ownSizesText(ranges, assets)] as const
    })
    sizes.set(id, new Map(texts))
  }
  const widths = new Map(
    [...shownAt].map(([id, shown]) => [id, widthsFor(doc.assets.get(id)!, shown)] as const),
  )
  return { sizes, widths }
}

/** Whether a block is as large whatever its picture's px are. */
function isSame(layout: PageLayout, other: PageLayout, key: string): boolean {
  const [a, b] = [layout.rect(key), other.rect(key)]
  return !!a && !!b && Math.abs(a.width - b.width) < NEAR && Math.abs(a.height - b.height) < NEAR
}

const sizesText = (ranges: readonly Range[], shown: readonly Shown[][]): string =>
  byRange(
    ranges,
    shown.map((each) => (each.length > 0 ? sizeText(each) : NOT_SHOWN)),
  )

/** Where its own px say how large it is: all of them, of the picture that each view shows. */
function ownSizesText(ranges: readonly Range[], assets: readonly (Asset | undefined)[]): string {
  const lengths = ranges.map((_, i) => (assets[i] ? lengthText(assets[i].width) : undefined))
  const own = [...new Set(lengths.filter((length) => length !== undefined))]
  if (own.length === 1) return own[0]!
  return byRange(
    ranges,
    lengths.map((length) => length ?? NOT_SHOWN),
  )
}

/** Where it is not shown, the least is fetched. */
const NOT_SHOWN = '1px'

/** Narrowest first: the first condition that holds counts. */
const byRange = (ranges: readonly Range[], lengths: readonly string[]): string =>
  ranges
    .map(({ breakpoint }, i) =>
      breakpoint === null ? lengths[i]! : `(max-width: ${num(breakpoint)}px) ${lengths[i]}`,
    )
    .reverse()
    .join(', ')
