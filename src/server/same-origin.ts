/**
 * Who may talk to this server: pages that it served itself, under a name that it knows. Another site in the same browser can
 * send requests here too, and can make its own name point here (DNS rebinding); neither gets past this.
 */

import type { RequestHandler } from 'express'
import * as v from 'valibot'
import { IdSchema } from '../core/properties/values'
import { Problem } from './problem'

/** Names of this machine to itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** The header that a page of another site cannot send without being asked about first: who is speaking, a tab's id. */
export const SPEAKER = 'X-Just-Lattice'

const hostname = (host: string) => host.toLowerCase().replace(/:\d+$/, '')

/** Refuses requests under a name other than loopback's and `names`. */
export function knownHosts(names: readonly string[] = []): RequestHandler {
  const known = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())])
  return (request, _response, next) => {
    const host = request.headers.host ?? ''
    if (!known.has(hostname(host)))
      throw new Problem(
        421,
        'Unknown host',
        'this server does not answer to that name; start it with --allow-host',
      )
    next()
  }
}

/** Refuses what another site's page asks for, and changes that do not come from a page of ours as JSON. */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const { origin, host, 'sec-fetch-site': site } = request.headers
  const own = origin === undefined || origin === `http://${host}` || origin === `https://${host}`
  if (!own || site === 'cross-site' || site === 'same-site')
    throw new Problem(403, 'Another site', 'requests are taken from this server’s own pages only')
  if (request.method !== 'GET' && request.method !== 'HEAD') {
    if (!v.is(IdSchema, request.get(SPEAKER)))
      throw new Problem(
        403,
        'Who is speaking?',
        `a change needs the header ${SPEAKER} with an id of who makes it`,
      )
    const { 'content-length': length = '0', 'transfer-encoding': chunked } = request.headers
    // Neither can be sent by a page of another site without its being asked about first.
    if (
      (length !== '0' || chunked !== undefined) &&
      !request.is(['application/json', 'application/octet-stream'])
    )
      throw new Problem(415, 'Not JSON', 'a change is sent as application/json')
  }
  next()
}
