/** The picture, turned as it is to be, with a frame around the part that stays. */
import { useRef } from 'react'
import type { Asset } from '../../core/document/schema'
import {
  type Crop,
  fitted,
  type Handle,
  LEAST_PART,
  matrixOf,
  pulled,
  sizedTo,
  turnedSize,
} from '../../core/pictures/crop'
import { followPointer } from '../parts/follow-pointer'
import { pictureUrl } from '../session/pictures'

/** Most room, px of the window. */
const ROOM = { width: 632, height: 352 }
/** px of the picture that an arrow key goes, and with Shift. */
const STEP = 1
const LEAP = 10
/** How much a turn of the wheel makes of the frame. */
const WHEEL = 0.001

const HANDLES: readonly (readonly [...Handle, words: string])[] = [
  [0, 0, 'top left'],
  [0.5, 0, 'top'],
  [1, 0, 'top right'],
  [1, 0.5, 'right'],
  [1, 1, 'bottom right'],
  [0.5, 1, 'bottom'],
  [0, 1, 'bottom left'],
  [0, 0.5, 'left'],
]

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

export function CutStage({
  source,
  part,
  ratio,
  onChange,
}: {
  source: Asset
  part: Crop
  ratio: number | undefined
  onChange: (part: Crop) => void
}) {
  const box = turnedSize(source, part.turn)
  const scale = Math.min(ROOM.width / box.width, ROOM.height / box.height, 1)
  const px = (value: number) => value * scale
  const [a, b, c, d, e, f] = matrixOf(source, { ...part, x: 0, y: 0 })
  const start = useRef(part)
  const moved = (dx: number, dy: number, from = part) =>
    fitted(source, { ...from, x: from.x + dx, y: from.y + dy })
  const follow = (event: React.PointerEvent, change: (dx: number, dy: number, from: Crop) => Crop) => {
    if (event.button !== 0) return
    event.preventDefault()
    event.stopPropagation()
    start.current = part
    followPointer(event.pointerId, {
      move: (now) =>
        onChange(
          change((now.clientX - event.clientX) / scale, (now.clientY - event.clientY) / scale, start.current),
        ),
      end: () => undefined,
      cancel: () => onChange(start.current),
    })
  }
  const press = (event: React.KeyboardEvent) => {
    const way = ARROWS[event.key]
    if (!way) return
    event.preventDefault()
    const by = event.shiftKey ? LEAP : STEP
    onChange(moved(way[0] * by, way[1] * by))
  }
  const larger = (event: React.WheelEvent) => {
    const by = Math.exp(event.deltaY * WHEEL)
    const [width, height] = [part.width * by, part.height * by]
    if (Math.min(width, height) >= LEAST_PART) onChange(sizedTo(source, part, width, height))
  }
  return (
    <div className="chequered grid place-items-center overflow-hidden rounded-field border border-base-300 p-4">
      <div className="relative" style={{ width: px(box.width), height: px(box.height) }} onWheel={larger}>
        <img
          alt=""
          src={pictureUrl(source)}
          draggable={false}
          className="absolute top-0 left-0 max-w-none origin-top-left"
          style={{
            width: source.width,
            height: source.height,
            transform: `scale(${scale}) matrix(${a}, ${b}, ${c}, ${d}, ${e}, ${f})`,
          }}
        />
        <div
          role="application"
          aria-label={`Part that stays: ${Math.round(part.width)} by ${Math.round(part.height)} px; arrows move it`}
          // biome-ignore lint/a11y/noNoninteractiveTabindex: an application is a control
          tabIndex={0}
          data-cut
          className="absolute cursor-move touch-none outline-2 outline-(--sheet-pine) focus-visible:outline-4"
          style={{
            left: px(part.x),
            top: px(part.y),
            width: px(part.width),
            height: px(part.height),
            boxShadow: '0 0 0 9999px color-mix(in oklab, var(--color-base-100) 72%, transparent)',
          }}
          onPointerDown={(event) => follow(event, (dx, dy, from) => moved(dx, dy, from))}
          onKeyDown={press}
        >
          {[1 / 3, 2 / 3].map((third) => (
            <span key={third} aria-hidden className="pointer-events-none">
              <i
                className="absolute inset-y-0 w-px bg-white/80 mix-blend-difference"
                style={{ left: `${third * 100}%` }}
              />
              <i
                className="absolute inset-x-0 h-px bg-white/80 mix-blend-difference"
                style={{ top: `${third * 100}%` }}
              />
            </span>
          ))}
          {HANDLES.map(([x, y, words]) => (
            <i
              key={words}
              data-handle={words}
              className="absolute grid size-6 touch-none place-items-center"
              style={{
                left: `calc(${x * 100}% - 12px)`,
                top: `calc(${y * 100}% - 12px)`,
                cursor: cursorOf(x, y),
              }}
              onPointerDown={(event) =>
                follow(event, (dx, dy, from) => pulled(source, from, [x, y], dx, dy, ratio))
              }
            >
              <i className="size-2.5 border-2 border-(--sheet-pine) bg-white" />
            </i>
          ))}
        </div>
      </div>
    </div>
  )
}

function cursorOf(x: number, y: number): string {
  if (x === 0.5) return 'ns-resize'
  if (y === 0.5) return 'ew-resize'
  return x === y ? 'nwse-resize' : 'nesw-resize'
}
