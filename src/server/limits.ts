/** How much anybody may ask for at once. */
import type { Request, RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import { Problem, sendProblem } from './problem'
import { SPEAKER } from './same-origin'

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

const projectOf = (request: Request) => /^\/projects\/([^/]+)/.exec(request.path)?.[1]

const perMinute = (
  limit: number,
  what: string,
  keyOf?: (request: Request) => string | undefined,
): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit,
    // Nobody reads them, and each request would be hashed three times for them.
    standardHeaders: false,
    legacyHeaders: false,
    validate: false,
    ...(keyOf
      ? {
          keyGenerator: (request: Request) => keyOf(request) ?? '',
          skip: (request: Request) => keyOf(request) === undefined,
        }
      : {}),
    handler: (_, response) => {
      response.setHeader('Retry-After', '60')
      sendProblem(
        response,
        new Problem(429, 'Too many requests', `more than ${limit} requests a minute ${what}`),
      )
    },
  })

export const rateLimits = (limits: Limits): RequestHandler[] => [
  perMinute(limits.address, 'from one address'),
  perMinute(limits.tab, 'from one tab', (request) => request.get(SPEAKER)),
  perMinute(limits.project, 'about one project', projectOf),
]

/** Holds the sum of all bodies in work below `most` bytes; who comes when it is reached is asked to come again. */
export function bodyBudget(most: number): RequestHandler {
  let used = 0
  return (request, response, next) => {
    const said = Number(request.headers['content-length'])
    const chunked = request.headers['transfer-encoding'] !== undefined
    const size = chunked || !Number.isFinite(said) ? (chunked ? MOST_FILE : 0) : Math.min(said, MOST_FILE)
    if (size > 0 && used + size > most) {
      response.setHeader('Retry-After', '1')
      return sendProblem(
        response,
        new Problem(
          503,
          'Busy',
          'too much is being sent at once; nothing was changed, try again in a second',
        ),
      )
    }
    used += size
    response.once('close', () => {
      used -= size
    })
    next()
  }
}
