/**
 * The bytes of pictures in this browser: those put in here are kept until the server has them, and sent before the edits that
 * name them. What a picture is shown from follows from its hash.
 */
import { type BlobName, type Blobs, PART, partsOf } from '../../core/blobs/blobs'
import type { Asset } from '../../core/document/schema'
import { broughtBy } from '../../core/edits/brought'
import type { Edit } from '../../core/edits/edit'
import type { PendingBatch } from '../../core/replica/replica'
import { blobName } from './blob-name'
import type { Keep } from './keep'
import { ApiError, type Wire } from './wire'

/** `shown`: the same bytes as the browser holds them: sent and shown from there, they are not copied again. */
type Held = { bytes: Uint8Array; type: string; shown?: { blob: Blob; address: string } }

/** Where pictures that this tab holds are shown from. They are the same wherever they are named: one list for the tab. */
const urls = new Map<string, string>()

export const pictureUrl = ({ hash }: Pick<Asset, 'hash'>): string => urls.get(hash) ?? `/api/blobs/${hash}`

function showFromHere(hash: string, { bytes, type, shown }: Held) {
  const address = shown?.address
  if (urls.has(hash)) {
    if (address !== undefined) URL.revokeObjectURL(address)
  } else if (address !== undefined) urls.set(hash, address)
  else if (typeof URL.createObjectURL === 'function')
    urls.set(hash, URL.createObjectURL(new Blob([bytes as Uint8Array<ArrayBuffer>], { type })))
}

/** ms */
const BETWEEN_WORDS = 150

export class Pictures {
  private readonly held = new Map<string, Held>()
  /** Those that this browser could not keep: they would go with the tab. */
  private readonly unkept = new Set<string>()
  /** Of what is being sent just now, 0 … 1. */
  progress: number | undefined
  /** When that was last said, ms. */
  private said = Number.NEGATIVE_INFINITY

  constructor(
    private readonly wire: Wire,
    private readonly keep: Keep | undefined,
    private readonly changed: () => void = () => undefined,
  ) {}

  /**
   * Resolves when the bytes are kept in this browser, or cannot be: then this tab holds them.
   * @param shown holds them; its address is this list's from here on
   */
  async add(bytes: Uint8Array, type: string, shown?: Held['shown']): Promise<BlobName> {
    const name = await blobName(bytes)
    const held: Held = { bytes, type, ...(shown ? { shown } : {}) }
    this.held.set(name.hash, held)
    showFromHere(name.hash, held)
    try {
      if (!this.keep) throw new Error('no store')
      await this.keep.keepBlob(name.hash, bytes, type)
    } catch {
      this.unkept.add(name.hash)
    }
    return name
  }

  /** Whether this browser keeps all that some batches name, as far as the server does not have it yet. */
  keeps(batches: readonly PendingBatch[]): boolean {
    if (this.unkept.size === 0) return true
    const edits = batches.flatMap((batch) => batch.changes.map((change) => change.edit))
    return broughtBy(edits).every(({ blob }) => !this.unkept.has(blob.hash))
  }

  /** Those that were kept before and are not known to have arrived. */
  async recover() {
    for (const { hash, ...held } of (await this.keep?.blobs().catch(() => [])) ?? []) {
      this.held.set(hash, held)
      showFromHere(hash, held)
    }
  }

  /** Sends what some edits name and the server does not have. @throws ApiError */
  async send(edits: readonly Edit[]) {
    for (const { blob } of broughtBy(edits)) {
      const held = this.held.get(blob.hash)
      if (!held) continue
      await sendBlob(this.wire, blob.hash, held.type, held.shown?.blob ?? held.bytes, (progress) => {
        this.progress = progress
        this.say()
      }).finally(() => {
        this.progress = undefined
      })
    }
  }

  /** Not more often than anybody reads. */
  private say() {
    const now = performance.now()
    if (now - this.said < BETWEEN_WORDS) return
    this.said = now
    this.changed()
  }

  /** The server has the edits that name these: it keeps them now. */
  arrived(edits: readonly Edit[]) {
    for (const { blob } of broughtBy(edits)) {
      this.held.delete(blob.hash)
      this.unkept.delete(blob.hash)
      void this.keep?.dropBlob(blob.hash).catch(() => undefined)
    }
  }

  /** All of some pictures, from here or from the server. @throws ApiError */
  async bytesOf(assets: Iterable<Pick<Asset, 'hash'>>): Promise<Blobs> {
    const blobs = new Map<string, Uint8Array>()
    for (const { hash } of assets)
      if (!blobs.has(hash)) blobs.set(hash, this.held.get(hash)?.bytes ?? (await this.wire.blob(hash)))
    return blobs
  }
}

/**
 * Sends a blob, going on where an earlier try left off.
 * @param progress is told 0 … 1 @throws ApiError; DOMException when `signal` ends it
 */
export async function sendBlob(
  wire: Pick<Wire, 'beginBlob' | 'sendPart'>,
  hash: string,
  type: string,
  bytes: Uint8Array | Blob,
  progress: (share: number) => void = () => undefined,
  signal?: AbortSignal,
) {
  const isBlob = bytes instanceof Blob
  const size = isBlob ? bytes.size : bytes.length
  let state = await wire.beginBlob(hash, { type, size })
  const count = partsOf(size)
  for (let part = 0; part < count && !state.complete; part++) {
    if (state.parts.includes(part)) continue
    signal?.throwIfAborted()
    progress(part / count)
    const [from, to] = [part * PART, (part + 1) * PART]
    state = await wire.sendPart(hash, part, isBlob ? bytes.slice(from, to) : bytes.subarray(from, to))
  }
  if (!state.complete) throw new ApiError(0, 'the picture did not arrive as a whole')
  progress(1)
}
