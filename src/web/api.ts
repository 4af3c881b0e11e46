/** The typed client: the only place that talks HTTP to the server. The frame of everything that comes back is checked. */
import { nanoid } from 'nanoid'
import * as v from 'valibot'
import type { Edit } from '../core/edits/edit'
import type { Parked } from '../core/replica/parked'
import { ParkedSchema } from '../core/replica/parked-schema'
import type { SavedBatch } from '../core/replica/replica'
import { speaker } from './session/tabs'

export class ApiError extends Error {
  override name = 'ApiError'
  constructor(
    /** HTTP status; 0: the server did not answer. */
    readonly status: number,
    message: string,
    readonly problem: Record<string, unknown> = {},
  ) {
    super(message)
  }
}

const Batch = v.object({
  revision: v.number(),
  key: v.string(),
  after: v.string(),
  by: v.string(),
  at: v.string(),
  edits: v.array(v.unknown()),
})
const ProjectList = v.array(
  v.object({ id: v.string(), name: v.string(), revision: v.number(), changed: v.string() }),
)
const Trash = v.array(
  v.object({
    id: v.string(),
    name: v.string(),
    revision: v.number(),
    changed: v.string(),
    deleted: v.string(),
  }),
)
const Created = v.object({ id: v.string() })
const Opened = v.object({
  id: v.string(),
  name: v.string(),
  revision: v.number(),
  head: v.string(),
  file: v.unknown(),
})
const OpenedPage = v.object({
  revision: v.number(),
  head: v.string(),
  outline: v.looseObject({ pages: v.array(v.unknown()) }),
  pages: v.array(v.object({ id: v.string(), body: v.looseObject({ sections: v.array(v.unknown()) }) })),
})
const Known = v.array(v.object({ key: v.string(), revision: v.number() }))
const BlobAnswer = v.object({ complete: v.boolean(), parts: v.array(v.number()) })
const ParkedList = v.array(ParkedSchema)

export type ListedProject = v.InferOutput<typeof ProjectList>[number]

/** Says who speaks; a page of another site cannot send it. */
const SPEAKER = 'X-Just-Lattice'

/** @param body bytes go as they are, everything else as JSON @throws ApiError */
async function request(
  path: string,
  method = 'GET',
  body?: unknown,
  signal?: AbortSignal,
): Promise<Response> {
  const bytes = body instanceof Uint8Array || body instanceof Blob
  let response: Response
  try {
    response = await fetch(path, {
      method,
      signal,
      headers: {
        [SPEAKER]: speaker(),
        ...(body === undefined
          ? {}
          : { 'Content-Type': bytes ? 'application/octet-stream' : 'application/json' }),
      },
      body: body === undefined ? undefined : bytes ? (body as BodyInit) : JSON.stringify(body),
    })
  } catch {
    signal?.throwIfAborted()
    throw new ApiError(0, 'the server does not answer')
  }
  if (response.ok) return response
  const problem = (await response.json().catch(() => ({}))) as Record<string, unknown>
  throw new ApiError(
    response.status,
    typeof problem.detail === 'string' ? problem.detail : `the server answered ${response.status}`,
    problem,
  )
}

async function ask<S extends v.GenericSchema>(
  schema: S | undefined,
  path: string,
  method = 'GET',
  body?: unknown,
): Promise<v.InferOutput<S>> {
  const response = await request(path, method, body)
  if (!schema) return undefined as v.InferOutput<S>
  const answer = v.safeParse(schema, await response.json().catch(() => undefined))
  if (!answer.success) throw new ApiError(response.status, 'the server’s answer cannot be read')
  return answer.output
}

/** Makes a project once: when no answer is heard, or it is not known whether it was made, asks again with the same key. */
async function make(what: { name: string } | { file: string }): Promise<{ id: string }> {
  const body = { ...what, key: nanoid(16) }
  const once = () => ask(Created, '/api/projects', 'POST', body)
  try {
    return await once()
  } catch (error) {
    if (!(error instanceof ApiError) || (error.status !== 0 && error.status !== 503)) throw error
    return once()
  }
}

const at = (id: string, rest = '') => `/api/projects/${encodeURIComponent(id)}${rest}`

export const api = {
  list: () => ask(ProjectList, '/api/projects'),
  trash: () => ask(Trash, '/api/trash'),
  create: (name: string) => make({ name }),
  openFile: (file: string) => make({ file }),
  rename: (id: string, name: string) => ask(v.object({ revision: v.number() }), at(id), 'PATCH', { name }),
  duplicate: (id: string) => ask(Created, at(id, '/duplicate'), 'POST', {}),
  remove: (id: string) => ask(undefined, at(id), 'DELETE'),
  restore: (id: string) => ask(undefined, at(id, '/restore'), 'POST', {}),
  pictureUrl: (id: string, revision: number) => at(id, `/picture.png?revision=${revision}`),
  pdf: async (id: string, page: string, view: string, theme: string | undefined, signal: AbortSignal) => {
    const path = at(
      id,
      `/pages/${encodeURIComponent(page)}/${encodeURIComponent(view)}.pdf${theme ? `?theme=${encodeURIComponent(theme)}` : ''}`,
    )
    return new Uint8Array(await (await request(path, 'GET', undefined, signal)).arrayBuffer())
  },
  handoff: async (id: string, signal: AbortSignal) =>
    new Uint8Array(await (await request(at(id, '/handoff.zip'), 'GET', undefined, signal)).arrayBuffer()),
  streamUrl: (id: string, since: number, head: string) =>
    at(id, `/stream?since=${since}&head=${encodeURIComponent(head)}`),

  /** `file` is for who opens it to check: the schema of a project is not loaded before. */
  open: (id: string) => ask(Opened, at(id)),
  /** The outline, one page, and the templates; without `page` the first. */
  openPage: (id: string, page?: string) =>
    ask(OpenedPage, at(id, `/page${page === undefined ? '' : `?id=${encodeURIComponent(page)}`}`)),

  append: (
    id: string,
    batch: { base: number; head: string; key: string; at: number; edits: Edit[] },
  ): Promise<{ revision: number }> =>
    ask(v.object({ revision: v.number() }), at(id, '/edits'), 'POST', batch),

  since: async (id: string, revision: number, head: string): Promise<SavedBatch[]> =>
    (await ask(
      v.array(Batch),
      at(id, `/edits?since=${revision}&head=${encodeURIComponent(head)}`),
    )) as SavedBatch[],

  known: (id: string, keys: string[]) => ask(Known, at(id, '/edits/known'), 'POST', { keys }),

  parked: async (id: string) => (await ask(ParkedList, at(id, '/parked'))) as unknown as Parked[],
  park: (id: string, parked: Parked) =>
    ask(
      v.object({ dismissed: v.boolean() }),
      at(id, `/parked/${encodeURIComponent(parked.id)}`),
      'PUT',
      parked,
    ),
  dismiss: (id: string, parked: string) =>
    ask(undefined, at(id, `/parked/${encodeURIComponent(parked)}`), 'DELETE'),

  beginBlob: (hash: string, what: { type: string; size: number }) =>
    ask(BlobAnswer, `/api/blobs/${hash}`, 'POST', what),
  sendPart: (hash: string, part: number, bytes: Uint8Array | Blob) =>
    ask(BlobAnswer, `/api/blobs/${hash}/${part}`, 'PUT', bytes),
  async blob(hash: string): Promise<Uint8Array> {
    const response = await request(`/api/blobs/${hash}`)
    return new Uint8Array(await response.arrayBuffer())
  },
}

export function readBatch(value: unknown): SavedBatch {
  return v.parse(Batch, value) as SavedBatch
}
