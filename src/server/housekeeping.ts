/** What is done from time to time, by any app server: snapshots thinned out, logs compacted, unused blobs collected. */
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import { dropBegun, dropUnused, dropUses } from './db/blobs.sql'
import { allProjects, compactLog } from './db/projects.sql'
import { thinOut } from './snapshots'

/** Seconds for which a use, or a blob that was sent, is left alone: what names it may be on its way. */
export type Grace = { uses: number; blobs: number }
const GRACE: Grace = { uses: 3600, blobs: 86_400 }
const EVERY = 600_000
/** Seconds after which what was begun and never finished goes; a picture is sent in minutes. */
const BEGUN = 7200
/** How long a log is kept whatever snapshots there are, ms: who was away for less goes on where they were. */
const LOG_KEPT = 86_400_000

/** Takes away blobs that nothing names. */
export async function collect(pool: Pool, grace: Grace = GRACE) {
  await dropBegun(pool, BEGUN)
  for (const id of await allProjects(pool)) await dropUses(pool, id, grace.uses)
  while ((await dropUnused(pool, grace.blobs)) > 0);
}

/** Thins out every project's snapshots, and compacts its log behind the oldest that is kept. */
export async function compact(pool: Pool, now = Date.now()) {
  for (const id of await allProjects(pool)) {
    const oldest = await thinOut(pool, id, now)
    await compactLog(pool, id, oldest, new Date(now - LOG_KEPT))
  }
}

/** @returns stops it */
export function keepHouse(pool: Pool, log: Logger, every = EVERY): () => void {
  let busy = false
  const timer = setInterval(async () => {
    if (busy) return
    busy = true
    try {
      await compact(pool)
      await collect(pool)
    } catch (error) {
      // Nothing of it is urgent: the next time it goes on.
      log.warn({ err: error }, 'housekeeping')
    }
    busy = false
  }, every)
  timer.unref()
  return () => clearInterval(timer)
}
