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
