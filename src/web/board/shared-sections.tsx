/** What a page shows of its template wears a double outline; the template's slot says what comes there. */
import type { LayoutBox } from '../../core/layout/box'
import type { Rect } from '../../core/layout/rect'
import { useBoard } from '../editor/use-editor'
import type { SheetPlace } from './sheet-place'

/** px between the two lines. */
const APART = 3

export function SharedSections({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  const chosen = editor.shared !== undefined && editor.viewId === view.id ? editor.shared : undefined
  const frame = (rect: Rect) => ({
    left: left + Math.round(rect.x * zoom),
    top: top + Math.round(rect.y * zoom),
    width: Math.round(rect.width * zoom),
    height: Math.round(rect.height * zoom),
  })
  const rectOf = (box: LayoutBox): Rect => ({ x: 0, y: box.y, width: box.width, height: box.height })
  const chosenRect = chosen === undefined ? undefined : layout.seen(chosen)
  return (
    <div aria-hidden="true">
      {layout.root.kids
        .filter(({ node }) => node.source !== undefined)
        .map((box) => (
          <div
            key={box.id}
            data-shared-section={box.id}
            className="pointer-events-none absolute border border-(--sheet-pine)/35"
            style={frame(rectOf(box))}
          >
            <div className="absolute border border-(--sheet-pine)/35" style={{ inset: APART - 1 }} />
          </div>
        ))}
      {layout.root.kids
        .filter(({ node }) => node.kind === 'slot')
        .map((box) => (
          <div
            key={box.id}
            className="slot-hatch pointer-events-none absolute grid place-items-center text-plain text-[#3a3d38]"
            style={frame(rectOf(box))}
          >
            {view.width * zoom > 150 && (
              <span className="max-w-full truncate rounded-field bg-white px-2 py-0.5">
                {view.width * zoom > 260 ? 'Each page’s own sections stand here' : 'Each page’s own'}
              </span>
            )}
          </div>
        ))}
      {chosenRect && (
        <div
          data-shared-selection
          className="pointer-events-none absolute border-(length:--line) border-(--sheet-pine)"
          style={frame(chosenRect)}
        >
          <div
            className="absolute border-(length:--line) border-(--sheet-pine)"
            style={{ inset: -2 * APART }}
          />
        </div>
      )}
    </div>
  )
}
