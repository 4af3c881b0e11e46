/**
 * The document in memory: a flat store of nodes with parent links. Node objects are replaced, never changed, so that identity
 * says whether a node changed. It changes in one way only: a next version that was made beside it takes its place.
 */
import { Draft } from './draft'
import type { About, Asset, KeptLook, OwnFamily, ProjectFile, Theme, View } from './schema'
import { Tokens, type TokenTree } from './tokens'
import { type Node, type Page, Tree } from './tree'

export type { Node, Page } from './tree'

/** Longest list of changes that is kept. */
const JOURNAL = 20_000

export class Document extends Tree {
  readonly name: string = ''
  readonly about: About = {}
  readonly views: View[] = []
  readonly nodes: ReadonlyMap<string, Node> = new Map()
  readonly pages: ReadonlyMap<string, Page> = new Map()
  readonly assets: ReadonlyMap<string, Asset> = new Map()
  readonly tokens: TokenTree = {}
  readonly tokenTable: Tokens = new Tokens({})
  readonly themes: readonly Theme[] = []
  readonly fonts: readonly OwnFamily[] = []
  readonly looks: readonly KeptLook[] = []
  readonly absent: ReadonlySet<string> = new Set()
  /** Ids of nodes put into the store, oldest first: what a kept layout has to look at again. */
  private journal: string[] = []
  private journalStart = 0
  private readonly bySlot: (Node | undefined)[] = []
  /** Slots that nodes gave back, and how many were ever given. */
  private readonly freeSlots: number[] = []
  private slots = 0

  /** @param file checked before, as `openProject` does */
  static fromFile(file: ProjectFile): Document {
    return Document.fromParts(file, new Set())
  }

  /** @param absent pages that are in `file` without what is on them */
  static fromParts(file: ProjectFile, absent: ReadonlySet<string>): Document {
    const doc = new Document()
    const draft = new Draft(doc)
    draft.become(file, absent)
    doc.accept(draft)
    return doc
  }

  /** Makes `next`, which was made from this document as it is now, this document. Nothing in here can fail half-way. */
  accept(next: Draft) {
    if (next.base !== this || next.tick !== this.tick)
      throw new Error('this version was made from another document, or from one that has moved on')
    // What seldom changes is not written when it did not: engines take it for constant as long as nobody does.
    for (const key of [
      'name',
      'about',
      'views',
      'tokens',
      'tokenTable',
      'themes',
      'fonts',
      'looks',
      'absent',
    ] as const)
      if (this[key] !== next[key]) Object.assign(this, { [key]: next[key] })
    next.pages.writeTo(this.pages as Map<string, Page>)
    next.assets.writeTo(this.assets as Map<string, Asset>)
    this.freeSlots.length -= Math.min(next.slotsTaken, this.freeSlots.length)
    this.slots = Math.max(this.slots, next.slotsEnd)
    for (const slot of next.slotsFreed) {
      this.bySlot[slot] = undefined
      this.freeSlots.push(slot)
    }
    next.nodes.writeTo(this.nodes as Map<string, Node>)
    for (const node of next.nodes.changed()) {
      this.bySlot[node.slot] = node
      this.journal.push(node.id)
    }
    if (this.journal.length > JOURNAL) {
      this.journalStart += this.journal.length
      this.journal = []
    }
  }

  /** The slot that is given `n` slots from now. */
  slotAfter(n: number): number {
    const free = this.freeSlots.length
    return n < free ? this.freeSlots[free - 1 - n]! : this.slots + n - free
  }

  /** A point in the document's changes, to ask `touchedSince` about later. */
  get tick(): number {
    return this.journalStart + this.journal.length
  }

  /** Ids of nodes changed since `tick`, some perhaps gone; undefined when that is too long ago to say. */
  touchedSince(tick: number): ReadonlySet<string> | undefined {
    return tick < this.journalStart ? undefined : new Set(this.journal.slice(tick - this.journalStart))
  }

  /** As `node`, by slot. */
  at(slot: number): Node {
    const node = this.bySlot[slot]
    if (!node) throw new Error(`there is no block at slot ${slot}`)
    return node
  }
}
