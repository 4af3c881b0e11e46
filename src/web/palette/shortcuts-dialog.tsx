/** Every shortcut, each to be changed by pressing it and then the new keys. */
import { useState } from 'react'
import { useEditor } from '../editor/use-editor'
import { Check } from '../parts/check'
import { Dialog } from '../parts/dialog'
import type { Command } from './command'
import { COMMANDS, commandWith, keysOf, showKeys } from './commands'
import {
  areSingleKeysOn,
  giveKeys,
  isChanged,
  isOnlyHeld,
  keysFor,
  refusalOf,
  setSingleKeys,
} from './shortcuts'

/** What is done with the pointer, and how. */
const POINTER: [string, string][] = [
  ['Move the board', 'wheel, or Space and drag'],
  ['Closer or further at the pointer', 'Ctrl wheel, pinch'],
  ['Leave distances on the sheet', 'press while they are seen'],
  ['Lift a block out of its flow', 'Alt while dragging'],
  ['Drag without snapping', 'Ctrl'],
  ['Select an area', 'drag over a section'],
  ['Add to what is selected', 'Shift and press'],
  ['Size in proportion', 'Shift at a notch'],
  ['Size from the centre', 'Alt at a notch'],
  ['Turn in steps of 15°', 'Shift at the round notch'],
  ['Move a section', 'drag its height'],
  ['Lay a guide', 'drag out of a ruler'],
  ['Change a number', 'drag on it'],
]

export function Shortcuts() {
  const editor = useEditor()
  const [asking, setAsking] = useState<string>()
  const [said, setSaid] = useState<string>()
  const [, setCount] = useState(0)
  const take = (command: Command, event: React.KeyboardEvent) => {
    if (asking !== command.id) return
    event.preventDefault()
    event.stopPropagation()
    const keys = keysOf(event.nativeEvent)
    if (isOnlyHeld(keys)) return
    if (keys === 'Escape') return setAsking(undefined)
    if (keys === 'Backspace') {
      giveKeys(command, '')
      setSaid(`${command.name} has no keys now`)
      return setAsking(undefined)
    }
    const refused = refusalOf(keys)
    if (refused) return setSaid(`${showKeys(keys)}: ${refused}`)
    const other = commandWith(keys)
    if (other && other.id !== command.id) giveKeys(other, '')
    giveKeys(command, keys)
    setSaid(other && other.id !== command.id ? `${other.name} has no keys now` : undefined)
    setAsking(undefined)
  }
  const changed = COMMANDS.filter(isChanged)
  return (
    <Dialog title="Shortcuts" onClose={() => editor.set({ dialog: undefined })} width={640}>
      <section
        aria-label="List of shortcuts"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reached by the keyboard
        tabIndex={0}
        className="grid max-h-[56vh] grid-cols-2 gap-x-8 overflow-y-auto"
      >
        {COMMANDS.filter((command) => command.keys || keysFor(command)).map((command) => {
          const keys = keysFor(command)
          const open = asking === command.id
          return (
            <div key={command.id} className="rule-b flex min-h-7.75 items-center justify-between gap-2">
              <span>{command.name}</span>
              <button
                type="button"
                className={`rounded-field px-1.5 py-0.5 text-small whitespace-nowrap hover:bg-base-200 ${open ? 'bg-secondary font-semibold text-secondary-content' : isChanged(command) ? 'font-semibold' : 'soft'}`}
                aria-label={`Keys of ${command.name}: ${keys ? showKeys(keys) : 'none'}`}
                title="Press, then press the new keys"
                onClick={() => {
                  setAsking(open ? undefined : command.id)
                  setSaid(undefined)
                }}
                onBlur={() => open && setAsking(undefined)}
                onKeyDown={(event) => take(command, event)}
              >
                {open ? 'press keys …' : keys ? showKeys(keys) : 'none'}
              </button>
            </div>
          )
        })}
        {POINTER.map(([what, how]) => (
          <div key={what} className="rule-b flex min-h-7.75 items-center justify-between gap-2">
            <span>{what}</span>
            <kbd className="[font-family:inherit] px-1.5 text-small soft">{how}</kbd>
          </div>
        ))}
      </section>
      <Check
        on={areSingleKeysOn()}
        set={(on) => {
          setSingleKeys(on)
          setCount((count) => count + 1)
        }}
      >
        Letters, digits and signs alone are shortcuts, on the board and in the ledger
      </Check>
      <div className="flex min-h-9.5 items-center gap-3 pt-2 text-small soft">
        <span className="flex-1" role="status">
          {said ? `${said}.` : 'Press a shortcut to change it; Backspace takes it away.'}
        </span>
        {changed.length > 0 && (
          <button
            type="button"
            className="plain-button"
            onClick={() => {
              for (const command of changed) giveKeys(command, undefined)
              setSaid(undefined)
              setCount((count) => count + 1)
            }}
          >
            Put all back
          </button>
        )}
      </div>
    </Dialog>
  )
}
