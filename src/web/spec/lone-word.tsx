/** A word that stands alone on a last line, said for each sheet that shows it so, with lines that are about as long as one another. */
import type { Node } from '../../core/document/document'
import type { Resolved } from '../../core/properties/table'
import { loneWords } from '../../core/text/lone-words'
import { useEditor } from '../editor/use-editor'

export function LoneWord({
  node,
  resolved,
  onBalance,
}: {
  node: Node
  resolved: Resolved
  onBalance: () => void
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
      {resolved.textWrap === 'wrap' && (
        <button type="button" className="plain-button ml-1 px-1 underline" onClick={onBalance}>
          Balance the lines
        </button>
      )}
    </p>
  )
}
