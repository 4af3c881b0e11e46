/** Puts a picture into the project, or takes it out. */

import * as v from 'valibot'
import { pictureUses } from '../document/picture-uses'
import { AssetSchema } from '../document/schema'
import { IdSchema } from '../properties/values'
import type { AssetEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { quoted } from './words'

export const asset: EditModule<AssetEdit> = {
  op: 'asset',
  schema: v.strictObject({ op: v.literal('asset'), id: IdSchema, asset: v.nullable(AssetSchema) }),

  apply(draft, { id, asset }) {
    const before = draft.assets.get(id) ?? null
    if (asset) {
      if (asset.id !== id) refuse('the asset has another id than the edit')
      draft.assets.set(id, asset)
    } else {
      const user = pictureUses(draft).get(id)?.[0]
      if (user !== undefined) refuse(`the picture is still used by “${user}”`)
      draft.assets.delete(id)
    }
    return { op: 'asset', id, asset: before }
  },

  spare: (inverse, over) => (over.op === 'asset' && over.id === inverse.id ? undefined : inverse),
  merge: (first, second) => (first.id === second.id ? second : undefined),
  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: () => [],
  puts: ({ id, asset }) => (asset ? [{ what: 'picture' as const, id }] : []),
  takesShared: ({ asset }) => asset === null,
  brings: ({ asset }) => (asset ? [asset] : []),
  words: ({ id, asset }, tree) =>
    asset
      ? `Picture ${quoted(asset.name)}`
      : `Take out the picture ${quoted(tree.assets.get(id)?.name ?? id)}`,
}
