/** Where a font that varies stands beside its weight: how wide, how soft, as far as it can (OpenType 1.9, fvar). */
import { axesIn, withAxis } from '../../core/properties/axes'
import type { Resolved } from '../../core/properties/table'
import { NumberChip } from '../parts/number-chip'
import { library } from '../session/fonts'

const WORDS: Readonly<Record<string, string>> = {
  wdth: 'width',
  opsz: 'optical size',
  slnt: 'slant',
  ital: 'italic',
  GRAD: 'grade',
  SOFT: 'softness',
  WONK: 'wonkiness',
  CASL: 'casualness',
  MONO: 'even widths',
  CRSV: 'cursive',
}
const UNITS: Readonly<Record<string, string>> = { wdth: ' %', slnt: '°' }

const axisWords = (tag: string) => WORDS[tag] ?? tag

export function FontAxes({
  resolved,
  onChange,
}: {
  resolved: Resolved
  onChange: (axes: string | null, words: string) => void
}) {
  const { fontFamily: family, italic, fontWeight: weight, axes = 'normal' } = resolved
  const has = library.primary({ family, italic: italic!, weight: weight! })?.axes ?? []
  const said = new Map(axesIn(axes))
  // What another family varied in stays said until it is taken back.
  const idle = [...said.keys()].filter((tag) => !has.some((axis) => axis.tag === tag))
  return (
    <>
      {has.map(({ tag, min, max, default: drawn }) => {
        const words = axisWords(tag)
        const label = `${words[0]!.toUpperCase()}${words.slice(1)} of the letters`
        const put = (value: number | undefined) =>
          onChange(withAxis(axes, tag, value === drawn ? undefined : value), label)
        return (
          <NumberChip
            key={tag}
            label={label}
            value={said.get(tag) ?? drawn}
            shown={said.has(tag) ? undefined : `${words} as drawn`}
            unit={`${UNITS[tag] ?? ''} ${words}`}
            context={{ min, max }}
            onClear={() => put(undefined)}
            onChange={put}
          />
        )
      })}
      {idle.map((tag) => (
        <NumberChip
          key={tag}
          label={`${axisWords(tag)}, which this font does not vary in`}
          value={said.get(tag)!}
          unit={`${UNITS[tag] ?? ''} ${axisWords(tag)}, not in this font`}
          context={{ min: -99_999, max: 99_999 }}
          onClear={() => onChange(withAxis(axes, tag, undefined), axisWords(tag))}
          onChange={(value) => onChange(withAxis(axes, tag, value), axisWords(tag))}
        />
      ))}
    </>
  )
}
