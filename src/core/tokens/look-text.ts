/** Composite tokens as CSS, for who shows them, and values of blocks as tokens. */
import {
  borderValue,
  gradientValue,
  type ShadowValue,
  type StopValue,
  shadowValue,
} from '../document/composite-tokens'
import { colorValue, type Tokens } from '../document/tokens'
import { px, shadowText } from '../properties/css-text'
import { stopsText } from '../properties/fill-layers'
import type { Shadow } from '../properties/items'
import type { Border } from '../properties/look'

/** The value of `box-shadow`, a gradient's list of colours, or the value of `border`; '' of what is none of these. */
export function lookText(tokens: Tokens, name: string): string {
  const token = tokens.lookup(name)
  if (token?.type === 'shadow') return token.value.map((each) => shadowText(each, each.color)).join(', ')
  if (token?.type === 'gradient') return stopsText(token.value)
  return token?.type === 'border' ? `${px(token.value.width)} ${token.value.style} ${token.value.color}` : ''
}

/** A reference stays one. */
const color = (said: string): unknown => (said.startsWith('{') ? said : colorValue(said))

export const shadowsAsToken = (shadows: readonly Omit<Shadow, 'order' | 'hidden'>[]) =>
  shadowValue(shadows as readonly ShadowValue[], color)
export const stopsAsToken = (stops: readonly StopValue[]) => gradientValue(stops, color)

/** @param ink of a border that says no colour: that of the words */
export const borderAsToken = (border: Border, ink: string) =>
  borderValue({ width: border.width, style: border.style ?? 'solid', color: border.color ?? ink }, color)
