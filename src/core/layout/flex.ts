/** Rows and columns: the flex layout algorithm (CSS Flexbox 1 §9). */
import { cutToUnit, nearestUnit, percentOf } from '../text/unit'
import { alignOffset, spread, spreadBefore } from './alignment'
import { baselineOf } from './baseline'
import { Align, clamp, Flow, type LayoutBox, Sizing, Spread } from './box'
import { fitContent, heightIn, minContent } from './intrinsic'
import { contentHeight, layoutBox, measureHeight, ratioHeight } from './place'

type FlexLine = { from: number; to: number; cross: number; at: number; ascent: number }

/**
 * §9.7: grows or shrinks items [from, to) to fill `inner`. Reads base, hypothetical, low and the most; writes target.
 */
function resolveFlexible(
  items: readonly LayoutBox[],
  from: number,
  to: number,
  inner: number,
  gap: number,
  row: boolean,
) {
  let gaps = gap * (to - from - 1)
  for (let i = from; i < to; i++) gaps += items[i]!.before
  let hypothetical = gaps
  for (let i = from; i < to; i++) hypothetical += items[i]!.hypothetical
  const growing = hypothetical < inner
  let free = 0
  let initialFree = inner - gaps
  let unfrozen = 0
  for (let i = from; i < to; i++) {
    const item = items[i]!
    const factor = growing ? growOf(item, row) : shrinkOf(item, row)
    item.frozen = factor === 0 || (growing ? item.base > item.hypothetical : item.base < item.hypothetical)
    item.target = item.frozen ? item.hypothetical : item.base
    initialFree -= item.target
    if (!item.frozen) unfrozen++
  }
  while (unfrozen > 0) {
    free = inner - gaps
    let factors = 0
    let scaled = 0
    for (let i = from; i < to; i++) {
      const item = items[i]!
      free -= item.frozen ? item.target : item.base
      if (item.frozen) continue
      const factor = growing ? growOf(item, row) : shrinkOf(item, row)
      factors += factor
      scaled += factor * contentBase(item, row)
    }
    // Items that take less than all of the room, in whole layout units (§9.7).
    const wanted = cutToUnit(initialFree * factors)
    if (factors < 1 && Math.abs(wanted) < Math.abs(free)) free = wanted
    let violation = 0
    // Chromium hands out whole layout units, from the last item to the first, each its share of what is left.
    let left = free
    let leftOf = growing ? factors : scaled
    for (let i = to - 1; i >= from; i--) {
      const item = items[i]!
      if (item.frozen) continue
      let size = item.base
      if (leftOf > 0 && (growing || free < 0)) {
        const part = growing ? growOf(item, row) : shrinkOf(item, row) * contentBase(item, row)
        const share = nearestUnit((left * part) / leftOf)
        left -= share
        leftOf -= part
        size += share
      }
      item.wanted = size
      item.target = clamp(size, item.low, row ? item.maxW : item.maxH)
      violation += item.target - size
    }
    for (let i = from; i < to; i++) {
      const item = items[i]!
      if (item.frozen) continue
      if (Math.abs(violation) < 1e-9) item.frozen = true
      else if (violation > 0 ? item.target > item.wanted : item.target < item.wanted) item.frozen = true
      if (item.frozen) unfrozen--
    }
  }
}

const mainKind = (item: LayoutBox, row: boolean) => (row ? item.widthKind : item.heightKind)
const growOf = (item: LayoutBox, row: boolean) =>
  mainKind(item, row) === Sizing.Stretch ? (row ? item.widthValue : item.heightValue) : 0
const shrinkOf = (item: LayoutBox, row: boolean) => (mainKind(item, row) === Sizing.Exact ? 0 : 1)
const contentBase = (item: LayoutBox, row: boolean) => Math.max(0, item.base - (row ? item.padX : item.padY))

/** Lays out a row or column at border-box `width`; `height` NaN: as high as the content. Returns the border-box height. */
export function layoutFlex(box: LayoutBox, width: number, height: number, definite: boolean): number {
  const items = box.kids
  return box.flow === Flow.Row
    ? layoutRow(box, items, width, height, definite)
    : layoutColumn(box, items, width, height, definite)
}

function layoutRow(
  box: LayoutBox,
  items: readonly LayoutBox[],
  width: number,
  height: number,
  definite: boolean,
): number {
  const inner = Math.max(0, width - box.padX)
  const innerHeight = Number.isNaN(height) ? Number.NaN : Math.max(0, height - box.padY)
  const percentBase = definite ? innerHeight : Number.NaN
  for (const item of items)
    rowItem(item, inner, item.heightKind === Sizing.Stretch && box.wrap ? Number.NaN : percentBase)

  const lines: FlexLine[] = []
  let from = 0
  let used = 0
  for (let i = 0; box.wrap && i < items.length; i++) {
    const item = items[i]!
    const outer = item.before + item.hypothetical
    const next = i === from ? outer : used + box.colGap + outer
    if (i > from && next > inner) {
      lines.push({ from, to: i, cross: 0, at: 0, ascent: 0 })
      from = i
      used = outer
    } else used = next
  }
  if (items.length > from) lines.push({ from, to: items.length, cross: 0, at: 0, ascent: 0 })

  for (const line of lines) {
    resolveFlexible(items, line.from, line.to, inner, box.colGap, true)
    let ascent = Number.NEGATIVE_INFINITY
    let descent = Number.NEGATIVE_INFINITY
    for (let i = line.from; i < line.to; i++) {
      const item = items[i]!
      item.cross = rowItemHeight(item, percentBase)
      if (item.alignSelf === Align.Baseline && item.heightKind !== Sizing.Stretch) {
        layoutBox(
          item,
          item.target,
          crossGiven(item, percentBase),
          !Number.isNaN(crossGiven(item, percentBase)),
        )
        const above = baselineOf(item)
        ascent = Math.max(ascent, above)
        descent = Math.max(descent, item.cross - above)
      } else line.cross = Math.max(line.cross, item.cross)
    }
    line.ascent = ascent
    // A baseline may lie above its box: the group's height is the sum, whatever the signs.
    if (ascent > Number.NEGATIVE_INFINITY) line.cross = Math.max(line.cross, ascent + descent)
  }

  const gaps = box.rowGap * Math.max(0, lines.length - 1)
  let total = gaps
  for (const line of lines) total += line.cross
  let available = innerHeight
  if (Number.isNaN(available)) available = clamp(total + box.padY, box.minH, box.maxH) - box.padY
  available = Math.max(0, available)
  let offset = 0
  let between = 0
  if (!box.wrap) {
    if (lines.length > 0) lines[0]!.cross = available
  } else if (lines.length > 0) {
    const free = available - total
    if (box.alignContent === Spread.Stretch) {
      if (free > 0) {
        const each = free / lines.length
        for (const [i, line] of lines.entries())
          line.cross += spreadBefore(i + 1, each) - spreadBefore(i, each)
      }
    } else ({ lead: offset, between } = spread(box.alignContent, free, lines.length))
  }

  for (let index = 0; index < lines.length; index++) {
    const line = lines[index]!
    for (let i = line.from; i < line.to; i++) items[i]!.row = index
    line.at = offset + spreadBefore(index, between)
    offset += line.cross + box.rowGap
    placeRowLine(box, items, line, inner, percentBase)
  }
  return available + box.padY
}

function rowItem(item: LayoutBox, inner: number, room: number) {
  const pad = item.padX
  const height = heightIn(item, room)
  switch (item.widthKind) {
    case Sizing.Exact:
      item.base = Math.max(pad, item.widthValue)
      break
    case Sizing.Percent:
      item.base = Math.max(pad, percentOf(inner, item.widthValue))
      break
    case Sizing.Stretch:
      item.base = pad
      break
    default:
      item.base = fitContent(item, Math.max(0, inner - item.before), height)
  }
  if (!Number.isNaN(item.minW)) item.low = Math.max(item.minW, pad)
  else if (item.clip || item.flow === Flow.Picture) item.low = pad
  else {
    // Automatic minimum (§4.5): the content, but no more than a definite width or the maximum.
    let least = minContent(item, height)
    if (item.widthKind === Sizing.Exact || item.widthKind === Sizing.Percent)
      least = Math.min(least, item.base)
    item.low = Math.max(pad, item.maxW < least ? item.maxW : least)
  }
  item.hypothetical = clamp(item.base, item.low, item.maxW)
}

/** The height a row item has of its own, NaN when it comes from content or line. */
function crossGiven(item: LayoutBox, percentBase: number): number {
  if (item.heightKind === Sizing.Exact)
    return Math.max(item.padY, clamp(item.heightValue, item.minH, item.maxH))
  if (item.heightKind === Sizing.Percent && !Number.isNaN(percentBase)) {
    return Math.max(item.padY, clamp(percentOf(percentBase, item.heightValue), item.minH, item.maxH))
  }
  return Number.NaN
}

function rowItemHeight(item: LayoutBox, percentBase: number): number {
  const given = crossGiven(item, percentBase)
  return Number.isNaN(given) ? measureHeight(item, item.target) : given
}

function placeRowLine(
  box: LayoutBox,
  items: readonly LayoutBox[],
  line: FlexLine,
  inner: number,
  percentBase: number,
) {
  const count = line.to - line.from
  let free = inner - box.colGap * (count - 1)
  for (let i = line.from; i < line.to; i++) free -= items[i]!.before + items[i]!.target
  const { lead, between } = spread(box.justify, free, count)
  let x = box.borL + box.padL + lead
  const top = box.borT + box.padT + line.at
  for (let k = 0; k < count; k++) {
    const item = items[line.from + k]!
    const given = crossGiven(item, percentBase)
    if (item.heightKind === Sizing.Stretch) {
      const cross = Math.max(item.padY, clamp(line.cross, item.minH, item.maxH))
      layoutBox(item, item.target, cross, true)
      item.cross = cross
    } else layoutBox(item, item.target, given, !Number.isNaN(given))
    item.width = item.target
    item.height = item.cross
    x += item.before
    item.x = x + spreadBefore(k, between)
    if (item.heightKind === Sizing.Stretch) item.y = top
    else if (item.alignSelf === Align.Baseline) item.y = top + line.ascent - baselineOf(item)
    else item.y = top + alignOffset(item.alignSelf, line.cross - item.cross)
    x += item.target + box.colGap
  }
}

function columnItemWidth(item: LayoutBox, inner: number, height: number): number {
  let size: number
  switch (item.widthKind) {
    case Sizing.Exact:
      size = item.widthValue
      break
    case Sizing.Percent:
      size = percentOf(inner, item.widthValue)
      break
    case Sizing.Stretch:
      size = inner
      break
    default:
      size = fitContent(item, inner, height)
  }
  return Math.max(item.padX, clamp(size, item.minW, item.maxW))
}

function layoutColumn(
  box: LayoutBox,
  items: readonly LayoutBox[],
  width: number,
  height: number,
  definite: boolean,
): number {
  const inner = Math.max(0, width - box.padX)
  const innerHeight = Number.isNaN(height) ? Number.NaN : Math.max(0, height - box.padY)
  const percentBase = definite ? innerHeight : Number.NaN
  let total = box.rowGap * Math.max(0, items.length - 1)
  for (const item of items) {
    // Its automatic minimum is that of its content as if it had no height of its own; the height counts at the end.
    item.cross = columnItemWidth(item, inner, Number.NaN)
    columnItem(item, percentBase)
    total += item.before + item.hypothetical
  }
  let available = Math.max(0, innerHeight)
  let free = 0
  const natural = total + box.padY
  const outer = Number.isNaN(innerHeight) ? clamp(natural, box.minH, box.maxH) : Number.NaN
  if (outer === natural) {
    // As high as its content: nothing to share out, every item keeps its hypothetical size.
    available = total
    for (const item of items) item.target = item.hypothetical
  } else {
    if (!Number.isNaN(outer)) available = Math.max(0, outer - box.padY)
    resolveFlexible(items, 0, items.length, available, box.rowGap, false)
    free = available - box.rowGap * Math.max(0, items.length - 1)
    for (const item of items) free -= item.before + item.target
  }
  const { lead, between } = spread(box.justify, free, items.length)
  let y = box.borT + box.padT + lead
  const left = box.borL + box.padL
  for (const [k, item] of items.entries()) {
    // §9.8: in a container of definite height every item's final height is definite. Chromium takes it so wherever
    // the item has a definite height or flex basis of its own, too.
    const own = item.heightKind === Sizing.Exact || item.heightKind === Sizing.Stretch
    const isDefinite = own || (definite && !Number.isNaN(innerHeight))
    if (isDefinite && item.followsHeight > 0) item.cross = columnItemWidth(item, inner, item.target)
    // As high as its content it keeps the layout that found so: it is not laid out into a given height.
    const given = isDefinite || measureHeight(item, item.cross) !== item.target
    layoutBox(item, item.cross, given ? item.target : Number.NaN, isDefinite)
    item.width = item.cross
    item.height = item.target
    y += item.before
    item.y = y + spreadBefore(k, between)
    item.x = item.widthKind === Sizing.Stretch ? left : left + alignOffset(item.alignSelf, inner - item.cross)
    y += item.target + box.rowGap
  }
  return available + box.padY
}

function columnItem(item: LayoutBox, percentBase: number) {
  const pad = item.padY
  let given = Number.NaN
  switch (item.heightKind) {
    case Sizing.Exact:
      given = item.heightValue
      break
    case Sizing.Percent:
      if (!Number.isNaN(percentBase)) given = percentOf(percentBase, item.heightValue)
      break
  }
  if (item.heightKind === Sizing.Stretch) item.base = pad
  else if (!Number.isNaN(given)) item.base = Math.max(pad, given)
  // §9.2: the base size is not held to the limits; it counts where a picture or a clipped box, free to shrink, is shrunk.
  else
    item.base =
      item.flow === Flow.Picture ? ratioHeight(item, item.cross) || pad : contentHeight(item, item.cross)
  if (!Number.isNaN(item.minH)) item.low = Math.max(item.minH, pad)
  else if (item.clip || item.flow === Flow.Picture) item.low = pad
  else {
    let least = autoHeight(item)
    if (!Number.isNaN(given)) least = Math.min(least, Math.max(pad, given))
    item.low = Math.max(pad, item.maxH < least ? item.maxH : least)
  }
  item.hypothetical = clamp(item.base, item.low, item.maxH)
}

/** The content's height at the item's width. */
function autoHeight(item: LayoutBox): number {
  return Math.max(measureHeight(item, item.cross), ratioHeight(item, item.cross) || 0)
}
