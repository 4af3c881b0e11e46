/** A colour: a token of the project, or a value of its own. */
import { useState } from 'react'
import { HexAlphaColorPicker } from 'react-colorful'
import { colorIn } from '../../core/document/resolve'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'

export const Swatch = ({ color }: { color: string | undefined }) => (
  <i
    aria-hidden
    className="size-3.25 flex-none rounded-xs border border-base-content/20"
    style={{ background: color ?? 'repeating-conic-gradient(#bbb 0 25%, #fff 0 50%) 0 0/6px 6px' }}
  />
)

type Props = {
  label: string
  value: string | undefined
  none?: boolean
  onChange: (value: string | null, gesture?: string) => void
}

export function ColorChip({ label, value, none = true, onChange }: Props) {
  const editor = useEditor()
  const tokens = editor.doc.tokenTable
  const shown =
    value === undefined ? 'none' : value.startsWith('{') ? value.slice(1, -1).replace(/^color\./, '') : value
  const [gesture, setGesture] = useState(makeId)
  const [typed, setTyped] = useState<string>()
  const now = colorIn(tokens, value)
  const wrong = typed !== undefined && !/^#[0-9a-f]{6}([0-9a-f]{2})?$/i.test(typed)
  return (
    <Popover
      label={`${label}: ${shown}`}
      width={228}
      button={
        <>
          {value !== undefined && <Swatch color={now} />}
          {shown}
        </>
      }
    >
      {(close) => (
        <div className="grid gap-2 p-1">
          <div className="grid grid-cols-2 gap-0.5" role="listbox" aria-label={`${label} tokens`}>
            {none && (
              <button
                type="button"
                role="option"
                aria-selected={value === undefined}
                data-option
                className="flex items-center gap-2 rounded-field px-1.5 py-1 text-left hover:bg-base-200"
                onClick={() => {
                  onChange(null)
                  close()
                }}
              >
                <Swatch color={undefined} /> none
              </button>
            )}
            {tokens.names('color').map((name) => (
              <button
                key={name}
                type="button"
                role="option"
                aria-selected={value === `{${name}}`}
                data-option
                className="flex items-center gap-2 truncate rounded-field px-1.5 py-1 text-left hover:bg-base-200 aria-selected:font-bold"
                onClick={() => {
                  onChange(`{${name}}`)
                  close()
                }}
              >
                <Swatch color={tokens.lookup(name)?.value as string} /> {name.replace(/^color\./, '')}
              </button>
            ))}
          </div>
          <div className="rule-t pt-2">
            <HexAlphaColorPicker
              style={{ width: '100%', height: 120 }}
              color={now ?? '#1d5c45'}
              onChange={(hex) => onChange(hex, gesture)}
              onPointerUp={() => setGesture(makeId())}
            />
            <input
              className="text-field mt-2 w-full tabular-nums"
              aria-label={`${label} as hex`}
              aria-invalid={wrong}
              placeholder="#1d5c45"
              value={typed ?? now ?? ''}
              onChange={(event) => {
                setTyped(event.target.value)
                if (/^#[0-9a-f]{6}([0-9a-f]{2})?$/i.test(event.target.value))
                  onChange(event.target.value.toLowerCase())
              }}
              onBlur={() => setTyped(undefined)}
            />
            {wrong && <p className="mt-1 text-small text-error">six or eight hex digits after #</p>}
          </div>
        </div>
      )}
    </Popover>
  )
}
