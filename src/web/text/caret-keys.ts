/**
 * Where a caret key leads when no browser is asked: keys that were pressed before the text could be written in, when its lines are not
 * drawn yet. A line is a paragraph then.
 */
import { type EditorState, Selection, TextSelection } from 'prosemirror-state'

export type CaretKey = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>

const BACKWARD = new Set(['ArrowLeft', 'ArrowUp', 'Home'])
const FORWARD = new Set(['ArrowRight', 'ArrowDown', 'End'])

/** @returns what is selected behind the key; undefined when it moves no caret */
export function selectionBehind(pressed: CaretKey, { selection, doc }: EditorState): Selection | undefined {
  const { key, ctrlKey, metaKey, altKey, shiftKey } = pressed
  const way = BACKWARD.has(key) ? -1 : FORWARD.has(key) ? 1 : 0
  if (way === 0) return
  const { anchor, $head, empty, from, to } = selection
  const isSide = key === 'ArrowLeft' || key === 'ArrowRight'
  const isWord = isSide && (ctrlKey || altKey)
  // What is selected ends at its side first.
  if (isSide && !isWord && !metaKey && !shiftKey && !empty)
    return TextSelection.create(doc, way < 0 ? from : to)
  const head =
    isSide && !metaKey
      ? beside(doc, $head.pos, way, isWord)
      : !isSide && (ctrlKey || metaKey)
        ? (way < 0 ? Selection.atStart(doc) : Selection.atEnd(doc)).head
        : way < 0
          ? $head.start()
          : $head.end()
  return TextSelection.create(doc, shiftKey ? anchor : head, head)
}

/** A letter or a word further; over a paragraph's end into the next one. */
function beside(doc: EditorState['doc'], pos: number, way: -1 | 1, isWord: boolean): number {
  const $pos = doc.resolve(pos)
  const rest =
    way < 0
      ? $pos.parent.textBetween(0, $pos.parentOffset, '', ' ')
      : $pos.parent.textBetween($pos.parentOffset, $pos.parent.content.size, '', ' ')
  if (rest === '')
    return Selection.near(doc.resolve(Math.min(Math.max(pos + way, 0), doc.content.size)), way).head
  const found = (isWord ? (way < 0 ? /\S+\s*$/ : /^\s*\S+/) : way < 0 ? /.$/su : /^./su).exec(rest)
  return pos + way * (found?.[0].length ?? 1)
}
