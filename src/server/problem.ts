/** Errors as problem details (RFC 9457). */
import type { ErrorRequestHandler, Response } from 'express'
import type { Logger } from 'pino'

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

export function sendProblem(response: Response, problem: Problem) {
  const { status, title, detail, more } = problem
  response
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, detail, ...more }))
}

/** Codes with which mysql2 and the server say that the database cannot be reached just now. */
const UNREACHABLE =
  /^(ECONNREFUSED|ECONNRESET|ETIMEDOUT|EPIPE|ENOENT|PROTOCOL_CONNECTION_LOST|ER_SERVER_SHUTDOWN|ER_CON_COUNT_ERROR)$/

export const problemHandler =
  (log: Logger): ErrorRequestHandler =>
  (error, request, response, next) => {
    if (response.headersSent) return next(error)
    if (error instanceof Problem) return sendProblem(response, error)
    if (error?.type === 'entity.too.large') {
      return sendProblem(
        response,
        new Problem(413, 'Too large', `the request is larger than ${Math.round(error.limit / 1_000_000)} MB`),
      )
    }
    if (error?.type === 'entity.parse.failed')
      return sendProblem(response, new Problem(400, 'Not JSON', 'the request body is not JSON'))
    if (UNREACHABLE.test(error?.code ?? '') || /closed state|Pool is closed/.test(error?.message ?? '')) {
      log.warn({ code: error.code, path: request.path }, 'database unreachable')
      return sendProblem(
        response,
        new Problem(
          503,
          'Database unreachable',
          'the database cannot be reached just now; nothing was changed, try again',
        ),
      )
    }
    log.error({ err: error, path: request.path }, 'request failed')
    return sendProblem(
      response,
      new Problem(500, 'Internal error', 'something went wrong here; nothing was changed'),
    )
  }
