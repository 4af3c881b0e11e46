/** Rectangles on a sheet, px from the page's top left. */
import type { LayoutBox } from './box'

export type Rect = { x: number; y: number; width: number; height: number }

/** The smallest rect that holds all. */
export function bounds(rects: readonly Rect[]): Rect {
  const x = Math.min(...rects.map((rect) => rect.x))
  const y = Math.min(...rects.map((rect) => rect.y))
  return {
    x,
    y,
    width: Math.max(...rects.map((rect) => rect.x + rect.width)) - x,
    height: Math.max(...rects.map((rect) => rect.y + rect.height)) - y,
  }
}

type Point = { x: number; y: number }

const turned = (points: readonly Point[], centre: Point, degrees: number): Point[] => {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  return points.map(({ x, y }) => ({
    x: centre.x + cos * (x - centre.x) - sin * (y - centre.y),
    y: centre.y + sin * (x - centre.x) + cos * (y - centre.y),
  }))
}

/** The upright bounds of what is seen of a box that it or one around it turns, px from the page's top left. */
export function seenRect(box: LayoutBox): Rect {
  let corners: Point[] = [
    { x: 0, y: 0 },
    { x: box.width, y: 0 },
    { x: box.width, y: box.height },
    { x: 0, y: box.height },
  ]
  for (let at = box; at.parent; at = at.parent) {
    if (at.turn !== 0) corners = turned(corners, { x: at.width / 2, y: at.height / 2 }, at.turn)
    corners = corners.map(({ x, y }) => ({ x: x + at.x, y: y + at.y }))
  }
  return bounds(corners.map(({ x, y }) => ({ x, y, width: 0, height: 0 })))
}

/** Inside the padding of `box`, whose border box is `rect`. */
export const contentRect = (box: LayoutBox, rect: Rect): Rect => ({
  x: rect.x + box.borL + box.padL,
  y: rect.y + box.borT + box.padT,
  width: Math.max(0, rect.width - box.padX),
  height: Math.max(0, rect.height - box.padY),
})

/** The largest difference between two rects in place or size, px. */
export const difference = (a: Rect, b: Rect): number =>
  Math.max(
    Math.abs(a.x - b.x),
    Math.abs(a.y - b.y),
    Math.abs(a.width - b.width),
    Math.abs(a.height - b.height),
  )

/** A point in a turned block's own upright coordinates; `box` lies at `left`, `top` of the same sheet. */
export function turnBack(
  box: LayoutBox,
  left: number,
  top: number,
  x: number,
  y: number,
): { x: number; y: number } {
  const degrees = box.resolved.rotate
  if (!degrees) return { x, y }
  const angle = (-degrees * Math.PI) / 180
  const cx = left + box.width / 2
  const cy = top + box.height / 2
  const dx = x - cx
  const dy = y - cy
  return {
    x: cx + dx * Math.cos(angle) - dy * Math.sin(angle),
    y: cy + dx * Math.sin(angle) + dy * Math.cos(angle),
  }
}
