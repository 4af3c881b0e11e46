/** A picture made out of the one that a block shows, and shown there instead; the other stays in the project. */
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import { busyWith } from '../editor/busy'
import { type Editor, makeId } from '../editor/editor-state'

/** `bytes`: the file; all else is said of it in the project. */
export type Made = Omit<Asset, 'id' | 'hash' | 'size'> & { bytes: Uint8Array }

/** What is said while it is made, of the step that it is, when it is there, and when it could not be made. */
type Words = { making: string; step: (block: string) => string; done: string; failed: string }

export async function showMade(
  editor: Editor,
  node: Node,
  words: Words,
  make: (signal: AbortSignal, say: (words: string) => void) => Promise<Made>,
) {
  try {
    const asset = await busyWith(editor, words.making, async (signal, say): Promise<Asset> => {
      const { bytes, name, ...picture } = await make(signal, say)
      const kept = await editor.session.pictures.add(bytes, picture.type)
      return { id: makeId(), name: name.slice(0, 200), ...picture, ...kept }
    })
    // Somebody may have taken the block away meanwhile.
    const now = editor.doc.nodes.get(node.id)
    if (!asset || !now) return
    const edits = [{ op: 'asset' as const, id: asset.id, asset }, editor.setEdit(now, { asset: asset.id })]
    if (editor.commit(edits, words.step(editor.called(now)))) editor.announce(words.done)
  } catch (error) {
    editor.session.showNotice(`${words.failed}: ${(error as Error).message}`)
  }
}
