/** A field that narrows a list down by what is typed. Its keys are its own. */

type Props = {
  label: string
  /** What may be typed, as an example; left out: the label. */
  placeholder?: string
  value: string
  onChange: (sought: string) => void
  /** Takes the first that is found. */
  onEnter?: () => void
  className?: string
}

export const FindField = ({
  label,
  placeholder = label,
  value,
  onChange,
  onEnter,
  className = 'w-full',
}: Props) => (
  <input
    type="search"
    data-first
    className={`text-field ${className}`}
    aria-label={label}
    placeholder={placeholder}
    value={value}
    onChange={(event) => onChange(event.target.value)}
    onKeyDown={(event) => {
      if (event.key !== 'Escape') event.stopPropagation()
      if (event.key === 'Enter') onEnter?.()
    }}
  />
)
