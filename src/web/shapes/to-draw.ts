/** What can be drawn on a sheet by pulling. */
import type { Form } from '../../core/forms/form'
import type { Editor } from '../editor/editor-state'
import type { ShapeToDraw } from '../editor/state'
import { shapePoints } from './fetch-points'

const form = (words: string, what: Form): ShapeToDraw => ({ words, what })

const TO_DRAW: readonly ShapeToDraw[] = [
  { words: 'a box', what: 'box' },
  form('an ellipse', { form: 'ellipse' }),
  form('a line', { form: 'line', slope: 'level' }),
  form('an arrow', { form: 'line', slope: 'level', end: 'arrow' }),
  form('a triangle', { form: 'polygon', sides: 3 }),
  form('a polygon', { form: 'polygon', sides: 6 }),
  form('a star', { form: 'star', points: 5, depth: 50 }),
  form('an arc', { form: 'arc', from: -90, sweep: 180, hole: 60 }),
  form('a wave', { form: 'wave', crests: 3, depth: 20 }),
  form('a blob', { form: 'blob', seed: 7, points: 6, swing: 35 }),
]

function draw(editor: Editor, shape: ShapeToDraw) {
  editor.set({ drawing: shape, points: undefined })
  editor.announce(`Drag where ${shape.words} is to be`)
}

/** Each in words, and what begins it; a path last. */
export const DRAWINGS: readonly { words: string; begin: (editor: Editor) => void }[] = [
  ...TO_DRAW.map((shape) => ({ words: shape.words, begin: (editor: Editor) => draw(editor, shape) })),
  { words: 'a path', begin: (editor) => void shapePoints().then(({ beginPath }) => beginPath(editor)) },
]
