/** What is said of a stretch of a text, and commands on it. */
import type { Attrs, Node } from 'prosemirror-model'
import { liftListItem, wrapInList } from 'prosemirror-schema-list'
import type { Command, EditorState } from 'prosemirror-state'
import { schema } from './model'
import { type Look, MARKS, type MarkName } from './words'

/** Words of a stretch differ in it. */
export const MIXED = 'mixed'
export type SelectedLook = { [K in MarkName]?: Look[K] | typeof MIXED }

const saidOf = (node: Node | undefined, name: MarkName): unknown => {
  const mark = node?.marks.find(({ type }) => type.name === name)
  return mark && (mark.attrs.value ?? true)
}

/** What each mark says of the selected words; of none selected, of what is typed next. */
export function selectedLook({ selection, doc, storedMarks }: EditorState): SelectedLook {
  if (selection.empty) {
    const marks = storedMarks ?? selection.$from.marks()
    return Object.fromEntries(marks.map(({ type, attrs }) => [type.name, attrs.value ?? true]))
  }
  const texts: Node[] = []
  for (const { $from, $to } of selection.ranges)
    doc.nodesBetween($from.pos, $to.pos, (node) => {
      if (node.isText || node.type === schema.nodes.icon) texts.push(node)
    })
  const look: Record<string, unknown> = {}
  for (const name of MARKS) {
    const values = texts.map((node) => JSON.stringify(saidOf(node, name)))
    const value = values.every((each) => each === values[0]) ? saidOf(texts[0], name) : MIXED
    if (value !== undefined) look[name] = value
  }
  return look
}

/** Says a mark of the selected words, or of what is typed next. @param value undefined: takes it away */
export function mark<K extends MarkName>(name: K, value: Look[K] | undefined): Command {
  return (state, dispatch) => {
    const type = schema.marks[name]!
    const attrs: Attrs | null = value === undefined || value === true ? null : { value }
    const needsValue = 'value' in (type.spec.attrs ?? {})
    const made = value === undefined ? undefined : type.create(needsValue ? { value } : attrs)
    const transaction = state.tr
    if (state.selection.empty) {
      if (made) transaction.addStoredMark(made)
      else transaction.removeStoredMark(type)
    } else
      for (const { $from, $to } of state.selection.ranges)
        if (made) transaction.addMark($from.pos, $to.pos, made)
        else transaction.removeMark($from.pos, $to.pos, type)
    dispatch?.(transaction)
    return true
  }
}

export type ListKind = 'bullets' | 'numbers'

/** The list that the selection is in; undefined: none. */
export function listAround(state: EditorState): ListKind | undefined {
  const depth = listDepth(state)
  return depth === undefined ? undefined : (state.selection.$from.node(depth).type.name as ListKind)
}

/** How deep the innermost list around the selection lies. */
function listDepth({ selection: { $from } }: EditorState): number | undefined {
  for (let depth = $from.depth; depth > 0; depth--) if ($from.node(depth).type.isInGroup('list')) return depth
  return undefined
}

/** Makes the selected paragraphs items of a list, or paragraphs again. */
export function inList(kind: ListKind | undefined): Command {
  return (state, dispatch) => {
    const now = listAround(state)
    if (now === kind) return false
    if (now === undefined) return wrapInList(schema.nodes[kind!])(state, dispatch)
    if (kind === undefined) return liftListItem(schema.nodes.item)(state, dispatch)
    const at = state.selection.$from.before(listDepth(state))
    dispatch?.(state.tr.setNodeMarkup(at, schema.nodes[kind]))
    return true
  }
}

/** At the beginning of an item there is nothing to take out but the item: what is in it goes one list out. */
export const liftAtStart: Command = (state, dispatch) => {
  const { $from, empty } = state.selection
  if (!empty || $from.parentOffset > 0 || $from.node(-1)?.type !== schema.nodes.item) return false
  return liftListItem(schema.nodes.item)(state, dispatch)
}
