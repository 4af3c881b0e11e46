/** A project whose one page holds every item of the shelf. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Asset, NodeTree, ProjectFile } from '../../core/document/schema'
import { Builder, belowTitle, hasTitle, plant } from '../../core/shelf/build'
import { SHELF } from '../../core/shelf/items'
import { starterProject } from '../../core/shelf/starter'

/** @param photographs what its pictures show, in turn; none: what the shelf gives them */
export function shelfProject(photographs: readonly Asset[] = []): ProjectFile {
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
  file.assets = [...photographs]
  let shown = 0
  const fill = (node: NodeTree) => {
    if (node.kind === 'picture' && photographs.length > 0)
      node.props = { ...node.props, asset: photographs[shown++ % photographs.length]!.id }
    node.children?.forEach(fill)
  }
  file.pages[0]!.sections.forEach(fill)
  return file
}
