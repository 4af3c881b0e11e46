/** What a gesture on the board is doing, for whoever draws it. All px on a sheet. */

import type { Insertion } from '../../core/arrange/insertion'
import type { SnapLine } from '../../core/arrange/snap'
import type { View } from '../../core/document/schema'
import type { UsedLattice } from '../../core/lattice/used'
import type { PageLayout } from '../../core/layout/page'
import type { Rect } from '../../core/layout/rect'
import type { Size } from '../../core/properties/values'

/** A point on a sheet, px from its top left. */
export type SheetPoint = { view: View; layout: PageLayout; x: number; y: number; id: string | undefined }

/** What was snapped to is said when the pointer rests there: the panels, and with them the announcement, follow then. */
export function announceSnaps(editor: { announcement: string }, hits: readonly SnapLine[]) {
  if (hits.length > 0) editor.announcement = hits.map((hit) => hit.reason).join(', ')
}

/** Screen px the pointer moves before a press becomes a drag. */
export const THRESHOLD = 4

/** Screen px within which an edge snaps. */
export const REACH = 6

export type Drag =
  | { kind: 'flow'; view: string; ghost: Rect; insertion: Insertion | undefined }
  /** A block slid to other columns of its lattice. */
  | { kind: 'slide'; view: string; rect: Rect; words: string; size: Size }
  | { kind: 'lifted'; view: string; rect: Rect; hits: SnapLine[] }
  /** A view's lattice as it would be. */
  | { kind: 'lattice'; view: string; used: UsedLattice; words: string }
  | { kind: 'area'; view: string; rect: Rect }
  /** An area drawn over columns, and what it comes to. */
  | { kind: 'drawing'; view: string; rect: Rect; words: string }
  /** A guide pulled or moved; `words` while it is over the sheet. */
  | { kind: 'guide'; view: string; axis: 'x' | 'y'; at: number; words?: string; id: string | undefined }
