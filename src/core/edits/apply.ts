/** Reading edits from outside, and applying them to a next version of the document. */
import * as v from 'valibot'
import type { Document } from '../document/document'
import { Draft } from '../document/draft'
import { FormatError } from '../document/format-error'
import { checkPlain } from '../document/plain'
import { type Edit, EditError } from './edit'
import { refuse } from './edit-module'
import { moduleOf } from './registry'

/** For who rehearses edits and has them accepted later. */
export type { Draft } from '../document/draft'

/** Reads one edit from outside. @throws EditError */
export function readEdit(value: unknown): Edit {
  try {
    checkPlain(value)
  } catch (error) {
    throw asEditError(error)
  }
  const op = typeof value === 'object' && value !== null ? (value as { op?: unknown }).op : undefined
  const module = typeof op === 'string' ? moduleOf(op) : undefined
  if (!module) return refuse('op: expected the name of an edit')
  const result = v.safeParse(module.schema, value)
  if (result.success) return result.output as Edit
  const issue = result.issues[0]
  const where = (issue.path ?? []).map((step) => String(step.key)).join('.')
  return refuse(`${where || 'edit'}: ${issue.message}`)
}

/** What an edit holds may be wrong too: to who applies it that is one kind of refusal. */
function asEditError(error: unknown): unknown {
  return error instanceof FormatError ? new EditError(error.message) : error
}

/**
 * Applies `edit` to a next version; when it is refused the version is as it was.
 * @returns the inverse: applying it gives the version back exactly
 * @throws EditError with the reason
 */
export function applyTo(draft: Draft, edit: Edit): Edit {
  try {
    // What a store kept may be of another version than this.
    const module = moduleOf(edit.op) ?? refuse('a change of a kind that is not known here')
    return module.apply(draft, edit)
  } catch (error) {
    throw asEditError(error)
  }
}

/**
 * Applies edits as one, all or none.
 * @returns the inverses, in the order in which they undo
 * @throws EditError with the reason; whatever is thrown, the document is as it was
 */
export function applyAll(doc: Document, edits: readonly Edit[]): Edit[] {
  const draft = new Draft(doc)
  const inverses: Edit[] = []
  for (const edit of edits) inverses.push(applyTo(draft, edit))
  doc.accept(draft)
  return inverses.reverse()
}

/** As `applyAll`, for one. */
export const applyEdit = (doc: Document, edit: Edit): Edit => applyAll(doc, [edit])[0]!

export type Refused = { index: number; reason: string }

/**
 * What a document would be after edits, for who decides later whether it becomes so (`doc.accept`).
 * @returns the next version with all that can be applied, and what cannot
 */
export function rehearse(doc: Document, edits: readonly Edit[]): { draft: Draft; refused: Refused[] } {
  const draft = new Draft(doc)
  const refused: Refused[] = []
  edits.forEach((edit, index) => {
    try {
      applyTo(draft, edit)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      refused.push({ index, reason: error.message })
    }
  })
  return { draft, refused }
}
