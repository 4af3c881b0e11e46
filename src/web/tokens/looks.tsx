/** Shadows, gradients and borders of the project: each seen, its values changed where they stand. */
import type { ReactNode } from 'react'
import type { BorderValue, ShadowValue, StopValue } from '../../core/document/composite-tokens'
import { shortName } from '../../core/document/tokens'
import type { Border } from '../../core/properties/look'
import { setEdit } from '../../core/tokens/elsewhere'
import { saidIn } from '../../core/tokens/instead'
import { borderAsToken, shadowsAsToken, stopsAsToken } from '../../core/tokens/look-text'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'
import { BorderChips } from '../spec/borders'
import { StopLines } from '../spec/gradient-chip'
import { ShadowChips } from '../spec/shadows'
import { WholePicture, type WholeType } from '../spec/whole-token'
import { freeName, TokenList, type Uses } from './token-row'

const BEGIN: Record<WholeType, unknown> = {
  shadow: shadowsAsToken([{ x: 0, y: 4, blur: 16, spread: 0, color: '#1c2b2433' }]),
  gradient: stopsAsToken([
    { color: '#1d5c45', at: 0 },
    { color: '#f3efe4', at: 100 },
  ]),
  border: borderAsToken({ width: 1 }, '#1c2b24'),
}

const KINDS: { type: WholeType; title: string; more: string; empty: string }[] = [
  {
    type: 'shadow',
    title: 'Shadows',
    more: 'New shadow',
    empty: 'No shadows yet. Make one here, or of a block’s shadow in the spec.',
  },
  {
    type: 'gradient',
    title: 'Gradients',
    more: 'New gradient',
    empty: 'No gradients yet. Make one here, or of a fill in the spec.',
  },
  {
    type: 'border',
    title: 'Borders',
    more: 'New border',
    empty: 'No borders yet. Make one here, or of a block’s border in the spec.',
  },
]

export function Looks({ uses }: { uses: Uses }) {
  const editor = useEditor()
  const { doc } = editor
  return (
    <div className="grid gap-5">
      {KINDS.map(({ type, title, more, empty }) => {
        const next = freeName(doc.tokenTable.names(), type, 'new')
        return (
          <section key={type} aria-label={title}>
            <h3 className="font-bold">{title}</h3>
            <TokenList
              names={doc.tokenTable.names(type)}
              uses={uses}
              picture={(name) => (
                // On a sheet's white, whatever the theme: on dark ground no shadow is seen.
                <span
                  className={`grid w-20 flex-none justify-items-center p-2 ${type === 'gradient' ? '' : 'rounded-field bg-white'}`}
                >
                  <WholePicture type={type} name={name} />
                </span>
              )}
              values={(name) => <Values name={name} type={type} />}
              empty={empty}
              more={more}
              onMore={() =>
                editor.commit(
                  [{ op: 'token', name: next, token: { $type: type, $value: BEGIN[type] } }],
                  more,
                )
              }
            />
          </section>
        )
      })}
    </div>
  )
}

function Values({ name, type }: { name: string; type: WholeType }) {
  const editor = useEditor()
  const { doc } = editor
  const short = shortName(name)
  const set = (value: unknown, gesture?: string) =>
    editor.commit(
      [setEdit(doc, name, undefined, value)],
      `Token ${short}`,
      gesture && `token-${name}-${gesture}`,
    )
  // Colours that are other tokens stay these.
  const said = saidIn(doc, name)
  if (type === 'shadow') {
    const shadows = said as ShadowValue[]
    return (
      <Open
        label={`Values of ${short}`}
        words={shadows.length === 1 ? 'one shadow' : `${shadows.length} shadows`}
      >
        {shadows.map((shadow, i) => (
          <div key={i} className="flex flex-wrap items-center gap-1.5">
            <ShadowChips
              shadow={shadow}
              number={i}
              onChange={(next, gesture) => set(shadowsAsToken(shadows.with(i, next)), gesture)}
            />
            {shadows.length > 1 && (
              <button
                type="button"
                className="plain-button text-small"
                onClick={() => set(shadowsAsToken(shadows.filter((_, at) => at !== i)))}
              >
                Remove
              </button>
            )}
          </div>
        ))}
        {shadows.length < 16 && (
          <button
            type="button"
            className="plain-button justify-self-start text-primary"
            onClick={() => set(shadowsAsToken([...shadows, shadows.at(-1)!]))}
          >
            Another shadow
          </button>
        )}
      </Open>
    )
  }
  if (type === 'gradient') {
    const stops = said as StopValue[]
    return (
      <Open label={`Values of ${short}`} words={`${stops.length} colours`}>
        <StopLines stops={stops} onChange={(next, gesture) => set(stopsAsToken(next), gesture)} />
      </Open>
    )
  }
  const border = said as BorderValue
  return (
    <BorderChips
      label={short}
      border={border}
      onChange={(change: Partial<Border>, gesture) =>
        set(borderAsToken({ ...border, ...change }, border.color), gesture)
      }
    />
  )
}

function Open({ label, words, children }: { label: string; words: string; children: ReactNode }) {
  return (
    <Popover label={label} button={words} width={300}>
      {() => <div className="grid gap-1.5 p-1">{children}</div>}
    </Popover>
  )
}
