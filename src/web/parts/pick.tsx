import type { ReactNode } from 'react'

/** One of several choices that stand side by side: a radio button that looks like its words. */
export function Pick({
  name,
  on,
  onPick,
  className,
  children,
}: {
  /** Shared by those of which one is picked. */
  name: string
  on: boolean
  onPick: () => void
  className: string
  children: ReactNode
}) {
  return (
    <label
      className={`relative rounded-field px-2 has-focus-visible:outline-2 has-focus-visible:outline-primary ${className}`}
    >
      <input
        type="radio"
        name={name}
        className="absolute inset-0 cursor-pointer appearance-none outline-none"
        checked={on}
        onChange={onPick}
      />
      {children}
    </label>
  )
}
