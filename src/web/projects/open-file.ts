/** Opening a project file: checked here first, so that the message comes at once and nothing is sent that cannot be opened. */
import { MOST_UNPACKED } from '../../core/blobs/archive'
import { withCleanPictures } from '../../core/document/cleaned'
import { calledBlob, namedBlobs } from '../../core/document/named-blobs'
import { FormatError, missingFrom, openProject } from '../../core/document/open'
import { projectJson } from '../../core/document/save'
import { api } from '../api'
import { sendBlob } from '../session/pictures'
import { pictureCleaner } from '../shelf/read-picture'

/**
 * @param say is told what is being done, and how much of it is done, 0 … 1
 * @returns the new project's id
 * @throws FormatError, ApiError, DOMException when `signal` ends it
 */
export async function openProjectFile(
  file: File,
  say: (words: string, share?: number) => void,
  signal: AbortSignal,
): Promise<string> {
  if (file.size > MOST_UNPACKED)
    throw new FormatError(
      '',
      `is ${Math.round(file.size / 1e6)} MB; a project file is at most ${MOST_UNPACKED / 1e6} MB`,
    )
  const read = openProject(new Uint8Array(await file.arrayBuffer()))
  const clean = await pictureCleaner()
  const opened = await withCleanPictures(read, async (svg) => clean(svg))
  signal.throwIfAborted()
  const [missing] = missingFrom(opened)
  if (missing)
    throw new FormatError(
      `blobs/${missing.hash}`,
      `${calledBlob(missing)} is not in the file; choose the .lattice file, which holds its pictures and fonts`,
    )
  const { document, blobs } = opened
  const named = new Map(namedBlobs(document).map((blob) => [blob.hash, blob]))
  let done = 0
  for (const [hash, { type }] of named) {
    const words = `Sending pictures and fonts, ${done + 1} of ${named.size} …`
    await sendBlob(
      api,
      hash,
      type,
      blobs.get(hash)!,
      (share) => say(words, (done + share) / named.size),
      signal,
    )
    done++
  }
  signal.throwIfAborted()
  const { id } = await api.openFile(projectJson(document))
  return id
}
