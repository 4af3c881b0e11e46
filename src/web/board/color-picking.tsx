/** A colour taken from what is drawn on the sheets: pressed where it is seen. */
import { useEffect, useRef, useState } from 'react'
import { shortName } from '../../core/document/tokens'
import type { PageLayout } from '../../core/layout/page'
import { canvasOf, pixelsIn } from '../editor/drawn'
import type { Editor } from '../editor/editor-state'
import { svgOf } from '../editor/save-file'
import { useBoard } from '../editor/use-editor'
import { Swatch } from '../spec/swatch'
import { leaveNoClick } from './pull-frame'

/** Most pixels that a sheet is drawn to. */
const MOST = 8_000_000

type Drawn = { version: number; scale: number; canvas: Promise<HTMLCanvasElement> }
const known = new WeakMap<PageLayout, Drawn>()

function drawnSheet({ doc, session }: Editor, layout: PageLayout): Drawn {
  const last = known.get(layout)
  if (last?.version === layout.version) return last
  const [width, height] = [layout.root.width, Math.max(1, layout.height)]
  const scale = Math.min(1, Math.sqrt(MOST / (width * height)))
  const canvas = svgOf({ doc, session, layout }).then((svg) =>
    canvasOf(svg, Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))),
  )
  const drawn = { version: layout.version, scale, canvas }
  known.set(layout, drawn)
  // What cannot be had now may be had later.
  canvas.catch(() => known.delete(layout))
  return drawn
}

/** `#1d5c45` where the pointer is; undefined: there is no sheet. @throws ApiError when a picture cannot be had */
async function colorAt(editor: Editor, clientX: number, clientY: number): Promise<string | undefined> {
  const at = editor.locate?.(clientX, clientY)
  if (!at) return undefined
  const { scale, canvas } = drawnSheet(editor, at.layout)
  const [r, g, b] = pixelsIn(await canvas, Math.floor(at.x * scale), Math.floor(at.y * scale), 1, 1).data
  return `#${[r, g, b].map((part) => part!.toString(16).padStart(2, '0')).join('')}`
}

/** The project's name for a colour, where it has one. */
const tokenOf = ({ tokens }: Editor, hex: string) =>
  tokens.names('color').find((name) => String(tokens.lookup(name)?.value).toLowerCase() === hex)

export function ColorPicking() {
  const editor = useBoard()
  const { picking } = editor
  const layer = useRef<HTMLDivElement>(null)
  const [seen, setSeen] = useState<{ x: number; y: number; hex: string }>()
  const asked = useRef(0)
  useEffect(() => {
    const leave = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return
      event.stopPropagation()
      event.preventDefault()
      picking?.(undefined)
    }
    addEventListener('keydown', leave, true)
    return () => removeEventListener('keydown', leave, true)
  }, [picking])
  if (!picking) return null
  const look = async (event: React.PointerEvent) => {
    const { clientX, clientY } = event
    const turn = ++asked.current
    const frame = layer.current!.getBoundingClientRect()
    const hex = await colorAt(editor, clientX, clientY).catch(() => undefined)
    // The pointer may be elsewhere by now.
    if (turn === asked.current) setSeen(hex ? { x: clientX - frame.x, y: clientY - frame.y, hex } : undefined)
  }
  const take = async (event: React.PointerEvent) => {
    if (event.button !== 0) return
    event.preventDefault()
    event.stopPropagation()
    leaveNoClick()
    try {
      const hex = await colorAt(editor, event.clientX, event.clientY)
      const token = hex && tokenOf(editor, hex)
      picking(token ? `{${token}}` : hex)
    } catch {
      picking(undefined)
      editor.session.showNotice(
        'no colour was taken: a picture on this sheet cannot be had just now; try again',
      )
    }
  }
  const name = seen && tokenOf(editor, seen.hex)
  return (
    <div
      ref={layer}
      data-pulls
      data-color-picking
      role="application"
      aria-label="Press a place on a sheet to take its colour; Escape ends it"
      className="absolute inset-0 z-30 cursor-crosshair touch-none"
      onPointerMove={look}
      onPointerDown={take}
      onMouseDown={(event) => event.preventDefault()}
    >
      {seen && (
        <div
          className="floating pointer-events-none absolute flex items-center gap-1.5 px-2 py-1 text-small font-semibold tabular-nums"
          style={{ left: seen.x + 16, top: seen.y + 16 }}
        >
          <Swatch color={seen.hex} /> {name ? shortName(name) : seen.hex}
        </div>
      )}
    </div>
  )
}
