/** Every command with its name and shortcut: the palette, the keyboard and the menus all read this list. */

import { lookOf } from '../../core/arrange/look'
import { menuLine } from '../../core/arrange/menu-items'
import { duplicateEdits, outermost } from '../../core/arrange/order'
import { unwrapEdits, type WrapFlow, wrapEdits } from '../../core/arrange/wrap'
import { cascaded } from '../../core/document/resolve'
import { isText } from '../../core/properties/kinds'
import { type Editor, makeId } from '../editor/editor-state'
import { setTheme, theme } from '../editor/theme'
import { focusItems } from '../spec/focus-words'
import { AIDS } from './aid-commands'
import { ARRANGE } from './arrange-commands'
import { CLIPBOARD } from './clipboard-commands'
import type { Command } from './command'
import { SECTIONS } from './section-commands'
import { isChanged, keysFor } from './shortcuts'

const hasBlock = (editor: Editor) => editor.selection.length > 0

export function removeSelected(editor: Editor) {
  const { doc } = editor
  const ids = outermost(doc, editor.selection)
  const first = doc.node(ids[0])
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

function climb(editor: Editor) {
  const node = editor.selected ?? editor.sharedNode
  if (!node) return
  const parent = node.parent ? editor.instances?.find(node.parent) : undefined
  editor.select(parent && parent.kind !== 'page' ? parent.id : undefined)
}

const wrap = (flow: WrapFlow) => (editor: Editor) => {
  const made = wrapEdits(editor.doc, editor.selection, flow, makeId)
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

export const COMMANDS: Command[] = [
  { id: 'undo', name: 'Undo', group: 'Project', keys: 'Mod+Z', run: (editor) => editor.undo() },
  { id: 'redo', name: 'Redo', group: 'Project', keys: 'Mod+Shift+Z', run: (editor) => editor.redo() },
  {
    id: 'palette',
    name: 'All commands',
    group: 'Project',
    keys: 'Mod+K',
    run: (editor) => editor.set({ dialog: 'palette' }),
  },
  {
    id: 'shortcuts',
    name: 'Shortcuts',
    group: 'Project',
    keys: '?',
    run: (editor) => editor.set({ dialog: 'shortcuts' }),
  },
  {
    id: 'theme',
    name: 'Light or dark',
    group: 'Project',
    run: () => setTheme(theme() === 'paper' ? 'slate' : 'paper'),
  },
  {
    id: 'edit-text',
    name: 'Edit the text, or a menu’s items',
    group: 'Block',
    keys: 'Enter',
    when: ({ selected, doc }) =>
      selected !== undefined && (isText(selected.kind) || menuLine(doc, selected) !== undefined),
    run: (editor) => {
      const node = editor.selected!
      if (isText(node.kind)) editor.set({ editing: { id: node.id, view: editor.viewId } })
      else focusItems()
    },
  },
  {
    id: 'climb',
    name: 'Select what it lies in',
    group: 'Block',
    keys: 'Escape',
    when: (editor) =>
      hasBlock(editor) ||
      editor.sharedNode !== undefined ||
      editor.drawing ||
      editor.scaling !== undefined ||
      editor.toolsBefore !== undefined,
    run: (editor) => {
      if (editor.toolsBefore) editor.hideTools(false)
      else if (editor.drawing || editor.scaling) editor.set({ drawing: false, scaling: undefined })
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
      editor.setProps({ hidden }, `${hidden ? 'Hide' : 'Show'} ${what}${where}`)
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
  ...CLIPBOARD,
  {
    id: 'scope',
    name: 'Change only this view, or every view',
    group: 'Block',
    keys: 'O',
    when: (editor) => editor.view.id !== editor.doc.views[0].id,
    run: (editor) => editor.setScope(!editor.onlyHere),
  },
  ...ARRANGE,
  ...AIDS,
  ...SECTIONS,
  {
    id: 'copy-look',
    name: 'Copy the look',
    group: 'Block',
    keys: 'Mod+Shift+C',
    when: hasBlock,
    run: (editor) => {
      const node = editor.selected!
      editor.set({ look: { name: node.name, props: lookOf(cascaded(editor.doc, node, editor.view.id)) } })
      editor.announce(`Look of ${node.name} copied`)
    },
  },
  {
    id: 'put-look',
    name: 'Put the copied look on …',
    group: 'Block',
    keys: 'Mod+Shift+V',
    when: (editor) => hasBlock(editor) && editor.look !== undefined,
    run: (editor) => editor.set({ dialog: 'look' }),
  },
  {
    id: 'find',
    name: 'Find by name or words …',
    group: 'Page',
    keys: 'Mod+F',
    run: (editor) => editor.set({ dialog: 'find' }),
  },
  {
    id: 'select-same',
    name: 'Select all alike …',
    group: 'Block',
    keys: 'A',
    when: hasBlock,
    run: (editor) => editor.set({ dialog: 'alike' }),
  },
  {
    id: 'budget',
    name: 'Page budget …',
    group: 'Page',
    keys: 'P',
    run: (editor) => editor.set({ dialog: 'budget' }),
  },
  {
    id: 'draw-areas',
    name: 'Draw areas over the columns',
    group: 'Page',
    keys: 'E',
    run: (editor) => editor.set({ drawing: !editor.drawing }),
  },
  {
    id: 'areas',
    name: 'Areas in words …',
    group: 'Page',
    keys: 'Shift+E',
    run: (editor) => editor.set({ dialog: 'areas' }),
  },
  {
    id: 'history',
    name: 'History …',
    group: 'Project',
    keys: 'Y',
    run: (editor) => editor.set({ dialog: 'history' }),
  },
  {
    id: 'set-aside',
    name: 'Changes set aside …',
    group: 'Project',
    run: (editor) => editor.set({ dialog: 'parked' }),
  },
  {
    id: 'clean',
    name: 'Hide the tools, or bring them back',
    group: 'Board',
    keys: '0',
    run: (editor) => editor.hideTools(editor.toolsBefore === undefined),
  },
  {
    id: 'bench',
    name: 'Lattice bench',
    group: 'Page',
    keys: 'B',
    run: (editor) => {
      editor.select(undefined)
      editor.set({ panels: { ...editor.panels, spec: true } })
    },
  },
  {
    id: 'new-page',
    name: 'New page',
    group: 'Page',
    keys: 'N',
    run: (editor) => editor.set({ dialog: 'page' }),
  },
  {
    id: 'place',
    name: 'Place from the shelf',
    group: 'Page',
    keys: '/',
    run: () => document.querySelector<HTMLInputElement>('[data-shelf-search]')?.focus(),
  },
  {
    id: 'zoom-in',
    name: 'Closer',
    group: 'Board',
    keys: 'Mod+=',
    run: (editor) => editor.zoomTo(editor.camera.zoom * 1.25),
  },
  {
    id: 'zoom-out',
    name: 'Further away',
    group: 'Board',
    keys: 'Mod+-',
    run: (editor) => editor.zoomTo(editor.camera.zoom / 1.25),
  },
  { id: 'zoom-real', name: 'Real size', group: 'Board', keys: 'Mod+0', run: (editor) => editor.zoomReal() },
  { id: 'fit', name: 'Fit the sheets', group: 'Board', keys: 'F', run: (editor) => editor.fit() },
  {
    id: 'follow',
    name: 'Bring what is selected into sight, or leave the board',
    group: 'Board',
    run: (editor) => {
      editor.set({ follows: !editor.follows })
      editor.announce(editor.follows ? 'The board follows what is selected' : 'The board stays where it is')
    },
  },
  {
    id: 'fit-selection',
    name: 'Fit what is selected',
    group: 'Board',
    keys: 'Shift+F',
    when: hasBlock,
    run: (editor) => editor.fitSelection(),
  },
  {
    id: 'next-section',
    name: 'Next section',
    group: 'Board',
    keys: 'PageDown',
    run: (editor) => editor.goSection(1),
  },
  {
    id: 'last-section',
    name: 'Section before',
    group: 'Board',
    keys: 'PageUp',
    run: (editor) => editor.goSection(-1),
  },
  {
    id: 'lattice',
    name: 'Show or hide the lattice',
    group: 'Board',
    keys: 'L',
    run: (editor) => editor.set({ showLattice: !editor.showLattice }),
  },
  {
    id: 'baseline',
    name: 'Show or hide the baseline rhythm',
    group: 'Board',
    keys: 'Shift+B',
    run: (editor) => editor.set({ showBaseline: !editor.showBaseline }),
  },
  {
    id: 'fold-ledger',
    name: 'Fold the ledger away',
    group: 'Board',
    keys: '1',
    run: (editor) => editor.set({ panels: { ...editor.panels, ledger: !editor.panels.ledger } }),
  },
  {
    id: 'fold-shelf',
    name: 'Open or close the shelf',
    group: 'Board',
    keys: '2',
    run: (editor) => editor.set({ panels: { ...editor.panels, shelf: !editor.panels.shelf } }),
  },
  {
    id: 'fold-spec',
    name: 'Fold the spec away',
    group: 'Board',
    keys: '3',
    run: (editor) => editor.set({ panels: { ...editor.panels, spec: !editor.panels.spec } }),
  },
]

const ALSO: Record<string, string> = { 'Mod+Y': 'redo', Backspace: 'delete', 'Mod++': 'zoom-in', Home: 'fit' }

export function keysOf(event: KeyboardEvent): string {
  const parts: string[] = []
  if (event.ctrlKey || event.metaKey) parts.push('Mod')
  if (event.altKey) parts.push('Alt')
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key
  // A sign that needs Shift, such as ?, is named by itself.
  if (event.shiftKey && (key.length > 1 || /[A-Z]/.test(key))) parts.push('Shift')
  return [...parts, key].join('+')
}

export function commandFor(keys: string): Command | undefined {
  return (
    COMMANDS.find((command) => keysFor(command) === keys) ??
    COMMANDS.find((command) => command.id === ALSO[keys] && !isChanged(command))
  )
}

const MAC = typeof navigator !== 'undefined' && /Mac/.test(navigator.userAgent)
export const showKeys = (keys: string) =>
  keys
    .replace('Mod', MAC ? '⌘' : 'Ctrl')
    .replace('ArrowLeft', '←')
    .replace('ArrowRight', '→')
    .replace('ArrowUp', '↑')
    .replace('ArrowDown', '↓')
    .replaceAll('+', ' ')
    .replace('  ', ' +')
