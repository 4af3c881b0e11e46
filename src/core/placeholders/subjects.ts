/** The subjects of placeholder pictures, each as far as it needs for a page to be judged. */
import { Drawing, n } from './drawing'

export const SUBJECTS = [
  'people',
  'food',
  'rooms',
  'plants',
  'landscapes',
  'close-ups',
  'tools',
  'devices',
] as const
export type Subject = (typeof SUBJECTS)[number]

const DRAWN: Record<Subject, (d: Drawing) => void> = {
  people(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    d.ellipse(w * d.between(0.2, 0.8), h * 0.3, Math.min(w, h) * 0.5, Math.min(w, h) * 0.5, light)
    const count = Math.max(1, Math.min(4, Math.round((w / h) * d.between(0.8, 1.6))))
    const size = Math.min(h * 0.24, (w / count) * 0.42)
    for (let i = 0; i < count; i++) {
      const x = (w * (i + 0.5)) / count + d.between(-0.05, 0.05) * w
      const y = h * d.between(0.36, 0.46)
      const skin = d.one(['#e8b98f', '#c98f66', '#8c5a3c', '#f0cfae', '#5f3b28'])
      const clothes = d.one([middle, accent, dark])
      d.path(
        `M${n(x - size * 1.25)} ${n(h)}C${n(x - size * 1.2)} ${n(y + size)} ${n(x - size * 0.6)} ${n(y + size * 0.95)} ${n(x)} ${n(y + size * 0.95)}C${n(x + size * 0.6)} ${n(y + size * 0.95)} ${n(x + size * 1.2)} ${n(y + size)} ${n(x + size * 1.25)} ${n(h)}Z`,
        clothes,
      )
      d.rect(x - size * 0.2, y + size * 0.5, size * 0.4, size * 0.6, skin, size * 0.15)
      d.ellipse(x, y, size * 0.58, size * 0.72, skin)
      const hair = d.one(['#2b211d', '#5a3a22', '#9a9a94', '#b5682f'])
      d.path(
        `M${n(x - size * 0.66)} ${n(y + size * d.between(0, 0.7))}C${n(x - size * 0.8)} ${n(y - size)} ${n(x + size * 0.8)} ${n(y - size)} ${n(x + size * 0.66)} ${n(y + size * d.between(0, 0.7))}C${n(x + size * 0.5)} ${n(y - size * 0.4)} ${n(x - size * 0.2)} ${n(y - size * 0.2)} ${n(x - size * 0.66)} ${n(y)}Z`,
        hair,
      )
    }
  },
  food(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    const r = Math.min(w, h) * d.between(0.3, 0.38)
    const [x, y] = [w * d.between(0.42, 0.58), h * d.between(0.46, 0.54)]
    d.ellipse(x + r * 0.06, y + r * 0.1, r * 1.12, r * 1.12, dark, ' fill-opacity="0.15"')
    d.ellipse(x, y, r * 1.1, r * 1.1, '#fffaf0')
    d.ellipse(x, y, r * 0.86, r * 0.86, light)
    for (let i = 0; i < 9; i++) {
      const [a, far] = [d.between(0, 6.28), d.between(0, 0.55) * r]
      d.blob(
        x + Math.cos(a) * far,
        y + Math.sin(a) * far,
        r * d.between(0.2, 0.5),
        r * d.between(0.2, 0.5),
        d.one([middle, accent, '#fffaf0']),
      )
    }
    for (let i = 0; i < 6; i++)
      d.leaf(x + d.between(-0.4, 0.4) * r, y + d.between(-0.4, 0.4) * r, r * 0.3, d.between(0, 360), middle)
    const side = d.one([-1, 1])
    d.rect(x + side * r * 1.45 - r * 0.05, y - r * 0.7, r * 0.1, r * 1.4, dark, r * 0.05)
    d.ellipse(x + side * r * 1.45, y - r * 0.7, r * 0.13, r * 0.24, dark)
  },
  rooms(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    const floor = h * d.between(0.68, 0.78)
    d.rect(0, floor, w, h - floor, light)
    const [wx, ww] = [w * d.between(0.08, 0.5), w * d.between(0.22, 0.36)]
    d.rect(wx, h * 0.12, ww, floor * 0.5, '#fffaf0')
    d.rect(wx + ww * 0.03, h * 0.14, ww * 0.45, floor * 0.5 - h * 0.04, middle)
    d.rect(wx + ww * 0.52, h * 0.14, ww * 0.45, floor * 0.5 - h * 0.04, middle)
    const [sx, sw] = [w * d.between(0.3, 0.5), w * d.between(0.34, 0.44)]
    d.rect(sx, floor - h * 0.2, sw, h * 0.16, accent, h * 0.03)
    d.rect(sx - sw * 0.06, floor - h * 0.1, sw * 1.12, h * 0.12, accent, h * 0.03)
    d.rect(sx + sw * 0.04, floor + h * 0.02, sw * 0.04, h * 0.05, dark)
    d.rect(sx + sw * 0.92, floor + h * 0.02, sw * 0.04, h * 0.05, dark)
    const lx = sx < w * 0.4 ? w * 0.88 : w * 0.16
    d.rect(lx - w * 0.004, h * 0.3, w * 0.008, floor - h * 0.28, dark)
    d.path(
      `M${n(lx - w * 0.05)} ${n(h * 0.34)}L${n(lx - w * 0.03)} ${n(h * 0.2)}H${n(lx + w * 0.03)}L${n(lx + w * 0.05)} ${n(h * 0.34)}Z`,
      dark,
    )
    d.ellipse(w * 0.5, floor + h * 0.14, w * 0.36, h * 0.05, middle, ' fill-opacity="0.5"')
  },
  plants(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    d.ellipse(w * d.between(0.3, 0.7), h * 0.4, Math.min(w, h) * 0.42, Math.min(w, h) * 0.42, light)
    const count = Math.max(1, Math.round((w / h) * 2))
    for (let i = 0; i < count; i++) {
      const [x, foot] = [(w * (i + 0.5)) / count, h * d.between(0.78, 0.9)]
      const size = Math.min(h * 0.5, (w / count) * 0.8) * d.between(0.7, 1)
      const leaves = 7 + Math.floor(d.next() * 5)
      for (let k = 0; k < leaves; k++)
        d.leaf(
          x,
          foot - size * 0.2,
          size * d.between(0.7, 1),
          -70 + (140 * k) / (leaves - 1),
          d.one([middle, dark, middle, accent]),
        )
      d.path(
        `M${n(x - size * 0.24)} ${n(foot - size * 0.24)}H${n(x + size * 0.24)}L${n(x + size * 0.18)} ${n(foot + size * 0.12)}H${n(x - size * 0.18)}Z`,
        accent,
      )
    }
  },
  landscapes(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    d.ellipse(
      w * d.between(0.15, 0.85),
      h * d.between(0.18, 0.34),
      Math.min(w, h) * 0.1,
      Math.min(w, h) * 0.1,
      accent,
    )
    const tones = [light, middle, middle, dark]
    tones.forEach((tone, i) => {
      const base = h * (0.42 + i * 0.15)
      const steps = 6
      let data = `M0 ${n(h)}V${n(base)}`
      for (let k = 0; k < steps; k++) {
        const x = (w * (k + 1)) / steps
        data += `Q${n(x - w / steps / 2)} ${n(base - d.between(-0.04, 0.16) * h)} ${n(x)} ${n(base + d.between(-0.04, 0.04) * h)}`
      }
      d.path(`${data}V${n(h)}Z`, tone, i === 2 ? ' fill-opacity="0.75"' : '')
    })
    for (let i = 0; i < 5; i++) {
      const [x, y, s] = [w * d.next(), h * d.between(0.74, 0.9), h * d.between(0.05, 0.1)]
      d.path(`M${n(x - s * 0.5)} ${n(y)}L${n(x)} ${n(y - s * 2)}L${n(x + s * 0.5)} ${n(y)}Z`, dark)
    }
  },
  'close-ups'(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    const across = Math.max(w, h)
    for (let i = 0; i < 9; i++)
      d.blob(
        w * d.next(),
        h * d.next(),
        across * d.between(0.3, 0.7),
        across * d.between(0.25, 0.6),
        d.one([light, middle, accent, dark, light]),
        40,
      )
    for (let i = 0; i < 14; i++) {
      const [x, y] = [w * d.next(), h * d.next()]
      d.line(
        `M${n(x)} ${n(y)}q${n(across * d.between(-0.1, 0.1))} ${n(across * 0.08)} ${n(across * d.between(0.05, 0.2))} ${n(across * d.between(-0.1, 0.1))}`,
        d.one([dark, '#fffaf0']),
        across * 0.006,
      )
    }
  },
  tools(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    d.rect(0, h * 0.82, w, h * 0.18, light)
    const count = Math.max(3, Math.round((w / h) * 4))
    d.rect(w * 0.06, h * 0.16, w * 0.88, h * 0.025, dark)
    for (let i = 0; i < count; i++) {
      const [x, length] = [w * (0.08 + (0.84 * (i + 0.5)) / count), h * d.between(0.34, 0.56)]
      const wide = Math.min(w / count, h * 0.3) * 0.5
      d.rect(x - wide * 0.12, h * 0.18, wide * 0.24, length * 0.62, d.one(['#a8743f', '#8a5a33']), wide * 0.1)
      const head = h * 0.18 + length * 0.58
      const kind = Math.floor(d.next() * 3)
      if (kind === 0) d.rect(x - wide * 0.5, head, wide, length * 0.2, dark, wide * 0.1)
      else if (kind === 1)
        d.path(
          `M${n(x - wide * 0.34)} ${n(head)}H${n(x + wide * 0.34)}L${n(x + wide * 0.28)} ${n(head + length * 0.34)}Q${n(x)} ${n(head + length * 0.5)} ${n(x - wide * 0.28)} ${n(head + length * 0.34)}Z`,
          middle,
        )
      else d.ellipse(x, head + length * 0.16, wide * 0.4, length * 0.18, accent)
    }
  },
  devices(d) {
    const { width: w, height: h } = d
    const [, light, middle, dark, accent] = d.palette
    d.ellipse(w * 0.5, h * 0.86, w * 0.42, h * 0.05, light)
    const sw = Math.min(w * 0.62, h * 0.9)
    const sh = sw * 0.62
    const [x, y] = [(w - sw) / 2 - sw * 0.06, h * 0.8 - sh]
    d.rect(x, y, sw, sh, dark, sw * 0.02)
    d.rect(x + sw * 0.025, y + sw * 0.025, sw * 0.95, sh - sw * 0.05, '#fffaf0')
    d.rect(x - sw * 0.08, y + sh, sw * 1.16, sw * 0.04, middle, sw * 0.02)
    for (let i = 0; i < 5; i++)
      d.rect(
        x + sw * 0.08,
        y + sh * (0.16 + i * 0.14),
        sw * d.between(0.16, 0.4),
        sh * 0.05,
        d.one([light, middle]),
      )
    d.blob(x + sw * 0.7, y + sh * 0.5, sw * 0.36, sh * 0.6, accent)
    const [pw, ph] = [sw * 0.17, sw * 0.34]
    d.rect(x + sw * 0.96, y + sh - ph + sw * 0.04, pw, ph, dark, pw * 0.14)
    d.rect(x + sw * 0.96 + pw * 0.07, y + sh - ph + sw * 0.04 + pw * 0.1, pw * 0.86, ph - pw * 0.2, middle)
  },
}

/** A drawing as SVG. @param number another is another picture @param width @param height px */
export function placeholder(subject: Subject, number: number, width: number, height: number): string {
  const drawing = new Drawing(number * 8 + SUBJECTS.indexOf(subject), width, height)
  DRAWN[subject](drawing)
  return drawing.svg()
}
