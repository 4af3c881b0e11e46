/**
 * What every request has to pass. It knows nothing of Express: batches of edits, most of all that is asked, are answered in front of it
 * (`edits-route.ts`).
 */
import type { IncomingMessage, ServerResponse } from 'node:http'
import type { Disk } from './disk'
import { bodyBudget, type Limits, rateLimits } from './limits'
import { knownHosts, sameOrigin } from './same-origin'

export type Gate = {
  /** For all that is asked. @throws Problem 421 */
  host: (request: IncomingMessage) => void
  /** For the API: whose page it is. Sets what its answers say to browsers. @throws Problem 403, 415 */
  page: (request: IncomingMessage, response: ServerResponse) => void
  /** For what costs something: how much, and whether there is room for it. @throws Problem 429, 503, 507 */
  room: (request: IncomingMessage, response: ServerResponse) => Promise<void>
}

/** What the API answers is data: it is never a page, whatever a browser makes of it. */
function apiHeaders(response: ServerResponse) {
  response.setHeader('Content-Security-Policy', "default-src 'none'; frame-ancestors 'none'")
  response.setHeader('X-Content-Type-Options', 'nosniff')
  response.setHeader('Cross-Origin-Resource-Policy', 'same-origin')
  response.setHeader('Referrer-Policy', 'no-referrer')
}

export function gateOf(hosts: readonly string[] | undefined, limits: Limits, disk: Disk | undefined): Gate {
  const limited = rateLimits(limits)
  const budget = bodyBudget(limits.bodies)
  return {
    host: knownHosts(hosts),
    page: (request, response) => {
      apiHeaders(response)
      sameOrigin(request)
    },
    room: async (request, response) => {
      disk?.guard(request)
      await limited(request, response)
      budget(request, response)
    },
  }
}
