/** One statement of the spec: words and chips, with a mark and a way back where this view differs. */

import { Undo2 } from 'lucide-react'
import type { ReactNode } from 'react'
import type { Node } from '../../core/document/document'
import { deepEqual } from '../../core/properties/plain-equal'
import { PROPERTIES, type PropKey } from '../../core/properties/table'
import { saidWords } from '../../core/properties/value-words'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'

/** Whether the selected blocks differ in a property. What they are laid out with is known: thousands are looked at in a frame. */
function isMixed(editor: Editor, key: PropKey): boolean {
  const { selection, doc, layout } = editor
  if (selection.length < 2) return false
  const inEach = (id: string) => (layout?.boxes.get(id)?.resolved ?? editor.resolved(doc.node(id)))[key]
  const first = inEach(selection[0]!)
  return selection.some((id) => !deepEqual(inEach(id) ?? null, first ?? null))
}

export function Line({
  node,
  keys,
  children,
}: {
  node: Node
  keys: readonly PropKey[]
  children: ReactNode
}) {
  const editor = useEditor()
  const own = editor.overridden(node).filter((key) => keys.includes(key))
  const mixed = keys.some((key) => isMixed(editor, key))
  const { views } = editor.doc
  const here = views.findIndex((view) => view.id === editor.view.id)
  // Views that the page is not drawn at say nothing of it.
  const drawn = editor.page ? editor.doc.viewsOf(editor.page) : views
  const differing = drawn.flatMap((view) => {
    const differs = keys.filter((key) => node.overrides[view.id]?.[key] !== undefined)
    const narrower = views.findIndex(({ id }) => id === view.id) > here
    return narrower && differs.length > 0 ? [{ view, differs }] : []
  })
  return (
    <div
      className={`relative flex min-h-7.5 flex-wrap items-center gap-x-1.5 gap-y-1 ${own.length > 0 ? 'font-medium' : ''}`}
      data-line={keys[0]}
      data-overridden={own.length > 0 || undefined}
    >
      {own.length > 0 && (
        <i aria-hidden className="absolute top-1.25 bottom-1.25 -left-2.25 w-0.75 rounded-full bg-accent" />
      )}
      {children}
      {mixed && (
        <span
          data-mixed={keys[0]}
          className="rounded-field bg-base-200 px-1 text-tiny leading-4.5 soft"
          title="The selected blocks differ here; a change makes them alike"
        >
          mixed
        </span>
      )}
      {own.length > 0 && (
        <button
          type="button"
          className="grid size-6 flex-none place-items-center rounded-field bg-(--gold-wash) text-(--gold-text) hover:outline hover:outline-accent"
          title={`Only on ${editor.view.name}. Put back what wider views have.`}
          aria-label={`Put back ${own.map((key) => PROPERTIES[key].words).join(', ')} on ${editor.view.name}`}
          onClick={() => editor.putBack(node, own)}
        >
          <Undo2 size={13} strokeWidth={1.75} aria-hidden />
        </button>
      )}
      {differing.map(({ view, differs }) => (
        <button
          key={view.id}
          type="button"
          className="-mt-0.5 w-full rounded-field text-left text-small text-(--gold-text) hover:underline"
          title={`Show what it is on ${view.name}`}
          onClick={() => editor.select(node.id, view.id)}
        >
          differs on {view.name}:{' '}
          {differs.map((key) => saidWords(key, node.overrides[view.id]?.[key])).join(', ')}
        </button>
      ))}
    </div>
  )
}

export function Group({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <section className="rule-t py-2.5 first:border-t-0">
      <div className="mb-0.5 flex items-center justify-between">
        <h3 className="text-small font-bold">{title}</h3>
        {aside && <span className="text-small soft">{aside}</span>}
      </div>
      {children}
    </section>
  )
}
