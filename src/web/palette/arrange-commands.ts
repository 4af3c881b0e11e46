/** Commands that arrange what is selected. */
import {
  type AlignTo,
  alignEdits,
  distributeEdits,
  type Edge,
  sameSizeEdits,
  stackEdits,
  swapEdits,
} from '../../core/arrange/align'
import { growEdits, nudgeEdits } from '../../core/arrange/nudge'
import { mirrorEdits } from '../../core/arrange/repeat'
import { isLoose } from '../../core/arrange/settle'
import type { Edit } from '../../core/edits/edit'
import { formatPx } from '../../core/lattice/solve'
import { Flow } from '../../core/layout/box'
import type { PageLayout } from '../../core/layout/page'
import type { Editor } from '../editor/editor-state'
import { type Command, hasBlock } from './command'

const two = (editor: Editor) => editor.selection.length > 1
const three = (editor: Editor) => editor.selection.length > 2

/** Commits what an arranging function found, or says why it found nothing. */
export function arrange(
  editor: Editor,
  label: string,
  find: (layout: PageLayout, set: Editor['setEdit']) => Edit[] | string,
  gesture?: string,
) {
  const { layout } = editor
  if (!layout) return
  const found = find(layout, (node, props) => editor.setEdit(node, props))
  if (typeof found === 'string') return editor.session.showNotice(found)
  if (editor.commit(found, label, gesture)) editor.announce(label)
}

const EDGES: [Edge, string][] = [
  ['left', 'left edges'],
  ['centre', 'centres'],
  ['right', 'right edges'],
  ['top', 'top edges'],
  ['middle', 'middles'],
  ['bottom', 'bottom edges'],
]

export const align = (editor: Editor, edge: Edge, to: AlignTo) =>
  arrange(editor, `Align ${edge} to ${to === 'each other' ? to : `the ${to}`}`, (layout, set) =>
    alignEdits(layout, editor.selection, edge, to, set),
  )

/**
 * Moves lifted blocks by px; a block in a flow one place on, along its flow.
 * @param far by the set step instead of 1 px
 */
function nudge(x: number, y: number, far: boolean) {
  return (editor: Editor) => {
    const [dx, dy] = far ? [x * editor.step, y * editor.step] : [x, y]
    const { selected, layout: shown } = editor
    if (selected?.parent && editor.selection.every((id) => !shown?.boxes.get(id)?.pins)) {
      const flow = shown?.boxes.get(selected.parent)?.flow
      const along = flow === Flow.Row ? x : flow === Flow.Lattice ? x || y : y
      if (along !== 0) editor.moveBy(selected, along < 0 ? -1 : 1)
      else
        editor.announce(
          `${editor.called(selected)} lies in a ${flow === Flow.Row ? 'row: left and right move it' : 'column: up and down move it'}`,
        )
      return
    }
    arrange(
      editor,
      'Nudge',
      (layout, set) => nudgeEdits(layout, editor.selection, dx, dy, set),
      `nudge-${editor.selection.join()}`,
    )
    sayWhere(editor)
  }
}

function grow(side: 'width' | 'height', way: number, far: boolean) {
  return (editor: Editor) => {
    const by = far ? way * editor.step : way
    arrange(
      editor,
      `Change the ${side}`,
      (layout, set) => growEdits(layout, editor.selection, side, by, set),
      `grow-${side}-${editor.selection.join()}`,
    )
    sayWhere(editor)
  }
}

/** Where the selected block is now, and how large. */
function sayWhere(editor: Editor) {
  const rect = editor.selected && editor.layout?.rect(editor.selected.id)
  if (!rect) return
  const [x, y, width, height] = [rect.x, rect.y, rect.width, rect.height].map(formatPx)
  editor.announce(`At ${x}, ${y}; ${width} by ${height}`)
}

const ARROWS = [
  ['ArrowLeft', 'left', -1, 0],
  ['ArrowRight', 'right', 1, 0],
  ['ArrowUp', 'up', 0, -1],
  ['ArrowDown', 'down', 0, 1],
] as const

const moves: Command[] = ARROWS.flatMap(([key, word, x, y]): Command[] => [
  {
    id: `nudge-${word}`,
    name: `Move ${word}: by 1, or one place in its flow`,
    group: 'Arrange',
    keys: key,
    when: hasBlock,
    run: nudge(x, y, false),
  },
  {
    id: `nudge-${word}-far`,
    name: `Move ${word} by the step`,
    group: 'Arrange',
    keys: `Shift+${key}`,
    when: hasBlock,
    run: nudge(x, y, true),
  },
  {
    id: `grow-${word}`,
    name: `${x + y > 0 ? 'Larger' : 'Smaller'} ${x === 0 ? 'in height' : 'in width'} by 1`,
    group: 'Arrange',
    keys: `Mod+${key}`,
    when: hasBlock,
    run: grow(x === 0 ? 'height' : 'width', x + y, false),
  },
  {
    id: `grow-${word}-far`,
    name: `${x + y > 0 ? 'Larger' : 'Smaller'} ${x === 0 ? 'in height' : 'in width'} by the step`,
    group: 'Arrange',
    keys: `Mod+Shift+${key}`,
    when: hasBlock,
    run: grow(x === 0 ? 'height' : 'width', x + y, true),
  },
])

export const ARRANGE: Command[] = [
  ...EDGES.flatMap(([edge, words]): Command[] => [
    {
      id: `align-${edge}`,
      name: `Align ${words}`,
      group: 'Arrange',
      when: two,
      run: (editor) => align(editor, edge, 'each other'),
    },
    {
      id: `align-${edge}-parent`,
      name: `Align ${edge} in what it lies in`,
      group: 'Arrange',
      when: hasBlock,
      run: (editor) => align(editor, edge, 'parent'),
    },
  ]),
  ...(['left', 'centre', 'right'] as const).flatMap((edge): Command[] =>
    (['lattice', 'sheet'] as const).map((to) => ({
      id: `align-${edge}-${to}`,
      name: `Align ${edge} to the ${to}`,
      group: 'Arrange',
      when: hasBlock,
      run: (editor) => align(editor, edge, to),
    })),
  ),
  ...(['x', 'y'] as const).flatMap((axis): Command[] =>
    (['gaps', 'centres'] as const).map((what) => ({
      id: `distribute-${what}-${axis}`,
      name: `Equal ${what} ${axis === 'x' ? 'across' : 'down'}`,
      group: 'Arrange',
      when: three,
      run: (editor) =>
        arrange(editor, `Equal ${what}`, (layout, set) =>
          distributeEdits(layout, editor.selection, axis, what, set),
        ),
    })),
  ),
  ...(['width', 'height'] as const).map(
    (side): Command => ({
      id: `same-${side}`,
      name: `Same ${side} as the last one`,
      group: 'Arrange',
      when: two,
      run: (editor) =>
        arrange(editor, `Same ${side}`, (layout, set) => sameSizeEdits(layout, editor.selection, side, set)),
    }),
  ),
  {
    id: 'swap',
    name: 'Swap the two',
    group: 'Arrange',
    keys: 'X',
    when: (editor) => editor.selection.length === 2,
    run: (editor) =>
      arrange(editor, 'Swap', (layout, set) => swapEdits(editor.doc, layout, editor.selection, set)),
  },
  ...(
    [
      ['front', 'To the front', '}'],
      ['forward', 'One forward', ']'],
      ['backward', 'One backward', '['],
      ['back', 'To the back', '{'],
    ] as const
  ).map(
    ([to, name, keys]): Command => ({
      id: `stack-${to}`,
      name,
      group: 'Arrange',
      keys,
      when: hasBlock,
      run: (editor) =>
        arrange(editor, name, (layout, set) => stackEdits(layout, editor.selected!.id, to, set)),
    }),
  ),
  {
    id: 'mirror',
    name: 'Mirror left and right',
    group: 'Arrange',
    keys: 'I',
    when: (editor) => editor.selected !== undefined && editor.selected.children.length > 0,
    run: (editor) =>
      arrange(editor, `Mirror ${editor.selected!.name}`, (layout, set) =>
        mirrorEdits(layout, editor.doc, editor.selected!.id, editor.scopedView !== undefined, set),
      ),
  },
  {
    id: 'turn',
    name: 'Turn a row into a column, or back',
    group: 'Arrange',
    keys: 'T',
    when: (editor) => {
      const flow = editor.selected && editor.layout?.boxes.get(editor.selected.id)?.flow
      return flow === Flow.Row || flow === Flow.Column
    },
    run: (editor) => {
      const row = editor.layout!.boxes.get(editor.selected!.id)!.flow === Flow.Row
      const label = row ? 'Turn into a column' : 'Turn into a row'
      editor.setProps({ flow: row ? 'column' : 'row' }, label, undefined, editor.selectedNodes)
    },
  },
  {
    id: 'repeat',
    name: 'Repeat in steps …',
    group: 'Arrange',
    keys: 'Shift+R',
    when: hasBlock,
    run: (editor) => editor.set({ dialog: 'repeat' }),
  },
  {
    id: 'settle',
    name: 'Settle into rows and columns …',
    group: 'Arrange',
    keys: 'S',
    when: (editor) =>
      editor.selected !== undefined &&
      editor.layout !== undefined &&
      isLoose(editor.layout, editor.selected.id),
    run: (editor) => editor.set({ dialog: 'settle' }),
  },
  ...moves,
]
