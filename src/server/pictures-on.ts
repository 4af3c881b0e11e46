/** Which pictures a page needs. */
import type { Page } from '../core/document/document'
import { picturesOf } from '../core/document/picture-uses'
import type { Asset } from '../core/document/schema'
import type { Tree } from '../core/document/tree'

/** The pictures on a page, and on the templates that it stands on. */
export function* picturesOn(doc: Tree, page: Page): Generator<Asset> {
  const used = new Set<string>()
  const shown = [page, ...doc.templatesOf(page.id)].flatMap(({ id }) => [...doc.walk(id)])
  for (const { props, overrides } of [...shown, ...Object.values(page.changes ?? {})])
    for (const each of [props, ...Object.values(overrides ?? {})])
      for (const picture of picturesOf(each)) used.add(picture)
  for (const id of used) {
    const asset = doc.assets.get(id)
    if (asset) yield asset
  }
}
