/** Corners rounded by pulling one of them inwards. */
import type { Props, Resolved } from '../properties/table'

/** `right`, `bottom`: the side that it is on. In the order in which CSS names them. */
export const CORNERS = [
  { key: 'radiusTopLeft', words: 'top left', right: false, bottom: false },
  { key: 'radiusTopRight', words: 'top right', right: true, bottom: false },
  { key: 'radiusBottomRight', words: 'bottom right', right: true, bottom: true },
  { key: 'radiusBottomLeft', words: 'bottom left', right: false, bottom: true },
] as const
export type Corner = (typeof CORNERS)[number]

/**
 * @param from the radii when it was taken hold of @param dx how far it was pulled, px in the block's own upright coordinates
 * @param alone this corner only @returns radii in whole px, no larger than half the shorter side
 */
export function cornersPulled(
  from: Resolved,
  { width, height }: { width: number; height: number },
  { key, right, bottom }: Corner,
  dx: number,
  dy: number,
  alone: boolean,
): Props {
  const most = Math.min(width, height) / 2
  const inwards = ((right ? -dx : dx) + (bottom ? -dy : dy)) / 2
  const radius = Math.round(Math.min(most, Math.max(0, Math.min(most, from[key]) + inwards)))
  const pulled = CORNERS.filter((corner) => !alone || corner.key === key)
  return Object.fromEntries(pulled.map((corner) => [corner.key, radius]))
}
