/** What is selected in the text that is being written, and how it may look. */
import {
  Bold,
  Code,
  Italic,
  List,
  ListOrdered,
  Strikethrough,
  Subscript,
  Superscript,
  Underline,
} from 'lucide-react'
import { useSyncExternalStore } from 'react'
import type { Node } from '../../core/document/document'
import { linkFrom, linkProblem, linkShown } from '../../core/properties/links'
import type { Script } from '../../core/text/script-box'
import { MIXED } from '../../core/words/selection'
import type { Look } from '../../core/words/words'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import type { Typing } from '../text/typing'
import { ColorChip } from './color-chip'
import { Group } from './line'
import { Signs } from './signs'
import { useTyped } from './typed'

const ICON = { size: 15, strokeWidth: 2, 'aria-hidden': true } as const

/** A switch that leaves the focus in the text. */
function Switch({
  label,
  keys,
  on,
  press,
  children,
}: {
  label: string
  keys?: string
  on: boolean | typeof MIXED
  press: () => void
  children: React.ReactNode
}) {
  return (
    <button
      type="button"
      className="icon-button"
      aria-pressed={on === MIXED ? 'mixed' : on}
      aria-label={label}
      title={keys ? `${label} (${keys})` : label}
      onPointerDown={(event) => event.preventDefault()}
      onMouseDown={(event) => event.preventDefault()}
      onClick={press}
    >
      {children}
    </button>
  )
}

const WEIGHTS = [300, 400, 500, 600, 700, 800]
const CASES: { value: Look['case']; label: string }[] = [
  { value: undefined, label: 'as the text' },
  { value: 'none', label: 'as typed' },
  { value: 'uppercase', label: 'CAPITALS' },
  { value: 'lowercase', label: 'small letters' },
  { value: 'capitalize', label: 'Each Word' },
]

export function SelectedWords({ node, typing }: { node: Node; typing: Typing }) {
  useSyncExternalStore(typing.subscribe, () => typing.version)
  const words = typing.selected.trim()
  const count = words === '' ? 0 : words.split(/\s+/).length
  const aside = count === 0 ? 'for what you type next' : count === 1 ? 'one word' : `${count} words`
  return (
    <Group title="Selected words" aside={aside}>
      <Switches typing={typing} />
      <LookLine node={node} typing={typing} />
      <LinkField typing={typing} />
      <div className="pt-1">
        <Signs typing={typing} />
      </div>
    </Group>
  )
}

function Switches({ typing }: { typing: Typing }) {
  const { look, host, list } = typing
  const weight = look.weight ?? host.weight
  const italic = look.italic ?? host.italic
  const toggle = (name: 'underline' | 'strike' | 'code') => ({
    on: look[name] ?? false,
    press: () => typing.toggle(name),
  })
  const script = (which: Script): { on: boolean | typeof MIXED; press: () => void } => ({
    on: look.script === MIXED ? MIXED : look.script === which,
    press: () => typing.toggleScript(which),
  })
  return (
    <div className="flex min-h-7.5 items-center gap-0.5">
      <Switch
        label="Bold"
        keys="Ctrl B"
        on={weight === MIXED ? MIXED : weight >= 600}
        press={typing.toggleBold}
      >
        <Bold {...ICON} />
      </Switch>
      <Switch label="Italic" keys="Ctrl I" on={italic} press={typing.toggleItalic}>
        <Italic {...ICON} />
      </Switch>
      <Switch label="Underlined" keys="Ctrl U" {...toggle('underline')}>
        <Underline {...ICON} />
      </Switch>
      <Switch label="Struck through" {...toggle('strike')}>
        <Strikethrough {...ICON} />
      </Switch>
      <Switch label="Superscript" {...script('sup')}>
        <Superscript {...ICON} />
      </Switch>
      <Switch label="Subscript" {...script('sub')}>
        <Subscript {...ICON} />
      </Switch>
      <Switch label="Code" {...toggle('code')}>
        <Code {...ICON} />
      </Switch>
      {host.flowing && (
        <>
          <i aria-hidden className="mx-1 h-4 w-px bg-base-300" />
          <Switch
            label="Bulleted list"
            on={list === 'bullets'}
            press={() => typing.setList(list === 'bullets' ? undefined : 'bullets')}
          >
            <List {...ICON} />
          </Switch>
          <Switch
            label="Numbered list"
            on={list === 'numbers'}
            press={() => typing.setList(list === 'numbers' ? undefined : 'numbers')}
          >
            <ListOrdered {...ICON} />
          </Switch>
        </>
      )}
    </div>
  )
}

/** A chip with its word, kept on one line. */
const Pair = ({ label, children }: { label: string; children: React.ReactNode }) => (
  <span className="flex items-center gap-1.5">
    <span>{label}</span>
    {children}
  </span>
)

function LookLine({ node, typing }: { node: Node; typing: Typing }) {
  const editor = useEditor()
  const { look } = typing
  const { fontSize } = editor.resolved(node)
  const own = <T,>(value: T | typeof MIXED | undefined) => (value === MIXED ? undefined : value)
  const back = () => requestAnimationFrame(() => typing.view.focus())
  return (
    <div className="flex min-h-7.5 flex-wrap items-center gap-x-1.5 gap-y-1">
      <Pair label="Size">
        <NumberChip
          label="Size of the selected words"
          value={look.size === MIXED ? undefined : fontSize * (look.size ?? 1)}
          shown={look.size === MIXED ? 'mixed' : undefined}
          context={{ min: fontSize / 10, max: fontSize * 10 }}
          onChange={(px) => {
            typing.mark('size', px === fontSize ? undefined : px / fontSize)
            back()
          }}
        />
      </Pair>
      <Pair label="weight">
        <Choice
          label="Weight of the selected words"
          options={[
            { value: undefined as number | undefined, label: 'as the text' },
            ...WEIGHTS.map((weight) => ({ value: weight as number | undefined, label: String(weight) })),
          ]}
          value={own(look.weight)}
          shown={look.weight === MIXED ? 'mixed' : undefined}
          onChoose={(weight) => {
            typing.mark('weight', weight)
            back()
          }}
        />
      </Pair>
      <Pair label="ink">
        <ColorChip
          label="Ink of the selected words"
          value={own(look.color)}
          onChange={(color) => typing.mark('color', color ?? undefined)}
        />
      </Pair>
      <Pair label="case">
        <Choice
          label="Case of the selected words"
          options={CASES}
          value={own(look.case)}
          shown={look.case === MIXED ? 'mixed' : undefined}
          onChoose={(letters) => {
            typing.mark('case', letters)
            back()
          }}
        />
      </Pair>
    </div>
  )
}

function LinkField({ typing }: { typing: Typing }) {
  const editor = useEditor()
  const { link } = typing.look
  const shown = link === undefined || link === MIXED ? '' : linkShown(editor.doc.pages, link)
  const { field, problem } = useTyped(shown, (typed) => {
    const value = linkFrom(editor.doc.pages.values(), typed.trim())
    const wrong = value === '' ? undefined : linkProblem(value)
    if (wrong) return `Needs ${wrong}.`
    typing.mark('link', value === '' ? undefined : value)
    typing.view.focus()
    return undefined
  })
  return (
    <label className="flex min-h-8 flex-wrap items-center gap-x-2">
      <span className="flex-none">Leads to</span>
      <input
        data-word-link
        className="text-field min-w-0 flex-1"
        placeholder={link === MIXED ? 'several places' : '/page or address'}
        {...field}
      />
      {problem && (
        <span role="alert" className="w-full pb-1 text-small text-error">
          {problem}
        </span>
      )}
    </label>
  )
}
