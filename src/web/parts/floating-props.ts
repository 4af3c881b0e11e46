/** What floating things are asked for with, for their buttons and for the part of the app that shows them. */
import type { ReactNode } from 'react'

/** What they keep their distance to the window's edges by, px. */
export const ROOM = 8

/** Where a panel floats at its button. */
export const FLOATS = { className: 'z-50', align: 'start', sideOffset: 4, collisionPadding: ROOM } as const

export type PopoverProps = {
  label: string
  button: ReactNode
  className?: string
  title?: string
  width?: number
  children: (close: () => void) => ReactNode
  disabled?: boolean
}

/** `shown`: in the list, in place of its label. */
export type Option<T> = { value: T; label: string; hint?: string; shown?: ReactNode }

export type ChoiceProps<T> = {
  label: string
  options: Option<T>[]
  /** Undefined: several are. */
  value: T | undefined
  shown?: ReactNode
  onChoose: (value: T) => void
  className?: string
  width?: number
}

export type DialogProps = { title: string; onClose: () => void; children: ReactNode; width?: number }
