/** A number that opens in place: takes arithmetic, steps with the arrow keys, says at the field what is wrong. */
import { useContext, useEffect, useId, useRef, useState } from 'react'
import { formatPx } from '../../core/lattice/solve'
import { spanWidth } from '../../core/lattice/used'
import { type QuantityContext, readQuantity } from '../../core/quantity/arithmetic'
import { EditorContext } from '../editor/use-editor'
import { useScrub } from './scrub'

type Props = {
  label: string
  value: number | undefined
  /** Shown instead of the number while it is not being edited. */
  shown?: string
  onChange: (value: number) => void
  context?: QuantityContext
  step?: number
  className?: string
  unit?: string
  /** Another unit that the value may be said in: what is typed with its sign goes there. */
  other?: { sign: string; onChange: (value: number) => void }
  /** Names that may be typed instead of a number, and what each takes. */
  names?: ReadonlyMap<string, () => void>
  /** What an emptied field means; left out: a number is needed. */
  onClear?: () => void
}

/** When Tab last left a field, ms. */
let tabbed = Number.NEGATIVE_INFINITY

export function NumberChip({
  label,
  value,
  shown,
  onChange,
  context,
  step = 1,
  className = 'chip',
  unit,
  other,
  names,
  onClear,
}: Props) {
  const [text, setText] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const field = useRef<HTMLInputElement>(null)
  const id = useId()
  const open = text !== undefined
  const chip = useRef<HTMLButtonElement>(null)
  /** Left by a key: who works from the keyboard goes on from where they were. */
  const keyed = useRef(false)
  useEffect(() => {
    if (open) field.current?.select()
    else if (keyed.current) chip.current?.focus({ preventScroll: true })
    keyed.current = false
  }, [open])
  // What was not typed over follows the value: pulled on the board, changed by others.
  const before = useRef(value)
  useEffect(() => {
    const untouched = before.current === undefined ? '' : formatPx(before.current)
    before.current = value
    setText((typed) => (typed === untouched && value !== undefined ? formatPx(value) : typed))
  }, [value])
  const editor = useContext(EditorContext)
  // Columns mean the lattice that what is selected stands on.
  const columns = (count: number) => {
    const used = editor?.layout?.usedFor(editor.selected?.id)
    return used ? spanWidth(used, count) : Number.NaN
  }
  const inColumns = editor?.layout && !context?.integer ? { columns } : {}
  const reading = (typed: string) => readQuantity(typed, { current: value, ...inColumns, ...context })
  const start = () => {
    setText(value === undefined ? '' : formatPx(value))
    setProblem(undefined)
  }
  const stop = () => {
    setText(undefined)
    setProblem(undefined)
  }
  /** @returns whether the field may close */
  const take = (): boolean => {
    if (text === undefined) return true
    // Looked at and left: what is shown is rounded, and is no other value.
    if (value !== undefined && text === formatPx(value)) {
      stop()
      return true
    }
    if (text.trim() === '' && onClear) {
      onClear()
      stop()
      return true
    }
    const named = names?.get(text.trim().toLowerCase())
    if (named) {
      named()
      stop()
      return true
    }
    const inOther = other && text.trim().endsWith(other.sign) ? other : undefined
    const read = reading(inOther ? text.trim().slice(0, -inOther.sign.length) : text)
    if (!read.ok) {
      setProblem(read.reason)
      return false
    }
    stop()
    if (inOther) {
      inOther.onChange(read.value)
      return true
    }
    if (read.value !== value) onChange(read.value)
    return true
  }
  const bump = (by: number) => {
    const read = reading(text ?? '')
    if (!read.ok) return setProblem(read.reason)
    const next = readQuantity(String(read.value + by), context)
    if (!next.ok) return setProblem(next.reason)
    setText(formatPx(next.value))
    setProblem(undefined)
    onChange(next.value)
  }
  const scrub = useScrub(value, step, (next) => {
    const read = readQuantity(String(next), context)
    if (read.ok) onChange(read.value)
  })
  if (!open) {
    const words = shown ?? (value === undefined ? 'none' : `${formatPx(value)}${unit ?? ''}`)
    return (
      <button
        ref={chip}
        type="button"
        className={className}
        aria-label={`${label}: ${words}`}
        title="Press to type, drag to change"
        style={{ cursor: value === undefined ? undefined : 'ew-resize' }}
        onPointerDown={scrub.start}
        onClick={() => {
          if (!scrub.dragged.current) start()
        }}
        onFocus={() => {
          // From field to field by Tab: the next opens too.
          if (performance.now() - tabbed < 100) start()
        }}
      >
        {words}
      </button>
    )
  }
  return (
    <span className="relative inline-block">
      <input
        ref={field}
        // biome-ignore lint/a11y/noAutofocus: the field opens where the user pressed
        autoFocus
        className="text-field w-19 font-semibold tabular-nums"
        inputMode="text"
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? id : undefined}
        value={text}
        onChange={(event) => {
          setText(event.target.value)
          setProblem(undefined)
        }}
        onBlur={() => {
          // Leaving with something that cannot be read keeps the old value.
          if (!take()) stop()
        }}
        onKeyDown={(event) => {
          event.stopPropagation()
          // Leaving takes the value; the next number then opens.
          if (event.key === 'Tab') tabbed = performance.now()
          keyed.current = event.key === 'Enter' || event.key === 'Escape'
          if (event.key === 'Enter') {
            // Or the chip, focused again, would be pressed by the same key.
            event.preventDefault()
            take()
          }
          if (event.key === 'Escape') stop()
          else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
            event.preventDefault()
            bump((event.key === 'ArrowUp' ? 1 : -1) * step * (event.shiftKey ? 10 : 1))
          }
        }}
      />
      {problem && (
        <span
          id={id}
          role="alert"
          className="floating absolute top-full left-0 z-40 mt-1 w-max max-w-55 px-2 py-1 text-small leading-4 text-error"
        >
          {problem}
        </span>
      )}
    </span>
  )
}
