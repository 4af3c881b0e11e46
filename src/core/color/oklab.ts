/** Colours as the eye sees them apart: OKLab of sRGB pixels (CSS Color 4 §9.3), from tables, for millions of them. */

const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => {
  const share = byte / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
})

/** L 0 to 1, a and b about -0.4 to 0.4. */
export type Oklab = [l: number, a: number, b: number]

/** @param into is given the values @param red 0 to 255, like the others */
export function oklabOf(red: number, green: number, blue: number, into: Oklab): Oklab {
  const [r, g, b] = [LINEAR[red], LINEAR[green], LINEAR[blue]]
  const l = Math.cbrt(0.4122214708 * r! + 0.5363325363 * g! + 0.0514459929 * b!)
  const m = Math.cbrt(0.2119034982 * r! + 0.6806995451 * g! + 0.1073969566 * b!)
  const s = Math.cbrt(0.0883024619 * r! + 0.2817188376 * g! + 0.6299787005 * b!)
  into[0] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s
  into[1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s
  into[2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s
  return into
}

/** How far apart: 0 the same, 1 black from white. */
export const apart = (one: Readonly<Oklab>, other: Readonly<Oklab>): number =>
  Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2])
