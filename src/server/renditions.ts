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

/** Keeps the latest that were made. */
export class RenditionStore {
  /** By hash and px, the latest last. */
  private readonly kept = new Map<string, Uint8Array>()
  private size = 0

  constructor(private readonly draw: Make) {}

  async make(hash: string, photograph: Photograph): Promise<Uint8Array> {
    const key = `${hash} ${photograph.width}`
    const bytes = this.kept.get(key) ?? (await this.draw(photograph))
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
}

/** Made in a process beside the server's. */
export class RenditionMaker extends RenditionStore {
  private readonly beside: Beside<Photograph>

  constructor() {
    const beside = new Beside<Photograph>(
      new URL('webp-process.ts', import.meta.url),
      'makes photographs smaller',
      PATIENCE,
    )
    super((photograph) => beside.ask(photograph))
    this.beside = beside
  }

  end() {
    this.beside.end()
  }
}

/** The same project where every photograph is as small as one can be, in its own ratio: 1 px along its shorter side. */
function shrunk(doc: Document): Document {
  const file = doc.toFile()
  const assets = file.assets.map((asset) => {
    if (!isPhotograph(asset)) return asset
    const { width, height } = asset
    const short = Math.min(width, height)
    return { ...asset, width: width / short, height: height / short }
  })
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
  return planRenditions(doc, layer(doc), layer(shrunk(doc)))
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
