/** A look as a small block that has it, in the project's own tokens. */
import { useMemo } from 'react'
import { type LookOf, setBy } from '../../core/arrange/look'
import { resolved } from '../../core/document/resolve'
import { tokenProperties } from '../../core/handoff/token-rules'
import { writingFor } from '../../core/handoff/written'
import { lookDeclarations } from '../../core/properties/declarations'
import { ofKind } from '../../core/properties/table'
import { useEditor } from './use-editor'

/** What would make it larger than a swatch is. */
const SPACE = /^(padding|margin|font-size|line-height|-webkit-line-clamp|display)/

export function LookSwatch({ props }: { props: LookOf }) {
  const { tokens } = useEditor()
  const { outer, inner } = useMemo(() => {
    const own = ofKind('text', setBy(props))
    const node = { kind: 'text' as const }
    const declarations = lookDeclarations(
      'text',
      own,
      resolved(tokens, node as never, own),
      writingFor(tokens),
    )
    const shown = [...declarations].filter(([name]) => !SPACE.test(name))
    return {
      outer: tokenProperties(tokens).join(';'),
      inner: shown.map(([name, value]) => `${name}:${value}`).join(';'),
    }
  }, [props, tokens])
  return (
    <span
      aria-hidden
      className="grid h-9 w-14 flex-none place-items-center rounded-field bg-white"
      ref={(element) => {
        if (!element) return
        element.style.cssText = outer
        const block = element.firstElementChild as HTMLElement
        block.style.cssText = `${inner};font-size:13px;line-height:24px;width:40px;height:24px;text-align:center`
      }}
    >
      <span>Aa</span>
    </span>
  )
}
