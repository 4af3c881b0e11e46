/** The pages that are held against one another: the demo's, the shelf's, random ones; each in the app, too. */
import { readFile } from 'node:fs/promises'
import type { Blobs } from '../../core/blobs/blobs'
import { typeOfPicture } from '../../core/blobs/picture-type'
import { Document } from '../../core/document/document'
import { openProject } from '../../core/document/open'
import type { ProjectFile } from '../../core/document/schema'
import { shelfProject } from '../conformance/shelf-project'
import { photographs } from '../photographs'
import { DEMO_FILE, type Running } from '../serve'
import { storeBlob, storeProject } from '../store-project'
import { designedPage } from './pages'
import { backgroundPage, paintsPage } from './paints'
import type { Subject } from './ways'

/** Every page at every view. */
async function subjectsOf(app: Running, name: string, doc: Document, blobs: Blobs): Promise<Subject[]> {
  const list: Subject[] = []
  for (const page of doc.pagesInOrder()) {
    // The board opens a project at its first page.
    const project = await storeProject(app.address, { ...doc.frame(), pages: [doc.pageFile(page.id)] })
    for (const { id: view, width } of doc.viewsOf(page))
      list.push({ name: `${name}, ${page.name} at ${width}`, doc, blobs, page: page.id, view, project })
  }
  return list
}

/** @param documents random pages, each at one of its views */
export async function* subjects(app: Running, documents: number, seed: number): AsyncGenerator<Subject> {
  const { document: demo, blobs } = openProject(await readFile(DEMO_FILE))
  yield* await subjectsOf(app, 'demo', demo, blobs)
  const fromFile = (file: ProjectFile) => Document.fromFile(structuredClone(file))
  const photographed = await photographs()
  for (const bytes of photographed.blobs.values()) await storeBlob(app.address, bytes, typeOfPicture(bytes)!)
  const shown = new Map([...blobs, ...photographed.blobs])
  yield* await subjectsOf(app, 'shelf', fromFile(shelfProject(photographed.assets)), shown)
  const assets = [...demo.assets.values(), ...photographed.assets]
  yield* (await subjectsOf(app, 'paints', fromFile(paintsPage(assets)), shown)).slice(0, 1)
  yield* (await subjectsOf(app, 'background', fromFile(backgroundPage()), blobs)).slice(0, 1)
  for (let i = 0; i < documents; i++) {
    const doc = fromFile(designedPage(seed + i, assets))
    yield* (await subjectsOf(app, `page ${seed + i}`, doc, shown)).slice(i % 2, (i % 2) + 1)
  }
}
