/** A form as a chip: chosen by its picture, and what there is to say of it in numbers. */
import { type Form, pathOfForm } from '../../core/forms/form'
import { areLines, isTipped, tipPath, tipsIn } from '../../core/forms/form-svg'
import { pathData } from '../../core/forms/path'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'

/** What each begins with, in the order in which they are offered. */
const FORMS: { words: string; form: Form }[] = [
  { words: 'ellipse', form: { form: 'ellipse' } },
  { words: 'triangle', form: { form: 'polygon', sides: 3 } },
  { words: 'polygon', form: { form: 'polygon', sides: 6 } },
  { words: 'star', form: { form: 'star', points: 5, depth: 50 } },
  { words: 'ring', form: { form: 'arc', from: 0, sweep: 360, hole: 60 } },
  { words: 'arc', form: { form: 'arc', from: -90, sweep: 180, hole: 60 } },
  { words: 'arch', form: { form: 'arch' } },
  { words: 'wave', form: { form: 'wave', crests: 3, depth: 20 } },
  { words: 'blob', form: { form: 'blob', seed: 7, points: 6, swing: 35 } },
]
const LINES: { words: string; form: Form }[] = [
  { words: 'line', form: { form: 'line', slope: 'level' } },
  { words: 'slanted line', form: { form: 'line', slope: 'rising' } },
  { words: 'arrow', form: { form: 'line', slope: 'level', end: 'arrow' } },
]

/** What of a form is a number: its key, words, unit, bounds. */
const NUMBERS: {
  [K in Form['form']]?: [key: string, words: string, unit: string, min: number, max: number][]
} = {
  polygon: [
    ['sides', 'sides', '', 3, 24],
    ['round', 'round', ' %', 0, 100],
  ],
  star: [
    ['points', 'points', '', 3, 40],
    ['depth', 'deep', ' %', 0, 95],
    ['round', 'round', ' %', 0, 100],
  ],
  arc: [
    ['from', 'from', '°', -360, 360],
    ['sweep', 'over', '°', 1, 360],
    ['hole', 'hole', ' %', 0, 99],
  ],
  wave: [
    ['crests', 'crests', '', 1, 40],
    ['depth', 'deep', ' %', 1, 100],
  ],
  blob: [
    ['seed', 'another', '', 0, 9999],
    ['points', 'bends', '', 3, 16],
    ['swing', 'swing', ' %', 0, 100],
  ],
}

export const formWords = (form: Form): string => {
  if (form.form === 'polygon' && form.sides === 3) return 'triangle'
  if (isTipped(form)) return 'arrow'
  if (form.form === 'arc') return form.sweep === 360 ? 'ring' : 'arc'
  return form.form
}

export function FormPicture({ form, size = 16 }: { form: Form; size?: number }) {
  const path = pathOfForm(form)
  const isLine = areLines(form)
  return (
    <svg aria-hidden viewBox="-4 -4 108 108" width={size} height={size} className="flex-none">
      <path
        d={pathData(path)}
        fillRule="evenodd"
        fill={isLine ? 'none' : 'currentColor'}
        stroke={isLine ? 'currentColor' : 'none'}
        strokeWidth={10}
      />
      {isTipped(form) &&
        tipsIn(form, 100, 100).map(({ tip, x, y, turn }) => (
          <g
            key={`${x} ${y}`}
            stroke="currentColor"
            transform={`translate(${x} ${y}) rotate(${turn}) scale(10)`}
            // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by ourselves, of nothing that anybody said
            dangerouslySetInnerHTML={{ __html: tipPath(tip) }}
          />
        ))}
    </svg>
  )
}

export function FormChip({
  label,
  form,
  lines = false,
  none,
  onChange,
}: {
  label: string
  form: Form | undefined
  /** Whether lines are forms here. */
  lines?: boolean
  /** What is said where there is none, and chosen to have none; left out: there always is one. */
  none?: string
  onChange: (form: Form | null, gesture?: string) => void
}) {
  const words = form ? formWords(form) : (none ?? '')
  const offered = lines ? [...FORMS, ...LINES] : FORMS
  const isSame = (other: Form) => form !== undefined && formWords(other) === formWords(form)
  return (
    <Popover
      label={`${label}: ${words}`}
      width={236}
      button={
        <>
          {form && <FormPicture form={form} />}
          {words}
        </>
      }
    >
      {(close) => (
        <div className="grid gap-2 p-1">
          <div className="grid grid-cols-6 gap-0.5" role="listbox" aria-label={label}>
            {offered.map(({ words, form: each }) => (
              <button
                key={words}
                type="button"
                role="option"
                aria-selected={isSame(each)}
                aria-label={words}
                title={words}
                data-option
                className="grid size-8.5 place-items-center rounded-field hover:bg-base-200 aria-selected:bg-secondary aria-selected:text-secondary-content"
                onClick={() => onChange(each)}
              >
                <FormPicture form={each} size={20} />
              </button>
            ))}
          </div>
          {form && <FormNumbers label={label} form={form} onChange={onChange} />}
          {none && form && (
            <button
              type="button"
              className="plain-button justify-self-start"
              onClick={() => {
                onChange(null)
                close()
              }}
            >
              {none}
            </button>
          )}
        </div>
      )}
    </Popover>
  )
}

function FormNumbers({
  label,
  form,
  onChange,
}: {
  label: string
  form: Form
  onChange: (form: Form) => void
}) {
  const numbers = NUMBERS[form.form] ?? []
  if (numbers.length === 0) return null
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {numbers.map(([key, words, unit, min, max]) => (
        <span key={key} className="flex items-center gap-1">
          <span className="soft">{words}</span>
          <NumberChip
            label={`${label}: ${words}`}
            value={((form as Record<string, unknown>)[key] as number | undefined) ?? 0}
            unit={unit}
            context={{ min, max }}
            onChange={(value) =>
              onChange({
                ...form,
                [key]: /sides|points|crests|seed/.test(key) ? Math.round(value) : value,
              } as Form)
            }
          />
        </span>
      ))}
    </div>
  )
}
