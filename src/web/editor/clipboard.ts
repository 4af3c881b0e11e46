/** Copy, cut and paste through the platform's own events, so that no permission is needed. */

import { copyBlocks, MAX_PASTE, readBlocks, settleBlocks } from '../../core/arrange/clipboard'
import { ordersAt } from '../../core/arrange/order'
import { treeOfBefore } from '../../core/document/earlier'
import type { NodeTree } from '../../core/document/schema'
import type { Edit } from '../../core/edits/edit'
import { said } from '../../core/words/words'
import { removeSelected } from '../palette/block-commands'
import { blockPlace, sectionIndex } from '../shelf/place-item'
import { takePictures, targetsOfPaste } from '../shelf/take-pictures'
import { type Editor, makeId } from './editor-state'

/** By the way that the event took: what it began at may be gone from the document, cut out by the field itself. */
const inField = (event: Event) =>
  event
    .composedPath()
    .some((each) => each instanceof HTMLElement && each.matches('input, textarea, [contenteditable]'))

function insertBlocks(editor: Editor, trees: NodeTree[], before: Edit[], label: string) {
  const sections = trees.filter((tree) => tree.kind === 'section')
  const blocks = trees.filter((tree) => tree.kind !== 'section')
  const edits = [...before]
  const put = (list: NodeTree[], parent: string, index: number) => {
    const keys = ordersAt(editor.doc, parent, index, list.length)
    list.forEach((tree, i) => {
      // Copied by an older version, perhaps.
      const own = treeOfBefore(tree, editor.doc.views) as NodeTree
      edits.push({ op: 'insert', parent, tree: { ...own, order: keys[i]! } })
    })
  }
  if (sections.length > 0) put(sections, editor.pageId, sectionIndex(editor))
  if (blocks.length > 0) {
    const place = blockPlace(editor)
    if (!place) return editor.session.showNotice('place a section first: blocks need one to lie in')
    put(blocks, place.parent, place.index)
  }
  if (editor.commit(edits, label)) editor.set({ selection: trees.map((tree) => tree.id) })
}

function paste(editor: Editor, text: string) {
  if (text.length > MAX_PASTE)
    return editor.session.showNotice('what is on the clipboard is larger than 5 MB; nothing was pasted')
  const blocks = readBlocks(text, makeId)
  if (blocks) {
    const assets: Edit[] = blocks.assets
      .filter((asset) => !editor.doc.assets.has(asset.id))
      .map((asset) => ({ op: 'asset', id: asset.id, asset }))
    return insertBlocks(
      editor,
      settleBlocks(editor.doc, blocks),
      assets,
      blocks.trees.length === 1 ? `Paste ${blocks.trees[0]!.name}` : `Paste ${blocks.trees.length} blocks`,
    )
  }
  if (isSvg(text))
    return void takePictures(
      editor,
      [new File([text], 'Picture.svg', { type: 'image/svg+xml' })],
      targetsOfPaste(editor),
    )
  const words = text.trim().slice(0, 100_000)
  if (words === '') return
  const tree: NodeTree = {
    id: makeId(),
    kind: 'text',
    name: words.slice(0, 24),
    order: 'a0',
    props: { type: '{type.body}', color: '{color.ink}', maxWidth: 640, words: said(words) },
  }
  insertBlocks(editor, [tree], [], 'Paste text')
}

/** Whether a text is a whole SVG picture; broken markup is text like any other. */
function isSvg(text: string): boolean {
  if (!/^\s*(<\?xml[^>]*>\s*)?(<!--[\s\S]*?-->\s*)*<svg[\s>]/.test(text)) return false
  const { documentElement } = new DOMParser().parseFromString(text, 'image/svg+xml')
  return (
    documentElement.localName === 'svg' && documentElement.getElementsByTagName('parsererror').length === 0
  )
}

/** @returns what takes the listeners off again */
export function listenToClipboard(editor: Editor): () => void {
  const copy = (event: ClipboardEvent) => {
    if (inField(event) || editor.selection.length === 0 || !event.clipboardData) return
    event.preventDefault()
    event.clipboardData.setData('text/plain', copyBlocks(editor.doc, editor.selection))
    editor.announce('Copied')
    if (event.type === 'cut') removeSelected(editor)
  }
  const insert = (event: ClipboardEvent) => {
    if (inField(event) || editor.dialog || !event.clipboardData) return
    event.preventDefault()
    const text = event.clipboardData.getData('text/plain')
    const pictures = [...event.clipboardData.files].filter((file) => file.type.startsWith('image/'))
    if (pictures.length > 0 && text === '') void takePictures(editor, pictures, targetsOfPaste(editor))
    else paste(editor, text)
  }
  document.addEventListener('copy', copy)
  document.addEventListener('cut', copy)
  document.addEventListener('paste', insert)
  return () => {
    document.removeEventListener('copy', copy)
    document.removeEventListener('cut', copy)
    document.removeEventListener('paste', insert)
  }
}
