/** Commands that put shapes together. What does that is fetched behind the board. */
import { isCombinable } from '../../core/arrange/combinable'
import { type Combination, madeOf } from '../../core/forms/form'
import { type Editor, makeId } from '../editor/editor-state'
import { combining, masking, shapePoints } from '../shapes/fetch-points'
import { intoOutlines } from '../shapes/into-outlines'
import { DRAWINGS } from '../shapes/to-draw'
import { arrange } from './arrange-commands'
import type { Command } from './command'

export const areShapes = ({ selectedNodes }: Editor) =>
  selectedNodes.length > 1 && selectedNodes.every(isCombinable)

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
      let made: string | undefined
      arrange(editor, label, (layout, set) => {
        const sum = combineEdits(layout, ids, how, set, makeId)
        if (typeof sum === 'string') return sum
        made = sum.made
        return sum.edits
      })
      if (made !== undefined && editor.doc.nodes.has(made)) editor.select(made)
    },
    () =>
      editor.session.showNotice('the shapes are as they were: what joins them cannot be fetched; try again'),
  )
}

/** Several, among them what masks. */
export const canMask = ({ selectedNodes }: Editor) =>
  selectedNodes.length > 1 && selectedNodes.some(({ kind }) => kind === 'shape' || kind === 'text')

/** What a shape masks, alone or with others. */
export const isMask = ({ selected }: Editor) => selected?.props.cut?.form === 'path'

const notFetched = (editor: Editor) => () =>
  editor.session.showNotice('all is as it was: what masks blocks cannot be fetched; try again')

export const SHAPES: Command[] = [
  ...DRAWINGS.map(
    ({ words, begin }): Command => ({
      id: `draw-${words.split(' ')[1]}`,
      name: `Draw ${words}`,
      group: 'Block',
      ...(words === 'a path' ? { keys: 'D' } : {}),
      when: ({ page }) => page !== undefined,
      run: begin,
    }),
  ),
  ...COMBINED.map(
    ([how, , name]): Command => ({
      id: `shapes-${how}`,
      name,
      group: 'Arrange',
      when: areShapes,
      run: (editor) => void combine(editor, how, name),
    }),
  ),
  {
    id: 'shapes-apart',
    name: 'Take a shape apart into those that it was put together from',
    group: 'Arrange',
    when: ({ selected }) => selected !== undefined && madeOf(selected.props.form) !== undefined,
    run: (editor) =>
      void shapePoints().then(({ takeApart }) => editor.selected && takeApart(editor, editor.selected)),
  },
  {
    id: 'mask',
    name: 'Mask the others with the shape or text that is selected',
    group: 'Arrange',
    keys: 'M',
    when: canMask,
    run: (editor) => void masking().then(({ maskSelected }) => maskSelected(editor), notFetched(editor)),
  },
  {
    id: 'unmask',
    name: 'Let what is masked out of its mask',
    group: 'Arrange',
    when: isMask,
    run: (editor) => void masking().then(({ unmaskSelected }) => unmaskSelected(editor), notFetched(editor)),
  },
  {
    id: 'text-outlines',
    name: 'Turn the text into outlines: a shape, no longer text',
    group: 'Block',
    when: ({ selected }) => selected?.kind === 'text',
    run: (editor) => void intoOutlines(editor, editor.selected!),
  },
]
