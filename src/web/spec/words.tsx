/** Where a block leads, and other lines of words that are typed. */
import { useState } from 'react'
import type { Node } from '../../core/document/document'
import { linkFrom, linkProblem, linkShown, linkToPage, pageLinked } from '../../core/document/links'
import { useEditor } from '../editor/use-editor'

export function LinkLine({ node }: { node: Node }) {
  const editor = useEditor()
  if (node.kind === 'box' && node.props.link === undefined) {
    return (
      <div className="flex min-h-[30px] items-center gap-2">
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
      </div>
      <WordsLine node={node} prop="link" label="Leads to" placeholder="/page or address" />
    </>
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
  const [typed, setTyped] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const own = node.props[prop] ?? ''
  const shown = prop === 'link' ? linkShown(editor.doc.pages, own) : own
  const take = () => {
    if (typed !== undefined && typed !== shown) {
      const value = prop === 'link' ? linkFrom(editor.doc.pages.values(), typed.trim()) : typed
      const wrong = prop === 'link' && value !== '' ? linkProblem(value) : undefined
      // The field stays open with the reason: nothing that was typed is lost.
      if (wrong) return setProblem(`Needs ${wrong}`)
      const tag = prop === 'link' && node.kind === 'text' ? { tag: value === '' ? 'p' : 'a' } : {}
      editor.commit(
        [{ op: 'set', node: node.id, props: { [prop]: value === '' ? null : value, ...tag } }],
        `${label} of ${node.name}`,
      )
    }
    close()
  }
  const close = () => {
    setTyped(undefined)
    setProblem(undefined)
  }
  return (
    <label className="flex min-h-[32px] flex-wrap items-center gap-x-2">
      <span className="flex-none">{label}</span>
      <input
        className="text-field min-w-0 flex-1"
        placeholder={placeholder}
        value={typed ?? shown}
        aria-invalid={problem !== undefined}
        onChange={(event) => {
          setTyped(event.target.value)
          setProblem(undefined)
        }}
        onBlur={take}
        onKeyDown={(event) => {
          event.stopPropagation()
          if (event.key === 'Enter') take()
          if (event.key === 'Escape') close()
        }}
      />
      {problem && (
        <span
          role="alert"
          ref={(alert) => alert?.scrollIntoView({ block: 'nearest' })}
          className="w-full pb-1 text-[12px] text-error"
        >
          {problem}.
        </span>
      )}
    </label>
  )
}
