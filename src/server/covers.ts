/** Pictures of projects' first pages: drawn in a process beside the server's, once a revision, and kept in the database. */
import { Beside } from './beside'
import { findCover, putCover } from './db/covers.sql'
import type { PageFile, Projects } from './projects'

/** A page that takes longer to draw has no cover, ms. */
const PATIENCE = 60_000

export class Covers {
  /** Those that are being drawn, each once, however many ask for it at once. */
  private readonly drawing = new Map<string, Promise<Uint8Array>>()
  private readonly drawer = new Beside<PageFile>(
    new URL('cover-process.ts', import.meta.url),
    'draws covers',
    PATIENCE,
  )

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
    const { drawable, revision: drawn, head: drawnHead } = await this.projects.pageFile(id)
    const png = await this.drawer.ask(drawable)
    await putCover(pool, id, drawn, drawnHead, png)
    return png
  }

  /** The server is going. */
  end() {
    this.drawer.end()
  }
}
