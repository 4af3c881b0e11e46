/** What the clipboard's keys do, for menus: the keys themselves are the browser's, and come as its own events (`clipboard.ts`). */
import type { Editor } from '../editor/editor-state'
import { type Command, hasBlock } from './command'

async function paste(editor: Editor) {
  try {
    const text = await navigator.clipboard.readText()
    const data = new DataTransfer()
    data.setData('text/plain', text)
    document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, cancelable: true }))
  } catch {
    editor.session.showNotice('this browser hands over the clipboard only by its own keys: press Ctrl V')
  }
}

export const CLIPBOARD: Command[] = [
  {
    id: 'copy',
    name: 'Copy',
    group: 'Block',
    shows: 'Mod+C',
    when: hasBlock,
    run: () => void document.execCommand('copy'),
  },
  {
    id: 'cut',
    name: 'Cut',
    group: 'Block',
    shows: 'Mod+X',
    when: hasBlock,
    run: () => void document.execCommand('cut'),
  },
  { id: 'paste', name: 'Paste', group: 'Block', shows: 'Mod+V', run: (editor) => void paste(editor) },
]
