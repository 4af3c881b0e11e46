/** The cascade: a node's props in one view, with overrides from wider views, type styles and tokens applied. */
import type { Document, Node } from './document'
import { defaultsOf } from './kinds'
import type { PropKey, Props, Size } from './schema'
import type { Tokens } from './tokens'

/** Family used when a text names none. */
export const DEFAULT_FAMILY = 'Hanken Grotesk'

/** Props as set, cascaded into `view`, tokens not yet followed. */
export function cascaded(doc: Document, node: Node, view: string): Props {
  let props = node.props
  for (const { id } of doc.cascade(view)) {
    const override = node.overrides[id]
    if (override) props = { ...props, ...override }
  }
  return props
}

/** Which view sets `key` for `view`: its id, '' for the node's own props, undefined when it is the default. */
export function originOf(doc: Document, node: Node, view: string, key: PropKey): string | undefined {
  let origin = node.props[key] === undefined ? undefined : ''
  for (const { id } of doc.cascade(view)) if (node.overrides[id]?.[key] !== undefined) origin = id
  return origin
}

const LENGTHS = [
  'spaceBefore',
  'rowGap',
  'columnGap',
  'paddingTop',
  'paddingRight',
  'paddingBottom',
  'paddingLeft',
  'minWidth',
  'maxWidth',
  'minHeight',
  'maxHeight',
  'radius',
  'fontSize',
] as const
const COLORS = ['fill', 'borderColor', 'color'] as const

function length(tokens: Tokens, value: number | string | undefined): number | undefined {
  if (typeof value !== 'string') return value
  const token = tokens.lookup(value)
  return token && (token.type === 'dimension' || token.type === 'number') ? token.value : undefined
}

export function color(tokens: Tokens, value: string | undefined): string | undefined {
  if (!value?.startsWith('{')) return value
  const token = tokens.lookup(value)
  return token?.type === 'color' ? token.value : undefined
}

/** Props with numbers and hex colours only: what layout and painting read. */
export type Resolved = Props & {
  rowGap: number
  spaceBefore: number
  columnGap: number | undefined
  paddingTop: number
  paddingRight: number
  paddingBottom: number
  paddingLeft: number
  minWidth: number | undefined
  maxWidth: number | undefined
  minHeight: number | undefined
  maxHeight: number | undefined
  radius: number
  fontSize: number
  fontFamily: string
  width: Size
  height: Size
}

function size(tokens: Tokens, value: Size): Size {
  if (value.kind !== 'exact' || typeof value.px === 'number') return value
  return { kind: 'exact', px: length(tokens, value.px) ?? 0 }
}

/** Everything `node` is in `view`. */
export function resolve(doc: Document, node: Node, view: string): Resolved {
  const tokens = doc.tokenTable
  const set = cascaded(doc, node, view)
  const defaults = defaultsOf(node.kind)
  const out: Record<string, unknown> = { ...defaults }
  out.fontFamily = DEFAULT_FAMILY
  if (set.type) {
    const token = tokens.lookup(set.type)
    if (token?.type === 'typography') {
      const { lineHeight, ...rest } = token.value
      Object.assign(out, rest, { lineHeight: { ratio: lineHeight } })
    }
  }
  for (const key in set) {
    const value = set[key as PropKey]
    if (value !== undefined) out[key] = value
  }
  for (const key of LENGTHS) {
    if (typeof out[key] === 'string') out[key] = length(tokens, out[key] as string) ?? defaults[key]
  }
  for (const key of COLORS) {
    if (typeof out[key] === 'string') out[key] = color(tokens, out[key] as string)
  }
  if (set.gradient) {
    out.gradient = {
      angle: set.gradient.angle,
      stops: set.gradient.stops.map((stop) => ({
        at: stop.at,
        color: color(tokens, stop.color) ?? '#000000',
      })),
    }
  }
  if (set.shadow) out.shadow = { ...set.shadow, color: color(tokens, set.shadow.color) ?? '#00000040' }
  if (set.spans?.some((span) => span.color?.startsWith('{'))) {
    out.spans = set.spans.map((span) => ({ ...span, color: color(tokens, span.color) }))
  }
  out.width = size(tokens, out.width as Size)
  out.height = size(tokens, out.height as Size)
  return out as Resolved
}
