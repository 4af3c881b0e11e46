import { createContext, useContext, useRef, useSyncExternalStore } from 'react'
import type { Editor } from './editor-state'

export const EditorContext = createContext<Editor | undefined>(undefined)

function useOpenEditor(): Editor {
  const editor = useContext(EditorContext)
  if (!editor) throw new Error('outside of an open project')
  return editor
}

/** The open editor, for what stands round the board: renders again on every change but the camera's and, while something is dragged, once the pointer rests. */
export function useEditor(): Editor {
  const editor = useOpenEditor()
  useSyncExternalStore(editor.subscribe, () => editor.panelVersion)
  return editor
}

/** The open editor, for the board: renders again with every frame of a gesture and of the camera. */
export function useBoard(): Editor {
  const editor = useOpenEditor()
  useSyncExternalStore(editor.subscribe, () => editor.version)
  return editor
}

type Shown = Readonly<Record<string, unknown>>

const isSame = (a: Shown, b: Shown) => {
  const keys = Object.keys(a)
  return keys.length === Object.keys(b).length && keys.every((key) => Object.is(a[key], b[key]))
}

/**
 * What a part of a panel shows of the editor, and nothing else: renders again when one of these values is another. What is read from the
 * editor besides, in an answer to a press, is as it is then.
 * @param select of equal values again; asked once a change, not with every frame of a gesture
 */
export function useShown<T extends Shown>(select: (editor: Editor) => T): T {
  const editor = useOpenEditor()
  const last = useRef<{ version: number; select: unknown; shown: T }>(undefined)
  const shown = () => {
    const { current } = last
    if (current?.version === editor.panelVersion && current.select === select) return current.shown
    const now = select(editor)
    const kept = current && isSame(current.shown, now) ? current.shown : now
    last.current = { version: editor.panelVersion, select, shown: kept }
    return kept
  }
  return useSyncExternalStore(editor.subscribe, shown)
}

/** The open editor, for what only answers to presses: never renders again by itself. */
export const useStillEditor = useOpenEditor
