/** What is to be looked at on a sheet, in gold; in words for what is selected. */
import { useEffect, useState } from 'react'
import type { Document } from '../../core/document/document'
import type { PageLayout } from '../../core/layout/page'
import { MOST_FAMILIES, type PageMark, pageMarksIn } from '../../core/proof/page-marks'
import { useBoard } from '../editor/use-editor'
import { askIdle } from '../parts/when-idle'
import { TAG } from './marks'
import type { SheetPlace } from './sheet-place'

/** Marks drawn at once on a sheet: more are no help, and what is selected is marked all the same. */
const MOST = 40
/** ms that nothing changes before the type is looked over. */
const REST = 250

type Found = { layout: PageLayout; version: number; marks: PageMark[] }

/** Looked for once nothing changes and the browser has nothing else to do. */
function useMarksOf(
  layout: PageLayout,
  leading: PageLayout,
  name: string,
  { pages, about }: Document,
): PageMark[] {
  const families = about.families ?? MOST_FAMILIES
  const [found, setFound] = useState<Found>()
  const { version } = layout
  useEffect(() => {
    let idle = 0
    const looking = pageMarksIn(layout, { layout: leading, name }, pages, families)
    const marks: PageMark[] = []
    // As much at a time as the browser has time for.
    const look = (deadline: IdleDeadline) => {
      do {
        const { value, done } = looking.next()
        if (done) return setFound({ layout, version, marks })
        marks.push(...value)
      } while (deadline.timeRemaining() > 1)
      idle = askIdle(look)
    }
    const timer = setTimeout(() => {
      idle = askIdle(look)
    }, REST)
    return () => {
      clearTimeout(timer)
      cancelIdleCallback(idle)
    }
  }, [layout, leading, name, pages, families, version])
  // While it changes they would lie where their words were.
  return found?.layout === layout && found.version === version ? found.marks : NONE
}
const NONE: PageMark[] = []

export function PageMarks({ view, layout, left, top, zoom }: SheetPlace) {
  const editor = useBoard()
  const [wide] = editor.shownViews
  const leading = editor.layoutOf(wide!.id) ?? layout
  const marks = useMarksOf(layout, leading, wide!.name, editor.doc)
  if (editor.drag || editor.editing?.view === view.id || marks.length === 0) return null
  const [selected] = editor.view.id === view.id && editor.selection.length === 1 ? editor.selection : []
  const { width, height } = editor.boardSize
  const placed = marks.flatMap((mark) => {
    const { rect } = mark
    const at = {
      left: left + rect.x * zoom,
      top: top + rect.y * zoom,
      width: rect.width * zoom,
      height: rect.height * zoom,
    }
    const isSeen = at.left < width && at.top < height && at.left + at.width > 0 && at.top + at.height > 0
    return isSeen ? [{ mark, at }] : []
  })
  const shown = placed.length > MOST ? placed.filter(({ mark }) => mark.id === selected) : placed
  return shown.map(({ mark, at }) => (
    <Mark key={`${mark.id} ${mark.kind} ${mark.rect.y}`} mark={mark} isSaid={mark.id === selected} at={at} />
  ))
}

type At = { left: number; top: number; width: number; height: number }

/** Under a word, or what leads nowhere, a dotted line; beside a text an upright one. */
function Mark({ mark: { kind, words }, isSaid, at }: { mark: PageMark; isSaid: boolean; at: At }) {
  const isUnder = kind === 'lone' || kind === 'link'
  const line = isUnder
    ? 'border-b-2 border-dotted'
    : `border-l-2 ${kind === 'family' ? 'border-dotted' : 'border-solid'}`
  return (
    <div
      data-page-mark={words}
      className={`pointer-events-none absolute border-(--sheet-gold) ${line}`}
      style={
        isUnder
          ? { ...at, height: at.height + (kind === 'link' ? 4 : 0) }
          : { ...at, left: at.left - 6, width: 2 }
      }
    >
      {isSaid && (
        <div
          className={`${TAG} bg-(--gold-wash) text-(--gold-text) ${isUnder ? 'top-full left-full' : 'right-full top-0 mr-1'}`}
        >
          {words}
        </div>
      )}
    </div>
  )
}
