/**
 * How far a block is drawn, and what of that is on the page. What lies off it is not seen; and some writers of pictures fail on a group
 * of which not a pixel is on their canvas.
 */

import { type Area, type Shape, spread } from '../../forms/round-rect'
import type { LayoutBox } from '../../layout/box'
import { placedLines } from '../../paint/lines'
import { num } from '../../properties/css-text'
import { shownItems } from '../../properties/items'
import { shadowArea } from './shadow'
import type { Spot } from './words'

/** px that a tip reaches beside its line, in widths of the line. */
const TIP = 4

const unite = (a: Area, b: Area): Area => ({
  left: Math.min(a.left, b.left),
  top: Math.min(a.top, b.top),
  right: Math.max(a.right, b.right),
  bottom: Math.max(a.bottom, b.bottom),
})

/** Letters reach beyond their lines, by less than their size. */
function wordsArea(box: LayoutBox, { left, top }: Spot): Area[] {
  const { fontSize } = box.resolved
  return placedLines(box).map(({ x, top: down, line }) => ({
    left: left + x - fontSize,
    top: top + down - fontSize,
    right: left + x + line.width + fontSize,
    bottom: top + down + line.height + fontSize,
  }))
}

/** All that may be drawn of a block, px. @param outer its border box @param inner its padding box */
export function reachOf(box: LayoutBox, outer: Shape, inner: Shape, spot: Spot): Area {
  const { outline, stroke, shadows } = box.resolved
  const areas: Area[] = shownItems(shadows).map((shadow) => shadowArea(shadow.inset ? inner : outer, shadow))
  if (outline?.width) areas.push(spread(outer, outline.offset + outline.width))
  if (stroke) areas.push(spread(outer, stroke.width * TIP))
  if (box.typeset) areas.push(...wordsArea(box, spot))
  return areas.reduce(unite, outer)
}

/** What is drawn on. @param width @param height px */
export class Canvas {
  constructor(
    readonly width: number,
    readonly height: number,
  ) {}

  isOff({ left, top, right, bottom }: Area): boolean {
    return left >= this.width || top >= this.height || right <= 0 || bottom <= 0
  }

  private holds({ left, top, right, bottom }: Area): boolean {
    return left >= 0 && top >= 0 && right <= this.width && bottom <= this.height
  }

  /**
   * A pixel that is not seen, on the canvas, for a group that may otherwise have none; nothing where all of it is there.
   * @param turns that it is drawn with
   */
  foothold(area: Area, turns: readonly Turn[]): string {
    const shown = turnedArea(area, turns)
    if (this.holds(shown)) return ''
    const within = (at: number, most: number) => Math.round(Math.max(0, Math.min(most - 1, at)))
    const there: Point = [
      within((shown.left + shown.right) / 2, this.width),
      within((shown.top + shown.bottom) / 2, this.height),
    ]
    const [x, y] = turns.reduceRight(
      (point, turn) => turned(point, { ...turn, degrees: -turn.degrees }),
      there,
    )
    return `<path d="M${num(x)} ${num(y)}h1v1h-1z" fill-opacity="0"/>`
  }
}

type Point = readonly [x: number, y: number]
/** Clockwise about a point, px. */
export type Turn = { degrees: number; x: number; y: number }

function turned([x, y]: Point, { degrees, x: aboutX, y: aboutY }: Turn): Point {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)]
  const [dx, dy] = [x - aboutX, y - aboutY]
  return [aboutX + dx * cos - dy * sin, aboutY + dx * sin + dy * cos]
}

/** Where an area may lie once it is turned. @param turns the innermost first */
export function turnedArea(area: Area, turns: readonly Turn[]): Area {
  if (turns.length === 0) return area
  const { left, top, right, bottom } = area
  const corners = [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ].map(([x, y]) => turns.reduce(turned, [x!, y!] as Point))
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)]
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) }
}
