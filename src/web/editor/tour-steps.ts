/** What the tour shows: five places of the desk, each with what is done there. */

/** `at`: what is pointed at; `side` of it that the card stands on. */
export type TourStep = {
  at: string
  side: 'right' | 'left' | 'below' | 'above'
  title: string
  says: string
}

export const TOUR: readonly TourStep[] = [
  {
    at: '[aria-label="Columns of Desktop"], [role=group][aria-label^="Columns of"]',
    side: 'below',
    title: 'The columns are numbered',
    says: 'Select a block, then press a number or drag over several: there it stands. The lattice is the same on every section.',
  },
  {
    at: 'aside[aria-label="Ledger"]',
    side: 'right',
    title: 'The page adds up here',
    says: 'Each section with its height and where it begins. Press a height to change it; sums are taken, as in 520+96.',
  },
  {
    at: 'aside[aria-label="Spec"]',
    side: 'left',
    title: 'What is selected, in sentences',
    says: 'Press any value to change it. “Only Mobile” keeps a change on that view, and it can be put back.',
  },
  {
    at: '[data-width-grip]',
    side: 'left',
    title: 'One page, every width',
    says: 'Pull a sheet’s edge and the page lays itself out on the way. Where something breaks, a red mark says from which width on.',
  },
  {
    at: 'section[aria-label="Shelf"]',
    side: 'above',
    title: 'Sections and blocks to place',
    says: 'Press / and type what you need: header, hero, cards. When all is well, Hand off gives the HTML and CSS that look the same.',
  },
]
