/** The handoff as one zip: HTML, CSS, pictures, fonts with their licences, tokens, the project. */
import { readFile } from 'node:fs/promises'
import { zipSync } from 'fflate'
import type { Blobs } from '../core/blobs/blobs'
import type { Document } from '../core/document/document'
import { projectArchive } from '../core/document/save'
import { buildSite, type SiteOptions } from '../core/handoff/site'
import { fontFile } from '../core/text/families'
import { licenceOf, woff2 } from './fonts'
import { renditionsOf } from './renditions'
import { type Photograph, webp } from './webp'

export type Making = SiteOptions & {
  /** How photographs are made smaller: here, or in a process beside. */
  make?: (hash: string, photograph: Photograph) => Promise<Uint8Array>
  signal?: AbortSignal
}

/**
 * Every file by path, as bytes.
 * @param blobs SVG pictures among them do no harm: one that is opened by itself is a document of its own
 * @throws the signal's reason
 */
export async function siteBytes(
  doc: Document,
  blobs: Blobs,
  { make = (_, photograph) => webp(photograph), signal, ...options }: Making = {},
): Promise<Map<string, Uint8Array>> {
  const smaller = await renditionsOf(doc, blobs, make, signal)
  const site = buildSite(doc, blobs, { ...options, renditions: smaller?.renditions })
  const files = new Map<string, Uint8Array>()
  for (const [path, text] of site.text) files.set(path, new TextEncoder().encode(text))
  for (const [path, bytes] of site.pictures) {
    files.set(path, bytes)
  }
  for (const [path, { asset, width }] of site.renditions)
    files.set(path, smaller!.made.get(asset)!.get(width)!)
  for (const [path, bytes] of site.ownFonts) files.set(path, bytes)
  files.set('project.lattice', projectArchive(doc, blobs))
  const licences = new Map<string, URL>()
  for (const id of site.fonts) {
    files.set(`fonts/${id}.woff2`, await woff2(id))
    licences.set(fontFile(id)!.slug, licenceOf(id))
  }
  for (const [slug, licence] of licences) files.set(`fonts/${slug}-LICENSE.txt`, await readFile(licence))
  return files
}

export async function siteZip(doc: Document, blobs: Blobs, making: Making): Promise<Uint8Array> {
  const files = await siteBytes(doc, blobs, making)
  // A fixed date: the same project gives the same bytes.
  return zipSync(Object.fromEntries(files), { level: 6, mtime: new Date('2026-01-01T00:00:00Z') })
}
