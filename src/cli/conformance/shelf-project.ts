/** A project whose one page holds every item of the shelf. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { ProjectFile } from '../../core/document/schema'
import { Builder, belowTitle, hasTitle, plant } from '../../core/shelf/build'
import { SHELF } from '../../core/shelf/items'
import { starterProject } from '../../core/shelf/starter'

export function shelfProject(): ProjectFile {
  const file = starterProject('Shelf', 'page')
  const builder = new Builder(file.views)
  let count = 0
  let titled = false
  const drafts = SHELF.map((item) => {
    const built = item.build(builder)
    const draft = titled ? belowTitle(built) : built
    titled ||= hasTitle(built)
    return item.shelf === 'sections'
      ? draft
      : builder.section('Stage', { flow: 'column', paddingTop: 24, paddingBottom: 24 }, [draft])
  })
  const keys = generateNKeysBetween(null, null, drafts.length)
  file.pages[0]!.sections = drafts.map((draft, i) => plant(draft, () => `s${count++}`, keys[i]!))
  return file
}
