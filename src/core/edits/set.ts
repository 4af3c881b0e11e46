/** Sets properties of a block, on every view or from one view on; `null` puts one back. */
import * as v from 'valibot'
import { check } from '../document/check'
import { picturesOf } from '../document/picture-uses'
import {
  hasProperty,
  KEYS,
  LISTS,
  PROPERTIES,
  type PropKey,
  type Props,
  PropsSchema,
} from '../properties/table'
import { IdSchema } from '../properties/values'
import type { PropChanges, SetEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn } from './need'
import { needsOf, rebound } from './references'
import { nameOf, placeOf, setWords } from './words'

const same = (one: SetEdit, other: { op: string }): other is SetEdit =>
  other.op === 'set' && (other as SetEdit).node === one.node && (other as SetEdit).view === one.view

const isList = (key: string): key is (typeof LISTS)[number] => LISTS.includes(key as PropKey)
const isItems = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null

/** What is set, lists as they are then: their items are set, and with null taken away, one by one. */
function wanted(before: Props, props: PropChanges): PropChanges {
  const out: PropChanges = {}
  for (const [key, value] of Object.entries(props) as [PropKey, unknown][]) {
    if (value === null) continue
    out[key] = value
    if (!isList(key) || !isItems(value)) continue
    const items = Object.entries({ ...(before[key] as object), ...value }).filter(([, item]) => item !== null)
    out[key] = Object.fromEntries(items)
  }
  return out
}

/** What puts back what a change to one property takes away. */
function inverseOf(key: PropKey, before: unknown, change: unknown): unknown {
  if (!isList(key) || !isItems(change)) return before ?? null
  const items = (before ?? {}) as Record<string, unknown>
  return Object.fromEntries(Object.keys(change).map((id) => [id, items[id] ?? null]))
}

/** What somebody else has typed in since stays. */
function withoutWords(edit: SetEdit): SetEdit | undefined {
  if (!Object.hasOwn(edit.props, 'words')) return edit
  const { words: _, ...props } = edit.props
  return Object.keys(props).length > 0 ? { ...edit, props } : undefined
}

export const set: EditModule<SetEdit> = {
  op: 'set',
  schema: v.strictObject({
    op: v.literal('set'),
    node: IdSchema,
    view: v.optional(IdSchema),
    props: v.record(v.picklist(KEYS), v.unknown()),
  }),

  apply(draft, { node: id, view, props }) {
    const node = blockIn(draft, id)
    if (view !== undefined && !draft.views.some((each) => each.id === view))
      refuse(`there is no view ${view} any more`)
    const before: Props = (view === undefined ? node.props : node.overrides[view]) ?? {}
    const checked = check(PropsSchema, wanted(before, props), `“${node.name}”`)
    for (const key of Object.keys(props) as PropKey[]) {
      const { words, perView } = PROPERTIES[key]
      if (!hasProperty(node.kind, key)) refuse(`“${node.name}” is a ${node.kind}: it has no ${words}`)
      if (view !== undefined && perView === 'never' && props[key] !== null)
        refuse(`“${node.name}” has one ${words} for all views`)
    }
    for (const picture of picturesOf(checked))
      if (!draft.assets.has(picture)) refuse(`there is no picture ${picture}`)
    const next: Props = { ...before, ...checked }
    const inverse: PropChanges = {}
    for (const key of Object.keys(props) as PropKey[]) {
      inverse[key] = inverseOf(key, before[key], props[key])
      const isEmpty = isList(key) && Object.keys(next[key] ?? {}).length === 0
      if (props[key] === null || isEmpty) delete next[key]
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
    if (over.op === 'text' && placeOf(over) === placeOf(inverse)) return withoutWords(inverse)
    if (!same(inverse, over)) return inverse
    const left = Object.entries(inverse.props).flatMap(([key, value]): [string, unknown][] => {
      if (!Object.hasOwn(over.props, key)) return [[key, value]]
      const theirs = over.props[key as PropKey]
      if (!isList(key) || !isItems(value) || !isItems(theirs)) return []
      const items = Object.entries(value).filter(([id]) => !Object.hasOwn(theirs, id))
      return items.length > 0 ? [[key, Object.fromEntries(items)]] : []
    })
    return left.length > 0 ? { ...inverse, props: Object.fromEntries(left) } : undefined
  },

  merge(first, second) {
    if (!same(first, second)) return undefined
    const props = { ...first.props, ...second.props }
    for (const key of LISTS) {
      const [one, other] = [first.props[key], second.props[key]]
      // Taken away and set anew: two things.
      if (one === null && isItems(other)) return undefined
      if (isItems(one) && isItems(other)) props[key] = { ...one, ...other }
    }
    return { ...first, props }
  },

  // A picture's id must stay behind the edit that brings the picture, words before what is done to them.
  place: ({ node, view, props }) =>
    Object.hasOwn(props, 'asset') || Object.hasOwn(props, 'words') ? undefined : `set ${node} ${view ?? ''}`,

  blocks: ({ node }) => [node],
  touches: ({ node }) => [node],
  within: ({ node }) => [node],
  needs: ({ props }) => needsOf(props),
  rebind: (edit, tokens) => ({ ...edit, props: rebound(edit.props, tokens) }),

  words({ node, view, props }, tree) {
    const values = setWords(props)
    const where =
      view === undefined ? '' : ` on ${tree.views.find((each) => each.id === view)?.name ?? 'a view'}`
    return `${nameOf(tree, node)}${where}: ${values.slice(0, 4).join(', ')}${values.length > 4 ? ' …' : ''}`
  },
}
