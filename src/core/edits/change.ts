/** What a page shows otherwise of its template: words, picture, link, whether it is there; on every view or from one view on. */
import * as v from 'valibot'
import { check } from '../document/check'
import { picturesOf } from '../document/picture-uses'
import type { Change } from '../document/schema'
import type { Page, Tree } from '../document/tree'
import {
  CHANGEABLE,
  ChangeSchema,
  hasProperty,
  mayDiffer,
  PROPERTIES,
  type PropKey,
  type Props,
} from '../properties/table'
import { IdSchema } from '../properties/values'
import type { ChangeEdit, PropChanges } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn, pageIn } from './need'
import { needsOf, rebound } from './references'
import { nameOf, placeOf, setWords } from './words'

const same = (one: ChangeEdit, other: { op: string }): other is ChangeEdit => {
  const over = other as ChangeEdit
  return over.op === 'change' && over.page === one.page && over.node === one.node && over.view === one.view
}

const NONE: Change = { props: {} }

/** A page with other changes to one block; what changes nothing any more is left out. */
export function withChange(page: Page, node: string, view: string | undefined, props: Props): Page {
  const before = page.changes?.[node] ?? NONE
  const { overrides = {} } = before
  const { [view ?? '']: _, ...others } = overrides
  const views =
    view === undefined ? overrides : Object.keys(props).length > 0 ? { ...others, [view]: props } : others
  const own: Change = { props: view === undefined ? props : before.props }
  if (Object.keys(views).length > 0) own.overrides = views
  const { [node]: __, ...rest } = page.changes ?? {}
  const isEmpty = Object.keys(own.props).length === 0 && !own.overrides
  const changes = isEmpty ? rest : { ...rest, [node]: own }
  const { changes: ___, ...plain } = page
  return Object.keys(changes).length > 0 ? { ...plain, changes } : plain
}

/** @throws EditError unless the page stands on the template that holds the block, and the block has the properties */
function checkBlock(tree: Tree, { page, node: id, view, props }: ChangeEdit) {
  const node = blockIn(tree, id)
  const home = tree.pageOf(id)
  if (!tree.templatesOf(page).some((template) => template.id === home))
    refuse(`${nameOf(tree, page)} does not show “${node.name}” of a template`)
  for (const key of Object.keys(props) as PropKey[]) {
    const { words } = PROPERTIES[key]
    if (!hasProperty(node.kind, key)) refuse(`“${node.name}” is a ${node.kind}: it has no ${words}`)
    if (view !== undefined && !mayDiffer(key)) refuse(`“${node.name}” has one ${words} for all views`)
  }
}

export const change: EditModule<ChangeEdit> = {
  op: 'change',
  schema: v.strictObject({
    op: v.literal('change'),
    page: IdSchema,
    node: IdSchema,
    view: v.optional(IdSchema),
    props: v.record(v.picklist(CHANGEABLE), v.unknown()),
  }),

  apply(draft, edit) {
    const { node, view, props } = edit
    const page = pageIn(draft, edit.page)
    const given = Object.entries(props).filter(([, value]) => value !== null)
    const checked = check(ChangeSchema, Object.fromEntries(given), `“${page.name}”`)
    // What is put back may be of a block that is gone.
    if (given.length > 0) checkBlock(draft, edit)
    if (view !== undefined && !draft.views.some((each) => each.id === view))
      refuse(`there is no view ${view} any more`)
    for (const picture of picturesOf(checked))
      if (!draft.assets.has(picture)) refuse(`there is no picture ${picture}`)
    const change = page.changes?.[node] ?? NONE
    const before: Props = (view === undefined ? change.props : change.overrides?.[view]) ?? {}
    const next: Props = { ...before, ...checked }
    const inverse: PropChanges = {}
    for (const key of Object.keys(props) as PropKey[]) {
      inverse[key] = before[key] ?? null
      if (props[key] === null) delete next[key]
    }
    draft.replacePage(withChange(page, node, view, next))
    return { ...edit, props: inverse }
  },

  spare(inverse, over) {
    const typed = over.op === 'text' && placeOf(over) === placeOf(inverse)
    if (typed && Object.hasOwn(inverse.props, 'words')) {
      const { words: _, ...props } = inverse.props
      return Object.keys(props).length > 0 ? { ...inverse, props } : undefined
    }
    if (!same(inverse, over)) return inverse
    const left = Object.entries(inverse.props).filter(([key]) => !Object.hasOwn(over.props, key))
    return left.length > 0 ? { ...inverse, props: Object.fromEntries(left) } : undefined
  },

  merge: (first, second) =>
    same(first, second) ? { ...first, props: { ...first.props, ...second.props } } : undefined,

  blocks: ({ page }) => [page],
  touches: ({ page, node }) => [page, node],
  within: ({ page }) => [page],
  needs: ({ props }) => needsOf(props),
  rebind: (edit, tokens) => ({ ...edit, props: rebound(edit.props, tokens) }),

  words({ page, node, props }, tree) {
    const values = setWords(props)
    return `${nameOf(tree, node)} on ${nameOf(tree, page)} alone: ${values.join(', ')}`
  },
}
