/**
 * A part of a picture, cut out of it turned and mirrored. Lengths are px of the picture; places are counted from the top left of
 * the upright box that the turned picture lies in.
 */
import type { PictureSize } from '../blobs/picture-head'
/** `turn`: degrees clockwise; `mirrored`: left for right, before it is turned. */
export type Crop = PictureSize & { x: number; y: number; turn: number; mirrored?: true }

/** Least side of a part, px. */
export const LEAST_PART = 1
/** Steps in which the end of the picture is found. */
const HALVINGS = 20
/** What rounding may stand out by, px. */
const SLACK = 0.01

const radians = (turn: number) => (turn * Math.PI) / 180

/** Exactly 0 and 1 for quarter turns. */
function turning(turn: number): { cos: number; sin: number } {
  if (turn % 90 === 0) {
    const quarter = (((turn / 90) % 4) + 4) % 4
    return { cos: [1, 0, -1, 0][quarter]!, sin: [0, 1, 0, -1][quarter]! }
  }
  return { cos: Math.cos(radians(turn)), sin: Math.sin(radians(turn)) }
}

/** Of the upright box around a turned picture. */
export function turnedSize({ width, height }: PictureSize, turn: number): PictureSize {
  const { cos, sin } = turning(turn)
  return {
    width: width * Math.abs(cos) + height * Math.abs(sin),
    height: width * Math.abs(sin) + height * Math.abs(cos),
  }
}

export const wholePart = ({ width, height }: PictureSize): Crop => ({ x: 0, y: 0, width, height, turn: 0 })

/** How far a part's middle is from the picture's, along the picture's own sides, and how far the part reaches along them. */
function alongSides(size: PictureSize, { x, y, width, height, turn }: Crop) {
  const { cos, sin } = turning(turn)
  const box = turnedSize(size, turn)
  const [dx, dy] = [x + width / 2 - box.width / 2, y + height / 2 - box.height / 2]
  return {
    across: dx * cos + dy * sin,
    down: dy * cos - dx * sin,
    reachAcross: (width * Math.abs(cos) + height * Math.abs(sin)) / 2,
    reachDown: (width * Math.abs(sin) + height * Math.abs(cos)) / 2,
    cos,
    sin,
    box,
  }
}

/** Whether there is picture everywhere in a part. */
export function isWithin(size: PictureSize, part: Crop): boolean {
  const { across, down, reachAcross, reachDown } = alongSides(size, part)
  return (
    Math.abs(across) + reachAcross <= size.width / 2 + SLACK &&
    Math.abs(down) + reachDown <= size.height / 2 + SLACK
  )
}

const clamp = (value: number, most: number) => Math.min(most, Math.max(-most, value))

/** The same part where there is picture everywhere in it; else moved as little as possible, and made smaller about its middle. */
export function fitted(size: PictureSize, part: Crop): Crop {
  if (isWithin(size, part)) return part
  const { across, down, reachAcross, reachDown, cos, sin, box } = alongSides(size, part)
  // As large as fits at all, then its middle as near to where it was as that size allows.
  const scale = Math.min(1, size.width / 2 / reachAcross, size.height / 2 / reachDown)
  const u = clamp(across, size.width / 2 - reachAcross * scale)
  const v = clamp(down, size.height / 2 - reachDown * scale)
  const width = Math.max(LEAST_PART, part.width * scale)
  const height = Math.max(LEAST_PART, part.height * scale)
  return {
    ...part,
    x: box.width / 2 + u * cos - v * sin - width / 2,
    y: box.height / 2 + u * sin + v * cos - height / 2,
    width,
    height,
  }
}

/** Of another size, about the same middle. */
export const sizedTo = (size: PictureSize, part: Crop, width: number, height: number): Crop =>
  fitted(size, {
    ...part,
    x: part.x + (part.width - width) / 2,
    y: part.y + (part.height - height) / 2,
    width,
    height,
  })

/** Of another shape, as large in area as it was where it fits. @param ratio width divided by height */
export function ofRatio(size: PictureSize, part: Crop, ratio: number): Crop {
  const width = Math.sqrt(part.width * part.height * ratio)
  return sizedTo(size, part, width, width / ratio)
}

/** The picture turned otherwise under the part, about the same place in the picture. */
export function turnedTo(size: PictureSize, part: Crop, turn: number): Crop {
  const { across, down } = alongSides(size, part)
  const { cos, sin } = turning(turn)
  const box = turnedSize(size, turn)
  return fitted(size, {
    ...part,
    turn,
    x: box.width / 2 + across * cos - down * sin - part.width / 2,
    y: box.height / 2 + across * sin + down * cos - part.height / 2,
  })
}

/** All of it a quarter further, clockwise: the part is laid on its side with the picture. */
export function quarterTurned(size: PictureSize, part: Crop): Crop {
  const { width, height, x, y } = part
  const box = turnedSize(size, part.turn)
  // From -180 to 180.
  const turn = part.turn + 90 > 180 ? part.turn - 270 : part.turn + 90
  return { ...part, turn, x: box.height - y - height, y: x, width: height, height: width }
}

/** The same part of the picture, seen in a mirror. */
export function mirrored(size: PictureSize, part: Crop): Crop {
  const { mirrored: was, ...rest } = part
  const turn = part.turn === 0 ? 0 : -part.turn
  const x = turnedSize(size, turn).width - part.x - part.width
  return { ...rest, turn, x, ...(was ? {} : { mirrored: true as const }) }
}

/** Where a handle lies on a part: 0 the left or top, 1 the right or bottom. */
export type Handle = readonly [x: number, y: number]

/**
 * A handle pulled so far: what lies across from it stays; as far as there is picture for.
 * @param ratio is kept, where there is one: a corner's other side follows
 */
export function pulled(
  size: PictureSize,
  part: Crop,
  [x, y]: Handle,
  dx: number,
  dy: number,
  ratio: number | undefined,
): Crop {
  let width = Math.max(LEAST_PART, part.width + dx * (2 * x - 1))
  let height = Math.max(LEAST_PART, part.height + dy * (2 * y - 1))
  if (ratio !== undefined) {
    if (x === 0.5) width = height * ratio
    else height = width / ratio
  }
  const at = (share: number): Crop => {
    const [wide, high] = [
      part.width + (width - part.width) * share,
      part.height + (height - part.height) * share,
    ]
    return {
      ...part,
      width: wide,
      height: high,
      x: part.x + (part.width - wide) * (1 - x),
      y: part.y + (part.height - high) * (1 - y),
    }
  }
  if (isWithin(size, at(1))) return at(1)
  let [good, bad] = [0, 1]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (good + bad) / 2
    if (isWithin(size, at(middle))) good = middle
    else bad = middle
  }
  return at(good)
}

/** From px of the picture to px of the part: `a b c d e f` of CSS's and SVG's `matrix()`. */
export function matrixOf(size: PictureSize, part: Crop): [number, number, number, number, number, number] {
  const { cos, sin } = turning(part.turn)
  const box = turnedSize(size, part.turn)
  const flip = part.mirrored ? -1 : 1
  const [a, b, c, d] = [cos * flip, sin * flip, -sin, cos]
  const [cx, cy] = [size.width / 2, size.height / 2]
  const e = box.width / 2 - part.x - (a * cx + c * cy)
  const f = box.height / 2 - part.y - (b * cx + d * cy)
  // -0 would be written out.
  return [a + 0, b + 0, c + 0, d + 0, e + 0, f + 0]
}
