/**
 * The live streams: server-sent events, one a batch of edits. All streams of a project hear from one channel, which looks at
 * the log for what other app servers appended; its cost does not grow with who listens.
 */
import type { Response } from 'express'
import type { SavedBatch } from '../core/replica/replica'
import type { Projects } from './projects'

/**
 * How often the log is looked at for what other app servers appended and could not tell, and how often a sign of life is sent, ms.
 */
const POLL = 2000
const ALIVE = 20_000
/** Bytes that may wait for a client that does not read; it is cut off then, and catches up when it comes back. */
const MOST_WAITING = 8_000_000

type Client = { response: Response; sent: number; busy: boolean }

const event = (name: string, data: unknown) => `event: ${name}\ndata: ${JSON.stringify(data)}\n\n`

/** Everybody who listens to one project. */
class Channel {
  private readonly clients = new Set<Client>()
  private readonly stop: () => void
  private readonly timers: NodeJS.Timeout[]
  private looking = false
  private again = false

  constructor(
    private readonly projects: Projects,
    private readonly id: string,
    /** The newest revision that was told. */
    private revision: number,
    private readonly empty: () => void,
    poll: number,
  ) {
    this.stop = projects.listen(id, (batch) => this.tell([batch]))
    this.timers = [setInterval(() => void this.look(), poll), setInterval(() => this.alive(), ALIVE)]
  }

  get size() {
    return this.clients.size
  }

  join(response: Response, since: number) {
    const client: Client = { response, sent: since, busy: false }
    this.clients.add(client)
    response.once('close', () => this.leave(client))
    void this.catchUp(client)
  }

  private leave(client: Client) {
    this.clients.delete(client)
    if (this.clients.size === 0) this.end()
  }

  end() {
    this.stop()
    for (const timer of this.timers) clearInterval(timer)
    for (const { response } of this.clients) response.end()
    this.empty()
  }

  private tell(batches: readonly SavedBatch[]) {
    for (const batch of batches) {
      const text = event('edits', batch)
      this.revision = Math.max(this.revision, batch.revision)
      for (const client of this.clients) {
        if (batch.revision === client.sent + 1 && !client.busy) this.send(client, text, batch.revision)
        else if (batch.revision > client.sent) void this.catchUp(client)
      }
    }
  }

  private send(client: Client, text: string, revision: number) {
    client.sent = revision
    client.response.write(text)
    if (client.response.writableLength > MOST_WAITING) client.response.destroy()
  }

  /** What a client missed, from the log. */
  private async catchUp(client: Client) {
    if (client.busy) return
    client.busy = true
    try {
      for (const batch of await this.projects.since(this.id, client.sent))
        if (batch.revision === client.sent + 1) this.send(client, event('edits', batch), batch.revision)
    } catch {
      // The database is away: the client is told by its own requests, the stream goes on when it is back.
    } finally {
      client.busy = false
    }
  }

  /** At the log; told to meanwhile, once more. */
  async look() {
    this.again = this.looking
    if (this.looking) return
    this.looking = true
    try {
      this.tell(await this.projects.since(this.id, this.revision))
      for (const client of this.clients) if (client.sent < this.revision) void this.catchUp(client)
    } catch {
      // As above.
    } finally {
      this.looking = false
    }
    if (this.again) await this.look()
  }

  private alive() {
    for (const { response } of this.clients) response.write(': still here\n\n')
  }
}

export class Streams {
  private readonly channels = new Map<string, Channel>()

  /** @param poll how often the log is looked at, ms */
  constructor(
    private readonly projects: Projects,
    private readonly poll = POLL,
  ) {}

  /** How many streams are open, and on how many projects. */
  get open(): { streams: number; projects: number } {
    let streams = 0
    for (const channel of this.channels.values()) streams += channel.size
    return { streams, projects: this.channels.size }
  }

  /**
   * Sends `ready` first, then `edits` for every batch after `since`; or `apart` alone, when the log does not go on from there.
   * @throws Problem 404
   */
  async join(id: string, since: number, head: string, response: Response) {
    const { revision } = await this.projects.state(id)
    const known = Number.isInteger(since) && since >= 0 && since <= revision
    const goesOn = known && (await this.projects.goesOnFrom(id, since, head))
    // Gone while it was asked: there is nobody to tell.
    if (response.destroyed) return
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache, no-transform',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    })
    if (!goesOn) {
      response.end(event('apart', { revision }))
      return
    }
    response.write(event('ready', { revision }))
    let channel = this.channels.get(id)
    if (!channel) {
      channel = new Channel(this.projects, id, revision, () => this.channels.delete(id), this.poll)
      this.channels.set(id, channel)
    }
    channel.join(response, since)
  }

  /** Another app server has appended to a project. */
  heard(id: string) {
    void this.channels.get(id)?.look()
  }

  /** Ends all streams: the server is going. */
  end() {
    for (const channel of [...this.channels.values()]) channel.end()
  }
}
