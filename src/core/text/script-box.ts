/** Words set higher or lower than those around them: `sup` and `sub`, of a size and at a height that make no line higher. */
import type { Look } from '../words/words'
import type { Extent } from './line-box'
import { toUnit } from './unit'

export type Script = NonNullable<Look['script']>

/** Of the size around it. */
export const SCRIPT_SIZE = 0.7
/** How far above the baseline around it its own lies, in its own size (em). */
export const SCRIPT_RAISE: Readonly<Record<Script, number>> = { sup: 0.5, sub: -0.25 }

/** px up. @param size its own, px */
export const raiseOf = (script: Script | undefined, size: number): number | undefined =>
  script && toUnit(size * SCRIPT_RAISE[script])

export const raised = ({ ascent, descent }: Extent, raise = 0): Extent => ({
  ascent: ascent + raise,
  descent: descent - raise,
})

/** What `sup` and `sub` declare: no line is as high as they are. */
export const scriptDeclarations = (script: Script): readonly (readonly [string, string])[] => [
  ['font-size', `${SCRIPT_SIZE}em`],
  ['line-height', '0'],
  ['vertical-align', `${SCRIPT_RAISE[script]}em`],
]
