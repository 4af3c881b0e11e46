/** The line that colours of a gradient lie along, in a box (CSS Images 3 §3.1.1). */
import type { Bounds } from '../forms/path'

export type GradientLine = { x1: number; y1: number; x2: number; y2: number }

/** Through the middle of a box, as long as it takes for the corners to have the colours of its ends. @param degrees clockwise from upwards */
export function gradientLine({ left, top, right, bottom }: Bounds, degrees: number): GradientLine {
  const angle = (degrees * Math.PI) / 180
  const [width, height] = [right - left, bottom - top]
  const half = (Math.abs(width * Math.sin(angle)) + Math.abs(height * Math.cos(angle))) / 2
  const [cx, cy] = [left + width / 2, top + height / 2]
  const [dx, dy] = [Math.sin(angle) * half, -Math.cos(angle) * half]
  return { x1: cx - dx, y1: cy - dy, x2: cx + dx, y2: cy + dy }
}

/** The first of a line's length, px, from its beginning on. */
export function beginningOf({ x1, y1 }: GradientLine, degrees: number, length: number): GradientLine {
  const angle = (degrees * Math.PI) / 180
  return { x1, y1, x2: x1 + Math.sin(angle) * length, y2: y1 - Math.cos(angle) * length }
}
