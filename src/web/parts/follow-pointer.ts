/** One press followed to its end, wherever the pointer goes. */

export type Followed = {
  move: (event: PointerEvent) => void
  /** Let go. */
  end: (event: PointerEvent) => void
  /** Given up: Escape, a second pointer, the window left, the pointer lost. What was done so far is to be put back. */
  cancel: () => void
}

/** Exactly one of `end` and `cancel` is called, once. @returns gives up without calling either */
export function followPointer(pointer: number, { move, end, cancel }: Followed): () => void {
  const listening = new AbortController()
  const { signal } = listening
  const stop = () => listening.abort()
  const giveUp = () => {
    stop()
    cancel()
  }
  addEventListener('pointermove', (event) => event.pointerId === pointer && move(event), { signal })
  addEventListener(
    'pointerup',
    (event) => {
      if (event.pointerId !== pointer) return
      stop()
      end(event)
    },
    { signal },
  )
  addEventListener('pointercancel', (event) => event.pointerId === pointer && giveUp(), { signal })
  addEventListener('pointerdown', (event) => event.pointerId !== pointer && giveUp(), {
    signal,
    capture: true,
  })
  addEventListener('blur', giveUp, { signal })
  addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape') return
      event.preventDefault()
      event.stopPropagation()
      giveUp()
    },
    { signal, capture: true },
  )
  return stop
}
