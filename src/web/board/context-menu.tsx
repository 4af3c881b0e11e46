/** The menu at the pointer: what lies under it, and what can be done with what is selected. */
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import { useEditor } from '../editor/use-editor'
import type { Command } from '../palette/command'
import { COMMANDS, showKeys } from '../palette/commands'
import { keysFor } from '../palette/shortcuts'

const OFFERED = [
  'edit-text',
  'wrap-row',
  'wrap-column',
  'unwrap',
  'turn',
  'mirror',
  'settle',
  'repeat',
  'swap',
  'duplicate',
  'copy-look',
  'put-look',
  'select-same',
  'stack-front',
  'stack-back',
  'hide',
  'delete',
]

export type MenuPlace = { x: number; y: number; view: string; under: string[] }

export function ContextMenu({ place, onClose }: { place: MenuPlace; onClose: () => void }) {
  const editor = useEditor()
  const menu = useRef<HTMLDivElement>(null)
  const [at, setAt] = useState({ left: place.x, top: place.y })
  useLayoutEffect(() => {
    const { offsetWidth, offsetHeight } = menu.current!
    setAt({
      left: Math.min(place.x, innerWidth - offsetWidth - 8),
      top: Math.max(8, Math.min(place.y, innerHeight - offsetHeight - 8)),
    })
    menu.current!.querySelector<HTMLElement>('[role=menuitem]')?.focus()
  }, [place])
  useEffect(() => {
    const outside = (event: Event) => {
      if (!menu.current?.contains(event.target as Node)) onClose()
    }
    addEventListener('pointerdown', outside, true)
    addEventListener('wheel', outside, true)
    return () => {
      removeEventListener('pointerdown', outside, true)
      removeEventListener('wheel', outside, true)
    }
  }, [onClose])
  const step = (by: number) => {
    const items = [...menu.current!.querySelectorAll<HTMLElement>('[role=menuitem]')]
    const now = items.indexOf(document.activeElement as HTMLElement)
    items[(now + by + items.length) % items.length]?.focus()
  }
  const item =
    'flex w-full items-center justify-between gap-6 rounded-[3px] px-2 py-1 text-left hover:bg-secondary focus:bg-secondary focus:outline-none'
  const offered = OFFERED.flatMap((id) => COMMANDS.find((command) => command.id === id) ?? []).filter(
    (command: Command) => !command.when || command.when(editor),
  )
  const nodeOf = (id: string) => editor.layoutOf(place.view)?.instances.find(id)
  return (
    <div
      ref={menu}
      role="menu"
      aria-label="Block"
      className="floating fixed z-50 max-h-[80vh] w-[300px] overflow-y-auto p-1.5"
      style={at}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Escape') onClose()
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
          event.preventDefault()
          step(event.key === 'ArrowDown' ? 1 : -1)
        }
      }}
    >
      <div className="px-2 pt-1 text-[12px] font-bold">Under the pointer</div>
      {place.under.map((id, i) => (
        <button
          key={id}
          type="button"
          role="menuitem"
          className={item}
          style={{ paddingLeft: 8 + (place.under.length - 1 - i) * 8 }}
          onClick={() => {
            editor.select(id, place.view)
            onClose()
          }}
        >
          <span className={editor.selection.includes(id) ? 'font-bold text-primary' : ''}>
            {nodeOf(id)?.name}
          </span>
          <span className="text-[12px] soft">
            {nodeOf(id)?.source ? 'from the template' : nodeOf(id)?.kind}
          </span>
        </button>
      ))}
      {offered.length > 0 && <div className="rule-t my-1" />}
      {offered.map((command) => (
        <button
          key={command.id}
          type="button"
          role="menuitem"
          className={item}
          onClick={() => {
            onClose()
            command.run(editor)
          }}
        >
          {command.name}
          {keysFor(command) && (
            <kbd className="[font-family:inherit] text-[12px] soft">{showKeys(keysFor(command)!)}</kbd>
          )}
        </button>
      ))}
    </div>
  )
}
