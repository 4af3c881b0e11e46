/** What floats over a screen is fetched when there is nothing else to do, or when it is first asked for. */
import { useSyncExternalStore } from 'react'

type Panels = typeof import('./panels')

let panels: Panels | undefined
const listeners = new Set<() => void>()

/** Where it cannot be had now, whoever asks again asks anew. */
export async function fetchPanels(): Promise<void> {
  if (panels) return
  panels = await import('./panels')
  for (const listener of listeners) listener()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const usePanels = (): Panels | undefined => useSyncExternalStore(subscribe, () => panels)
