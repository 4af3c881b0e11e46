/** What a change on a narrower view applies to: that view, and those narrower that say nothing else, or every view. */
import type { View } from '../../core/document/schema'
import { Pick } from '../parts/pick'
import { useBoard, useEditor } from './use-editor'

/** In the spec: both, the chosen one marked. */
export function ScopeSwitch() {
  const editor = useEditor()
  const widest = editor.doc.views[0]!
  if (editor.view.id === widest.id)
    return (
      <p className="rule-b px-4 py-2 text-small leading-5.5 soft">
        {widest.name} leads; narrower views follow it.
      </p>
    )
  const choice = (only: boolean, words: string) => (
    <Pick
      name="scope"
      on={editor.onlyHere === only}
      onPick={() => editor.setScope(only)}
      className={`flex-1 py-1 text-center ${
        editor.onlyHere !== only
          ? 'soft'
          : only
            ? 'bg-(--gold-wash) font-bold text-(--gold-text) shadow-sm'
            : 'bg-base-100 font-bold text-primary shadow-sm'
      }`}
    >
      {words}
    </Pick>
  )
  return (
    <fieldset className="rule-b px-4 py-2">
      <legend className="sr-only">A change applies to</legend>
      <div className="flex rounded-box bg-base-200 p-0.5 text-small">
        {choice(true, `Only ${editor.view.name}`)}
        {choice(false, 'Every view')}
      </div>
    </fieldset>
  )
}

/** On the board, beside the active sheet's name: says which, and a press chooses the other. */
export function ScopeMark({ view }: { view: View }) {
  const editor = useBoard()
  if (editor.view.id !== view.id || view.id === editor.doc.views[0]!.id) return null
  return (
    <button
      type="button"
      data-scope={editor.onlyHere ? 'only' : 'every'}
      className={`ml-1.5 h-5 flex-none rounded-field px-1.5 text-small leading-5 font-semibold ${
        editor.onlyHere
          ? 'bg-(--gold-wash) text-(--gold-text) outline outline-accent'
          : 'bg-base-100 text-primary outline outline-primary'
      }`}
      aria-description={`What changes on ${view.name} apply to`}
      title={
        editor.onlyHere
          ? `Changes apply to ${view.name} alone. Press to change every view.`
          : `Changes apply to every view. Press to change ${view.name} alone.`
      }
      onPointerDown={(event) => event.stopPropagation()}
      onClick={() => editor.setScope(!editor.onlyHere)}
    >
      {editor.onlyHere ? 'only here' : 'every view'}
    </button>
  )
}
