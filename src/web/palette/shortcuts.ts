/** The keys of every command: its own, or those that somebody gave it in this browser. */
import type { Command } from './command'

const STORE = 'just-lattice:keys'
/** By command id; '' where its keys were taken away. */
let given: Record<string, string> = read()

function read(): Record<string, string> {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(STORE) ?? '{}')
    if (typeof stored !== 'object' || stored === null) return {}
    return Object.fromEntries(Object.entries(stored).filter(([, keys]) => typeof keys === 'string'))
  } catch {
    return {}
  }
}

export function keysFor(command: Command): string | undefined {
  const own = given[command.id]
  return own === undefined ? command.keys : own || undefined
}

export const isChanged = (command: Command) => given[command.id] !== undefined

/** Gives a command other keys; `undefined` puts its own back. */
export function giveKeys(command: Command, keys: string | undefined) {
  const { [command.id]: _, ...rest } = given
  given = keys === undefined || keys === command.keys ? rest : { ...rest, [command.id]: keys }
  try {
    if (Object.keys(given).length === 0) localStorage.removeItem(STORE)
    else localStorage.setItem(STORE, JSON.stringify(given))
  } catch {
    // A full or forbidden store: they hold until the tab is closed.
  }
}

const SINGLE = 'just-lattice:single-keys'
let areOn = readSingle()

function readSingle(): boolean {
  try {
    return localStorage.getItem(SINGLE) !== 'off'
  } catch {
    return true
  }
}

/** Whether letters, digits and signs alone are shortcuts (WCAG 2.2, 2.1.4: who speaks to the computer types them by accident). */
export const areSingleKeysOn = () => areOn

export function setSingleKeys(on: boolean) {
  areOn = on
  try {
    if (on) localStorage.removeItem(SINGLE)
    else localStorage.setItem(SINGLE, 'off')
  } catch {
    // A full or forbidden store: it holds until the tab is closed.
  }
}

/** Whether keys are one sign, with Shift or without. */
export const isSingle = (keys: string) => /^(Shift\+)?.$/u.test(keys)

/** Keys that a browser or a field needs for itself. */
const RESERVED = new Set([
  'Tab',
  'Shift+Tab',
  'Mod+C',
  'Mod+X',
  'Mod+V',
  'Mod+W',
  'Mod+T',
  'Mod+N',
  'Mod+R',
  'Mod+L',
])
const HELD = new Set(['Shift', 'Control', 'Alt', 'Meta'])

/** Whether the keys pressed so far are only the ones held. */
export const isOnlyHeld = (keys: string) => HELD.has(keys.split('+').at(-1)!)

/** Why keys cannot be given, or undefined. */
export function refusalOf(keys: string): string | undefined {
  return RESERVED.has(keys) ? 'these keys belong to the browser' : undefined
}
