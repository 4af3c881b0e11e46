/** Who shows which picture of the project. */
import { placeName, placesOf } from './places'
import type { Tree } from './tree'

/** By picture, those that show it, as they are said: blocks, pages, the site's icon, previews, tracings. One that nobody shows is not in it. */
export function pictureUses(tree: Tree): Map<string, string[]> {
  const uses = new Map<string, string[]>()
  const note = (picture: string | undefined, who: string) => {
    if (picture === undefined) return
    const list = uses.get(picture)
    if (list) list.push(who)
    else uses.set(picture, [who])
  }
  for (const place of placesOf(tree)) note(place.props.asset, placeName(tree, place))
  note(tree.about.icon, 'the project, as its icon')
  for (const { name, preview, aids } of tree.pages.values()) {
    note(preview, `${name}, as its preview`)
    for (const aid of aids ?? []) if (aid.kind === 'tracing') note(aid.asset, `a tracing on ${name}`)
  }
  return uses
}
