/** What lies under a point of a sheet. */
import type { LayoutBox } from '../layout/box'
import { paintOrder, turnBack } from '../layout/drawing'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'

/**
 * The topmost block at a point (px from the page's top left), as deep as it goes. Locked blocks let the point through
 * to what they lie in.
 */
export function blockAt(layout: PageLayout, x: number, y: number): string | undefined {
  const search = (box: LayoutBox, left: number, top: number, px: number, py: number): string | undefined => {
    const order = paintOrder(box)
    for (let i = order.length - 1; i >= 0; i--) {
      const kid = order[i]
      const kx = left + kid.x
      const ky = top + kid.y
      const at = turnBack(kid, kx, ky, px, py)
      const inside = covers(kid, kx, ky, at)
      if (!inside && kid.resolved.clip) continue
      const deeper = search(kid, kx, ky, at.x, at.y)
      if (deeper) return deeper
      if (inside && !kid.node.locked) return kid.id
    }
    return undefined
  }
  return search(layout.root, 0, 0, x, y)
}

const covers = (box: LayoutBox, left: number, top: number, at: { x: number; y: number }) =>
  at.x >= left && at.x < left + box.width && at.y >= top && at.y < top + box.height

/** Blocks that lie wholly in a rect, without what lies in them. */
export function blocksIn(layout: PageLayout, area: Rect): string[] {
  const found: string[] = []
  const search = (box: LayoutBox, left: number, top: number) => {
    for (const kid of [...box.kids, ...box.lifted]) {
      const x = left + kid.x
      const y = top + kid.y
      const inside =
        x >= area.x &&
        y >= area.y &&
        x + kid.width <= area.x + area.width &&
        y + kid.height <= area.y + area.height
      if (inside && !kid.node.locked) found.push(kid.id)
      else search(kid, x, y)
    }
  }
  search(layout.root, 0, 0)
  return found
}

/** Everything under a point, topmost and deepest first: what one can choose from there. */
export function blocksAt(layout: PageLayout, x: number, y: number): string[] {
  const found: string[] = []
  const search = (box: LayoutBox, left: number, top: number, px: number, py: number) => {
    for (const kid of [...paintOrder(box)].reverse()) {
      const kx = left + kid.x
      const ky = top + kid.y
      const at = turnBack(kid, kx, ky, px, py)
      search(kid, kx, ky, at.x, at.y)
      if (covers(kid, kx, ky, at)) found.push(kid.id)
    }
  }
  search(layout.root, 0, 0, x, y)
  return found
}
