/** A floating panel at its button: closes on Escape, on a press outside, and gives the focus back. */
import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { createPortal } from 'react-dom'

type Props = {
  label: string
  button: ReactNode
  className?: string
  title?: string
  width?: number
  children: (close: () => void) => ReactNode
  disabled?: boolean
}

export function Popover({
  label,
  button,
  className = 'chip',
  title,
  width = 220,
  children,
  disabled,
}: Props) {
  const [open, setOpen] = useState(false)
  const anchor = useRef<HTMLButtonElement>(null)
  const panel = useRef<HTMLDivElement>(null)
  const [at, setAt] = useState({ left: 0, top: 0 })
  const close = () => {
    setOpen(false)
    anchor.current?.focus()
  }
  useLayoutEffect(() => {
    if (!open || !anchor.current || !panel.current) return
    const place = () => {
      if (!anchor.current || !panel.current) return
      const box = anchor.current.getBoundingClientRect()
      const { offsetHeight, offsetWidth } = panel.current
      const below = box.bottom + 4 + offsetHeight < innerHeight
      setAt({
        left: Math.max(8, Math.min(box.left, innerWidth - offsetWidth - 8)),
        top: below ? box.bottom + 4 : Math.max(8, box.top - offsetHeight - 4),
      })
    }
    place()
    // What grows while it is open stays in sight.
    const observer = new ResizeObserver(place)
    observer.observe(panel.current)
    panel.current.querySelector<HTMLElement>('[data-first], input, button, [tabindex="0"]')?.focus()
    return () => observer.disconnect()
  }, [open])
  useEffect(() => {
    if (!open) return
    const outside = (event: PointerEvent) => {
      if (!panel.current?.contains(event.target as Node) && !anchor.current?.contains(event.target as Node))
        setOpen(false)
    }
    addEventListener('pointerdown', outside, true)
    return () => removeEventListener('pointerdown', outside, true)
  }, [open])
  return (
    <>
      <button
        ref={anchor}
        type="button"
        className={className}
        title={title}
        aria-label={label}
        aria-haspopup="dialog"
        aria-expanded={open}
        disabled={disabled}
        onClick={() => setOpen(!open)}
      >
        {button}
      </button>
      {open &&
        createPortal(
          <div
            ref={panel}
            role="dialog"
            aria-label={label}
            className="floating fixed z-50 max-h-[70vh] overflow-auto p-1.5"
            style={{ left: at.left, top: at.top, width }}
            onKeyDown={(event) => {
              event.stopPropagation()
              if (event.key === 'Escape') close()
              if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
              const options = [...panel.current!.querySelectorAll<HTMLElement>('[data-option]')]
              if (options.length === 0) return
              event.preventDefault()
              const now = options.indexOf(document.activeElement as HTMLElement)
              options[(now + (event.key === 'ArrowDown' ? 1 : -1) + options.length) % options.length].focus()
            }}
          >
            {children(close)}
          </div>,
          document.body,
        )}
    </>
  )
}

export type Option<T> = { value: T; label: string; hint?: string }

/** A list of choices in a popover; the chosen one is marked. */
export function Choice<T>({
  label,
  options,
  value,
  shown,
  onChoose,
  className,
  width,
}: {
  label: string
  options: Option<T>[]
  value: T | undefined
  shown?: ReactNode
  onChoose: (value: T) => void
  className?: string
  width?: number
}) {
  const current = options.find((option) => option.value === value)
  return (
    <Popover
      label={`${label}: ${current?.label ?? 'mixed'}`}
      button={shown ?? current?.label ?? 'mixed'}
      className={className}
      width={width}
    >
      {(close) => (
        <div role="listbox" aria-label={label}>
          {options.map((option) => (
            <button
              key={option.label}
              type="button"
              role="option"
              aria-selected={option.value === value}
              data-option
              data-first={option.value === value ? true : undefined}
              className={`flex w-full items-baseline justify-between gap-3 rounded-[3px] px-2 py-1 text-left hover:bg-base-200 ${option.value === value ? 'font-bold text-primary' : ''}`}
              onClick={() => {
                onChoose(option.value)
                close()
              }}
            >
              <span>{option.label}</span>
              {option.hint && <span className="text-[12px] font-normal soft">{option.hint}</span>}
            </button>
          ))}
        </div>
      )}
    </Popover>
  )
}
