/** What stands before an item of a list, outside of its box (CSS Lists 3 §3.5). */
import type { Resolved } from '../properties/table'
import type { FontLibrary } from './fonts'
import { scriptsOf } from './scripts'
import { type GlyphRun, shapeAlone } from './shape'
import { baseStyle, type PieceStyle } from './shaped-text'

/** `runs` begin at 0; its right end is the item's left; of an item that runs leftward its left end the item's right. */
export type Marker = { text: string; width: number; runs: GlyphRun[]; style: PieceStyle }

export function markerIn(fonts: FontLibrary, style: Resolved, text: string): Marker {
  // As browsers are told: figures of a width are for what is read down a column.
  const own = { ...baseStyle(style), figures: undefined }
  return { text, ...shapeAlone(fonts, { text, scripts: scriptsOf(text) }, own), style: own }
}
