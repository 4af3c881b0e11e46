/** Adds, names and takes away a theme. What tokens are in it is said by the tokens. */
import * as v from 'valibot'
import { MAX_THEMES, ThemeSchema } from '../document/schema'
import { IdSchema } from '../properties/values'
import type { ThemeEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { quoted } from './words'

export const theme: EditModule<ThemeEdit> = {
  op: 'theme',
  schema: v.strictObject({
    op: v.literal('theme'),
    id: IdSchema,
    at: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(MAX_THEMES))),
    theme: v.nullable(v.omit(ThemeSchema, ['id'])),
  }),

  apply(draft, { id, at, theme }) {
    const index = draft.themes.findIndex((each) => each.id === id)
    if (theme === null && index < 0) refuse('there is no such theme any more')
    // Every other one says what it has instead of the first's.
    if (theme === null && index === 0 && draft.themes.length > 1)
      refuse('the first theme stays as long as there are others')
    if (index < 0 && draft.themes.length >= MAX_THEMES) refuse(`a project has at most ${MAX_THEMES} themes`)
    const before = draft.themes[index]
    const { id: _, ...values } = before ?? {}
    const next = [...draft.themes]
    if (theme === null) next.splice(index, 1)
    else next.splice(index < 0 ? (at ?? next.length) : index, index < 0 ? 0 : 1, { id, ...theme })
    draft.themes = next
    return before
      ? { op: 'theme', id, at: index, theme: values as ThemeEdit['theme'] }
      : { op: 'theme', id, theme: null }
  },

  // Somebody else took it away already.
  rebase: (edit, over) =>
    edit.theme === null && over.op === 'theme' && over.id === edit.id && over.theme === null
      ? undefined
      : edit,
  spare: (inverse, over) => (over.op === 'theme' && over.id === inverse.id ? undefined : inverse),
  merge: (first, second) =>
    first.id === second.id && first.theme !== null && second.theme !== null
      ? { ...first, theme: second.theme }
      : undefined,
  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: () => [],
  words: ({ id, theme }, tree) => {
    const before = tree.themes.find((each) => each.id === id)
    if (theme === null) return `Remove the theme ${quoted(before?.name ?? id)}`
    return before ? `Theme ${quoted(theme.name)}` : `New theme ${quoted(theme.name)}`
  },
}
