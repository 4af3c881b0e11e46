/** Why a height is in parts of a px: the innermost block that brings them. */
import type { Node } from '../document/document'
import { type LayoutBox, Sizing } from './box'

/** `lines`: lines of so many px; `shape`: a width and a ratio; `share`: a percentage; `length`: a length, padding or gap of its own. */
export type Fraction = { node: Node; kind: 'lines' | 'shape' | 'share' | 'length'; px: number }

/** Less is rounding: a layout unit is a 64th of a px. */
const SEEN = 1 / 128
const isWhole = (px: number) => Math.abs(px - Math.round(px)) < SEEN

/** Undefined: the height is whole. */
export function fractionIn(box: LayoutBox): Fraction | undefined {
  if (isWhole(box.height)) return undefined
  const { node, typeset } = box
  if (box.heightKind === Sizing.Percent) return { node, kind: 'share', px: box.height }
  if (box.heightKind === Sizing.Exact) return { node, kind: 'length', px: box.height }
  if (typeset) {
    const lines = typeset.placed(Math.max(0, box.width - box.padX)).flatMap((set) => set.lines)
    const line = lines.find(({ height }) => !isWhole(height))
    if (line) return { node, kind: 'lines', px: line.height }
  }
  for (const kid of box.kids) {
    const found = fractionIn(kid)
    if (found) return found
  }
  // A picture takes its height from its width; a box may be held to a ratio.
  if (!Number.isNaN(box.ratio)) return { node, kind: 'shape', px: box.height }
  return { node, kind: 'length', px: box.height }
}

const WORDS: Record<Fraction['kind'], (px: string) => string> = {
  lines: (px) => `has lines of ${px} px`,
  shape: (px) => `keeps its shape and is ${px} px high`,
  share: (px) => `is a share and ${px} px high`,
  length: (px) => `has lengths in parts of a px: ${px}`,
}

/** As it is said. @param called what the block is called */
export function fractionWords({ kind, px }: Fraction, called: string): string {
  return `${called} ${WORDS[kind](String(Math.round(px * 100) / 100))}`
}
