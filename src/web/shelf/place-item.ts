/** Putting a shelf item on the page: after what is selected, or at the end. */

import { aboveFooter, endOfPage } from '../../core/arrange/budget'
import { orderAt, ordersAt, sectionOf } from '../../core/arrange/order'
import type { Node } from '../../core/document/document'
import type { Asset, NodeTree } from '../../core/document/schema'
import { treeWithLinks } from '../../core/document/tree-links'
import type { Edit } from '../../core/edits/edit'
import { holdsBlocks } from '../../core/properties/kinds'
import { linkFrom } from '../../core/properties/links'
import { arriving } from '../../core/shelf/arriving'
import type { ShelfItem } from '../../core/shelf/build'
import { Builder, belowTitle, type Draft, plant } from '../../core/shelf/build'
import { firstSize } from '../../core/shelf/first-size'
import { inkedFor } from '../../core/shelf/ink-beside'
import { type Editor, makeId } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'

/** Where a new section goes: behind the selected one, else above the footer; a footer goes last. */
export function sectionIndex(editor: Editor, isFooter = false): number {
  const { doc } = editor
  const sections = doc.node(editor.pageId).children
  const { selected } = editor
  const own = selected?.kind === 'slot' ? selected : selected && sectionOf(doc, selected.id)
  if (own) return sections.indexOf(own.id) + 1
  return isFooter ? endOfPage(doc, editor.pageId) : aboveFooter(doc, editor.pageId)
}

/** The box a new block goes into, and its position there. */
export function blockPlace(editor: Editor): { parent: string; index: number } | undefined {
  const { doc } = editor
  const selected = editor.selected
  if (selected && selected.kind !== 'slot') {
    if (holdsBlocks(selected.kind)) return { parent: selected.id, index: selected.children.length }
    return { parent: selected.parent!, index: doc.node(selected.parent!).children.indexOf(selected.id) + 1 }
  }
  const last = doc.node(editor.pageId).children.findLast((id) => doc.node(id).kind === 'section')
  return last ? { parent: last, index: doc.node(last).children.length } : undefined
}

/** The item's blocks as the project can have them; a link to the site's beginning leads to the page that is there. */
const planted = ({ doc }: Editor, draft: Draft, order: string): NodeTree =>
  treeWithLinks(arriving(doc, plant(draft, makeId, order)), (link) => linkFrom(doc.pages.values(), link))

/** What an item would be on this page. */
export function draftOf(editor: Editor, item: ShelfItem): Draft {
  const draft = item.build(new Builder(editor.doc.views))
  const titled = [...(editor.layout?.visible() ?? [])].some(({ node }) => node.props.tag === 'h1')
  return titled ? belowTitle(draft) : draft
}

export const draftOfPicture = (asset: Asset): Draft => ({
  kind: 'picture',
  name: asset.name.slice(0, 60) || 'Picture',
  props: { asset: asset.id, alt: asset.name },
  overrides: {},
  children: [],
})

/** The edits that put something new at a place, and its id. */
export function placing(
  editor: Editor,
  draft: Draft,
  { parent, index }: { parent: string; index: number },
): { edits: Edit[]; tree: NodeTree } {
  const { layout } = editor
  const columns = layout?.usedFor(parent).columns ?? 1
  const size = firstSize(draft, layout?.boxes.get(parent), columns)
  const inked = inkedFor(editor.doc, draft, parent, index)
  const sized = { ...inked, props: { ...inked.props, ...size } }
  const tree = planted(editor, sized, orderAt(editor.doc, parent, index))
  return { edits: [{ op: 'insert', parent, tree }], tree }
}

export function placeItem(editor: Editor, item: ShelfItem) {
  if (!editor.page) return
  const draft = draftOf(editor, item)
  if (item.shelf === 'sections') {
    const { tag } = draft.props
    const index = tag === 'header' && !editor.selected ? 0 : sectionIndex(editor, tag === 'footer')
    const { edits, tree } = placing(editor, draft, { parent: editor.pageId, index })
    insert(editor, edits, tree, `Place ${item.name}`)
    return
  }
  const { selected } = editor
  if (item.inButton && selected?.kind === 'button')
    return placeInButton(editor, selected, item.inButton, item.name)
  placeBlock(editor, draft, `Place ${item.name}`)
}

function placeInButton(editor: Editor, button: Node, put: NonNullable<ShelfItem['inButton']>, name: string) {
  const { fontSize } = editor.resolved(button)
  const box = editor.layout?.boxes.get(button.id)
  const height = box ? box.height - box.padT - box.padB - box.borT - box.borB : fontSize
  const { edits, row } = put(button, { fontSize, height }, makeId)
  if (!editor.commit(edits, `${name} into ${button.name}`)) return
  editor.select(row)
  goHome(editor)
  editor.announce(`${name} is before the words of ${button.name}`)
}

/** Places a picture; one that the project does not have yet is added in the same step. */
export function placePicture(editor: Editor, asset: Asset) {
  const added: Edit[] = editor.doc.assets.has(asset.id) ? [] : [{ op: 'asset', id: asset.id, asset }]
  placeBlock(editor, draftOfPicture(asset), `Place ${asset.name}`, added)
}

/** Places pictures one behind the other, as one step. @param before what has to be done first */
export function placePictures(editor: Editor, assets: readonly Asset[], before: Edit[] = []) {
  const place = blockPlace(editor)
  const [first, ...others] = assets
  if (others.length === 0 || !place)
    return placeBlock(editor, draftOfPicture(first!), `Place ${first!.name}`, before)
  const keys = ordersAt(editor.doc, place.parent, place.index, assets.length)
  const placed = assets.map((asset, i) => {
    const { tree } = placing(editor, draftOfPicture(asset), place)
    return { ...tree, order: keys[i]! }
  })
  const edits = placed.map((tree): Edit => ({ op: 'insert', parent: place.parent, tree }))
  if (!editor.commit([...before, ...edits], `Place ${assets.length} pictures`)) return
  editor.set({ selection: placed.map(({ id }) => id) })
  goHome(editor)
  editor.announce(`${assets.length} pictures placed`)
}

export function placeBlock(editor: Editor, draft: Draft, label: string, before: Edit[] = []) {
  const { doc } = editor
  const place = blockPlace(editor)
  if (place) {
    const { edits, tree } = placing(editor, draft, place)
    insert(editor, [...before, ...edits], tree, label)
    return
  }
  // An empty page: the block brings a section to lie in.
  const block = planted(editor, draft, 'a0')
  const section: NodeTree = {
    id: makeId(),
    kind: 'section',
    name: 'Section',
    order: orderAt(doc, editor.pageId, 0),
    props: { flow: 'column', rowGap: 24, paddingTop: 64, paddingBottom: 64 },
    children: [block],
  }
  insert(editor, [...before, { op: 'insert', parent: editor.pageId, tree: section }], block, label)
}

function insert(editor: Editor, edits: Edit[], tree: NodeTree, label: string) {
  if (editor.commit(edits, label)) {
    editor.select(tree.id)
    goHome(editor)
    editor.announce(`${tree.name} placed`)
  }
}
