/** How a project was left in this browser: page, position, zoom, what is shown. Kept beside the project, never in it. */
import * as v from 'valibot'
import type { Editor } from './editor-state'
import { type SavedView, SavedViewSchema } from './saved-view'

const key = (project: string) => `just-lattice:desk:${project}`
/** ms after the last change. */
const REST = 400

/** What was kept; undefined when there is nothing, or nothing that can be read. */
export function recallView(project: string): SavedView | undefined {
  try {
    const read = v.safeParse(SavedViewSchema, JSON.parse(localStorage.getItem(key(project)) ?? 'null'))
    return read.success ? read.output : undefined
  } catch {
    return undefined
  }
}

/** Keeps an editor's desk as it changes. @returns stops that */
export function rememberView(editor: Editor): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  const keep = () => {
    timer = undefined
    try {
      localStorage.setItem(key(editor.session.id), JSON.stringify(editor.savedView()))
    } catch {
      // A full or forbidden store: the desk is found fitted next time.
    }
  }
  const soon = () => {
    timer ??= setTimeout(keep, REST)
  }
  const now = () => {
    if (timer !== undefined) keep()
  }
  const stop = editor.subscribe(soon)
  addEventListener('pagehide', now)
  return () => {
    stop()
    removeEventListener('pagehide', now)
    clearTimeout(timer)
    now()
  }
}
