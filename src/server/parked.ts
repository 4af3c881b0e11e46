/** Edits that were set aside, as they come from outside: their form, and how much of them is kept. */
import type { Pool } from 'mysql2/promise'
import * as v from 'valibot'
import { FormatError } from '../core/document/format-error'
import { checkPlain } from '../core/document/plain'
import { type ParkedOutside, ParkedSchema } from '../core/replica/parked-schema'
import { parkedSize } from './db/parked.sql'
import { Problem } from './problem'
import { checked } from './requests'

/** Of one entry, bytes. */
export const MOST_PARKED = 4_000_000
/** Of a project's, entries and bytes. */
const MOST_ENTRIES = 1000
const MOST_BYTES = 64_000_000

/** @param id that the address says @throws Problem 400 */
export function parkedIn(value: unknown, id: string): ParkedOutside {
  try {
    checkPlain(value)
  } catch (error) {
    if (error instanceof FormatError) throw new Problem(400, 'Bad request', error.message)
    throw error
  }
  const parked = checked(ParkedSchema, value)
  if (parked.id !== id) throw new Problem(400, 'Bad request', 'id: another than that of the address')
  return parked
}

/** One that an older server took, and nobody could read, is left out: it must not hide the others. */
export function readParked(text: string): ParkedOutside | undefined {
  try {
    const value: unknown = JSON.parse(text)
    checkPlain(value)
    const read = v.safeParse(ParkedSchema, value)
    return read.success ? read.output : undefined
  } catch {
    return undefined
  }
}

/** @throws Problem 409 when so much is set aside in the project that no more is taken */
export async function checkRoom(db: Pool, project: string, id: string, parked: ParkedOutside) {
  const { entries, bytes } = await parkedSize(db, project, id)
  if (entries < MOST_ENTRIES && bytes + JSON.stringify(parked).length <= MOST_BYTES) return
  throw new Problem(
    409,
    'Too much set aside',
    'so much is set aside in this project that no more can be kept here; put some of it back, or dismiss it',
  )
}
