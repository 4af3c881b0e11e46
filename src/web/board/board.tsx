/** The board: a page's sheets side by side, panned and zoomed with one transform. */

import { lazy, Suspense, useEffect, useLayoutEffect, useRef } from 'react'
import { blockAt, blocksAt } from '../../core/arrange/hit'
import { isShared } from '../../core/expand/instances'
import { HOME, isAtHome } from '../editor/focus-home'
import { openBlock } from '../editor/open-block'
import { useBoard } from '../editor/use-editor'
import { pinGauge } from '../palette/aid-commands'
import { commandFor, keysOf } from '../palette/commands'
import { pointsLayer } from '../shapes/fetch-points'
import { takePictures, targetsAt } from '../shelf/take-pictures'
import { focusWords } from '../spec/focus-words'
import { isFontFile } from '../type/fetch-fonts'
import { followDrawing } from './area-gesture'
import { BreakageStrip } from './breakage-strip'
import { BreakagesBar } from './breakages-bar'
import { ColumnHeader } from './column-header'
import { DESCRIPTION, Description } from './description'
import type { SheetPoint } from './drag'
import { FramingLayer } from './framing'
import { Gauge, PinnedGauges } from './gauges'
import { BoardGesture } from './gesture'
import { Guides, Rulers } from './guides'
import { DragMarks } from './marks'
import { MissingMarks } from './missing-marks'
import { BaselineLines, EmptyAreas, Fold, LatticeLines, SafeArea, SectionHeights, Selection } from './overlay'
import { PageMarks } from './page-marks'
import { PointsBar } from './points-bar'
import { Pulls } from './pulls'
import { ScalingBar } from './scaling-bar'
import { followShape } from './shape-gesture'
import { SharedSections } from './shared-sections'
import { Sheet } from './sheet'
import { RULER } from './sheet-place'
import { ScalingPoints } from './tracings'
import { WidthGrip } from './width-grip'
import { WorstPlace } from './worst-place'

const ColorPicking = lazy(() => import('./color-picking').then((part) => ({ default: part.ColorPicking })))
const PointsLayer = lazy(() => pointsLayer().then((part) => ({ default: part.PointsLayer })))

/** At a side of the window the pointer brings hidden tools back, px. */
const EDGE = 3

export function Board() {
  const editor = useBoard()
  const board = useRef<HTMLDivElement>(null)
  const panning = useRef<{ x: number; y: number } | undefined>(undefined)
  /** The key that shows distances as long as it is down. */
  const held = useRef<string>(undefined)
  const space = useRef(false)
  const gesture = useRef<BoardGesture | undefined>(undefined)
  const pointer = useRef({ x: 0, y: 0 })

  useEffect(() => {
    const element = board.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) =>
      editor.measured(entry!.contentRect.width, entry!.contentRect.height),
    )
    observer.observe(element)
    const wheel = (event: WheelEvent) => {
      event.preventDefault()
      if (event.ctrlKey || event.metaKey) {
        const box = element.getBoundingClientRect()
        editor.zoomTo(editor.camera.zoom * Math.exp(-event.deltaY * 0.004), {
          x: event.clientX - box.left,
          y: event.clientY - box.top,
        })
      } else if (event.shiftKey) editor.pan(-event.deltaY, 0)
      else editor.pan(-event.deltaX, -event.deltaY)
    }
    // React's own wheel listeners cannot prevent the page's zoom.
    element.addEventListener('wheel', wheel, { passive: false })
    const key = (event: KeyboardEvent) => {
      if (event.code === 'Space') space.current = event.type === 'keydown'
      const typing = (event.target as HTMLElement).closest?.('input, textarea, [contenteditable]')
      const elsewhere = event.type === 'keydown' && !isAtHome(event.target)
      if (event.type === 'keyup' && event.code === held.current) {
        held.current = undefined
        return editor.set({ gauge: undefined })
      }
      if (event.type === 'keyup' || typing || elsewhere || editor.gauge) return
      if (commandFor(keysOf(event))?.id !== 'gauge') return
      held.current = event.code
      latest.current()
    }
    // A key that was held when the window was left is let go unseen.
    const left = () => {
      space.current = false
      if (editor.gauge) editor.set({ gauge: undefined })
    }
    addEventListener('keydown', key)
    addEventListener('keyup', key)
    addEventListener('blur', left)
    return () => {
      removeEventListener('blur', left)
      observer.disconnect()
      element.removeEventListener('wheel', wheel)
      removeEventListener('keydown', key)
      removeEventListener('keyup', key)
    }
  }, [editor])

  // Fitted before the first paint, so that nothing jumps.
  useLayoutEffect(() => {
    const box = board.current?.getBoundingClientRect()
    if (box) editor.measured(box.width, box.height)
  }, [editor])

  const { camera } = editor
  const places = editor.sheetPlaces()
  const onBoard = places.map((place) => ({
    ...place,
    left: camera.x + place.left * camera.zoom,
    top: camera.y,
    zoom: camera.zoom,
  }))

  /** The sheet and the block under the pointer. */
  const under = (clientX: number, clientY: number): SheetPoint | undefined => {
    const box = board.current!.getBoundingClientRect()
    // A sheet goes on behind what stands round the board, and nothing is there for a pointer.
    if (clientX < box.left || clientX > box.right || clientY < box.top || clientY > box.bottom)
      return undefined
    const { x: left, y: top, zoom } = editor.camera
    const x = (clientX - box.left - left) / zoom
    const y = (clientY - box.top - top) / zoom
    const place = editor
      .sheetPlaces()
      .find((each) => x >= each.left && x < each.left + each.view.width && y >= 0 && y < each.tall)
    if (!place) return undefined
    const { view, layout } = place
    return { view, layout, x: x - place.left, y, id: blockAt(layout, x - place.left, y) }
  }
  const gaugeHere = () => {
    const point = under(pointer.current.x, pointer.current.y)
    editor.set({ gauge: { view: point?.view.id ?? editor.viewId, id: point?.id } })
  }
  editor.locate = under
  const latest = useRef(gaugeHere)
  latest.current = gaugeHere
  const down = (event: React.PointerEvent) => {
    if (event.button === 1 || (event.button === 0 && space.current)) {
      event.preventDefault()
      panning.current = { x: event.clientX, y: event.clientY }
      board.current!.setPointerCapture(event.pointerId)
      return
    }
    if (event.button !== 0 || gesture.current) return
    const handle = (event.target as HTMLElement).closest<HTMLElement>('[data-section-handle]')
    if (handle) return dragSection(event, handle.dataset.sectionHandle!)
    const hit = under(event.clientX, event.clientY)
    if (!hit) return editor.select(undefined)
    if (editor.gauge) return leaveGauge(hit)
    if (editor.drawing === 'areas') return followDrawing(editor, hit, event)
    if (editor.drawing) return followShape(editor, hit, event, editor.drawing)
    const { scaling } = editor
    if (scaling) {
      if (scaling.points.length < 2)
        editor.set({ scaling: { ...scaling, points: [...scaling.points, { x: hit.x, y: hit.y }] } })
      return
    }
    if (hit.id !== undefined && isShared(hit.id)) return editor.select(hit.id, hit.view.id)
    const { doc } = editor
    // What lies in a selected block moves with it; pressed and let go, it is selected itself.
    const within =
      hit.id !== undefined &&
      editor.viewId === hit.view.id &&
      editor.selection.some((id) => doc.node(id).kind !== 'section' && doc.isInside(hit.id!, id))
    const area = !within && (hit.id === undefined || doc.node(hit.id).kind === 'section')
    const pick = () => {
      if (event.shiftKey && hit.id !== undefined) editor.selectTo(hit.id, hit.view.id)
      else editor.select(hit.id, hit.view.id, event.ctrlKey || event.metaKey)
    }
    if (!within && !area) pick()
    gesture.current = new BoardGesture(
      editor,
      hit,
      event.pointerId,
      { x: event.clientX, y: event.clientY },
      area,
      under,
      (dragged) => {
        gesture.current = undefined
        if (!dragged && (within || area)) pick()
      },
    )
    if (area && editor.viewId !== hit.view.id) editor.select(undefined, hit.view.id)
  }
  /** Pressed while the gauge's key is held: the distances stay on the sheet. */
  const leaveGauge = (hit: SheetPoint) => {
    const { selected } = editor
    if (selected)
      pinGauge(
        editor,
        selected.id,
        hit.id === undefined || isShared(hit.id) ? editor.pageId : hit.id,
        hit.view.id,
      )
  }
  /** A section is dragged by its height at the sheet's left edge. */
  const dragSection = (event: React.PointerEvent, id: string) => {
    const place = editor.sheetPlaces()[0]
    const rect = place?.layout.rect(id)
    if (!place || !rect) return
    editor.select(id, place.view.id)
    const left = board.current!.getBoundingClientRect().left + editor.camera.x + 2
    gesture.current = new BoardGesture(
      editor,
      { view: place.view, layout: place.layout, x: 0, y: rect.y, id },
      event.pointerId,
      { x: event.clientX, y: event.clientY },
      false,
      (x, y) => under(Math.max(x, left), y),
      () => {
        gesture.current = undefined
      },
    )
  }
  const move = (event: React.PointerEvent) => {
    pointer.current = { x: event.clientX, y: event.clientY }
    if (editor.toolsBefore && (event.clientX < EDGE || event.clientX > innerWidth - EDGE))
      editor.hideTools(false)
    if (editor.gauge) gaugeHere()
    if (!panning.current) return
    editor.pan(event.clientX - panning.current.x, event.clientY - panning.current.y)
    panning.current = { x: event.clientX, y: event.clientY }
  }
  const edit = (event: React.MouseEvent) => {
    const hit = under(event.clientX, event.clientY)
    if (hit?.id && isShared(hit.id)) return focusWords()
    const node = hit?.id ? editor.doc.node(hit.id) : undefined
    if (hit && node) openBlock(editor, node, hit.view.id)
  }

  return (
    <div
      ref={board}
      data-board
      data-page={editor.pageId}
      data-view={editor.viewId}
      aria-describedby={DESCRIPTION}
      data-looked={editor.breakages.isThrough}
      // The board's keys are all its own.
      role="application"
      aria-label={`Board of ${editor.page?.name ?? 'no page'}`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: an application is a control
      tabIndex={0}
      {...{ [HOME]: 'board' }}
      className="focus-inside relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden bg-(--desk) select-none"
      style={{ cursor: editor.drawing || editor.scaling ? 'crosshair' : undefined }}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => {
        panning.current = undefined
      }}
      onPointerCancel={() => {
        panning.current = undefined
      }}
      onDoubleClick={edit}
      onDragOver={(event) => event.dataTransfer.types.includes('Files') && event.preventDefault()}
      onDrop={(event) => {
        const files = [...event.dataTransfer.files]
        if (files.length === 0) return
        event.preventDefault()
        const fonts = files.filter(isFontFile)
        if (fonts.length > 0) {
          editor.droppedFonts = fonts
          editor.set({ dialog: 'fonts' })
        }
        const pictures = files.filter((file) => !isFontFile(file))
        if (pictures.length === 0) return
        const hit = under(event.clientX, event.clientY)
        // With Shift beside what is there.
        const targets = event.shiftKey ? [] : targetsAt(editor, hit?.id)
        if (hit && targets.length === 0)
          editor.select(hit.id && isShared(hit.id) ? undefined : hit.id, hit.view.id)
        void takePictures(editor, pictures, targets)
      }}
      onContextMenu={(event) => {
        event.preventDefault()
        const point = under(event.clientX, event.clientY)
        if (!point) return
        const inSelection = point.id !== undefined && editor.selection.includes(point.id)
        if (!inSelection) editor.select(point.id, point.view.id)
        const list = blocksAt(point.layout, point.x, point.y)
        editor.set({ menu: { x: event.clientX, y: event.clientY, view: point.view.id, under: list } })
      }}
    >
      <div
        style={{
          position: 'absolute',
          left: 0,
          top: 0,
          transformOrigin: '0 0',
          transform: `translate(${camera.x}px, ${camera.y}px) scale(${camera.zoom})`,
        }}
      >
        {places.map((place) => (
          <Sheet {...place} key={`${editor.pageId}-${place.id}`} />
        ))}
      </div>
      {onBoard.map((place, i) => (
        <div key={place.id}>
          {editor.showLattice && <LatticeLines {...place} />}
          {editor.showBaseline && <BaselineLines {...place} />}
          {editor.showLattice && <SafeArea {...place} />}
          <SharedSections {...place} />
          {i === 0 && <SectionHeights {...place} />}
          {editor.showLattice && <EmptyAreas {...place} />}
          <Guides {...place} />
          <PinnedGauges {...place} />
          <ScalingPoints {...place} />
          <Selection {...place} />
          {editor.rulers && <Rulers {...place} />}
          <Fold {...place} />
          <ColumnHeader {...place} />
          {editor.showLattice && (
            <BreakageStrip {...place} top={Math.max(place.top - (editor.rulers ? RULER : 0), 44)} />
          )}
          <WidthGrip {...place} />
        </div>
      ))}
      {onBoard.map((place) => (
        // Over every sheet's edges: what is said beside one may reach the next.
        <div key={place.id}>
          <MissingMarks {...place} />
          {editor.showMarks && <PageMarks {...place} />}
          <WorstPlace {...place} />
          <Pulls {...place} />
          <FramingLayer {...place} />
          {editor.points?.view === place.view.id && (
            <Suspense>
              <PointsLayer {...place} />
            </Suspense>
          )}
          <DragMarks {...place} />
          <Gauge {...place} />
        </div>
      ))}
      {editor.picking && (
        <Suspense>
          <ColorPicking />
        </Suspense>
      )}
      <Description />
      <ScalingBar />
      <PointsBar />
      <BreakagesBar />
      {editor.drawing && (
        <div className="floating absolute bottom-5 left-1/2 flex w-max max-w-[92%] -translate-x-1/2 items-center gap-4 px-4 py-2 text-plain">
          <span>
            {editor.drawing === 'areas'
              ? 'Drag over the columns to draw areas.'
              : `Drag where ${editor.drawing.words} is to be; with Shift its sides are even.`}
          </span>
          <button
            type="button"
            className="main-button whitespace-nowrap"
            onPointerDown={(event) => event.stopPropagation()}
            onClick={() => editor.set({ drawing: undefined })}
          >
            {editor.drawing === 'areas' ? 'Done' : 'Cancel'}
          </button>
        </div>
      )}
      {editor.page &&
        editor.doc.node(editor.pageId).children.length === 0 &&
        !editor.page.template &&
        !editor.drawing &&
        !editor.points &&
        !editor.scaling &&
        editor.shownWidths.size === 0 && <EmptyPage />}
    </div>
  )
}

function EmptyPage() {
  const editor = useBoard()
  return (
    <div className="floating absolute bottom-5 left-1/2 flex w-max max-w-[92%] -translate-x-1/2 items-center gap-4 px-4 py-2.5 text-plain">
      <span>This page is empty. Set its lattice at the right, then place sections.</span>
      <button
        type="button"
        className="main-button whitespace-nowrap"
        onClick={() => {
          editor.shelfPart = 'sections'
          editor.showPanel('shelf', true)
        }}
      >
        Open the shelf
      </button>
    </div>
  )
}
