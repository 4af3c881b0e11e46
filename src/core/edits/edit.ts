/**
 * Edits: the only way a document changes. Small serialisable values that name nodes by id; each can be applied,
 * inverted, merged with the next one of a gesture, and checked. Undo, saving, history and live editing are all these.
 */
import * as v from 'valibot'
import {
  AidSchema,
  AssetSchema,
  IdSchema,
  type NodeTree,
  type PageFile,
  PageOwnSchema,
  type PropKey,
  PropsSchema,
  ViewSchema,
} from '../document/schema'

const nullable = <S extends v.GenericSchema>(schema: S) => v.nullable(schema)

/** `props` holds new values; `null` puts a property back (to the wider view's value, or the default). */
const SetSchema = v.strictObject({
  op: v.literal('set'),
  node: IdSchema,
  /** Left out: the node's own props, which every view shares. */
  view: v.optional(IdSchema),
  props: v.record(
    v.picklist(Object.keys(PropsSchema.entries) as (keyof typeof PropsSchema.entries)[]),
    v.unknown(),
  ),
})
const MetaSchema = v.strictObject({
  op: v.literal('meta'),
  node: IdSchema,
  name: v.optional(v.pipe(v.string(), v.maxLength(400))),
  locked: v.optional(v.boolean()),
})
const InsertSchema = v.strictObject({ op: v.literal('insert'), parent: IdSchema, tree: v.unknown() })
const RemoveSchema = v.strictObject({ op: v.literal('remove'), node: IdSchema })
const MoveSchema = v.strictObject({
  op: v.literal('move'),
  node: IdSchema,
  parent: IdSchema,
  order: v.pipe(v.string(), v.regex(/^[0-9A-Za-z]{1,200}$/)),
})
const PageSchema = v.strictObject({ op: v.literal('page'), id: IdSchema, page: nullable(PageOwnSchema) })
const PageMetaSchema = v.strictObject({
  op: v.literal('page-meta'),
  id: IdSchema,
  set: v.partial(v.omit(PageOwnSchema, ['id', 'sections', 'aids'])),
})
const AidEditSchema = v.strictObject({
  op: v.literal('aid'),
  page: IdSchema,
  id: IdSchema,
  aid: nullable(AidSchema),
})
const ViewsSchema = v.strictObject({ op: v.literal('views'), views: v.array(ViewSchema) })
const TokenSchema = v.strictObject({
  op: v.literal('token'),
  /** Dotted name, such as `space.m`. */
  name: v.pipe(v.string(), v.regex(/^[^.{}$][^{}$]*$/), v.maxLength(200)),
  token: nullable(v.record(v.string(), v.unknown())),
})
const AssetEditSchema = v.strictObject({ op: v.literal('asset'), id: IdSchema, asset: nullable(AssetSchema) })
const ProjectNameSchema = v.strictObject({
  op: v.literal('project'),
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
})

export const EditSchema = v.variant('op', [
  SetSchema,
  MetaSchema,
  InsertSchema,
  RemoveSchema,
  MoveSchema,
  PageSchema,
  PageMetaSchema,
  AidEditSchema,
  ViewsSchema,
  TokenSchema,
  AssetEditSchema,
  ProjectNameSchema,
])

type Checked = v.InferOutput<typeof EditSchema>
export type Edit =
  | Exclude<Checked, { op: 'insert' } | { op: 'page' }>
  | { op: 'insert'; parent: string; tree: NodeTree }
  | { op: 'page'; id: string; page: PageFile | null }

/** Values for some properties; `null` puts one back. */
export type PropChanges = Partial<Record<PropKey, unknown>>

export class EditError extends Error {
  override name = 'EditError'
}
