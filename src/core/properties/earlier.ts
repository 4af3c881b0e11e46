/**
 * Looks as they were written before fills and shadows were lists, borders values of their own by side, and corners four: files up
 * to version 2, snapshots and logs of that time. Words were a list of spans.
 */

import { type Span, said } from '../words/words'
import type { Fill, Shadow } from './items'
import type { Border } from './look'
import type { Props } from './table'

type Old = Record<string, unknown>

const SIDES = ['borderTop', 'borderRight', 'borderBottom', 'borderLeft'] as const
const CORNERS = ['radiusTopLeft', 'radiusTopRight', 'radiusBottomRight', 'radiusBottomLeft'] as const
const GONE = new Set(['fill', 'gradient', 'borderColor', 'borderStyle', 'radius', 'shadow', 'spans'])

const isOld = (props: Old) =>
  Object.keys(props).some((key) => GONE.has(key)) || SIDES.some((side) => typeof props[side] === 'number')

/** One item of a list as it was a value alone; null: put back. */
function itemOf(key: 'fill' | 'gradient' | 'shadow', value: unknown): unknown {
  if (value === null) return null
  if (key === 'fill') return { order: 'a1', kind: 'color', color: value as string } satisfies Fill
  if (key === 'gradient') return { order: 'a0', kind: 'gradient', ...(value as object) } as Fill
  return { order: 'a0', ...(value as object) } as Shadow
}

/** Everything but borders, which belong together. */
function withoutBorders(old: Old): Old {
  const out: Old = {}
  for (const [key, value] of Object.entries(old)) {
    if (key === 'fill' || key === 'gradient')
      out.fills = { ...(out.fills as object), [key]: itemOf(key, value) }
    else if (key === 'shadow') out.shadows = { shadow: itemOf(key, value) }
    else if (key === 'spans') out.words = Array.isArray(value) ? said(value as Span[]) : value
    else if (key === 'radius') for (const corner of CORNERS) out[corner] = value
    else if (key !== 'borderColor' && key !== 'borderStyle' && !SIDES.includes(key as never)) out[key] = value
  }
  return out
}

const sideOf = (width: unknown, { borderColor, borderStyle }: Old): Border => ({
  width: width as number,
  ...(borderStyle === undefined ? {} : { style: borderStyle as 'solid' }),
  ...(borderColor === undefined ? {} : { color: borderColor as string }),
})

/**
 * Props as they are now. @param around the same, old, of what they lie over: the block's own and those of wider views
 */
function converted(old: Old, around: Old): Old {
  if (!isOld(old)) return old
  const out = withoutBorders(old)
  const all = { ...around, ...old }
  const touched = 'borderColor' in old || 'borderStyle' in old
  for (const side of SIDES)
    if (typeof old[side] === 'object') out[side] = old[side]
    else if ((side in old || touched) && typeof all[side] === 'number') out[side] = sideOf(all[side], all)
  return out
}

export type Looked = { props: Props; overrides?: Readonly<Record<string, Props>> }

/** A block's props and overrides as they are now. @param views widest first */
export function looksOfBefore<T extends Looked>(block: T, views: readonly { id: string }[]): T {
  const { props, overrides } = block as { props: Old; overrides?: Record<string, Old> }
  const own = converted(props, {})
  if (!overrides) return own === props ? block : { ...block, props: own as Props }
  let around = props
  const changed: Record<string, Old> = { ...overrides }
  for (const { id } of views) {
    if (!overrides[id]) continue
    changed[id] = converted(overrides[id], around)
    around = { ...around, ...overrides[id] }
  }
  return { ...block, props: own as Props, overrides: changed as Record<string, Props> }
}

/**
 * What an edit set, as it would be set now. @param now the props that it set it over
 */
export function changesOfBefore(old: Old, now: Props): Old {
  if (!isOld(old)) return old
  const out = withoutBorders(old)
  // What these versions made knows of no tokens for whole borders.
  const own = (side: (typeof SIDES)[number]) => (typeof now[side] === 'string' ? undefined : now[side])
  const color = SIDES.flatMap((side) => own(side)?.color ?? [])[0]
  const none: Border = color === undefined ? { width: 0 } : { width: 0, color }
  const touched = 'borderColor' in old || 'borderStyle' in old
  const any = SIDES.some((side) => now[side] || side in old)
  for (const side of SIDES) {
    if (typeof old[side] === 'object' && old[side] !== null) out[side] = old[side]
    else if (side in old || (touched && (now[side] || !any))) {
      const next: Border = { ...(own(side) ?? none) }
      if (side in old) next.width = (old[side] as number | null) ?? 0
      for (const [key, name] of [
        ['borderColor', 'color'],
        ['borderStyle', 'style'],
      ] as const)
        if (old[key] === null) delete next[name]
        else if (old[key] !== undefined) Object.assign(next, { [name]: old[key] })
      out[side] = next
    }
  }
  return out
}
