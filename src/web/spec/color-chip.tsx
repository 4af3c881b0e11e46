/** A colour: a token of the project, or a value of its own. */
import { lazy, Suspense } from 'react'
import { colorIn } from '../../core/document/resolve'
import { shortName, tokenIn } from '../../core/document/tokens'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'
import { colorPanel } from './fetch-colors'
import { Swatch } from './swatch'

const ColorPanel = lazy(() => colorPanel().then((part) => ({ default: part.ColorPanel })))

type Props = {
  label: string
  value: string | undefined
  none?: boolean
  /** What it is called while there is none. */
  unset?: string
  isInk?: boolean
  onChange: (value: string | null, gesture?: string) => void
}

export function ColorChip({ label, value, unset = 'none', onChange, ...asked }: Props) {
  const editor = useEditor()
  const token = tokenIn(value)
  const shown = token === undefined ? (value ?? unset) : shortName(token)
  return (
    <Popover
      label={`${label}: ${shown}`}
      width={244}
      button={
        <>
          {value !== undefined && <Swatch color={colorIn(editor.tokens, value)} />}
          {shown}
        </>
      }
    >
      {(close) => (
        <Suspense fallback={<p className="p-2 soft">Fetching the colours …</p>}>
          <ColorPanel
            label={label}
            value={value}
            unset={unset}
            {...asked}
            onChange={onChange}
            close={close}
          />
        </Suspense>
      )}
    </Popover>
  )
}
