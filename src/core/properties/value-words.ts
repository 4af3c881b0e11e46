/** Values as they are said to people: “font size 38”, “width 4 columns”, “hidden”. */
import { familyNamed } from '../text/families'
import { plainText, type Words } from '../words/words'
import { num } from './css-text'
import { PROPERTIES, type PropKey, type Props } from './table'
import type { Pin, ScreenHeight, Size } from './values'

const px = (value: number | string) => (typeof value === 'number' ? `${num(value)} px` : tokenWords(value))

/** A text as far as it is said. */
export const cut = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text)

/** A token by its name in its group, as the spec shows it; a colour by its digits. */
const tokenWords = (value: string) => value.replace(/^\{(?:[^.}]*\.)?([^}]*)\}$/, '$1')

function sizeWords(size: Size): string {
  switch (size.kind) {
    case 'exact':
      return px(size.px)
    case 'percent':
      return `${num(size.percent)} %`
    case 'svh':
      return screenWords(size)
    case 'columns': {
      const { span, from } = size
      if (from === undefined) return span === 1 ? '1 column' : `${span} columns`
      return span === 1 ? `column ${from}` : `columns ${from}–${from + span - 1}`
    }
    default:
      return size.kind
  }
}

const screenWords = ({ percent, less, grows }: ScreenHeight) =>
  `${grows ? 'at least ' : ''}${num(percent)} % of the first screen${less ? ` less ${px(less)}` : ''}`

const pinWords = (pin: Pin) => ('px' in pin ? px(pin.px) : `${num(pin.percent)} %`)

/** Yes and no of the properties that have them. */
const SWITCHED: Partial<Record<PropKey, [string, string]>> = {
  hidden: ['hidden', 'shown'],
  lifted: ['lifted', 'in the flow'],
  wrap: ['wrapping', 'on one line'],
  dense: ['filling gaps', 'leaving gaps'],
  clip: ['clipped', 'not clipped'],
  italic: ['italic', 'upright'],
  fullBleed: ['full width', 'in the container'],
}

const LENGTHS = /Gap$|^padding|^min|^max|^radius|^spaceBefore$|^(letter|word)Spacing$|^pinCenter/

/** A value alone; `null` or undefined: none. */
export function valueWords(key: PropKey, value: unknown): string {
  if (value === undefined || value === null) return 'none'
  if (key === 'width' || key === 'height') return sizeWords(value as Size)
  if (key === 'words') return `“${cut(plainText(value as Words), 40)}”`
  if (key === 'asset') return 'another picture'
  if (key === 'fontFamily') return familyNamed(value as string)?.family ?? cut(value as string, 40)
  if (key === 'opacity') return `${num((value as number) * 100)} %`
  if (key === 'rotate') return `${num(value as number)}°`
  if (typeof value === 'boolean') return SWITCHED[key]?.[value ? 0 : 1] ?? (value ? 'on' : 'off')
  if (typeof value === 'number') return LENGTHS.test(key) ? px(value) : num(value)
  if (typeof value === 'string') return cut(tokenWords(value), 40)
  return objectWords(key, value as Record<string, unknown>)
}

function objectWords(key: PropKey, value: Record<string, unknown>): string {
  if (/^pin/.test(key)) return pinWords(value as Pin)
  if (key === 'lineHeight') return 'px' in value ? px(value.px as number) : num(value.ratio as number)
  if (key === 'lattice') return `${value.columns} columns`
  if (typeof value.width === 'number') return value.width === 0 ? 'none' : px(value.width)
  if (PROPERTIES[key].items) {
    const items = Object.values(value).filter((item) => item !== null) as { color?: string }[]
    if (items.length === 1 && items[0]!.color !== undefined) return tokenWords(items[0]!.color)
    return items.length === 0 ? 'none' : String(items.length)
  }
  return 'another'
}

/** A property with its value; `null`: put back. */
export function saidWords(key: PropKey, value: unknown): string {
  if (value === null) return `${PROPERTIES[key].words} put back`
  if (typeof value === 'boolean' && SWITCHED[key]) return valueWords(key, value)
  return `${PROPERTIES[key].words} ${valueWords(key, value)}`
}

/** Everything that a set of values says. */
export const allSaid = (props: Props): string =>
  (Object.keys(props) as PropKey[]).map((key) => saidWords(key, props[key])).join(', ')
