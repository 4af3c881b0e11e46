/** What every token has, of whichever kind: a name to change, where it is used, and a way to take it away. */
import { Trash2, Undo2 } from 'lucide-react'
import { type ReactNode, useMemo, useState } from 'react'
import { valueAt, type Where } from '../../core/document/token-variants'
import { shortName } from '../../core/document/tokens'
import { setEdit } from '../../core/tokens/elsewhere'
import { nameProblem, removeTokenEdits, renameTokenEdits, storedToken } from '../../core/tokens/instead'
import type { TokenUse } from '../../core/tokens/uses'
import { useEditor } from '../editor/use-editor'
import { openPageBackground } from '../lattice-bench/page-background'
import { Popover } from '../parts/popover'
import { RenameField } from '../parts/rename'

export type Uses = ReadonlyMap<string, readonly TokenUse[]>

const withGroup = (name: string, short: string) =>
  `${name.slice(0, name.indexOf('.'))}.${short.trim().toLowerCase().replace(/\s+/g, '-')}`

/** The tokens of a kind, and a way to one more. */
export function TokenList({
  names,
  uses,
  picture,
  values,
  empty,
  more,
  onMore,
}: {
  names: readonly string[]
  uses: Uses
  picture: (name: string) => ReactNode
  values: (name: string) => ReactNode
  /** What is said while there are none. */
  empty: string
  /** What the button for one more says. */
  more: string
  onMore: () => void
}) {
  return (
    <>
      <ul>
        {names.map((name) => (
          <TokenRow key={name} name={name} uses={uses.get(name)} others={names} picture={picture(name)}>
            {values(name)}
          </TokenRow>
        ))}
      </ul>
      {names.length === 0 && <p className="soft">{empty}</p>}
      <button type="button" className="line-button mt-3" onClick={onMore}>
        {more}
      </button>
    </>
  )
}

function TokenRow({
  name,
  uses,
  others,
  picture,
  children,
}: {
  name: string
  uses: readonly TokenUse[] | undefined
  /** Those of its kind. */
  others: readonly string[]
  picture: ReactNode
  children: ReactNode
}) {
  const editor = useEditor()
  const [renaming, setRenaming] = useState(false)
  const short = shortName(name)
  const rename = (typed: string) => {
    const to = withGroup(name, typed)
    const problem = nameProblem(editor.doc, to, name)
    if (problem) return editor.session.showNotice(problem.replace(/\.$/, ''))
    editor.commit(renameTokenEdits(editor.doc, name, to), `Rename ${short} to ${shortName(to)}`)
  }
  return (
    <li className="rule-b flex min-h-11 items-center gap-3 py-1" data-token={name}>
      {picture}
      {renaming ? (
        <RenameField
          label={`Name of ${short}`}
          value={short}
          className="w-40"
          onRename={rename}
          onDone={() => setRenaming(false)}
        />
      ) : (
        <button
          type="button"
          className="plain-button w-40 justify-start truncate px-1.5 font-semibold"
          title="Rename"
          onClick={() => setRenaming(true)}
        >
          {short}
        </button>
      )}
      <span className="flex flex-1 flex-wrap items-center gap-1.5">{children}</span>
      <UsesButton name={name} uses={uses ?? []} />
      <TakeAway name={name} count={uses?.length ?? 0} others={others} />
    </li>
  )
}

/** Takes back what a token says in a view or a theme, where it does. */
export function PutBack({ name, where }: { name: string; where: Where | undefined }) {
  const editor = useEditor()
  const { doc } = editor
  if (!where || valueAt(storedToken(doc.tokens, name)!, where) === undefined) return null
  const short = shortName(name)
  const place =
    'view' in where ? doc.view(where.view).name : doc.themes.find(({ id }) => id === where.theme)?.name
  return (
    <button
      type="button"
      className="icon-button size-6"
      title={`Of ${place} alone: put it back`}
      aria-label={`${short} has a value of its own in ${place}: put it back`}
      onClick={() => editor.commit([setEdit(doc, name, where, null)], `${short} in ${place} put back`)}
    >
      <Undo2 size={13} strokeWidth={1.75} aria-hidden />
    </button>
  )
}

/** How often a token is used, in words; and what selects that on the open page, where it is. */
export function useOf(name: string, uses: readonly TokenUse[]) {
  const editor = useEditor()
  const { pageId } = editor
  // Thousands of blocks may have one: they are found anew with the uses, not with every frame of a colour that is pulled.
  const { here, isPages } = useMemo(() => {
    const users = new Set(uses.filter(({ page }) => page === pageId).map(({ node }) => node))
    // The page itself cannot be selected.
    const isPages = users.delete(pageId)
    return { here: [...users], isPages }
  }, [uses, pageId])
  const words = uses.length === 0 ? 'not used' : uses.length === 1 ? 'used once' : `used ${uses.length} times`
  const select = () => {
    editor.set({ selection: here, dialog: undefined })
    editor.announce(
      `${here.length} ${here.length === 1 ? 'block' : 'blocks'} with ${shortName(name)} selected`,
    )
  }
  const leadToPage = () => {
    editor.set({ dialog: undefined })
    openPageBackground(editor)
  }
  return { here, words, select: here.length > 0 ? select : isPages ? leadToPage : undefined }
}

/** Selects what uses it on the open page. */
function UsesButton({ name, uses }: { name: string; uses: readonly TokenUse[] }) {
  const { here, words, select } = useOf(name, uses)
  const blocks = here.length === 1 ? 'block' : `${here.length} blocks`
  if (!select) return <span className="w-28 px-1.5 text-right text-small soft">{words}</span>
  return (
    <button
      type="button"
      className="plain-button w-28 justify-end px-1.5 text-small"
      title={here.length === 0 ? 'Show what the page is drawn on' : `Select the ${blocks} on this page`}
      aria-label={`${shortName(name)} is ${words}: ${here.length === 0 ? 'show the page’s background' : `select ${here.length} on this page`}`}
      onClick={select}
    >
      {words}
    </button>
  )
}

/** What is used is not just gone: blocks keep its value, or take another. */
function TakeAway({ name, count, others }: { name: string; count: number; others: readonly string[] }) {
  const editor = useEditor()
  const short = shortName(name)
  const take = (into?: string) =>
    editor.commit(
      removeTokenEdits(editor.doc, name, into),
      into === undefined ? `Take away ${short}` : `${shortName(into)} in place of ${short}`,
    )
  const icon = <Trash2 size={14} strokeWidth={1.75} aria-hidden />
  if (count === 0)
    return (
      <button
        type="button"
        className="icon-button size-6"
        aria-label={`Take away ${short}`}
        title="Take it away: nothing uses it"
        onClick={() => take()}
      >
        {icon}
      </button>
    )
  return (
    <Popover label={`Take away ${short}`} className="icon-button size-6" button={icon} width={240}>
      {(close) => (
        <div className="grid gap-1 p-1">
          <p className="px-1 leading-5">
            Used {count === 1 ? 'once' : `${count} times`}. What has it takes instead:
          </p>
          {[undefined, ...others.filter((other) => other !== name)].map((other) => (
            <button
              key={other ?? ''}
              type="button"
              data-option
              className="plain-button justify-start"
              onClick={() => {
                close()
                take(other)
              }}
            >
              {other === undefined ? 'the value that it has now' : shortName(other)}
            </button>
          ))}
        </div>
      )}
    </Popover>
  )
}

/** A name for one more, that none has. */
export function freeName(names: readonly string[], group: string, word: string): string {
  for (let n = 1; ; n++) {
    const name = `${group}.${word}${n === 1 ? '' : `-${n}`}`
    if (!names.includes(name)) return name
  }
}
