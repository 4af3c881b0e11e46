/** Names the project, and says what holds for all its pages. */
import * as v from 'valibot'
import { type About, AboutSchema } from '../document/schema'
import type { ProjectEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { quoted } from './words'

export const project: EditModule<ProjectEdit> = {
  op: 'project',
  schema: v.strictObject({
    op: v.literal('project'),
    name: v.optional(v.pipe(v.string(), v.minLength(1), v.maxLength(200))),
    about: v.optional(
      v.strictObject({
        lang: v.optional(v.nullable(AboutSchema.entries.lang.wrapped)),
        icon: v.optional(v.nullable(AboutSchema.entries.icon.wrapped)),
        families: v.optional(v.nullable(AboutSchema.entries.families.wrapped)),
      }),
    ),
  }),

  apply(draft, { name, about }) {
    if (about?.icon && !draft.assets.has(about.icon)) refuse(`there is no picture ${about.icon}`)
    const inverse: ProjectEdit = { op: 'project' }
    if (name !== undefined) {
      inverse.name = draft.name
      draft.name = name
    }
    if (about) {
      const before: Record<string, string | number | undefined> = draft.about
      const next = { ...before, ...about }
      inverse.about = Object.fromEntries(Object.keys(about).map((key) => [key, before[key] ?? null]))
      draft.about = Object.fromEntries(Object.entries(next).filter(([, value]) => value != null))
    }
    return inverse
  },

  spare(inverse, over) {
    if (over.op !== 'project') return inverse
    const about = Object.entries(inverse.about ?? {}).filter(([key]) => !Object.hasOwn(over.about ?? {}, key))
    const left: ProjectEdit = { op: 'project' }
    if (inverse.name !== undefined && over.name === undefined) left.name = inverse.name
    if (about.length > 0) left.about = Object.fromEntries(about)
    return Object.keys(left).length > 1 ? left : undefined
  },

  merge: (first, second) => ({
    ...first,
    ...second,
    ...(first.about || second.about ? { about: { ...first.about, ...second.about } } : {}),
  }),

  // An icon's picture must be there before.
  place: ({ about }) => (about?.icon ? undefined : 'project'),
  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: () => [],
  words: ({ name, about }) =>
    name !== undefined
      ? `The project is named ${quoted(name)}`
      : (Object.keys(about ?? {}) as (keyof About)[])
          .map((key) => `The project’s ${SAID[key]} ${about?.[key] ?? 'put back'}`)
          .join('; '),
}

const SAID: Readonly<Record<keyof About, string>> = {
  lang: 'language',
  icon: 'icon',
  families: 'most families on a page',
}
