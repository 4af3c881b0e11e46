/** For tests: looks of today in the words of version 2, to hold what is opened against what was kept. */
import { lookOf, type Span, type Words } from '../words/words'
import type { Border } from './look'

const SIDES = ['borderTop', 'borderRight', 'borderBottom', 'borderLeft'] as const

type Bag = Record<string, unknown>

/** Words of one paragraph as they were: a break belongs to what is before it. */
function oldSpans([block]: Words): Span[] {
  const spans: Span[] = []
  for (const inline of (block!.type === 'paragraph' && block!.content) || []) {
    const last = spans.at(-1)
    const look = inline.type === 'text' ? lookOf(inline.marks) : undefined
    const text = inline.type === 'text' ? inline.text : '\n'
    const { text: _, ...before } = last ?? { text: '' }
    if (last && (!look || JSON.stringify(look) === JSON.stringify(before))) last.text += text
    else spans.push({ text, ...look })
  }
  return spans.length > 0 ? spans : [{ text: '' }]
}

function oldProps(props: Bag): Bag {
  const { fills, shadows, radiusTopLeft, radiusTopRight, radiusBottomRight, radiusBottomLeft, ...rest } =
    props
  const { fill, gradient } = (fills ?? {}) as Record<string, Bag | undefined>
  const { shadow } = (shadows ?? {}) as Record<string, Bag | undefined>
  const own = (item: Bag) => {
    const { order, kind, ...value } = item
    return value
  }
  if (rest.words) {
    rest.spans = oldSpans(rest.words as Words)
    delete rest.words
  }
  if (fill) rest.fill = fill.color
  if (gradient) rest.gradient = own(gradient)
  if (shadow) rest.shadow = own(shadow)
  if (radiusTopLeft !== undefined) rest.radius = radiusTopLeft
  for (const side of SIDES) {
    const border = props[side] as Border | undefined
    if (!border) continue
    rest[side] = border.width
    if (border.color) rest.borderColor = border.color
    if (border.style) rest.borderStyle = border.style
  }
  return rest
}

/** Anything with blocks in it, their looks as version 2 said them. */
export function inOldWords(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOldWords)
  if (typeof value !== 'object' || value === null) return value
  const out: Bag = {}
  for (const [key, each] of Object.entries(value)) {
    if (key === 'props') out.props = oldProps(each as Bag)
    else if (key === 'overrides')
      out.overrides = Object.fromEntries(
        Object.entries(each as Bag).map(([view, own]) => [view, oldProps(own as Bag)]),
      )
    else out[key] = inOldWords(each)
  }
  return out
}
