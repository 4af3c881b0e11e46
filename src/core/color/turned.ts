/** A colour in another light: light made dark and dark light in OKLCH, the hue kept (CSS Color 4). */
import { clampChroma, converter, formatHex, formatHex8, parse } from 'culori/fn'
import './modes'

const toOklch = converter('oklch')
/** Of a page at night: what was white, and what was black. */
const NIGHT = { ground: 0.2, ink: 0.96 }

/** Mirrored lightness, 0 to 1: what was ink becomes quite light, grounds that were nearly alike stay dark and apart. */
function mirrored(l: number): number {
  const t = Math.min(1, (1 - l) * 1.15)
  return (t + t * t * (3 - 2 * t)) / 2
}

/** Lightness is mirrored into what is easy on the eyes at night; towards black there is less colour. */
export function turned(hex: string): string {
  const { l, c, h, alpha } = toOklch(parse(hex) ?? { mode: 'rgb', r: 0, g: 0, b: 0 })
  const to = NIGHT.ground + mirrored(l) * (NIGHT.ink - NIGHT.ground)
  const share = Math.min(1, 0.45 + to)
  const color = clampChroma({ mode: 'oklch', l: to, c: c * share, h, alpha }, 'oklch')
  return alpha === undefined || alpha === 1 ? formatHex(color) : formatHex8(color)
}
