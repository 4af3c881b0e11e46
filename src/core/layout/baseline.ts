/** First baselines (CSS Box Alignment 3 §9, Flexbox §8.5, Grid 2 §10.6). */
import { Align, Flow, type LayoutBox, Sizing } from './box'

/** How far a text's lines stand below its content edge, px: a button's label is centred in its height. */
export function textOffset(box: LayoutBox, width: number, height: number): number {
  if (box.node.kind !== 'button') return 0
  return Math.max(0, (height - box.padY - box.typeset!.height(Math.max(0, width - box.padX))) / 2)
}

/**
 * Whether an item of a lattice is aligned by its baseline. One whose height depends on the row cannot help to make the row; the
 * handoff sets it to the row's start, since Chromium loses such an item far off the page.
 */
export const sharesBaseline = (item: LayoutBox) =>
  item.alignSelf === Align.Baseline &&
  item.heightKind !== Sizing.Stretch &&
  item.heightKind !== Sizing.Percent

/** From the border box's top to the first baseline, px; NaN when nothing inside has one. */
function ownBaseline(box: LayoutBox): number {
  switch (box.flow) {
    case Flow.Text: {
      if (box.typeset!.isEmpty) return Number.NaN
      return (
        box.borT +
        box.padT +
        textOffset(box, box.lastW, box.lastResult) +
        box.typeset!.firstBaseline(Math.max(0, box.lastW - box.padX))
      )
    }
    case Flow.Row: {
      const line = box.kids.filter((kid, i) => i === 0 || kid.row === box.kids[0]!.row)
      const kid =
        line.find((each) => each.alignSelf === Align.Baseline && each.heightKind !== Sizing.Stretch) ??
        box.kids[0]
      return kid ? kid.y + baselineOf(kid) : Number.NaN
    }
    case Flow.Column:
    case Flow.Stack: {
      const kid = box.kids[0]
      return kid ? kid.y + baselineOf(kid) : Number.NaN
    }
    case Flow.Lattice: {
      const first = box.kids.filter((kid) => kid.row === 0)
      const kid = first.find(sharesBaseline) ?? first.sort((a, b) => a.column - b.column)[0]
      return kid ? kid.y + baselineOf(kid) : Number.NaN
    }
    default:
      return Number.NaN
  }
}

/** The baseline other boxes align with; a box without one is aligned by its bottom edge. Needs the box laid out. */
export function baselineOf(box: LayoutBox): number {
  const own = ownBaseline(box)
  if (Number.isNaN(own)) return box.lastResult
  // A clipped box's baseline is held to its border box (CSS Align 3 §9.1).
  return box.clip ? Math.min(Math.max(own, 0), box.lastResult) : own
}
