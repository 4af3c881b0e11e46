/** Single values of tokens as the W3C Design Tokens format writes them (2025.10, §8). */
import { isObject } from './token-variants'

/** As hex digits; undefined: it is no colour in sRGB. */
export function hexOfColor(value: unknown): string | undefined {
  if (typeof value === 'string')
    return /^#[0-9a-f]{6}([0-9a-f]{2})?$/i.test(value) ? value.toLowerCase() : undefined
  if (!isObject(value) || value.colorSpace !== 'srgb' || !Array.isArray(value.components)) return undefined
  const parts = value.components.map((part) => (part === 'none' ? 0 : Number(part)))
  if (parts.length !== 3 || parts.some((part) => !(part >= 0 && part <= 1))) return undefined
  const alpha = typeof value.alpha === 'number' ? value.alpha : 1
  const bytes = alpha < 1 ? [...parts, alpha] : parts
  return `#${bytes
    .map((part) =>
      Math.round(part * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}

/** px; undefined: it is no length. */
export function pixels(value: unknown): number | undefined {
  if (typeof value === 'number' && Number.isFinite(value)) return value
  if (isObject(value) && typeof value.value === 'number' && (value.unit === 'px' || value.unit === 'rem')) {
    return value.unit === 'rem' ? value.value * 16 : value.value
  }
  return undefined
}
