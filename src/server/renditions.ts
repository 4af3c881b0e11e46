/** Photographs in the sizes that a site needs: made in a process beside the server's, the latest kept. */
import type { Blobs } from '../core/blobs/blobs'
import { isPhotograph } from '../core/blobs/picture-type'
import { Document } from '../core/document/document'
import { type LayAt, planRenditions, type Renditions } from '../core/handoff/renditions'
import { PageLayout } from '../core/layout/page'
import { ParagraphCache } from '../core/text/paragraph-cache'
import { Beside } from './beside'
import { loadFonts } from './fonts'
import type { Photograph } from './webp'

/** One that takes longer is left out, ms. */
const PATIENCE = 60_000
/** Kept in memory, bytes. */
const MOST_KEPT = 64_000_000

type Make = (photograph: Photograph) => Promise<Uint8Array>
/** Bytes by the picture's id and px. */
export type Made = ReadonlyMap<string, ReadonlyMap<number, Uint8Array>>

export class RenditionMaker {
  private readonly beside = new Beside<Photograph>(
    new URL('webp-process.ts', import.meta.url),
    'makes photographs smaller',
    PATIENCE,
  )
  /** By hash and px, the latest last. */
  private readonly kept = new Map<string, Uint8Array>()
  private size = 0

  async make(hash: string, photograph: Photograph): Promise<Uint8Array> {
    const key = `${hash} ${photograph.width}`
    const bytes = this.kept.get(key) ?? (await this.beside.ask(photograph))
    if (this.kept.delete(key)) this.size -= bytes.length
    this.kept.set(key, bytes)
    this.size += bytes.length
    for (const [old, { length }] of this.kept) {
      if (this.size <= MOST_KEPT) break
      this.kept.delete(old)
      this.size -= length
    }
    return bytes
  }

  end() {
    this.beside.end()
  }
}

/** The same project where every photograph has half its px. */
function halved(doc: Document): Document {
  const file = doc.toFile()
  const assets = file.assets.map((asset) =>
    isPhotograph(asset)
      ? { ...asset, width: Math.max(1, asset.width / 2), height: Math.max(1, asset.height / 2) }
      : asset,
  )
  return Document.fromFile({ ...file, assets })
}

/** What a project's photographs are to be; undefined: it shows none. */
async function plan(doc: Document, blobs: Blobs): Promise<Renditions | undefined> {
  if (![...doc.assets.values()].some(isPhotograph)) return undefined
  const paragraphs = new ParagraphCache(await loadFonts(doc, blobs))
  const layer = (of: Document): LayAt => {
    const known = new Map<string, PageLayout>()
    return (page, width) => {
      const key = `${page} ${width}`
      const layout = known.get(key) ?? new PageLayout(of, page, of.viewAt(width).id, width, paragraphs)
      known.set(key, layout)
      return layout
    }
  }
  return planRenditions(doc, layer(doc), layer(halved(doc)))
}

/**
 * Makes what a site needs; what cannot be made is left out, and its own file stands for it.
 * @param signal ends it between two pictures @throws its reason
 */
export async function renditionsOf(
  doc: Document,
  blobs: Blobs,
  make: (hash: string, photograph: Photograph) => ReturnType<Make>,
  signal?: AbortSignal,
): Promise<{ renditions: Renditions; made: Made } | undefined> {
  const planned = await plan(doc, blobs)
  if (!planned) return undefined
  const made = new Map<string, Map<number, Uint8Array>>()
  for (const [id, widths] of planned.widths) {
    const { hash } = doc.assets.get(id)!
    const bytes = blobs.get(hash)
    for (const width of bytes ? widths : []) {
      signal?.throwIfAborted()
      const smaller = await make(hash, { bytes: bytes!, width }).catch(() => undefined)
      if (!smaller) break
      made.set(id, (made.get(id) ?? new Map()).set(width, smaller))
    }
  }
  const widths = new Map([...made].map(([id, each]) => [id, [...each.keys()]] as const))
  return { renditions: { ...planned, widths }, made }
}
