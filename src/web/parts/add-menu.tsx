/** A button that opens a list of what can be added; one is taken, and the list closes. */
import type { ReactNode } from 'react'
import { Popover } from './popover'

export function AddMenu<T>({
  label,
  button,
  className,
  width,
  options,
  onTake,
}: {
  label: string
  button: ReactNode
  className: string
  width: number
  options: readonly { words: string; value: T }[]
  onTake: (value: T) => void
}) {
  return (
    <Popover label={label} title={label} className={className} button={button} width={width}>
      {(close) => (
        <div role="listbox" aria-label={label}>
          {options.map(({ words, value }) => (
            <button
              key={words}
              type="button"
              role="option"
              aria-selected={false}
              data-option
              className="w-full rounded-field px-2 py-1 text-left hover:bg-base-200"
              onClick={() => {
                onTake(value)
                close()
              }}
            >
              {words}
            </button>
          ))}
        </div>
      )}
    </Popover>
  )
}
