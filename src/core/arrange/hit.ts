/** What lies under a point of a sheet. */
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { type Rect, turnBack } from '../layout/rect'
import { paintedBlocks } from '../paint/layers'

/**
 * The topmost block at a point (px from the page's top left), as deep as it goes. Locked blocks let the point through
 * to what they lie in.
 */
export function blockAt(layout: PageLayout, x: number, y: number): string | undefined {
  for (const box of under(layout, x, y)) if (!box.node.locked) return box.id
  return undefined
}

/** The point in a block's own upright coordinates, from its border box's top left; undefined where it, or what cuts it off, is not. */
function inside(box: LayoutBox, x: number, y: number): { x: number; y: number } | undefined {
  const { parent } = box
  if (!parent) return { x, y }
  let around = inside(parent, x, y)
  if (!around) return undefined
  around = turnBack(box, box.x, box.y, around.x, around.y)
  const at = { x: around.x - box.x, y: around.y - box.y }
  return box.resolved.clip && !covers(box, at) ? undefined : at
}

/** What is drawn at a point, topmost first. */
function* under(layout: PageLayout, x: number, y: number): Generator<LayoutBox> {
  const painted = paintedBlocks(layout)
  for (let i = painted.length - 1; i >= 0; i--) {
    const at = inside(painted[i]!, x, y)
    if (at && covers(painted[i]!, at)) yield painted[i]!
  }
}

const covers = (box: LayoutBox, at: { x: number; y: number }) =>
  at.x >= 0 && at.x < box.width && at.y >= 0 && at.y < box.height

/** Blocks that lie wholly in a rect, without what lies in them. */
export function blocksIn(layout: PageLayout, area: Rect): string[] {
  const found: string[] = []
  const search = (box: LayoutBox, left: number, top: number) => {
    for (const kid of [...box.kids, ...box.lifted]) {
      if (kid.node.source !== undefined) continue
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
export const blocksAt = (layout: PageLayout, x: number, y: number): string[] =>
  [...under(layout, x, y)].map((box) => box.id)
