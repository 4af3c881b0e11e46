/** Marks texts with characters that no font here has: what is seen of them elsewhere is not known. */
import { useMemo } from 'react'
import { characterName, missingIn } from '../../core/text/missing'
import { useRested } from '../parts/use-rested'
import { TAG } from './marks'
import type { SheetPlace } from './sheet-place'

/** Characters named on a mark. */
const MOST_NAMED = 3

export function MissingMarks({ layout, left, top, zoom }: SheetPlace) {
  // What changed is painted before all of it is looked through; where marks lie follows at once.
  const version = useRested(layout.version)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the layout changed
  const found = useMemo(
    () =>
      [...layout.visible()].flatMap((box) => {
        const missing = missingIn(box)
        return missing.length > 0 ? [{ id: box.id, missing }] : []
      }),
    [layout, version],
  )
  const marked = found.flatMap(({ id, missing }) => {
    const rect = layout.boxes.get(id) && layout.rect(id)
    return rect ? [{ id, rect, missing }] : []
  })
  return marked.map(({ id, rect, missing }) => (
    <div
      key={id}
      data-missing={id}
      className="pointer-events-none absolute border-b-2 border-dotted border-(--sheet-gold)"
      style={{
        left: left + rect.x * zoom,
        top: top + rect.y * zoom,
        width: rect.width * zoom,
        height: rect.height * zoom,
      }}
    >
      <div className={`${TAG} top-full right-0 mt-1 bg-(--gold-wash) text-(--gold-text)`}>
        no font has {missing.slice(0, MOST_NAMED).map(characterName).join(', ')}
        {missing.length > MOST_NAMED && ` and ${missing.length - MOST_NAMED} more`}
      </div>
    </div>
  ))
}
