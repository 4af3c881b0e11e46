/** Commands that put shapes together. What does that is fetched behind the board. */
import type { Combination } from '../../core/forms/combine'
import type { Editor } from '../editor/editor-state'
import { arrange } from './arrange-commands'
import type { Command } from './command'

export const combining = () => import('../../core/arrange/combine')

export const areShapes = ({ selectedNodes }: Editor) =>
  selectedNodes.length > 1 && selectedNodes.every(({ kind }) => kind === 'shape')

/** What each does, in a word and as a command. */
export const COMBINED: readonly [how: Combination, word: string, name: string][] = [
  ['unite', 'unite', 'Unite shapes'],
  ['subtract', 'subtract', 'Subtract shapes from the lowest'],
  ['intersect', 'intersect', 'Keep where shapes overlap'],
  ['exclude', 'exclude', 'Keep where shapes do not overlap'],
]

export function combine(editor: Editor, how: Combination, label: string) {
  const ids = [...editor.selection]
  return combining().then(
    ({ combineEdits }) => {
      arrange(editor, label, (layout, set) => combineEdits(layout, ids, how, set))
      const left = ids.find((id) => editor.doc.nodes.has(id))
      if (left) editor.select(left)
    },
    () =>
      editor.session.showNotice('the shapes are as they were: what joins them cannot be fetched; try again'),
  )
}

export const SHAPES: Command[] = COMBINED.map(([how, , name]) => ({
  id: `shapes-${how}`,
  name,
  group: 'Arrange',
  when: areShapes,
  run: (editor) => void combine(editor, how, name),
}))
