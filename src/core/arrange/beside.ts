/** Where what is said of a block stands beside it, so that it covers least of what is drawn there. */
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { wordAreas } from '../paint/lines'

/** Kinds whose whole box is drawn; boxes and sections are looked into. */
const DRAWN = new Set(['button', 'picture', 'shape'])

const covered = (a: Rect, b: Rect) =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y))

/** Below, above, at its sides within the sheet, and in its own lower corners. */
export type Side = 'below' | 'below right' | 'above' | 'above right' | 'right' | 'left' | 'in' | 'in right'
export type Beside = { side: Side; rect: Rect }

function places(around: Rect, { width, height }: Pick<Rect, 'width' | 'height'>, gap: number, sheet: number) {
  const right = Math.max(around.x, around.x + around.width - width)
  const [below, above] = [around.y + around.height + gap, around.y - gap - height]
  const bottom = around.y + around.height - gap - height
  const at = (side: Side, x: number, y: number): Beside => ({ side, rect: { x, y, width, height } })
  return [
    at('below', around.x, below),
    at('below right', right, below),
    at('above', around.x, above),
    at('above right', right, above),
    at('right', around.x + around.width + gap, around.y),
    at('left', around.x - gap - width, around.y),
    at('in', around.x + gap, bottom),
    at('in right', right - gap, bottom),
  ].filter(({ rect: { x, y } }) => y >= 0 && x >= 0 && (x === around.x || x + width <= sheet))
}

/** What is drawn where something may come to stand beside `around`. */
function drawnNear(layout: PageLayout, around: Rect, reach: number): Rect[] {
  const found: Rect[] = []
  const look = (box: LayoutBox) => {
    for (const kid of [...box.kids, ...box.lifted]) {
      const rect = layout.rect(kid.id)
      if (!rect) continue
      // Of a text its words, which may be narrower than it is.
      if (kid.node.kind === 'text')
        found.push(...wordAreas(kid).map((area) => ({ ...area, x: area.x + rect.x, y: area.y + rect.y })))
      else if (DRAWN.has(kid.node.kind)) found.push(rect)
      else look(kid)
    }
  }
  for (const section of layout.root.kids) {
    const apart = Math.max(section.y - around.y - around.height, around.y - section.y - section.height)
    if (apart < reach) look(section)
  }
  return found
}

/**
 * Places for a tag of `size` (px on the sheet) beside `around`, or in it, `gap` px from its edge: what covers least comes first, of equal
 * ones below before above.
 * @param width of the sheet, px
 */
export function besides(
  layout: PageLayout,
  around: Rect,
  size: Pick<Rect, 'width' | 'height'>,
  gap: number,
  width: number,
): Beside[] {
  const drawn = drawnNear(layout, around, size.height + gap)
  return places(around, size, gap, width)
    .map((place) => ({ place, covers: drawn.reduce((sum, rect) => sum + covered(place.rect, rect), 0) }))
    .sort((a, b) => a.covers - b.covers)
    .map(({ place }) => place)
}
