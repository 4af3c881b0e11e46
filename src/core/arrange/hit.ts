/** What lies under a point of a sheet. */
import type { LayoutBox } from '../layout/box'
import { paintOrder } from '../layout/drawing'
import type { PageLayout } from '../layout/page'

/**
 * The topmost block at a point (px from the page's top left), as deep as it goes. Locked blocks let the point through
 * to what they lie in.
 */
export function blockAt(layout: PageLayout, x: number, y: number): string | undefined {
  const search = (box: LayoutBox, left: number, top: number): string | undefined => {
    const order = paintOrder(box)
    for (let i = order.length - 1; i >= 0; i--) {
      const kid = order[i]
      const kx = left + kid.x
      const ky = top + kid.y
      const inside = x >= kx && x < kx + kid.width && y >= ky && y < ky + kid.height
      if (!inside && kid.resolved.clip) continue
      const deeper = search(kid, kx, ky)
      if (deeper) return deeper
      if (inside && !kid.node.locked) return kid.id
    }
    return undefined
  }
  return search(layout.root, 0, 0)
}
