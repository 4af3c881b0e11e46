/** A world for sessions under test: one server, tabs that come and go, and a network between them that fails. */
import 'fake-indexeddb/auto'
import { afterEach, beforeEach, vi } from 'vitest'
import { PART, partsOf as partCount } from '../../core/blobs/blobs'
import { Document } from '../../core/document/document'
import { bodyOf, outlineOf, partsOf } from '../../core/document/outline'
import type { ProjectFile } from '../../core/document/schema'
import { readEdit, rehearse } from '../../core/edits/apply'
import { broughtBy } from '../../core/edits/brought'
import type { Edit } from '../../core/edits/edit'
import type { Parked } from '../../core/replica/parked'
import type { SavedBatch } from '../../core/replica/replica'
import { starterProject } from '../../core/shelf/starter'
import { Keep } from './keep'
import { deadly, Neighbourhood } from './neighbourhood'
import { ProjectSession } from './project-session'
import type { Tabs } from './tabs'
import { ApiError, type Heard, type SentBatch, type Wire } from './wire'

/** What happens to a request: answered; never arrived; answered with nobody to hear it; arrived much later. */
export type Fate = 'well' | 'lost' | 'unheard' | 'late'
const LATE = 3000
/** How long the stream takes, ms. */
const STREAM = 20

const clone = <T>(value: T): T => structuredClone(value)

type Stream = { tell(batch: SavedBatch): void; lost(): void }

/** Answers as the real one does: one log, a key for each batch, 409 with what was missed. */
export class FakeServer {
  doc: Document
  log: SavedBatch[] = []
  readonly parked = new Map<string, Parked | undefined>()
  readonly streams = new Set<Stream>()
  readonly blobs = new Map<string, { bytes: Uint8Array; parts: number[] }>()
  /** Answers instead of the real ones, for the next appends. */
  readonly faults: ApiError[] = []
  appends = 0

  constructor(readonly file: ProjectFile) {
    this.doc = Document.fromFile(clone(file))
  }

  /** Where the project is. */
  get at() {
    return { revision: this.log.length, head: this.head }
  }

  parts(page: string | undefined) {
    const pages = this.doc.pagesInOrder()
    const chosen = pages.find((each) => each.id === page) ?? pages[0]
    return partsOf(outlineOf(this.doc), new Map(chosen ? [[chosen.id, bodyOf(this.doc, chosen.id)]] : []))
  }

  get head() {
    return this.log.at(-1)?.key ?? ''
  }
  private keyAt(revision: number) {
    return revision === 0 ? '' : this.log[revision - 1]?.key
  }

  append(by: string, { base, head, key, at, edits }: SentBatch): { revision: number } {
    this.appends++
    const fault = this.faults.shift()
    if (fault) throw fault
    const known = this.log.find((batch) => batch.key === key)
    if (known) return { revision: known.revision }
    if (base > this.log.length || this.keyAt(base) !== head) throw new ApiError(409, 'apart', { apart: true })
    if (base < this.log.length) throw new ApiError(409, 'behind', { missed: clone(this.log.slice(base)) })
    const missing = broughtBy(edits).filter(
      ({ blob }) => !this.blobs.has(blob.hash) || !this.blobState(blob.hash).complete,
    )
    if (missing.length > 0)
      throw new ApiError(422, 'pictures missing', {
        refused: missing.map(({ index }) => ({ index, reason: 'the picture has not been sent' })),
      })
    const { draft, refused } = rehearse(this.doc, edits.map(readEdit))
    if (refused.length > 0) throw new ApiError(422, refused[0]!.reason, { refused })
    this.doc.accept(draft)
    const batch = { revision: base + 1, key, after: head, by, at: new Date(at).toISOString(), edits }
    this.log.push(batch)
    for (const stream of this.streams) stream.tell(batch)
    return { revision: batch.revision }
  }

  beginBlob(hash: string, size: number) {
    const blob = this.blobs.get(hash) ?? { bytes: new Uint8Array(size), parts: [] }
    this.blobs.set(hash, blob)
    return this.blobState(hash)
  }

  takePart(hash: string, part: number, bytes: Uint8Array) {
    const blob = this.blobs.get(hash)!
    blob.bytes.set(bytes, part * PART)
    if (!blob.parts.includes(part)) blob.parts.push(part)
    return this.blobState(hash)
  }

  private blobState(hash: string) {
    const { bytes, parts } = this.blobs.get(hash)!
    return { complete: parts.length === partCount(bytes.length), parts: [...parts] }
  }

  since(revision: number, head: string): SavedBatch[] {
    if (this.keyAt(revision) !== head) throw new ApiError(409, 'apart', { apart: true })
    return clone(this.log.slice(revision))
  }

  /** Every stream ends, as when a server goes. */
  breakStreams() {
    for (const stream of this.streams) stream.lost()
    this.streams.clear()
  }

  /** Back to an earlier state, as from a backup. */
  setBack(revision: number) {
    this.log = this.log.slice(0, revision)
    this.doc = Document.fromFile(clone(this.file))
    for (const batch of this.log) this.doc.accept(rehearse(this.doc, batch.edits).draft)
  }
}

/** One tab of the browser. */
export class FakeTab {
  session!: ProjectSession
  /** Killed: nothing of it happens any more. */
  dead = false
  /** Its stream tells nothing. */
  deaf = false
  readonly fates: Fate[] = []
  private readonly stored = new Map<string, string>()

  constructor(
    private readonly world: World,
    readonly id: string,
  ) {}

  async open() {
    const { world } = this
    const keep = world.keep && deadly(world.keep, this)
    const store = {
      getItem: (key: string) => this.stored.get(key) ?? null,
      setItem: (key: string, value: string) => void this.stored.set(key, value),
      removeItem: (key: string) => void this.stored.delete(key),
    }
    this.session = await ProjectSession.open('p', undefined, {
      wire: this.wire(),
      keep,
      tabs: this.tabs(),
      store,
    })
    return this.session
  }

  /** The tab's own page goes and comes again. */
  async reload() {
    this.session.close()
    return this.open()
  }

  private tabs(): Tabs {
    return this.world.neighbours.portOf(this.id)
  }

  private request<T>(answer: () => T): Promise<T> {
    const never = new Promise<T>(() => undefined)
    if (this.dead) return never
    const fate = this.fates.shift() ?? 'well'
    return new Promise<T>((resolve, reject) => {
      const gone = () => reject(new ApiError(0, 'the server does not answer'))
      const arrive = (heard: boolean) => {
        let result: { value: T } | { error: unknown }
        try {
          result = { value: clone(answer()) }
        } catch (error) {
          result = { error }
        }
        if (this.dead) return
        if (!heard) gone()
        else if ('error' in result) reject(result.error)
        else resolve(result.value)
      }
      setTimeout(() => {
        if (fate === 'lost') gone()
        else if (fate === 'late') {
          gone()
          setTimeout(() => arrive(false), LATE)
        } else arrive(fate === 'well')
      }, 5)
    })
  }

  private wire(): Wire {
    const { server } = this.world
    const ask = <T>(answer: () => T) => this.request(answer)
    return {
      open: () => ask(() => ({ ...server.at, file: server.doc.toFile(), absent: new Set<string>() })),
      openPart: (_, page) => ask(() => ({ ...server.at, ...server.parts(page) })),
      page: (_, page) =>
        ask(() =>
          server.doc.pages.has(page) ? { ...server.at, body: bodyOf(server.doc, page) } : undefined,
        ),
      append: (_, batch) => {
        const sent = clone(batch)
        return ask(() => server.append(this.id, sent))
      },
      since: (_, revision, head) => ask(() => server.since(revision, head)),
      known: (_, keys) =>
        ask(() =>
          server.log
            .filter((batch) => keys.includes(batch.key))
            .map(({ key, revision }) => ({ key, revision })),
        ),
      listen: (_, revision, head, heard) => this.listen(revision, head, heard),
      parked: () => ask(() => [...server.parked.values()].filter((each) => each !== undefined)),
      park: (_, parked) =>
        ask(() => {
          if (!server.parked.has(parked.id)) server.parked.set(parked.id, clone(parked))
          return { dismissed: server.parked.get(parked.id) === undefined }
        }),
      dismiss: (_, id) => ask(() => void server.parked.set(id, undefined)),
      beginBlob: (hash, { size }) => ask(() => server.beginBlob(hash, size)),
      sendPart: async (hash, part, body) => {
        const bytes = body instanceof Blob ? new Uint8Array(await body.arrayBuffer()) : body
        return ask(() => server.takePart(hash, part, bytes))
      },
      blob: (hash) => ask(() => new Uint8Array(server.blobs.get(hash)!.bytes)),
    }
  }

  /** Tells what it is told some time later, or never while it is deaf. */
  private listen(revision: number, head: string, heard: Heard) {
    const { server } = this.world
    let open = true
    const later = (then: () => void) =>
      setTimeout(() => {
        if (open && !this.dead) then()
      }, STREAM)
    const stream: Stream = {
      tell: (batch) => {
        const copy = clone(batch)
        if (!this.deaf) later(() => heard.edits(copy))
      },
      lost: () => later(() => heard.lost()),
    }
    later(() => {
      if (this.fates[0] === 'lost') return heard.lost()
      let missed: SavedBatch[]
      try {
        missed = server.since(revision, head)
      } catch {
        return heard.apart()
      }
      heard.ready()
      for (const batch of missed) if (!this.deaf) heard.edits(batch)
      server.streams.add(stream)
    })
    return () => {
      open = false
      server.streams.delete(stream)
    }
  }
}

export class World {
  readonly server: FakeServer
  keep: Keep | undefined
  private count = 0
  readonly neighbours = new Neighbourhood()

  constructor(file: ProjectFile = smallProject()) {
    this.server = new FakeServer(file)
  }

  async begin() {
    this.keep = await Keep.open()
    return this
  }

  async tab(): Promise<FakeTab> {
    const tab = new FakeTab(this, `tab${this.count++}-${Math.random().toString(36).slice(2, 8)}`)
    this.neighbours.come(tab.id)
    await tab.open()
    return tab
  }

  /** The browser is killed, or the tab is closed. */
  end(tab: FakeTab, how: 'kill' | 'close') {
    if (how === 'close') tab.session.close()
    else tab.dead = true
    this.neighbours.go(tab.id)
  }
}

export function smallProject(): ProjectFile {
  const file = starterProject('Test', 'home')
  file.pages[0]!.sections = ['a', 'b', 'c'].map((id, i) => ({
    id,
    kind: 'section',
    name: id,
    order: `a${i}`,
    props: {},
    children: [{ id: `${id}1`, kind: 'box', name: 'Box', order: 'a0', props: {} }],
  }))
  return file
}

export const fileOf = (doc: Document) => JSON.stringify(doc.toFile())
export const pad = (node: string, paddingTop: number): Edit => ({ op: 'set', node, props: { paddingTop } })
export const insert = (id: string): Edit => ({
  op: 'insert',
  parent: 'home',
  tree: { id, kind: 'section', name: id, order: 'a5', props: {} },
})

/** What a promise comes to while time goes on; under fake timers. */
export async function settled<T>(promise: Promise<T>): Promise<T> {
  let done = false
  const both = promise.finally(() => {
    done = true
  })
  both.catch(() => undefined)
  while (!done) await vi.advanceTimersByTimeAsync(5)
  return both
}

/** A new one for each test of a file, in a browser that holds nothing, by a clock of its own. @returns the present test's */
export function freshWorld(): () => World {
  let world: World
  beforeEach(async () => {
    vi.useFakeTimers()
    vi.stubGlobal('localStorage', { getItem: () => null, removeItem: () => undefined })
    vi.stubGlobal('indexedDB', new IDBFactory())
    world = await settled(new World().begin())
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })
  return () => world
}
