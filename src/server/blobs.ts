/** The blob store: bytes come in parts, are checked when they are all there, and never change afterwards. */
import { createHash } from 'node:crypto'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { type Blobs, MOST_BLOB, PART, partsOf } from '../core/blobs/blobs'
import { sizeInHead, sizeProblem } from '../core/blobs/picture-head'
import { type PictureType, typeOfPicture } from '../core/blobs/picture-type'
import { FONT_TYPE, MOST_FONT } from '../core/document/schema'
import { unpackedSize } from '../core/text/font-file'
import * as sql from './db/blobs.sql'
import { Problem } from './problem'

type Connection = Pool | PoolConnection
/** `parts`: numbers of those that are there. */
export type BlobState = { type: string; size: number; complete: boolean; parts: number[] }

/** What the document names. */
type Named = { hash: string; type: string; size: number }

/** Bytes of what is begun and not finished, of all who send, before no more is begun. */
const MOST_BEGUN = 2_000_000_000

export class BlobStore {
  /** @param isClean whether an SVG picture does no harm; throws Problem when that cannot be found out */
  constructor(
    private readonly pool: Pool,
    private readonly isClean: (svg: string) => Promise<boolean>,
  ) {}

  /** Says that a blob is wanted: begins it, or keeps one that is there. @throws Problem 422 */
  async begin({ hash, type, size }: Named): Promise<BlobState> {
    if (size > MOST_BLOB)
      throw new Problem(422, 'Too large', `a picture may be ${MOST_BLOB / 1_000_000} MB, this one is larger`)
    const known = await sql.findBlob(this.pool, hash)
    // What was announced otherwise before was announced wrong by one of the two: the bytes will tell.
    if (known && known.complete === 0 && (known.size !== size || known.type !== type))
      await sql.dropIncomplete(this.pool, hash)
    if (!known && (await sql.begunBytes(this.pool)) + size > MOST_BEGUN)
      throw new Problem(429, 'Too much begun', 'too many pictures are on their way at once; try again later')
    await sql.touchBlob(this.pool, hash, type, size)
    return this.settled((await sql.findBlob(this.pool, hash))!)
  }

  async state(hash: string): Promise<BlobState | undefined> {
    const row = await sql.findBlob(this.pool, hash)
    return row && stateOf(row, row.complete === 1 ? [] : await sql.listParts(this.pool, hash))
  }

  /** Completed where all parts are there: also when a server ended before it had done so. @throws Problem 422 */
  private async settled(row: sql.BlobRow): Promise<BlobState> {
    const parts = row.complete === 1 ? [] : await sql.listParts(this.pool, row.hash)
    if (row.complete === 1 || parts.length < partsOf(row.size)) return stateOf(row, parts)
    await this.complete(row)
    return stateOf({ ...row, complete: 1 }, [])
  }

  /** Takes one part; the last one that was missing completes the blob. @throws Problem 404, 422 */
  async put(hash: string, part: number, bytes: Uint8Array): Promise<BlobState> {
    const row = await sql.findBlob(this.pool, hash)
    if (!row) throw new Problem(404, 'Not begun', 'say first what is to be sent')
    if (row.complete === 1) return stateOf(row, [])
    const count = partsOf(row.size)
    const expected = part < count - 1 ? PART : row.size - PART * (count - 1)
    if (part >= count || bytes.length !== expected)
      throw new Problem(
        422,
        'Wrong part',
        `part ${part} of ${count} has ${expected} bytes, not ${bytes.length}`,
      )
    await sql.insertPart(this.pool, hash, part, bytes)
    return this.settled(row)
  }

  /** @throws Problem 422 when the bytes are not what they were said to be: then they go */
  private async complete({ hash, type, size }: Named) {
    const bytes = await this.joined(hash, size)
    const reason = await refusalOf(bytes, { hash, type }, this.isClean).catch(async (error: unknown) => {
      // Sent again it would be no easier to read.
      if (error instanceof Problem) await sql.dropIncomplete(this.pool, hash)
      throw error
    })
    if (reason) {
      await sql.dropIncomplete(this.pool, hash)
      throw new Problem(422, 'Not what was said', reason)
    }
    await sql.completeBlob(this.pool, hash)
  }

  private async joined(hash: string, size: number): Promise<Buffer> {
    const parts: Buffer[] = []
    for await (const part of this.parts(hash, size)) parts.push(part)
    return Buffer.concat(parts)
  }

  /** The bytes, part by part. */
  async *parts(hash: string, size: number): AsyncGenerator<Buffer> {
    for (let part = 0; part < partsOf(size); part++) {
      const bytes = await sql.readPart(this.pool, hash, part)
      if (!bytes) throw new Error(`part ${part} of the blob ${hash} is not there`)
      yield bytes
    }
  }

  /** Puts whole blobs in that were checked before. @param types by hash */
  async add(blobs: Blobs, types: ReadonlyMap<string, string>) {
    for (const [hash, bytes] of blobs) {
      await sql.touchBlob(this.pool, hash, types.get(hash)!, bytes.length)
      for (let part = 0; part < partsOf(bytes.length); part++)
        await sql.insertPart(this.pool, hash, part, bytes.subarray(part * PART, (part + 1) * PART))
      await sql.completeBlob(this.pool, hash)
    }
  }

  /** @throws when one is not there */
  async read(named: Iterable<Named>): Promise<Map<string, Uint8Array>> {
    const blobs = new Map<string, Uint8Array>()
    for (const { hash, size } of named) if (!blobs.has(hash)) blobs.set(hash, await this.joined(hash, size))
    return blobs
  }

  /** Those of some hashes that are not here, or not whole. */
  async missing(db: Connection, hashes: readonly string[]): Promise<string[]> {
    const there = await sql.completeAmong(db, hashes)
    return hashes.filter((hash) => !there.has(hash))
  }
}

const stateOf = ({ type, size, complete }: sql.BlobRow, parts: number[]): BlobState => ({
  type,
  size,
  complete: complete === 1,
  parts,
})

function fontRefusal(bytes: Buffer): string | undefined {
  if (bytes.length > MOST_FONT) return `a font may be ${MOST_FONT / 1_000_000} MB, this one is larger`
  try {
    unpackedSize(bytes)
  } catch (error) {
    return (error as Error).message
  }
  return undefined
}

async function refusalOf(
  bytes: Buffer,
  { hash, type }: Pick<Named, 'hash' | 'type'>,
  isClean: (svg: string) => Promise<boolean>,
): Promise<string | undefined> {
  if (createHash('sha256').update(bytes).digest('hex') !== hash)
    return 'it was damaged on its way: its bytes are not those that were announced; send it again'
  if (type === FONT_TYPE) return fontRefusal(bytes)
  const found: PictureType | undefined = typeOfPicture(bytes)
  if (found !== type)
    return `what was sent as ${type} is ${found ?? 'none of the kinds of pictures that can be used'}`
  const size = sizeInHead(bytes, found)
  const tooLarge = size && sizeProblem(size)
  if (tooLarge) return `the picture ${tooLarge}`
  if (found === 'image/svg+xml' && !(await isClean(bytes.toString('utf8'))))
    return 'the picture holds scripts, or fetches something from elsewhere; open it here again, so that it is cleaned'
  return undefined
}
