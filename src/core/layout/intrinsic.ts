/** Intrinsic inline sizes (CSS Sizing 3 §5, Flexbox §9.9, Grid 2 §11). Border boxes, px. */
import { clamp, Flow, type LayoutBox, Sizing } from './box'

/** The box's content at its narrowest, with padding and border, whatever its own width says. */
export function minContent(box: LayoutBox): number {
  if (Number.isNaN(box.minContent)) box.minContent = transferred(box, contentSize(box, false))
  return box.minContent
}

/** The box's content with nothing wrapped. */
export function maxContent(box: LayoutBox): number {
  if (Number.isNaN(box.maxContent)) box.maxContent = transferred(box, contentSize(box, true))
  return box.maxContent
}

/** What a box adds to its parent's intrinsic size: its own width when that is a length, else its content. */
export function contribution(box: LayoutBox, max: boolean): number {
  let size: number
  if (box.widthKind === Sizing.Exact) size = Math.max(box.widthValue, box.padX)
  else if (box.flow === Flow.Picture) size = pictureContribution(box, max)
  else size = max ? maxContent(box) : minContent(box)
  return Math.max(clamp(size, box.minW, box.maxW), box.padX)
}

/** The content width of a frame, held to what its least and most heights are by its ratio (CSS Sizing 4 §5.1.1), px. */
function transferred(box: LayoutBox, width: number): number {
  if (!(box.ratio > 0) || box.flow === Flow.Picture || box.kids.length > 0) return width
  const least = (box.minH > box.padY ? box.minH : box.padY) * box.ratio
  return Math.max(box.padX, clamp(width, least, box.maxH * box.ratio))
}

/** `fit-content`: as wide as the content, but no wider than `available` unless it cannot shrink so far. */
export function fitContent(box: LayoutBox, available: number): number {
  const most = maxContent(box)
  if (most <= available) return most
  return Math.min(most, Math.max(minContent(box), available))
}

function contentSize(box: LayoutBox, max: boolean): number {
  const pad = box.padX
  switch (box.flow) {
    case Flow.Text:
      return (max ? box.paragraph!.maxContent : box.paragraph!.minContent) + pad
    case Flow.Picture:
      return pictureContent(box)
    case Flow.Row: {
      let total = 0
      for (const kid of box.kids) {
        const size = kid.before + contribution(kid, max)
        total = box.wrap && !max ? Math.max(total, size) : total + size
      }
      if (!(box.wrap && !max)) total += box.colGap * Math.max(0, box.kids.length - 1)
      return total + pad
    }
    case Flow.Column:
    case Flow.Stack: {
      let widest = 0
      for (const kid of box.kids) widest = Math.max(widest, contribution(kid, max))
      return widest + pad
    }
    case Flow.Lattice: {
      // Tracks are minmax(0, 1fr): nothing under min-content; under max-content the widest share of any item.
      const gaps = box.colGap * (box.columns - 1)
      if (!max) return gaps + pad
      return shareOf(box, 0) * box.columns + gaps + pad
    }
    default:
      return pad
  }
}

/** A picture's share of its parent's size. As wide as its place (`width: 100%`) it is compressible (CSS Sizing 3 §5.2.2). */
function pictureContribution(box: LayoutBox, max: boolean): number {
  const inRow = box.parent?.flow === Flow.Row
  if (box.widthKind === Sizing.Stretch && inRow) return box.naturalWidth
  return max ? maxContent(box) : 0
}

/** In a row or lattice a height in percent counts for nothing here in Chromium, so the width that follows it by the ratio does neither. */
function pictureContent(box: LayoutBox): number {
  const inPercent = box.heightKind === Sizing.Percent && box.parent?.flow !== Flow.Column
  if ((box.heightKind === Sizing.Exact || inPercent) && box.ratio > 0) {
    const height = Math.max(box.padY, clamp(inPercent ? 0 : box.heightValue, box.minH, box.maxH))
    return box.naturalRatio
      ? Math.max(0, height - box.padY) * box.ratio + box.padX
      : Math.max(box.padX, height * box.ratio)
  }
  return box.naturalWidth + box.padX
}

/** The largest share of a track that any item asks, items of subgrids counted as the lattice's own. */
function shareOf(lattice: LayoutBox, edges: number): number {
  let share = 0
  for (const kid of lattice.kids) {
    const span = Math.min(kid.span, lattice.columns)
    if (kid.subgrid && kid.flow === Flow.Lattice) {
      share = Math.max(share, shareOf(kid, edges + kid.padX))
      continue
    }
    const size = contribution(kid, true) - (span - 1) * lattice.colGap + edges
    share = Math.max(share, size / span)
  }
  return share
}
