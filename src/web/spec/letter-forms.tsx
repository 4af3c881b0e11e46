/** Other forms of letters, as far as the font has them (OpenType features). */
import type { Resolved } from '../../core/properties/table'
import { Check } from '../parts/check'
import { Popover } from '../parts/popover'
import { library } from '../session/fonts'

const WORDS: Readonly<Record<string, string>> = {
  smcp: 'small capitals',
  c2sc: 'capitals as small ones',
  pcap: 'petite capitals',
  case: 'signs that fit capitals',
  frac: 'fractions',
  afrc: 'fractions, one above the other',
  lnum: 'figures as high as capitals',
  pnum: 'figures of their own widths',
  zero: 'zero with a slash',
  sups: 'raised',
  subs: 'lowered',
  sinf: 'lowered, as in chemistry',
  dlig: 'more ligatures',
  hlig: 'ligatures of old',
  swsh: 'swashes',
  cswh: 'swashes where they fit',
  salt: 'other letters',
  titl: 'for titles',
  hist: 'letters of old',
  ornm: 'ornaments',
}

export function featureWords(tag: string): string {
  const [, kind, number] = /^(ss|cv)(\d\d)$/.exec(tag) ?? []
  if (kind === 'ss') return `set ${Number(number)} of other letters`
  if (kind === 'cv') return `another letter, ${Number(number)}`
  return WORDS[tag] ?? tag
}

const tagsIn = (features: string | undefined) =>
  features === undefined || features === 'normal' ? [] : features.split(' ')

export function LetterForms({
  resolved,
  onChange,
}: {
  resolved: Resolved
  onChange: (features: string | null) => void
}) {
  const { fontFamily: family, italic, fontWeight: weight } = resolved
  const has = library.primary({ family, italic: italic!, weight: weight! })?.features ?? []
  const on = tagsIn(resolved.features)
  const all = [...new Set([...has, ...on])]
  if (all.length === 0) return null
  const toggle = (tag: string, isOn: boolean) => {
    const next = all.filter((each) => (each === tag ? isOn : on.includes(each)))
    onChange(next.length === 0 ? null : next.join(' '))
  }
  const words = on.length === 0 ? 'letters as drawn' : on.map(featureWords).join(', ')
  return (
    <Popover
      label={`Letter forms: ${words}`}
      button={<span className="max-w-45 truncate">{words}</span>}
      width={260}
    >
      {() => (
        <fieldset aria-label="Letter forms" className="max-h-80 overflow-y-auto">
          {all.map((tag) => (
            <Check key={tag} on={on.includes(tag)} set={(isOn) => toggle(tag, isOn)}>
              <span className="flex-1">{featureWords(tag)}</span>
              <span className="text-small soft">{has.includes(tag) ? tag : 'not in this font'}</span>
            </Check>
          ))}
        </fieldset>
      )}
    </Popover>
  )
}
