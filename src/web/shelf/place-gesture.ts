/** Something dragged from the shelf: it lies in the flow under the pointer, where it would stay if it were let go. */
import { type Insertion, insertionAt } from '../../core/arrange/insertion'
import { fillEdits, takesPicture } from '../../core/arrange/pictures'
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import type { Edit } from '../../core/edits/edit'
import type { Draft } from '../../core/shelf/build'
import type { SheetPoint } from '../board/drag'
import { THRESHOLD } from '../board/drag'
import { type Editor, makeId } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { followPointer } from '../parts/follow-pointer'
import { placeBlock, placing } from './place-item'

export type Dragged = {
  draft: () => Draft
  label: string
  /** What has to come before it: a picture that the project does not have yet. */
  before?: Edit[]
  /** A picture, which is shown by what it is held over: with Shift it is placed beside that. */
  asset?: Asset
}

export function followPlacing(editor: Editor, dragged: Dragged, event: React.PointerEvent) {
  if (event.button !== 0 || !editor.page) return
  new PlaceGesture(editor, dragged, event)
}

class PlaceGesture {
  private readonly from: { x: number; y: number }
  private draft: Draft | undefined
  /** Where it lies now. */
  private placed: { id: string; key: string; words: string; fills?: string } | undefined
  /** Over a sheet that holds nothing yet. */
  private onEmptyPage = false

  constructor(
    private readonly editor: Editor,
    private readonly dragged: Dragged,
    event: React.PointerEvent,
  ) {
    this.from = { x: event.clientX, y: event.clientY }
    followPointer(event.pointerId, { move: this.move, end: this.end, cancel: this.cancel })
  }

  private readonly move = ({ clientX, clientY, shiftKey }: PointerEvent) => {
    if (!this.draft && Math.hypot(clientX - this.from.x, clientY - this.from.y) < THRESHOLD) return
    this.draft ??= this.dragged.draft()
    document.documentElement.style.cursor = 'grabbing'
    const { editor, placed, draft } = this
    const point = editor.locate?.(clientX, clientY)
    const target = shiftKey ? undefined : this.targetAt(point)
    if (point && target) return this.fill(target, point.view.id)
    const ids = placed ? [placed.id] : []
    const insertion =
      point && insertionAt(editor.doc, point.layout, ids, point.x, point.y, undefined, [draft.kind])
    this.onEmptyPage =
      point !== undefined && !insertion && editor.doc.node(editor.pageId).children.length === 0
    if (point && insertion) this.put(insertion, point.view.id)
    else this.takeBack()
  }

  private put(insertion: Insertion, view: string) {
    const { editor, dragged } = this
    const key = `${insertion.parent} ${insertion.next ?? ''}`
    if (this.placed?.key === key) return
    this.takeBack()
    const { edits, tree } = placing(editor, this.draft!, insertion)
    // Every place is tried by itself, so that going on to the next takes this one away whole.
    if (!editor.commit([...(dragged.before ?? []), ...edits], dragged.label, makeId())) return
    this.placed = { id: tree.id, key, words: insertion.words }
    // Selected without moving the board: the pointer is on it.
    editor.set({ selection: [tree.id], shared: undefined, viewId: view })
  }

  /** What would show the picture at a point: a picture, or an empty box that was there before it. */
  private targetAt(point: SheetPoint | undefined): Node | undefined {
    const { editor, dragged, placed } = this
    if (!dragged.asset || !point) return undefined
    // What it shows already takes no part in finding out what lies there.
    if (placed?.fills !== undefined && point.id === placed.id) return editor.doc.nodes.get(placed.fills)
    const node = point.id === undefined ? undefined : editor.doc.nodes.get(point.id)
    return node && node.id !== placed?.id && takesPicture(node) ? node : undefined
  }

  private fill(target: Node, view: string) {
    const { editor, dragged } = this
    const key = `in ${target.id}`
    if (this.placed?.key === key) return
    this.takeBack()
    const { edits, shown } = fillEdits(editor.doc, [target], [dragged.asset!], editor.setEdit, makeId)
    const words = `in ${editor.called(target)}`
    if (!editor.commit([...(dragged.before ?? []), ...edits], `Picture ${words}`, makeId())) return
    this.placed = { id: shown[0]!, key, words, fills: target.id }
    editor.set({ selection: shown, shared: undefined, viewId: view })
  }

  private takeBack() {
    if (!this.placed) return
    this.editor.session.giveUp()
    this.placed = undefined
  }

  private readonly end = () => {
    document.documentElement.style.cursor = ''
    const { editor, placed, draft } = this
    if (placed) {
      goHome(editor)
      editor.announce(`${draft!.name} placed ${placed.words}`)
    } else if (draft && this.onEmptyPage) placeBlock(editor, draft, this.dragged.label, this.dragged.before)
  }

  private readonly cancel = () => {
    document.documentElement.style.cursor = ''
    this.takeBack()
    if (this.draft) this.editor.announce('Nothing was placed')
  }
}
