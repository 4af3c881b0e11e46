/** Where sheets lie on the board. */
import type { Theme, View } from '../../core/document/schema'
import type { PageLayout } from '../../core/layout/page'

/** A sheet as it lies on the board: `left`, `top` screen px, `zoom` screen px for one of the sheet's, `tall` px on the sheet. */
export type SheetPlace = {
  view: View
  layout: PageLayout
  left: number
  top: number
  zoom: number
  tall: number
  /** The one it is drawn in, where several are shown. */
  theme: Theme | undefined
}

/** Screen px: a ruler's thickness. */
export const RULER = 15
