/** What is said of blocks comes behind the board: at first none is selected. Where it cannot be had, it is asked for again. */
import { useEffect, useSyncExternalStore } from 'react'

type Part = typeof import('./block-spec')

let part: Part | undefined
const listeners = new Set<() => void>()

export async function blockSpec(): Promise<void> {
  if (part) return
  part = await import('./block-spec')
  for (const listener of listeners) listener()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Until it is asked for again, ms. */
const AGAIN = 1000

/** @param isWanted whether it is to be shown now; else it comes when there is nothing else to do */
export function useBlockSpec(isWanted: boolean): Part | undefined {
  const here = useSyncExternalStore(subscribe, () => part)
  useEffect(() => {
    if (here || !isWanted) return
    let timer: ReturnType<typeof setTimeout>
    const ask = () => void blockSpec().catch(() => (timer = setTimeout(ask, AGAIN)))
    ask()
    return () => clearTimeout(timer)
  }, [here, isWanted])
  return here
}
