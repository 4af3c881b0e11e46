/** 0 to 1, the same for the same two numbers (a 32-bit mix). */
export function chance(seed: number, index: number): number {
  let x = Math.imul(seed + 1, 0x9e3779b1) ^ Math.imul(index + 1, 0x85ebca6b)
  x = Math.imul(x ^ (x >>> 15), 0x2c1b3c6d)
  x = Math.imul(x ^ (x >>> 12), 0x297a2d39)
  return ((x ^ (x >>> 15)) >>> 0) / 2 ** 32
}
