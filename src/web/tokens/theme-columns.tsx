/** The themes of a project over the columns of its colours: named, made, taken away. */
import { Moon, Plus, Sun, X } from 'lucide-react'
import { useState } from 'react'
import type { Theme } from '../../core/document/schema'
import { pairsOn } from '../../core/tokens/pairs'
import { newThemeEdits, removeThemeEdits } from '../../core/tokens/themes'
import { turnedThemeEdits } from '../../core/tokens/turned-theme'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Popover } from '../parts/popover'
import { RenameField } from '../parts/rename'

/** As wide as a colour's chip below it. */
export const COLUMN = 'w-31 flex-none'

export function ThemeColumns() {
  const { doc } = useEditor()
  return (
    <div className="mb-1 flex items-center gap-3">
      <span className="w-40 flex-none pl-1.5 font-bold">Themes</span>
      <ul className="flex flex-wrap gap-1.5" aria-label="Themes">
        {doc.themes.map((theme, i) => (
          <ThemeName key={theme.id} theme={theme} isFirst={i === 0} />
        ))}
      </ul>
      <NewThemeButton />
    </div>
  )
}

export const NewThemeButton = () => (
  <Popover
    label="New theme"
    className="line-button"
    width={300}
    button={
      <>
        <Plus size={14} strokeWidth={1.75} aria-hidden /> New theme
      </>
    }
  >
    {(close) => <NewTheme close={close} />}
  </Popover>
)

function ThemeName({ theme, isFirst }: { theme: Theme; isFirst: boolean }) {
  const editor = useEditor()
  const [renaming, setRenaming] = useState(false)
  const { id, ...values } = theme
  const Icon = theme.scheme === 'dark' ? Moon : Sun
  const schemes = [undefined, 'light', 'dark'] as const
  const next = schemes[(schemes.indexOf(theme.scheme) + 1) % schemes.length]
  const put = (changed: Omit<Theme, 'id'>, label: string) =>
    editor.commit([{ op: 'theme', id, theme: changed }], label)
  const said = theme.scheme ? `for visitors who prefer ${theme.scheme}` : 'only where it is asked for'
  return (
    <li className={`flex items-center ${COLUMN}`} data-theme-column={id}>
      <button
        type="button"
        className={`icon-button size-6 ${theme.scheme ? '' : 'opacity-40'}`}
        title={`Shown ${said}`}
        aria-label={`${theme.name} is shown ${said}: change`}
        onClick={() => {
          const { scheme: _, ...rest } = values
          put(
            next ? { ...rest, scheme: next } : rest,
            `Theme ${theme.name} is for ${next ?? 'neither scheme'}`,
          )
        }}
      >
        <Icon size={14} strokeWidth={1.75} aria-hidden />
      </button>
      {renaming ? (
        <RenameField
          label={`Name of ${theme.name}`}
          value={theme.name}
          className="w-20"
          onRename={(name) => put({ ...values, name }, `Theme ${name}`)}
          onDone={() => setRenaming(false)}
        />
      ) : (
        <button
          type="button"
          className="plain-button min-w-0 flex-1 justify-start truncate px-1 font-semibold"
          title="Rename"
          onClick={() => setRenaming(true)}
        >
          {theme.name}
        </button>
      )}
      {!(isFirst && editor.doc.themes.length > 1) && (
        <button
          type="button"
          className="icon-button size-6"
          aria-label={`Take away ${theme.name}`}
          title={`Take ${theme.name} away`}
          onClick={() => {
            editor.commit(removeThemeEdits(editor.doc, id), `Take away the theme ${theme.name}`)
            editor.showThemes([])
          }}
        >
          <X size={13} strokeWidth={1.75} aria-hidden />
        </button>
      )}
    </li>
  )
}

function NewTheme({ close }: { close: () => void }) {
  const editor = useEditor()
  const { doc, layout } = editor
  const isFirst = doc.themes.length === 0
  const make = (theme: Omit<Theme, 'id'>, isTurned: boolean) => {
    close()
    const ids = { id: makeId(), first: makeId() }
    const edits = isTurned
      ? turnedThemeEdits(doc, ids, theme, layout ? pairsOn(layout) : [])
      : newThemeEdits(doc, ids, theme, new Map())
    if (!editor.commit(edits, `New theme ${theme.name}`)) return
    editor.showThemes(editor.doc.themes.map(({ id }) => id))
    editor.announce(`${theme.name} is on the board beside ${editor.doc.themes[0]!.name}`)
  }
  const [from] = doc.themes
  const isDark = from?.scheme === 'dark'
  const turnedName = isDark ? 'Light' : 'Dark'
  const name = (wanted: string) => {
    const taken = new Set([...doc.themes.map(({ name }) => name), ...(isFirst ? ['Light'] : [])])
    for (let n = 1; ; n++) {
      const free = n === 1 ? wanted : `${wanted} ${n}`
      if (!taken.has(free)) return free
    }
  }
  return (
    <div className="grid gap-1 p-1">
      {(
        [
          [
            isDark ? 'Light from dark' : 'Dark from light',
            'Every colour is turned in lightness; words that read well still do.',
            () => make({ name: name(turnedName), scheme: isDark ? 'light' : 'dark' }, true),
          ],
          ['With the same colours', 'To change one by one.', () => make({ name: name('Other') }, false)],
        ] as const
      ).map(([words, more, run]) => (
        <button
          key={words}
          type="button"
          data-option
          className="plain-button block h-auto p-1.5 text-left"
          onClick={run}
        >
          <b className="block">{words}</b>
          <span className="soft">{more}</span>
        </button>
      ))}
    </div>
  )
}
