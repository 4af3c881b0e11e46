import { createContext, useContext, useSyncExternalStore } from 'react'
import type { Editor } from './editor-state'

export const EditorContext = createContext<Editor | undefined>(undefined)

/** The open editor; the component renders again whenever it changes. */
export function useEditor(): Editor {
  const editor = useContext(EditorContext)
  if (!editor) throw new Error('outside of an open project')
  useSyncExternalStore(editor.subscribe, () => editor.version)
  return editor
}
