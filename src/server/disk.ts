/** The room on the disk that the database lies on: said early when it runs low; before it is full, nothing more is taken. */
import { statfs } from 'node:fs/promises'
import type { IncomingMessage } from 'node:http'
import type { Logger } from 'pino'
import { Problem } from './problem'

/** Bytes that are left when it is said, and when changes are refused: a database that runs into the end may not come back by itself. */
const LOW = 1_000_000_000
const FULL = 100_000_000
const EVERY = 5000

export type Room = 'enough' | 'low' | 'full'

/** Bytes left for this process on the disk of a folder. */
export async function freeOn(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder)
  return bavail * bsize
}

export class Disk {
  room: Room = 'enough'
  private timer: NodeJS.Timeout | undefined

  constructor(
    private readonly free: () => Promise<number>,
    private readonly log: Logger,
  ) {}

  /** Looks now, and from then on. */
  async watch() {
    await this.look()
    this.timer = setInterval(() => void this.look(), EVERY).unref()
  }

  async look() {
    const bytes = await this.free().catch(() => Number.POSITIVE_INFINITY)
    const room: Room = bytes < FULL ? 'full' : bytes < LOW ? 'low' : 'enough'
    if (room === this.room) return
    this.room = room
    const left = `${Math.round(bytes / 1e6)} MB are left on the disk of the database`
    if (room === 'enough') this.log.warn('there is room on the disk again')
    else if (room === 'low') this.log.warn(`${left}: make room soon`)
    else this.log.error(`${left}: changes are refused until there is more; what is there can be read`)
  }

  /** Lets nothing be changed while the disk is full. @throws Problem 507 */
  guard(request: IncomingMessage) {
    if (this.room === 'full' && request.method !== 'GET' && request.method !== 'HEAD')
      throw new Problem(
        507,
        'Disk full',
        'the disk of the server is full: nothing more can be saved there until somebody makes room; nothing was changed',
      )
  }

  end() {
    clearInterval(this.timer)
  }
}
