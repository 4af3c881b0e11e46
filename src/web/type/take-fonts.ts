/** Font files from outside become families of the project. */
import type { BlobName } from '../../core/blobs/blobs'
import { type TakenFont, withFonts } from '../../core/document/own-families'
import { FONT_TYPE, MOST_FONT } from '../../core/document/schema'
import { slug } from '../../core/handoff/names'
import type { FontFacts } from '../../core/text/font-file'
import type { PackedFont } from '../../workers/read-font'
import { api } from '../api'
import { busyWith } from '../editor/busy'
import { type Editor, makeId } from '../editor/editor-state'
import { blobName } from '../session/blob-name'
import { readFontBytes } from '../session/font-worker'
import { sendBlob } from '../session/pictures'

/** One file as it is kept, and the characters that it draws. */
type Kept = { ranges: string; bytes: Uint8Array } & BlobName
/** A font that was read, and is not in the project yet. `parts`: empty where it is not worth parting. */
export type FontRead = { file: string; facts: FontFacts; whole: Kept; parts: Kept[] }

const sizeProblem = (size: number) =>
  `is ${Math.round(size / 1e5) / 10} MB; a font may be ${MOST_FONT / 1e6} MB`

async function kept({ ranges, woff2 }: PackedFont): Promise<Kept> {
  const bytes = new Uint8Array(woff2)
  return { ranges, bytes, ...(await blobName(bytes)) }
}

/** @throws Error with a reason for the user, or the signal's */
async function readFont(
  file: File,
  signal: AbortSignal,
  said: (made: number, of: number) => void,
): Promise<FontRead> {
  const refuse = (reason: string) => new Error(`“${file.name}” was not taken: ${reason}.`)
  // Before anything of it is read.
  if (file.size > MOST_FONT) throw refuse(sizeProblem(file.size))
  const { facts, whole, parts } = await readFontBytes(await file.arrayBuffer(), signal, said).catch(
    (error: Error) => {
      signal.throwIfAborted()
      throw refuse(error.message)
    },
  )
  if (whole.woff2.byteLength > MOST_FONT) throw refuse(sizeProblem(whole.woff2.byteLength))
  try {
    // Browsers look at a font closely before they draw anything with it.
    await new FontFace('taken in', whole.woff2).load()
  } catch {
    throw refuse('browsers do not draw with it; it may be damaged')
  }
  return { file: file.name, facts, whole: await kept(whole), parts: await Promise.all(parts.map(kept)) }
}

/**
 * Those that can be used, and why the others cannot.
 * @param left nobody waits for them any more
 * @returns undefined: it was cancelled
 */
export async function readFonts(
  editor: Editor,
  files: readonly File[],
  left: AbortSignal,
): Promise<{ read: FontRead[]; problems: string[] } | undefined> {
  const problems: string[] = []
  const read = await busyWith(
    editor,
    'Reading the font …',
    async (signal, say) => {
      const fonts: FontRead[] = []
      for (const [i, file] of files.entries()) {
        const which = files.length > 1 ? `Reading font ${i + 1} of ${files.length}` : 'Reading the font'
        say(`${which} …`)
        const said = (made: number, of: number) => say(`${which}, part ${made + 1} of ${of} …`)
        await readFont(file, signal, said).then(
          (font) => fonts.push(font),
          (error: Error) => {
            signal.throwIfAborted()
            problems.push(error.message)
          },
        )
      }
      return fonts
    },
    left,
  )
  return read && { read, problems }
}

/**
 * Sends them and puts them into the project.
 * @param inParts large ones in the parts that they were parted in
 * @returns the names of their families; undefined: not done
 * @throws ApiError
 */
export async function addFonts(
  editor: Editor,
  fonts: readonly FontRead[],
  inParts: boolean,
): Promise<string[] | undefined> {
  const chosen = fonts.map(({ facts, whole, parts }) => ({
    facts,
    files: inParts && parts.length > 0 ? parts : [whole],
  }))
  const files = chosen.flatMap((font) => font.files)
  const sent = await busyWith(editor, 'Sending the font …', async (signal, say) => {
    for (const [i, { hash, bytes }] of files.entries()) {
      if (files.length > 1) say(`Sending file ${i + 1} of ${files.length} …`)
      await sendBlob(api, hash, FONT_TYPE, bytes, undefined, signal)
    }
    return true
  })
  if (!sent) return undefined
  const taken: TakenFont[] = chosen.map((font) => ({
    facts: font.facts,
    files: font.files.map(({ ranges, hash, size }) => ({ ranges, size, hash })),
  }))
  // Read in files and addresses, too: it begins with the name.
  const idFor = (name: string) => `${slug(name, 'font').slice(0, 40)}-${makeId()}`
  const families = withFonts(editor.doc.fonts, taken, idFor)
  const names = families.map(({ family }) => family)
  const edits = families.map((font) => ({ op: 'font' as const, id: font.id, font }))
  return editor.commit(edits, `Font ${names.join(', ')}`) ? names : undefined
}
