/** Edits that do not fit any more, since somebody else changed what they are about: kept, said, and put back another way. */

import { ordersAt, withNewIds } from '../arrange/order'
import { hashOf } from '../blobs/blobs'
import type { Document } from '../document/document'
import { freePath } from '../document/paths'
import { picturesOf } from '../document/picture-uses'
import type { NodeTree } from '../document/schema'
import type { Tree } from '../document/tree'
import { rehearse } from '../edits/apply'
import type { Edit, SetEdit } from '../edits/edit'
import { type Change, mergeEdits } from '../edits/merge'
import { moduleOf } from '../edits/registry'
import { mayHoldKind } from '../properties/kinds'
import type { Props } from '../properties/table'

/** One thing parked: edits that failed for one reason. */
export type Parked = {
  id: string
  /** Who made the edits, and when, ms since 1970. */
  by: string
  at: number
  /** Why they do not fit, and what they say, for people. */
  reason: string
  words: string[]
  edits: Edit[]
  /** The block or page that is gone, as it stood with these edits in it. */
  block?: { tree: NodeTree; parent: string | null; page: { id: string; name: string; path: string } }
}

export type Lost = { change: Change; reason: string }

/** Most edits that are said one by one. */
const MOST_WORDS = 12

const wordsOf = (edit: Edit, tree: Tree) => moduleOf(edit.op)?.words(edit, tree) ?? `“${edit.op}”`

/** The outermost block that is gone and that the edit is about, by its id in `before`. */
function lostBlock(edit: Edit, before: Tree, now: Tree): string | undefined {
  const named = moduleOf(edit.op)?.blocks(edit)[0]
  const missing = (id: string) => before.nodes.has(id) && !now.nodes.has(id)
  let lost: string | undefined
  if (named !== undefined && missing(named)) {
    lost = named
    for (const { id } of before.ancestors(named)) if (missing(id)) lost = id
  } else if (edit.op === 'insert' && missing(edit.tree.id)) lost = edit.tree.id
  return lost
}

/** @param before the project with the lost edits in it, @param now without them */
export function park(
  lost: readonly Lost[],
  before: Tree,
  now: Tree,
  who: { by: string; at: number; makeId: () => string },
): Parked[] {
  const byBlock = new Map<string, Parked>()
  const out: Parked[] = []
  for (const { change, reason } of lost) {
    const { edit } = change
    const id = lostBlock(edit, before, now)
    let parked = id === undefined ? undefined : byBlock.get(id)
    if (!parked) {
      parked = { id: who.makeId(), by: who.by, at: who.at, reason, words: [], edits: [] }
      if (id !== undefined) {
        byBlock.set(id, parked)
        const page = before.pages.get(before.pageOf(id))!
        const { name, path } = page
        parked.block = {
          tree: before.tree(id),
          parent: before.node(id).parent,
          page: { id: page.id, name, path },
        }
        const removed = !(edit.op === 'insert' && edit.tree.id === id)
        if (removed) parked.reason = `somebody else removed “${before.node(id).name}”`
      }
      out.push(parked)
    }
    parked.edits.push(edit)
    if (parked.words.length < MOST_WORDS) parked.words.push(wordsOf(edit, before))
    else if (parked.words.length === MOST_WORDS) parked.words.push('… and more')
  }
  return out
}

/**
 * Edits in the order in which they were done, about whatever they are about. They are the same thing parked, whichever tab parks them.
 * @param doc without them
 */
export function parkEdits(
  edits: readonly Edit[],
  reason: string,
  doc: Document,
  who: { by: string; at: number },
): Parked {
  // What some of them make others call by its name.
  const { draft } = rehearse(doc, edits)
  const words = edits.slice(0, MOST_WORDS).map((edit) => wordsOf(edit, draft))
  if (edits.length > MOST_WORDS) words.push('… and more')
  const id = hashOf(new TextEncoder().encode(JSON.stringify(edits))).slice(0, 16)
  return { id, ...who, reason, words, edits: [...edits] }
}

/** What a step that is taken back would put into the project, and has no place for any more: a block whose parent is gone, a page. */
export function parkInverse(
  inverse: Edit,
  reason: string,
  now: Tree,
  who: { by: string; at: number; makeId: () => string },
): Parked | undefined {
  const [first] = now.allPages()
  if (!first) return undefined
  const { id, name, path } = first
  const parked = {
    id: who.makeId(),
    by: who.by,
    at: who.at,
    reason,
    words: [wordsOf(inverse, now)],
    edits: [inverse],
  }
  if (inverse.op === 'insert') {
    const { tree, parent } = inverse
    return { ...parked, block: { tree, parent, page: { id, name, path } } }
  }
  if (inverse.op !== 'page' || !inverse.page) return undefined
  const { sections, ...own } = inverse.page
  const tree: NodeTree = {
    id: own.id,
    kind: 'page',
    name: own.name,
    order: own.order,
    props: {},
    children: sections,
  }
  return { ...parked, block: { tree, parent: null, page: { id: own.id, name: own.name, path: own.path } } }
}

/** Without values for views and pictures that are not there any more. */
function fitted(tree: NodeTree, doc: Tree): NodeTree {
  const without = (props: Props): Props => {
    const gone = new Set(picturesOf(props).filter((picture) => !doc.assets.has(picture)))
    if (gone.size === 0) return props
    const { asset, fills, ...rest } = props
    const left = Object.entries(fills ?? {}).filter(
      ([, fill]) => fill.kind !== 'picture' || !gone.has(fill.asset),
    )
    return {
      ...rest,
      ...(asset === undefined || gone.has(asset) ? {} : { asset }),
      ...(left.length > 0 ? { fills: Object.fromEntries(left) } : {}),
    }
  }
  const overrides = Object.entries(tree.overrides ?? {})
    .filter(([view]) => doc.views.some((each) => each.id === view))
    .map(([view, props]) => [view, without(props)])
  const next: NodeTree = { ...tree, props: without(tree.props) }
  delete next.overrides
  if (overrides.length > 0) next.overrides = Object.fromEntries(overrides)
  if (tree.children) next.children = tree.children.map((child) => fitted(child, doc))
  return next
}

/**
 * The edits that bring a parked thing back: as a new block where it was, or at the end of its page when that is gone too;
 * what is about no block is tried again as it was.
 * @param page where to, when its own page is gone
 */
export function putBackEdits(doc: Document, parked: Parked, page: string, makeId: () => string): Edit[] {
  if (!parked.block) return parked.edits
  const { parent, page: was } = parked.block
  const tree = withNewIds(fitted(parked.block.tree, doc), makeId)
  if (tree.kind === 'page') {
    const path = freePath(doc.pages.values(), was.path)
    const order = doc.allPages().at(-1)?.order ?? ''
    const made = { id: tree.id, name: tree.name, path, order, views: [], sections: tree.children ?? [] }
    return [{ op: 'page', id: tree.id, page: made }]
  }
  const host = parent === null ? undefined : doc.nodes.get(parent)
  if (host && mayHoldKind(host.kind, tree.kind)) return [{ op: 'insert', parent: host.id, tree }]
  const on = doc.pages.has(was.id) ? was.id : page
  const order = ordersAt(doc, on, doc.node(on).children.length, 1)[0]!
  const section: NodeTree =
    tree.kind === 'section'
      ? { ...tree, order }
      : { id: makeId(), kind: 'section', name: tree.name, order, props: {}, children: [tree] }
  return [{ op: 'insert', parent: on, tree: section }]
}

/** The parked values as values of other blocks; empty when none were set. */
export function valueEdits(doc: Tree, parked: Parked, blocks: readonly string[]): Edit[] {
  const values: SetEdit[] = []
  for (const edit of parked.edits) {
    if (edit.op !== 'set') continue
    if (edit.view !== undefined && !doc.views.some((view) => view.id === edit.view)) continue
    const same = values.findIndex((each) => each.view === edit.view)
    const own: SetEdit = { ...edit, node: '' }
    if (same < 0) values.push(own)
    else values[same] = mergeEdits(values[same]!, own) as SetEdit
  }
  return blocks.flatMap((node) => values.map((edit) => ({ ...edit, node })))
}
