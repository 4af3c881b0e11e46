/** The look that was copied last in this browser: it goes with one from page to page, project to project, tab to tab. */
import * as v from 'valibot'
import { type CarriedLook, CarriedLookSchema, carryLook } from '../../core/arrange/carried-look'
import { lookOf, setBy } from '../../core/arrange/look'
import { cascaded } from '../../core/document/resolve'
import type { Editor } from './editor-state'

const KEY = 'just-lattice:look'

function read(text: string | null): CarriedLook | undefined {
  try {
    const found = v.safeParse(CarriedLookSchema, JSON.parse(text ?? 'null'))
    return found.success ? found.output : undefined
  } catch {
    return undefined
  }
}

/** What the selected block looks like on its view, as another can have it. */
export function copyLook(editor: Editor) {
  const node = editor.selected
  if (!node) return
  const shown = lookOf(cascaded(editor.doc, node, editor.view.id))
  const look = carryLook(editor.doc, node.name, setBy(shown))
  editor.set({ look })
  try {
    localStorage.setItem(KEY, JSON.stringify(look))
  } catch {
    // A full or forbidden store: it stays in this project, and its tab.
  }
  editor.announce(`Look of ${node.name} copied`)
}

/** Brings what was copied elsewhere. @returns stops that */
export function followCopiedLook(editor: Editor): () => void {
  const take = (text: string | null) => {
    const look = read(text)
    if (look) editor.set({ look })
  }
  const follow = ({ key, newValue }: StorageEvent) => key === KEY && take(newValue)
  try {
    take(localStorage.getItem(KEY))
  } catch {
    // Nothing may be kept here.
  }
  addEventListener('storage', follow)
  return () => removeEventListener('storage', follow)
}
