/** A log as a server keeps it, copies of its project, and edits, for tests. */

import { expect } from 'vitest'
import { ordersAt } from '../arrange/order'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { rehearse } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import type { Parked } from './parked'
import { Replica, type SavedBatch } from './replica'

export const tree = (id: string, kind: NodeTree['kind'], children: NodeTree[] = []): NodeTree => ({
  id,
  kind,
  name: id.toUpperCase(),
  order: 'a0',
  props: {},
  children,
})

export function project(): ProjectFile {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = ['a', 'b', 'c'].map((id, i) => ({
    ...tree(id, 'section', [
      { ...tree(`${id}1`, 'text'), props: { words: said(id) } },
      { ...tree(`${id}2`, 'box'), order: 'a1' },
    ]),
    order: `a${i}`,
  }))
  return file
}

/** What a server does: one log, a batch is taken when it was made on its end. */
export class Log {
  readonly doc: Document
  batches: SavedBatch[] = []
  constructor(readonly file: ProjectFile = project()) {
    this.doc = Document.fromFile(structuredClone(file))
  }
  get head() {
    return this.batches.at(-1)?.key ?? ''
  }
  append(key: string, edits: Edit[], by: string): SavedBatch {
    const { draft, refused } = rehearse(this.doc, edits)
    expect(refused).toEqual([])
    this.doc.accept(draft)
    const batch = {
      revision: this.batches.length + 1,
      key,
      after: this.head,
      by,
      at: '',
      edits: structuredClone(edits),
    }
    this.batches.push(batch)
    return batch
  }
}

let made = 0
/** A number that nothing had before. */
export const next = () => made++

/** A copy of the project as it is now. */
export function copy(log: Log, by: string): Replica {
  const doc = Document.fromFile(structuredClone(log.doc.toFile()))
  return new Replica(doc, log.batches.length, log.head, { by, now: () => 0, makeId: () => `${by}-${next()}` })
}

/** Hears all, then sends all, hearing before each. @returns what was set aside */
export function sync(log: Log, replica: Replica): Parked[] {
  const parked = replica.receive(log.batches)
  for (let batch = replica.pending[0]; batch; batch = replica.pending[0]) {
    batch.sent = true
    const edits = batch.changes.map((change) => change.edit)
    const { refused } = rehearse(log.doc, edits)
    if (refused.length > 0) parked.push(...replica.refuse(batch.key, refused))
    else expect(replica.acknowledge(batch.key, log.append(batch.key, edits, batch.by).revision)).toBe(true)
  }
  return parked
}

export const file = (doc: Document) => JSON.stringify(doc.toFile())
export const set = (node: string, props: Record<string, unknown>, view?: string): Edit => ({
  op: 'set',
  node,
  ...(view ? { view } : {}),
  props,
})
export const insert = (
  doc: Document,
  parent: string,
  id: string,
  index = 0,
  kind: NodeTree['kind'] = 'box',
): Edit => ({
  op: 'insert',
  parent,
  tree: { ...tree(id, kind), order: ordersAt(doc, parent, index, 1)[0]! },
})
export function two() {
  const log = new Log()
  return { log, one: copy(log, 'one'), other: copy(log, 'other') }
}
export const order = (doc: Document, id = 'home') => doc.node(id).children
