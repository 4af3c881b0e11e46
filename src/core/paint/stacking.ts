/** Stacking contexts (CSS 2.2 §9.9, appendix E), from what the handoff declares of a block. */
import type { LayoutBox } from '../layout/box'
import { filtersText } from '../properties/effects'

/** What a block's declarations say of stacking. */
export type Stacking = { position?: 'relative' | 'absolute'; zIndex?: number; isolation?: 'isolate' }

/** @param z of a lifted block; undefined: in its flow @param held `z` of the lifted blocks in it that are shown */
export function stackingOf(z: number | undefined, held: readonly number[]): Stacking {
  const stacking: Stacking = {}
  if (z !== undefined) stacking.position = 'absolute'
  else if (held.length > 0) stacking.position = 'relative'
  if (z) stacking.zIndex = z
  // What lies in front is said among the blocks of one box.
  if (held.some((each) => each !== 0)) stacking.isolation = 'isolate'
  return stacking
}

/** As CSS says it. */
export function stackingDeclarations({ position, zIndex, isolation }: Stacking): [string, string][] {
  const out: [string, string][] = []
  if (position) out.push(['position', position])
  if (zIndex !== undefined) out.push(['z-index', String(zIndex)])
  if (isolation) out.push(['isolation', isolation])
  return out
}

const zOf = (box: LayoutBox) => box.resolved.z ?? 0

export const stackingIn = (box: LayoutBox): Stacking =>
  stackingOf(box.pins === null ? undefined : zOf(box), box.lifted.map(zOf))

/** Whether a block is drawn as one: nothing from outside comes between what is in it. */
export function isContext(box: LayoutBox): boolean {
  const { opacity, blend, rotate, filters, cast, backdropBlur, cut } = box.resolved
  const { zIndex, isolation } = stackingIn(box)
  return (
    opacity !== 1 ||
    blend !== 'normal' ||
    rotate !== 0 ||
    filtersText(filters, cast, cast?.color) !== undefined ||
    !!backdropBlur ||
    cut !== undefined ||
    zIndex !== undefined ||
    isolation !== undefined
  )
}

/** Whether a block is drawn with the positioned ones, behind what is merely in its flow. */
export const isRaised = (box: LayoutBox): boolean => stackingIn(box).position !== undefined || isContext(box)

/** Everything in a block that is shown, in the order in which it stands in the document, changed by `order`. */
export function standing(box: LayoutBox): readonly LayoutBox[] {
  const { kids, lifted } = box
  if (lifted.length === 0) return kids
  const turn = new Map(box.node.children.map((id, i) => [id, i]))
  return [...kids, ...lifted].sort((a, b) => a.order - b.order || turn.get(a.node.id)! - turn.get(b.node.id)!)
}
