/** What edits bring that lies outside of the document: pictures and font files. */
import type { NamedBlob } from '../document/named-blobs'
import type { Edit } from './edit'
import { moduleOf } from './registry'

/** Each with the place of its edit among them. */
export const broughtBy = (edits: readonly Edit[]): { index: number; blob: NamedBlob }[] =>
  edits.flatMap((edit, index) => (moduleOf(edit.op)?.brings?.(edit) ?? []).map((blob) => ({ index, blob })))
