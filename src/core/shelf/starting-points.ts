/** What a new project may begin with. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { ProjectFile } from '../document/schema'
import { Builder, belowTitle, hasTitle, plant } from './build'
import { SHELF } from './items'
import { starterProject } from './starter'

export type StartingPoint = {
  id: string
  name: string
  words: string
  /** Sections of the shelf, top down. */
  sections: readonly string[]
}

export const STARTING_POINTS: readonly StartingPoint[] = [
  { id: 'empty', name: 'An empty page', words: 'Home at Desktop and Mobile, nothing on it', sections: [] },
  {
    id: 'front',
    name: 'A front page',
    words: 'header, hero, three cards, a quote, footer',
    sections: ['header', 'hero', 'cards', 'quote', 'footer'],
  },
  {
    id: 'bands',
    name: 'Header and footer',
    words: 'the page’s ends; what is between them is yours',
    sections: ['header', 'footer'],
  },
]

/** A project that begins so. @throws when the shelf has not what it names */
export function projectFrom({ sections }: StartingPoint, name: string, makeId: () => string): ProjectFile {
  const file = starterProject(name, makeId())
  const builder = new Builder(file.views)
  const orders = generateNKeysBetween(null, null, sections.length)
  let titled = false
  file.pages[0]!.sections = sections.map((id, i) => {
    const item = SHELF.find((each) => each.id === id)
    if (!item) throw new Error(`the shelf has no ${id}`)
    const draft = item.build(builder)
    const own = titled ? belowTitle(draft) : draft
    titled ||= hasTitle(draft)
    return plant(own, makeId, orders[i]!)
  })
  return file
}
