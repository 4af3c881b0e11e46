/** What a page is drawn on. */
import { laidOver } from '../color/contrast'

/** A page that says nothing of its background. */
const WHITE = '#ffffff'

/** The colour behind all blocks. @param background the page's; where it lets something through, that is white */
export const paperFor = (background: string | undefined): string =>
  background === undefined ? WHITE : laidOver(background, WHITE)
