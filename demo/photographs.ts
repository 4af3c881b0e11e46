/**
 * The demo's photographs: things heaped up, lit from one side, with grain and a little blur where they are near or far. Computed point by
 * point, since no camera may come into it; seeded, so that they are the same each time.
 */
import sharp from 'sharp'
import { randomFrom } from '../src/cli/random'

type Ink = readonly [number, number, number]
export type Photograph = {
  name: string
  type: 'image/jpeg' | 'image/webp' | 'image/png'
  width: number
  height: number
  bytes: Uint8Array
}

/** A solid with three half axes, px, turned in the picture's plane. */
type Solid = {
  x: number
  y: number
  z: number
  a: number
  b: number
  c: number
  turn: number
  ink: Ink
  speckle: number
}

/** From the upper left, a little to the front. */
const LIGHT = [-0.48, -0.62, 0.62] as const

/** Smooth noise, 0 to 1. */
function noise(seed: number) {
  const at = (x: number, y: number) => {
    const n = Math.sin(x * 127.1 + y * 311.7 + seed * 74.7) * 43_758.5453
    return n - Math.floor(n)
  }
  const ease = (t: number) => t * t * (3 - 2 * t)
  return (x: number, y: number) => {
    const [ix, iy] = [Math.floor(x), Math.floor(y)]
    const [fx, fy] = [ease(x - ix), ease(y - iy)]
    const top = at(ix, iy) + (at(ix + 1, iy) - at(ix, iy)) * fx
    const low = at(ix, iy + 1) + (at(ix + 1, iy + 1) - at(ix, iy + 1)) * fx
    return top + (low - top) * fy
  }
}

class Scene {
  /** Red, green, blue, how opaque; row by row, 0 to 255. */
  readonly pixels: Float32Array
  private readonly depth: Float32Array
  private readonly mottle: (x: number, y: number) => number

  constructor(
    readonly width: number,
    readonly height: number,
    seed: number,
  ) {
    this.pixels = new Float32Array(width * height * 4)
    this.depth = new Float32Array(width * height).fill(Number.NEGATIVE_INFINITY)
    this.mottle = noise(seed)
  }

  ground(ink: (x: number, y: number) => Ink) {
    for (let y = 0; y < this.height; y++)
      for (let x = 0; x < this.width; x++) {
        this.put(x, y, ink(x, y), 255)
        this.depth[y * this.width + x] = -40
      }
  }

  private put(x: number, y: number, ink: Ink, alpha: number) {
    this.pixels.set([...ink, alpha], (y * this.width + x) * 4)
  }

  /** Draws what of it nothing drawn before lies in front of. */
  solid({ x: cx, y: cy, z, a, b, c, turn, ink, speckle }: Solid) {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
    const reach = Math.max(a, b)
    for (let y = Math.max(0, Math.floor(cy - reach)); y < Math.min(this.height, cy + reach); y++)
      for (let x = Math.max(0, Math.floor(cx - reach)); x < Math.min(this.width, cx + reach); x++) {
        const [u, v] = [((x - cx) * cos + (y - cy) * sin) / a, ((y - cy) * cos - (x - cx) * sin) / b]
        const rest = 1 - u * u - v * v
        if (rest <= 0) continue
        const w = Math.sqrt(rest)
        const at = y * this.width + x
        if (z + w * c <= this.depth[at]!) continue
        this.depth[at] = z + w * c
        const [nu, nv, nw] = [u / a, v / b, w / c]
        const length = Math.hypot(nu, nv, nw)
        const normal = [(nu * cos - nv * sin) / length, (nu * sin + nv * cos) / length, nw / length] as const
        const lit = Math.max(0, normal[0] * LIGHT[0] + normal[1] * LIGHT[1] + normal[2] * LIGHT[2])
        const shine = Math.max(0, 2 * lit * normal[2] - LIGHT[2]) ** 26
        const mottled = 1 - speckle * this.mottle((x + cx) / 9, (y + cy) / 9) ** 3
        const light = (0.26 + 0.82 * lit) * mottled
        this.put(
          x,
          y,
          [ink[0] * light + 190 * shine, ink[1] * light + 185 * shine, ink[2] * light + 170 * shine],
          255,
        )
      }
  }

  /** Darker where something nearer stands between a point and the light. */
  shade() {
    const { width, height, depth, pixels } = this
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        let hidden = 0
        for (let step = 3; step <= 24; step += 3) {
          const [sx, sy] = [Math.round(x + LIGHT[0] * step * 1.4), Math.round(y + LIGHT[1] * step * 1.4)]
          if (sx < 0 || sy < 0 || sx >= width || sy >= height) break
          if (depth[sy * width + sx]! > depth[y * width + x]! + step * 0.9) hidden += 1
        }
        const light = 1 - Math.min(0.62, hidden * 0.12)
        for (let k = 0; k < 3; k++) pixels[(y * width + x) * 4 + k]! *= light
      }
  }

  /** As a camera gives it: grain, and less light towards the corners. */
  bytes(seed: number, grain: number): Buffer {
    const { width, height, pixels } = this
    const random = randomFrom(seed)
    const out = Buffer.alloc(width * height * 4)
    for (let i = 0; i < width * height; i++) {
      const [x, y] = [(i % width) / width - 0.5, Math.floor(i / width) / height - 0.5]
      const corner = 1 - 0.42 * (x * x + y * y)
      const speck = (random() + random() - 1) * grain
      for (let k = 0; k < 3; k++)
        out[i * 4 + k] = Math.max(0, Math.min(255, pixels[i * 4 + k]! * corner + speck))
      out[i * 4 + 3] = pixels[i * 4 + 3]!
    }
    return out
  }
}

async function developed(
  scene: Scene,
  name: string,
  type: Photograph['type'],
  seed: number,
): Promise<Photograph> {
  const { width, height } = scene
  const raw = sharp(scene.bytes(seed, type === 'image/png' ? 6 : 13), {
    raw: { width, height, channels: 4 },
  }).blur(0.6)
  const file =
    type === 'image/png'
      ? raw.png({ palette: true, quality: 90 })
      : type === 'image/webp'
        ? raw.removeAlpha().webp({ quality: 80 })
        : raw.removeAlpha().jpeg({ quality: 80, mozjpeg: true })
  return { name, type, width, height, bytes: new Uint8Array(await file.toBuffer()) }
}

type Heap = {
  width: number
  height: number
  seed: number
  count: number
  size: readonly [number, number, number]
  inks: readonly Ink[]
  speckle: number
}

/** Many of a kind in a heap, as they lie in a bowl seen from above. */
function heap({ width, height, seed, count, size: [a, b, c], inks, speckle }: Heap): Scene {
  const scene = new Scene(width, height, seed)
  const random = randomFrom(seed)
  scene.ground(() => [44, 30, 20])
  for (let i = 0; i < count; i++) {
    const grown = 0.82 + random() * 0.36
    const ink = inks[Math.floor(random() * inks.length)]!
    const tone = 0.85 + random() * 0.3
    scene.solid({
      x: random() * (width + 2 * a) - a,
      y: random() * (height + 2 * a) - a,
      z: random() * 46 - 30,
      a: a * grown,
      b: b * grown * (0.9 + random() * 0.2),
      c: c * grown,
      turn: random() * Math.PI * 2,
      ink: [ink[0] * tone, ink[1] * tone, ink[2] * tone],
      speckle,
    })
  }
  scene.shade()
  return scene
}

/** Three peppers cut out of their ground. */
function peppers(width: number, height: number, seed: number): Scene {
  const scene = new Scene(width, height, seed)
  const one = (x: number, y: number, turn: number, ink: Ink, size: number) => {
    const along = (t: number, across = 0) => ({
      x: x + Math.cos(turn) * t * size - Math.sin(turn) * across * size,
      y: y + Math.sin(turn) * t * size + Math.cos(turn) * across * size,
      turn,
      ink,
      speckle: 0.12,
    })
    // So many that no joint is seen.
    for (let k = 0; k < 160; k++) {
      const t = k / 159
      const wide = 90 * (1 - 0.72 * t ** 2.2)
      scene.solid({
        ...along(-150 + 350 * t, 22 * Math.sin(t * 3.4)),
        z: 0,
        a: wide * 0.8 * size,
        b: wide * size,
        c: wide * size,
      })
    }
    scene.solid({
      ...along(-208),
      z: 40 * size,
      a: 36 * size,
      b: 58 * size,
      c: 44 * size,
      ink: [74, 122, 58],
    })
    for (let k = 0; k < 40; k++)
      scene.solid({
        ...along(-236 - k * 1.9, -0.02 * k * k),
        z: 30 * size,
        a: 14 * size,
        b: 13 * size,
        c: 13 * size,
        ink: [88, 138, 66],
      })
  }
  one(width * 0.34, height * 0.42, 1.05, [214, 58, 30], 0.92)
  one(width * 0.62, height * 0.5, 1.5, [226, 122, 26], 0.86)
  one(width * 0.5, height * 0.6, 0.35, [190, 36, 34], 0.9)
  scene.shade()
  return scene
}

/** Lights of a street at night, out of focus, over wet stone. */
function nightLights(width: number, height: number, seed: number, inks: readonly Ink[]): Scene {
  const scene = new Scene(width, height, seed)
  const random = randomFrom(seed)
  const stone = noise(seed + 5)
  const horizon = height * 0.62
  const lights = Array.from({ length: 150 }, () => {
    const far = random()
    return {
      x: random() * width,
      y: horizon - (0.02 + random() * 0.5) * height * (1 - far * 0.6),
      r: (10 + 58 * (1 - far) ** 2) * (width / 1600),
      ink: inks[Math.floor(random() * inks.length)]!,
      glow: 0.25 + random() * 0.75,
    }
  })
  scene.ground((x, y) => {
    const down = y / height
    const wet = y > horizon ? 0.5 + 0.9 * stone(x / 26, y / 7) : 1
    return [(12 + 16 * down) * wet, (13 + 14 * down) * wet, (28 + 20 * (1 - down)) * wet]
  })
  const { pixels } = scene
  const add = (x: number, y: number, ink: Ink, share: number) => {
    if (x < 0 || y < 0 || x >= width || y >= height) return
    const at = (y * width + x) * 4
    for (let k = 0; k < 3; k++)
      pixels[at + k] = pixels[at + k]! + ink[k]! * share * (1 - pixels[at + k]! / 340)
  }
  for (const { x, y, r, ink, glow } of lights) {
    for (let dy = -Math.ceil(r); dy <= r; dy++)
      for (let dx = -Math.ceil(r); dx <= r; dx++) {
        const from = Math.hypot(dx, dy) / r
        // A disc, a little brighter at its rim.
        if (from <= 1)
          add(
            Math.round(x + dx),
            Math.round(y + dy),
            ink,
            glow * (0.34 + 0.26 * from ** 4) * Math.min(1, (1 - from) * r),
          )
      }
    // Its reflection runs down towards who looks.
    const mirrored = 2 * horizon - y
    for (let dy = 0; dy < height - horizon; dy++) {
      const row = Math.round(horizon + dy)
      const near = Math.exp(-Math.abs(row - mirrored) / (height * 0.16))
      for (let dx = -Math.ceil(r * 0.8); dx <= r * 0.8; dx++)
        add(
          Math.round(x + dx + (stone(row / 5, x) - 0.5) * 16),
          row,
          ink,
          glow * 0.2 * near * stone((x + dx) / 30, row / 5),
        )
    }
  }
  return scene
}

/** Coals in a pit: dark lumps, and what glows between and under them. */
function coals(width: number, height: number, seed: number): Scene {
  const scene = new Scene(width, height, seed)
  const random = randomFrom(seed)
  const heat = noise(seed + 3)
  const hot = (x: number, y: number) => 0.55 * heat(x / 170, y / 120) + 0.45 * heat(x / 46, y / 40)
  scene.ground((x, y) => {
    const glow = hot(x, y) ** 1.5
    return [70 + 300 * glow, 12 + 170 * glow ** 1.6, 4 + 70 * glow ** 3]
  })
  for (let i = 0; i < 620; i++) {
    const [x, y] = [random() * width, random() * height]
    const grown = 0.55 + random() * 0.75
    const ash = 26 + 40 * random() ** 3
    // What lies where it is hottest glows itself.
    const glow = Math.max(0, hot(x, y) - 0.5 + 0.16 * random()) * 2.1
    scene.solid({
      x,
      y,
      z: random() * 30 - 26,
      a: 58 * grown,
      b: (30 + 18 * random()) * grown,
      c: 24 * grown,
      turn: random() * Math.PI * 2,
      ink: [ash + 250 * glow, ash + 92 * glow, ash * 1.04 + 20 * glow],
      speckle: 0.75,
    })
  }
  return scene
}

export const COALS = (width: number, height: number) =>
  developed(coals(width, height, 31), 'Coals, close', 'image/webp', 33)

export const BEANS = () =>
  developed(
    heap({
      width: 960,
      height: 720,
      seed: 5,
      count: 900,
      size: [50, 31, 26],
      inks: [
        [178, 66, 44],
        [120, 40, 34],
        [226, 202, 160],
        [60, 34, 40],
        [208, 152, 110],
      ],
      speckle: 0.45,
    }),
    'Tall Meadow bean',
    'image/jpeg',
    51,
  )
export const CORN = () =>
  developed(
    heap({
      width: 960,
      height: 720,
      seed: 11,
      count: 1100,
      size: [34, 28, 20],
      inks: [
        [236, 176, 52],
        [240, 196, 88],
        [214, 138, 40],
        [120, 54, 62],
        [74, 62, 104],
      ],
      speckle: 0.25,
    }),
    'Lantern Ridge corn',
    'image/webp',
    111,
  )
export const PEPPERS = () => developed(peppers(960, 720, 23), 'Glasshouse pepper', 'image/png', 231)
export const NIGHT = (width: number, height: number) =>
  developed(
    nightLights(width, height, 77, [
      [255, 176, 84],
      [255, 120, 70],
      [96, 214, 206],
      [255, 220, 160],
      [232, 84, 132],
    ]),
    'Lights along the pier',
    'image/jpeg',
    771,
  )
