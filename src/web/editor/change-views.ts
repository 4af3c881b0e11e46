/** Changing views' lattices: where columns become fewer or much narrower, what would no longer fit is told first. */
import type { View } from '../../core/document/schema'
import { viewEdits } from '../../core/edits/views'
import { growsTight } from '../../core/lattice/fit'
import { askLayout } from '../session/layout-worker'
import type { Editor } from './editor-state'

/** Only the last question's answer counts. */
let asked = 0

/** Commits `views`, at once or when the user has said so. */
export function changeViews(editor: Editor, views: View[], label: string, gesture?: string) {
  const now = ++asked
  // Only what is asked here: what others change meanwhile stays.
  const edits = viewEdits(editor.doc.views, views)
  const commit = () => {
    asked++
    editor.set({ latticeQuestion: undefined })
    editor.commit(edits, label, gesture)
  }
  const before = new Map(editor.doc.views.map((view) => [view.id, view]))
  const tight = views.some((view) => before.has(view.id) && growsTight(before.get(view.id)!, view))
  if (!tight) return commit()
  const misfitting = async () => {
    // On every page, those too that are not open.
    await editor.session.pages.whole()
    return askLayout({ ask: 'misfits', file: editor.doc.toFile(), views })
  }
  misfitting().then(
    (misfits) => {
      if (now !== asked) return
      if (misfits.length === 0) commit()
      else editor.set({ latticeQuestion: { misfits, commit } })
    },
    (error: Error) => editor.session.showNotice(`the lattice could not be tried: ${error.message}`),
  )
}
