/** Choosing a colour: the project's, or one of its own in any way that CSS writes one; with how words in it read, and its steps. */
import { Pipette } from 'lucide-react'
import { useEffect, useState } from 'react'
import { HexAlphaColorPicker } from 'react-colorful'
import { FORMATS, type Format, readColor, writeColor } from '../../core/color/formats'
import { stepsOf } from '../../core/color/steps'
import { colorIn } from '../../core/document/resolve'
import { colorValue, shortName, tokenIn } from '../../core/document/tokens'
import { nameProblem } from '../../core/tokens/instead'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Reading } from './reading'
import { Swatch } from './swatch'

/** What having none is called, and looks like: a colour or a token. */
export type Unset = { word: string; color: string | undefined }

export type ColorPanelProps = {
  unset: Unset
  label: string
  value: string | undefined
  none?: boolean
  /** Whether it is the colour of what is selected, its words', whose reading is said. */
  isInk?: boolean
  onChange: (value: string | null, gesture?: string) => void
  close: () => void
}

const OPTION =
  'flex items-center gap-2 truncate rounded-field px-1.5 py-1 text-left hover:bg-base-200 aria-selected:font-bold'

export function ColorPanel({ label, value, none = true, unset, isInk, onChange, close }: ColorPanelProps) {
  const editor = useEditor()
  const tokens = editor.tokens
  const [gesture, setGesture] = useState(makeId)
  const now = colorIn(tokens, value ?? unset.color)
  const take = (next: string | null) => {
    onChange(next)
    close()
  }
  return (
    <div className="grid grid-cols-1 gap-2 p-1">
      <div className="grid grid-cols-2 gap-0.5" role="listbox" aria-label={`${label} tokens`}>
        {none && (
          <button
            type="button"
            role="option"
            aria-selected={value === undefined}
            data-option
            className={OPTION}
            onClick={() => take(null)}
          >
            <Swatch color={colorIn(tokens, unset.color)} /> {unset.word}
          </button>
        )}
        {tokens.names('color').map((name) => (
          <button
            key={name}
            type="button"
            role="option"
            aria-selected={value === `{${name}}`}
            data-option
            className={OPTION}
            onClick={() => take(`{${name}}`)}
          >
            <Swatch color={tokens.lookup(name)?.value as string} /> {shortName(name)}
          </button>
        ))}
      </div>
      {isInk && <Reading onTake={take} />}
      <div className="rule-t grid grid-cols-1 gap-2 pt-2">
        {/* Its knobs are as wide as this is padded. */}
        <div className="px-3.5 py-1">
          <HexAlphaColorPicker
            style={{ width: '100%', height: 120 }}
            color={now ?? '#1d5c45'}
            onChange={(hex) => onChange(hex, gesture)}
            onPointerUp={() => setGesture(makeId())}
          />
        </div>
        <div className="flex items-start gap-1">
          <ColorField label={label} now={now} onChange={onChange} />
          <FromSheet onChange={onChange} />
        </div>
        {now && <Steps now={now} onChange={onChange} />}
        {now && tokenIn(value) === undefined && (
          <MakeToken now={now} onMade={(name) => onChange(`{${name}}`)} />
        )}
      </div>
    </div>
  )
}

/** Takes a colour that is seen on a sheet: the project's name for it, where it has one. */
function FromSheet({ onChange }: { onChange: (value: string) => void }) {
  const editor = useEditor()
  const isOn = editor.picking !== undefined
  const end = (color: string | undefined) => {
    editor.set({ picking: undefined })
    if (color) onChange(color)
  }
  useEffect(() => () => editor.set({ picking: undefined }), [editor])
  return (
    <button
      type="button"
      className="icon-button size-8 flex-none aria-pressed:bg-secondary"
      aria-label="Take a colour from a sheet"
      title="Take a colour from a sheet: press where it is seen"
      aria-pressed={isOn}
      onClick={() => editor.set({ picking: isOn ? undefined : end })}
    >
      <Pipette size={16} strokeWidth={1.75} aria-hidden />
    </button>
  )
}

/** The way in which colours are written, until it is changed. */
let lastFormat: Format = 'hex'

function ColorField({
  label,
  now,
  onChange,
}: {
  label: string
  now: string | undefined
  onChange: (value: string) => void
}) {
  const [format, setFormat] = useState(lastFormat)
  const [typed, setTyped] = useState<string>()
  const read = typed === undefined ? undefined : readColor(typed)
  const isWrong = typed !== undefined && typed !== '' && read === undefined
  const next = () => {
    lastFormat = FORMATS[(FORMATS.indexOf(format) + 1) % FORMATS.length]!
    setFormat(lastFormat)
    setTyped(undefined)
  }
  return (
    <div className="min-w-0 flex-1">
      <div className="flex gap-1">
        <input
          className="text-field min-w-0 flex-1 tabular-nums"
          aria-label={`${label} as hex, rgb, hsl or oklch`}
          aria-invalid={isWrong}
          placeholder="#1d5c45"
          value={typed ?? (now ? writeColor(now, format) : '')}
          onChange={(event) => {
            setTyped(event.target.value)
            const found = readColor(event.target.value)
            if (found) onChange(found.hex)
          }}
          onBlur={() => setTyped(undefined)}
        />
        <button
          type="button"
          className="plain-button w-11 flex-none px-1 text-small"
          title="Write it another way"
          aria-label={`Written as ${format}: write it another way`}
          onClick={next}
        >
          {format}
        </button>
      </div>
      {isWrong && (
        <p className="mt-1 text-small text-error">no colour: try #1d5c45 or oklch(0.43 0.08 163)</p>
      )}
      {read?.outside && (
        <p className="mt-1 text-small text-(--gold-text)">
          screens cannot show it: the nearest is {read.hex}
        </p>
      )}
    </div>
  )
}

/** Lighter and darker ones of its hue. */
function Steps({ now, onChange }: { now: string; onChange: (value: string) => void }) {
  return (
    <div className="flex overflow-hidden rounded-field" role="group" aria-label="Tints and shades">
      {stepsOf(now).map((hex) => (
        <button
          key={hex}
          type="button"
          className="focus-inside h-6 flex-1"
          style={{ background: hex }}
          title={hex}
          aria-label={`Take ${hex}`}
          onClick={() => onChange(hex)}
        />
      ))}
    </div>
  )
}

/** Makes a token of a value where it stands. */
function MakeToken({ now, onMade }: { now: string; onMade: (name: string) => void }) {
  const editor = useEditor()
  const [name, setName] = useState<string>()
  if (name === undefined)
    return (
      <button type="button" className="plain-button justify-start px-1.5" onClick={() => setName('')}>
        Make a token of it …
      </button>
    )
  const full = `color.${name.trim().toLowerCase().replace(/\s+/g, '-')}`
  const problem = name.trim() === '' ? undefined : nameProblem(editor.doc, full)
  const make = () => {
    if (name.trim() === '' || problem) return
    const token = { $type: 'color', $value: colorValue(now) }
    if (editor.commit([{ op: 'token', name: full, token }], `Make the colour ${full}`)) onMade(full)
  }
  return (
    <form
      className="flex flex-wrap gap-1"
      onSubmit={(event) => {
        event.preventDefault()
        make()
      }}
    >
      <input
        // biome-ignore lint/a11y/noAutofocus: asked for by the button in its place
        autoFocus
        className="text-field min-w-0 flex-1"
        aria-label="Name of the colour"
        placeholder="such as moss"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="line-button">
        Make
      </button>
      {problem && <p className="w-full text-small text-error">{problem}</p>}
    </form>
  )
}
