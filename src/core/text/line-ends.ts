/** Where it is seen where a line ends: there Chromium shapes the end by itself, elsewhere it leaves it as it was before the space. */
import { shownItems } from '../properties/items'
import type { Resolved } from '../properties/table'

type Border = Resolved['borderTop']
const isDrawn = (side: Border) => side !== undefined && side.width > 0
/** Digits of a colour that is wholly transparent. */
const CLEAR = /^#[0-9a-f]{6}00$/i

/** Whether anything is drawn of a text's own box. */
function drawsBox({ borderTop, borderRight, borderBottom, borderLeft, fills, shadows }: Resolved): boolean {
  if (isDrawn(borderTop) || isDrawn(borderRight) || isDrawn(borderBottom) || isDrawn(borderLeft)) return true
  if (!shadows && !fills) return false
  if (shownItems(shadows).length > 0) return true
  const shown = shownItems(fills)
  // A single colour lies on the ground, where a transparent one is nothing; what lies over others is an image.
  return shown.length > 1 || shown.some((fill) => fill.kind !== 'color' || !CLEAR.test(fill.color))
}

/** 'all': of every word in it; 'own': of words in its own box, not of those in an element of their own; 'none'. */
export type SeenEnds = 'all' | 'own' | 'none'

/** Of a text's words. @param alone whether they stand in the text's own box, not in paragraphs */
export function seenEnds(style: Resolved, alone: boolean): SeenEnds {
  if (style.textAlign !== undefined && style.textAlign !== 'left') return 'all'
  if (style.textDecoration !== undefined && style.textDecoration !== 'none') return 'all'
  return alone && drawsBox(style) ? 'own' : 'none'
}

/** Whether a stretch of words has a line of its own under or through it. */
export const isDecorated = (look: { underline?: boolean; strike?: boolean; link?: string }): boolean =>
  look.underline === true || look.strike === true || look.link !== undefined
