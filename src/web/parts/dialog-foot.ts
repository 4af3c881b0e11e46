/** The foot of the dialog on top: what is said of work that goes on stands there, for the page behind it cannot be reached. */
import { useSyncExternalStore } from 'react'

const open: HTMLElement[] = []
const listeners = new Set<() => void>()
const changed = () => {
  for (const listener of listeners) listener()
}

/** A dialog's own, as its element comes. @returns when it goes */
export function openFoot(element: HTMLElement | null): (() => void) | undefined {
  if (!element) return undefined
  open.push(element)
  changed()
  return () => {
    open.splice(open.indexOf(element), 1)
    changed()
  }
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Undefined: no dialog is open. */
export const useDialogFoot = (): HTMLElement | undefined => useSyncExternalStore(subscribe, () => open.at(-1))
