/**
 * `POST /api/projects/:id/edits`: batches are appended. It is most of what is ever asked, and so it stands on `node:http` itself:
 * a request costs Express more than all that the batch costs (`./lattice bench --only commits`).
 */
import type { IncomingMessage, ServerResponse } from 'node:http'
import type { Logger } from 'pino'
import * as v from 'valibot'
import { IdSchema } from '../core/properties/values'
import type { Gate } from './gate'
import { MOST_BATCH } from './limits'
import { problemOf, sendProblem } from './problem'
import type { Projects } from './projects'
import { checked, named, readJson } from './requests'
import { speakerOf } from './same-origin'

const AppendBody = v.strictObject({
  base: v.pipe(v.number(), v.integer(), v.minValue(0)),
  /** The key of the batch that made `base`; '' for the project as it was made. */
  head: v.union([v.literal(''), IdSchema]),
  key: IdSchema,
  /** When it was made by the clock of who made it, ms since 1970. */
  at: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4_102_444_800_000)),
  edits: v.pipe(v.array(v.unknown()), v.minLength(1), v.maxLength(10_000)),
})

const PATH = /^\/api\/projects\/([\w-]+)\/edits(?:\?|$)/

/** The project whose log a request appends to. */
export const appendedBy = ({ method, url = '' }: IncomingMessage): string | undefined =>
  method === 'POST' ? PATH.exec(url)?.[1] : undefined

export function editsRoute(projects: Projects, gate: Gate, log: Logger) {
  const answer = async (id: string, request: IncomingMessage, response: ServerResponse) => {
    gate.host(request)
    gate.page(request, response)
    await gate.room(request, response)
    const project = named(IdSchema, id)
    const batch = checked(AppendBody, await readJson(request, MOST_BATCH))
    return projects.append(project, { ...batch, by: speakerOf(request)! })
  }
  return async (id: string, request: IncomingMessage, response: ServerResponse) => {
    try {
      const body = JSON.stringify(await answer(id, request, response))
      response.writeHead(200, {
        'Content-Type': 'application/json; charset=utf-8',
        'Content-Length': Buffer.byteLength(body),
      })
      response.end(body)
    } catch (error) {
      // Whoever broke off hears nothing more.
      if (!request.complete && request.destroyed) return
      sendProblem(response, problemOf(error, request.url ?? '', log))
    }
  }
}
