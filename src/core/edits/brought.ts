/** What edits bring that lies outside of the document: pictures and font files. */
import { fontBlobs, type NamedBlob } from '../document/named-blobs'
import type { Edit } from './edit'

const blobsOf = (edit: Edit): NamedBlob[] => {
  if (edit.op === 'asset' && edit.asset) return [edit.asset]
  return edit.op === 'font' && edit.font ? fontBlobs(edit.font) : []
}

/** Each with the place of its edit among them. */
export const broughtBy = (edits: readonly Edit[]): { index: number; blob: NamedBlob }[] =>
  edits.flatMap((edit, index) => blobsOf(edit).map((blob) => ({ index, blob })))
