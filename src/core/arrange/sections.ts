/** Sections added, split and joined. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Document } from '../document/document'
import type { Edit } from '../edits/edit'
import type { PageLayout } from '../layout/page'
import { aboveFooter } from './budget'
import { orderAt, ordersAt, sectionOf } from './order'

/** Above and below what is in a section, px. */
const ROOM = 64

/** An empty section right behind the one that `id` is or lies in; above the footer when `id` is left out. As high as what comes into it. */
export function addSectionEdits(
  doc: Document,
  page: string,
  id: string | undefined,
  makeId: () => string,
): { edits: Edit[]; section: string } {
  const after = id === undefined ? undefined : sectionOf(doc, id)
  const { children } = doc.node(page)
  const index = after ? children.indexOf(after.id) + 1 : aboveFooter(doc, page)
  const section = makeId()
  return {
    section,
    edits: [
      {
        op: 'insert',
        parent: page,
        tree: {
          id: section,
          kind: 'section',
          name: 'Section',
          order: orderAt(doc, page, index),
          props: { flow: 'lattice', rowGap: 24, paddingTop: ROOM, paddingBottom: ROOM },
        },
      },
    ],
  }
}

/** Everything behind a block of a section goes into a new section of the same make; exact heights add up as before. */
export function splitSectionEdits(
  doc: Document,
  layout: PageLayout,
  id: string,
  makeId: () => string,
): { edits: Edit[]; section: string } | string {
  const section = sectionOf(doc, id)
  const inside = section && [...doc.ancestors(id), doc.node(id)].find((node) => node.parent === section.id)
  if (!section?.parent || !inside || section.id === id)
    return 'select the last block that stays; what is behind it becomes a section'
  const rest = section.children.slice(section.children.indexOf(inside.id) + 1)
  if (rest.length === 0) return 'nothing is behind this block'
  const made = makeId()
  const page = doc.node(section.parent)
  const edits: Edit[] = [
    {
      op: 'insert',
      parent: page.id,
      tree: {
        id: made,
        kind: 'section',
        name: `${section.name} 2`,
        order: orderAt(doc, page.id, page.children.indexOf(section.id) + 1),
        props: { ...section.props },
        overrides: structuredClone(section.overrides),
      },
    },
  ]
  const { height } = section.props
  const rect = layout.rect(section.id)
  const cut = layout.rect(inside.id)
  if (height?.kind === 'exact' && typeof height.px === 'number' && rect && cut) {
    const first = Math.min(height.px, Math.max(0, Math.round(cut.y + cut.height - rect.y)))
    edits.push({ op: 'set', node: section.id, props: { height: { kind: 'exact', px: first } } })
    edits.push({ op: 'set', node: made, props: { height: { kind: 'exact', px: height.px - first } } })
  }
  const keys = generateNKeysBetween(null, null, rest.length)
  rest.forEach((child, i) => {
    edits.push({ op: 'move', node: child, parent: made, order: keys[i]! })
  })
  return { edits, section: made }
}

/** What the next section holds comes into this one; exact heights are added. */
export function joinSectionEdits(doc: Document, id: string): Edit[] | string {
  const section = sectionOf(doc, id)
  if (!section?.parent) return 'select a section to join with the one below it'
  const { children } = doc.node(section.parent)
  const below = children[children.indexOf(section.id) + 1]
  if (!below) return 'there is no section below this one'
  const next = doc.node(below)
  const keys = ordersAt(doc, section.id, section.children.length, next.children.length)
  const edits = next.children.map(
    (child, i): Edit => ({ op: 'move', node: child, parent: section.id, order: keys[i]! }),
  )
  const own = section.props.height
  const other = next.props.height
  if (
    own?.kind === 'exact' &&
    other?.kind === 'exact' &&
    typeof own.px === 'number' &&
    typeof other.px === 'number'
  )
    edits.push({ op: 'set', node: section.id, props: { height: { kind: 'exact', px: own.px + other.px } } })
  edits.push({ op: 'remove', node: next.id })
  return edits
}
