/** Errors as problem details (RFC 9457). */
import type { ServerResponse } from 'node:http'
import type { ErrorRequestHandler } from 'express'
import type { Logger } from 'pino'
import { CommitUnknown, RolledBack } from './db/pool'

export class Problem extends Error {
  override name = 'Problem'
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    /** Further members of the problem object. */
    readonly more: Record<string, unknown> = {},
  ) {
    super(detail)
  }
}

export function sendProblem(response: ServerResponse, problem: Problem) {
  const { status, title, detail, more } = problem
  const body = JSON.stringify({ type: 'about:blank', title, status, detail, ...more })
  response.writeHead(status, {
    'Content-Type': 'application/problem+json; charset=utf-8',
    'Content-Length': Buffer.byteLength(body),
  })
  response.end(body)
}

/** Codes with which mysql2 and the server say that the database cannot be reached just now. */
const UNREACHABLE =
  /^(ECONNREFUSED|ECONNRESET|ETIMEDOUT|EPIPE|ENOENT|PROTOCOL_CONNECTION_LOST|ER_SERVER_SHUTDOWN|ER_CON_COUNT_ERROR|ER_UNKNOWN_COM_ERROR)$/

export const isUnreachable = (error: { code?: string; message?: string } | undefined) =>
  UNREACHABLE.test(error?.code ?? '') || /closed state|Pool is closed/.test(error?.message ?? '')

/** The database has no room for what it was to write (1021, 1114; 28 is the system's own number for it). */
const isDiskFull = (error: { errno?: number } | undefined) => [1021, 1114, 28].includes(error?.errno ?? 0)

/** @param most bytes */
export const tooLarge = (most: number) =>
  new Problem(413, 'Too large', `the request is larger than ${Math.round(most / 1_000_000)} MB`)

/** What a request that was not understood is told: these errors come from reading it. */
function ofReading(error: { type?: string; status?: number; limit?: number }): Problem | undefined {
  if (error.type === 'entity.too.large') return tooLarge(error.limit ?? 0)
  if (error.type === 'entity.parse.failed')
    return new Problem(400, 'Not JSON', 'the request body is not JSON')
  const { status } = error
  if (status === undefined || status < 400 || status > 499) return undefined
  return new Problem(
    status,
    'Bad request',
    'the request cannot be read: its address or its headers are malformed',
  )
}

/** What whoever asked is told of an error; what is not theirs to mend is logged. */
export function problemOf(error: unknown, path: string, log: Logger): Problem {
  if (error instanceof Problem) return error
  const reading = ofReading(error ?? {})
  if (reading) return reading
  if (error instanceof CommitUnknown) {
    log.warn({ err: error.cause, path }, 'outcome of a commit unknown')
    const detail =
      'the connection to the database broke while this was being saved: it is not known whether it was; ' +
      'the same request with the same key finds out'
    return new Problem(503, 'Outcome unknown', detail)
  }
  const kept = error instanceof RolledBack ? '; nothing was changed' : ''
  const cause = (error instanceof RolledBack ? error.cause : error) as { code?: string; errno?: number }
  if (isDiskFull(cause)) {
    log.error({ code: cause.code, path }, 'the disk of the database is full')
    const detail = `the disk of the database is full${kept}; it goes on when there is room again`
    return new Problem(507, 'Disk full', detail)
  }
  if (isUnreachable(cause)) {
    log.warn({ code: cause.code, path }, 'database unreachable')
    const detail = `the database cannot be reached just now${kept}; try again`
    return new Problem(503, 'Database unreachable', detail)
  }
  log.error({ err: cause, path }, 'request failed')
  return new Problem(500, 'Internal error', `something went wrong here${kept}`)
}

export const problemHandler =
  (log: Logger): ErrorRequestHandler =>
  (error, request, response, next) => {
    if (response.headersSent) return next(error)
    sendProblem(response, problemOf(error, request.path, log))
  }
