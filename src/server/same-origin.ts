/**
 * Who may talk to this server: pages that it served itself, under a name that it knows. Another site in the same browser can
 * send requests here too, and can make its own name point here (DNS rebinding); neither gets past this.
 */

import type { IncomingMessage } from 'node:http'
import * as v from 'valibot'
import { IdSchema } from '../core/properties/values'
import { Problem } from './problem'

/** Names of this machine to itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** The header that a page of another site cannot send without being asked about first: who is speaking, a tab's id. */
export const SPEAKER = 'X-Just-Lattice'

const hostname = (host: string) => host.toLowerCase().replace(/:\d+$/, '')

/** @returns the id in that header, if there is one */
export function speakerOf(request: IncomingMessage): string | undefined {
  const said = request.headers[SPEAKER.toLowerCase()]
  return v.is(IdSchema, said) ? said : undefined
}

/** Refuses requests under a name other than loopback's and `names`. */
export function knownHosts(names: readonly string[] = []) {
  const known = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())])
  return (request: IncomingMessage) => {
    const host = request.headers.host ?? ''
    if (!known.has(hostname(host)))
      throw new Problem(
        421,
        'Unknown host',
        'this server does not answer to that name; start it with --allow-host',
      )
  }
}

/** Neither can be sent by a page of another site without its being asked about first. */
const CHANGES = new Set(['application/json', 'application/octet-stream'])

/** Refuses what another site's page asks for, and changes that do not come from a page of ours as JSON. */
export function sameOrigin(request: IncomingMessage) {
  const { origin, host, 'sec-fetch-site': site } = request.headers
  const own = origin === undefined || origin === `http://${host}` || origin === `https://${host}`
  if (!own || site === 'cross-site' || site === 'same-site')
    throw new Problem(403, 'Another site', 'requests are taken from this server’s own pages only')
  if (request.method === 'GET' || request.method === 'HEAD') return
  if (speakerOf(request) === undefined)
    throw new Problem(
      403,
      'Who is speaking?',
      `a change needs the header ${SPEAKER} with an id of who makes it`,
    )
  const {
    'content-length': length = '0',
    'transfer-encoding': chunked,
    'content-type': type = '',
  } = request.headers
  const hasBody = length !== '0' || chunked !== undefined
  if (hasBody && !CHANGES.has(type.split(';')[0]!.trim().toLowerCase()))
    throw new Problem(415, 'Not JSON', 'a change is sent as application/json')
}
