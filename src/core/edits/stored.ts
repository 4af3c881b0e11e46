/** Edits as they lie in a log, and how those of earlier versions become today's. */
import type { Document } from '../document/document'
import { Draft } from '../document/draft'
import { pictureApart } from '../document/earlier'
import { linkProblem } from '../document/links'
import { tidyPath } from '../document/paths'
import type { View } from '../document/schema'
import type { Tree } from '../document/tree'
import { applyTo } from './apply'
import { type Edit, EditError } from './edit'
import { applyPartly } from './partly'
import { viewEdits } from './views'

/**
 * What edits are stored as now. Version 1 changed all views by one edit and let links lead anywhere; up to version 2 pictures
 * lay in the edits that brought them.
 */
export const EDITS_VERSION = 3

type Taken = Map<string, Uint8Array>

/** Applies what a log holds, which was checked before it was put there. @throws EditError: the log is not this document's */
export function replay(doc: Document, stored: readonly unknown[]) {
  const draft = new Draft(doc)
  for (const edit of stored) applyTo(draft, edit as Edit)
  doc.accept(draft)
}

/** As `replay`, to a document of which some pages are absent. @throws Absent, EditError */
export function replayPartly(doc: Document, stored: readonly unknown[]) {
  const draft = new Draft(doc)
  for (const edit of stored) applyPartly(draft, edit as Edit)
  doc.accept(draft)
}

/**
 * Replays what an earlier version stored.
 * @param taken gets the pictures that lay in it
 * @returns the same as today's edits, without what version 1 took and this one does not
 */
export function replayEarlier(
  doc: Document,
  stored: readonly unknown[],
  version: number,
  taken: Taken,
): Edit[] {
  const draft = new Draft(doc)
  const kept: Edit[] = []
  for (const each of stored) {
    const edits = version < 2 ? ofVersion1(each, draft) : [each as Edit]
    for (const edit of edits.map((edit) => ofVersion2(edit, taken))) {
      try {
        applyTo(draft, edit)
        kept.push(edit)
      } catch (error) {
        if (version >= 2 || !(error instanceof EditError)) throw error
      }
    }
  }
  doc.accept(draft)
  return kept
}

/** An edit as version 2 made it; today's is left as it is. */
export function ofVersion2(edit: Edit, taken: Taken): Edit {
  return edit.op === 'asset' ? { ...edit, asset: pictureApart(edit.asset, taken) as typeof edit.asset } : edit
}

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
