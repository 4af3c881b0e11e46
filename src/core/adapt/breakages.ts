/** What breaks on a page as it is laid out: words, blocks and the page that have too little room. */
import { Flow, type LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import type { Rect } from '../layout/rect'

export type BreakageKind =
  /** A word is wider than its block. */
  | 'cut'
  /** It lies beyond the page's right edge: the page scrolls sideways. */
  | 'sideways'
  /** It is wider than what it stands in, and lies over what is beside that. */
  | 'out'
  /** What is in it is higher than it, and lies over what is below. */
  | 'low'
  /** A lifted block lies over words. */
  | 'over'
  /** Every line of several is a single word. */
  | 'crumbled'

export type Broken = { node: string; name: string; kind: BreakageKind }
/** By kind and node. */
export type Found = ReadonlyMap<string, Broken>

/** Less is rounding, px. */
const SEEN = 0.5
/** Lines from which on single words are a column of words. */
const COLUMN = 3
/** Less of a lifted block over words touches them, px. */
const TOUCHES = 2

/** Everything that breaks as the page is laid out now. */
export function breakagesIn(layout: PageLayout): Found {
  const found = new Map<string, Broken>()
  const words: Seen[] = []
  const lifted: Seen[] = []
  const width = layout.root.width
  const add = ({ node }: LayoutBox, kind: BreakageKind) =>
    found.set(`${kind} ${node.id}`, { node: node.id, name: node.name, kind })
  const visit = (box: LayoutBox, left: number, top: number, isHeld: boolean) => {
    let isLow = false
    for (const kids of [box.kids, box.lifted])
      for (const kid of kids) {
        const [x, y] = [left + kid.x, top + kid.y]
        const isOut = !isHeld && x + kid.width > width + SEEN
        if (isOut) add(kid, 'sideways')
        else if (!isHeld && sticksOut(kid, box)) add(kid, 'out')
        isLow ||= !isHeld && !box.clip && hangsOut(kid, box)
        if (kid.pins) lifted.push({ box: kid, rect: { x, y, width: kid.width, height: kid.height } })
        if (kid.typeset) {
          breaksInWords(kid, add)
          words.push({ box: kid, rect: wordsRect(kid, x, y) })
        }
        // What is clipped, or in what sticks out already, is not said again.
        visit(kid, x, y, isHeld || isOut || kid.clip)
      }
    if (isLow) add(box, 'low')
  }
  visit(layout.root, 0, 0, false)
  for (const { box } of coversWords(lifted, words)) add(box, 'over')
  return found
}

type Seen = { box: LayoutBox; rect: Rect }

/** Whether what flows in a block ends beyond the room that the block has for it. */
const sticksOut = (kid: LayoutBox, box: LayoutBox) =>
  kid.pins === null && box.parent !== null && kid.x + kid.width > box.width - box.padR - box.borR + SEEN

/** The same downwards; padding may be used up, since nothing is covered by that. */
const hangsOut = (kid: LayoutBox, box: LayoutBox) =>
  kid.pins === null && box.parent !== null && kid.y + kid.height > box.height - box.borB + SEEN

function breaksInWords(box: LayoutBox, add: (box: LayoutBox, kind: BreakageKind) => void) {
  const { typeset } = box
  if (box.flow !== Flow.Text || !typeset) return
  const room = Math.max(0, box.width - box.padX)
  if (typeset.minContent > room + SEEN) return add(box, 'cut')
  if (box.borT + box.padT + typeset.height(room) > box.height - box.borB + SEEN) add(box, 'low')
  const crumbled = typeset.placed(room).some(({ paragraph, lines }) => {
    if (lines.length < COLUMN) return false
    return lines.every(({ start, end }) => !paragraph.text.slice(start, end).trim().includes(' '))
  })
  if (crumbled) add(box, 'crumbled')
}

/** Where the lines of a text are, rather than its box, which may be far wider. */
function wordsRect(box: LayoutBox, x: number, y: number): Rect {
  const room = Math.max(0, box.width - box.padX)
  const wide = Math.min(room, box.typeset!.maxContent)
  const high = box.typeset!.height(room)
  const slack = room - wide
  const { textAlign } = box.resolved
  const before = textAlign === 'center' ? slack / 2 : textAlign === 'right' ? slack : 0
  return { x: x + box.borL + box.padL + before, y: y + box.borT + box.padT, width: wide, height: high }
}

/** The lifted blocks that lie over words which are neither in them nor around them. */
const coversWords = (lifted: readonly Seen[], words: readonly Seen[]): Seen[] =>
  lifted.filter((above) =>
    words.some((each) => meets(above.rect, each.rect) && !isWithin(each.box, above.box)),
  )

const meets = (a: Rect, b: Rect) =>
  Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > TOUCHES &&
  Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > TOUCHES

function isWithin(box: LayoutBox, above: LayoutBox): boolean {
  for (let at: LayoutBox | null = box; at; at = at.parent) if (at === above) return true
  return false
}
