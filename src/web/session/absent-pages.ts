/** Pages that are not loaded yet: each is fetched when it is needed, and put in at the very revision it was read at. */
import type { Replica } from '../../core/replica/replica'
import type { Wire } from './wire'

/** How often a page is fetched again because others have changed the project meanwhile. */
const TRIES = 8

export class AbsentPages {
  private readonly coming = new Map<string, Promise<void>>()

  constructor(
    private readonly project: string,
    private readonly replica: Replica,
    private readonly wire: Wire,
    private readonly filled: () => void,
    /** Brings the replica up to the server. @throws ApiError */
    private readonly catchUp: () => Promise<void>,
  ) {}

  /** Whether all that the project is can be seen. */
  get isWhole() {
    return this.replica.doc.absent.size === 0
  }

  /** Resolves when a page is here, or is gone. @throws ApiError */
  need(page: string): Promise<void> {
    if (!this.replica.doc.absent.has(page)) return Promise.resolve()
    let coming = this.coming.get(page)
    if (!coming) {
      coming = this.fetch(page).finally(() => this.coming.delete(page))
      this.coming.set(page, coming)
    }
    return coming
  }

  /** Resolves when all pages are here. @param progress is told 0 … 1 @throws ApiError */
  async whole(progress: (share: number) => void = () => undefined) {
    const count = this.replica.doc.absent.size
    for (let done = 0; this.replica.doc.absent.size > 0; done++) {
      progress(Math.min(1, done / count))
      const [page] = this.replica.doc.absent
      await this.need(page!)
    }
  }

  private async fetch(page: string) {
    const { replica } = this
    for (let tries = 0; replica.doc.absent.has(page); tries++) {
      const got = await this.wire.page(this.project, page)
      // Of what came after it was read nothing would be in it: it is put in at the same revision, or read again.
      if (got && got.revision > replica.revision) await this.catchUp()
      if (!replica.doc.absent.has(page)) return
      if (got && got.revision === replica.revision && got.head === replica.head) {
        replica.fill(page, got.body)
        this.filled()
        return
      }
      if (!got) await this.catchUp()
      if (tries === TRIES) throw new Error('the page changes faster than it can be read')
    }
  }
}
