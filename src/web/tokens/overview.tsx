/** All tokens at a glance, as large as they are: colours theme by theme, type in itself, spaces by their length, looks on a sheet. */
import type { ReactNode } from 'react'
import { contrastOf } from '../../core/color/contrast'
import { shortName, type Typography } from '../../core/document/tokens'
import { fontStack } from '../../core/handoff/css'
import { lookText } from '../../core/tokens/look-text'
import { useEditor } from '../editor/use-editor'
import type { WholeType } from '../spec/whole-token'
import { NewThemeButton } from './theme-columns'
import { type Uses, useOf } from './token-row'

/** A specimen is never larger, px: a heading of a poster would push all else away. */
const TALLEST = 72

export function Overview({ uses, open }: { uses: Uses; open: (part: string) => void }) {
  const { doc } = useEditor()
  if (doc.tokenTable.names().length === 0)
    return (
      <p className="leading-5 soft">
        No tokens yet. Make a colour, a type style or a space on its page here, or of any value where it
        stands in the spec; or take in a tokens file below.
      </p>
    )
  return (
    <div className="grid gap-7 pb-2">
      <Swatches uses={uses} open={open} />
      <Specimens uses={uses} open={open} />
      <Lengths uses={uses} open={open} />
      <LookCards uses={uses} open={open} />
    </div>
  )
}

type PartProps = { uses: Uses; open: (part: string) => void }

/** @param part the page on which it is changed */
function Part({
  title,
  part,
  open,
  more,
  children,
}: {
  title: string
  part: string
  open: (part: string) => void
  more?: ReactNode
  children: ReactNode
}) {
  return (
    <section aria-label={title}>
      <div className="mb-2 flex items-baseline gap-2">
        <h3 className="text-large font-bold">{title}</h3>
        <button type="button" className="plain-button text-small text-primary" onClick={() => open(part)}>
          Change
        </button>
        {more && <span className="ml-auto">{more}</span>}
      </div>
      {children}
    </section>
  )
}

/** One of its kind: pressed, what uses it on the open page is selected. */
function Shown({
  name,
  uses,
  className,
  children,
}: {
  name: string
  uses: Uses
  className: string
  children: ReactNode
}) {
  const { words, select } = useOf(name, uses.get(name) ?? [])
  if (!select)
    return (
      <div className={className} title={words}>
        {children}
      </div>
    )
  return (
    <button
      type="button"
      className={`${className} cursor-pointer text-left hover:outline-2 hover:outline-primary/40`}
      title={`${words}: select it on this page`}
      aria-label={`${shortName(name)}, ${words}: select it on this page`}
      onClick={select}
    >
      {children}
    </button>
  )
}

function Swatches({ uses, open }: PartProps) {
  const { doc, view } = useEditor()
  const names = doc.tokenTable.names('color')
  if (names.length === 0) return null
  const themes = doc.themes.length > 1 ? doc.themes : [undefined]
  return (
    <Part title="Colours" part="colors" open={open} more={<NewThemeButton />}>
      <div
        className="grid gap-4"
        style={{ gridTemplateColumns: `repeat(${Math.min(2, themes.length)}, minmax(0, 1fr))` }}
      >
        {themes.map((theme, i) => {
          const tokens = doc.tokensAt(view.id, i === 0 ? undefined : theme?.id)
          return (
            <div key={theme?.id ?? ''} className="min-w-0">
              {theme && <h4 className="mb-1 font-semibold">{theme.name}</h4>}
              <ul className="grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] overflow-hidden rounded-box border border-base-content/15">
                {names.map((name) => {
                  const color = tokens.lookup(name)!.value as string
                  const ink =
                    contrastOf('#ffffff', color) >= contrastOf('#000000', color) ? '#ffffff' : '#000000'
                  return (
                    <li key={name} className="grid">
                      <Shown name={name} uses={uses} className="block -outline-offset-2">
                        <span
                          data-sample
                          className="flex h-19 flex-col justify-end px-2 py-1.5 leading-4"
                          style={{ background: color, color: ink }}
                        >
                          <b className="truncate">{shortName(name)}</b>
                          <span className="text-small tabular-nums">{color}</span>
                        </span>
                      </Shown>
                    </li>
                  )
                })}
              </ul>
            </div>
          )
        })}
      </div>
    </Part>
  )
}

function Specimens({ uses, open }: PartProps) {
  const editor = useEditor()
  const { doc, view } = editor
  const tokens = doc.tokensAt(view.id)
  const typeOf = (name: string) => tokens.lookup(name)!.value as Typography
  const names = doc.tokenTable.names('typography').toSorted((a, b) => typeOf(b).fontSize - typeOf(a).fontSize)
  if (names.length === 0) return null
  return (
    <Part title={`Type, ${view.name}`} part="type" open={open}>
      <ul>
        {names.map((name) => {
          const type = typeOf(name)
          const { fontFamily, fontSize, fontWeight, lineHeight, letterSpacing } = type
          return (
            <li key={name} className="rule-b">
              <Shown
                name={name}
                uses={uses}
                className="flex w-full items-center gap-4 py-2 -outline-offset-2"
              >
                <span className="w-46 flex-none leading-4">
                  <b>{shortName(name)}</b>
                  <span className="block text-small soft tabular-nums">
                    {fontFamily} {fontWeight}, {round(fontSize)} × {round(lineHeight)}
                  </span>
                </span>
                <span
                  aria-hidden
                  className="min-w-0 flex-1 truncate"
                  style={{
                    fontFamily: fontStack(fontFamily),
                    fontWeight,
                    fontSize: Math.min(TALLEST, fontSize),
                    lineHeight: 1.2,
                    letterSpacing: fontSize > TALLEST ? undefined : letterSpacing,
                  }}
                >
                  {doc.name}
                </span>
              </Shown>
            </li>
          )
        })}
      </ul>
    </Part>
  )
}

const round = (value: number) => Math.round(value * 100) / 100

function Lengths({ uses, open }: PartProps) {
  const { doc, view } = useEditor()
  const tokens = doc.tokensAt(view.id)
  const lengthOf = (name: string) => tokens.lookup(name)!.value as number
  const names = doc.tokenTable.names('dimension').toSorted((a, b) => lengthOf(a) - lengthOf(b))
  if (names.length === 0) return null
  return (
    <Part title={`Spaces, ${view.name}`} part="spaces" open={open}>
      <ul className="flex flex-wrap items-end gap-4">
        {names.map((name) => (
          <li key={name}>
            <Shown name={name} uses={uses} className="block rounded-field p-1">
              <i
                aria-hidden
                className="mb-1 block rounded-xs bg-primary/25 outline-1 -outline-offset-1 outline-primary/50"
                style={{ width: Math.min(160, lengthOf(name)), height: Math.min(160, lengthOf(name)) }}
              />
              <b>{shortName(name)}</b>{' '}
              <span className="text-small soft tabular-nums">{round(lengthOf(name))}</span>
            </Shown>
          </li>
        ))}
      </ul>
    </Part>
  )
}

const WHOLE: readonly WholeType[] = ['shadow', 'gradient', 'border']

function LookCards({ uses, open }: PartProps) {
  const { doc } = useEditor()
  const cards = WHOLE.flatMap((type) => doc.tokenTable.names(type).map((name) => ({ type, name })))
  if (cards.length === 0) return null
  return (
    <Part title="Looks" part="looks" open={open}>
      <ul className="flex flex-wrap gap-3">
        {cards.map(({ type, name }) => (
          <li key={name}>
            <Shown name={name} uses={uses} className="block rounded-field">
              {/* On a sheet's white, whatever the theme: on dark ground no shadow is seen. */}
              <span
                data-sample
                className="grid w-40 place-items-center rounded-field bg-white p-6 text-black"
              >
                <LookSample type={type} name={name} />
              </span>
              <span className="mt-1 block px-1">
                <b>{shortName(name)}</b> <span className="text-small soft">{type}</span>
              </span>
            </Shown>
          </li>
        ))}
      </ul>
    </Part>
  )
}

function LookSample({ type, name }: { type: WholeType; name: string }) {
  const editor = useEditor()
  const css = lookText(editor.tokens, name)
  const style =
    type === 'gradient'
      ? { background: `linear-gradient(90deg, ${css})` }
      : type === 'shadow'
        ? { boxShadow: css, background: '#ffffff' }
        : { border: css }
  return <i aria-hidden className="h-14 w-28 rounded-field" style={style} />
}
