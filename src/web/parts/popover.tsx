/** A button with a panel that floats at it. */
import { useState } from 'react'
import { fetchPanels, usePanels } from './floating'
import type { PopoverProps } from './floating-props'

export function Popover(props: PopoverProps) {
  const panels = usePanels()
  const [pressed, setPressed] = useState(false)
  if (panels) return <panels.PopoverPanel {...props} atOnce={pressed} />
  const { label, button, className = 'chip', title, disabled } = props
  return (
    <button
      type="button"
      className={className}
      title={title}
      aria-label={label}
      aria-haspopup="dialog"
      aria-expanded={false}
      disabled={disabled}
      onClick={() => {
        setPressed(true)
        fetchPanels().catch(() => setPressed(false))
      }}
    >
      {button}
    </button>
  )
}
