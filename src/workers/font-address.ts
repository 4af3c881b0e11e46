/** Where font files are fetched: those that ship, and those that a project holds. */
import type { FontFile } from '../core/text/families'

export const fontAddress = ({ id, hash }: FontFile) => (hash ? `/api/blobs/${hash}` : `/fonts/${id}.woff2`)
