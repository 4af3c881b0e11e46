/** A word that stands alone on a last line, said for each sheet that shows it so, with lines that are about as long as one another. */
import type { Node } from '../../core/document/document'
import type { Resolved } from '../../core/properties/table'
import { loneWords } from '../../core/text/lone-words'
import { useEditor } from '../editor/use-editor'

/** What takes the word in: a heading as a whole, a paragraph at its end. */
const BETTER = [
  { textWrap: 'balance', words: 'Balance the lines', done: 'Balanced lines' },
  { textWrap: 'pretty', words: 'Break the last lines earlier', done: 'No word alone at the end' },
] as const

export function LoneWord({
  node,
  resolved,
  onWrap,
}: {
  node: Node
  resolved: Resolved
  onWrap: (textWrap: 'balance' | 'pretty', words: string) => void
}) {
  const editor = useEditor()
  if (node.kind !== 'text') return null
  const found = editor.shownViews.flatMap((view) => {
    const layout = editor.layoutOf(view.id)
    const words = layout ? loneWords(layout, node.id) : []
    return words.length > 0 ? [{ view: view.name, word: words[0] }] : []
  })
  if (found.length === 0) return null
  return (
    <p
      role="note"
      className="rounded-field bg-(--gold-wash) px-2 py-1 text-small leading-4 text-(--gold-text)"
    >
      {found.map(({ view, word }) => `“${word}” on ${view}`).join(', ')}: alone on the last line.
      {resolved.textWrap === 'wrap' &&
        BETTER.map(({ textWrap, words, done }) => (
          <button
            key={textWrap}
            type="button"
            className="plain-button ml-1 px-1 underline"
            onClick={() => onWrap(textWrap, done)}
          >
            {words}
          </button>
        ))}
    </p>
  )
}
