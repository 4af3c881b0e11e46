/** The pictures of a site: which are shown, and the files that they become. */
import type { Document, Page } from '../document/document'
import { picturesOf } from '../document/picture-uses'
import { placesOf } from '../document/places'
import { cascaded } from '../document/resolve'
import { Instances } from '../expand/instances'
import { noiseName } from '../properties/noise'
import { pathPart } from './escape'
import { slug } from './names'

const EXTENSION: Record<string, string> = {
  'image/svg+xml': 'svg',
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
}

/** Everything that is seen on some view of some page, the site's icon and pages' previews; by id. */
function picturesShown(doc: Document, pages: readonly Page[]): Set<string> {
  const shown = new Set<string>()
  for (const { id, preview } of pages) {
    if (preview !== undefined) shown.add(preview)
    const instances = new Instances(doc, id)
    const visit = (key: string) => {
      const node = instances.node(key)
      for (const view of doc.views)
        for (const picture of picturesOf(cascaded(doc, node, view.id))) shown.add(picture)
      for (const child of node.children) visit(child)
    }
    for (const section of instances.node(id).children) visit(section)
  }
  if (doc.about.icon !== undefined) shown.add(doc.about.icon)
  return shown
}

/** Tiles of noise on some view of some page. */
function noisesShown(doc: Document): Set<string> {
  const names = new Set<string>()
  for (const { props } of placesOf(doc))
    for (const fill of Object.values(props.fills ?? {}))
      if (fill?.kind === 'noise') names.add(noiseName(fill))
  return names
}

/** The file of every picture that is shown, from its name; by id, and those of noise by theirs. */
export function pictureFiles(doc: Document, pages: readonly Page[]): Map<string, string> {
  const files = new Map<string, string>()
  const noises = new Map([...noisesShown(doc)].map((name) => [name, slug(name)]))
  const taken = new Set(noises.values())
  for (const id of [...picturesShown(doc, pages)].sort()) {
    const asset = doc.assets.get(id)
    if (!asset) continue
    const base = pathPart(slug(asset.name.replace(/\.[a-z0-9]+$/i, ''), 'picture'))
    let name = base
    for (let n = 2; taken.has(name); n++) name = `${base}-${n}`
    taken.add(name)
    files.set(id, `pictures/${name}.${EXTENSION[asset.type]}`)
  }
  for (const [name, own] of noises) files.set(name, `pictures/${own}.png`)
  return files
}

/** Of a picture made so many px wide, beside its own file. */
export const renditionPath = (path: string, width: number) => path.replace(/\.[a-z]+$/, `-${width}.webp`)
