/** Turning a block about its centre. */
type Point = { x: number; y: number }

/**
 * The angle after a handle was dragged round `centre` from one point to another.
 * @param before degrees clockwise, as CSS `rotate`
 * @param step degrees that the result is a multiple of
 * @returns degrees in −180 … 180, 180 included
 */
export function turnTo(before: number, centre: Point, from: Point, to: Point, step: number): number {
  const angle = (point: Point) => Math.atan2(point.y - centre.y, point.x - centre.x)
  const turned = before + ((angle(to) - angle(from)) * 180) / Math.PI
  const stepped = Math.round(turned / step) * step
  const around = ((stepped % 360) + 360) % 360
  return around > 180 ? around - 360 : around
}
