/** What lists of a look have in common: one item set, shown or not, taken away; another added on top. */

import { generateKeyBetween } from 'fractional-indexing'
import { Eye, EyeOff, X } from 'lucide-react'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import type { Edit } from '../../core/edits/edit'
import { type Items, itemsOf } from '../../core/properties/items'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'

type Ordered = { order: string; hidden?: boolean }
/** Of each kind of item what it is without its place. */
export type WithoutOrder<T> = T extends Ordered ? Omit<T, 'order'> : never

/** A block's list in the active view, and how it is changed there. */
export function useItems<T extends Ordered>(node: Node, prop: 'fills' | 'shadows', words: string) {
  const editor = useEditor()
  const list = itemsOf(cascaded(editor.doc, node, editor.view.id)[prop] as unknown as Items<T> | undefined)
  const set = (items: Record<string, T | null>, gesture?: string) =>
    editor.setProps({ [prop]: items }, `${words} of ${node.name}`, gesture && `${words}-${gesture}`)
  return {
    list,
    change: (id: string, item: T, gesture?: string) => set({ [id]: item }, gesture),
    /** @param also edits that come first, in the same step */
    add: (item: WithoutOrder<T>, nodes = editor.meantNodes, also: Edit[] = []) => {
      const order = generateKeyBetween(null, list[0]?.[1].order ?? null)
      const edits = editor.propEdits({ [prop]: { [makeId()]: { ...item, order } } }, nodes)
      return editor.commit([...also, ...edits], `${words} of ${node.name}`)
    },
    remove: (id: string) => {
      const view = editor.scopedView
      const item = list.find(([each]) => each === id)![1]
      // What comes from a wider view stays there: here it is not drawn.
      const inherited = view !== undefined && Object.hasOwn(editor.underView(node)[prop] ?? {}, id)
      return set({ [id]: inherited ? { ...item, hidden: true } : null })
    },
  }
}

const ICON = { size: 14, strokeWidth: 1.75, 'aria-hidden': true } as const

/** Behind an item: whether it is drawn, and away with it. */
export function ItemSwitches({
  words,
  hidden,
  onHide,
  onRemove,
}: {
  words: string
  hidden: boolean
  onHide: () => void
  onRemove: () => void
}) {
  const switched = hidden ? `Draw ${words}` : `Do not draw ${words}`
  return (
    <span className="ml-auto flex flex-none">
      <button
        type="button"
        className="icon-button size-6"
        title={switched}
        aria-label={switched}
        onClick={onHide}
      >
        {hidden ? <EyeOff {...ICON} /> : <Eye {...ICON} />}
      </button>
      <button
        type="button"
        className="icon-button size-6"
        title={`Remove ${words}`}
        aria-label={`Remove ${words}`}
        onClick={onRemove}
      >
        <X {...ICON} />
      </button>
    </span>
  )
}
