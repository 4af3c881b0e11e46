/**
 * One open copy of a project: the document as its owner sees it, which is what the server has and, on top of that, the
 * owner's edits that are on their way there. It knows no network and no store; who holds one tells it what was heard.
 */
import type { Document } from '../document/document'
import { Draft } from '../document/draft'
import type { PageBody } from '../document/outline'
import type { ProjectFile } from '../document/schema'
import { applyTo } from '../edits/apply'
import { type Edit, EditError } from '../edits/edit'
import { type Change, mergeInto } from '../edits/merge'
import { Absent, applyPartly } from '../edits/partly'
import { moduleOf } from '../edits/registry'
import { tiedTo } from '../edits/text'
import { TextRebase } from '../edits/text-rebase'
import { History, type Step } from './history'
import { boundTo, withWhatIsThere } from './meet'
import { type Lost, type Parked, park, parkInverse } from './parked'
import { Meanwhile } from './since'
import { parkTaken, type Taken, taking } from './taken'

/** A batch as the server has it; `after`: the key of the batch before it, or ''. */
export type SavedBatch = {
  revision: number
  key: string
  after: string
  by: string
  at: string
  edits: Edit[]
}
/** A batch that the server has not acknowledged. Once `sent`, what it holds is fixed. */
export type PendingBatch = { key: string; by: string; at: number; changes: Change[]; sent: boolean }
/** A batch that was saved while this copy was open. */
type Recent = Pick<PendingBatch, 'key' | 'by' | 'changes'>
/** A batch left by a copy that is gone. */
export type LeftBatch = Pick<PendingBatch, 'key' | 'at'> & { changes: readonly Pick<Change, 'id' | 'edit'>[] }

/** `problem`: what could not be taken back, in words; left out when all of the step was. `parked`: blocks that have no place to come back to. */
export type TakenBack = { problem?: string; parked: Parked[] }

/** Changes in one batch, so that neither a request nor a record in a store grows without bound. */
const MOST_CHANGES = 500
/** Saved batches that are remembered, for a server that has lost them. */
const MOST_RECENT = 2000

/** Thrown when what is here and what was heard cannot both be: the project has to be read anew. */
export class Diverged extends Error {
  override name = 'Diverged'
}

export class Replica {
  readonly history = new History()
  /** Oldest first; only the last may still be added to. */
  pending: PendingBatch[] = []
  private recent: Recent[] = []

  constructor(
    readonly doc: Document,
    /** The server's, that the document without `pending` is at; and the key of the batch that made it, or ''. */
    public revision: number,
    public head: string,
    private readonly who: { by: string; now: () => number; makeId: () => string },
  ) {}

  // ——— what is done here ———

  /** Applies edits, as a step or as more of one. @throws EditError with the reason; then nothing has changed */
  commit(edits: readonly Edit[], label: string, gesture?: string) {
    const changes = this.apply(edits)
    this.enqueue(changes, this.history.begin(label, gesture))
  }

  undo(): TakenBack {
    return this.takeBack(this.history.undos, this.history.redos)
  }

  redo(): TakenBack {
    return this.takeBack(this.history.redos, this.history.undos)
  }

  private apply(edits: readonly Edit[]): Change[] {
    const draft = new Draft(this.doc)
    const changes = edits.map((each) => {
      const edit = tiedTo(draft, each)
      return { id: this.who.makeId(), edit, inverse: applyTo(draft, edit) }
    })
    this.doc.accept(draft)
    return changes
  }

  private takeBack(from: Step[], to: Step[]): TakenBack {
    const step = from.pop()
    if (!step) return { parked: [] }
    const { by, now, makeId } = this.who
    const parked: Parked[] = []
    const draft = new Draft(this.doc)
    const changes: Change[] = []
    let problem: string | undefined
    for (const { inverse } of [...step.changes].reverse()) {
      if (!inverse) problem ??= 'somebody else has changed it since'
      else {
        try {
          const edit = tiedTo(draft, withWhatIsThere(draft, inverse))
          changes.push({ id: this.who.makeId(), edit, inverse: applyTo(draft, edit) })
        } catch (error) {
          if (!(error instanceof EditError)) throw error
          const about = moduleOf(inverse.op)?.blocks(inverse)[0]
          const isGone = about !== undefined && !draft.nodes.has(about)
          problem ??= isGone ? 'somebody else has removed what it changed' : error.message
          // A block that cannot come back to where it was comes back elsewhere, or later.
          const aside = parkInverse(inverse, problem, draft, { by, at: now(), makeId })
          if (aside) parked.push(aside)
        }
      }
    }
    this.doc.accept(draft)
    if (changes.length > 0) {
      const done: Step = { label: step.label, changes: [] }
      this.enqueue(changes, done)
      to.push(done)
    }
    return { ...(problem === undefined ? {} : { problem }), parked }
  }

  private enqueue(changes: Change[], step: Step) {
    let batch = this.pending.at(-1)
    if (!batch || batch.sent || batch.changes.length >= MOST_CHANGES) {
      batch = { ...this.newBatch(), changes: [], sent: false }
      this.pending.push(batch)
    }
    const own = new Set(step.changes)
    let from = batch.changes.length
    while (from > 0 && own.has(batch.changes[from - 1]!)) from--
    step.changes.push(...mergeInto(batch.changes, changes, from))
  }

  private newBatch(at = this.who.now()) {
    return { key: this.who.makeId(), by: this.who.by, at }
  }

  // ——— what was heard ———

  /**
   * The server has a batch of this copy's.
   * @returns false when others' came before it that have not been heard of yet
   */
  acknowledge(key: string, revision: number): boolean {
    const batch = this.pending.find((each) => each.key === key)
    if (!batch) return true
    if (revision <= this.revision) {
      // It is among what was read from the server: here it is applied twice.
      this.rebase(() => {
        this.pending = this.pending.filter((each) => each !== batch)
      })
      this.history.forget(new Set(batch.changes))
      return true
    }
    if (revision !== this.revision + 1 || this.pending[0] !== batch) return false
    this.pending.shift()
    this.saved(batch, revision)
    return true
  }

  /**
   * Batches that the server has, the next ones in order; this copy's own may be among them.
   * @returns what of this copy's edits does not fit any more
   * @throws Diverged
   */
  receive(batches: readonly SavedBatch[]): Parked[] {
    const next = batches.filter((batch) => batch.revision > this.revision)
    if (next.length === 0) return []
    next.forEach((batch, i) => {
      if (batch.revision !== this.revision + 1 + i)
        throw new Diverged(`revision ${batch.revision} came too early`)
      if (batch.after !== (i === 0 ? this.head : next[i - 1]!.key))
        throw new Diverged(`revision ${batch.revision} does not go on from what is here`)
    })
    if (next.length === 1 && this.pending[0]?.key === next[0]!.key) {
      this.acknowledge(next[0]!.key, next[0]!.revision)
      return []
    }
    return this.rebase((draft, meanwhile, foreign) => {
      for (const batch of next) this.take(draft, meanwhile, batch, foreign)
    })
  }

  private take(draft: Draft, meanwhile: Meanwhile, batch: SavedBatch, foreign: Edit[]) {
    const own = this.pending.find((each) => each.key === batch.key)
    if (own) {
      for (const change of own.changes) change.inverse = applyTo(draft, change.edit)
      this.pending = this.pending.filter((each) => each !== own)
      this.saved(own, batch.revision)
      return
    }
    const waiting = new Set(this.pending.flatMap((each) => each.changes))
    const changes: Change[] = []
    for (const edit of batch.edits) {
      const inverse = applyPartly(draft, edit)
      // On a page that is not here: nothing of this copy's is about it.
      if (!inverse) continue
      meanwhile.applied({ by: batch.by, edit }, inverse)
      foreign.push(edit)
      changes.push({ id: '', edit, inverse })
      this.history.spare(edit, draft, (change) => !waiting.has(change))
    }
    this.saved({ key: batch.key, by: batch.by, changes }, batch.revision)
  }

  /** The server does not take some of a batch's edits; the others go again. */
  refuse(key: string, refused: readonly { index: number; reason: string }[]): Parked[] {
    const batch = this.pending.find((each) => each.key === key)
    if (!batch) return []
    const out = new Map(
      refused.flatMap(({ index, reason }) => {
        const change = batch.changes[index]
        return change ? [[change, reason] as const] : []
      }),
    )
    const lost = [...out].map(([change, reason]) => ({ change, reason }))
    const others = batch.changes.filter((change) => !out.has(change))
    const parked = this.rebase(() => {
      const again = others.length > 0 ? [{ ...this.newBatch(batch.at), changes: others, sent: true }] : []
      this.pending = this.pending.flatMap((each) => (each === batch ? again : each))
    }, lost)
    this.history.forget(new Set(out.keys()))
    return parked
  }

  /** Makes two of a batch that is too large to be sent. @returns false when it is a single edit */
  split(key: string): boolean {
    const at = this.pending.findIndex((each) => each.key === key)
    const batch = this.pending[at]
    if (!batch || batch.changes.length < 2) return false
    const half = Math.ceil(batch.changes.length / 2)
    const part = (changes: Change[]) => ({ ...this.newBatch(batch.at), changes, sent: true })
    this.pending.splice(at, 1, part(batch.changes.slice(0, half)), part(batch.changes.slice(half)))
    return true
  }

  /** Edits left by a copy that is gone: this one's from now on, before what it does next. @returns what does not fit */
  adopt(batches: readonly LeftBatch[]): Parked[] {
    const known = new Set(this.pending.map((each) => each.key))
    const added = batches
      .filter((batch) => !known.has(batch.key))
      .map((batch) => ({
        key: batch.key,
        by: this.who.by,
        at: batch.at,
        changes: batch.changes.map(({ id, edit }) => ({ id, edit, inverse: undefined })),
        sent: true,
      }))
    return this.rebase(() => {
      const open = this.pending.at(-1)
      if (open && !open.sent && added.length > 0) open.sent = true
      this.pending = [...this.pending, ...added]
    })
  }

  /**
   * The project as the server has it, read anew.
   * @param has keys of the batches that are in it, of those this copy knows: the others are sent again
   * @returns what of this copy's edits does not fit any more
   */
  become(
    file: ProjectFile,
    revision: number,
    head: string,
    has: ReadonlySet<string>,
    absent: ReadonlySet<string> = new Set(),
  ): Parked[] {
    const again = this.recent
      .filter((batch) => !has.has(batch.key))
      .map(({ key, by, changes }) => ({ key, by, at: this.who.now(), changes, sent: true }))
    const waiting = this.pending.filter((batch) => !has.has(batch.key))
    this.recent = []
    return this.rebase(
      (draft) => {
        draft.become(file, absent)
        this.pending = [...again, ...waiting]
        this.revision = revision
        this.head = head
        // What others changed is not known edit by edit: what was saved cannot be taken back safely.
        this.history.keepOnly(new Set(this.pending.flatMap((batch) => batch.changes)))
      },
      [],
      true,
    )
  }

  /** What is on a page that was absent, as of the revision that this copy is at. */
  fill(page: string, body: PageBody) {
    return this.rebase((draft) => draft.fill(page, body))
  }

  /** Batches of this copy's own that the server has confirmed, of those that are remembered. */
  confirmed(): LeftBatch[] {
    const at = this.who.now()
    return this.recent.flatMap(({ key, by, changes }) => (by === this.who.by ? [{ key, at, changes }] : []))
  }

  /** Keys of all batches that this copy knows of by themselves. */
  knownKeys(): string[] {
    return [...this.recent.map((batch) => batch.key), ...this.pending.map((batch) => batch.key)]
  }

  private saved({ key, by, changes }: Recent, revision: number) {
    this.revision = revision
    this.head = key
    this.recent.push({ key, by, changes })
    if (this.recent.length > MOST_RECENT) this.recent.shift()
  }

  /**
   * Takes all that is pending off a next version of the document, changes it, puts pending edits back one by one, and makes
   * it the document. @returns what did not fit @throws Diverged; then nothing has changed
   */
  private rebase(
    change: (draft: Draft, meanwhile: Meanwhile, foreign: Edit[]) => void,
    lost: Lost[] = [],
    anew = false,
  ): Parked[] {
    const draft = new Draft(this.doc)
    const meanwhile = new Meanwhile(draft)
    const foreign: Edit[] = []
    const { pending, revision, head, recent } = this
    this.recent = [...recent]
    try {
      if (!anew) this.takeOff(draft)
      change(draft, meanwhile, foreign)
      const texts = TextRebase.over(foreign)
      const aside: Taken[] = []
      const put = this.putOn(draft, meanwhile, foreign, lost, aside, texts)
      const { by, now, makeId } = this.who
      const parked = [
        ...park(lost, this.doc, draft, { by, at: now(), makeId }),
        ...aside.flatMap((taken) => parkTaken(taken, { at: now(), makeId })),
      ]
      this.doc.accept(draft)
      if (!texts.isIdle) this.history.moveTexts(texts, put)
      this.settle(put)
      return parked
    } catch (error) {
      Object.assign(this, { pending, revision, head, recent })
      throw error instanceof EditError || error instanceof Absent ? new Diverged(error.message) : error
    }
  }

  private takeOff(draft: Draft) {
    for (const batch of [...this.pending].reverse())
      for (const { inverse } of [...batch.changes].reverse()) if (inverse) applyTo(draft, inverse)
  }

  /** @returns for every pending change what is to be kept of it; the changes themselves are as they were */
  private putOn(
    draft: Draft,
    since: Meanwhile,
    foreign: readonly Edit[],
    lost: Lost[],
    aside: Taken[],
    texts: TextRebase,
  ): Put {
    const put = new Map<Change, { edit: Edit; inverse: Edit }>()
    for (const change of this.pending.flatMap((batch) => batch.changes)) {
      try {
        let edit = texts.own(change.edit)
        if (edit && edit !== change.edit) edit = tiedTo(draft, edit)
        const rebase = edit && moduleOf(edit.op)?.rebase
        if (rebase) for (const over of foreign) edit = edit && rebase(edit, over, since)
        // Nothing left: what was wanted is so already.
        if (!edit) continue
        const bound = boundTo(edit, since)
        const taken = taking(bound, draft, since)
        put.set(change, { edit: bound, inverse: applyTo(draft, bound) })
        if (taken) aside.push(taken)
      } catch (error) {
        if (!(error instanceof EditError)) throw error
        lost.push({ change, reason: error.message })
      }
    }
    return put
  }

  private settle(put: Put) {
    const gone = new Set<Change>()
    for (const batch of this.pending) {
      const kept = batch.changes.filter((change) => put.has(change) || !gone.add(change))
      for (const change of kept) Object.assign(change, put.get(change))
      if (kept.length < batch.changes.length && batch.sent) batch.key = this.who.makeId()
      batch.changes = kept
    }
    this.pending = this.pending.filter((batch) => batch.changes.length > 0)
    this.history.forget(gone)
  }
}

type Put = ReadonlyMap<Change, { edit: Edit; inverse: Edit }>
