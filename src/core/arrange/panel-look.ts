/** What a menu behind a button begins as, and its button. */
import type { Props } from '../properties/table'
import { OBJECT, said } from '../words/words'

/** Above and below what lies open over the window, px. */
const PADDING = 24
/** Between what stands in it, px. */
const GAP = 20

/** Three lines, as wide as a letter is high. */
const BARS = { name: 'menu', data: 'M10 27 H90 M10 50 H90 M10 73 H90', line: 9 }
export const menuButtonWords = () => said([{ text: OBJECT, icon: BARS }, { text: ' Menu' }])

/** Room to press it; its words end where all others do. */
export const BUTTON_LOOK: Props = { paddingTop: 12, paddingRight: 0, paddingBottom: 12, paddingLeft: 12 }

/** Tells it from what is below. */
const SHADOW: Props['shadows'] = {
  below: { order: 'a0', x: 0, y: 16, blur: 24, spread: 0, color: '#0000001f' },
}

/**
 * As wide as the window, below what it is in and filled like that.
 * @param top of it in the window @param margin on both sides of what is in it; px
 */
export function panelProps(fills: Props['fills'], top: number, margin: number): Props {
  return {
    folded: true,
    flow: 'column',
    align: 'start',
    rowGap: GAP,
    width: { kind: 'stretch', weight: 1 },
    pinLeft: { px: 0 },
    pinRight: { px: 0 },
    pinTop: { px: top },
    paddingTop: PADDING,
    paddingRight: margin,
    paddingBottom: PADDING,
    paddingLeft: margin,
    shadows: SHADOW,
    ...(fills ? { fills } : {}),
  }
}
