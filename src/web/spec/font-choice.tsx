/** A family of type, each shown in itself. */
import { useEffect, useMemo, useRef } from 'react'
import { fontStack } from '../../core/handoff/css'
import { FAMILIES, familyNamed } from '../../core/text/families'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'
import { showFamily } from '../session/fonts'

const KINDS: Record<string, string> = {
  sans: 'sans',
  serif: 'serif',
  slab: 'slab',
  display: 'for headings',
  mono: 'of one width',
  hand: 'by hand',
}

const SHIPPED: Option<string>[] = FAMILIES.map(({ family, category }) => ({
  value: family,
  label: family,
  hint: KINDS[category] ?? category,
  shown: <InItself family={family} />,
}))

/** What is chosen to bring in another. */
const ADD = 'add'

/** A family's name, by its name or id; its font is fetched when it comes into sight. */
export function InItself({ family }: { family: string }) {
  const name = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    const element = name.current
    if (!element) return
    const observer = new IntersectionObserver(([entry]) => {
      if (!entry!.isIntersecting) return
      observer.disconnect()
      void showFamily(family)
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [family])
  return (
    <span ref={name} className="text-large leading-6" style={{ fontFamily: fontStack(family) }}>
      {familyNamed(family)?.family ?? family}
    </span>
  )
}

const HUNDREDS = [100, 200, 300, 400, 500, 600, 700, 800, 900]

/** In hundreds, where it has all from one to another. */
function weightsIn(family: string): number[] {
  const known = familyNamed(family)
  if (!known) return HUNDREDS
  return [...known.upright, ...known.slanted].flatMap(({ weights: [least, most] }) =>
    least === most ? [least] : HUNDREDS.filter((weight) => weight >= least && weight <= most),
  )
}

/** The weights that a family has, and the one that is set: another's may be, and the nearest is drawn then. */
export function weightsOf(family: string, now: number | undefined): Option<number>[] {
  const own = new Set(weightsIn(family))
  return [...new Set([...own, ...(now === undefined ? [] : [now])])]
    .sort((a, b) => a - b)
    .map((weight) => ({
      value: weight,
      label: `${weight}`,
      ...(own.has(weight) ? {} : { hint: 'not in this family' }),
    }))
}

export function FontChoice({
  label,
  value,
  onChoose,
}: {
  label: string
  value: string
  onChoose: (family: string) => void
}) {
  const editor = useEditor()
  const { fonts } = editor.doc
  const options = useMemo(
    (): Option<string>[] => [
      ...fonts.map(({ id, family }) => ({
        value: id,
        label: family,
        hint: 'your own',
        shown: <InItself family={id} />,
      })),
      ...SHIPPED,
      { value: ADD, label: 'Add a font of your own …' },
    ],
    [fonts],
  )
  return (
    <Choice
      label={label}
      width={290}
      options={options}
      value={value}
      onChoose={(family) => (family === ADD ? editor.set({ dialog: 'fonts' }) : onChoose(family))}
    />
  )
}
