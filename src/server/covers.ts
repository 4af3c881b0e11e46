/** Pictures of projects' first pages: drawn in a process beside the server's, once a revision, and kept in the database. */
import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import type { CoverAnswer, CoverRequest } from './cover-process'
import { findCover, putCover } from './db/covers.sql'
import type { Projects } from './projects'

/** How long the process waits for more to draw before it ends, ms. */
const IDLE = 30_000
/** What runs TypeScript there as here. */
const LOADER = new URL('../../node_modules/tsx/dist/loader.mjs', import.meta.url).href

type Waiting = { resolve: (png: Uint8Array) => void; reject: (error: Error) => void }

export class Covers {
  /** Those that are being drawn, each once, however many ask for it at once. */
  private readonly drawing = new Map<string, Promise<Uint8Array>>()
  private readonly waiting = new Map<number, Waiting>()
  private drawer: ChildProcess | undefined
  private idle: NodeJS.Timeout | undefined
  private count = 0

  constructor(private readonly projects: Projects) {}

  /** @throws Problem 404 */
  async of(id: string, revision: number, head: string): Promise<Uint8Array> {
    const name = `${id} ${revision} ${head}`
    let png = this.drawing.get(name)
    if (!png) {
      png = this.keptOrDrawn(id, revision, head).finally(() => this.drawing.delete(name))
      this.drawing.set(name, png)
    }
    return png
  }

  private async keptOrDrawn(id: string, revision: number, head: string): Promise<Uint8Array> {
    const { pool } = this.projects
    const kept = await findCover(pool, id, revision, head)
    if (kept) return kept
    const { drawable, revision: drawn, head: drawnHead } = await this.projects.firstPage(id)
    const png = await this.draw(drawable)
    await putCover(pool, id, drawn, drawnHead, png)
    return png
  }

  private draw(what: Omit<CoverRequest, 'id'>): Promise<Uint8Array> {
    this.drawer ??= this.start()
    clearTimeout(this.idle)
    const id = ++this.count
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject })
      this.drawer?.send({ id, ...what } satisfies CoverRequest)
    })
  }

  private start(): ChildProcess {
    const drawer = fork(fileURLToPath(new URL('cover-process.ts', import.meta.url)), {
      execArgv: ['--import', LOADER],
      serialization: 'advanced',
    })
    drawer.on('message', ({ id, png, problem }: CoverAnswer) => {
      const asked = this.waiting.get(id)
      this.waiting.delete(id)
      if (png) asked?.resolve(png)
      else asked?.reject(new Error(problem))
      if (this.waiting.size === 0) this.idle = setTimeout(() => drawer.kill(), IDLE).unref()
    })
    drawer.once('exit', () => {
      if (this.drawer !== drawer) return
      this.drawer = undefined
      for (const { reject } of this.waiting.values()) reject(new Error('the process that draws covers ended'))
      this.waiting.clear()
    })
    return drawer
  }

  /** The server is going. */
  end() {
    clearTimeout(this.idle)
    this.drawer?.kill()
  }
}
