/** Waiting until the browser has nothing else to do. */

/** ms from when a screen stands in its own fonts until something else is asked for: what it shows first has the line to itself. */
const SEEN = 400
/** Chromium may never say that it is idle, even where nothing happens any more; after so long it is asked no longer, ms. */
const LATEST = 5000

/** As `requestIdleCallback`, but what is to be done is done. */
export const askIdle = (then: IdleRequestCallback): number => requestIdleCallback(then, { timeout: LATEST })

/** Runs `then` once a screen has been seen and there is nothing else to do. @returns stops waiting */
export function whenIdle(then: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  let idle = 0
  let stopped = false
  void document.fonts.ready.then(() => {
    if (stopped) return
    timer = setTimeout(() => {
      // Where the browser does not say when it is idle, now is as good as later.
      if ('requestIdleCallback' in globalThis) idle = askIdle(then)
      else then()
    }, SEEN)
  })
  return () => {
    stopped = true
    clearTimeout(timer)
    if (idle !== 0) cancelIdleCallback(idle)
  }
}
