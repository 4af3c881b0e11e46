/** Guides: lines that a designer lays on a sheet, one by one or many at once. All px on a sheet. */
import type { Document } from '../document/document'
import type { Guide } from '../document/schema'
import type { Edit } from '../edits/edit'
import { columnLeft } from '../lattice/used'
import type { PageLayout } from '../layout/page'
import { ANY_SIDE, latticeLines, nearest, rectLines, type SnapLine, sectionLines } from './snap'

export const guidesOf = (doc: Document, page: string, view: string): Guide[] =>
  (doc.pages.get(page)?.aids ?? []).filter((aid): aid is Guide => aid.kind === 'guide' && aid.view === view)

export const GUIDE_SETS = ['halves', 'thirds', 'margins', 'columns', 'sections', 'selection'] as const
export type GuideSet = (typeof GUIDE_SETS)[number]
type Line = { axis: 'x' | 'y'; at: number }

/** Lines of a set: the container's halves and thirds, the margins, every column's edges, every section's, the selected blocks'. */
export function guideSet(layout: PageLayout, set: GuideSet, selection: readonly string[] = []): Line[] {
  const used = layout.usedFor(selection.at(-1))
  const share = (part: number): Line => ({ axis: 'x', at: used.left + used.container * part })
  switch (set) {
    case 'halves':
      return [share(1 / 2)]
    case 'thirds':
      return [share(1 / 3), share(2 / 3)]
    case 'margins':
      return [share(0), share(1)]
    case 'columns':
      return Array.from({ length: used.columns }, (_, i): Line[] => {
        const left = columnLeft(used, i + 1)
        return [
          { axis: 'x', at: left },
          { axis: 'x', at: left + used.columnWidth },
        ]
      }).flat()
    case 'sections':
      return layout.root.kids.map((section): Line => ({ axis: 'y', at: section.y + section.height }))
    case 'selection':
      return selection.flatMap((id): Line[] => {
        const rect = layout.seen(id)
        if (!rect) return []
        return [
          { axis: 'x', at: rect.x },
          { axis: 'x', at: rect.x + rect.width },
          { axis: 'y', at: rect.y },
          { axis: 'y', at: rect.y + rect.height },
        ]
      })
  }
}

const round = (value: number) => Math.round(value * 100) / 100

/** Edits that lay guides on a sheet; lines where one lies already are left out. */
export function addGuideEdits(
  doc: Document,
  layout: PageLayout,
  lines: readonly Line[],
  makeId: () => string,
): Edit[] {
  const there = [...guidesOf(doc, layout.page, layout.viewId)] as Line[]
  const edits: Edit[] = []
  for (const line of lines) {
    const { axis } = line
    const at = round(line.at)
    if (there.some((each) => each.axis === axis && Math.abs(each.at - at) < 0.01)) continue
    there.push({ axis, at })
    const id = makeId()
    edits.push({
      op: 'aid',
      page: layout.page,
      id,
      aid: { kind: 'guide', id, view: layout.viewId, axis, at },
    })
  }
  return edits
}

/** What a guide that is being moved may land on: the lattice, the sections, every block's edges and middle. */
export function guideTargets(layout: PageLayout, traced: readonly SnapLine[] = []): SnapLine[] {
  const all = new Set(['columns', 'gutters', 'container', 'centre', 'thirds'] as const)
  const blocks = [...layout.visible()]
    .filter((box) => box.parent !== layout.root)
    .flatMap((box) => rectLines(layout.seen(box.id)!, box.node.name, 'siblings'))
  return [...latticeLines(layout.used, all), ...sectionLines(layout), ...blocks, ...traced]
}

/** Where a guide lands, and on what. */
export function snapGuide(
  axis: 'x' | 'y',
  at: number,
  targets: readonly SnapLine[],
  reach: number,
): { at: number; line: SnapLine | undefined } {
  const found = nearest(
    targets,
    axis,
    ANY_SIDE.map((side) => [side, at] as const),
    reach,
  )
  return { at: found ? round(found.line.at) : Math.round(at), line: found?.line }
}
