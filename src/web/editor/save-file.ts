/** Files that are made in this browser, of the project as it is here, saved or not. */
import { ApiError } from '../api'
import type { Editor } from './editor-state'

function give(name: string, type: string, content: string | Uint8Array) {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 1000)
}

/** Makes and gives a file; what it needs of the server may not be had. */
async function make(editor: Editor, name: string, content: () => Promise<[string, string | Uint8Array]>) {
  try {
    const [type, bytes] = await content()
    give(name, type, bytes)
  } catch (error) {
    if (!(error instanceof ApiError)) throw error
    editor.session.showNotice(
      `${name} was not made: what is in it cannot be fetched (${error.message}); try again`,
    )
  }
}

export const saveProject = (editor: Editor, name: string) =>
  make(editor, name, async () => {
    const { doc, session } = editor
    await session.pages.whole()
    const { projectArchive } = await import('../../core/document/save')
    return ['application/zip', projectArchive(doc, await session.pictures.bytesOf(doc.assets.values()))]
  })

/** The active sheet as vectors. */
export const savePicture = (editor: Editor, name: string) =>
  make(editor, name, async () => {
    const { doc, session, layout } = editor
    const { pageSvg } = await import('../../core/handoff/svg/page')
    const shown = [...layout!.visible()].flatMap(({ resolved }) => doc.assets.get(resolved.asset ?? '') ?? [])
    return ['image/svg+xml', pageSvg(doc, layout!, await session.pictures.bytesOf(shown))]
  })
