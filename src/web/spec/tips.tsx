/** What lines begin and end with. */

import { type Form, TIPS, type Tip } from '../../core/forms/form'
import { areLines } from '../../core/forms/form-svg'
import { Choice } from '../parts/choice'

const WORDS: Record<Tip, string> = { arrow: 'an open arrow', head: 'a filled arrow', dot: 'a dot' }
const OPTIONS = [
  { value: undefined, label: 'nothing' },
  ...TIPS.map((value) => ({ value, label: WORDS[value] })),
]

/** Of other forms nothing is said. */
export function TipChoices({
  form,
  onChange,
}: {
  form: Form | undefined
  onChange: (form: Form, label: string) => void
}) {
  if (!areLines(form)) return null
  const choice = (at: 'start' | 'end', label: string) => (
    <Choice
      label={label}
      options={OPTIONS}
      value={form[at]}
      onChoose={(tip) => {
        const { [at]: _, ...rest } = form
        onChange(tip ? { ...rest, [at]: tip } : rest, label)
      }}
    />
  )
  return (
    <>
      <span>from</span>
      {choice('start', 'Beginning of the line')}
      <span>to</span>
      {choice('end', 'End of the line')}
    </>
  )
}
