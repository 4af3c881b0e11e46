/** Picture files become pictures of the project and show on the page: in selected blocks, in their order, or as new pictures. */
import { fillEdits, takesPicture } from '../../core/arrange/pictures'
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import { busyWith } from '../editor/busy'
import { type Editor, makeId } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { PICTURE_FILES } from '../parts/file-button'
import { placePicture, placePictures } from './place-item'
import { readPicture } from './read-picture'

/** Selected blocks that can take pictures, in the order in which they are seen. */
export function selectedTargets(editor: Editor): Node[] {
  const chosen = new Set(editor.selection)
  return [...(editor.layout?.visible() ?? [])].flatMap(({ node }) =>
    chosen.has(node.id) && takesPicture(node) ? [node] : [],
  )
}

/** The blocks that pictures dropped on one go into: the selected ones where it is one of them, else that one. None: they are placed there. */
export function targetsAt(editor: Editor, hit: string | undefined): Node[] {
  const node = hit === undefined ? undefined : editor.doc.nodes.get(hit)
  if (!node) return []
  const selected = selectedTargets(editor)
  if (selected.includes(node)) return selected
  return takesPicture(node) ? [node] : []
}

/** The blocks that pasted pictures go into: a single picture stays as it is. */
export function targetsOfPaste(editor: Editor): Node[] {
  const selected = selectedTargets(editor)
  return selected.length > 1 || selected[0]?.kind === 'box' ? selected : []
}

/** @param files those that cannot be read are said by name, and the others returned; nothing: it was cancelled */
export async function readPictures(editor: Editor, files: readonly File[]): Promise<Asset[]> {
  const count = files.length
  const problems: string[] = []
  const assets = await busyWith(editor, 'Reading the picture …', async (signal, say) => {
    const read: Asset[] = []
    for (const [i, file] of files.entries()) {
      if (count > 1) say(`Reading picture ${i + 1} of ${count} …`)
      signal.throwIfAborted()
      try {
        read.push(await readPicture(file, makeId(), editor.session.pictures))
      } catch (error) {
        problems.push((error as Error).message)
      }
    }
    return read
  })
  if (assets && problems.length > 0) editor.session.showNotice(problems.join('; '))
  return assets ?? []
}

export async function takePictures(editor: Editor, files: readonly File[], targets: readonly Node[] = []) {
  const assets = await readPictures(editor, files)
  const left = targets.filter(({ id }) => editor.doc.nodes.has(id))
  if (assets.length > 0) show(editor, assets, left)
}

/** Asks for a picture file, to be shown in a block that shows none. */
export function askForPicture(editor: Editor, node: Node) {
  const field = document.createElement('input')
  field.type = 'file'
  field.accept = PICTURE_FILES
  field.addEventListener('change', () => void takePictures(editor, [...(field.files ?? [])], [node]))
  field.click()
}

/** A picture of the project pressed: what is selected shows it, or it is placed where nothing that takes one is. */
export function pressPicture(editor: Editor, asset: Asset, beside: boolean) {
  const targets = beside ? [] : selectedTargets(editor)
  if (targets.length === 0) placePicture(editor, asset)
  else
    show(
      editor,
      targets.map(() => asset),
      targets,
    )
}

function show(editor: Editor, assets: readonly Asset[], targets: readonly Node[]) {
  const known = assets.map((asset) => ({ op: 'asset' as const, id: asset.id, asset }))
  const { edits, shown } = fillEdits(editor.doc, targets, assets, editor.setEdit, makeId)
  const rest = assets.slice(shown.length)
  if (shown.length === 0) return placePictures(editor, rest, known)
  const label =
    shown.length === 1 ? `Picture of ${editor.called(targets[0]!)}` : `${shown.length} pictures filled in`
  if (!editor.commit([...known, ...edits], label)) return
  editor.set({ selection: shown })
  goHome(editor)
  editor.announce(label)
  if (rest.length > 0) placePictures(editor, rest)
}
