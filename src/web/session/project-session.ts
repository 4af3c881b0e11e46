/**
 * One open project: its replica, and the replica's way to the browser's store and to the server. What is changed here is
 * kept in this browser at once, sent in batches, and rebased on what others did meanwhile.
 */
import { nanoid } from 'nanoid'
import { Document } from '../../core/document/document'
import { type Edit, EditError } from '../../core/edits/edit'
import { needsAbsent } from '../../core/edits/partly'
import type { Step } from '../../core/replica/history'
import { type Parked, parkEdits } from '../../core/replica/parked'
import { type LeftBatch, Replica, type TakenBack } from '../../core/replica/replica'
import { AbsentPages } from './absent-pages'
import { Confirmed } from './confirmed'
import { Courier, type Sender } from './courier'
import { Keep } from './keep'
import { keptHistory, rememberHistory } from './kept-history'
import { leftByOldVersion, notKnown, recoverHistory, watchTabs } from './left-behind'
import { ParkedEdits } from './parked-edits'
import { Pictures } from './pictures'
import type { Ports } from './ports'
import { browserTabs } from './tabs'
import { Timers } from './timers'
import { httpWire } from './wire'
import { WriteAhead } from './write-ahead'

/** `waiting`: not on the server, but kept in this browser; `unkept`: neither. */
export type SaveState = {
  kind: 'saved' | 'saving' | 'waiting' | 'unkept'
  detail?: string
  /** Of a picture that is being sent, 0 … 1. */
  progress?: number
}

/** A gesture's changes are kept and sent when this long nothing followed, or at the latest after `LATEST`; ms. */
const SOON = 150
const LATEST = 1000
/** When it is looked for what others have set aside, after theirs has come, ms. */
const ASIDE = 1500
/** The history is kept when it has rested this long, ms. */
const REMEMBER = 400

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

export class ProjectSession implements Sender {
  /** Rises with every change of the document, the history or the saved state. */
  version = 0
  /** Rises with every change of the document. */
  documentVersion = 0
  notice: string | undefined
  readonly parked: ParkedEdits
  readonly pictures: Pictures
  readonly pages: AbsentPages
  private readonly confirmed: Confirmed
  private readonly courier: Courier
  private readonly writeAhead: WriteAhead
  private readonly listeners = new Set<() => void>()
  private readonly ended = new AbortController()
  private readonly timers = new Timers()
  /** When the changes that are not settled yet began. */
  private since: number | undefined

  private constructor(
    readonly id: string,
    private readonly replica: Replica,
    private readonly ports: Ports,
  ) {
    const changed = () => this.changed()
    this.writeAhead = new WriteAhead(id, ports.tabs.id, ports.keep, changed)
    this.parked = new ParkedEdits(id, ports, changed, (found) => {
      if (found.some(({ by }) => by === ports.tabs.id)) this.tellAside(found)
      this.changed()
    })
    this.pictures = new Pictures(ports.wire, ports.keep, changed)
    this.confirmed = new Confirmed(id, replica, ports, this.timers)
    this.courier = new Courier(id, replica, ports.wire, this.timers, this.pictures, this)
    this.pages = new AbsentPages(
      id,
      replica,
      ports.wire,
      () => this.changed(true),
      () => this.courier.bringUp(),
    )
  }

  /** @throws ApiError when the project cannot be read */
  static async open(id: string, page?: string, given?: Ports): Promise<ProjectSession> {
    const ports = given ?? (await browserPorts())
    // The same tab's session of before may still be writing what it leaves.
    await leaving.get(ports.tabs.id)
    const logs = (await ports.keep?.logs(id).catch(() => undefined)) ?? new Map<string, LeftBatch[]>()
    // What was left may be about any page; so may steps that can be undone.
    const kept = keptHistory(ports.store, id)
    const isFresh = logs.size === 0 && !kept?.undos.length && !kept?.redos.length
    const opened = isFresh ? await ports.wire.openPart(id, page) : await ports.wire.open(id)
    const { file, absent, revision, head } = opened
    const who = { by: ports.tabs.id, now: Date.now, makeId: () => nanoid(16) }
    const replica = new Replica(Document.fromParts(file, absent), revision, head, who)
    const session = new ProjectSession(id, replica, ports)
    await session.pictures.recover()
    await session.recover(logs.get(ports.tabs.id) ?? [])
    await session.parked.recover()
    session.courier.listen()
    const { timers, ended } = session
    watchTabs(id, ports, logs.keys(), { replica, timers, signal: ended.signal }, (batches, tab) =>
      session.adopt(batches, tab),
    )
    globalThis.addEventListener?.('pagehide', session.leave)
    globalThis.addEventListener?.('beforeunload', session.askToStay)
    globalThis.addEventListener?.('online', session.courier.tryNow)
    void session.courier.send()
    void session.confirmed.look(session.tellSetBack)
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
    const { fault } = this.writeAhead
    const { trouble } = this.courier
    if (pending.length === 0) return { kind: 'saved' }
    if (trouble === undefined) return { kind: 'saving', progress: this.pictures.progress }
    if (fault !== undefined) return { kind: 'unkept', detail: `${fault}, and ${trouble}` }
    if (!this.pictures.keeps(pending))
      return { kind: 'unkept', detail: `this browser has no room for a picture of yours, and ${trouble}` }
    if (!this.writeAhead.holds(pending)) return { kind: 'saving' }
    return { kind: 'waiting', detail: trouble }
  }

  // ——— what is done here ———

  /**
   * Applies edits, keeps them and sends them on. Commits with the same `gesture` are one step of the history.
   * @returns whether they were applied; a refusal is shown as a notice
   */
  commit(edits: Edit[], label: string, gesture?: string): boolean {
    if (edits.length === 0) return true
    if (edits.some((edit) => needsAbsent(edit, this.doc))) {
      this.showNotice('the other pages are not here yet, and this may be about them; try again in a moment')
      void this.pages.whole().catch((error: Error) => this.showNotice(error.message))
      return false
    }
    try {
      this.replica.commit(edits, label, gesture)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      this.showNotice(error.message)
      return false
    }
    this.done(gesture !== undefined)
    return true
  }

  /**
   * Does again what was set aside, as far as it fits: one step of the history. What does not is set aside by itself.
   * @returns whether any of it fits
   */
  tryAgain({ edits, by, at }: Parked): boolean {
    const gesture = nanoid(16)
    const label = edits.length > 1 ? 'Try changes again' : 'Try a change again'
    let reason = ''
    const left = edits.filter((edit) => {
      if (this.commit([edit], label, gesture)) return false
      reason ||= this.notice ?? ''
      return true
    })
    if (left.length === edits.length) {
      this.showNotice(`it does not fit any more (${reason}); it is still set aside`)
      return false
    }
    this.showNotice(undefined)
    if (left.length > 0) {
      const rest = parkEdits(left, `it does not fit any more: ${reason}`, this.doc, { by, at })
      void this.keep([rest])
      this.parked.add([rest])
      this.showNotice(
        `${left.length} of ${edits.length} changes do not fit any more (${reason}); they are still set aside`,
      )
    }
    return true
  }

  get canUndo() {
    return this.replica.history.undos.at(-1)?.label
  }
  get canRedo() {
    return this.replica.history.redos.at(-1)?.label
  }

  /** What can be undone and done again, oldest first; `done` of them stand. */
  get history(): { steps: readonly Step[]; done: number } {
    const { undos, redos } = this.replica.history
    return { steps: [...undos, ...[...redos].reverse()], done: undos.length }
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

  /** Takes back a gesture that was given up: as if it had never been. */
  giveUp() {
    this.undo()
    this.replica.history.redos.pop()
    this.changed()
  }

  private takeBack(word: string, label: string | undefined, way: () => TakenBack) {
    if (label === undefined) return
    const { problem, parked } = way()
    if (parked.length > 0) {
      this.parked.add(parked)
      void this.keep(parked)
    }
    const kept = parked.length > 0 ? '; it is kept under “Set aside”' : ''
    if (problem) this.notice = `“${label}” cannot be ${word} in full: ${problem}${kept}`
    this.done(false)
  }

  showNotice(notice: string | undefined) {
    this.notice = notice
    this.changed()
  }

  /** Something was changed here; `more` may follow at once. */
  private done(more: boolean) {
    this.since ??= Date.now()
    const wait = more ? Math.max(0, Math.min(SOON, this.since + LATEST - Date.now())) : 0
    this.timers.after('settle', wait, this.settle)
    this.changed(true)
  }

  /** Keeps what was changed where a closed tab or a killed browser leaves it, and sends it. */
  private readonly settle = () => {
    if (this.since === undefined) return
    this.since = undefined
    this.timers.cancel('settle')
    void this.keep()
    void this.courier.send()
  }

  private keep(park: readonly Parked[] = [], from?: string) {
    this.timers.after('history', REMEMBER, this.remember)
    return this.writeAhead.write(this.replica.pending, park, from)
  }

  /** The history, for a reload; it may be long, so not with every edit. */
  private readonly remember = () => {
    const { history, revision, head } = this.replica
    rememberHistory(this.ports.store, this.id, history, revision, head)
  }

  private readonly leave = () => {
    this.settle()
    this.remember()
  }

  /** What is neither saved nor kept would be lost with the tab. */
  private readonly askToStay = (event: Event) => {
    if (this.saveState.kind === 'unkept') event.preventDefault()
  }

  // ——— what was left ———

  /** Edits of this tab from before it was reloaded or closed; what the server has of them is not done again. */
  private async recover(left: LeftBatch[]) {
    const { replica, ports, id } = this
    this.writeAhead.found(left.map((batch) => batch.key))
    const before = await leftByOldVersion(id, ports.keep)
    const fresh = await notKnown(ports.wire, id, [...left, ...before.batches], replica.revision)
    const parked = replica.adopt(fresh)
    await recoverHistory(id, ports, replica, left)
    if (left.length + before.batches.length > 0) {
      await this.keep(parked)
      before.forget()
    }
    this.park(parked)
  }

  private async adopt(batches: LeftBatch[], tab: string) {
    await this.pages.whole()
    const parked = this.replica.adopt(batches)
    this.changed(true)
    await this.keep(parked, tab)
    this.park(parked)
    void this.courier.send()
  }

  // ——— what the courier did ———

  moved(document: boolean, parked: readonly Parked[]) {
    void this.keep(parked)
    this.confirmed.note()
    this.park(parked)
    if (!document) return
    this.changed(true)
    // Who took something away has perhaps set aside what was done in it.
    this.timers.after('set aside', ASIDE, () => void this.parked.recover())
  }

  stateChanged() {
    this.changed()
  }

  arrived() {
    this.parked.upload()
  }

  private readonly tellSetBack = (parked: Parked) => {
    this.parked.add([parked])
    this.showNotice(
      'the server was set back to an earlier state: changes from this browser that it had confirmed are not there any more; they are kept under “Set aside”',
    )
  }

  private park(parked: readonly Parked[]) {
    if (parked.length === 0) return
    this.parked.add(parked)
    this.tellAside(parked)
    this.changed(true)
  }

  /** Says what was set aside: one's own that does not fit any more, or was taken away unseen; and others' that was taken away from here. */
  private readonly tellAside = (parked: readonly Parked[]) => {
    const own = parked.filter(({ by }) => by === this.ports.tabs.id)
    const [first] = own
    const more = own.length > 1 ? `, and ${own.length - 1} more` : ''
    if (first)
      this.notice = `a change of yours does not fit any more (${first.reason})${more}; it is kept under “Set aside”`
    else
      this.notice = `somebody else had changed “${parked[0]!.block?.tree.name}”, which you removed; their work is kept under “Set aside”`
  }

  close() {
    this.leave()
    leaving.set(this.ports.tabs.id, this.writeAhead.idle)
    globalThis.removeEventListener?.('pagehide', this.leave)
    globalThis.removeEventListener?.('beforeunload', this.askToStay)
    globalThis.removeEventListener?.('online', this.courier.tryNow)
    this.courier.end()
    this.ended.abort()
    this.timers.end()
  }
}
