/** Edits as they lie in a log, those of earlier versions among them. */
import type { Document } from '../document/document'
import { Draft } from '../document/draft'
import { linkProblem } from '../document/links'
import { tidyPath } from '../document/paths'
import type { View } from '../document/schema'
import type { Tree } from '../document/tree'
import { applyTo } from './apply'
import { type Edit, EditError } from './edit'
import { viewEdits } from './views'

/** What edits are stored as now. Version 1 changed all views by one edit and let links lead anywhere. */
export const EDITS_VERSION = 2

/** Links that may not be any more lead nowhere; paths are as they have to be now. */
function mended(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(mended)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => {
      if (key === 'link' && typeof inner === 'string') return [key, linkProblem(inner) ? '#' : inner]
      if (key === 'path' && typeof inner === 'string') return [key, tidyPath(inner)]
      return [key, mended(inner)]
    }),
  )
}

function ofVersion1(stored: unknown, tree: Tree): Edit[] {
  const { op, views } = stored as { op: string; views?: View[] }
  if (op === 'views' && views) return viewEdits(tree.views, views)
  return [mended(stored) as Edit]
}

/**
 * Applies what a log holds, which was checked before it was put there.
 * @returns reasons of what version 1 took and this one does not: those edits are left out
 * @throws EditError when an edit of this version does not fit: the log is not this document's
 */
export function replay(doc: Document, stored: readonly unknown[], version: number): string[] {
  const draft = new Draft(doc)
  const left: string[] = []
  for (const each of stored) {
    const edits = version < 2 ? ofVersion1(each, draft) : [each as Edit]
    for (const edit of edits) {
      try {
        applyTo(draft, edit)
      } catch (error) {
        if (version >= EDITS_VERSION || !(error instanceof EditError)) throw error
        left.push(error.message)
      }
    }
  }
  doc.accept(draft)
  return left
}
