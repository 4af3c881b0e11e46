/** Who shows which picture of the project. */
import type { Props } from '../properties/table'
import { placeName, placesOf } from './places'
import type { Tree } from './tree'

/** The pictures that a set of values shows. */
export function picturesOf({ asset, fills }: Props): string[] {
  const behind = Object.values(fills ?? {}).flatMap((fill) => (fill?.kind === 'picture' ? [fill.asset] : []))
  return asset === undefined ? behind : [asset, ...behind]
}

/** By picture, those that show it, as they are said: blocks, pages, the site's icon, previews, tracings. One that nobody shows is not in it. */
export function pictureUses(tree: Tree): Map<string, string[]> {
  const uses = new Map<string, string[]>()
  const note = (picture: string | undefined, who: string) => {
    if (picture === undefined) return
    const list = uses.get(picture)
    if (list) list.push(who)
    else uses.set(picture, [who])
  }
  for (const place of placesOf(tree))
    for (const picture of picturesOf(place.props)) note(picture, placeName(tree, place))
  for (const { name, from } of tree.assets.values()) note(from?.asset, `“${name}”, which is cut out of it`)
  note(tree.about.icon, 'the project, as its icon')
  for (const { name, preview, aids } of tree.pages.values()) {
    note(preview, `${name}, as its preview`)
    for (const aid of aids ?? []) if (aid.kind === 'tracing') note(aid.asset, `a tracing on ${name}`)
  }
  return uses
}
