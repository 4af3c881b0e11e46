/** Applying an edit to a document in place, giving the edit that undoes it. */
import * as v from 'valibot'
import type { Document, Node } from '../document/document'
import { check, checkTree, checkViews, FormatError } from '../document/open'
import { MAX_AIDS, MAX_DEPTH, type Props, PropsSchema } from '../document/schema'
import { Tokens } from '../document/tokens'
import { type Edit, EditError, EditSchema } from './edit'

const refuse = (reason: string): never => {
  throw new EditError(reason)
}

/** Parses one edit from outside. @throws EditError */
export function readEdit(value: unknown): Edit {
  const result = v.safeParse(EditSchema, value)
  if (result.success) return result.output as Edit
  const issue = result.issues[0]
  const where = (issue.path ?? []).map((step) => String(step.key)).join('.')
  return refuse(`${where || 'edit'}: ${issue.message}`)
}

/**
 * Applies `edit`; the document is unchanged when it is refused.
 * @returns the inverse: applying it gives the document back exactly.
 * @throws EditError with the reason
 */
export function applyEdit(doc: Document, edit: Edit): Edit {
  try {
    return apply(doc, edit)
  } catch (error) {
    if (error instanceof FormatError) throw new EditError(error.message)
    throw error
  }
}

function need(doc: Document, id: string): Node {
  return doc.nodes.get(id) ?? refuse(`there is no block ${id} any more`)
}

function apply(doc: Document, edit: Edit): Edit {
  switch (edit.op) {
    case 'set':
      return applySet(doc, edit)
    case 'meta': {
      const node = need(doc, edit.node)
      if (node.kind === 'page') refuse('a page is renamed through its own edit')
      const inverse: Edit = { op: 'meta', node: node.id }
      if (edit.name !== undefined) inverse.name = node.name
      if (edit.locked !== undefined) inverse.locked = node.locked
      doc.replace({ ...node, name: edit.name ?? node.name, locked: edit.locked ?? node.locked })
      return inverse
    }
    case 'insert': {
      const parent = need(doc, edit.parent)
      const tree = checkTree(edit.tree, parent.kind, doc.ancestors(parent.id).length + 1, doc)
      doc.insertTree(tree, parent.id)
      return { op: 'remove', node: tree.id }
    }
    case 'remove': {
      const node = need(doc, edit.node)
      if (!node.parent) return refuse('a page is removed through its own edit')
      const inverse: Edit = { op: 'insert', parent: node.parent, tree: doc.tree(node.id) }
      doc.removeTree(node.id)
      return inverse
    }
    case 'move':
      return applyMove(doc, edit)
    case 'page':
      return applyPage(doc, edit)
    case 'page-meta': {
      const page = doc.pages.get(edit.id) ?? refuse(`there is no page ${edit.id} any more`)
      const next = { ...page, ...edit.set }
      checkPage(doc, next)
      const before = Object.fromEntries(
        Object.keys(edit.set).map((key) => [key, page[key as keyof typeof page]]),
      )
      doc.pages.set(page.id, next)
      doc.replace({ ...doc.node(page.id), name: next.name, order: next.order })
      return { op: 'page-meta', id: page.id, set: before }
    }
    case 'aid':
      return applyAid(doc, edit)
    case 'views':
      return applyViews(doc, edit)
    case 'token':
      return applyToken(doc, edit)
    case 'asset': {
      const before = doc.assets.get(edit.id) ?? null
      if (edit.asset) {
        if (edit.asset.id !== edit.id) refuse('the asset has another id than the edit')
        doc.assets.set(edit.id, edit.asset)
      } else {
        const user = usesAsset(doc, edit.id)
        if (user) refuse(`the picture is still used by “${user}”`)
        doc.assets.delete(edit.id)
      }
      return { op: 'asset', id: edit.id, asset: before }
    }
    case 'project': {
      const before = doc.name
      doc.name = edit.name
      return { op: 'project', name: before }
    }
  }
}

function applySet(doc: Document, edit: Extract<Edit, { op: 'set' }>): Edit {
  const node = need(doc, edit.node)
  if (node.kind === 'page') refuse('a page has no props of its own')
  if (edit.view !== undefined && !doc.views.some((view) => view.id === edit.view))
    refuse(`there is no view ${edit.view} any more`)
  const before: Props = edit.view === undefined ? node.props : (node.overrides[edit.view] ?? {})
  const next: Record<string, unknown> = { ...before }
  const inverse: Record<string, unknown> = {}
  for (const [key, value] of Object.entries(edit.props)) {
    inverse[key] = before[key as keyof Props] ?? null
    if (value === null) delete next[key]
    else next[key] = value
  }
  const props = check(PropsSchema, next, `“${node.name}”`)
  if (props.asset !== undefined && !doc.assets.has(props.asset)) refuse(`there is no picture ${props.asset}`)
  if (edit.view === undefined) {
    doc.replace({ ...node, props })
    return { op: 'set', node: node.id, props: inverse }
  }
  const overrides = { ...node.overrides, [edit.view]: props }
  if (Object.keys(props).length === 0) delete overrides[edit.view]
  doc.replace({ ...node, overrides })
  return { op: 'set', node: node.id, view: edit.view, props: inverse }
}

function height(doc: Document, id: string): number {
  return 1 + Math.max(0, ...doc.node(id).children.map((child) => height(doc, child)))
}

function applyMove(doc: Document, edit: Extract<Edit, { op: 'move' }>): Edit {
  const node = need(doc, edit.node)
  const parent = need(doc, edit.parent)
  if (!node.parent) return refuse('a page cannot be moved into another')
  if (doc.isInside(parent.id, node.id)) refuse(`“${node.name}” cannot be moved into itself`)
  const fits =
    parent.kind === 'page'
      ? node.kind === 'section'
      : node.kind !== 'section' && (parent.kind === 'section' || parent.kind === 'box')
  if (!fits) refuse(`a ${parent.kind} cannot hold a ${node.kind}`)
  if (doc.ancestors(parent.id).length + 1 + height(doc, node.id) > MAX_DEPTH + 1)
    refuse(`blocks nest deeper than ${MAX_DEPTH} levels`)
  const inverse: Edit = { op: 'move', node: node.id, parent: node.parent, order: node.order }
  doc.unlink(node.id, node.parent)
  doc.replace({ ...node, parent: parent.id, order: edit.order })
  doc.link(node.id, parent.id)
  return inverse
}

function checkPage(doc: Document, page: { id: string; path: string; views: string[] }) {
  for (const other of doc.pages.values()) {
    if (other.id !== page.id && other.path === page.path)
      refuse(`${page.path} is already the path of “${other.name}”`)
  }
  for (const view of page.views)
    if (!doc.views.some((known) => known.id === view)) refuse(`there is no view ${view}`)
}

function applyPage(doc: Document, edit: Extract<Edit, { op: 'page' }>): Edit {
  if (edit.page === null) {
    const before = doc.pages.has(edit.id)
      ? doc.pageFile(edit.id)
      : refuse(`there is no page ${edit.id} any more`)
    doc.removePage(edit.id)
    return { op: 'page', id: edit.id, page: before }
  }
  if (edit.page.id !== edit.id) refuse('the page has another id than the edit')
  if (doc.nodes.has(edit.id)) refuse(`the id ${edit.id} is already taken`)
  checkPage(doc, edit.page)
  const { sections = [], ...own } = edit.page
  doc.addPage({ ...own, sections: [] })
  try {
    for (const section of sections) doc.insertTree(checkTree(section, 'page', 1, doc), edit.id)
  } catch (error) {
    doc.removePage(edit.id)
    throw error
  }
  return { op: 'page', id: edit.id, page: null }
}

function applyAid(doc: Document, edit: Extract<Edit, { op: 'aid' }>): Edit {
  const page = doc.pages.get(edit.page) ?? refuse(`there is no page ${edit.page} any more`)
  const aids = page.aids ?? []
  const before = aids.find((aid) => aid.id === edit.id) ?? null
  if (edit.aid) {
    if (edit.aid.id !== edit.id) refuse('the aid has another id than the edit')
    if (!before && aids.length >= MAX_AIDS) refuse(`a page has at most ${MAX_AIDS} guides and other aids`)
    if (edit.aid.kind === 'tracing' && !doc.assets.has(edit.aid.asset))
      refuse(`there is no picture ${edit.aid.asset}`)
  }
  const next = [...aids.filter((aid) => aid !== before), ...(edit.aid ? [edit.aid] : [])]
  next.sort((a, b) => (a.id < b.id ? -1 : 1))
  const { aids: _, ...rest } = page
  doc.pages.set(page.id, next.length > 0 ? { ...rest, aids: next } : rest)
  return { op: 'aid', page: page.id, id: edit.id, aid: before }
}

function applyViews(doc: Document, edit: Extract<Edit, { op: 'views' }>): Edit {
  if (edit.views.length === 0) refuse('a project needs at least one view')
  if (new Set(edit.views.map((view) => view.id)).size < edit.views.length)
    refuse('two views have the same id')
  checkViews(edit.views)
  for (const gone of doc.views.filter((view) => !edit.views.some((next) => next.id === view.id))) {
    for (const node of doc.nodes.values()) {
      if (node.overrides[gone.id])
        refuse(`“${gone.name}” still has values of its own on “${node.name}”; put them back first`)
    }
    for (const page of doc.pages.values()) {
      if (page.views.includes(gone.id)) refuse(`the page “${page.name}” is still drawn at “${gone.name}”`)
    }
  }
  const before = doc.views
  doc.views = edit.views
  return { op: 'views', views: before }
}

function applyToken(doc: Document, edit: Extract<Edit, { op: 'token' }>): Edit {
  const path = edit.name.split('.')
  const copy = structuredClone(doc.tokens) as Record<string, unknown>
  let group = copy
  for (const step of path.slice(0, -1)) {
    const next = group[step]
    if (typeof next === 'object' && next !== null) {
      if ('$value' in next) refuse(`${step} is a token, not a group`)
      group = next as Record<string, unknown>
    } else {
      if (edit.token === null) refuse(`there is no token ${edit.name}`)
      const made: Record<string, unknown> = {}
      group[step] = made
      group = made
    }
  }
  const last = path[path.length - 1]
  const before = (group[last] as Record<string, unknown> | undefined) ?? null
  if (edit.token === null) delete group[last]
  else group[last] = edit.token
  const problem = new Tokens(copy).problem()
  if (problem) refuse(problem)
  doc.tokens = prune(copy)
  return { op: 'token', name: edit.name, token: before }
}

/** Drops groups left empty, so that removing a token undoes adding it exactly. */
function prune(tree: Record<string, unknown>): Record<string, unknown> {
  for (const [key, value] of Object.entries(tree)) {
    if (key.startsWith('$') || typeof value !== 'object' || value === null || '$value' in value) continue
    if (Object.keys(prune(value as Record<string, unknown>)).length === 0) delete tree[key]
  }
  return tree
}

/** The name of what uses a picture. */
function usesAsset(doc: Document, id: string): string | undefined {
  for (const node of doc.nodes.values()) {
    if (node.props.asset === id || Object.values(node.overrides).some((props) => props.asset === id))
      return node.name
  }
  for (const page of doc.pages.values())
    if (page.aids?.some((aid) => aid.kind === 'tracing' && aid.asset === id))
      return `a tracing on ${page.name}`
  return undefined
}

/**
 * Applies several edits as one: all or none.
 * @returns the inverses, in the order in which they undo.
 */
export function applyAll(doc: Document, edits: readonly Edit[]): Edit[] {
  const inverses: Edit[] = []
  try {
    for (const edit of edits) inverses.unshift(applyEdit(doc, edit))
  } catch (error) {
    for (const inverse of inverses) applyEdit(doc, inverse)
    throw error
  }
  return inverses
}
