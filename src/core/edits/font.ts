/** Puts a family of the project's own in, makes it another, or takes it out: what is set in it is then set in what stands in for it. */
import * as v from 'valibot'
import { fontBlobs } from '../document/named-blobs'
import { problemOfFamily } from '../document/own-families'
import { MAX_FAMILIES, OwnFamilySchema } from '../document/schema'
import { IdSchema } from '../properties/values'
import type { FontEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { quoted } from './words'

export const font: EditModule<FontEdit> = {
  op: 'font',
  schema: v.strictObject({ op: v.literal('font'), id: IdSchema, font: v.nullable(OwnFamilySchema) }),

  apply(draft, { id, font }) {
    const before = draft.fonts.find((each) => each.id === id) ?? null
    if (font) {
      if (font.id !== id) refuse('the family has another id than the edit')
      const problem = problemOfFamily(font, draft.fonts)
      if (problem) refuse(problem)
      if (!before && draft.fonts.length >= MAX_FAMILIES)
        refuse(`a project has at most ${MAX_FAMILIES} families of its own`)
    }
    const others = draft.fonts.filter((each) => each.id !== id)
    draft.fonts = font ? [...others, font].sort((a, b) => (a.id < b.id ? -1 : 1)) : others
    return { op: 'font', id, font: before }
  },

  spare: (inverse, over) => (over.op === 'font' && over.id === inverse.id ? undefined : inverse),
  merge: (first, second) => (first.id === second.id ? second : undefined),
  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: () => [],
  puts: ({ id, font }) => (font ? [{ what: 'family' as const, id }] : []),
  brings: ({ font }) => (font ? fontBlobs(font) : []),
  words: ({ id, font }, tree) => {
    const before = tree.fonts.find((each) => each.id === id)
    return font ? `Font ${quoted(font.family)}` : `Take out the font ${quoted(before?.family ?? id)}`
  },
}
