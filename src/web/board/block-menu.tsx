/** The menu of what is selected, on the board and in the ledger, once what shows it is there. */
import { lazy, Suspense, useCallback } from 'react'
import { useEditor } from '../editor/use-editor'
import { contextMenu } from './fetch-menu'

const ContextMenu = lazy(() => contextMenu().then((part) => ({ default: part.ContextMenu })))

export function BlockMenu() {
  const editor = useEditor()
  const close = useCallback(() => editor.set({ menu: undefined }), [editor])
  if (!editor.menu) return null
  return (
    <Suspense>
      <ContextMenu place={editor.menu} onClose={close} />
    </Suspense>
  )
}
