/** Where a block leads, and other lines of words that are typed. */

import { panelsOn } from '../../core/arrange/behind-button'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { panelLinked } from '../../core/handoff/panels'
import {
  linkFrom,
  linkProblem,
  linkShown,
  linkToBlock,
  linkToPage,
  pageLinked,
} from '../../core/properties/links'
import { useEditor } from '../editor/use-editor'
import { useTyped } from './typed'

export function LinkLine({ node }: { node: Node }) {
  const editor = useEditor()
  if (node.kind === 'box' && node.props.link === undefined) {
    return (
      <div className="flex min-h-7.5 items-center gap-2">
        <span className="soft">Leads nowhere.</span>
        <button
          type="button"
          className="plain-button text-primary"
          onClick={() =>
            editor.commit([{ op: 'set', node: node.id, props: { link: '#', tag: 'a' } }], `Link ${node.name}`)
          }
        >
          Make it a link
        </button>
      </div>
    )
  }
  const opens = node.kind === 'button' ? panelLinked(editor.doc, node.props.link) : undefined
  if (opens !== undefined) return <OpensLine node={node} panel={editor.doc.node(opens)} />
  return (
    <>
      <div className="flex flex-wrap gap-1 pb-1">
        {editor.doc.pagesInOrder().map((page) => (
          <button
            key={page.id}
            type="button"
            aria-pressed={pageLinked(node.props.link ?? '')?.page === page.id}
            className="chip aria-pressed:bg-secondary aria-pressed:text-secondary-content"
            onClick={() =>
              editor.commit(
                [
                  {
                    op: 'set',
                    node: node.id,
                    props: { link: linkToPage(page.id), ...(node.kind === 'button' ? {} : { tag: 'a' }) },
                  },
                ],
                `Link ${node.name}`,
              )
            }
          >
            {page.name}
          </button>
        ))}
        {node.kind === 'button' &&
          panelsOn(editor.doc, editor.pageId).map((panel) => (
            <button
              key={panel.id}
              type="button"
              className="chip"
              onClick={() =>
                editor.commit(
                  [{ op: 'set', node: node.id, props: { link: linkToBlock(panel.id) } }],
                  `${node.name} opens ${panel.name}`,
                )
              }
            >
              opens {editor.called(panel)}
            </button>
          ))}
      </div>
      <WordsLine node={node} prop="link" label="Leads to" placeholder="/page or address" />
    </>
  )
}

/** A button that leads nowhere but opens what is behind it. */
function OpensLine({ node, panel }: { node: Node; panel: Node }) {
  const editor = useEditor()
  const { doc } = editor
  const views = doc.views.filter(({ id }) => cascaded(doc, panel, id).folded).map(({ name }) => name)
  return (
    <div className="flex min-h-7.5 flex-wrap items-center gap-1.5" data-opens={panel.id}>
      <span>Opens</span>
      <button
        type="button"
        className="chip max-w-37.5 truncate"
        title="Select it: it is open while it is selected"
        onClick={() => editor.select(panel.id)}
      >
        {editor.called(panel)}
      </button>
      <span className="soft">on {views.join(', ')}</span>
      <button
        type="button"
        className="line-button ml-auto text-small"
        onClick={() =>
          editor.commit([{ op: 'set', node: node.id, props: { link: '#' } }], `${node.name} opens nothing`)
        }
      >
        Lead elsewhere
      </button>
    </div>
  )
}

/** A line of words typed into a field; the same on every view. */
export function WordsLine({
  node,
  prop,
  label,
  placeholder,
}: {
  node: Node
  prop: 'alt' | 'link'
  label: string
  placeholder: string
}) {
  const editor = useEditor()
  const own = node.props[prop] ?? ''
  const shown = prop === 'link' ? linkShown(editor.doc.pages, own) : own
  const { field, problem } = useTyped(shown, (typed) => {
    const value = prop === 'link' ? linkFrom(editor.doc.pages.values(), typed.trim()) : typed
    const wrong = prop === 'link' && value !== '' ? linkProblem(value) : undefined
    if (wrong) return `Needs ${wrong}.`
    const tag = prop === 'link' && node.kind === 'text' ? { tag: value === '' ? 'p' : 'a' } : {}
    editor.commit(
      [{ op: 'set', node: node.id, props: { [prop]: value === '' ? null : value, ...tag } }],
      `${label} of ${node.name}`,
    )
    return undefined
  })
  return (
    <label className="flex min-h-8 flex-wrap items-center gap-x-2">
      <span className="flex-none">{label}</span>
      <input className="text-field min-w-0 flex-1" placeholder={placeholder} {...field} />
      {problem && (
        <span
          role="alert"
          ref={(alert) => alert?.scrollIntoView({ block: 'nearest' })}
          className="w-full pb-1 text-small text-error"
        >
          {problem}
        </span>
      )}
    </label>
  )
}
