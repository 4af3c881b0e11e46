/** The same functions at every rendering, each doing what the latest rendering means by it: what they are given to need not draw again. */
import { useLayoutEffect, useRef, useState } from 'react'

// biome-ignore lint/suspicious/noExplicitAny: whatever the functions take and give
type Acts = Record<string, (...given: any[]) => unknown>

export function useStable<T extends Acts>(acts: T): T {
  const latest = useRef(acts)
  useLayoutEffect(() => {
    latest.current = acts
  })
  const [stable] = useState(
    () =>
      Object.fromEntries(
        Object.keys(acts).map((name) => [name, (...given: unknown[]) => latest.current[name]!(...given)]),
      ) as T,
  )
  return stable
}
