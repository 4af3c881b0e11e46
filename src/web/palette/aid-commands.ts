/** Commands for guides, rulers and gauges. */
import { addGuideEdits, type GuideSet, guideSet, guidesOf } from '../../core/arrange/guides'
import { type Editor, makeId } from '../editor/editor-state'
import type { Command } from './command'

/** Leaves the distances from a block to another on a sheet; `to` its own id: to what it lies in. */
export function pinGauge(editor: Editor, from: string, to: string, view: string) {
  const id = makeId()
  const aid = { kind: 'gauge' as const, id, view, from, to }
  if (editor.commit([{ op: 'aid', page: editor.pageId, id, aid }], 'Leave a gauge on the sheet'))
    editor.announce('The gauge stays on the sheet')
}

export function layGuides(editor: Editor, set: GuideSet) {
  const { layout } = editor
  if (!layout) return
  const edits = addGuideEdits(editor.doc, layout, guideSet(layout, set, editor.selection), makeId)
  if (edits.length === 0) return editor.session.showNotice('there are guides at all of these already')
  if (editor.commit(edits, `Lay guides: ${set}`))
    editor.announce(edits.length === 1 ? 'One guide laid' : `${edits.length} guides laid`)
}

export function takeGuidesAway(editor: Editor) {
  const edits = guidesOf(editor.doc, editor.pageId, editor.viewId).map(({ id }) => ({
    op: 'aid' as const,
    page: editor.pageId,
    id,
    aid: null,
  }))
  if (edits.length > 0 && editor.commit(edits, 'Take all guides away'))
    editor.announce(`${edits.length} guides taken away`)
}

const SETS: [GuideSet, string][] = [
  ['halves', 'in the middle of the container'],
  ['thirds', 'at thirds of the container'],
  ['margins', 'at the margins'],
  ['columns', 'at every column’s edges'],
  ['sections', 'at the sections’ edges'],
  ['selection', 'round what is selected'],
]

export const AIDS: Command[] = [
  ...SETS.map(
    ([set, words]): Command => ({
      id: `guides-${set}`,
      name: `Guides ${words}`,
      group: 'Board',
      when: (editor) => set !== 'selection' || editor.selection.length > 0,
      run: (editor) => layGuides(editor, set),
    }),
  ),
  {
    id: 'gauge',
    name: 'See distances, as long as it is held',
    group: 'Board',
    keys: 'G',
    isHeld: true,
    run: () => {},
  },
  {
    id: 'no-guides',
    name: 'Take all guides of this sheet away',
    group: 'Board',
    when: (editor) => guidesOf(editor.doc, editor.pageId, editor.viewId).length > 0,
    run: takeGuidesAway,
  },
  {
    id: 'show-aids',
    name: 'Show or hide guides and gauges',
    group: 'Board',
    keys: 'Shift+G',
    run: (editor) => editor.set({ showAids: !editor.showAids }),
  },
  {
    id: 'rulers',
    name: 'Show or hide the rulers',
    group: 'Board',
    keys: 'Shift+U',
    run: (editor) => editor.set({ rulers: !editor.rulers }),
  },
  {
    id: 'page-marks',
    name: 'Show or hide the marks on type, contrast and links',
    group: 'Board',
    run: (editor) => editor.set({ showMarks: !editor.showMarks }),
  },
  {
    id: 'pin-gauge',
    name: 'Leave the distances of what is selected on the sheet',
    group: 'Arrange',
    keys: 'Shift+D',
    when: (editor) => editor.selection.length > 0,
    run: (editor) => {
      const [from, to = from] = editor.selection
      pinGauge(editor, from!, to!, editor.viewId)
    },
  },
]
