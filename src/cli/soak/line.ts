/** A tab's way to the servers, over which requests and answers get lost; and its ears. */

import { openProject } from '../../core/document/open'
import { type Outline, type PageBody, partsOf } from '../../core/document/outline'
import type { SavedBatch } from '../../core/replica/replica'
import { ApiError, type BlobState, type Heard, type OpenedProject, type Wire } from '../../web/session/wire'

/** What happens to a request: answered; never sent; answered with nobody to hear it; answered late. */
type Fate = 'well' | 'lost' | 'unheard' | 'late'
const LATE = 1500
/** Shares of the fates that are not well. */
const SHARES: readonly [Fate, number][] = [
  ['lost', 0.06],
  ['unheard', 0.06],
  ['late', 0.03],
]

export type Figures = Record<Fate | 'unanswered' | 'batches' | 'picturesSent', number> & { bytesSent: number }
export const noFigures = (): Figures => ({
  well: 0,
  lost: 0,
  unheard: 0,
  late: 0,
  unanswered: 0,
  batches: 0,
  picturesSent: 0,
  bytesSent: 0,
})

type Part = {
  revision: number
  head: string
  outline: Outline
  /** The page that was asked for, and the templates that it stands on. */
  pages: { id: string; body: PageBody }[]
}

const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
const never = <T>() => new Promise<T>(() => undefined)

export class SoakLine {
  /** Killed: nothing of it happens any more. */
  dead = false
  /** Everything arrives. */
  calm = false
  /** Keys that the server has acknowledged to this tab. */
  readonly acknowledged: string[] = []
  private at: number
  private readonly ended = new AbortController()

  constructor(
    private readonly tab: string,
    private readonly servers: readonly string[],
    first: number,
    private readonly random: () => number,
    private readonly figures: Figures,
  ) {
    this.at = first
  }

  kill() {
    this.dead = true
    this.ended.abort()
  }

  private fate(): Fate {
    if (this.calm) return 'well'
    let drawn = this.random()
    for (const [fate, share] of SHARES) {
      drawn -= share
      if (drawn < 0) return fate
    }
    return 'well'
  }

  private async ask<T>(path: string, method = 'GET', body?: unknown): Promise<T> {
    const fate = this.fate()
    this.figures[fate]++
    const gone = () => new ApiError(0, 'the server does not answer')
    if (this.dead) return never()
    if (fate === 'lost') throw gone()
    const response = await this.send(path, method, body)
    if (fate === 'late') await rest(LATE)
    if (this.dead) return never()
    if (!response || fate === 'unheard') throw gone()
    const text = await response.text().catch(() => '')
    let answer: unknown
    try {
      answer = text === '' ? undefined : JSON.parse(text)
    } catch {
      throw gone()
    }
    if (this.dead) return never()
    if (response.ok) return answer as T
    const problem = answer as Record<string, unknown>
    throw new ApiError(response.status, String(problem.detail), problem)
  }

  /** To the server that answered last; when that is gone, the next time to another. */
  private async send(path: string, method: string, body: unknown): Promise<Response | undefined> {
    const bytes = body instanceof Uint8Array
    try {
      return await fetch(`${this.servers[this.at % this.servers.length]}/api${path}`, {
        method,
        headers: {
          'X-Just-Lattice': this.tab,
          ...(body === undefined
            ? {}
            : { 'Content-Type': bytes ? 'application/octet-stream' : 'application/json' }),
        },
        body:
          body === undefined ? undefined : bytes ? (body as Uint8Array<ArrayBuffer>) : JSON.stringify(body),
        signal: AbortSignal.any([this.ended.signal, AbortSignal.timeout(15_000)]),
      })
    } catch {
      this.figures.unanswered++
      this.at++
      return undefined
    }
  }

  wire(): Wire {
    const of = (id: string, more = '') => `/projects/${id}${more}`
    return {
      open: async (id) => {
        const { revision, head, file } = await this.ask<Omit<OpenedProject, 'absent'>>(of(id))
        // As the browser does: nothing is taken unread.
        return {
          revision,
          head,
          file: openProject(JSON.stringify(file)).document.toFile(),
          absent: new Set(),
        }
      },
      openPart: async (id, wanted) => {
        const { revision, head, outline, pages } = await this.part(id, wanted)
        return { revision, head, ...partsOf(outline, new Map(pages.map(({ id, body }) => [id, body]))) }
      },
      page: async (id, wanted) => {
        const { revision, head, pages } = await this.part(id, wanted)
        const [page] = pages
        return page?.id === wanted ? { revision, head, body: page.body } : undefined
      },
      append: async (id, batch) => {
        const done = await this.ask<{ revision: number }>(of(id, '/edits'), 'POST', batch)
        this.acknowledged.push(batch.key)
        this.figures.batches++
        return done
      },
      since: (id, revision, head) => this.ask(of(id, `/edits?since=${revision}&head=${head}`)),
      known: (id, keys) => this.ask(of(id, '/edits/known'), 'POST', { keys }),
      parked: (id) => this.ask(of(id, '/parked')),
      park: (id, parked) => this.ask(of(id, `/parked/${parked.id}`), 'PUT', parked),
      dismiss: (id, parked) => this.ask(of(id, `/parked/${parked}`), 'DELETE'),
      beginBlob: (hash, what) => this.ask<BlobState>(`/blobs/${hash}`, 'POST', what),
      sendPart: async (hash, part, bytes) => {
        const state = await this.ask<BlobState>(`/blobs/${hash}/${part}`, 'PUT', bytes)
        this.figures.bytesSent += bytes instanceof Blob ? bytes.size : bytes.length
        if (state.complete) this.figures.picturesSent++
        return state
      },
      blob: () => never(),
      listen: (id, revision, head, heard) => this.listen(id, revision, head, heard),
    }
  }

  private part(id: string, page: string | undefined): Promise<Part> {
    return this.ask(`/projects/${id}/page${page === undefined ? '' : `?id=${page}`}`)
  }

  private listen(id: string, revision: number, head: string, heard: Heard): () => void {
    const stop = new AbortController()
    const base = this.servers[this.at % this.servers.length]
    const url = `${base}/api/projects/${id}/stream?since=${revision}&head=${head}`
    const signal = AbortSignal.any([stop.signal, this.ended.signal])
    const run = async () => {
      const response = await fetch(url, { signal })
      if (!response.ok || !response.body) throw new Error('no stream')
      let text = ''
      for await (const chunk of response.body.pipeThrough(new TextDecoderStream())) {
        text += chunk
        for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
          this.tell(text.slice(0, end), heard)
          text = text.slice(end + 2)
        }
      }
    }
    void run()
      .catch(() => {
        this.at++
      })
      .finally(() => {
        if (!signal.aborted) heard.lost()
      })
    return () => stop.abort()
  }

  private tell(event: string, heard: Heard) {
    if (this.dead) return
    const [name, data = ''] = event.split('\n')
    if (name === 'event: ready') heard.ready()
    else if (name === 'event: apart') heard.apart()
    else if (name === 'event: edits') heard.edits(JSON.parse(data.slice('data: '.length)) as SavedBatch)
  }
}
