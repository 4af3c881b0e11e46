/** Colours out of a picture become tokens. */
import { useState } from 'react'
import { colorWords } from '../../core/color/called'
import type { Asset } from '../../core/document/schema'
import { colorValue } from '../../core/document/tokens'
import type { Edit } from '../../core/edits/edit'
import { type PaletteColor, paletteOf } from '../../core/pictures/palette'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'
import { pixelsOf } from '../session/picture-pixels'
import { PictureList } from '../spec/picture-list'
import { freeName } from './token-row'

/** Longest side that is looked at, px. */
const LOOKED = 400
/** Most colours that are offered. */
const OFFERED = 8
/** Of these so many are wanted until somebody says otherwise. */
const WANTED = 5

type Found = { asset: Asset; colors: PaletteColor[] }

export function FromPicture() {
  return (
    <Popover
      label="Colours from a picture"
      button="Colours from a picture"
      className="line-button mt-3 ml-2"
      width={300}
    >
      {(close) => <Inside close={close} />}
    </Popover>
  )
}

function Inside({ close }: { close: () => void }) {
  const editor = useEditor()
  const [found, setFound] = useState<Found>()
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [problem, setProblem] = useState<string>()
  const look = async (asset: Asset) => {
    try {
      const colors = paletteOf((await pixelsOf(asset, LOOKED)).pixels, OFFERED)
      setFound({ asset, colors })
      setLeft(new Set(colors.slice(WANTED).map(({ hex }) => hex)))
    } catch {
      setProblem(`“${asset.name}” cannot be read`)
    }
  }
  if (!found)
    return (
      <>
        <PictureList chosen={undefined} onChoose={(asset) => void look(asset)} />
        {problem && (
          <p role="alert" className="p-2 text-small text-error">
            {problem}.
          </p>
        )}
      </>
    )
  const chosen = found.colors.filter(({ hex }) => !left.has(hex))
  const toggle = (hex: string) => {
    const next = new Set(left)
    if (!next.delete(hex)) next.add(hex)
    setLeft(next)
  }
  return (
    <>
      <fieldset aria-label={`Colours of ${found.asset.name}`}>
        {found.colors.map(({ hex, share }) => (
          <label key={hex} className="flex min-h-7 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs checkbox-primary"
              checked={!left.has(hex)}
              onChange={() => toggle(hex)}
            />
            <span
              aria-hidden
              className="h-5 w-9 rounded-field border border-base-content/15"
              style={{ background: hex }}
            />
            <span className="flex-1">{colorWords(hex).replace(/-/g, ' ')}</span>
            <span className="text-small soft tabular-nums">{Math.max(1, Math.round(share * 100))} %</span>
          </label>
        ))}
      </fieldset>
      {found.colors.length === 0 && <p className="p-2 soft">Nothing of it can be seen.</p>}
      <button
        type="button"
        className="main-button mt-2"
        disabled={chosen.length === 0}
        onClick={() => {
          if (addTokens(editor, found.asset, chosen)) close()
        }}
      >
        {chosen.length === 1 ? 'Make it a token' : `Make ${chosen.length} tokens`}
      </button>
    </>
  )
}

function addTokens(editor: Editor, { name }: Asset, colors: readonly PaletteColor[]): boolean {
  const names = new Set(editor.doc.tokenTable.names())
  const edits = colors.map(({ hex }): Edit => {
    const token = freeName([...names], 'color', colorWords(hex))
    names.add(token)
    return { op: 'token', name: token, token: { $type: 'color', $value: colorValue(hex) } }
  })
  return editor.commit(edits, `${edits.length} colours of ${name}`)
}
