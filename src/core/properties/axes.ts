/** Where the axes of a font that varies stand beside its weight (OpenType 1.9, fvar): `SOFT 40, wdth 75`. */
import * as v from 'valibot'
import { num } from './css-text'

const MOST = 16
const ONE = /^(?!wght)[A-Za-z0-9]{4} -?\d{1,5}(\.\d{1,3})?$/

/** By tag, as a text says it; `normal`: none. */
export const axesIn = (axes: string): [tag: string, value: number][] =>
  axes === 'normal' ? [] : axes.split(', ').map((each) => [each.slice(0, 4), Number(each.slice(5))])

function isAxes(text: string): boolean {
  const each = text.split(', ')
  return (
    text === 'normal' ||
    (each.length <= MOST &&
      each.every((one) => ONE.test(one)) &&
      new Set(axesIn(text).map(([tag]) => tag)).size === each.length)
  )
}

export const AxesSchema = v.pipe(
  v.string(),
  v.check(isAxes, 'axes such as wdth 75, SOFT 40, each once; the weight is fontWeight’s'),
)

/** `font-variation-settings`; undefined: as the font has them by itself. */
export const axesText = (axes: string): string | undefined =>
  axes === 'normal'
    ? undefined
    : axesIn(axes)
        .map(([tag, value]) => `"${tag}" ${num(value)}`)
        .join(', ')

/** With one axis put somewhere, in the order of their tags. @param value undefined: where the font has it @returns null: all are there */
export function withAxis(axes: string, tag: string, value: number | undefined): string | null {
  const others = axesIn(axes).filter(([each]) => each !== tag)
  const all = value === undefined ? others : [...others, [tag, Math.round(value * 1000) / 1000] as const]
  const sorted = all.toSorted(([a], [b]) => (a < b ? -1 : 1))
  return sorted.length === 0 ? null : sorted.map(([each, at]) => `${each} ${at}`).join(', ')
}
