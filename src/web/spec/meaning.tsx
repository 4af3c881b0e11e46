/** What a block is to who reads the page without seeing it: the element that it is handed off as. */
import { Undo2 } from 'lucide-react'
import { useMemo } from 'react'
import type { Node } from '../../core/document/document'
import { pageElements } from '../../core/handoff/elements'
import { HEADINGS, type Kind } from '../../core/properties/kinds'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'

const WORDS: Record<string, string> = {
  header: 'a header',
  section: 'a section',
  footer: 'a footer',
  main: 'the main part',
  nav: 'a menu',
  aside: 'an aside',
  article: 'an article',
  div: 'a plain box',
  ul: 'a list',
  li: 'an item of a list',
  figure: 'a figure',
  blockquote: 'a quote',
  a: 'a link',
  p: 'a paragraph',
  ...Object.fromEntries(HEADINGS.map((tag) => [tag, `a heading ${tag[1]}`])),
  span: 'plain words',
  label: 'a label',
  small: 'small print',
  figcaption: 'a caption',
  cite: 'a source',
}

const OFFERED: Partial<Record<Kind, readonly string[]>> = {
  section: ['section', 'header', 'footer', 'main', 'article', 'aside', 'div'],
  box: [
    'div',
    'header',
    'nav',
    'main',
    'aside',
    'article',
    'section',
    'footer',
    'ul',
    'li',
    'figure',
    'blockquote',
  ],
  text: ['p', ...HEADINGS, 'blockquote', 'figcaption', 'label', 'small', 'cite', 'span', 'li'],
}

/** What buttons are is said by their links. */
const NOTHING = () => false

export function MeaningLine({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc, instances } = editor
  const { tick } = doc
  // biome-ignore lint/correctness/useExhaustiveDependencies: the tick says when the document changed
  const tag = useMemo(() => {
    return instances && pageElements(doc, instances, NOTHING).elements.get(node.id)?.tag
  }, [doc, instances, tick, node.id])
  const offered = OFFERED[node.kind]
  // A link is what the line on links says.
  if (!offered || tag === undefined || tag === 'a') return null
  const said = node.props.tag !== undefined
  const options = [...new Set([tag, ...offered])].map(
    (each): Option<string> => ({
      value: each,
      label: WORDS[each] ?? each,
      hint: each,
    }),
  )
  return (
    <div className="flex min-h-7.5 flex-wrap items-center gap-1.5" data-meaning={tag}>
      <span>Read as</span>
      <Choice
        label="Read as"
        options={options}
        value={tag}
        width={230}
        onChoose={(chosen) =>
          editor.commit(
            editor.meant.map((id) => ({ op: 'set', node: id, props: { tag: chosen as 'div' } })),
            `${node.name} is ${WORDS[chosen] ?? chosen}`,
          )
        }
      />
      {said ? (
        <button
          type="button"
          className="icon-button size-6"
          title="Let its place and kind say it"
          aria-label="Put back what its place and kind say"
          onClick={() =>
            editor.commit(
              editor.meant.map((id) => ({ op: 'set', node: id, props: { tag: null } })),
              `${node.name} is what its place says`,
            )
          }
        >
          <Undo2 size={13} strokeWidth={1.75} aria-hidden />
        </button>
      ) : (
        <span className="text-small soft">by its place</span>
      )}
    </div>
  )
}
