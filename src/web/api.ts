/** The typed client: the only place that talks HTTP to the server. The frame of everything that comes back is checked. */
import * as v from 'valibot'
import { checkedBefore } from '../core/document/open'
import type { ProjectFile } from '../core/document/schema'
import type { Edit } from '../core/edits/edit'

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

const Batch = v.object({ revision: v.number(), key: v.string(), edits: v.array(v.unknown()) })
const ProjectList = v.array(
  v.object({ id: v.string(), name: v.string(), revision: v.number(), changed: v.string() }),
)
const Created = v.object({ id: v.string() })
const Opened = v.object({ id: v.string(), name: v.string(), revision: v.number(), file: v.unknown() })

export type ListedProject = v.InferOutput<typeof ProjectList>[number]
export type RemoteBatch = { revision: number; key: string; edits: Edit[] }

async function ask<S extends v.GenericSchema>(
  schema: S | undefined,
  path: string,
  method = 'GET',
  body?: unknown,
): Promise<v.InferOutput<S>> {
  let response: Response
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    })
  } catch {
    throw new ApiError(0, 'the server does not answer')
  }
  if (!response.ok) {
    const problem = (await response.json().catch(() => ({}))) as Record<string, unknown>
    throw new ApiError(
      response.status,
      typeof problem.detail === 'string' ? problem.detail : `the server answered ${response.status}`,
      problem,
    )
  }
  if (!schema) return undefined as v.InferOutput<S>
  return v.parse(schema, await response.json())
}

const at = (id: string, rest = '') => `/api/projects/${encodeURIComponent(id)}${rest}`

export const api = {
  list: () => ask(ProjectList, '/api/projects'),
  create: (name: string) => ask(Created, '/api/projects', 'POST', { name }),
  openFile: (file: string) => ask(Created, '/api/projects', 'POST', { file }),
  rename: (id: string, name: string) => ask(v.object({ revision: v.number() }), at(id), 'PATCH', { name }),
  duplicate: (id: string) => ask(Created, at(id, '/duplicate'), 'POST', {}),
  remove: (id: string) => ask(undefined, at(id), 'DELETE'),
  restore: (id: string) => ask(undefined, at(id, '/restore'), 'POST', {}),
  pictureUrl: (id: string, revision: number) => at(id, `/picture.svg?revision=${revision}`),
  handoffUrl: (id: string) => at(id, '/handoff.zip'),
  streamUrl: (id: string, since: number) => at(id, `/stream?since=${since}`),

  async open(id: string): Promise<{ id: string; revision: number; file: ProjectFile }> {
    const opened = await ask(Opened, at(id))
    return { id: opened.id, revision: opened.revision, file: checkedBefore(opened.file) }
  },

  async append(id: string, base: number, key: string, edits: Edit[]): Promise<{ revision: number }> {
    return ask(v.object({ revision: v.number() }), at(id, '/edits'), 'POST', { base, key, edits })
  },
}

export function readBatch(value: unknown): RemoteBatch {
  return v.parse(Batch, value) as RemoteBatch
}
