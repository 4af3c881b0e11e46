/** The look of a block as CSS: what the board draws with and what is handed off, from one function. */
import { px, shorthand } from './css-text'
import { type Items, isInBorder, type SaidFill, shownItems } from './items'
import type { Kind } from './kinds'
import { type Border, lineWidth } from './look'
import type { CssRule, Written } from './property'
import { hasProperty, KEYS, PROPERTIES, type Props, type Resolved } from './table'

/** CSS properties and their values, in the order in which they are written. */
export type Declarations = Map<string, string>

export const rulesOf = (css: CssRule | readonly CssRule[] | undefined): readonly CssRule[] =>
  css === undefined ? [] : 'name' in css ? [css] : css

const LOOKS = KEYS.flatMap((key) =>
  rulesOf(PROPERTIES[key].css).flatMap(({ name, of, style }) => (of ? [{ key, name, of, style }] : [])),
)
const SIDES = ['borderTop', 'borderRight', 'borderBottom', 'borderLeft'] as const
const CORNERS = ['radiusTopLeft', 'radiusTopRight', 'radiusBottomRight', 'radiusBottomLeft'] as const

/** @param raw as the document has it in this view @param resolved the same with defaults and tokens followed */
export function lookDeclarations(
  kind: Kind,
  raw: Props,
  resolved: Resolved,
  write: Written & { style(reference: string, part: string): string | undefined },
): Declarations {
  const out: Declarations = new Map()
  for (const { key, name, of, style } of LOOKS) {
    if (!hasProperty(kind, key)) continue
    const styled = style && raw.type && raw[key] === undefined ? write.style(raw.type, style) : undefined
    const value = styled ?? of({ raw, resolved, write })
    if (value !== undefined) out.set(name, value)
  }
  writeBorders(out, raw, write)
  const corners = CORNERS.map((key) => (raw[key] === undefined ? '0' : (write.length(raw[key]) ?? '0')))
  if (corners.some((each) => each !== '0')) out.set('border-radius', shorthand(corners))
  return out
}

/** A side as it is written; one of no width is not there. */
type Side = { width: string; style: string; color: string | undefined }

/** Of a token each part is a property of its own. */
function sideOf(said: Border | string | undefined, write: Written): Side | undefined {
  if (typeof said === 'string') {
    const part = (name: string) => write.token(said, 'border', name)
    const width = part('width')
    return width === undefined ? undefined : { width, style: part('style')!, color: part('color') }
  }
  if (!said || said.width === 0) return undefined
  return {
    width: px(lineWidth(said.width)),
    style: said.style ?? 'solid',
    color: said.color && write.color(said.color),
  }
}

/** Four sides in one declaration each of width, style and colour; those that are as CSS has them are left out. */
function writeBorders(out: Declarations, raw: Props, write: Written) {
  const sides = SIDES.map((key) => sideOf(raw[key], write))
  const seen = sides.filter((side) => side !== undefined)
  if (seen.length === 0) return
  out.set('border-width', shorthand(sides.map((side) => side?.width ?? '0')))
  // What is said of a side that is nowhere is not written: mostly all four are alike then.
  const all = (of: (side: Side) => string) => shorthand(sides.map((side) => of(side ?? seen[0]!)))
  if (seen.some(({ style }) => style !== 'solid'))
    out.set(
      'border-style',
      all(({ style }) => style),
    )
  if (seen.some(({ color }) => color !== undefined))
    out.set(
      'border-color',
      all(({ color }) => color ?? 'currentcolor'),
    )
  // What is seen in its place.
  if (shownItems(raw.fills as Items<SaidFill> | undefined).some(isInBorder))
    out.set('border-color', 'transparent')
}
