/** A floating panel at its button: kept within the window, closed by Escape, a press outside or leaving it, focus given back. */
import { Popover as Base } from '@base-ui/react/popover'
import { useRef, useState } from 'react'
import { FLOATS, type PopoverProps } from '../floating-props'

/** Undo and redo: what was done in a panel is taken back without leaving it. */
const isHistoryKey = ({ key, ctrlKey, metaKey }: React.KeyboardEvent) =>
  (ctrlKey || metaKey) && /^[zy]$/i.test(key)

/** @param atOnce its button was pressed before it was there */
export function PopoverPanel({
  label,
  button,
  className = 'chip',
  title,
  width = 220,
  children,
  disabled,
  atOnce,
}: PopoverProps & { atOnce: boolean }) {
  const [open, setOpen] = useState(atOnce)
  const panel = useRef<HTMLDivElement>(null)
  /** Lists in it go by the arrows, too. */
  const step = (event: React.KeyboardEvent) => {
    const options = [...panel.current!.querySelectorAll<HTMLElement>('[data-option]')]
    if (options.length === 0) return
    event.preventDefault()
    const now = options.indexOf(document.activeElement as HTMLElement)
    options.at((now + (event.key === 'ArrowDown' ? 1 : -1)) % options.length)?.focus()
  }
  return (
    <Base.Root
      open={open}
      onOpenChange={(next, { event }) => {
        // What is pulled on the board belongs to what is said here.
        const isPull = event.target instanceof Element && event.target.closest('[data-pulls]')
        if (next || !isPull) setOpen(next)
      }}
    >
      <Base.Trigger className={className} title={title} aria-label={label} disabled={disabled}>
        {button}
      </Base.Trigger>
      <Base.Portal>
        <Base.Positioner {...FLOATS}>
          <Base.Popup
            ref={panel}
            aria-label={label}
            className="floating max-h-[min(70vh,var(--available-height))] max-w-(--available-width) overflow-auto p-1.5 outline-none"
            style={{ width }}
            initialFocus={() =>
              panel.current?.querySelector<HTMLElement>('[data-first], input, button, [tabindex="0"]') ?? true
            }
            onKeyDown={(event) => {
              // Its keys are its own. Escape goes on to what closes it; what takes back, to the project, and so does all once it is closed.
              if (open && event.key !== 'Escape' && !isHistoryKey(event)) event.stopPropagation()
              if (event.key === 'ArrowDown' || event.key === 'ArrowUp') step(event)
            }}
          >
            {children(() => setOpen(false))}
          </Base.Popup>
        </Base.Positioner>
      </Base.Portal>
    </Base.Root>
  )
}
