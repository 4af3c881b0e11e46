/** Keeps a look with the project. */
import { keptLook, type LookOf } from '../../core/arrange/look'
import type { Edit } from '../../core/edits/edit'
import { type Editor, makeId } from './editor-state'

/** Under the name of what it was copied from, unless another look is called so. @param first what has to be there before */
export function keepLook(
  editor: Editor,
  { name, props }: { name: string; props: LookOf },
  first: readonly Edit[] = [],
) {
  const names = new Set(editor.doc.looks.map((each) => each.name))
  let free = name
  for (let n = 2; names.has(free); n++) free = `${name} ${n}`
  const id = makeId()
  if (
    editor.commit([...first, { op: 'look', id, look: keptLook(id, free, props) }], `Keep the look of ${free}`)
  )
    editor.announce(`The look of ${free} is kept`)
}
