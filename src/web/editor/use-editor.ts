import { createContext, useContext, useSyncExternalStore } from 'react'
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
