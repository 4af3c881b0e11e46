/** Names the project. */
import * as v from 'valibot'
import type { ProjectEdit } from './edit'
import type { EditModule } from './edit-module'
import { quoted } from './words'

export const project: EditModule<ProjectEdit> = {
  op: 'project',
  schema: v.strictObject({
    op: v.literal('project'),
    name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  }),

  apply(draft, { name }) {
    const before = draft.name
    draft.name = name
    return { op: 'project', name: before }
  },

  spare: (inverse, over) => (over.op === 'project' ? undefined : inverse),
  merge: (_, second) => second,
  place: () => 'project',
  blocks: () => [],
  words: ({ name }) => `The project is named ${quoted(name)}`,
}
