/** Commands for a page's sections. */
import { addSectionEdits, joinSectionEdits, splitSectionEdits } from '../../core/arrange/sections'
import { makeId } from '../editor/editor-state'
import { openPageBackground } from '../lattice-bench/page-background'
import { arrange } from './arrange-commands'
import type { Command } from './command'

export const SECTIONS: Command[] = [
  {
    id: 'about',
    name: 'About this page: description, language, preview, icon',
    group: 'Page',
    run: (editor) => editor.set({ dialog: 'about' }),
  },
  {
    id: 'page-background',
    name: 'Background of this page: the colour it is drawn on',
    group: 'Page',
    run: openPageBackground,
  },
  {
    id: 'template',
    name: 'Template of this page: make, stand on, let go',
    group: 'Page',
    run: (editor) => editor.set({ dialog: 'template' }),
  },
  {
    id: 'add-section',
    name: 'Add a section below',
    group: 'Page',
    keys: 'Shift+N',
    run: (editor) => {
      const made = addSectionEdits(editor.doc, editor.pageId, editor.selected?.id, makeId)
      if (editor.commit(made.edits, 'Add a section')) editor.select(made.section)
    },
  },
  {
    id: 'split-section',
    name: 'Split the section behind this block',
    group: 'Page',
    keys: 'K',
    when: (editor) => editor.selected !== undefined && editor.selected.kind !== 'section',
    run: (editor) => {
      const made = splitSectionEdits(editor.doc, editor.layout!, editor.selected!.id, makeId)
      if (typeof made === 'string') return editor.session.showNotice(made)
      if (editor.commit(made.edits, 'Split the section')) editor.select(made.section)
    },
  },
  {
    id: 'join-sections',
    name: 'Join with the section below',
    group: 'Page',
    keys: 'J',
    when: (editor) => editor.selected !== undefined,
    run: (editor) =>
      arrange(editor, 'Join two sections', () => joinSectionEdits(editor.doc, editor.selected!.id)),
  },
]
