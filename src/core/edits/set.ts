/** Sets properties of a block, on every view or from one view on; `null` puts one back. */
import * as v from 'valibot'
import { check } from '../document/check'
import { IdSchema, type PropKey, type Props, PropsSchema } from '../document/schema'
import type { PropChanges, SetEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn } from './need'
import { nameOf, propWords, valueWords } from './words'

const same = (one: SetEdit, other: { op: string }): other is SetEdit =>
  other.op === 'set' && (other as SetEdit).node === one.node && (other as SetEdit).view === one.view

export const set: EditModule<SetEdit> = {
  op: 'set',
  schema: v.strictObject({
    op: v.literal('set'),
    node: IdSchema,
    view: v.optional(IdSchema),
    props: v.record(
      v.picklist(Object.keys(PropsSchema.entries) as (keyof typeof PropsSchema.entries)[]),
      v.unknown(),
    ),
  }),

  apply(draft, { node: id, view, props }) {
    const node = blockIn(draft, id)
    if (node.kind === 'page') refuse('a page has no props of its own')
    if (view !== undefined && !draft.views.some((each) => each.id === view))
      refuse(`there is no view ${view} any more`)
    const given = Object.entries(props).filter(([, value]) => value !== null)
    const checked = check(PropsSchema, Object.fromEntries(given), `“${node.name}”`)
    if (checked.asset !== undefined && !draft.assets.has(checked.asset))
      refuse(`there is no picture ${checked.asset}`)
    const before: Props = (view === undefined ? node.props : node.overrides[view]) ?? {}
    const next: Props = { ...before, ...checked }
    const inverse: PropChanges = {}
    for (const key of Object.keys(props) as PropKey[]) {
      inverse[key] = before[key] ?? null
      if (props[key] === null) delete next[key]
    }
    if (view === undefined) draft.replace({ ...node, props: next })
    else {
      const overrides = { ...node.overrides, [view]: next }
      if (Object.keys(next).length === 0) delete overrides[view]
      draft.replace({ ...node, overrides })
    }
    return { op: 'set', node: id, ...(view === undefined ? {} : { view }), props: inverse }
  },

  spare(inverse, over) {
    if (!same(inverse, over)) return inverse
    const left = Object.entries(inverse.props).filter(([key]) => !Object.hasOwn(over.props, key))
    return left.length > 0 ? { ...inverse, props: Object.fromEntries(left) } : undefined
  },

  merge: (first, second) =>
    same(first, second) ? { ...first, props: { ...first.props, ...second.props } } : undefined,

  // A picture's id must stay behind the edit that brings the picture.
  place: ({ node, view, props }) => (Object.hasOwn(props, 'asset') ? undefined : `set ${node} ${view ?? ''}`),

  blocks: ({ node }) => [node],

  words({ node, view, props }, tree) {
    const values = Object.entries(props).map(([key, value]) => `${propWords(key)} ${valueWords(value)}`)
    const where =
      view === undefined ? '' : ` on ${tree.views.find((each) => each.id === view)?.name ?? 'a view'}`
    return `${nameOf(tree, node)}${where}: ${values.slice(0, 4).join(', ')}${values.length > 4 ? ' …' : ''}`
  },
}
