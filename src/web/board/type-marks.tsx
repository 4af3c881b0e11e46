/** What is to be looked at in a sheet's type, in gold; in words for what is selected. */
import { useMemo } from 'react'
import { type TypeMark, typeMarks } from '../../core/proof/type-marks'
import { useBoard } from '../editor/use-editor'
import { useRested } from '../parts/use-rested'
import { TAG } from './marks'
import type { SheetPlace } from './sheet-place'

/** No version of a layout. */
const NEVER = -1

export function TypeMarks({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  // What is opened, typed or pulled is painted first.
  const version = useRested(layout.version, NEVER)
  const [wide] = editor.shownViews
  const leading = editor.layoutOf(wide.id) ?? layout
  const marks = useMemo(
    () => (version === NEVER ? [] : typeMarks(layout, { layout: leading, name: wide.name })),
    [layout, leading, wide.name, version],
  )
  // While it changes marks would lie where their words were.
  if (editor.drag || layout.version !== version || editor.editing?.view === view.id) return null
  return marks.map((mark) => (
    <Mark
      key={`${mark.id} ${mark.kind} ${mark.rect.y}`}
      mark={mark}
      isSaid={editor.view.id === view.id && editor.selection.length === 1 && editor.selection[0] === mark.id}
      at={{
        left: left + mark.rect.x * zoom,
        top: top + mark.rect.y * zoom,
        width: mark.rect.width * zoom,
        height: mark.rect.height * zoom,
      }}
    />
  ))
}

type At = { left: number; top: number; width: number; height: number }

/** Under a word a dotted line; beside a text an upright one. */
function Mark({ mark: { kind, words }, isSaid, at }: { mark: TypeMark; isSaid: boolean; at: At }) {
  const line =
    kind === 'lone'
      ? 'border-b-2 border-dotted'
      : `border-l-2 ${kind === 'family' ? 'border-dotted' : 'border-solid'}`
  return (
    <div
      data-type-mark={words}
      className={`pointer-events-none absolute border-(--sheet-gold) ${line}`}
      style={kind === 'lone' ? at : { ...at, left: at.left - 6, width: 2 }}
    >
      {isSaid && (
        <div
          className={`${TAG} bg-(--gold-wash) text-(--gold-text) ${kind === 'lone' ? 'top-full left-full' : 'right-full top-0 mr-1'}`}
        >
          {words}
        </div>
      )}
    </div>
  )
}
