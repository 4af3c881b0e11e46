/** How much anybody may ask for at once. */
import type { IncomingMessage, ServerResponse } from 'node:http'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { Problem } from './problem'
import { speakerOf } from './same-origin'

export type Limits = {
  /** Requests in a minute: of one address, of one tab, about one project. */
  address: number
  tab: number
  project: number
  /** Bytes of all request bodies that are being read or answered at once. */
  bodies: number
}

/** A tab of a designer's sends at most some seven batches a second. */
export const LIMITS: Limits = { address: 60_000, tab: 6_000, project: 30_000, bodies: 256_000_000 }
/** Largest body of one request, bytes: a project file, a batch of edits. */
export const MOST_FILE = 80_000_000
export const MOST_BATCH = 24_000_000

/** Express cuts what it is mounted at off the address. */
const projectOf = (request: IncomingMessage) => /^(?:\/api)?\/projects\/([^/?]+)/.exec(request.url ?? '')?.[1]

/** Counts requests by what they have in common. @throws Problem 429 with when to come again */
type Limiter = (request: IncomingMessage, response: ServerResponse) => Promise<void>

function perMinute(
  limit: number,
  what: string,
  keyOf: (request: IncomingMessage) => string | undefined,
): Limiter {
  const limiter = new RateLimiterMemory({ points: limit, duration: 60 })
  return async (request, response) => {
    const key = keyOf(request)
    if (key === undefined) return
    try {
      await limiter.consume(key)
    } catch {
      response.setHeader('Retry-After', '60')
      throw new Problem(429, 'Too many requests', `more than ${limit} requests a minute ${what}`)
    }
  }
}

export function rateLimits(limits: Limits): Limiter {
  const all = [
    perMinute(limits.address, 'from one address', (request) => request.socket.remoteAddress),
    perMinute(limits.tab, 'from one tab', speakerOf),
    perMinute(limits.project, 'about one project', projectOf),
  ]
  return async (request, response) => {
    for (const limiter of all) await limiter(request, response)
  }
}

/**
 * Holds the sum of all bodies in work below `most` bytes.
 * @returns takes a request in until it is answered; throws Problem 503 when there is no room for it
 */
export function bodyBudget(most: number) {
  let used = 0
  return (request: IncomingMessage, response: ServerResponse) => {
    const said = Number(request.headers['content-length'])
    const chunked = request.headers['transfer-encoding'] !== undefined
    const size = chunked || !Number.isFinite(said) ? (chunked ? MOST_FILE : 0) : Math.min(said, MOST_FILE)
    if (size === 0) return
    if (used + size > most) {
      response.setHeader('Retry-After', '1')
      throw new Problem(
        503,
        'Busy',
        'too much is being sent at once; nothing was changed, try again in a second',
      )
    }
    used += size
    response.once('close', () => {
      used -= size
    })
  }
}
