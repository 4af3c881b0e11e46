/**
 * App servers before one database tell each other which projects went on: a datagram a project, to whoever said in the database that it
 * is there. Nothing is lost where one does not arrive: the log is looked at from time to time all the same.
 */
import { randomBytes, timingSafeEqual } from 'node:crypto'
import { createSocket, type Socket } from 'node:dgram'
import type { Pool, RowDataPacket } from 'mysql2/promise'
import type { Logger } from 'pino'
import type { RunningApp } from './app'

/** Tells the app servers before the same database what is appended here, and its streams what is appended there. @returns ends it */
export async function tellNeighbours(
  { projects, streams }: Pick<RunningApp, 'projects' | 'streams'>,
  pool: Pool,
  log: Logger,
  host = '127.0.0.1',
): Promise<() => Promise<void>> {
  const neighbours = await Neighbours.open(pool, log, host, (project) => streams.heard(project))
  projects.wentOn = (id) => neighbours.tell(id)
  return () => neighbours.end()
}

/** How often a server says that it is there, and asks who is; and how long it is believed, s. */
const EVERY = 10
const BELIEVED = 35
const SECRET = 16
/** Of a datagram after the secret: a project's id. */
const LONGEST = 64

type Neighbour = { host: string; port: number; secret: Buffer }

class Neighbours {
  private others: Neighbour[] = []
  private readonly secret = randomBytes(SECRET)
  private timer: NodeJS.Timeout | undefined
  private readonly waiting = new Set<string>()

  private constructor(
    private readonly pool: Pool,
    private readonly log: Logger,
    private readonly host: string,
    private readonly socket: Socket,
    private readonly heard: (project: string) => void,
  ) {
    socket.on('message', (message) => this.hear(message))
    socket.on('error', (error) => log.warn({ err: error }, 'neighbours'))
  }

  /**
   * @param host where others reach this server @param heard of a project that went on elsewhere
   * @throws when there is no port to listen on
   */
  static async open(
    pool: Pool,
    log: Logger,
    host: string,
    heard: (project: string) => void,
  ): Promise<Neighbours> {
    const socket = createSocket({ type: host.includes(':') ? 'udp6' : 'udp4' })
    await new Promise<void>((resolve, reject) => {
      socket.once('error', reject)
      socket.bind(0, host, () => {
        socket.off('error', reject)
        resolve()
      })
    })
    socket.unref()
    const neighbours = new Neighbours(pool, log, host, socket, heard)
    await neighbours.meet()
    neighbours.timer = setInterval(() => void neighbours.meet(), EVERY * 1000).unref()
    return neighbours
  }

  /** Says that this server is there, and learns who else is. */
  async meet() {
    const { pool, host, secret } = this
    try {
      await pool.query(
        'CREATE TABLE IF NOT EXISTS app_servers (host VARCHAR(64) NOT NULL, port SMALLINT UNSIGNED NOT NULL, secret BINARY(16) NOT NULL, seen_at DATETIME(3) NOT NULL, PRIMARY KEY (host, port)) ENGINE = InnoDB',
      )
      await pool.execute(
        'INSERT INTO app_servers (host, port, secret, seen_at) VALUES (?, ?, ?, CURRENT_TIMESTAMP(3)) ON DUPLICATE KEY UPDATE secret = VALUES(secret), seen_at = VALUES(seen_at)',
        [host, this.port, secret],
      )
      await pool.execute('DELETE FROM app_servers WHERE seen_at < CURRENT_TIMESTAMP(3) - INTERVAL ? SECOND', [
        BELIEVED * 10,
      ])
      const [rows] = await pool.execute<RowDataPacket[]>(
        'SELECT host, port, secret FROM app_servers WHERE seen_at > CURRENT_TIMESTAMP(3) - INTERVAL ? SECOND',
        [BELIEVED],
      )
      const others = rows.filter(
        (row) => row.host !== host || row.port !== this.port,
      ) as unknown as Neighbour[]
      const isNew = others.some(
        ({ port, host: of }) => !this.others.some((each) => each.port === port && each.host === of),
      )
      this.others = others
      // Those who came before hear of this one at once.
      if (isNew) for (const other of others) this.send(other, '')
    } catch (error) {
      // The log is looked at by who listens.
      this.log.debug({ err: error }, 'neighbours')
    }
  }

  private get port(): number {
    return this.socket.address().port
  }

  /** What was appended to a project here; several times at once is told once. */
  tell(project: string) {
    if (this.others.length === 0) return
    if (this.waiting.size === 0) setImmediate(() => this.sendAll())
    this.waiting.add(project)
  }

  private sendAll() {
    for (const project of this.waiting) for (const other of this.others) this.send(other, project)
    this.waiting.clear()
  }

  private send({ host, port, secret }: Neighbour, project: string) {
    // One that is gone says nothing, and is not believed for long.
    this.socket.send(Buffer.concat([secret, Buffer.from(project, 'latin1')]), port, host, () => undefined)
  }

  private hear(message: Buffer) {
    const { length } = message
    if (length < SECRET || length > SECRET + LONGEST) return
    if (!timingSafeEqual(message.subarray(0, SECRET), this.secret)) return
    if (length === SECRET) void this.meetAgain()
    else this.heard(message.subarray(SECRET).toString('latin1'))
  }

  private meeting: Promise<void> | undefined
  private async meetAgain() {
    this.meeting ??= this.meet().finally(() => {
      this.meeting = undefined
    })
    await this.meeting
  }

  async end() {
    clearInterval(this.timer)
    const { port } = this
    this.socket.close()
    await this.pool
      .execute('DELETE FROM app_servers WHERE host = ? AND port = ?', [this.host, port])
      .catch(() => undefined)
  }
}
