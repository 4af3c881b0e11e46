/** Tokens made of several values (W3C Design Tokens 2025.10, §9): shadows, the stops of a gradient, borders; each value its own or a reference. */
import { hexOfColor, pixels } from './token-values'
import { isObject } from './token-variants'

/** px; `color` as hex digits. */
export type ShadowValue = { x: number; y: number; blur: number; spread: number; color: string; inset?: true }
/** `at`: percent of the way. */
export type StopValue = { color: string; at: number }
export type BorderValue = { width: number; style: 'solid' | 'dashed' | 'dotted'; color: string }

const STYLES: readonly unknown[] = ['solid', 'dashed', 'dotted']
/** Most shadows of one token, and most stops of a gradient. */
const MOST = 16

type Follow = (part: unknown) => unknown
type Fail = (expected: string) => never

function shadow(value: unknown, inner: Follow, fail: Fail): ShadowValue {
  if (!isObject(value)) return fail('shadows with color, offsetX, offsetY, blur and spread')
  const length = (key: string) => pixels(inner(value[key] ?? 0)) ?? fail(`${key} in px`)
  const blur = length('blur')
  return {
    x: length('offsetX'),
    y: length('offsetY'),
    blur: blur < 0 ? fail('a blur of at least 0') : blur,
    spread: length('spread'),
    color: hexOfColor(inner(value.color)) ?? fail('the color of a shadow in sRGB'),
    ...(value.inset === true ? { inset: true } : {}),
  }
}

/** One of a token's shadows, or all of another token that stands in its place (§9.5). */
function shadowsOf(value: unknown, inner: Follow, fail: Fail): ShadowValue[] {
  if (typeof value !== 'string') return [shadow(value, inner, fail)]
  const others = inner(value)
  return Array.isArray(others) && others.every((each) => 'blur' in each)
    ? (others as ShadowValue[])
    : fail('shadows, or references to them')
}

function stop(value: unknown, inner: Follow, fail: Fail): StopValue {
  if (!isObject(value)) return fail('stops with color and position')
  const position = inner(value.position)
  if (typeof position !== 'number') return fail('the position of a stop as a number')
  // What lies beyond either end lies on it (§9.6).
  const at = Math.round(Math.min(1, Math.max(0, position)) * 10_000) / 100
  return { color: hexOfColor(inner(value.color)) ?? fail('the color of a stop in sRGB'), at }
}

function border(value: unknown, inner: Follow, fail: Fail): BorderValue {
  if (!isObject(value)) return fail('an object with color, width and style')
  const width = pixels(inner(value.width))
  if (width === undefined || width < 0) return fail('width in px')
  const style = inner(value.style)
  if (!STYLES.includes(style)) return fail('style to be solid, dashed or dotted')
  const color = hexOfColor(inner(value.color)) ?? fail('the color of the border in sRGB')
  return { width, style: style as BorderValue['style'], color }
}

/** @param inner follows what may be a reference @param fail never comes back */
export function compositeOf(
  type: 'shadow' | 'gradient' | 'border',
  value: unknown,
  inner: Follow,
  fail: Fail,
) {
  if (type === 'border') return { type, value: border(value, inner, fail) }
  const list = Array.isArray(value) ? value : [value]
  if (type === 'shadow')
    return list.length > 0 && list.length <= MOST
      ? { type, value: list.flatMap((each) => shadowsOf(each, inner, fail)) }
      : fail(`1 to ${MOST} shadows`)
  return list.length >= 2 && list.length <= MOST
    ? { type, value: list.map((each) => stop(each, inner, fail)) }
    : fail(`2 to ${MOST} stops`)
}

const px = (value: number) => ({ value, unit: 'px' })
type Color = (value: string) => unknown

/** A shadow token's `$value`. @param color writes a colour, its own or a reference */
export const shadowValue = (shadows: readonly ShadowValue[], color: Color) =>
  shadows.map(({ x, y, blur, spread, color: own, inset }) => ({
    color: color(own),
    offsetX: px(x),
    offsetY: px(y),
    blur: px(blur),
    spread: px(spread),
    ...(inset ? { inset: true } : {}),
  }))

export const gradientValue = (stops: readonly StopValue[], color: Color) =>
  stops.map(({ color: own, at }) => ({ color: color(own), position: at / 100 }))

export const borderValue = ({ width, style, color: own }: BorderValue, color: Color) => ({
  color: color(own),
  width: px(width),
  style,
})
