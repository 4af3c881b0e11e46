/** The spec of what a page shows of its template: whose it is, and what this page changes of it. */
import { Undo2 } from 'lucide-react'
import type { ReactNode } from 'react'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { isText } from '../../core/properties/kinds'
import { linkFrom, linkProblem, linkShown } from '../../core/properties/links'
import { hasProperty, PROPERTIES, type PropKey } from '../../core/properties/table'
import { retyped } from '../../core/words/retype'
import { plainText, said } from '../../core/words/words'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { Group } from './line'
import { useTyped } from './typed'

export function SharedSpec({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc } = editor
  const home = doc.pageOf(node.source!)
  const template = doc.pages.get(home)
  const hidden = editor.resolved(node).hidden === true
  return (
    <>
      <Group title="From the template">
        <p className="leading-5">
          “{node.name}” is part of <b className="font-bold">{template?.name}</b>. What you change there shows
          on every page that stands on it.
        </p>
        <button
          type="button"
          className="line-button mt-2"
          onClick={() => {
            editor.openPage(home)
            editor.select(node.source)
          }}
        >
          Change it in {template?.name}
        </button>
      </Group>
      <Group title={`On ${editor.page?.name} alone`}>
        <ChangeLine node={node} prop="hidden">
          <span>Here it is</span>
          <Choice
            label="Shown on this page"
            options={[
              { value: false, label: 'shown' },
              { value: true, label: 'left out' },
            ]}
            value={hidden}
            onChoose={(value) => editor.change(node, { hidden: value }, `${node.name} on this page`)}
          />
        </ChangeLine>
        {isText(node.kind) && (
          <ChangeLine node={node} prop="words">
            <Words node={node} />
          </ChangeLine>
        )}
        {hasProperty(node.kind, 'link') && node.props.link !== undefined && (
          <ChangeLine node={node} prop="link">
            <LinkField node={node} />
          </ChangeLine>
        )}
      </Group>
    </>
  )
}

/** Whether this page changes a property in the active view, or for all. */
function changedIn(editor: ReturnType<typeof useEditor>, node: Node, prop: PropKey) {
  const change = editor.page?.changes?.[node.source!]
  const own = change?.overrides?.[editor.view.id]?.[prop] !== undefined
  return { own, all: change?.props[prop] !== undefined }
}

function ChangeLine({ node, prop, children }: { node: Node; prop: PropKey; children: ReactNode }) {
  const editor = useEditor()
  const { own, all } = changedIn(editor, node, prop)
  const { words } = PROPERTIES[prop]
  return (
    <div
      className="relative flex min-h-8 flex-wrap items-center gap-x-2 py-0.5"
      data-change={prop}
      data-changed={own || all || undefined}
    >
      {(own || all) && (
        <i aria-hidden className="absolute top-1.25 bottom-1.25 -left-2.25 w-0.75 rounded-full bg-accent" />
      )}
      {children}
      {(own || all) && (
        <button
          type="button"
          className="grid size-6 flex-none place-items-center rounded-field bg-(--gold-wash) text-(--gold-text) hover:outline hover:outline-accent"
          title="Put back what the template has"
          aria-label={`Put back the template’s ${words}`}
          onClick={() => {
            const edit = {
              op: 'change',
              page: editor.pageId,
              node: node.source!,
              props: { [prop]: null },
            } as const
            editor.commit(
              [own ? { ...edit, view: editor.view.id } : edit],
              `Put back the template’s ${words}`,
            )
          }}
        >
          <Undo2 size={13} strokeWidth={1.75} aria-hidden />
        </button>
      )}
    </div>
  )
}

function Words({ node }: { node: Node }) {
  const editor = useEditor()
  const words = cascaded(editor.doc, node, editor.view.id).words ?? said('')
  const { field } = useTyped(plainText(words), (text) => {
    editor.change(node, { words: retyped(words, text) }, `Words of ${node.name} on this page`)
    return undefined
  })
  return (
    <label className="grid min-w-0 flex-1 gap-1">
      <span>Words</span>
      <textarea
        data-shared-words
        rows={2}
        className="text-field min-w-0 resize-none py-1 leading-5"
        {...field}
      />
    </label>
  )
}

function LinkField({ node }: { node: Node }) {
  const editor = useEditor()
  const { pages } = editor.doc
  const { field, problem } = useTyped(linkShown(pages, editor.resolved(node).link ?? ''), (typed) => {
    const link = linkFrom(pages.values(), typed.trim())
    const wrong = linkProblem(link)
    if (wrong) return `Needs ${wrong}.`
    editor.change(node, { link }, `Link of ${node.name} on this page`)
    return undefined
  })
  return (
    <label className="flex min-w-0 flex-1 flex-wrap items-center gap-x-2">
      <span>Leads to</span>
      <input className="text-field min-w-0 flex-1" {...field} />
      <span className="w-full text-small leading-4 soft">The same on every view.</span>
      {problem && (
        <span role="alert" className="w-full text-small text-error">
          {problem}
        </span>
      )}
    </label>
  )
}
