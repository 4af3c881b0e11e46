/** What is not needed to show a board comes behind it, when there is nothing else to do: from then on all goes on without a network. */
import { pictureCleaner } from '../shelf/read-picture'
import { writing } from '../text/writing'

/** ms, where the browser does not say when it is idle */
const LATER = 1500

/** @returns stops waiting */
export function fetchAhead(): () => void {
  // Where one cannot be had now, whoever needs it asks again, and is told.
  const fetchAll = () => {
    const parts: Promise<unknown>[] = [
      writing(),
      pictureCleaner(),
      import('../../core/handoff/svg/page'),
      import('../../core/document/save'),
    ]
    for (const part of parts) part.catch(() => {})
  }
  if (!('requestIdleCallback' in globalThis)) {
    const timer = setTimeout(fetchAll, LATER)
    return () => clearTimeout(timer)
  }
  const idle = requestIdleCallback(fetchAll)
  return () => cancelIdleCallback(idle)
}
