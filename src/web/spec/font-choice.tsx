/** A family of type, each shown in itself. */
import { useEffect, useRef } from 'react'
import { FAMILIES, familyNamed } from '../../core/text/fonts'
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

const OPTIONS: Option<string>[] = FAMILIES.map(({ family, category }) => ({
  value: family,
  label: family,
  hint: KINDS[category] ?? category,
  shown: <InItself family={family} />,
}))

/** Its font is fetched when it comes into sight. */
function InItself({ family }: { family: string }) {
  const name = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    const element = name.current
    if (!element) return
    const observer = new IntersectionObserver(([entry]) => {
      if (!entry.isIntersecting) return
      observer.disconnect()
      void showFamily(family)
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [family])
  return (
    <span ref={name} className="text-large leading-6" style={{ fontFamily: `"${family}"` }}>
      {family}
    </span>
  )
}

/** Those that a family has, in hundreds. */
export function weightsOf(family: string): number[] {
  const [least, most] = familyNamed(family)?.weights ?? [100, 900]
  return [100, 200, 300, 400, 500, 600, 700, 800, 900].filter((weight) => weight >= least && weight <= most)
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
  return <Choice label={label} width={290} options={OPTIONS} value={value} onChoose={onChoose} />
}
