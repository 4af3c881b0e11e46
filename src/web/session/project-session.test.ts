/** Tabs on one project, against a server in memory and a network that fails: nothing is lost, nothing is done twice. */
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { Document } from '../../core/document/document'
import type { ProjectFile } from '../../core/document/schema'
import { applyAll } from '../../core/edits/apply'
import { type Edit, EditError } from '../../core/edits/edit'
import { starterProject } from '../../core/shelf/starter'
import { ProjectSession } from './project-session'

type Batch = { revision: number; key: string; edits: Edit[] }
/** What happens to the next requests: answered, never arrived, or answered with nobody to hear it. */
type Fate = 'well' | 'lost' | 'unheard'

/** Answers as the real one does: one log, a key for each batch, 409 with what was missed. */
class Server {
  readonly doc: Document
  readonly log: Batch[] = []
  readonly streams = new Set<FakeStream>()
  fates: Fate[] = []

  constructor(private readonly file: ProjectFile) {
    this.doc = Document.fromFile(structuredClone(file))
  }

  answer(path: string, body: unknown): { status: number; value: unknown } {
    if (!path.endsWith('/edits')) {
      const doc = Document.fromFile(structuredClone(this.file))
      for (const batch of this.log) applyAll(doc, structuredClone(batch.edits))
      return { status: 200, value: { id: 'p', name: 'Test', revision: this.log.length, file: doc.toFile() } }
    }
    const { base, key, edits } = structuredClone(body) as { base: number; key: string; edits: Edit[] }
    const known = this.log.find((batch) => batch.key === key)
    if (known) return { status: 200, value: { revision: known.revision } }
    if (base < this.log.length) return { status: 409, value: { missed: this.log.slice(base) } }
    try {
      applyAll(this.doc, edits)
    } catch (error) {
      if (!(error instanceof EditError)) throw error
      return { status: 422, value: { detail: error.message } }
    }
    const batch = { revision: this.log.length + 1, key, edits }
    this.log.push(batch)
    for (const stream of this.streams) stream.tell(batch)
    return { status: 200, value: { revision: batch.revision } }
  }

  fetch = async (path: string, init: { body?: string } = {}) => {
    const fate = this.fates.shift() ?? 'well'
    if (fate === 'lost') throw new TypeError('no network')
    const { status, value } = this.answer(path, init.body && JSON.parse(init.body))
    if (fate === 'unheard') throw new TypeError('no network')
    const text = JSON.stringify(value)
    return { ok: status < 400, status, json: async () => JSON.parse(text) }
  }
}

let server: Server

/** Tells what it is told some time later, or never while it is deaf. */
class FakeStream {
  private listener: ((event: { data: string }) => void) | undefined
  static deaf = false
  constructor() {
    server.streams.add(this)
  }
  addEventListener(_name: string, listener: (event: { data: string }) => void) {
    this.listener = listener
  }
  tell(batch: Batch) {
    if (FakeStream.deaf) return
    const data = JSON.stringify(batch)
    setTimeout(() => this.listener?.({ data }), 20)
  }
  close() {
    server.streams.delete(this)
  }
}

function memoryStore() {
  const kept = new Map<string, string>()
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  }
}

beforeEach(() => {
  vi.useFakeTimers()
  const file = starterProject('Test', 'home')
  file.pages[0].sections = ['a', 'b', 'c'].map((id) => ({
    id,
    kind: 'section',
    name: id,
    order: id,
    props: {},
    children: [{ id: `${id}1`, kind: 'box', name: 'Box', order: 'a', props: {} }],
  }))
  server = new Server(file)
  FakeStream.deaf = false
  vi.stubGlobal('fetch', server.fetch)
  vi.stubGlobal('EventSource', FakeStream)
  vi.stubGlobal('localStorage', memoryStore())
  vi.stubGlobal('sessionStorage', memoryStore())
  vi.stubGlobal('addEventListener', () => undefined)
  vi.stubGlobal('removeEventListener', () => undefined)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const file = (doc: Document) => JSON.stringify(doc.toFile())
const pad = (node: string, paddingTop: number): Edit => ({ op: 'set', node, props: { paddingTop } })
const insert = (id: string): Edit => ({
  op: 'insert',
  parent: 'home',
  tree: { id, kind: 'section', name: id, order: 'm', props: {} },
})
const calm = () => vi.advanceTimersByTimeAsync(60_000)

describe('one tab', () => {
  test('what is committed is on the server, and says so', async () => {
    const tab = await ProjectSession.open('p')
    expect(tab.commit([pad('a', 8)], 'Pad')).toBe(true)
    expect(tab.saveState.kind).toBe('saving')
    await calm()
    expect(tab.saveState.kind).toBe('saved')
    expect(server.doc.node('a').props.paddingTop).toBe(8)
    tab.close()
  })

  test('a gesture is one step and few batches', async () => {
    const tab = await ProjectSession.open('p')
    for (let i = 1; i <= 30; i++) tab.commit([pad('a', i)], 'Drag', 'drag-1')
    expect(tab.history).toEqual({ labels: ['Drag'], done: 1 })
    await calm()
    expect(server.log.length).toBe(1)
    tab.undo()
    await calm()
    expect(server.doc.node('a').props.paddingTop).toBeUndefined()
    tab.close()
  })

  test('a refused edit changes nothing and is said', async () => {
    const tab = await ProjectSession.open('p')
    const before = file(tab.doc)
    expect(tab.commit([pad('a', 4), { op: 'remove', node: 'nowhere' }], 'Two')).toBe(false)
    expect(tab.notice).toContain('nowhere')
    expect(file(tab.doc)).toBe(before)
    await calm()
    expect(server.log).toEqual([])
    tab.close()
  })

  test('an answer that was not heard: sent again, done once', async () => {
    const tab = await ProjectSession.open('p')
    FakeStream.deaf = true
    server.fates = ['unheard', 'lost', 'well']
    tab.commit([{ op: 'remove', node: 'b' }], 'Remove')
    await vi.advanceTimersByTimeAsync(400)
    expect(tab.saveState).toMatchObject({ kind: 'waiting', detail: 'the server does not answer' })
    await calm()
    expect(tab.saveState.kind).toBe('saved')
    expect(server.log.length).toBe(1)
    tab.close()
  })

  test('what was not sent before the tab closed is there in the next', async () => {
    const tab = await ProjectSession.open('p')
    server.fates = Array(50).fill('lost')
    tab.commit([pad('c', 40)], 'Pad')
    tab.close()
    await calm()
    server.fates = []
    expect(server.log).toEqual([])
    const next = await ProjectSession.open('p')
    expect(next.doc.node('c').props.paddingTop).toBe(40)
    await calm()
    expect(server.doc.node('c').props.paddingTop).toBe(40)
    expect(next.canUndo).toBe('Pad')
    next.close()
  })
})

describe('two tabs', () => {
  test('one removes what the other changes: the change is dropped and said, all agree', async () => {
    const one = await ProjectSession.open('p')
    const two = await ProjectSession.open('p')
    FakeStream.deaf = true
    one.commit([{ op: 'remove', node: 'a' }], 'Remove')
    await vi.advanceTimersByTimeAsync(500)
    two.commit([pad('a1', 12)], 'Pad')
    await calm()
    expect(two.notice).toContain('a change of yours no longer applies')
    expect(file(two.doc)).toBe(file(server.doc))
    one.close()
    two.close()
  })

  test('whatever they do and whatever the network does, all agree in the end', async () => {
    const act = fc.record({
      tab: fc.nat(1),
      what: fc.constantFrom('pad', 'pad', 'remove', 'insert', 'undo', 'redo', 'wait') as fc.Arbitrary<string>,
      value: fc.nat(60),
      fate: fc.constantFrom<Fate>('well', 'well', 'lost', 'unheard'),
      deaf: fc.boolean(),
    })
    let made = 0
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 1, maxLength: 25 }), async (acts) => {
        server = new Server(server.doc.toFile())
        vi.stubGlobal('fetch', server.fetch)
        vi.stubGlobal('localStorage', memoryStore())
        vi.stubGlobal('sessionStorage', memoryStore())
        FakeStream.deaf = false
        const tabs = [await ProjectSession.open('p'), await ProjectSession.open('p')]
        for (const { tab, what, value, fate, deaf } of acts) {
          const own = tabs[tab]
          FakeStream.deaf = deaf
          server.fates.push(fate)
          const blocks = [...own.doc.nodes.values()].filter((node) => node.kind !== 'page')
          const block = blocks[value % Math.max(1, blocks.length)]
          if (what === 'wait') await vi.advanceTimersByTimeAsync(value * 10)
          else if (what === 'undo') own.undo()
          else if (what === 'redo') own.redo()
          else if (what === 'insert') {
            own.commit([insert(`n${made++}`)], 'Insert')
          } else if (block)
            own.commit([what === 'pad' ? pad(block.id, value) : { op: 'remove', node: block.id }], what)
        }
        FakeStream.deaf = false
        server.fates = []
        await calm()
        // What a deaf tab missed it learns with its next change; the first to speak, with the other's.
        for (const tab of [...tabs, tabs[0]]) {
          tab.commit([insert(`n${made++}`)], 'Insert')
          await calm()
        }
        for (const tab of tabs) {
          expect(tab.saveState.kind).toBe('saved')
          expect(file(tab.doc)).toBe(file(server.doc))
          tab.close()
        }
      }),
      { numRuns: 60 },
    )
  })
})
