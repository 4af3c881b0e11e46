/** A box to tick, with its words. */
import type { ReactNode } from 'react'

export function Check({
  on,
  set,
  children,
}: {
  on: boolean
  set: (on: boolean) => void
  children: ReactNode
}) {
  return (
    <label className="flex min-h-6.75 items-center gap-2">
      <input
        type="checkbox"
        className="checkbox checkbox-xs checkbox-primary"
        checked={on}
        onChange={(event) => set(event.target.checked)}
      />
      {children}
    </label>
  )
}

/** Ticks for the members of a set. */
export function CheckSet<T extends string>({
  all,
  words,
  chosen,
  set,
}: {
  all: readonly T[]
  words: Record<T, string>
  chosen: ReadonlySet<T>
  set: (chosen: ReadonlySet<T>) => void
}) {
  return all.map((each) => (
    <Check
      key={each}
      on={chosen.has(each)}
      set={(on) => set(new Set(all.filter((other) => (other === each ? on : chosen.has(other)))))}
    >
      {words[each]}
    </Check>
  ))
}
