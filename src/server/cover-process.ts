/** Draws covers in a process of its own: a large page takes seconds, and nobody else waits for it. */
import { Document } from '../core/document/document'
import type { ProjectFile } from '../core/document/schema'
import { cover } from './pictures'

export type CoverRequest = { id: number; file: ProjectFile; blobs: Map<string, Uint8Array> }
export type CoverAnswer = { id: number; png?: Uint8Array; problem?: string }

process.on('message', async ({ id, file, blobs }: CoverRequest) => {
  const answer: CoverAnswer = { id }
  try {
    answer.png = await cover({ doc: Document.fromFile(file), blobs })
  } catch (error) {
    answer.problem = (error as Error).message
  }
  process.send?.(answer)
})
// Whoever asked is gone.
process.on('disconnect', () => process.exit(0))
