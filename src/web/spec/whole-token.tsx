/** A token in the place of a whole shadow, of a gradient's colours, of a border: chosen, made of what there is, or left for values of its own. */
import { useState } from 'react'
import { shortName, tokenIn } from '../../core/document/tokens'
import type { Edit } from '../../core/edits/edit'
import { nameProblem } from '../../core/tokens/instead'
import { lookText } from '../../core/tokens/look-text'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'

export type WholeType = 'shadow' | 'gradient' | 'border'

/** What it looks like. */
export function WholePicture({ type, name }: { type: WholeType; name: string }) {
  const editor = useEditor()
  const css = lookText(editor.tokens, name)
  if (type === 'gradient')
    return (
      <i
        aria-hidden
        className="h-3.5 w-11 flex-none rounded-xs border border-base-300"
        style={{ background: `linear-gradient(90deg, ${css}) #fff` }}
      />
    )
  return (
    <i
      aria-hidden
      className="h-3.5 w-7 flex-none rounded-xs bg-white"
      style={type === 'shadow' ? { boxShadow: css } : { border: css }}
    />
  )
}

export function WholeToken({
  label,
  type,
  value,
  none = 'its own',
  asToken,
  edits,
}: {
  label: string
  type: WholeType
  /** A reference; left out: it has values of its own. */
  value: string | undefined
  /** What is said while no token is taken. */
  none?: string
  /** Its own values as those of a token. */
  asToken: () => unknown
  /** What takes a token, or with `undefined` that token's values for its own. */
  edits: (reference: string | undefined) => Edit[]
}) {
  const editor = useEditor()
  const names = editor.doc.tokenTable.names(type)
  const now = tokenIn(value)
  const shown = now === undefined ? none : shortName(now)
  const take = (reference: string | undefined, first: Edit[] = []) =>
    editor.commit([...first, ...edits(reference)], label)
  return (
    <Popover
      label={`${label}: ${shown}`}
      width={220}
      button={
        <>
          {now !== undefined && <WholePicture type={type} name={now} />}
          {shown}
        </>
      }
    >
      {(close) => (
        <div className="grid gap-0.5 p-1">
          {names.map((name) => (
            <button
              key={name}
              type="button"
              data-option
              className="plain-button justify-start gap-2"
              aria-pressed={name === now}
              onClick={() => {
                close()
                take(`{${name}}`)
              }}
            >
              <WholePicture type={type} name={name} />
              {shortName(name)}
            </button>
          ))}
          {now !== undefined && (
            <button
              type="button"
              data-option
              className="plain-button justify-start"
              onClick={() => {
                close()
                take(undefined)
              }}
            >
              values of its own
            </button>
          )}
          {now === undefined && (
            <MakeToken
              type={type}
              onMake={(name) => {
                close()
                take(`{${name}}`, [{ op: 'token', name, token: { $type: type, $value: asToken() } }])
              }}
            />
          )}
        </div>
      )}
    </Popover>
  )
}

function MakeToken({ type, onMake }: { type: WholeType; onMake: (name: string) => void }) {
  const editor = useEditor()
  const [typed, setTyped] = useState('')
  const name = `${type}.${typed.trim().toLowerCase().replace(/\s+/g, '-')}`
  const problem = typed.trim() === '' ? undefined : nameProblem(editor.doc, name)
  return (
    <form
      className="grid gap-1 pt-1"
      onSubmit={(event) => {
        event.preventDefault()
        if (typed.trim() !== '' && !problem) onMake(name)
      }}
    >
      <label className="grid gap-1">
        <span className="soft">Make a token of it, called</span>
        <input
          data-first
          className="field"
          aria-label={`Name of the ${type} token`}
          value={typed}
          placeholder={type === 'shadow' ? 'card' : type === 'border' ? 'hair' : 'dusk'}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {problem && <p className="text-small text-error">{problem}</p>}
      <button type="submit" className="line-button justify-self-start" disabled={typed.trim() === ''}>
        Make it
      </button>
    </form>
  )
}
