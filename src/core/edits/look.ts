/** Keeps a look, makes a kept one another, or keeps it no longer. Blocks that it was put on have it for themselves. */
import * as v from 'valibot'
import { KeptLookSchema, MAX_LOOKS } from '../document/schema'
import { IdSchema } from '../properties/values'
import type { LookEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { needsOf, rebound } from './references'
import { quoted } from './words'

export const look: EditModule<LookEdit> = {
  op: 'look',
  schema: v.strictObject({ op: v.literal('look'), id: IdSchema, look: v.nullable(KeptLookSchema) }),

  apply(draft, { id, look }) {
    const before = draft.looks.find((each) => each.id === id) ?? null
    if (look && look.id !== id) refuse('the look has another id than the edit')
    if (look && !before && draft.looks.length >= MAX_LOOKS)
      refuse(`a project keeps at most ${MAX_LOOKS} looks`)
    const others = draft.looks.filter((each) => each.id !== id)
    draft.looks = look ? [...others, look].sort((a, b) => (a.id < b.id ? -1 : 1)) : others
    return { op: 'look', id, look: before }
  },

  spare: (inverse, over) => (over.op === 'look' && over.id === inverse.id ? undefined : inverse),
  merge: (first, second) => (first.id === second.id ? second : undefined),
  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: ({ look }) => needsOf(look),
  rebind: (edit, tokens) => ({ ...edit, look: rebound(edit.look, tokens) }),
  words: ({ id, look }, tree) => {
    const before = tree.looks.find((each) => each.id === id)
    return look
      ? `Keep the look ${quoted(look.name)}`
      : `Keep the look ${quoted(before?.name ?? id)} no longer`
  },
}
