/**
 * Dragging on the board, from press to release: a block in a flow to another place in it, a lifted block freely with snapping,
 * an area to select what lies in it. Nothing half-done is ever kept: Escape, a lost pointer or a second one puts it back.
 */
import { blocksIn } from '../../core/arrange/hit'
import { insertionAt } from '../../core/arrange/insertion'
import { outermost } from '../../core/arrange/order'
import { isLiftedBox, pinsAt } from '../../core/arrange/pins'
import { type SnapLine, snapRect } from '../../core/arrange/snap'
import { columnWords, slideOnColumns } from '../../core/arrange/spans'
import { bounds, type Rect } from '../../core/layout/rect'
import { snapLinesOn } from '../editor/aids'
import { type Editor, makeId } from '../editor/editor-state'
import { followPointer } from '../parts/follow-pointer'
import { announceSnaps, REACH, type SheetPoint, THRESHOLD } from './drag'

export class BoardGesture {
  private readonly gesture = makeId()
  private readonly ids: string[]
  private readonly starts: Map<string, Rect>
  private dragging = false
  private committed = false
  /** What is seen of all that move, as it was. */
  private seen: Rect | undefined
  /** Lines to snap to: the layout's as it was, without what moves. */
  private lines: SnapLine[] | undefined

  constructor(
    private readonly editor: Editor,
    private readonly start: SheetPoint,
    pointer: number,
    private readonly from: { x: number; y: number },
    /** A section that was not selected, or the bare board: an area is drawn. */
    private readonly area: boolean,
    private readonly locate: (clientX: number, clientY: number) => SheetPoint | undefined,
    private readonly ended: (dragged: boolean) => void,
  ) {
    const { doc } = editor
    this.ids = outermost(doc, editor.selection).filter((id) => !doc.node(id).locked)
    this.starts = new Map(
      this.ids.flatMap((id) => {
        const rect = start.layout.rect(id)
        return rect ? [[id, rect] as const] : []
      }),
    )
    followPointer(pointer, { move: this.move, end: this.up, cancel: this.cancel })
  }

  private get what(): string {
    return this.ids.length === 1 ? this.editor.doc.node(this.ids[0]!).name : `${this.ids.length} blocks`
  }

  /** What holds all that move; undefined where they lie in several. */
  private get commonParent(): string | undefined {
    const parents = new Set(this.ids.map((id) => this.editor.doc.node(id).parent))
    return parents.size === 1 ? ([...parents][0] ?? undefined) : undefined
  }

  private stop() {
    this.ended(this.dragging)
    this.editor.set({ drag: undefined })
  }

  private readonly cancel = () => {
    if (this.committed) this.editor.session.giveUp()
    this.stop()
    this.editor.announce('Put back where it was')
  }

  private readonly move = (event: PointerEvent) => {
    const dx = event.clientX - this.from.x
    const dy = event.clientY - this.from.y
    if (!this.dragging && Math.hypot(dx, dy) < THRESHOLD) return
    this.dragging = true
    const { zoom } = this.editor.camera
    if (this.area) return this.drawArea(dx / zoom, dy / zoom)
    const boxes = this.ids.flatMap((id) => this.start.layout.boxes.get(id) ?? [])
    if (boxes.length === 0) return
    // Alt takes a block out of its flow for good.
    if (event.altKey && boxes.length === 1 && !isLiftedBox(boxes[0]!) && boxes[0]!.node.kind !== 'section')
      this.lift(boxes[0]!.id)
    const lifted = this.ids.every((id) => {
      const box = this.start.layout.boxes.get(id)
      return box !== undefined && isLiftedBox(box)
    })
    if (lifted) this.moveLifted(dx / zoom, dy / zoom, event.ctrlKey || event.metaKey)
    else this.moveInFlow(event.clientX, event.clientY, dx / zoom, dy / zoom)
  }

  private drawArea(dx: number, dy: number) {
    const { x, y, view, layout } = this.start
    const rect = { x: Math.min(x, x + dx), y: Math.min(y, y + dy), width: Math.abs(dx), height: Math.abs(dy) }
    this.editor.set({ drag: { kind: 'area', view: view.id, rect }, selection: blocksIn(layout, rect) })
  }

  private lift(id: string) {
    const { editor, start } = this
    const rect = start.layout.rect(id)!
    if (editor.lift(editor.doc.node(id), this.gesture)) this.committed = true
    this.starts.set(id, rect)
    this.seen = undefined
  }

  private moveLifted(dx: number, dy: number, free: boolean) {
    const { editor, start } = this
    if (this.starts.size === 0) return
    // Several blocks snap by the edges of all together.
    this.seen ??= bounds([...this.starts.keys()].map((id) => start.layout.seen(id)!))
    const origin = this.seen
    this.lines ??= snapLinesOn(editor, start.layout, this.ids)
    const wanted = { ...origin, x: origin.x + dx, y: origin.y + dy }
    const baseline = editor.snapping.has('baseline') ? start.view.lattice.baseline : 0
    const { rect, hits } = free
      ? { rect: { ...wanted, x: Math.round(wanted.x), y: Math.round(wanted.y) }, hits: [] }
      : snapRect(wanted, this.lines, REACH / editor.camera.zoom, baseline)
    const by = { x: rect.x - origin.x, y: rect.y - origin.y }
    const edits = [...this.starts].map(([id, own]) =>
      editor.setEdit(editor.doc.node(id), pinsAt(start.layout, id, { x: own.x + by.x, y: own.y + by.y })),
    )
    if (editor.commit(edits, `Move ${this.what}`, this.gesture)) this.committed = true
    editor.set({ drag: { kind: 'lifted', view: start.view.id, rect, hits } })
    announceSnaps(editor, hits)
  }

  private moveInFlow(clientX: number, clientY: number, dx: number, dy: number) {
    const { editor } = this
    const id = this.ids[this.ids.length - 1]
    const origin = this.starts.get(id!)
    if (!origin) return
    const point = this.locate(clientX, clientY)
    // Sideways in its own row of a lattice a block goes to other columns; anything else is another place in the flow.
    const inRow = point?.view === this.start.view && point.y >= origin.y && point.y < origin.y + origin.height
    const slid = inRow && this.ids.length === 1 ? slideOnColumns(this.start.layout, id!, dx) : undefined
    if (slid) {
      const words = columnWords(slid, this.start.layout.usedFor(id))
      const drag = {
        kind: 'slide',
        view: this.start.view.id,
        rect: slid.rect,
        words,
        size: slid.size,
      } as const
      return editor.set({ drag })
    }
    // For one view alone only the order there changes: what holds the block is the same on all.
    const only = editor.scopedView === undefined ? undefined : this.commonParent
    const may = editor.scopedView === undefined || (only !== undefined && point?.view === this.start.view)
    const insertion =
      point && may ? insertionAt(editor.doc, point.layout, this.ids, point.x, point.y, only) : undefined
    editor.set({
      drag: {
        kind: 'flow',
        view: point?.view.id ?? this.start.view.id,
        ghost: { ...origin, x: origin.x + dx, y: origin.y + dy },
        insertion,
      },
    })
  }

  private readonly up = () => {
    const { editor } = this
    const { drag } = editor
    if (drag?.kind === 'flow' && drag.insertion) {
      editor.move(this.ids, drag.insertion, drag.view)
    }
    if (drag?.kind === 'slide') {
      const node = editor.doc.node(this.ids[0]!)
      // Let go on its own columns: nothing was done.
      const stays = drag.rect.x === this.starts.get(node.id)?.x
      if (
        !stays &&
        editor.commit([editor.setEdit(node, { width: drag.size })], `Place ${node.name} on columns`)
      )
        editor.announce(`${node.name} on ${drag.words}`)
    }
    if (drag?.kind === 'lifted') {
      const reasons = drag.hits.map((hit) => hit.reason).join(', ')
      editor.announce(
        `At ${Math.round(drag.rect.x)}, ${Math.round(drag.rect.y)}${reasons ? `: ${reasons}` : ''}`,
      )
    }
    if (drag?.kind === 'area') editor.announce(`${editor.selection.length} blocks selected`)
    this.stop()
  }
}
