/** The board: a page's sheets side by side, panned and zoomed with one transform. */
import { useEffect, useLayoutEffect, useRef } from 'react'
import { blockAt } from '../../core/arrange/hit'
import { isText } from '../../core/document/kinds'
import { useEditor } from '../editor/use-editor'
import { ColumnHeader } from './column-header'
import { Fold, LatticeLines, SectionHeights, Selection } from './overlay'
import { Sheet } from './sheet'

export function Board() {
  const editor = useEditor()
  const board = useRef<HTMLDivElement>(null)
  const panning = useRef<{ x: number; y: number } | undefined>(undefined)
  const space = useRef(false)

  useEffect(() => {
    const element = board.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) =>
      editor.measured(entry.contentRect.width, entry.contentRect.height),
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
    }
    addEventListener('keydown', key)
    addEventListener('keyup', key)
    return () => {
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

  /** The sheet and the block under the pointer. */
  const under = (event: { clientX: number; clientY: number }) => {
    const box = board.current!.getBoundingClientRect()
    const x = (event.clientX - box.left - camera.x) / camera.zoom
    const y = (event.clientY - box.top - camera.y) / camera.zoom
    const place = places.find(
      (each) =>
        x >= each.left &&
        x < each.left + each.view.width &&
        y >= 0 &&
        y < Math.max(each.layout.height, each.view.fold),
    )
    return place && { view: place.view, id: blockAt(place.layout, x - place.left, y) }
  }
  const down = (event: React.PointerEvent) => {
    if (event.button === 1 || (event.button === 0 && space.current)) {
      event.preventDefault()
      panning.current = { x: event.clientX, y: event.clientY }
      board.current!.setPointerCapture(event.pointerId)
      return
    }
    if (event.button !== 0) return
    const hit = under(event)
    if (hit) editor.select(hit.id, hit.view.id, event.shiftKey)
    else editor.select(undefined)
  }
  const move = (event: React.PointerEvent) => {
    if (!panning.current) return
    editor.pan(event.clientX - panning.current.x, event.clientY - panning.current.y)
    panning.current = { x: event.clientX, y: event.clientY }
  }
  const edit = (event: React.MouseEvent) => {
    const hit = under(event)
    const node = hit?.id ? editor.doc.node(hit.id) : undefined
    if (hit && node && isText(node.kind)) editor.set({ editing: { id: node.id, view: hit.view.id } })
  }

  return (
    <div
      ref={board}
      data-board
      className="relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden bg-(--desk) select-none"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => {
        panning.current = undefined
      }}
      onPointerCancel={() => {
        panning.current = undefined
      }}
      onDoubleClick={edit}
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
          <Sheet key={`${editor.pageId}-${place.view.id}`} {...place} />
        ))}
      </div>
      {places.map(({ view, left, layout }, i) => {
        const place = { view, layout, left: camera.x + left * camera.zoom, top: camera.y, zoom: camera.zoom }
        return (
          <div key={view.id}>
            {editor.showLattice && <LatticeLines {...place} />}
            {i === 0 && <SectionHeights {...place} />}
            <Fold {...place} />
            <Selection {...place} />
            <ColumnHeader {...place} />
          </div>
        )
      })}
      {editor.page && editor.doc.node(editor.pageId).children.length === 0 && <EmptyPage />}
    </div>
  )
}

function EmptyPage() {
  const editor = useEditor()
  return (
    <div className="floating absolute bottom-5 left-1/2 flex w-max max-w-[92%] -translate-x-1/2 items-center gap-4 px-4 py-2.5 text-[13px]">
      <span>This page is empty. Set its lattice at the right, then place sections.</span>
      <button
        type="button"
        className="main-button whitespace-nowrap"
        onClick={() => editor.set({ panels: { ...editor.panels, shelf: true }, shelfPart: 'sections' })}
      >
        Open the shelf
      </button>
    </div>
  )
}
