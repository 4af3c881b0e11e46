/** New page: a name, a path, the views it is drawn at; then its lattices on the bench. */

import { generateKeyBetween } from 'fractional-indexing'
import { useState } from 'react'
import { newPageProps } from '../../core/arrange/pages'
import { keptViewsEdits, withView } from '../../core/arrange/views'
import { pathProblem } from '../../core/document/paths'
import type { View } from '../../core/document/schema'
import { viewEdits } from '../../core/edits/views'
import { slug } from '../../core/handoff/names'
import { readQuantity } from '../../core/quantity/arithmetic'
import { COMMON_WIDTHS, nameForWidth } from '../../core/shelf/starter'
import { Dialog } from '../parts/dialog'
import { makeId } from './editor-state'
import { useEditor } from './use-editor'

/** A width offered or typed, ready to be added. */
export function WidthPicker({
  views,
  onAdd,
}: {
  views: readonly View[]
  onAdd: (width: number, name: string) => string | undefined
}) {
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string>()
  const add = (width: number) => {
    const trouble = onAdd(width, nameForWidth(width))
    setProblem(trouble)
    if (!trouble) setTyped('')
  }
  const take = () => {
    const read = readQuantity(typed, { min: 200, max: 10_000 })
    if (read.ok) add(read.value)
    else setProblem(read.reason)
  }
  return (
    <div>
      <div className="flex flex-wrap gap-1.5">
        {COMMON_WIDTHS.filter((each) => !views.some((view) => view.width === each.width)).map((each) => (
          <button key={each.width} type="button" className="chip font-normal" onClick={() => add(each.width)}>
            {each.name} <b className="tabular-nums">{each.width}</b>
          </button>
        ))}
      </div>
      <div className="mt-2 flex items-center gap-2">
        <input
          className="text-field w-37.5"
          placeholder="Any width, or 1512/2"
          aria-label="Another width in px"
          aria-invalid={problem !== undefined}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value)
            setProblem(undefined)
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault()
              take()
            }
          }}
        />
        <button type="button" className="line-button" onClick={take}>
          Add this width
        </button>
        {problem && (
          <span role="alert" className="text-small text-error">
            {problem}
          </span>
        )}
      </div>
    </div>
  )
}

export function PageDialog() {
  const editor = useEditor()
  const { doc } = editor
  const [name, setName] = useState('')
  const [path, setPath] = useState<string>()
  const [views, setViews] = useState<View[]>(doc.views)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(doc.views.map((view) => view.id)))
  const templates = doc.templates()
  // A new page is most often one more of its kind.
  const [template, setTemplate] = useState(editor.page?.isTemplate ? editor.pageId : editor.page?.template)
  const [problem, setProblem] = useState<string>()
  const shownPath = path ?? `/${name.trim() === '' ? '' : slug(name, 'page')}`
  const close = () => editor.set({ dialog: undefined })
  const create = () => {
    const clean = name.trim()
    if (clean === '') return setProblem('Give the page a name first.')
    const wrong = pathProblem(doc.pages.values(), shownPath)
    if (wrong) return setProblem(wrong)
    if (chosen.size === 0) return setProblem('Choose at least one view.')
    const id = makeId()
    const last = doc.pagesInOrder().at(-1)
    const all = views.every((view) => chosen.has(view.id))
    const page = {
      id,
      name: clean,
      path: shownPath,
      order: generateKeyBetween(last?.order ?? null, null),
      views: all ? [] : views.filter((view) => chosen.has(view.id)).map((view) => view.id),
      sections: [],
      ...(template === undefined ? {} : { template }),
      ...newPageProps(doc, template),
    }
    const used = views.filter(
      (view) => chosen.has(view.id) || doc.views.some((known) => known.id === view.id),
    )
    const adds = used.some((view) => !doc.views.some((known) => known.id === view.id))
    // What is added for this page is this page's: the others stay at the views that they have.
    const others = adds ? keptViewsEdits(doc) : []
    const own = adds && all ? { ...page, views: views.map((view) => view.id) } : page
    const edits = [...others, ...viewEdits(doc.views, used), { op: 'page' as const, id, page: own }]
    if (!editor.commit(edits, `New page ${clean}`)) return setProblem(editor.session.notice)
    editor.openPage(id)
    editor.set({
      dialog: undefined,
      viewId: used.find((view) => chosen.has(view.id))!.id,
      shelfPart: 'sections',
    })
    for (const panel of ['ledger', 'spec', 'shelf'] as const) editor.showPanel(panel, true)
  }
  return (
    <Dialog title="New page" onClose={close} width={560}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          create()
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          <label className="grid gap-1">
            <span className="font-semibold">Name</span>
            <input
              autoFocus
              className="text-field"
              value={name}
              onChange={(event) => {
                setName(event.target.value)
                setProblem(undefined)
              }}
            />
          </label>
          <label className="grid gap-1">
            <span className="font-semibold">Path</span>
            <input
              className="text-field"
              value={shownPath}
              onChange={(event) => {
                setPath(event.target.value)
                setProblem(undefined)
              }}
            />
          </label>
        </div>
        {templates.length > 0 && (
          <fieldset className="mt-4">
            <legend className="mb-1.5 font-semibold">Stands on</legend>
            <div className="flex flex-wrap gap-2">
              {[...templates, undefined].map((each) => (
                <label
                  key={each?.id ?? ''}
                  className={`flex cursor-pointer items-center gap-2 rounded-box border px-2.5 py-1.5 ${template === each?.id ? 'border-primary' : 'border-base-300 soft'}`}
                >
                  <input
                    type="radio"
                    name="template"
                    className="radio radio-xs radio-primary"
                    checked={template === each?.id}
                    onChange={() => setTemplate(each?.id)}
                  />
                  {each?.name ?? 'no template'}
                </label>
              ))}
            </div>
          </fieldset>
        )}
        <fieldset className="mt-4">
          <legend className="mb-1.5 font-semibold">Views</legend>
          <div className="mb-3 flex flex-wrap gap-2">
            {views.map((view) => {
              const on = chosen.has(view.id)
              return (
                <label
                  key={view.id}
                  className={`flex cursor-pointer items-center gap-2 rounded-box border px-2.5 py-1.5 ${on ? 'border-primary' : 'border-base-300 soft'}`}
                >
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs checkbox-primary"
                    checked={on}
                    onChange={() => {
                      const next = new Set(chosen)
                      if (!next.delete(view.id)) next.add(view.id)
                      setChosen(next)
                    }}
                  />
                  {view.name} <b className="tabular-nums">{view.width}</b>
                </label>
              )
            })}
          </div>
          <WidthPicker
            views={views}
            onAdd={(width, title) => {
              const next = withView(views, title, width, makeId())
              if (typeof next === 'string') return next
              const added = next.find((view) => !views.some((known) => known.id === view.id))!
              setViews(next)
              setChosen(new Set([...chosen, added.id]))
            }}
          />
        </fieldset>
        {problem && (
          <p role="alert" className="mt-3 text-error">
            {problem}
          </p>
        )}
        <div className="mt-4 flex items-center justify-between gap-4">
          <p className="text-small leading-4 soft">
            Next comes the lattice bench: width, container, columns and gutters of each view.
          </p>
          <div className="flex flex-none gap-2">
            <button type="button" className="line-button" onClick={close}>
              Cancel
            </button>
            <button type="submit" className="main-button">
              Make the page
            </button>
          </div>
        </div>
      </form>
    </Dialog>
  )
}
