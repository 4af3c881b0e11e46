/** Finding blocks by their name or their words, on every page. */
import { useState } from 'react'
import { findBlocks } from '../../core/arrange/find'
import { Dialog } from '../parts/dialog'
import { FindField } from '../parts/find-field'
import { useEditor } from './use-editor'

const MOST = 60

export function FindDialog() {
  const editor = useEditor()
  const [text, setText] = useState('')
  const close = () => editor.set({ dialog: undefined })
  const found = findBlocks(editor.doc, text)
  return (
    <Dialog title="Find" onClose={close} width={420}>
      <FindField label="Find" placeholder="A name, or words on the page" value={text} onChange={setText} />
      <p className="py-2 text-small soft" aria-live="polite">
        {text.trim() === ''
          ? 'Every page is searched.'
          : found.length === 0
            ? 'Nothing is called that, and no text says it.'
            : `${found.length} found`}
      </p>
      <ul className="max-h-[46vh] overflow-y-auto">
        {found.slice(0, MOST).map(({ page, node, words }) => (
          <li key={node.id}>
            <button
              type="button"
              className="flex w-full items-baseline gap-2 rounded-field px-2 py-1.5 text-left hover:bg-secondary"
              onClick={() => {
                close()
                if (editor.pageId !== page.id) editor.openPage(page.id)
                editor.select(node.id)
              }}
            >
              <b className="flex-none">{node.name}</b>
              <span className="min-w-0 flex-1 truncate soft">{words}</span>
              <span className="text-small soft">{page.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  )
}
