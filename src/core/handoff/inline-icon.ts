/** An icon among words as SVG: for the page, the board, and the text that is being written. */
import { num } from '../properties/css-text'
import { ICON_DROP } from '../text/icon-box'
import type { Icon } from '../words/words'
import { htmlAttribute } from './escape'
import { madeClass } from './names'

/** Class of icons within a text. */
export const ICON_CLASS = madeClass('icon')

/** As large as the words around it, in their ink. */
export const ICON_DECLARATIONS: readonly (readonly [string, string])[] = [
  ['display', 'inline'],
  ['width', '1em'],
  ['height', '1em'],
  ['min-width', '0'],
  ['min-height', '0'],
  ['vertical-align', `${-ICON_DROP}em`],
  ['fill', 'none'],
  ['stroke', 'currentColor'],
  ['stroke-linecap', 'round'],
  ['stroke-linejoin', 'round'],
]

/** Its drawing within 100 × 100. */
export const iconPath = ({ data, line }: Icon) => `<path d="${data}" stroke-width="${num(line)}"/>`

/**
 * @param said what it is called to whoever cannot see it; left out: words beside it say that
 * @param drawing what stands in it: its path, or where that is found
 */
export function iconHtml(icon: Icon, said: string | undefined, drawing = iconPath(icon)): string {
  const name = said === undefined ? 'aria-hidden="true"' : `role="img" aria-label="${htmlAttribute(said)}"`
  return `<svg class="${ICON_CLASS}" viewBox="0 0 100 100" ${name}>${drawing}</svg>`
}
