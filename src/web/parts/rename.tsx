/** A name that is edited in place. */
import { useState } from 'react'

type Props = {
  label: string
  value: string
  onRename: (name: string) => void
  onDone: () => void
  className?: string
}

export function RenameField({ label, value, onRename, onDone, className = '' }: Props) {
  const [text, setText] = useState(value)
  const take = () => {
    const name = text.trim().slice(0, 200)
    if (name !== '' && name !== value) onRename(name)
    onDone()
  }
  return (
    <input
      // biome-ignore lint/a11y/noAutofocus: it replaces the name the user asked to change
      autoFocus
      aria-label={label}
      className={`text-field min-w-0 ${className}`}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onFocus={(event) => event.target.select()}
      onBlur={take}
      onPointerDown={(event) => event.stopPropagation()}
      onClick={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') take()
        if (event.key === 'Escape') onDone()
      }}
    />
  )
}
