/** What a session asks of the server, and how it hears from it. */
import { checkedBefore } from '../../core/document/check'
import { type Outline, type PageBody, type Parts, partsOf } from '../../core/document/outline'
import type { Edit } from '../../core/edits/edit'
import type { Parked } from '../../core/replica/parked'
import type { SavedBatch } from '../../core/replica/replica'
import { ApiError, api, readBatch } from '../api'

export type OpenedProject = Parts & { revision: number; head: string }
export type OpenedPage = { revision: number; head: string; body: PageBody }
export type SentBatch = { base: number; head: string; key: string; at: number; edits: Edit[] }

export type Heard = {
  /** The stream stands; what came after `since` follows. */
  ready(): void
  edits(batch: SavedBatch): void
  /** The server's log does not go on from where this copy is. */
  apart(): void
  /** The stream broke off; it comes back by itself when it can be listened to again. */
  lost(): void
}

/** Everything that fails throws an ApiError; status 0: there was no answer. */
export type Wire = {
  open(id: string): Promise<OpenedProject>
  /** The outline and one page; one that is not there, or none: the first. */
  openPart(id: string, page: string | undefined): Promise<OpenedProject>
  /** What is on a page; undefined when it is gone. */
  page(id: string, page: string): Promise<OpenedPage | undefined>
  append(id: string, batch: SentBatch): Promise<{ revision: number }>
  since(id: string, revision: number, head: string): Promise<SavedBatch[]>
  known(id: string, keys: string[]): Promise<{ key: string; revision: number }[]>
  listen(id: string, revision: number, head: string, heard: Heard): () => void
  parked(id: string): Promise<Parked[]>
  park(id: string, parked: Parked): Promise<{ dismissed: boolean }>
  dismiss(id: string, parked: string): Promise<unknown>
  /** Says that bytes are coming, or finds out which are there. */
  beginBlob(hash: string, what: { type: string; size: number }): Promise<BlobState>
  sendPart(hash: string, part: number, bytes: Uint8Array | Blob): Promise<BlobState>
  blob(hash: string): Promise<Uint8Array>
}
/** `parts`: numbers of those that have arrived. */
export type BlobState = { complete: boolean; parts: number[] }

export { ApiError }

export const httpWire: Wire = {
  async open(id) {
    const { revision, head, file } = await api.open(id)
    return { revision, head, file: checkedBefore(file), absent: new Set() }
  },
  async openPart(id, wanted) {
    const { revision, head, outline, pages } = await api.openPage(id, wanted)
    const bodies = new Map(pages.map((page) => [page.id, page.body as unknown as PageBody]))
    const { file, absent } = partsOf(outline as unknown as Outline, bodies)
    return { revision, head, file: checkedBefore(file), absent }
  },
  async page(id, wanted) {
    const { revision, head, pages } = await api.openPage(id, wanted)
    const [page] = pages
    return page?.id === wanted ? { revision, head, body: page.body as unknown as PageBody } : undefined
  },
  append: api.append,
  since: api.since,
  known: api.known,
  parked: api.parked,
  park: api.park,
  dismiss: api.dismiss,
  beginBlob: api.beginBlob,
  sendPart: api.sendPart,
  blob: api.blob,
  listen(id, revision, head, heard) {
    const stream = new EventSource(api.streamUrl(id, revision, head))
    const stop = () => stream.close()
    stream.addEventListener('ready', () => heard.ready())
    stream.addEventListener('edits', (event) => {
      heard.edits(readBatch(JSON.parse((event as MessageEvent<string>).data)))
    })
    stream.addEventListener('apart', () => {
      stop()
      heard.apart()
    })
    // The browser would ask again from where the stream was begun; and after some answers not at all.
    stream.onerror = () => {
      stop()
      heard.lost()
    }
    return stop
  },
}
