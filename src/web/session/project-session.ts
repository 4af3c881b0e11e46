/**
 * One open project: the document, its history, and its way to the server. Edits are applied here at once, kept in the
 * browser until the server has them, sent in batches, and rebased on what others did meanwhile.
 */
import { nanoid } from 'nanoid'
import { Document } from '../../core/document/document'
import { applyAll } from '../../core/edits/apply'
import { type Edit, EditError } from '../../core/edits/edit'
import { mergeInto } from '../../core/edits/merge'
import { ApiError, api, type RemoteBatch, readBatch } from '../api'

export type SaveState = { kind: 'saved' | 'saving' | 'waiting'; detail?: string }
type Step = { label: string; undo: Edit[]; redo: Edit[]; gesture?: string }
/** A batch that the server has not acknowledged. `key` is fixed once it has been sent. */
type Unsaved = { key: string; edits: Edit[]; inverses: Edit[]; sent: boolean }

const HISTORY = 500
/** Steps that a reload keeps. */
const REMEMBERED = 100
/** A change is kept in the browser and sent when this long nothing followed, or at the latest after `LATEST`; ms. */
const SOON = 150
const LATEST = 1000

export class ProjectSession {
  /** Rises with every change of the document, the history or the saved state. */
  version = 0
  /** Rises with every change of the document. */
  documentVersion = 0
  saveState: SaveState = { kind: 'saved' }
  notice: string | undefined
  private undos: Step[] = []
  private redos: Step[] = []
  private unsaved: Unsaved[] = []
  private readonly listeners = new Set<() => void>()
  private stream: EventSource | undefined
  private sending = false
  private retry: ReturnType<typeof setTimeout> | undefined
  private attempts = 0
  private closed = false
  private soon: ReturnType<typeof setTimeout> | undefined
  private since = 0

  private constructor(
    readonly id: string,
    readonly doc: Document,
    private revision: number,
  ) {}

  static async open(id: string): Promise<ProjectSession> {
    const { revision, file } = await api.open(id)
    const session = new ProjectSession(id, Document.fromFile(file), revision)
    session.recover()
    session.listen()
    addEventListener('pagehide', session.settle)
    return session
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

  /**
   * Applies edits and sends them on. Commits with the same `gesture` are one step of the history.
   * @returns whether they were applied; a refusal is shown as a notice
   */
  commit(edits: Edit[], label: string, gesture?: string): boolean {
    if (edits.length === 0) return true
    let inverses: Edit[]
    try {
      inverses = applyAll(this.doc, edits)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      this.say(error.message)
      return false
    }
    const last = this.undos.at(-1)
    if (gesture !== undefined && last?.gesture === gesture) {
      last.undo = mergeInto(inverses, last.undo)
      last.redo = mergeInto(last.redo, edits)
    } else {
      this.undos.push({ label, undo: inverses, redo: edits, gesture })
      if (this.undos.length > HISTORY) this.undos.shift()
    }
    this.redos = []
    this.keep(edits, inverses)
    return true
  }

  get canUndo() {
    return this.undos.at(-1)?.label
  }
  get canRedo() {
    return this.redos.at(-1)?.label
  }

  /** Names of what can be undone and done again, oldest first; `done` of them stand. */
  get history(): { labels: string[]; done: number } {
    const again = this.redos.map((step) => step.label).reverse()
    return { labels: [...this.undos.map((step) => step.label), ...again], done: this.undos.length }
  }

  /** Undoes or does again until `done` steps stand. */
  goTo(done: number) {
    while (this.undos.length > done && this.undos.length > 0) {
      const before = this.undos.length
      this.undo()
      if (this.undos.length === before) return
    }
    while (this.undos.length < done && this.redos.length > 0) this.redo()
  }

  /** Whether the last step is that of a gesture. */
  endsWith(gesture: string | undefined): boolean {
    return gesture !== undefined && this.undos.at(-1)?.gesture === gesture
  }

  undo() {
    this.step(this.undos, this.redos, 'undo')
  }
  redo() {
    this.step(this.redos, this.undos, 'redo')
  }

  private step(from: Step[], to: Step[], way: 'undo' | 'redo') {
    const step = from.pop()
    if (!step) return
    try {
      const edits = step[way]
      const inverses = applyAll(this.doc, edits)
      to.push(
        way === 'undo'
          ? { ...step, redo: inverses, gesture: undefined }
          : { ...step, undo: inverses, gesture: undefined },
      )
      this.keep(edits, inverses)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      this.say(`“${step.label}” cannot be ${way === 'undo' ? 'undone' : 'redone'} any more: ${error.message}`)
    }
  }

  say(notice: string | undefined) {
    this.notice = notice
    this.changed()
  }

  // ——— the way to the server ———

  private keep(edits: Edit[], inverses: Edit[]) {
    const last = this.unsaved.at(-1)
    if (last && !last.sent) {
      last.edits = mergeInto(last.edits, edits)
      last.inverses = mergeInto(inverses, last.inverses)
    } else this.unsaved.push({ key: nanoid(16), edits, inverses, sent: false })
    if (this.saveState.kind === 'saved') this.saveState = { kind: 'saving' }
    if (this.soon === undefined) this.since = Date.now()
    clearTimeout(this.soon)
    this.soon = setTimeout(this.settle, Math.max(0, Math.min(SOON, this.since + LATEST - Date.now())))
    this.changed(true)
  }

  /** Keeps what was changed where a closed tab or a reload finds it, and sends it. */
  private readonly settle = () => {
    if (this.soon === undefined) return
    clearTimeout(this.soon)
    this.soon = undefined
    this.remember()
    this.rememberHistory()
    void this.send()
  }

  private get storageKey() {
    return `just-lattice:unsaved:${this.id}`
  }

  /** Unsaved edits survive a closed tab and a crashed browser. */
  private remember() {
    try {
      if (this.unsaved.length === 0) localStorage.removeItem(this.storageKey)
      else
        localStorage.setItem(
          this.storageKey,
          JSON.stringify(this.unsaved.map(({ key, edits }) => ({ key, edits }))),
        )
    } catch {
      // A full or forbidden store: the edits stay in memory and go to the server as usual.
    }
  }

  /** The history survives a reload of its tab. A step that no longer applies then says so, as after others' changes. */
  private rememberHistory() {
    try {
      const kept = { undos: this.undos.slice(-REMEMBERED), redos: this.redos.slice(-REMEMBERED) }
      sessionStorage.setItem(`just-lattice:history:${this.id}`, JSON.stringify(kept))
    } catch {
      // Too long for the store, or forbidden: it lives as long as the tab.
      sessionStorage.removeItem(`just-lattice:history:${this.id}`)
    }
  }

  private recoverHistory() {
    const stored = readStored<{ undos: Step[]; redos: Step[] }>(
      sessionStorage,
      `just-lattice:history:${this.id}`,
    )
    if (!stored) return
    this.undos = stored.undos.map((step) => ({ ...step, gesture: undefined }))
    this.redos = stored.redos
  }

  private recover() {
    this.recoverHistory()
    const stored = readStored<{ key: string; edits: Edit[] }[]>(localStorage, this.storageKey)
    if (!stored) return
    for (const { key, edits } of stored) {
      try {
        this.unsaved.push({ key, edits, inverses: applyAll(this.doc, edits), sent: true })
      } catch (error) {
        // Either the server had it already, or somebody else's change rules it out.
        if (!(error instanceof EditError)) throw error
      }
    }
    this.documentVersion++
    this.remember()
    void this.send()
  }

  private async send() {
    if (this.sending || this.closed || this.unsaved.length === 0) return
    this.sending = true
    const batch = this.unsaved[0]
    batch.sent = true
    this.saveState = {
      kind: this.saveState.kind === 'waiting' ? 'waiting' : 'saving',
      detail: this.saveState.detail,
    }
    this.changed()
    let again: number | undefined
    try {
      const { revision } = await api.append(this.id, this.revision, batch.key, batch.edits)
      this.acknowledge(batch.key, revision)
      again = 0
      this.attempts = 0
    } catch (error) {
      again = this.failed(error, batch)
    } finally {
      this.sending = false
    }
    if (this.unsaved.length === 0) this.saveState = { kind: 'saved' }
    this.changed()
    if (again !== undefined && this.unsaved.length > 0 && !this.closed)
      this.retry = setTimeout(() => void this.send(), again)
  }

  private acknowledge(key: string, revision: number) {
    this.unsaved = this.unsaved.filter((each) => each.key !== key)
    // A batch that the server already had lies further back than what this tab has seen since.
    this.revision = Math.max(this.revision, revision)
    this.remember()
  }

  /** @returns in how many ms to try again */
  private failed(error: unknown, batch: Unsaved): number | undefined {
    if (!(error instanceof ApiError)) throw error
    if (error.status === 409 && Array.isArray(error.problem.missed)) {
      for (const missed of error.problem.missed) this.receive(readBatch(missed))
      return 0
    }
    if (error.status === 422 || error.status === 400) {
      this.rebase(() => {
        this.unsaved = this.unsaved.filter((each) => each !== batch)
      })
      this.notice = `the server refused a change: ${error.message}`
      this.remember()
      return 0
    }
    if (error.status === 404) {
      this.saveState = {
        kind: 'waiting',
        detail: 'the project has been deleted; restore it from the projects screen to save',
      }
      return 5000
    }
    this.attempts++
    this.saveState = {
      kind: 'waiting',
      detail: error.status === 0 ? 'the server does not answer' : error.message,
    }
    return Math.min(8000, 500 * 2 ** Math.min(this.attempts, 4))
  }

  /** Takes unsaved edits off, runs `middle`, puts them back; what no longer applies is dropped with a notice. */
  private rebase(middle: () => void) {
    for (const each of [...this.unsaved].reverse()) applyAll(this.doc, each.inverses)
    middle()
    const kept: Unsaved[] = []
    for (const each of this.unsaved) {
      try {
        kept.push({ ...each, inverses: applyAll(this.doc, each.edits) })
      } catch (error) {
        if (!(error instanceof EditError)) throw error
        this.notice = `a change of yours no longer applies: ${error.message}`
      }
    }
    this.unsaved = kept
    this.changed(true)
  }

  private receive(batch: RemoteBatch) {
    if (batch.revision <= this.revision) return
    if (this.unsaved.some((each) => each.key === batch.key)) {
      this.acknowledge(batch.key, batch.revision)
      if (this.unsaved.length === 0) this.saveState = { kind: 'saved' }
      this.changed()
      return
    }
    this.rebase(() => applyAll(this.doc, batch.edits))
    this.revision = batch.revision
    this.remember()
  }

  private listen() {
    this.stream = new EventSource(api.streamUrl(this.id, this.revision))
    this.stream.addEventListener('edits', (event) => {
      const batch = readBatch(JSON.parse((event as MessageEvent<string>).data))
      // Out of step: the next append is answered with everything missed.
      if (batch.revision === this.revision + 1 || batch.revision <= this.revision) this.receive(batch)
    })
  }

  close() {
    this.settle()
    removeEventListener('pagehide', this.settle)
    this.closed = true
    clearTimeout(this.retry)
    this.stream?.close()
  }
}

/** What was stored, or undefined when there is nothing or it cannot be read. */
function readStored<T>(store: Storage, key: string): T | undefined {
  try {
    return JSON.parse(store.getItem(key) ?? 'null') ?? undefined
  } catch {
    return undefined
  }
}
