/** Where the board is looked at from: fitted, followed, gone closer for writing. */
import { bounds } from '../../core/layout/rect'
import {
  bringing,
  type Camera,
  centredAt,
  firstSight,
  fitRect,
  fitSheets,
  forWriting,
  zoomedAt,
} from './camera'
import { Sheets } from './sheets'

export abstract class BoardCamera extends Sheets {
  private sees: 'first' | 'all' = 'first'
  /** The camera before somebody began to write, and the one that was taken for that. */
  private written: { before: Camera; during: Camera } | undefined

  measured(width: number, height: number) {
    this.boardSize = { width, height }
    if (this.fitted) this.changed('board')
    else if (this.sees === 'all') this.fit()
    else this.fitFirst()
  }

  /** Fits the sheets into the board as soon as its new size is known. */
  protected fitWhenMeasured() {
    this.fitted = false
    this.sees = 'all'
  }

  protected fitFirst() {
    this.fitted = true
    const places = this.sheetPlaces()
    const active = places.find(({ view }) => view.id === this.viewId) ?? places[0]
    if (active) {
      const widths = places.map(({ view }) => view.width)
      const { left, view } = active
      const at = { left, width: view.width }
      this.camera = firstSight(this.boardSize, widths, this.layout?.height ?? 900, at)
    }
    this.changed('board')
  }

  fit() {
    this.fitted = true
    if (this.shownViews.length > 0) {
      const widths = this.sheetPlaces().map(({ view }) => view.width)
      this.camera = fitSheets(this.boardSize, widths, this.layout?.height ?? 900)
    }
    this.changed('board')
  }

  /** Shows what is selected as large as the board allows; with nothing selected, the sheets. */
  fitSelection() {
    const place = this.sheetPlaces().find((each) => each.view.id === this.viewId)
    const rects = place ? this.selection.flatMap((id) => place.layout.rect(id) ?? []) : []
    if (!place || rects.length === 0) return this.fit()
    const around = bounds(rects)
    this.camera = fitRect(this.boardSize, { ...around, x: around.x + place.left })
    this.changed('board')
  }

  /** Moves the board until what is selected is seen; where that is not wanted, or it is, nothing moves. */
  protected followSelection() {
    if (!this.follows || !this.fitted) return
    const id = this.shared ?? this.selected?.id
    const place = this.sheetPlaces().find((each) => each.view.id === this.viewId)
    const rect = id === undefined ? undefined : place?.layout.rect(id)
    if (rect && place)
      this.camera = bringing(this.camera, this.boardSize, { ...rect, x: rect.x + place.left })
  }

  protected followWriting() {
    const { editing, written, camera } = this
    if (editing && !written) {
      const place = this.sheetPlaces().find(({ view, isTwin }) => view.id === editing.view && !isTwin)
      const box = place?.layout.boxes.get(editing.id)
      const rect = place?.layout.rect(editing.id)
      if (!place || !box || !rect) return
      const at = { ...rect, x: rect.x + place.left }
      const during = forWriting(camera, this.boardSize, at, box.resolved.fontSize)
      if (during === camera) return
      this.camera = during
      this.written = { before: camera, during }
    } else if (!editing && written) {
      // Who went elsewhere meanwhile stays there.
      if (camera === written.during) this.camera = written.before
      this.written = undefined
    }
  }

  zoomTo(zoom: number, at = { x: this.boardSize.width / 2, y: this.boardSize.height / 2 }) {
    this.camera = zoomedAt(this.camera, zoom, at)
    this.changed('board')
  }

  /** Real size, with what is selected in the middle. */
  zoomReal() {
    this.zoomTo(1)
    const place = this.sheetPlaces().find((each) => each.view.id === this.viewId)
    const rect = this.selected && place?.layout.rect(this.selected.id)
    if (!rect || !place) return
    this.camera = centredAt(this.boardSize, { ...rect, x: rect.x + place.left }, 1)
    this.changed('board')
  }

  pan(dx: number, dy: number) {
    this.camera = { ...this.camera, x: this.camera.x + dx, y: this.camera.y + dy }
    this.changed('board')
  }
}
