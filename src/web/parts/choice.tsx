/** A chip with a list of choices: opens on what is chosen, goes by arrows, Home, End and what is typed; a long one is filtered. */
import { useState } from 'react'
import { fetchPanels, usePanels } from './floating'
import type { ChoiceProps, Option } from './floating-props'

export type { Option }

export function Choice<T>(props: ChoiceProps<T>) {
  const panels = usePanels()
  const [pressed, setPressed] = useState(false)
  const { label, options, value, shown, className = 'chip' } = props
  const current = options.find((option) => option.value === value)?.label ?? 'mixed'
  const name = `${label}: ${current}`
  if (panels)
    return (
      <panels.ChoiceList {...props} className={className} name={name} current={current} atOnce={pressed} />
    )
  return (
    <button
      type="button"
      role="combobox"
      className={className}
      aria-label={name}
      aria-haspopup="listbox"
      aria-expanded={false}
      onClick={() => {
        setPressed(true)
        fetchPanels().catch(() => setPressed(false))
      }}
    >
      {shown ?? current}
    </button>
  )
}
