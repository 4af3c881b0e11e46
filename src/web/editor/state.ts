/** What a tab shows, has selected and is doing: plain values, changed by the editor's `set`. */
import type { CarriedLook } from '../../core/arrange/carried-look'
import { SNAP_KINDS, type SnapKind } from '../../core/arrange/snap'
import type { Form } from '../../core/forms/form'
import type { Point } from '../../core/forms/path'
import type { Anchor, AnchorRef } from '../../core/forms/points'
import type { Misfit } from '../../core/lattice/fit'
import type { Rect } from '../../core/layout/rect'
import type { Drag, SheetPoint } from '../board/drag'
import type { Typing } from '../text/typing'
import type { Camera } from './camera'

type Panels = { readonly ledger: boolean; readonly spec: boolean; readonly shelf: boolean }

/** Without `id` the path is being begun; `first` is where. */
export type PointsOpen = {
  id?: string
  view: string
  chosen: readonly AnchorRef[]
  /** What is pressed is the next point: of a new path, or of one that goes on. */
  drawing?: 'new' | 'on'
  first?: Anchor
  /** The handle that goes on from the end that is chosen: in an outline only when something follows. */
  onward?: { at: Point; handle: Point }
}

export type ShapeToDraw = { what: Form | 'box'; words: string }

export class EditorState {
  pageId = ''
  /** A page that is to be shown and is not here yet. */
  opening: string | undefined
  selection: string[] = []
  /** Blocks of other pages that a change of what is selected is for, too: until something else is selected. */
  elsewhere: readonly string[] = []
  /** What is selected of the page's template: its key. Nothing else is then. */
  shared: string | undefined
  /** The sheet that commands and the spec speak of. */
  viewId = ''
  /** Whether a change is made for every view or only for the active one and narrower ones. */
  onlyHere = false
  hiddenViews = new Set<string>()
  /** Themes that the sheets are drawn in, side by side; none: the first. */
  shownThemes: readonly string[] = []
  /** Sheets that are shown at another width than their views', px. */
  shownWidths: ReadonlyMap<string, number> = new Map<string, number>()
  /** The view of which is said what breaks at which widths. */
  breaking: string | undefined
  /** The picture being slid inside its box. */
  framing: { id: string; view: string } | undefined
  /** The shape whose points are pulled on its sheet, and those that are chosen. */
  points: PointsOpen | undefined
  /** Takes a colour from the sheets: is told it, or that there is none. */
  picking: ((color: string | undefined) => void) | undefined
  /** What is pulled on its block: a fill's gradient, or else its corners. */
  pulling: { node: string; fill?: string } | undefined
  /** The text being edited in place. */
  editing: { id: string; view: string } | undefined
  /** What is written in it, once it is on its sheet. */
  typing: Typing | undefined
  camera: Camera = { x: 60, y: 60, zoom: 0.4 }
  showLattice = true
  showBaseline = false
  /** Guides, gauges left on sheets. */
  showAids = true
  rulers = true
  /** Words alone on last lines, headings in more lines, many families: marked on the sheets. */
  showMarks = true
  /** Whether what is selected is brought into sight. */
  follows = true
  /** px that a nudge with Shift goes. */
  step = 8
  /** What a press on a sheet draws: areas, one after the other, or one shape. */
  drawing: 'areas' | ShapeToDraw | undefined
  /** A tracing that is being scaled, and the points pressed so far, px on its sheet. */
  scaling: { id: string; points: { x: number; y: number }[] } | undefined
  /** What each view's rulers count from, px on its sheet. */
  zeros: ReadonlyMap<string, { x: number; y: number }> = new Map<string, { x: number; y: number }>()
  panels: Panels = { ledger: true, spec: true, shelf: false }
  /** The panels as they stand beside the board, while the window is too narrow for any beside it. */
  panelsBeside: Panels | undefined
  shelfPart: 'sections' | 'blocks' | 'icons' | 'pictures' = 'sections'
  /** Where the words that are looked at read worst, px on the sheet. */
  worstPlace: { view: string; rect: Rect; words: string } | undefined
  /** What new icons are: px of their side and of their line. */
  iconLook = { size: 24, line: 2 }
  dialog:
    | 'page'
    | 'palette'
    | 'views'
    | 'shortcuts'
    | 'settle'
    | 'repeat'
    | 'budget'
    | 'areas'
    | 'history'
    | 'parked'
    | 'look'
    | 'alike'
    | 'find'
    | 'template'
    | 'about'
    | 'tokens'
    | 'fonts'
    | 'backdrop'
    | 'cut'
    | undefined
  /** Font files that were dropped on the board, until their dialog reads them. */
  droppedFonts: readonly File[] = []
  /** What is said to who does not see the board; said again, it is heard again. */
  private said = ''
  announcements = 0
  get announcement(): string {
    return this.said
  }
  set announcement(text: string) {
    this.said = text
    this.announcements++
  }
  /** Where the menu of what is selected is open: px of the window; `under`: the blocks at the pointer, the topmost first. */
  menu: { x: number; y: number; view: string; under: string[] } | undefined
  /** What a single key did, shown for a moment; `step`: the step of the history that it made, to be undone as long as it is the last. */
  keyNote: { words: string; step?: number } | undefined
  /** What takes a while, each in words, and what stops it. */
  busy: readonly { words: string; stop: AbortController }[] = []
  /** The step of the tour that is shown. */
  tour: number | undefined
  /** The panels as they were before the tools were hidden. */
  toolsBefore: { panels: Panels; showLattice: boolean } | undefined
  /** A lattice that is waiting to be taken or left. */
  latticeQuestion: { misfits: Misfit[]; commit: () => void } | undefined
  /** While something is dragged that changes props in many places: its changes are one step of the history. */
  openGesture: string | undefined
  /** The sheet and the block under a point of the window; set by the board. */
  locate: ((clientX: number, clientY: number) => SheetPoint | undefined) | undefined
  /** What a gesture on the board is doing now. */
  drag: Drag | undefined
  /** While the gauge's key is held: what the pointer is on. */
  gauge: { view: string; id: string | undefined } | undefined
  /** A look that was copied, and from which block. */
  look: CarriedLook | undefined
  /** What blocks snap to. */
  snapping: ReadonlySet<SnapKind> = new Set(SNAP_KINDS.filter((kind) => kind !== 'thirds'))
}
