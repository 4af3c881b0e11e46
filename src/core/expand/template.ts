/** Making a template of a page, standing pages on it, and letting them go again: as edits. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document, Node } from '../document/document'
import { freePath } from '../document/paths'
import type { NodeTree, PageFile } from '../document/schema'
import type { Edit } from '../edits/edit'
import { slug } from '../handoff/names'
import { Instances } from './instances'

type MakeId = () => string

const sectionsOf = (doc: Document, page: string) => doc.node(page).children.map((id) => doc.node(id))
const isBand = ({ props: { tag } }: Node) => tag === 'header' || tag === 'footer'

/** The sections of a page that others are likely to share: headers at its top, footers at its end. */
export function likelyShared(doc: Document, page: string): string[] {
  const sections = sectionsOf(doc, page)
  const top = sections.findIndex((section) => !isBand(section))
  if (top < 0) return sections.map(({ id }) => id)
  const end = sections.length - [...sections].reverse().findIndex((section) => !isBand(section))
  return [...sections.slice(0, top), ...sections.slice(end)].map(({ id }) => id)
}

/**
 * A template of some of a page's sections, which the page stands on then; it looks as before.
 * @param shared ids of sections: those before the first of its own, and those after the last
 * @returns the edits, and the template's id; or why not, in words
 */
export function templateFrom(
  doc: Document,
  page: string,
  shared: ReadonlySet<string>,
  name: string,
  makeId: MakeId,
): { edits: Edit[]; id: string } | string {
  const sections = sectionsOf(doc, page)
  const isShared = sections.map(({ id }) => shared.has(id))
  if (!isShared.includes(true)) return 'Choose at least one section that the pages share.'
  const first = isShared.indexOf(false)
  const last = isShared.lastIndexOf(false)
  if (first >= 0 && isShared.slice(first, last + 1).includes(true))
    return 'Shared sections stand above or below the page’s own; one of these stands between them.'
  const id = makeId()
  const above = first < 0 ? sections.length : first
  const moved = sections.filter((_, i) => isShared[i])
  const keys = generateNKeysBetween(null, null, moved.length + 1)
  const slot: NodeTree = {
    id: makeId(),
    kind: 'slot',
    name: 'Each page’s own',
    order: keys[above]!,
    props: {},
  }
  const own: PageFile = {
    id,
    name,
    path: freePath(doc.pages.values(), `/templates/${slug(name, 'template')}`),
    order: doc.allPages().at(-1)!.order,
    views: [],
    isTemplate: true,
    sections: [slot],
  }
  const template = doc.pages.get(page)?.template
  const edits: Edit[] = [{ op: 'page', id, page: template ? { ...own, template } : own }]
  moved.forEach((section, i) => {
    edits.push({ op: 'move', node: section.id, parent: id, order: keys[i < above ? i : i + 1]! })
  })
  edits.push({ op: 'page-meta', id: page, set: { template: id } })
  return { edits, id }
}

/**
 * Stands a page on a template.
 * @param instead sections of the page that the template's take the place of
 */
export const standOn = (page: string, template: string, instead: readonly string[] = []): Edit[] => [
  ...instead.map((node): Edit => ({ op: 'remove', node })),
  { op: 'page-meta', id: page, set: { template } },
]

/** An instance as a block of its own. */
function copied(instances: Instances, node: Node, order: string, makeId: MakeId): NodeTree {
  const keys = generateNKeysBetween(null, null, node.children.length)
  const tree: NodeTree = {
    id: makeId(),
    kind: node.kind,
    name: node.name,
    order,
    props: node.props,
    children: node.children.map((id, i) => copied(instances, instances.node(id), keys[i]!, makeId)),
  }
  if (node.locked) tree.locked = true
  if (Object.keys(node.overrides).length > 0) tree.overrides = { ...node.overrides }
  return tree
}

/** Lets a page go from its template: what it showed of it becomes its own, as it looked. */
export function letGo(doc: Document, page: string, makeId: MakeId): Edit[] {
  const instances = new Instances(doc, page)
  const sections = instances.node(page).children.map((id) => instances.node(id))
  const own = sections.findIndex((section) => section.source === undefined)
  const above = own < 0 ? sections.filter(({ source }) => source !== undefined).length : own
  const mine = doc.node(page).children.map((id) => doc.node(id))
  const shared = sections.filter(({ source }) => source !== undefined)
  const keys = [
    ...generateNKeysBetween(null, mine[0]?.order ?? null, above),
    ...generateNKeysBetween(mine.at(-1)?.order ?? null, null, shared.length - above),
  ]
  const changes = doc.pages.get(page)?.changes ?? {}
  return [
    ...Object.entries(changes).flatMap(([node, { props, overrides = {} }]): Edit[] => [
      ...(Object.keys(props).length > 0 ? [{ op: 'change' as const, page, node, props: nulls(props) }] : []),
      ...Object.entries(overrides).map(
        ([view, own]): Edit => ({ op: 'change', page, node, view, props: nulls(own) }),
      ),
    ]),
    { op: 'page-meta', id: page, set: { template: null } },
    ...shared.map(
      (section, i): Edit => ({
        op: 'insert',
        parent: page,
        tree: copied(instances, section, keys[i]!, makeId),
      }),
    ),
  ]
}

const nulls = (props: object) => Object.fromEntries(Object.keys(props).map((key) => [key, null]))
