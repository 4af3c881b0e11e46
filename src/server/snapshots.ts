/**
 * Documents at some revisions, so that loading need not replay the log from its beginning. A snapshot is an outline, and for
 * every page the revision at which its body was written last: only pages that changed are written again.
 */
import type { Pool, PoolConnection } from 'mysql2/promise'
import type { Document } from '../core/document/document'
import { bodyOf, type Outline, outlineOf, type PageBody, type Parts, partsOf } from '../core/document/outline'
import * as sql from './db/snapshots.sql'

type Connection = Pool | PoolConnection
/** Page ids and the revisions at which their bodies were written. */
export type PagesAt = ReadonlyMap<string, number>
type StoredOutline = Outline & { at: Record<string, number> }

/** Bytes of page bodies that are sent in one statement, about. */
const AT_ONCE = 4_000_000

/** Where the newest snapshot has the pages, whoever wrote it. */
export async function newestPagesAt(db: Connection, id: string): Promise<PagesAt> {
  const row = await sql.newestOutline(db, id)
  return new Map(row ? Object.entries((JSON.parse(row.document) as StoredOutline).at) : [])
}

/** @param before where the pages are that did not change since the newest snapshot; nothing: all are written */
export async function writeSnapshot(
  db: Connection,
  id: string,
  revision: number,
  doc: Document,
  before: PagesAt = new Map(),
): Promise<PagesAt> {
  const at = new Map([...doc.pages.keys()].map((page) => [page, before.get(page) ?? revision]))
  let rows: sql.PageRow[] = []
  let size = 0
  const send = async () => {
    if (rows.length > 0) await sql.insertPages(db, id, rows)
    rows = []
    size = 0
  }
  // The document goes on while this waits: everything is written out first.
  const outline: StoredOutline = { ...outlineOf(doc), at: Object.fromEntries(at) }
  const bodies = [...at]
    .filter(([page]) => !before.has(page))
    .map(([page]) => ({ page_id: page, revision, body: JSON.stringify(bodyOf(doc, page)) }))
  for (const row of bodies) {
    rows.push(row)
    size += row.body.length
    if (size > AT_ONCE) await send()
  }
  await send()
  await sql.insertOutline(db, id, revision, JSON.stringify(outline))
  return at
}

export type ReadSnapshot = Parts & { revision: number; at: PagesAt }

/**
 * The newest one that is not newer than `most`; undefined when there is none.
 * @param wanted says which of the outline's pages are read; left out: all
 * @throws when a page that is wanted is not there
 */
export async function readSnapshot(
  db: Connection,
  id: string,
  most?: number,
  wanted: (outline: Outline) => readonly string[] = ({ pages }) => pages.map((page) => page.id),
): Promise<ReadSnapshot | undefined> {
  const row = await sql.newestOutline(db, id, most)
  if (!row) return undefined
  const { at, ...outline } = JSON.parse(row.document) as StoredOutline
  const pages = wanted(outline)
  const texts = await sql.pagesAt(
    db,
    id,
    pages.map((page) => [page, at[page]!] as const),
  )
  for (const page of pages)
    if (!texts.has(page)) throw new Error(`the snapshot of ${id} at ${row.revision} has no page ${page}`)
  const bodies = new Map([...texts].map(([page, text]) => [page, JSON.parse(text) as PageBody]))
  return { revision: row.revision, at: new Map(Object.entries(at)), ...partsOf(outline, bodies) }
}

/** Seconds. */
const HOUR = 3600
const DAY = 24 * HOUR
/** The newest ones are kept whatever their age. */
const NEWEST = 3
/** How far back the ladder goes, and how far its rungs are apart: younger than `age`, one in every `step`. */
const LADDER = [
  { age: DAY, step: HOUR },
  { age: 30 * DAY, step: DAY },
]

/**
 * Which snapshots are kept.
 * @param made when each was made, ms, oldest first @returns for each whether it is
 */
export function onLadder(made: readonly number[], now: number): boolean[] {
  const rungs = new Set<string>()
  const keep = made.map(() => false)
  for (let i = made.length - 1; i >= 0; i--) {
    const age = (now - made[i]!) / 1000
    const rung = LADDER.find((each) => age < each.age)
    const name = rung && `${rung.step} ${Math.floor(made[i]! / 1000 / rung.step)}`
    // The newest of each rung.
    keep[i] = i >= made.length - NEWEST || (name !== undefined && !rungs.has(name))
    if (name !== undefined) rungs.add(name)
  }
  return keep
}

/**
 * Takes away the snapshots that are not on the ladder, and pages that no kept one names.
 * @returns the oldest revision that can still be loaded
 */
export async function thinOut(db: Connection, id: string, now: number): Promise<number> {
  const rows = await sql.listSnapshots(db, id)
  const keep = onLadder(
    rows.map((row) => row.created_at.getTime()),
    now,
  )
  const gone = rows.filter((_, i) => !keep[i])
  const kept = rows.filter((_, i) => keep[i])
  if (gone.length > 0) {
    await sql.dropSnapshots(
      db,
      id,
      gone.map((row) => row.revision),
    )
    const outlines = await sql.outlinesAt(
      db,
      id,
      kept.map((row) => row.revision),
    )
    const named = new Map<string, [string, number]>()
    for (const text of outlines)
      for (const [page, at] of Object.entries((JSON.parse(text) as StoredOutline).at))
        named.set(`${page} ${at}`, [page, at])
    // A snapshot that is just being written has its pages before its outline: those newer than all outlines stay.
    await sql.dropPages(db, id, kept.at(-1)!.revision, [...named.values()])
  }
  return kept[0]?.revision ?? 0
}
