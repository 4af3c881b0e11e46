/** Pulling a guide from a ruler, moving one, and setting the rulers' zero. */
import { guideTargets, snapGuide } from '../../core/arrange/guides'
import type { Guide } from '../../core/document/schema'
import { formatPx } from '../../core/lattice/solve'
import { tracedOn } from '../editor/aids'
import { type Editor, makeId } from '../editor/editor-state'
import { followPointer } from '../parts/follow-pointer'
import { REACH } from './drag'
import type { SheetPlace } from './sheet-place'

/** From the pointer to a sheet's px. */
function locator(place: SheetPlace, element: Element) {
  const board = element.closest('[data-board]')!.getBoundingClientRect()
  const { left, top, zoom } = place
  return (event: PointerEvent) => ({
    x: (event.clientX - board.x - left) / zoom,
    y: (event.clientY - board.y - top) / zoom,
  })
}

const isOn = ({ view, tall }: SheetPlace, { x, y }: { x: number; y: number }) =>
  x >= 0 && y >= 0 && x <= view.width && y <= tall

/** @param guide the one that is moved; left out: a new one is pulled from the ruler */
export function followGuide(
  editor: Editor,
  place: SheetPlace,
  axis: 'x' | 'y',
  pressed: React.PointerEvent,
  guide?: Guide,
) {
  if (pressed.button !== 0 || editor.drag) return
  pressed.preventDefault()
  pressed.stopPropagation()
  const { view, layout, zoom } = place
  const locate = locator(place, pressed.currentTarget)
  const targets = guideTargets(layout, tracedOn(editor, view.id))
  const zero = editor.zeroOf(view.id)[axis]
  const name = axis === 'x' ? 'Upright guide' : 'Level guide'
  let at: number | undefined
  followPointer(pressed.pointerId, {
    move: (event) => {
      const point = locate(event)
      if (!isOn(place, point)) {
        at = undefined
        return editor.set({ drag: { kind: 'guide', view: view.id, axis, at: point[axis], id: guide?.id } })
      }
      const reach = event.ctrlKey || event.metaKey ? 0 : REACH / zoom
      const snapped = snapGuide(axis, point[axis], targets, reach)
      at = snapped.at
      const words = `${formatPx(at - zero)}${snapped.line ? ` · ${snapped.line.reason}` : ''}`
      editor.set({ drag: { kind: 'guide', view: view.id, axis, at, words, id: guide?.id } })
    },
    end: () => {
      const moved = editor.drag?.kind === 'guide'
      editor.set({ drag: undefined })
      if (!moved || (at === undefined && !guide)) return
      const id = guide?.id ?? makeId()
      const aid = at === undefined ? null : { kind: 'guide' as const, id, view: view.id, axis, at }
      const label = aid === null ? 'Take a guide away' : guide ? 'Move a guide' : 'Lay a guide'
      if (editor.commit([{ op: 'aid', page: editor.pageId, id, aid }], label))
        editor.announce(aid === null ? `${name} taken away` : `${name} at ${formatPx(aid.at - zero)}`)
    },
    cancel: () => editor.set({ drag: undefined }),
  })
}

/** The rulers count from where the pointer is let go. */
export function followZero(editor: Editor, place: SheetPlace, pressed: React.PointerEvent) {
  if (pressed.button !== 0 || editor.drag) return
  pressed.preventDefault()
  pressed.stopPropagation()
  const before = editor.zeroOf(place.view.id)
  const locate = locator(place, pressed.currentTarget)
  const targets = guideTargets(place.layout, tracedOn(editor, place.view.id))
  followPointer(pressed.pointerId, {
    move: (event) => {
      const point = locate(event)
      if (!isOn(place, point)) return
      const reach = event.ctrlKey || event.metaKey ? 0 : REACH / place.zoom
      editor.setZero(place.view.id, {
        x: snapGuide('x', point.x, targets, reach).at,
        y: snapGuide('y', point.y, targets, reach).at,
      })
    },
    end: () => {
      const { x, y } = editor.zeroOf(place.view.id)
      editor.announce(`The rulers count from ${formatPx(x)}, ${formatPx(y)}`)
    },
    cancel: () => editor.setZero(place.view.id, before),
  })
}
