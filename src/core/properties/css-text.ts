/** Numbers and lengths as CSS text. */

export const num = (value: number) => String(Math.round(value * 10_000) / 10_000)
/** Fine enough for layout units of 1/64 px. */
const fine = (value: number) => String(Math.round(value * 1_000_000) / 1_000_000)
export const px = (value: number) => (value === 0 ? '0' : `${fine(value)}px`)
/** A length inside a math function: a zero needs its unit too. */
export const unit = (value: number) => `${fine(value)}px`
/** px that a root's `1rem` is where its reader asks for no other. */
const ROOT = 16
/** Type as the page has it: as many times as large as what its reader has set. */
export const rem = (value: number) => (value === 0 ? '0' : `${Math.round((value / ROOT) * 1e8) / 1e8}rem`)
export const percent = (value: number) => `${num(value)}%`

/** Four sides as the shortest shorthand. */
export function shorthand(sides: readonly string[]): string {
  const [top, right, bottom, left] = sides
  if (right !== left) return sides.join(' ')
  if (top !== bottom) return `${top} ${right} ${bottom}`
  return top === right ? top! : `${top} ${right}`
}

/** `font-variant-numeric` of figures; undefined: as they are drawn. */
export const numericText = (figures: string): string | undefined =>
  figures === 'normal'
    ? undefined
    : figures
        .split('-')
        .map((part) => `${part}-nums`)
        .join(' ')

/** `font-feature-settings` of some tags; undefined: as the font has them by itself. */
export const featuresText = (features: string): string | undefined =>
  features === 'normal'
    ? undefined
    : features
        .split(' ')
        .map((tag) => `"${tag}"`)
        .join(', ')

type ShadowLengths = { inset?: boolean; x: number; y: number; blur: number; spread: number }

/** One of the values of `box-shadow` (CSS Backgrounds 3 §6.1). */
export const shadowText = ({ inset, x, y, blur, spread }: ShadowLengths, color: string): string =>
  `${inset ? 'inset ' : ''}${[x, y, blur, spread].map(px).join(' ')} ${color}`
