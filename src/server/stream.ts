/** The live stream of a project: server-sent events, one a batch of edits. */
import type { Request, Response } from 'express'
import type { Batch, Projects } from './projects'

/** How often the log is looked at for what other app servers appended, ms. */
const POLL = 2000

export async function streamProject(projects: Projects, id: string, request: Request, response: Response) {
  const { revision: now } = await projects.load(id)
  const asked = Number(request.headers['last-event-id'] ?? request.query.since)
  let sent = Number.isInteger(asked) && asked >= 0 && asked <= now ? asked : now
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
    'X-Accel-Buffering': 'no',
  })
  response.write(`retry: 1000\nevent: ready\ndata: ${JSON.stringify({ revision: now })}\n\n`)
  const send = (batch: Batch) => {
    if (batch.revision !== sent + 1) return
    sent = batch.revision
    response.write(`id: ${batch.revision}\nevent: edits\ndata: ${JSON.stringify(batch)}\n\n`)
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
