/** Where a block leads, and other lines of words that are typed. */
import { useState } from 'react'
import type { Node } from '../../core/document/document'
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
            aria-pressed={node.props.link === page.path}
            className="chip aria-pressed:bg-secondary aria-pressed:text-secondary-content"
            onClick={() =>
              editor.commit(
                [
                  {
                    op: 'set',
                    node: node.id,
                    props: { link: page.path, ...(node.kind === 'button' ? {} : { tag: 'a' }) },
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
  const take = () => {
    if (typed !== undefined && typed !== (node.props[prop] ?? '')) {
      const tag = prop === 'link' && node.kind === 'text' ? { tag: typed === '' ? 'p' : 'a' } : {}
      editor.commit(
        [{ op: 'set', node: node.id, props: { [prop]: typed === '' ? null : typed, ...tag } }],
        `${label} of ${node.name}`,
      )
    }
    setTyped(undefined)
  }
  return (
    <label className="flex min-h-[32px] items-center gap-2">
      <span className="flex-none">{label}</span>
      <input
        className="text-field min-w-0 flex-1"
        placeholder={placeholder}
        value={typed ?? node.props[prop] ?? ''}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          event.stopPropagation()
          if (event.key === 'Enter') take()
          if (event.key === 'Escape') setTyped(undefined)
        }}
      />
    </label>
  )
}
