/** Which font files the texts of a site need, and which of them are handed off. */
import type { Document, Node } from '../document/document'
import { languagesOf } from '../document/language'
import { cascaded, resolve } from '../document/resolve'
import type { Instances } from '../expand/instances'
import { isText } from '../properties/kinds'
import { type FontFile, fontFile } from '../text/families'
import { filesForWords } from '../text/needed'

type FontNeeds = {
  ids: ReadonlySet<string>
  /** Families that some text has in other axes than the weight. */
  varied: ReadonlySet<string>
}

/** What fonts the texts of some pages need, on any view. */
export function fontNeeds(doc: Document, pages: readonly Instances[]): FontNeeds {
  const [ids, varied, languages] = [new Set<string>(), new Set<string>(), languagesOf(doc)]
  const visit = (instances: Instances, node: Node) => {
    for (const { id } of isText(node.kind) ? doc.views : []) {
      const resolved = resolve(doc, node, id)
      if (resolved.axes !== 'normal') varied.add(resolved.fontFamily)
      filesForWords(resolved, cascaded(doc, node, id).words, ids, languages)
    }
    for (const child of node.children) visit(instances, instances.node(child))
  }
  for (const page of pages) for (const id of page.node(page.page).children) visit(page, page.node(id))
  return { ids, varied }
}

/** The file that is handed off for one that is drawn with here. */
export function handedOffFor(id: string, varied: ReadonlySet<string>): FontFile {
  const file = fontFile(id)!
  return file.lighter && !varied.has(file.family) ? fontFile(file.lighter)! : file
}
