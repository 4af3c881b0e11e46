/** Every command with its name and shortcut: the palette, the keyboard and the menus all read this list. */

import { setTheme, theme } from '../editor/theme'
import { AIDS } from './aid-commands'
import { ARRANGE } from './arrange-commands'
import { BLOCKS } from './block-commands'
import { CLIPBOARD } from './clipboard-commands'
import { type Command, hasBlock } from './command'
import { PICTURES } from './picture-commands'
import { SECTIONS } from './section-commands'
import { SHAPES } from './shape-commands'
import { areSingleKeysOn, isChanged, isSingle, keysFor } from './shortcuts'

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
  ...BLOCKS,
  ...PICTURES,
  ...CLIPBOARD,
  ...ARRANGE,
  ...SHAPES,
  ...AIDS,
  ...SECTIONS,
  {
    id: 'find',
    name: 'Find by name or words …',
    group: 'Page',
    keys: 'Mod+F',
    run: (editor) => editor.set({ dialog: 'find' }),
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
    run: (editor) => editor.set({ drawing: editor.drawing ? undefined : 'areas' }),
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
    id: 'tokens',
    name: 'Tokens: colours, type styles, spaces …',
    group: 'Project',
    keys: 'Shift+T',
    run: (editor) => editor.set({ dialog: 'tokens' }),
  },
  {
    id: 'fonts',
    name: 'Fonts of your own …',
    group: 'Project',
    run: (editor) => editor.set({ dialog: 'fonts' }),
  },
  {
    id: 'tour',
    name: 'Show the tour',
    group: 'Project',
    run: (editor) => {
      for (const panel of ['ledger', 'spec'] as const) editor.showPanel(panel, true)
      editor.set({ tour: 0 })
    },
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
      editor.showPanel('spec', true)
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
    run: (editor) => editor.showPanel('ledger', !editor.panels.ledger),
  },
  {
    id: 'fold-shelf',
    name: 'Open or close the shelf',
    group: 'Board',
    keys: '2',
    run: (editor) => editor.showPanel('shelf', !editor.panels.shelf),
  },
  {
    id: 'fold-spec',
    name: 'Fold the spec away',
    group: 'Board',
    keys: '3',
    run: (editor) => editor.showPanel('spec', !editor.panels.spec),
  },
]

const ALSO: Record<string, string> = {
  'Mod+Y': 'redo',
  Backspace: 'delete',
  'Mod++': 'zoom-in',
  Home: 'fit',
  ContextMenu: 'menu',
}

export function keysOf(event: KeyboardEvent): string {
  const parts: string[] = []
  if (event.ctrlKey || event.metaKey) parts.push('Mod')
  if (event.altKey) parts.push('Alt')
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key
  // A sign that needs Shift, such as ?, is named by itself.
  if (event.shiftKey && (key.length > 1 || /[A-Z]/.test(key))) parts.push('Shift')
  return [...parts, key].join('+')
}

/** The command whose keys these are. */
export function commandWith(keys: string): Command | undefined {
  return (
    COMMANDS.find((command) => keysFor(command) === keys) ??
    COMMANDS.find((command) => command.id === ALSO[keys] && !isChanged(command))
  )
}

/** The command that is meant when keys are pressed. */
export const commandFor = (keys: string): Command | undefined =>
  isSingle(keys) && !areSingleKeysOn() ? undefined : commandWith(keys)

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
