/** Font files from outside become families of the project. */
import type { BlobName } from '../../core/blobs/blobs'
import { type TakenFont, withFonts } from '../../core/document/own-families'
import { FONT_TYPE, MOST_FONT } from '../../core/document/schema'
import { slug } from '../../core/handoff/names'
import type { FontFacts } from '../../core/text/font-file'
import { api } from '../api'
import { busyWith } from '../editor/busy'
import { type Editor, makeId } from '../editor/editor-state'
import { blobName } from '../session/blob-name'
import { readFontBytes } from '../session/font-worker'
import { sendBlob } from '../session/pictures'

/** A file that was read, and is not in the project yet. */
export type FontRead = { file: string; facts: FontFacts; bytes: Uint8Array } & BlobName

const sizeProblem = (size: number) =>
  `is ${Math.round(size / 1e5) / 10} MB; a font may be ${MOST_FONT / 1e6} MB`

/** @throws Error with a reason for the user */
async function readFont(file: File): Promise<FontRead> {
  const refuse = (reason: string) => new Error(`“${file.name}” was not taken: ${reason}.`)
  // Before anything of it is read.
  if (file.size > MOST_FONT) throw refuse(sizeProblem(file.size))
  const { facts, woff2 } = await readFontBytes(await file.arrayBuffer()).catch((error: Error) => {
    throw refuse(error.message)
  })
  const bytes = new Uint8Array(woff2)
  if (bytes.length > MOST_FONT) throw refuse(sizeProblem(bytes.length))
  try {
    // Browsers look at a font closely before they draw anything with it.
    await new FontFace('taken in', woff2).load()
  } catch {
    throw refuse('browsers do not draw with it; it may be damaged')
  }
  return { file: file.name, facts, bytes, ...(await blobName(bytes)) }
}

/** Those that can be used, and why the others cannot. Undefined: it was cancelled. */
export async function readFonts(
  editor: Editor,
  files: readonly File[],
): Promise<{ read: FontRead[]; problems: string[] } | undefined> {
  const problems: string[] = []
  const read = await busyWith(editor, 'Reading the font …', async (signal, say) => {
    const fonts: FontRead[] = []
    for (const [i, file] of files.entries()) {
      if (files.length > 1) say(`Reading font ${i + 1} of ${files.length} …`)
      signal.throwIfAborted()
      await readFont(file).then(
        (font) => fonts.push(font),
        (error: Error) => problems.push(error.message),
      )
    }
    return fonts
  })
  return read && { read, problems }
}

/** Sends them and puts them into the project. @returns the names of their families; undefined: not done @throws ApiError */
export async function addFonts(editor: Editor, fonts: readonly FontRead[]): Promise<string[] | undefined> {
  const sent = await busyWith(editor, 'Sending the font …', async (signal, say) => {
    for (const [i, { hash, bytes }] of fonts.entries()) {
      if (fonts.length > 1) say(`Sending font ${i + 1} of ${fonts.length} …`)
      await sendBlob(api, hash, FONT_TYPE, bytes, undefined, signal)
    }
    return true
  })
  if (!sent) return undefined
  const taken: TakenFont[] = fonts.map(({ facts, hash, size }) => ({ facts, hash, size }))
  // Read in files and addresses, too: it begins with the name.
  const idFor = (name: string) => `${slug(name, 'font').slice(0, 40)}-${makeId()}`
  const families = withFonts(editor.doc.fonts, taken, idFor)
  const names = families.map(({ family }) => family)
  const edits = families.map((font) => ({ op: 'font' as const, id: font.id, font }))
  return editor.commit(edits, `Font ${names.join(', ')}`) ? names : undefined
}
