/** What is set aside as it crosses to the server and back. */
import * as v from 'valibot'
import { IdSchema } from '../properties/values'

const words = v.pipe(v.string(), v.maxLength(2000))

export const ParkedSchema = v.strictObject({
  id: IdSchema,
  by: v.pipe(v.string(), v.maxLength(64)),
  at: v.pipe(v.number(), v.finite()),
  reason: words,
  words: v.pipe(v.array(words), v.maxLength(500)),
  /** What is in them is looked at when they are put back. */
  edits: v.pipe(v.array(v.looseObject({ op: v.pipe(v.string(), v.maxLength(40)) })), v.maxLength(10_000)),
  block: v.optional(
    v.strictObject({
      tree: v.looseObject({ id: IdSchema, kind: v.string(), name: v.string() }),
      parent: v.nullable(IdSchema),
      page: v.strictObject({ id: IdSchema, name: v.string(), path: v.string() }),
    }),
  ),
})
export type ParkedOutside = v.InferOutput<typeof ParkedSchema>
