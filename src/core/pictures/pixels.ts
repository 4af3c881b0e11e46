/** A picture as it is read off a canvas: 8-bit sRGB, red, green, blue, opacity (straight), row by row from the top. */
export type Pixels = {
  readonly width: number
  readonly height: number
  readonly data: Uint8ClampedArray
}
