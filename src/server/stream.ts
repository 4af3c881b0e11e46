/** The live stream of a project: server-sent events, one a batch of edits. */
import type { Request, Response } from 'express'
import type { SavedBatch } from '../core/replica/replica'
import type { Projects } from './projects'

/** How often the log is looked at for what other app servers appended, ms. */
const POLL = 2000

/**
 * Sends `ready` first, then `edits` for every batch after `since`; or `apart` alone, when the log does not go on from there.
 */
export async function streamProject(projects: Projects, id: string, request: Request, response: Response) {
  const { revision: now } = await projects.load(id)
  const since = Number(request.query.since)
  const head = typeof request.query.head === 'string' ? request.query.head : ''
  const goesOn =
    Number.isInteger(since) && since >= 0 && since <= now && (await projects.goesOnFrom(id, since, head))
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
    'X-Accel-Buffering': 'no',
  })
  const say = (event: string, data: unknown) => {
    response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
  }
  if (!goesOn) {
    say('apart', { revision: now })
    response.end()
    return
  }
  say('ready', { revision: now })
  let sent = since
  const send = (batch: SavedBatch) => {
    if (batch.revision !== sent + 1) return
    sent = batch.revision
    say('edits', batch)
  }
  let busy = false
  const catchUp = async () => {
    if (busy) return
    busy = true
    try {
      for (const batch of await projects.since(id, sent)) send(batch)
    } catch {
      // The database is away: the client is told by its own requests, the stream goes on when it is back.
    } finally {
      busy = false
    }
  }
  const stop = projects.listen(id, (batch) => (batch.revision === sent + 1 ? send(batch) : void catchUp()))
  const poll = setInterval(() => {
    response.write(': still here\n\n')
    void catchUp()
  }, POLL)
  request.on('close', () => {
    clearInterval(poll)
    stop()
  })
  await catchUp()
}
