/** CSS values as text: numbers, lengths, font stacks, and what each property is when nothing sets it. */
import { DEFAULT_FAMILY } from '../properties/type'
import { FALLBACK, familyNamed } from '../text/families'
import { cssString } from './escape'

/** What a declaration goes back to when a narrower view drops it. */
export const INITIAL: Record<string, string> = {
  display: 'block',
  'flex-direction': 'row',
  'flex-wrap': 'nowrap',
  // Not 0: a subgrid would take that for a gap of its own.
  gap: 'normal',
  'row-gap': 'normal',
  'column-gap': 'normal',
  'justify-content': 'normal',
  'align-items': 'normal',
  'justify-items': 'normal',
  'align-content': 'normal',
  'align-self': 'auto',
  'justify-self': 'auto',
  'box-sizing': 'border-box',
  'grid-template-columns': 'none',
  'grid-auto-flow': 'row',
  'grid-column': 'auto',
  flex: '0 1 auto',
  'flex-shrink': '1',
  width: 'auto',
  height: 'auto',
  'min-width': 'auto',
  'max-width': 'none',
  'min-height': 'auto',
  'max-height': 'none',
  'aspect-ratio': 'auto',
  padding: '0',
  position: 'static',
  left: 'auto',
  right: 'auto',
  top: 'auto',
  bottom: 'auto',
  'margin-inline': '0',
  'margin-block': '0',
  'margin-left': '0',
  'margin-top': '0',
  'z-index': 'auto',
  order: '0',
  overflow: 'visible',
  'background-color': 'transparent',
  'background-image': 'none',
  'background-position': '0 0',
  'background-size': 'auto',
  'background-repeat': 'repeat',
  'background-blend-mode': 'normal',
  'background-clip': 'border-box',
  'background-origin': 'padding-box',
  '-webkit-text-fill-color': 'currentcolor',
  filter: 'none',
  'backdrop-filter': 'none',
  'mask-image': 'none',
  'mask-size': 'auto',
  stroke: 'none',
  'stroke-width': '1px',
  'stroke-linecap': 'butt',
  'stroke-linejoin': 'miter',
  'stroke-dasharray': 'none',
  'border-width': '0',
  'border-style': 'solid',
  'border-color': 'currentcolor',
  'border-radius': '0',
  'box-shadow': 'none',
  opacity: '1',
  rotate: 'none',
  isolation: 'auto',
  'mix-blend-mode': 'normal',
  color: 'inherit',
  'font-style': 'normal',
  'letter-spacing': 'normal',
  'text-align': 'start',
  'text-transform': 'none',
  'text-decoration': 'none',
  'text-wrap': 'wrap',
  'font-variant-numeric': 'normal',
  'font-feature-settings': 'normal',
  'overflow-wrap': 'normal',
  'object-fit': 'fill',
  'object-position': '50% 50%',
}

const GENERIC: Record<string, string> = { serif: 'serif', slab: 'serif', mono: 'monospace', hand: 'cursive' }

/**
 * Quoted families with the fallbacks that the text engine uses, then a generic one.
 * @param family a name, or the id of one of the project's own
 * @param there families that come along; left out: all
 */
export function fontStack(family: string, there?: ReadonlySet<string>): string {
  const known = familyNamed(family)
  const own = known?.family ?? DEFAULT_FAMILY
  return [own, ...FALLBACK.filter((each) => each !== own && (there?.has(each) ?? true))]
    .map(cssString)
    .concat(GENERIC[known?.category ?? ''] ?? 'sans-serif')
    .join(', ')
}
