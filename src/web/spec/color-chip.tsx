/** A colour: a token of the project, or a value of its own. */
import { lazy, Suspense } from 'react'
import { colorIn } from '../../core/document/resolve'
import { shortName, tokenIn } from '../../core/document/tokens'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'
import type { Unset } from './color-panel'
import { colorPanel } from './fetch-colors'
import { Swatch } from './swatch'

const ColorPanel = lazy(() => colorPanel().then((part) => ({ default: part.ColorPanel })))

const NONE: Unset = { word: 'none', color: undefined }

type Props = {
  label: string
  value: string | undefined
  none?: boolean
  unset?: Unset
  isInk?: boolean
  onChange: (value: string | null, gesture?: string) => void
}

export function ColorChip({ label, value, unset = NONE, onChange, ...asked }: Props) {
  const editor = useEditor()
  const token = tokenIn(value)
  const color = value ?? unset.color
  const shown = token === undefined ? (value ?? unset.word) : shortName(token)
  return (
    <Popover
      label={`${label}: ${shown}`}
      width={244}
      button={
        <>
          {color !== undefined && <Swatch color={colorIn(editor.tokens, color)} />}
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
