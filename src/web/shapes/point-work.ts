/** What is done to the points of the shape that is open for it: by pressing on its sheet, by keys, by the spec's statements. */
import { drawnPath } from '../../core/arrange/drawn'
import { apartEdits, type Combine, outlinesOn, reshaped } from '../../core/arrange/outline'
import type { Node } from '../../core/document/document'
import { madeOf } from '../../core/forms/form'
import type { Point } from '../../core/forms/path'
import {
  type AnchorRef,
  allAnchors,
  anchorAt,
  changed,
  cornered,
  inserted,
  isEnd,
  isSmooth,
  lengthOf,
  minus,
  movedBy,
  type Outlines,
  plus,
  smoothed,
} from '../../core/forms/points'
import { broken, closed, continued, cornerRounded, joined, removed } from '../../core/forms/reshape'
import type { LayoutBox } from '../../core/layout/box'
import type { PageLayout } from '../../core/layout/page'
import type { Rect } from '../../core/layout/rect'
import { type Editor, makeId } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { inkLine } from './ink'

/** A shape as it is while its points are worked on. */
export type Open = { node: Node; box: LayoutBox; layout: PageLayout; rect: Rect; outlines: Outlines }

/** Of shapes put together each is put together anew with every change. */
let combine: Combine | undefined

/** The shape whose points are open, on the sheet that they are open on. */
export function openShape(editor: Editor): Open | undefined {
  const { points } = editor
  if (points?.id === undefined) return undefined
  const layout = editor.layoutOf(points.view)
  const box = layout?.boxes.get(points.id)
  const rect = layout?.rect(points.id)
  const outlines = layout && outlinesOn(layout, points.id)
  if (!layout || !box || !rect || !outlines) return undefined
  return { node: editor.doc.node(points.id), box, layout, rect, outlines }
}

/** What is chosen of it: what somebody else or a key took back is not. */
export const chosenIn = ({ points }: Editor, outlines: Outlines): readonly AnchorRef[] =>
  points?.chosen.filter((ref) => anchorAt(outlines, ref)) ?? []

/** Opens a shape's points. */
export async function openPoints(editor: Editor, node: Node, view = editor.viewId) {
  if (node.locked) return editor.session.showNotice('it is locked')
  const { form, cut } = editor.resolved(node)
  const drawn = node.kind === 'shape' ? form : cut?.form === 'fade' ? undefined : cut
  if (!drawn) return
  if (madeOf(drawn) && !combine) {
    try {
      ;({ combined: combine } = await import('../../core/forms/combine'))
    } catch {
      return editor.session.showNotice('what puts shapes together cannot be fetched; try again')
    }
  }
  if (!editor.doc.nodes.has(node.id)) return
  editor.select(node.id, view)
  // What the edits would refuse is said before anything is pulled.
  if (node.kind === 'shape' && editor.scopedView !== undefined)
    return editor.session.showNotice(
      `its outline is the same on every view: switch “Only ${editor.view.name}” off to pull it`,
    )
  editor.set({ points: { id: node.id, view, chosen: [] }, keyNote: undefined })
  const count = allAnchors(openShape(editor)?.outlines ?? []).length
  editor.announce(`${count} points of ${editor.called(node)}: Page Down goes from one to the next`)
}

/** Begins a path: what is pressed next is its first point. */
export function beginPath(editor: Editor) {
  editor.select(undefined)
  editor.set({ points: { view: editor.viewId, chosen: [], drawing: 'new' } })
  editor.announce('Press where the path begins')
}

export function endPoints(editor: Editor) {
  editor.set({ points: undefined, drag: undefined })
  goHome(editor)
}

const choose = (editor: Editor, chosen: readonly AnchorRef[]) =>
  editor.points && editor.set({ points: { ...editor.points, chosen } })

/**
 * Gives the open shape these points.
 * @param from as they were read: their box is what they are seen in
 * @returns whether it was done; why not is said
 */
export function reshape(
  editor: Editor,
  { node, layout, rect }: Pick<Open, 'node' | 'layout' | 'rect'>,
  outlines: Outlines,
  label: string,
  gesture?: string,
  more: Record<string, unknown> = {},
): boolean {
  const props = reshaped(layout, node.id, outlines, rect, combine)
  if (typeof props === 'string') {
    editor.session.showNotice(props)
    return false
  }
  return editor.setProps({ ...props, ...more }, `${label} of ${node.name}`, gesture, [node])
}

/** A change of the open shape that leaves other points chosen. */
function work(
  editor: Editor,
  label: string,
  change: (open: Open, chosen: readonly AnchorRef[]) => [Outlines, readonly AnchorRef[]] | undefined,
) {
  const open = openShape(editor)
  const made = open && change(open, chosenIn(editor, open.outlines))
  if (!open || !made) return
  const [outlines, chosen] = made
  if (!reshape(editor, open, outlines, label)) return
  choose(editor, chosen)
  editor.announce(label)
}

/** The chosen point, where it is one alone. */
export const onePoint = ({ points }: Editor): AnchorRef | undefined =>
  points?.chosen.length === 1 ? points.chosen[0] : undefined

export const takeAway = (editor: Editor) =>
  work(editor, 'Take points away', ({ outlines }, chosen) => {
    const left = chosen.length > 0 ? removed(outlines, chosen) : undefined
    if (!left && chosen.length > 0) editor.session.showNotice('a shape has two points at least')
    return left && [left, []]
  })

/** Curves become corners; corners, and what is mixed, curves. */
export const toggleSmooth = (editor: Editor) =>
  work(editor, 'Curves or corners', ({ outlines }, chosen) => {
    const areCurves = chosen.every((ref) => isSmooth(anchorAt(outlines, ref)!))
    return [(areCurves ? cornered : smoothed)(outlines, chosen), chosen]
  })

/** A point halfway to the next; behind the last of an open outline one as far on as that is from the one before. */
export const addAfter = (editor: Editor) =>
  work(editor, 'Add a point', ({ outlines }, [first]) => {
    if (!first) return undefined
    const { anchors } = outlines[first.outline]!
    if (isEnd(outlines, first) && first.anchor === anchors.length - 1) {
      const { at } = anchors[first.anchor]!
      const [next, made] = continued(outlines, first, plus(at, minus(at, anchors[first.anchor - 1]!.at)))
      return [next, [made]]
    }
    const [next, made] = inserted(outlines, { ...first, t: 0.5 })
    return [next, [made]]
  })

export const breakHere = (editor: Editor) =>
  work(editor, 'Break the outline', ({ outlines }, [first]) => {
    if (!first) return undefined
    const [next, made] = broken(outlines, first)
    return [next, [made]]
  })

export const closeIt = (editor: Editor) =>
  work(editor, 'Close the outline', ({ outlines }, [first]) => {
    if (!first) return undefined
    return [closed(outlines, first.outline), [{ ...first, anchor: 0 }]]
  })

export const joinEnds = (editor: Editor) =>
  work(editor, 'Join ends', ({ outlines }, [one, other]) => {
    const next = one && other && joined(outlines, one, other)
    return next && [next, []]
  })

export const roundCorner = (editor: Editor, radius: number) =>
  work(editor, 'Round a corner', ({ outlines }, [first]) => {
    if (!first) return undefined
    const [next, made] = cornerRounded(outlines, first, radius)
    return next === outlines ? undefined : [next, [made]]
  })

/** Moves what is chosen, of nothing chosen the first point. */
export function nudge(editor: Editor, by: Point, gesture: string) {
  const open = openShape(editor)
  const chosen = open ? chosenIn(editor, open.outlines) : []
  if (!open || chosen.length === 0) return
  if (!reshape(editor, open, movedBy(open.outlines, chosen, by), 'Points', gesture)) return
  const { at } = anchorAt(openShape(editor)!.outlines, chosen[0]!)!
  editor.announce(`${Math.round(at[0])} across, ${Math.round(at[1])} down`)
}

/** To the next point, or the one before; from nothing to the first. */
export function step(editor: Editor, by: 1 | -1) {
  const open = openShape(editor)
  if (!open) return
  const all = allAnchors(open.outlines)
  const now = onePoint(editor)
  const index = now ? all.findIndex((ref) => ref.outline === now.outline && ref.anchor === now.anchor) : -1
  const next = all[(index + by + all.length + (now || by > 0 ? 0 : 1)) % all.length]
  choose(editor, [next!])
  const anchor = anchorAt(open.outlines, next!)!
  editor.announce(
    `Point ${all.indexOf(next!) + 1} of ${all.length}, ${isSmooth(anchor) ? 'a curve' : 'a corner'}, ${Math.round(anchor.at[0])} across, ${Math.round(anchor.at[1])} down`,
  )
}

export const chooseAll = (editor: Editor) => {
  const open = openShape(editor)
  if (open) choose(editor, allAnchors(open.outlines))
}

/** Goes on from an end: what is pressed next are its next points. */
export function goOn(editor: Editor) {
  if (editor.points) editor.set({ points: { ...editor.points, drawing: 'on' } })
}

/** The first two points are there: the path is a block from now on. */
export function makePath(editor: Editor, layout: PageLayout, outlines: Outlines, gesture: string): boolean {
  const look = { stroke: inkLine(editor.tokens.names('color'), { cap: 'round', join: 'round' }) }
  const made = drawnPath(editor.doc, layout, outlines, look, makeId)
  if (typeof made === 'string') {
    editor.session.showNotice(made)
    return false
  }
  if (!editor.commit(made.edits, 'Draw a path', gesture)) return false
  const { points } = editor
  editor.select(made.made, layout.viewId)
  editor.set({ points: { ...points!, id: made.made, first: undefined, chosen: [{ outline: 0, anchor: 1 }] } })
  return true
}

/** px of what is drawn by a key. */
const BY_KEY = 120

/** Without a pointer: a level line in the middle of what is seen of the sheet, its end chosen, to go on from. */
export function makeByKey(editor: Editor) {
  const { points, camera, boardSize } = editor
  const place = editor.sheetPlaces().find(({ view }) => view.id === points?.view)
  if (!points || !place) return
  const [x, y] = [
    (boardSize.width / 2 - camera.x) / camera.zoom - place.left,
    (boardSize.height / 2 - camera.y) / camera.zoom,
  ]
  const from: Point = [
    Math.round(Math.max(0, Math.min(x, place.view.width - BY_KEY))),
    Math.round(Math.max(0, Math.min(y, place.layout.height - 1))),
  ]
  const to = plus(from, [BY_KEY, 0])
  if (!makePath(editor, place.layout, [{ anchors: [{ at: from }, { at: to }], closed: false }], makeId()))
    return
  editor.set({ points: { ...editor.points!, drawing: undefined } })
  editor.announce('A line of two points: arrows move its end, Insert goes on')
}

/** The outlines with the handle that goes on from the end that is drawn at. */
export function onward(editor: Editor, outlines: Outlines): Outlines {
  const end = onePoint(editor)
  const handle = editor.points?.onward
  const anchor = end && anchorAt(outlines, end)
  if (!end || !handle || !anchor || lengthOf(minus(anchor.at, handle.at)) > 0.5) return outlines
  const side = end.anchor === 0 && outlines[end.outline]!.anchors.length > 1 ? 'into' : 'out'
  return changed(outlines, [end], (each) => ({ ...each, [side]: handle.handle }))
}

/** The path that is being drawn ends where it began. New, it is filled from then on. */
export function closeDrawn(editor: Editor) {
  const open = openShape(editor)
  const end = onePoint(editor)
  if (!open || !end) return
  const raw = open.node.props
  const fills = editor.points!.drawing === 'new' && raw.stroke && raw.paint === undefined
  const look = fills ? { paint: raw.stroke!.color, stroke: null } : {}
  if (
    !reshape(
      editor,
      open,
      closed(onward(editor, open.outlines), end.outline),
      'Close the outline',
      undefined,
      look,
    )
  )
    return
  editor.set({ points: { ...editor.points!, drawing: undefined, onward: undefined, chosen: [] } })
  editor.announce('Closed')
}

/** Shapes that were put together, as these again, selected. */
export function takeApart(editor: Editor, node: Node) {
  const { layout } = editor
  const made =
    layout && apartEdits(editor.doc, layout, node, (each, props) => editor.setEdit(each, props), makeId)
  if (made === undefined) return
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (!editor.commit(made.edits, `Take ${node.name} apart`)) return
  editor.select(made.made[0])
  editor.set({ selection: made.made })
  editor.announce(`${made.made.length} shapes`)
}
