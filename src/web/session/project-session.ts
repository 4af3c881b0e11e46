/**
 * One open project: its replica, and the replica's way to the browser's store and to the server. What is changed here is
 * kept in this browser at once, sent in batches, and rebased on what others did meanwhile.
 */
import { nanoid } from 'nanoid'
import type { Document } from '../../core/document/document'
import { Document as OpenDocument } from '../../core/document/document'
import { type Edit, EditError } from '../../core/edits/edit'
import { moduleFor } from '../../core/edits/registry'
import type { Parked } from '../../core/replica/parked'
import {
  Diverged,
  type LeftBatch,
  type PendingBatch,
  Replica,
  type SavedBatch,
} from '../../core/replica/replica'
import { Keep } from './keep'
import { keptHistory, rememberHistory, restoreHistory } from './kept-history'
import { ParkedEdits } from './parked-edits'
import type { Ports } from './ports'
import { browserTabs } from './tabs'
import { ApiError, httpWire, type OpenedProject } from './wire'
import { WriteAhead } from './write-ahead'

/** `waiting`: not on the server, but kept in this browser; `unkept`: neither. */
export type SaveState = { kind: 'saved' | 'saving' | 'waiting' | 'unkept'; detail?: string }

/** A gesture's changes are kept and sent when this long nothing followed, or at the latest after `LATEST`; ms. */
const SOON = 150
const LATEST = 1000
/** Between two tries, ms. */
const FIRST_RETRY = 500
const LAST_RETRY = 8000

/** What sessions of a tab that were closed are still writing. */
const leaving = new Map<string, Promise<void>>()

async function browserPorts(): Promise<Ports> {
  return {
    wire: httpWire,
    keep: await Keep.open().catch(() => undefined),
    tabs: await browserTabs(),
    store: sessionStorage,
  }
}

export class ProjectSession {
  /** Rises with every change of the document, the history or the saved state. */
  version = 0
  /** Rises with every change of the document. */
  documentVersion = 0
  notice: string | undefined
  readonly parked: ParkedEdits
  private readonly writeAhead: WriteAhead
  private readonly listeners = new Set<() => void>()
  private readonly ended = new AbortController()
  /** Why batches do not get to the server just now. */
  private trouble: string | undefined
  private stopStream: (() => void) | undefined
  private sending = false
  private catching = false
  private readonly timers = new Map<string, ReturnType<typeof setTimeout>>()
  private attempts = 0
  private streamAttempts = 0
  /** When the changes that are not settled yet began. */
  private since: number | undefined

  private constructor(
    readonly id: string,
    private readonly replica: Replica,
    private readonly ports: Ports,
  ) {
    this.writeAhead = new WriteAhead(id, ports.tabs.id, ports.keep, () => this.changed())
    this.parked = new ParkedEdits(id, ports, () => this.changed())
  }

  /** @throws ApiError when the project cannot be read */
  static async open(id: string, given?: Ports): Promise<ProjectSession> {
    const ports = given ?? (await browserPorts())
    // The same tab's session of before may still be writing what it leaves.
    await leaving.get(ports.tabs.id)
    const logs = (await ports.keep?.logs(id).catch(() => undefined)) ?? new Map<string, LeftBatch[]>()
    const opened = await ports.wire.open(id)
    const who = { by: ports.tabs.id, now: Date.now, makeId: () => nanoid(16) }
    const doc = OpenDocument.fromFile(opened.file)
    const session = new ProjectSession(id, new Replica(doc, opened.revision, opened.head, who), ports)
    await session.recover(logs.get(ports.tabs.id) ?? [], opened)
    await session.parked.recover()
    session.listen()
    session.watch([...logs.keys()])
    globalThis.addEventListener?.('pagehide', session.settle)
    void session.send()
    return session
  }

  get doc(): Document {
    return this.replica.doc
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private changed(document = false) {
    this.version++
    if (document) this.documentVersion++
    for (const listener of this.listeners) listener()
  }

  get saveState(): SaveState {
    const { pending } = this.replica
    const fault = this.writeAhead.fault
    if (pending.length === 0) return { kind: 'saved' }
    if (this.trouble === undefined && fault === undefined) return { kind: 'saving' }
    if (fault !== undefined && (this.trouble !== undefined || !this.sending))
      return { kind: 'unkept', detail: `${fault}${this.trouble ? `, and ${this.trouble}` : ''}` }
    if (this.trouble === undefined || !this.writeAhead.holds(pending)) return { kind: 'saving' }
    return { kind: 'waiting', detail: this.trouble }
  }

  // ——— what is done here ———

  /**
   * Applies edits, keeps them and sends them on. Commits with the same `gesture` are one step of the history.
   * @returns whether they were applied; a refusal is shown as a notice
   */
  commit(edits: Edit[], label: string, gesture?: string): boolean {
    if (edits.length === 0) return true
    try {
      this.replica.commit(edits, label, gesture)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      this.say(error.message)
      return false
    }
    this.done(gesture !== undefined)
    return true
  }

  get canUndo() {
    return this.replica.history.undos.at(-1)?.label
  }
  get canRedo() {
    return this.replica.history.redos.at(-1)?.label
  }

  /** Names of what can be undone and done again, oldest first; `done` of them stand. */
  get history(): { labels: string[]; done: number } {
    const { undos, redos } = this.replica.history
    const again = redos.map((step) => step.label).reverse()
    return { labels: [...undos.map((step) => step.label), ...again], done: undos.length }
  }

  /** Undoes or does again until `done` steps stand. */
  goTo(done: number) {
    const { undos, redos } = this.replica.history
    while (undos.length > done) this.undo()
    while (undos.length < done && redos.length > 0) this.redo()
  }

  /** Whether the last step is that of a gesture. */
  endsWith(gesture: string | undefined): boolean {
    return gesture !== undefined && this.replica.history.undos.at(-1)?.gesture === gesture
  }

  undo() {
    this.takeBack('undone', this.canUndo, () => this.replica.undo())
  }
  redo() {
    this.takeBack('done again', this.canRedo, () => this.replica.redo())
  }

  private takeBack(word: string, label: string | undefined, way: () => string | undefined) {
    if (label === undefined) return
    const problem = way()
    if (problem) this.notice = `“${label}” cannot be ${word} in full: ${problem}`
    this.done(false)
  }

  say(notice: string | undefined) {
    this.notice = notice
    this.changed()
  }

  /** Something was changed here. */
  private done(more: boolean) {
    this.since ??= Date.now()
    this.after(
      'settle',
      more ? Math.max(0, Math.min(SOON, this.since + LATEST - Date.now())) : 0,
      this.settle,
    )
    this.changed(true)
  }

  /** Keeps what was changed where a closed tab or a killed browser leaves it, and sends it. */
  private readonly settle = () => {
    if (this.since === undefined) return
    this.since = undefined
    clearTimeout(this.timers.get('settle'))
    this.keep()
    void this.send()
  }

  private keep(park: readonly Parked[] = [], from?: string) {
    const { pending, history, revision, head } = this.replica
    rememberHistory(this.ports.store, this.id, history, revision, head)
    return this.writeAhead.write(pending, park, from)
  }

  private after(what: string, ms: number, then: () => void) {
    clearTimeout(this.timers.get(what))
    if (!this.ended.signal.aborted) this.timers.set(what, setTimeout(then, ms))
  }

  // ——— what was left ———

  /** Edits of this tab from before it was reloaded or closed; what the server has of them is not done again. */
  private async recover(left: LeftBatch[], opened: OpenedProject) {
    this.writeAhead.found(left.map((batch) => batch.key))
    const before = leftByOldVersion(this.id)
    const parked = this.replica.adopt(await this.notKnown([...left, ...before.batches], opened.revision))
    await this.recoverHistory(left)
    if (left.length + before.batches.length > 0) {
      this.changed(true)
      await this.keep(parked)
      before.forget()
    }
    this.park(parked)
  }

  /** Batches of those left that are not in the project as of `revision`. */
  private async notKnown(left: LeftBatch[], revision: number): Promise<LeftBatch[]> {
    if (left.length === 0) return []
    const known = await this.ports.wire.known(
      this.id,
      left.map((batch) => batch.key),
    )
    const saved = new Set(known.filter((each) => each.revision <= revision).map((each) => each.key))
    return left.filter((batch) => !saved.has(batch.key))
  }

  private async recoverHistory(left: LeftBatch[]) {
    const kept = keptHistory(this.ports.store, this.id)
    if (!kept) return
    const { pending, history, revision } = this.replica
    const waiting = pending.flatMap((batch) => batch.changes)
    // What was not heard of since: the step must not take it back.
    let missed: SavedBatch[]
    try {
      missed =
        kept.revision === revision ? [] : await this.ports.wire.since(this.id, kept.revision, kept.head)
    } catch {
      return
    }
    const ids = new Set(left.flatMap((batch) => batch.changes.map((change) => change.id)))
    const saved = new Set(missed.map((batch) => batch.key))
    for (const batch of left)
      if (saved.has(batch.key)) for (const change of batch.changes) ids.delete(change.id)
    restoreHistory(history, kept, waiting, ids)
    const own = new Set(left.map((batch) => batch.key))
    const isWaiting = new Set(waiting)
    for (const batch of missed) {
      if (own.has(batch.key) || batch.by === this.ports.tabs.id) continue
      for (const edit of batch.edits) history.spare(edit, this.doc, (change) => !isWaiting.has(change))
    }
  }

  /** Takes over the logs of tabs that go without having sent everything. */
  private watch(tabs: string[]) {
    const { signal } = this.ended
    const seen = new Set([this.ports.tabs.id])
    const see = (tab: string) => {
      if (seen.has(tab)) return
      seen.add(tab)
      this.ports.tabs.whenGone(
        tab,
        async () => {
          seen.delete(tab)
          await this.takeOver(tab)
        },
        signal,
      )
    }
    for (const tab of tabs) see(tab)
    this.ports.tabs.announce(this.id, (tab) => see(tab), signal)
  }

  private async takeOver(tab: string) {
    while (!this.ended.signal.aborted) {
      try {
        const left = (await this.ports.keep?.logs(this.id))?.get(tab) ?? []
        if (left.length === 0) return
        const fresh = await this.notKnown(left, this.replica.revision)
        if (this.ended.signal.aborted) return
        const parked = this.replica.adopt(fresh)
        this.changed(true)
        await this.keep(parked, tab)
        this.park(parked)
        this.settleNow()
        return
      } catch (error) {
        if (!(error instanceof ApiError)) throw error
        // Not before the server says what it has of them.
        await new Promise((resolve) => this.after(`take over ${tab}`, LAST_RETRY, () => resolve(undefined)))
      }
    }
  }

  private settleNow() {
    this.since ??= Date.now()
    this.settle()
  }

  private park(parked: readonly Parked[]) {
    if (parked.length === 0) return
    this.parked.add(parked)
    const [first] = parked
    const more = parked.length > 1 ? `, and ${parked.length - 1} more` : ''
    this.notice = `a change of yours does not fit any more (${first.reason})${more}; it is kept under “Set aside”`
    this.changed(true)
  }

  // ——— the way to the server ———

  private async send() {
    const batch = this.replica.pending[0]
    if (this.sending || this.ended.signal.aborted || !batch) return
    this.sending = true
    batch.sent = true
    this.changed()
    let again: number | undefined
    try {
      const { revision: base, head } = this.replica
      const edits = batch.changes.map((change) => change.edit)
      const { revision } = await this.ports.wire.append(this.id, {
        base,
        head,
        key: batch.key,
        at: batch.at,
        edits,
      })
      // Closed meanwhile: who opens the project next finds out what has arrived.
      if (this.ended.signal.aborted) return
      this.arrived(batch.key, revision)
      again = 0
    } catch (error) {
      again = await this.failed(error, batch)
    } finally {
      this.sending = false
    }
    if (this.ended.signal.aborted) return
    this.changed()
    if (this.replica.pending.length > 0) this.after('send', again, () => void this.send())
  }

  private arrived(key: string, revision: number) {
    this.attempts = 0
    this.trouble = undefined
    if (!this.replica.acknowledge(key, revision)) void this.catchUp()
    else if (this.replica.revision >= revision) this.keep()
    this.parked.upload()
  }

  /** @returns in how many ms to try again */
  private async failed(error: unknown, batch: PendingBatch): Promise<number> {
    if (!(error instanceof ApiError)) throw error
    if (this.ended.signal.aborted) return 0
    const { status, problem } = error
    if (status === 409 && Array.isArray(problem.missed)) {
      this.receive(problem.missed as SavedBatch[])
      return 0
    }
    if (status === 409 && problem.apart)
      return (await this.readAnew()) ? 0 : this.later('the server does not answer')
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

  private later(trouble: string, ms?: number): number {
    this.attempts++
    this.trouble = trouble
    return ms ?? Math.min(LAST_RETRY, FIRST_RETRY * 2 ** Math.min(this.attempts, 4))
  }

  /** The server will never take the batch as it is: what is wrong in it is set aside, the rest goes again. */
  private refused(batch: PendingBatch, error: ApiError) {
    const refused = error.problem.refused as { index: number; reason: string }[] | undefined
    if (!refused && this.replica.split(batch.key)) return void this.keep()
    const reasons = refused ?? [{ index: 0, reason: error.message }]
    const parked = this.replica.refuse(batch.key, reasons)
    void this.keep(parked)
    this.park(parked)
    this.changed(true)
  }

  // ——— what others do ———

  private receive(batches: readonly SavedBatch[]) {
    try {
      const parked = this.replica.receive(batches)
      void this.keep(parked)
      this.park(parked)
      this.changed(true)
    } catch (error) {
      if (!(error instanceof Diverged)) throw error
      void this.readAnew()
    }
  }

  private async catchUp() {
    if (this.catching) return
    this.catching = true
    try {
      const missed = await this.ports.wire.since(this.id, this.replica.revision, this.replica.head)
      if (!this.ended.signal.aborted) this.receive(missed)
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      if (error.problem.apart) await this.readAnew()
      else this.after('catch up', FIRST_RETRY, () => void this.catchUp())
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
    try {
      const opened = await this.ports.wire.open(this.id)
      const known = await this.ports.wire.known(this.id, this.replica.knownKeys())
      if (this.ended.signal.aborted) return false
      const has = new Set(known.filter((each) => each.revision <= opened.revision).map((each) => each.key))
      const before = this.replica.revision
      const waiting = this.replica.pending.length
      const parked = this.replica.become(opened.file, opened.revision, opened.head, has)
      const again = this.replica.pending.length - waiting
      if (again > 0)
        this.notice = `the server was at an earlier state (${opened.revision}) than this tab (${before}); ${again === 1 ? 'a batch of changes that it had confirmed is' : `${again} batches of changes that it had confirmed are`} sent again`
      void this.keep(parked)
      this.park(parked)
      this.changed(true)
      this.listen()
      this.settleNow()
      return true
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      return false
    }
  }

  private listen() {
    this.stopStream?.()
    if (this.ended.signal.aborted) return
    const { revision, head } = this.replica
    const again = (ms: number) => this.after('listen', ms, () => this.listen())
    this.stopStream = this.ports.wire.listen(this.id, revision, head, {
      ready: () => {
        this.streamAttempts = 0
        // The server is there: what waits need not wait longer.
        if (this.trouble !== undefined) this.after('send', 0, () => void this.send())
      },
      edits: (batch) => {
        if (batch.revision === this.replica.revision + 1) this.receive([batch])
        else if (batch.revision > this.replica.revision) void this.catchUp()
        else if (batch.revision === this.replica.revision && batch.key !== this.replica.head)
          void this.readAnew()
      },
      apart: () => void this.readAnew().then((done) => done || again(FIRST_RETRY)),
      lost: () => again(Math.min(LAST_RETRY, FIRST_RETRY * 2 ** Math.min(this.streamAttempts++, 4))),
    })
  }

  /** In words what a batch does, for who lists it. */
  wordsOf(edits: readonly Edit[]): string[] {
    return edits.map((edit) => moduleFor(edit).words(edit, this.doc))
  }

  close() {
    this.settle()
    leaving.set(this.ports.tabs.id, this.writeAhead.idle)
    globalThis.removeEventListener?.('pagehide', this.settle)
    this.ended.abort()
    for (const timer of this.timers.values()) clearTimeout(timer)
    this.stopStream?.()
  }
}

/** Edits that the version before kept in the page's own store, one list for all tabs. */
function leftByOldVersion(project: string): { batches: LeftBatch[]; forget: () => void } {
  const key = `just-lattice:unsaved:${project}`
  try {
    const stored = JSON.parse(localStorage.getItem(key) ?? '[]') as { key: string; edits: Edit[] }[]
    const batches = stored.map(({ key, edits }) => ({
      key,
      at: Date.now(),
      changes: edits
        .filter((edit) => edit.op !== 'views' || 'change' in edit)
        .map((edit) => ({ id: nanoid(16), edit })),
    }))
    return { batches, forget: () => localStorage.removeItem(key) }
  } catch {
    return { batches: [], forget: () => undefined }
  }
}
