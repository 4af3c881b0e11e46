/** Opening a project file: from bytes to a document and its blobs, or a message that names the place and the reason. */
import { type Archive, isArchive, MOST_JSON, readArchive } from '../blobs/archive'
import { type Blobs, hashOf } from '../blobs/blobs'
import { checkProject } from './check'
import { Document } from './document'
import { upToDate } from './earlier'
import { FormatError } from './format-error'
import { calledBlob, type NamedBlob, namedBlobs } from './named-blobs'

export { FormatError } from './format-error'

/** A project file that was opened: the document, and the bytes that came with it. */
export type Opened = { document: Document; blobs: Blobs }

/**
 * Opens a project file: a zip with everything that it names, or its JSON alone, of any version so far. What is named and did not
 * come along is for the caller to find: `missingFrom` says which.
 * @throws FormatError
 */
export function openProject(source: Uint8Array | string): Opened {
  if (typeof source !== 'string' && isArchive(source)) return openArchive(source)
  const blobs = new Map<string, Uint8Array>()
  return { document: documentOf(source, blobs), blobs }
}

function openArchive(source: Uint8Array): Opened {
  let archive: Archive
  try {
    archive = readArchive(source)
  } catch (error) {
    throw new FormatError('', (error as Error).message)
  }
  const blobs = new Map(archive.blobs)
  const document = documentOf(archive.json, blobs)
  const [missing] = missingFrom({ document, blobs })
  if (missing) throw new FormatError(`blobs/${missing.hash}`, `${calledBlob(missing)} is not in the file`)
  return { document, blobs }
}

/** The pictures and font files whose bytes did not come along. */
export const missingFrom = ({ document, blobs }: Opened): NamedBlob[] =>
  namedBlobs(document).filter(({ hash }) => !blobs.has(hash))

/** @param blobs those that came along; gets those that were in the text, and loses those that it does not name */
function documentOf(source: Uint8Array | string, blobs: Map<string, Uint8Array>): Document {
  const document = Document.fromFile(checkProject(upToDate(parsed(source), blobs)))
  const named = new Map(namedBlobs(document).map((blob) => [blob.hash, blob]))
  for (const [hash, bytes] of blobs) {
    const blob = named.get(hash)
    if (!blob) blobs.delete(hash)
    else checkBlob(blob, bytes)
  }
  return document
}

/** Whether bytes are those that a document names; what they show is for who keeps or draws them. @throws FormatError */
export function checkBlob(blob: NamedBlob, bytes: Uint8Array) {
  const { size, hash } = blob
  const where = `blobs/${hash}`
  if (hashOf(bytes) !== hash)
    throw new FormatError(where, `${calledBlob(blob)} is damaged: these are not its bytes`)
  if (bytes.length !== size)
    throw new FormatError(where, `expected ${size} bytes for ${calledBlob(blob)}, found ${bytes.length}`)
}

function parsed(source: Uint8Array | string): unknown {
  if (source.length > MOST_JSON) throw new FormatError('', `is larger than ${MOST_JSON / 1_000_000} MB`)
  const text = typeof source === 'string' ? source : textOf(source)
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new FormatError('', syntaxReason(text, (error as Error).message))
  }
}

function textOf(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw new FormatError('', 'is neither a project file nor text in UTF-8')
  }
}

function syntaxReason(text: string, message: string): string {
  const position = /position (\d+)/.exec(message)
  if (
    /end of JSON|Unterminated/i.test(message) ||
    (position && Number(position[1]) >= text.trimEnd().length)
  ) {
    return `is cut short: it ends after ${text.length} characters, in the middle of a value`
  }
  if (!position) {
    const token = /Unexpected token '(.)'/.exec(message)
    return token ? `is not JSON: “${token[1]}” was not expected` : 'is not JSON'
  }
  const before = text.slice(0, Number(position[1]))
  const line = before.split('\n').length
  return `is not JSON: line ${line}, character ${before.length - before.lastIndexOf('\n')}`
}
