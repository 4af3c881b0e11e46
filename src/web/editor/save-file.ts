/** Files that are made in this browser, of the project as it is here, saved or not. */

import type { Blobs } from '../../core/blobs/blobs'
import { namedBlobs } from '../../core/document/named-blobs'
import { picturesOf } from '../../core/document/picture-uses'
import type { PageLayout } from '../../core/layout/page'
import { ApiError, api } from '../api'
import { busyWith } from './busy'
import { canvasOf } from './drawn'
import type { Editor } from './editor-state'

/** Gives a file to whoever sits here. */
export function giveFile(name: string, type: string, content: string | Uint8Array) {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 1000)
}

/** Makes and gives a file, and says so meanwhile; what it needs of the server may not be had. */
async function make(
  editor: Editor,
  name: string,
  content: (signal: AbortSignal) => Promise<[string, string | Uint8Array]>,
) {
  try {
    const made = await busyWith(editor, `Making ${name} …`, content)
    if (made) giveFile(name, ...made)
  } catch (error) {
    if (!(error instanceof ApiError)) throw error
    editor.session.showNotice(`${name} was not made: ${error.message}; try again`)
  }
}

export const saveProject = (editor: Editor, name: string) =>
  make(editor, name, async () => {
    const { doc, session } = editor
    await session.pages.whole()
    const { projectArchive } = await import('../../core/document/save')
    return ['application/zip', projectArchive(doc, await session.pictures.bytesOf(namedBlobs(doc)))]
  })

/** The pictures on a page, and those on blocks that begin below `until` px left out. @throws ApiError when one cannot be had */
export function picturesOn(
  { doc, session }: Pick<Editor, 'doc' | 'session'>,
  layout: PageLayout,
  until = Number.POSITIVE_INFINITY,
): Promise<Blobs> {
  const shown = [...layout.visible()].filter(({ id }) => layout.rect(id)!.y < until)
  const assets = shown.flatMap(({ resolved }) =>
    picturesOf(resolved).flatMap((id) => doc.assets.get(id) ?? []),
  )
  return session.pictures.bytesOf(assets)
}

/** A sheet as vectors. @throws ApiError when a picture on it cannot be had */
export async function svgOf(editor: Pick<Editor, 'doc' | 'session' | 'layout'>): Promise<string> {
  const { pageSvg } = await import('../../core/handoff/svg/page')
  return pageSvg(editor.doc, editor.layout!, await picturesOn(editor, editor.layout!))
}

/** The active sheet as vectors. */
export const savePicture = (editor: Editor, name: string) =>
  make(editor, name, async () => ['image/svg+xml', await svgOf(editor)])

/** What browsers draw at most on one canvas: px a side. */
const MOST_SIDE = 16_384

/** The active sheet as pixels. @param scale pixels for one px */
export async function savePng(editor: Editor, name: string, scale: number) {
  const { width } = editor.view
  const height = Math.ceil(editor.layout!.height)
  const file = scale === 1 ? `${name}.png` : `${name}@${scale}x.png`
  if (Math.max(width, height) * scale > MOST_SIDE)
    return editor.session.showNotice(
      `${file} was not made: at ${scale}× this page is ${Math.round(height * scale)} pixels high, and browsers draw ${MOST_SIDE} at most; take fewer, or the SVG`,
    )
  await make(editor, file, async () => ['image/png', await drawn(await svgOf(editor), width, height, scale)])
}

async function drawn(svg: string, width: number, height: number, scale: number): Promise<Uint8Array> {
  const canvas = await canvasOf(svg, Math.round(width * scale), Math.round(height * scale))
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  return new Uint8Array(await blob!.arrayBuffer())
}

/** The website, made by the server from what it has. */
export const saveSite = (editor: Editor, name: string) =>
  make(editor, name, async (signal) => ['application/zip', await api.handoff(editor.session.id, signal)])

/** The active sheet on paper of its size, printed by the server from what it has. */
export const savePdf = (editor: Editor, name: string) =>
  make(editor, name, async (signal) => [
    'application/pdf',
    await api.pdf(editor.session.id, editor.pageId, editor.view.id, editor.layout?.theme, signal),
  ])
