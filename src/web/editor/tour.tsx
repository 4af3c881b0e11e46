/** The tour: five cards beside what they speak of, shown once to who opens a project with something on it. It takes no focus by itself. */
import { useEffect, useLayoutEffect, useState } from 'react'
import { goHome } from './focus-home'
import { TOUR, type TourStep } from './tour-steps'
import { useBoard } from './use-editor'

const KEY = 'just-lattice:tour'
/** px */
const WIDE = 300
const AWAY = 12
const MARGIN = 8

/** Whether it was seen or skipped in this browser. */
export function wasToured(): boolean {
  try {
    return localStorage.getItem(KEY) === 'seen'
  } catch {
    // A browser that keeps nothing would show it every time.
    return true
  }
}

function rememberTour() {
  try {
    localStorage.setItem(KEY, 'seen')
  } catch {
    // Nothing is kept in this browser, and nothing is shown by itself in it.
  }
}

type Place = { left: number; top: number; ring: DOMRect }

/** Where the card stands: beside what it speaks of, within the window. */
function placeAt({ at, side }: TourStep, high: number): Place | undefined {
  const ring = document.querySelector(at)?.getBoundingClientRect()
  if (!ring) return undefined
  const middle = ring.top + Math.min(ring.height, innerHeight) / 2 - high / 2
  const [left, top] = {
    right: [ring.right + AWAY, ring.top + 40],
    left: [ring.left - AWAY - WIDE, middle],
    below: [ring.left + AWAY, ring.bottom + AWAY],
    above: [ring.left + AWAY, ring.top - AWAY - high],
  }[side]
  return {
    ring,
    left: Math.max(MARGIN, Math.min(left!, innerWidth - WIDE - MARGIN)),
    top: Math.max(MARGIN, Math.min(top!, innerHeight - high - MARGIN)),
  }
}

export function Tour() {
  const editor = useBoard()
  const { tour: step } = editor
  // Once there is something to point at.
  useEffect(() => {
    if (wasToured() || editor.panelsBeside) return
    if (editor.page && editor.doc.node(editor.pageId).children.length > 0) editor.set({ tour: 0 })
  }, [editor])
  return step === undefined || !TOUR[step] ? null : <Card key={step} step={step} />
}

function Card({ step }: { step: number }) {
  const editor = useBoard()
  const [card, setCard] = useState<HTMLElement | null>(null)
  const [place, setPlace] = useState<Place>()
  const { title, says } = TOUR[step]!
  // The board moves what it speaks of.
  useLayoutEffect(() => {
    const next = card ? placeAt(TOUR[step]!, card.offsetHeight) : undefined
    if (JSON.stringify(next) !== JSON.stringify(place)) setPlace(next)
  })
  const go = (to: number) => {
    if (TOUR[to]) return editor.set({ tour: to })
    rememberTour()
    editor.set({ tour: undefined })
    goHome(editor)
  }
  const last = step === TOUR.length - 1
  return (
    <>
      {place && (
        <i
          aria-hidden
          className="pointer-events-none fixed z-40 rounded-box outline-2 -outline-offset-2 outline-accent"
          style={{
            left: place.ring.left,
            top: place.ring.top,
            width: place.ring.width,
            height: place.ring.height,
          }}
        />
      )}
      <section
        ref={setCard}
        aria-label={`Tour, ${step + 1} of ${TOUR.length}`}
        aria-live="polite"
        className="floating fixed z-40 p-4"
        style={{
          width: WIDE,
          left: place?.left ?? MARGIN,
          top: place?.top ?? MARGIN,
          visibility: place ? 'visible' : 'hidden',
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return
          event.stopPropagation()
          go(TOUR.length)
        }}
      >
        <h2 className="mb-1 text-large font-bold">{title}</h2>
        <p className="mb-3 leading-5">{says}</p>
        <div className="flex items-center gap-2">
          <span className="mr-auto text-small tabular-nums soft">
            {step + 1} of {TOUR.length}
          </span>
          {!last && (
            <button type="button" className="plain-button" onClick={() => go(TOUR.length)}>
              Skip the tour
            </button>
          )}
          <button type="button" className="main-button" onClick={() => go(step + 1)}>
            {last ? 'Begin' : 'Next'}
          </button>
        </div>
      </section>
    </>
  )
}
