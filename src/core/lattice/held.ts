/**
 * Lifted blocks on views that say nothing of their place: held in what they are pinned to, where the wider view's px would leave it.
 * The handoff writes the same with `min()` and `max()`.
 */
import type { Node } from '../document/document'
import { defaultsOf, type Props } from '../properties/table'
import { READABLE } from './carried'

/** What stays free for a block behind a pin: px, or a share of what it is pinned to. */
export type Kept = { px: number } | { percent: number }

export type Held = {
  /** An exact width is at most all of what it is pinned to. */
  width: boolean
  left: Kept | undefined
  right: Kept | undefined
}

/** px that every sheet has room for. */
const ALWAYS = 240

const PLACED = ['lifted', 'width', 'pinLeft', 'pinRight', 'pinCenterX'] as const

const lengthOf = (set: Props): number | undefined =>
  set.width?.kind === 'exact' && typeof set.width.px === 'number' ? set.width.px : undefined

function kept({ width }: Props): Kept {
  if (width?.kind === 'exact' && typeof width.px === 'number') return { px: width.px }
  return width?.kind === 'percent' ? { percent: Math.min(100, width.percent) } : { px: READABLE }
}

/**
 * @param views those of the cascade, widest first
 * @param set what the view makes of the block
 * @returns undefined: nothing holds it, or the view says its place itself
 */
export function heldOn(node: Node, views: readonly string[], set: Props): Held | undefined {
  const own = views.length > 1 ? node.overrides[views.at(-1)!] : undefined
  if (views.length < 2 || PLACED.some((key) => own?.[key] !== undefined)) return undefined
  const room = kept(set)
  const width = lengthOf(set)
  const reach = 'px' in room ? room.px : ALWAYS
  const holds = (pin: Props['pinLeft']) =>
    pin !== undefined && 'px' in pin && pin.px > 0 && ('percent' in room || pin.px + reach > ALWAYS)
  // What takes all the room is as wide as its pins leave it.
  const fills = (set.width ?? defaultsOf(node.kind).width)?.kind === 'stretch'
  const held: Held = {
    width: width !== undefined && width > ALWAYS,
    left: !fills && holds(set.pinLeft) ? room : undefined,
    right: !fills && set.pinLeft === undefined && holds(set.pinRight) ? room : undefined,
  }
  return held.width || held.left || held.right ? held : undefined
}
