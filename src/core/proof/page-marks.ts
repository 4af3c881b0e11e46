/**
 * A page looked over: words alone on last lines, headings that take more lines than on the widest sheet, families beyond the first few, words
 * that do not read on what is behind them, what leads nowhere.
 */
import { ratioWords } from '../color/contrast'
import { linksOf } from '../handoff/anchors'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'
import { placedLines } from '../paint/lines'
import { HEADINGS } from '../properties/kinds'
import { pageLinked } from '../properties/links'
import { isHeadingStyle } from '../properties/type'
import { familyNamed } from '../text/families'
import { loneWord } from '../text/lone-words'
import { type Ground, readingOf } from '../tokens/pairs'

export type PageMark = {
  id: string
  kind: 'lone' | 'lines' | 'family' | 'contrast' | 'link'
  words: string
  /** What it is about, px on the sheet: a word, or a text. */
  rect: Rect
}

/** Families that a page may be set in before more are marked. */
export const MOST_FAMILIES = 3

const textsOf = (layout: PageLayout): LayoutBox[] =>
  [...layout.visible()].filter((box) => box.typeset && box.typeset.text.trim() !== '')

/** Whether any of its paragraphs leaves a word alone; where that is is looked for afterwards: of most there is none. */
const leavesAny = (layout: PageLayout, { id }: LayoutBox) =>
  layout.placed(id).some(({ paragraph, lines }) => loneWord(paragraph, lines) !== undefined)

function loneMarks(layout: PageLayout, box: LayoutBox): PageMark[] {
  if (!leavesAny(layout, box)) return []
  const { x, y } = layout.rect(box.id)!
  const placed = placedLines(box)
  return [...new Set(placed.map(({ paragraph }) => paragraph))].flatMap((paragraph) => {
    const lines = placed.filter((each) => each.paragraph === paragraph)
    const word = loneWord(
      paragraph,
      lines.map(({ line }) => line),
    )
    const last = lines.at(-1)
    if (word === undefined || !last) return []
    const rect = { x: x + last.x, y: y + last.top, width: last.line.width, height: last.line.height }
    return [{ id: box.id, kind: 'lone' as const, words: `“${word}” alone on the last line`, rect }]
  })
}

const isHeading = ({ node, resolved }: LayoutBox) =>
  HEADINGS.some((tag) => tag === node.props.tag) || isHeadingStyle(resolved.type)

const linesOf = (layout: PageLayout, { id }: LayoutBox) =>
  layout.placed(id).reduce((sum, { lines }) => sum + lines.length, 0)
const said = (count: number) => (count === 1 ? 'one line' : `${count} lines`)

/** @param widest the sheet that leads, and what it is called */
function lineMarks(layout: PageLayout, box: LayoutBox, widest: Sheet): PageMark[] {
  const there = widest.layout.boxes.get(box.id)
  if (!isHeading(box) || widest.layout === layout || !there?.typeset) return []
  const [here, wide] = [linesOf(layout, box), linesOf(widest.layout, there)]
  if (here <= wide) return []
  return [
    {
      id: box.id,
      kind: 'lines',
      words: `${said(here)}, ${said(wide)} on ${widest.name}`,
      rect: layout.rect(box.id)!,
    },
  ]
}

/** The families of a page's texts, those that most are set in first; of as many the one that comes first. */
function familiesIn(texts: readonly LayoutBox[]): string[] {
  const counts = new Map<string, number>()
  for (const { resolved } of texts)
    counts.set(resolved.fontFamily, (counts.get(resolved.fontFamily) ?? 0) + 1)
  return [...counts].sort(([, a], [, b]) => b - a).map(([family]) => family)
}

/** Only what reads on none of the colours behind it: where pixels alone say which of them it is, that is looked at for what is selected. */
function contrastMarks(layout: PageLayout, box: LayoutBox, grounds: Map<LayoutBox, Ground>): PageMark[] {
  const reading = readingOf(box, grounds)
  if (!reading?.isSure || reading.best >= reading.needed) return []
  const words = `${ratioWords(reading.best)} on what is behind it, ${reading.needed} : 1 is needed`
  return [{ id: box.id, kind: 'contrast', words, rect: layout.rect(box.id)! }]
}

/** What a template says is marked where it is changed. */
function linkMarks(
  layout: PageLayout,
  { id, node }: LayoutBox,
  pages: ReadonlyMap<string, unknown>,
): PageMark[] {
  if (node.source !== undefined) return []
  const links = linksOf(node)
  const isEmpty = links.includes('#') || (node.kind === 'button' && links.length === 0)
  const isGone = links.some((link) => {
    const linked = pageLinked(link)
    return linked !== undefined && !pages.has(linked.page)
  })
  if (!isEmpty && !isGone) return []
  const words = isGone ? 'leads to a page that is gone' : 'leads nowhere yet'
  return [{ id, kind: 'link', words, rect: layout.rect(id)! }]
}

type Sheet = { layout: PageLayout; name: string }

/** Text by text, each with its marks, so that whoever has no time may go on later. @param widest of the sheets that show the page @param families how many it may be set in */
export function* pageMarksIn(
  layout: PageLayout,
  widest: Sheet,
  pages: ReadonlyMap<string, unknown>,
  families = MOST_FAMILIES,
): Generator<readonly PageMark[]> {
  const grounds = new Map<LayoutBox, Ground>()
  for (const box of layout.visible()) {
    const marks = [...contrastMarks(layout, box, grounds), ...linkMarks(layout, box, pages)]
    if (marks.length > 0) yield marks
  }
  const texts = textsOf(layout)
  const many = familiesIn(texts)
  const beyond = new Set(many.slice(families))
  for (const box of texts) {
    const { fontFamily } = box.resolved
    const family = beyond.has(fontFamily)
      ? [
          {
            id: box.id,
            kind: 'family' as const,
            words: `${familyNamed(fontFamily)?.family ?? fontFamily}: one of ${many.length} families`,
            rect: layout.rect(box.id)!,
          },
        ]
      : []
    yield [...loneMarks(layout, box), ...lineMarks(layout, box, widest), ...family]
  }
}
