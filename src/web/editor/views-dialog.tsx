/** The project's views: named, made wider and narrower, copied and taken away, with what that would lose. */
import { Copy, Trash2 } from 'lucide-react'
import { useState } from 'react'
import {
  freeName,
  lostWith,
  moreViewsEdits,
  removeViewEdits,
  withBreakpoint,
  withCopy,
  withView,
  withWidth,
} from '../../core/arrange/views'
import type { View } from '../../core/document/schema'
import type { Edit } from '../../core/edits/edit'
import { Dialog } from '../parts/dialog'
import { NumberChip } from '../parts/number-chip'
import { RenameField } from '../parts/rename'
import { changeViews } from './change-views'
import { makeId } from './editor-state'
import { WidthPicker } from './page-dialog'
import { useEditor } from './use-editor'

const ICON = { size: 15, strokeWidth: 1.75, 'aria-hidden': true } as const

export function ViewsDialog() {
  const editor = useEditor()
  const { doc } = editor
  const [problem, setProblem] = useState<string>()
  /** The view that is asked about: taking it away would lose something. */
  const [leaving, setLeaving] = useState<string>()
  const commit = (edits: Edit[] | string, label: string) => {
    const ok = typeof edits !== 'string' && editor.commit(edits, label)
    setProblem(typeof edits === 'string' ? edits : ok ? undefined : editor.session.notice)
    if (!ok && typeof edits !== 'string') editor.session.showNotice(undefined)
  }
  const put = (views: View[] | string, label: string) =>
    commit(typeof views === 'string' ? views : moreViewsEdits(doc, views), label)
  const remove = (view: View) => {
    setLeaving(undefined)
    commit(removeViewEdits(doc, view.id), `Remove view ${view.name}`)
  }
  return (
    <Dialog title="Views of this project" onClose={() => editor.set({ dialog: undefined })} width={600}>
      <ul className="mb-4 grid gap-1" aria-label="Views, widest first">
        {doc.views.map((view) => (
          <li key={view.id} className="rule-b py-1.5" data-view-row={view.id}>
            <ViewRow
              view={view}
              put={put}
              resize={(width) => {
                const views = withWidth(doc.views, view.id, width)
                if (typeof views === 'string') return setProblem(views)
                setProblem(undefined)
                changeViews(editor, views, `Width of ${view.name}`)
              }}
              leave={() => {
                const { blocks, pages } = lostWith(doc, view.id)
                if (blocks.length + pages.length === 0) remove(view)
                else setLeaving(view.id)
              }}
            />
            {leaving === view.id && (
              <Losing view={view} keep={() => setLeaving(undefined)} remove={() => remove(view)} />
            )}
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="mb-3 text-small text-error">
          {problem.charAt(0).toUpperCase() + problem.slice(1)}.
        </p>
      )}
      <p className="mb-1.5 font-semibold">Add a view</p>
      <WidthPicker
        views={doc.views}
        onAdd={(width, title) => {
          const next = withView(doc.views, title, width, makeId())
          if (typeof next === 'string') return next
          return editor.commit(moreViewsEdits(doc, next), `Add view ${title}`)
            ? undefined
            : editor.session.notice
        }}
      />
    </Dialog>
  )
}

function ViewRow({
  view,
  put,
  resize,
  leave,
}: {
  view: View
  put: (views: View[] | string, label: string) => void
  resize: (width: number) => void
  leave: () => void
}) {
  const { doc } = useEditor()
  const [naming, setNaming] = useState(false)
  const { id, name } = view
  return (
    <div className="flex items-center gap-2">
      {naming ? (
        <RenameField
          label={`Name of ${name}`}
          value={name}
          className="w-35"
          onRename={(typed) => {
            const free = freeName(doc.views, typed, view.width, id)
            put(
              doc.views.map((each) => (each.id === id ? { ...each, name: free } : each)),
              `Name view ${free}`,
            )
          }}
          onDone={() => setNaming(false)}
        />
      ) : (
        <button
          type="button"
          className="plain-button w-35 justify-start truncate px-1.5 font-bold"
          title="Press to rename"
          aria-label={`Rename ${name}`}
          onClick={() => setNaming(true)}
        >
          {name}
        </button>
      )}
      <NumberChip
        label={`Width of ${name}`}
        value={view.width}
        unit=" px"
        context={{ min: 200, max: 10_000 }}
        onChange={resize}
      />
      <span className="flex flex-1 items-center gap-1.5 text-small soft">
        {view.breakpoint === null ? (
          'the widest: what every other view starts from'
        ) : (
          <>
            holds up to
            <NumberChip
              label={`Breakpoint of ${name}`}
              value={view.breakpoint}
              unit=" px"
              context={{ min: 100, max: 10_000 }}
              onChange={(breakpoint) =>
                put(withBreakpoint(doc.views, id, breakpoint), `Breakpoint of ${name}`)
              }
            />
          </>
        )}
      </span>
      <button
        type="button"
        className="icon-button"
        aria-label={`Duplicate ${name}`}
        title="Duplicate"
        onClick={() => put(withCopy(doc.views, id, makeId()), `Duplicate view ${name}`)}
      >
        <Copy {...ICON} />
      </button>
      <button
        type="button"
        className="icon-button"
        aria-label={`Remove ${name}`}
        title="Remove"
        disabled={doc.views.length === 1}
        onClick={leave}
      >
        <Trash2 {...ICON} />
      </button>
    </div>
  )
}

const listed = (names: readonly string[]) =>
  names.slice(0, 3).join(', ') + (names.length > 3 ? ` and ${names.length - 3} more` : '')

/** What goes with a view, before it goes. */
function Losing({ view, keep, remove }: { view: View; keep: () => void; remove: () => void }) {
  const { doc } = useEditor()
  const { blocks, pages } = lostWith(doc, view.id)
  return (
    <div
      role="group"
      aria-label={`Removing ${view.name}`}
      className="mt-1 rounded-field bg-(--gold-wash) px-2.5 py-2"
    >
      <p className="text-small leading-4.25 text-(--gold-text)">
        {blocks.length > 0 &&
          `${blocks.length === 1 ? 'One block has' : `${blocks.length} blocks have`} values for ${view.name} alone: ${listed(blocks)}. `}
        {pages.length > 0 && `Drawn at it: ${listed(pages)}. `}
        Undo brings all of it back.
      </p>
      <div className="mt-1.5 flex justify-end gap-2">
        <button type="button" className="line-button" onClick={keep}>
          Keep {view.name}
        </button>
        <button type="button" className="main-button" onClick={remove}>
          Remove it with them
        </button>
      </div>
    </div>
  )
}
