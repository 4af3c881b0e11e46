/** For which views the values below are: all, or one and those narrower. */
import { useState } from 'react'
import type { Where } from '../../core/document/token-variants'
import { differingAt } from '../../core/tokens/elsewhere'
import { useEditor } from '../editor/use-editor'
import { Pick } from '../parts/pick'

/** @returns where values are set, undefined: everywhere; and the choice of it */
export function useViewChoice(names: readonly string[]) {
  const { doc } = useEditor()
  const [chosen, setChosen] = useState<string>()
  const at = doc.views.findIndex(({ id }) => id === chosen)
  const view = at > 0 ? doc.views[at] : undefined
  const where: Where | undefined = view && { view: view.id }
  const [widest, ...narrower] = doc.views
  const choice = narrower.length > 0 && names.length > 0 && (
    <div className="mb-1 flex items-center gap-1" role="radiogroup" aria-label="Values for">
      <span className="soft">Values for</span>
      {[undefined, ...narrower].map((each) => {
        const own = each
          ? differingAt(doc, { view: each.id }).filter((name) => names.includes(name)).length
          : 0
        return (
          <Pick
            key={each?.id ?? ''}
            name="tokens-for-view"
            on={each?.id === view?.id}
            onPick={() => setChosen(each?.id)}
            className={each?.id === view?.id ? 'bg-base-300 font-semibold' : ''}
          >
            {each ? each.name : widest!.name}
            {own > 0 && <span className="soft"> {own} of its own</span>}
          </Pick>
        )
      })}
      {view && (
        <span className="ml-2 text-small soft">
          and narrower; the rest is as on {doc.views[at - 1]!.name}
        </span>
      )}
    </div>
  )
  return { where, choice, tokens: doc.tokensAt(view?.id ?? widest!.id) }
}
