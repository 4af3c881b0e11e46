/**
 * Carries a replica's batches to the server and brings others' from it: sends, hears the stream, catches up, tries again. What
 * does not fit any more it hands to who keeps it.
 */
import type { Parked } from '../../core/replica/parked'
import { Diverged, type PendingBatch, type Replica, type SavedBatch } from '../../core/replica/replica'
import type { Pictures } from './pictures'
import type { Timers } from './timers'
import { ApiError, type Wire } from './wire'

/** Between two tries, ms. */
const FIRST_RETRY = 500
const LAST_RETRY = 8000

const backoff = (attempts: number) => Math.min(LAST_RETRY, FIRST_RETRY * 2 ** Math.min(attempts, 4))

/** Who is told of what the courier did. */
export type Sender = {
  /** The replica has changed: what is pending, and with `document` what is seen. */
  moved(document: boolean, parked: readonly Parked[]): void
  /** A batch arrived; `sending` or not, `trouble` or not. */
  stateChanged(): void
  arrived(): void
  showNotice(notice: string): void
}

export class Courier {
  /** Why batches do not get to the server just now. */
  trouble: string | undefined
  sending = false
  private catching = false
  private attempts = 0
  private streamAttempts = 0
  private stopStream: (() => void) | undefined
  private ended = false

  constructor(
    private readonly project: string,
    private readonly replica: Replica,
    private readonly wire: Wire,
    private readonly timers: Timers,
    private readonly pictures: Pictures,
    private readonly sender: Sender,
  ) {}

  /** Sends what is pending, one batch after the other. */
  async send() {
    const batch = this.replica.pending[0]
    if (this.sending || this.ended || !batch) return
    this.sending = true
    batch.sent = true
    this.sender.stateChanged()
    let again = 0
    const { revision: base, head } = this.replica
    try {
      const edits = batch.changes.map((change) => change.edit)
      // What they name is there before they are.
      await this.pictures.send(edits)
      const sent = { base, head, key: batch.key, at: batch.at, edits }
      const { revision } = await this.wire.append(this.project, sent)
      // Ended meanwhile: who opens the project next finds out what has arrived.
      if (this.ended) return
      this.pictures.arrived(edits)
      this.arrived(batch.key, revision)
    } catch (error) {
      if (this.ended) return
      again = await this.failed(error, batch, base)
    } finally {
      this.sending = false
    }
    this.sender.stateChanged()
    if (this.replica.pending.length > 0) this.timers.after('send', again, () => void this.send())
  }

  /** The server is there: what waits for it need not wait longer. */
  readonly tryNow = () => {
    if (this.trouble !== undefined) this.timers.after('send', 0, () => void this.send())
  }

  private arrived(key: string, revision: number) {
    this.attempts = 0
    this.trouble = undefined
    if (this.replica.acknowledge(key, revision)) this.sender.moved(false, [])
    else void this.catchUp()
    this.sender.arrived()
  }

  /** @returns in how many ms to try again */
  private async failed(error: unknown, batch: PendingBatch, base: number): Promise<number> {
    if (error instanceof Diverged) return this.afterReadingAnew()
    if (!(error instanceof ApiError)) throw error
    const { status, problem } = error
    if (status === 409 && Array.isArray(problem.missed)) {
      this.receive(problem.missed as SavedBatch[])
      return this.replica.revision > base ? 0 : this.later('the server does not say what was missed')
    }
    if (status === 409 && problem.apart) return this.afterReadingAnew()
    if (status === 422 || status === 400 || status === 413) {
      this.refused(batch, error)
      return 0
    }
    if (status === 404)
      return this.later(
        'the project has been deleted; restore it from the projects screen to save',
        LAST_RETRY,
      )
    return this.later(status === 0 ? 'the server does not answer' : error.message)
  }

  private async afterReadingAnew(): Promise<number> {
    if (!(await this.readAnew())) return this.later('the server does not answer')
    // Again and again: it may be one that is not up to date yet.
    return this.attempts++ === 0 ? 0 : backoff(this.attempts)
  }

  private later(trouble: string, ms?: number): number {
    this.attempts++
    this.trouble = trouble
    return ms ?? backoff(this.attempts)
  }

  /** The server will never take the batch as it is: what is wrong in it is set aside, the rest goes again. */
  private refused(batch: PendingBatch, error: ApiError) {
    const named = error.problem.refused as { index: number; reason: string }[] | undefined
    const refused = named?.some(({ index }) => batch.changes[index]) ? named : undefined
    if (!refused && this.replica.split(batch.key)) return this.sender.moved(false, [])
    const reasons = refused ?? [{ index: 0, reason: error.message }]
    this.sender.moved(true, this.replica.refuse(batch.key, reasons))
  }

  private receive(batches: readonly SavedBatch[]) {
    try {
      this.sender.moved(true, this.replica.receive(batches))
    } catch (error) {
      if (!(error instanceof Diverged)) throw error
      void this.readAnew()
    }
  }

  /** Brings the replica up to the server, now. @throws ApiError */
  async bringUp() {
    const { replica, wire, project } = this
    const missed = await wire.since(project, replica.revision, replica.head)
    if (!this.ended) this.receive(missed)
  }

  private async catchUp() {
    if (this.catching) return
    this.catching = true
    try {
      const missed = await this.wire.since(this.project, this.replica.revision, this.replica.head)
      if (!this.ended) this.receive(missed)
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      if (error.problem.apart) await this.readAnew()
      else this.timers.after('catch up', FIRST_RETRY, () => void this.catchUp())
    } finally {
      this.catching = false
    }
  }

  /**
   * The server's log is not the one that this copy was made from: it was set back to an earlier state, or is not up to date
   * yet. What it has is read anew; what it had confirmed and does not have any more is sent again.
   * @returns false when it does not answer
   */
  private async readAnew(): Promise<boolean> {
    const { replica, project, wire } = this
    try {
      const opened = await wire.open(project)
      const known = await wire.known(project, replica.knownKeys())
      if (this.ended) return false
      const has = new Set(known.filter((each) => each.revision <= opened.revision).map((each) => each.key))
      const { revision: before } = replica
      const waiting = replica.pending.length
      const parked = replica.become(opened.file, opened.revision, opened.head, has, opened.absent)
      const again = replica.pending.length - waiting
      if (again > 0) this.sender.showNotice(setBack(opened.revision, before, again))
      this.sender.moved(true, parked)
      this.listen()
      void this.send()
      return true
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      return false
    }
  }

  /** Hears what others do, from where this copy is; begins again whenever the stream ends. */
  listen() {
    this.stopStream?.()
    if (this.ended) return
    const { revision, head } = this.replica
    const again = (ms: number) => this.timers.after('listen', ms, () => this.listen())
    this.stopStream = this.wire.listen(this.project, revision, head, {
      ready: () => {
        this.streamAttempts = 0
        this.tryNow()
      },
      edits: (batch) => {
        this.tryNow()
        this.heard(batch)
      },
      apart: () => void this.readAnew().then((done) => done || again(FIRST_RETRY)),
      lost: () => again(backoff(this.streamAttempts++)),
    })
  }

  private heard(batch: SavedBatch) {
    const { revision, head } = this.replica
    if (batch.revision === revision + 1) this.receive([batch])
    else if (batch.revision > revision) void this.catchUp()
    // The same place in another log.
    else if (batch.revision === revision && batch.key !== head) void this.readAnew()
  }

  end() {
    this.ended = true
    this.stopStream?.()
  }
}

const setBack = (now: number, before: number, again: number) =>
  `the server was at an earlier state (${now}) than this tab (${before}); ${
    again === 1
      ? 'a batch of changes that it had confirmed is'
      : `${again} batches of changes that it had confirmed are`
  } sent again`
