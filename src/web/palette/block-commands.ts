/** Commands on what is selected: its words, what it lies in, copies, its look. */

import { lookOf } from '../../core/arrange/look'
import { duplicateEdits, outermost } from '../../core/arrange/order'
import { unwrapEdits, type WrapFlow, wrapEdits } from '../../core/arrange/wrap'
import { cascaded } from '../../core/document/resolve'
import { copyLook } from '../editor/copied-look'
import { type Editor, makeId } from '../editor/editor-state'
import { keepLook } from '../editor/keep-look'
import { canOpen, openBlock } from '../editor/open-block'
import { paragraphs } from '../session/fonts'
import { type Command, hasBlock } from './command'

export function removeSelected(editor: Editor) {
  const { doc } = editor
  const ids = outermost(doc, editor.selection)
  const first = doc.node(ids[0]!)
  const siblings = first.parent ? doc.node(first.parent).children : []
  const next =
    siblings.find((id, i) => !ids.includes(id) && i >= siblings.indexOf(first.id)) ??
    siblings.findLast((id) => !ids.includes(id))
  if (
    editor.commit(
      ids.map((node) => ({ op: 'remove', node })),
      ids.length === 1 ? `Delete ${first.name}` : `Delete ${ids.length} blocks`,
    )
  )
    editor.select(next)
}

/** Everything that lies beside what is selected; the page's sections where nothing is, or all of it is already. */
function selectAll(editor: Editor) {
  const { doc, selected, selection, pageId } = editor
  const beside = doc.node(selected?.parent ?? pageId).children
  const all = selection.length === beside.length ? doc.node(pageId).children : beside
  editor.set({ selection: [...all], shared: undefined })
  editor.announce(all.length === 1 ? 'One block selected' : `${all.length} blocks selected`)
}

function climb(editor: Editor) {
  const node = editor.selected ?? editor.sharedNode
  if (!node) return
  const parent = node.parent ? editor.instances?.find(node.parent) : undefined
  editor.select(parent && parent.kind !== 'page' ? parent.id : undefined)
}

const wrap = (flow: WrapFlow) => (editor: Editor) => {
  const seen = {
    page: editor.pageId,
    theme: editor.layout?.theme,
    opened: editor.layout?.opened,
    paragraphs,
  }
  const made = wrapEdits(editor.doc, seen, editor.selection, flow, makeId)
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (editor.commit(made.edits, `Wrap in a ${flow}`)) editor.select(made.box)
}

function unwrap(editor: Editor) {
  const made = unwrapEdits(editor.doc, editor.selected!.id)
  if (typeof made === 'string') return editor.session.showNotice(made)
  if (editor.commit(made.edits, 'Take the box away')) editor.set({ selection: made.freed })
}

function duplicate(editor: Editor) {
  const node = editor.selected
  const made = node && duplicateEdits(editor.doc, node.id, makeId)
  if (made && editor.commit(made.edits, `Duplicate ${node.name}`)) editor.select(made.copy)
}

const step = (by: -1 | 1) => (editor: Editor) => {
  const node = editor.selected
  if (node) editor.moveBy(node, by)
}

/** Opens the menu at what is selected: at its row where the ledger has the focus, else on the sheet. */
function openMenu(editor: Editor) {
  const row = document.activeElement?.closest('[data-row]')?.getBoundingClientRect()
  const board = document.querySelector('[data-board]')?.getBoundingClientRect()
  const place = editor.sheetPlaces().find(({ view }) => view.id === editor.viewId)
  const rect = editor.selected && place?.layout.rect(editor.selected.id)
  if (!board || !place || !rect) return
  const { camera } = editor
  const x = row ? row.left + 40 : board.left + camera.x + (place.left + rect.x + rect.width / 2) * camera.zoom
  const y = row ? row.bottom : board.top + camera.y + (rect.y + rect.height / 2) * camera.zoom
  editor.set({ menu: { x, y, view: editor.viewId, under: [] } })
}

export const BLOCKS: Command[] = [
  {
    id: 'edit-text',
    name: 'Edit the text, a menu’s items, the points of a shape, or what is seen of a picture',
    group: 'Block',
    keys: 'Enter',
    when: (editor) => editor.selected !== undefined && canOpen(editor, editor.selected),
    run: (editor) => openBlock(editor, editor.selected!),
  },
  {
    id: 'climb',
    name: 'Select what it lies in',
    group: 'Block',
    keys: 'Escape',
    when: (editor) =>
      hasBlock(editor) ||
      editor.sharedNode !== undefined ||
      editor.drawing !== undefined ||
      editor.scaling !== undefined ||
      editor.toolsBefore !== undefined,
    run: (editor) => {
      if (editor.toolsBefore) editor.hideTools(false)
      else if (editor.drawing || editor.scaling) editor.set({ drawing: undefined, scaling: undefined })
      else climb(editor)
    },
  },
  { id: 'wrap-row', name: 'Wrap in a row', group: 'Block', keys: 'R', when: hasBlock, run: wrap('row') },
  {
    id: 'wrap-column',
    name: 'Wrap in a column',
    group: 'Block',
    keys: 'C',
    when: hasBlock,
    run: wrap('column'),
  },
  {
    id: 'wrap-lattice',
    name: 'Wrap in a lattice',
    group: 'Block',
    keys: 'Shift+L',
    when: hasBlock,
    run: wrap('lattice'),
  },
  {
    id: 'unwrap',
    name: 'Take the box away',
    group: 'Block',
    keys: 'U',
    when: (editor) => editor.selected?.kind === 'box',
    run: unwrap,
  },
  { id: 'duplicate', name: 'Duplicate', group: 'Block', keys: 'Mod+D', when: hasBlock, run: duplicate },
  { id: 'delete', name: 'Delete', group: 'Block', keys: 'Delete', when: hasBlock, run: removeSelected },
  { id: 'earlier', name: 'Move earlier', group: 'Block', keys: 'Alt+ArrowUp', when: hasBlock, run: step(-1) },
  { id: 'later', name: 'Move later', group: 'Block', keys: 'Alt+ArrowDown', when: hasBlock, run: step(1) },
  {
    id: 'hide',
    name: 'Hide or show',
    group: 'Block',
    keys: 'H',
    when: hasBlock,
    run: (editor) => {
      const hidden = !editor.resolved(editor.selected!).hidden
      const many = editor.selection.length
      const what = many > 1 ? `${many} blocks` : editor.called(editor.selected!)
      const where = editor.scopedView === undefined ? '' : ` on ${editor.view.name}`
      const label = `${hidden ? 'Hide' : 'Show'} ${what}${where}`
      editor.setProps({ hidden }, label, undefined, editor.selectedNodes)
    },
  },
  {
    id: 'behind-button',
    name: 'Behind a button, or in front',
    group: 'Block',
    words: 'menu hamburger burger fold popover disclosure drawer mobile navigation open close',
    when: (editor) => editor.selected?.kind === 'box',
    run: (editor) => {
      const node = editor.selected!
      editor.standBehindButton(node, !editor.resolved(node).folded)
    },
  },
  {
    id: 'lock',
    name: 'Lock or unlock',
    group: 'Block',
    when: hasBlock,
    run: (editor) => {
      const locked = !editor.selected!.locked
      const label = locked ? 'Lock' : 'Unlock'
      editor.commit(
        editor.selection.map((node) => ({ op: 'meta', node, locked })),
        label,
      )
    },
  },
  {
    id: 'scope',
    name: 'Change only this view, or every view',
    group: 'Block',
    keys: 'O',
    when: (editor) => editor.view.id !== editor.doc.views[0]!.id,
    run: (editor) => editor.setScope(!editor.onlyHere),
  },
  {
    id: 'copy-look',
    name: 'Copy the look',
    group: 'Block',
    keys: 'Mod+Shift+C',
    when: hasBlock,
    run: copyLook,
  },
  {
    id: 'keep-look',
    name: 'Keep the look, to be put on others',
    group: 'Block',
    when: hasBlock,
    run: (editor) => {
      const node = editor.selected!
      keepLook(editor, {
        name: editor.called(node),
        props: lookOf(cascaded(editor.doc, node, editor.view.id)),
      })
    },
  },
  {
    id: 'put-look',
    name: 'Put a look on: the copied one, or one that is kept …',
    group: 'Block',
    keys: 'Mod+Shift+V',
    when: (editor) => hasBlock(editor) && (editor.look !== undefined || editor.doc.looks.length > 0),
    run: (editor) => editor.set({ dialog: 'look' }),
  },
  {
    id: 'menu',
    name: 'Menu of what is selected',
    group: 'Block',
    keys: 'Shift+F10',
    when: (editor) => editor.selected !== undefined,
    run: openMenu,
  },
  {
    id: 'select-all',
    name: 'Select all in the same box',
    group: 'Block',
    keys: 'Mod+A',
    when: (editor) => editor.page !== undefined,
    run: selectAll,
  },
  {
    id: 'select-same',
    name: 'Select all alike …',
    group: 'Block',
    keys: 'A',
    when: hasBlock,
    run: (editor) => editor.set({ dialog: 'alike' }),
  },
]
