/** Edits as they lie in a log, and how those of earlier versions become today's. */
import type { Document } from '../document/document'
import { Draft } from '../document/draft'
import { pictureApart, treeOfBefore } from '../document/earlier'
import { tidyPath } from '../document/paths'
import { withOverrides } from '../document/resolve'
import type { View } from '../document/schema'
import type { Tree } from '../document/tree'
import { changesOfBefore } from '../properties/earlier'
import { linkProblem } from '../properties/links'
import { hasProperty, mayDiffer } from '../properties/table'
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
  for (const edit of stored) applyTo(draft, fitting(edit as Edit, draft))
  doc.accept(draft)
}

/** As of today. Before, looks were written otherwise, and a block took values that its kind, or a view, does not have. */
function fitting(edit: Edit, tree: Tree): Edit {
  if (edit.op === 'insert') return { ...edit, tree: treeOfBefore(edit.tree, tree.views) as typeof edit.tree }
  if (edit.op === 'page' && edit.page) {
    const sections = edit.page.sections?.map((section) => treeOfBefore(section, tree.views))
    return { ...edit, page: { ...edit.page, sections } as typeof edit.page }
  }
  const node = edit.op === 'set' ? tree.nodes.get(edit.node) : undefined
  if (edit.op !== 'set' || !node) return edit
  const over = edit.view === undefined ? [] : tree.cascade(edit.view).map(({ id }) => id)
  const props = changesOfBefore(edit.props, withOverrides(node, over))
  const own = Object.entries(props).filter(
    ([key]) => hasProperty(node.kind, key) && (edit.view === undefined || mayDiffer(key)),
  )
  return props === edit.props && own.length === Object.keys(props).length
    ? edit
    : { ...edit, props: Object.fromEntries(own) }
}

/** As `replay`, to a document of which some pages are absent. @throws Absent, EditError */
export function replayPartly(doc: Document, stored: readonly unknown[]) {
  const draft = new Draft(doc)
  for (const edit of stored) applyPartly(draft, fitting(edit as Edit, draft))
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
        const own = fitting(edit, draft)
        applyTo(draft, own)
        kept.push(own)
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
