/** The board for who does not see it: each sheet with its sections, top down. */
import { formatPx } from '../../core/lattice/solve'
import type { Editor } from '../editor/editor-state'
import { useShown } from '../editor/use-editor'

/** Of the element that describes the board. */
export const DESCRIPTION = 'board-description'

function saidOf(editor: Editor): string {
  const sheets = editor.shownViews.map(({ id, name, width }) => {
    const layout = editor.layoutOf(id)
    const sections = layout?.root.kids.map(
      ({ node, height }) => `${editor.called(node)}, ${formatPx(height)} high`,
    )
    return `${name}, ${width} wide, ${formatPx(layout?.height ?? 0)} high: ${sections?.join('; ') || 'no sections'}.`
  })
  return sheets.join(' ')
}

const select = (editor: Editor) => ({ words: saidOf(editor) })

export function Description() {
  const { words } = useShown(select)
  return (
    <p id={DESCRIPTION} className="sr-only">
      {words}
    </p>
  )
}
