/** The HTTP interface. Everything that comes in is checked here. */

import { json, Router } from 'express'
import { nanoid } from 'nanoid'
import * as v from 'valibot'
import { HASH } from '../core/blobs/blobs'
import { withCleanPictures } from '../core/document/cleaned'
import { namedBlobs } from '../core/document/named-blobs'
import { FormatError, openProject } from '../core/document/open'
import type { ProjectFile } from '../core/document/schema'
import { slug } from '../core/handoff/names'
import { IdSchema } from '../core/properties/values'
import type { ParkedOutside } from '../core/replica/parked-schema'
import { starterProject } from '../core/shelf/starter'
import type { Covers } from './covers'
import { noteUses } from './db/blobs.sql'
import { dismissParked, insertParked, isDismissed, listParked } from './db/parked.sql'
import type { ProjectRow } from './db/projects.sql'
import { shippedFile, woff2 } from './fonts'
import { siteZip } from './handoff'
import { MOST_BATCH, MOST_FILE } from './limits'
import { checkRoom, MOST_PARKED, parkedIn, readParked } from './parked'
import type { Prints } from './prints'
import { Problem } from './problem'
import type { Projects } from './projects'
import type { RenditionMaker } from './renditions'
import { body, idOf } from './requests'
import { SPEAKER } from './same-origin'
import type { Streams } from './stream'
import type { Photograph } from './webp'

const Name = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, 'a name is needed'),
  v.maxLength(200, 'a name of at most 200 characters'),
)
/** `key`: whoever hears no answer asks again with the same. */
const CreateBody = v.union([
  v.strictObject({ name: Name, key: v.optional(IdSchema) }),
  v.strictObject({ file: v.string(), key: v.optional(IdSchema) }),
])
const KnownBody = v.strictObject({ keys: v.pipe(v.array(IdSchema), v.maxLength(10_000)) })

/** A project file that was sent as text; pictures that lay in it are put into the store. @throws FormatError */
async function opened(projects: Projects, text: string): Promise<ProjectFile> {
  const { document, blobs } = await withCleanPictures(openProject(text), projects.svg.harmless)
  await projects.blobs.add(blobs, new Map(namedBlobs(document).map(({ hash, type }) => [hash, type])))
  return document.toFile()
}

const listed = ({ id, name, revision, changed_at: changed }: ProjectRow) => ({
  id,
  name,
  revision,
  changed: changed.toISOString(),
})

/** What is made in processes of their own. */
export type Makers = { covers: Covers; prints: Prints; renditions: RenditionMaker }

export function projectRoutes(
  projects: Projects,
  streams: Streams,
  { covers, prints, renditions }: Makers,
): Router {
  const router = Router()
  const small = json({ limit: MOST_BATCH })

  router.get('/projects', async (_, response) => {
    response.json((await projects.list()).map(listed))
  })

  router.get('/trash', async (_, response) => {
    response.json((await projects.listDeleted()).map((row) => ({ ...listed(row), deleted: row.deleted_at })))
  })

  router.post('/projects', json({ limit: MOST_FILE }), async (request, response) => {
    const asked = body(CreateBody, request)
    try {
      const file =
        'file' in asked ? await opened(projects, asked.file) : starterProject(asked.name, nanoid(10))
      response.status(201).json(await projects.create(file, asked.key))
    } catch (error) {
      if (error instanceof FormatError)
        throw new Problem(422, 'Cannot be opened', error.message, { path: error.path, reason: error.reason })
      throw error
    }
  })

  /** The outline and the page that is asked for, or the first. */
  router.get('/projects/:id/page', async (request, response) => {
    const { id: page } = request.query
    response.json(await projects.readPage(idOf(request), typeof page === 'string' ? page : undefined))
  })

  router.get('/projects/:id', async (request, response) => {
    response.json(await projects.read(idOf(request)))
  })

  /** What came after a revision, for who went on from it: their `head` says which log they mean. */
  router.get('/projects/:id/edits', async (request, response) => {
    const id = idOf(request)
    const since = Number(request.query.since)
    const { revision } = await projects.state(id)
    if (!Number.isInteger(since) || since < 0)
      throw new Problem(400, 'Bad request', 'since: a revision is needed')
    if (!(await projects.goesOnFrom(id, since, String(request.query.head ?? ''))))
      throw new Problem(409, 'Apart', `the project here does not go on from ${since}`, {
        revision,
        apart: true,
      })
    response.json(await projects.since(id, since))
  })

  router.post('/projects/:id/edits/known', small, async (request, response) => {
    const { keys } = body(KnownBody, request)
    response.json(await projects.known(idOf(request), keys))
  })

  router.get('/projects/:id/parked', async (request, response) => {
    const rows = await listParked(projects.pool, idOf(request))
    response.json(rows.flatMap((row) => readParked(row.body) ?? []))
  })

  router.put('/projects/:id/parked/:parked', json({ limit: MOST_PARKED }), async (request, response) => {
    const id = idOf(request)
    const parked = idOf(request, 'parked')
    await projects.state(id)
    const asked = parkedIn(request.body, parked)
    await checkRoom(projects.pool, id, parked, asked)
    await insertParked(projects.pool, id, parked, JSON.stringify(asked))
    await keepNamed(projects, id, asked)
    response.json({ dismissed: await isDismissed(projects.pool, id, parked) })
  })

  router.delete('/projects/:id/parked/:parked', async (request, response) => {
    const id = idOf(request)
    await projects.state(id)
    await dismissParked(projects.pool, id, idOf(request, 'parked'))
    response.status(204).end()
  })

  router.get('/projects/:id/stream', async (request, response) => {
    const { since, head } = request.query
    await streams.join(idOf(request), Number(since), typeof head === 'string' ? head : '', response)
  })

  router.patch('/projects/:id', small, async (request, response) => {
    const { name } = body(v.strictObject({ name: Name }), request)
    const id = idOf(request)
    // Renaming is an edit like any other, so that open tabs see it.
    for (let attempt = 0; ; attempt++) {
      try {
        const { revision: base, head } = await projects.state(id)
        const batch = { base, head, key: nanoid(16), by: request.get(SPEAKER)!, at: Date.now() }
        response.json(await projects.append(id, { ...batch, edits: [{ op: 'project', name }] }))
        return
      } catch (error) {
        if (!(error instanceof Problem) || error.status !== 409 || attempt > 4) throw error
      }
    }
  })

  router.delete('/projects/:id', async (request, response) => {
    await projects.setDeleted(idOf(request), true)
    response.status(204).end()
  })

  router.post('/projects/:id/restore', async (request, response) => {
    await projects.setDeleted(idOf(request), false)
    response.status(204).end()
  })

  router.post('/projects/:id/duplicate', async (request, response) => {
    response.status(201).json(await projects.duplicate(idOf(request)))
  })

  router.get('/projects/:id/picture.png', async (request, response) => {
    const id = idOf(request)
    const { revision, head } = await projects.state(id)
    const tag = `"${revision}-${head}"`
    response.setHeader('ETag', tag)
    response.setHeader('Cache-Control', 'no-cache')
    if (request.headers['if-none-match'] === tag) {
      response.status(304).end()
      return
    }
    const png = await covers.of(id, revision, head)
    response.type('image/png').send(Buffer.from(png))
  })

  router.get('/projects/:id/handoff.zip', async (request, response) => {
    const { doc, blobs, name } = await projects.whole(idOf(request))
    // Whoever gave it up waits for nothing more.
    const gone = new AbortController()
    response.on('close', () => gone.abort(new Error('nobody waits for it')))
    const make = (hash: string, photograph: Photograph) => renditions.make(hash, photograph)
    const zip = await siteZip(doc, blobs, { make, signal: gone.signal }).catch((error) => {
      if (!gone.signal.aborted) throw error
    })
    if (!zip) return
    response.setHeader('Content-Disposition', `attachment; filename="${slug(name, 'project')}.zip"`)
    response.type('application/zip').send(Buffer.from(zip))
  })

  router.get('/projects/:id/pages/:page/:view.pdf', async (request, response) => {
    const { page, view } = request.params
    const { theme } = request.query
    const { name, pdf } = await prints.pdf(
      idOf(request),
      page,
      view,
      typeof theme === 'string' ? theme : undefined,
    )
    response.setHeader('Content-Disposition', `attachment; filename="${slug(name, 'page')}.pdf"`)
    response.type('application/pdf').send(Buffer.from(pdf))
  })

  return router
}

/** What parked edits would bring back is not collected meanwhile. */
async function keepNamed(projects: Projects, id: string, { edits }: ParkedOutside) {
  const named = edits.flatMap((edit) => {
    const hash = (edit.asset as { hash?: unknown } | null | undefined)?.hash
    return typeof hash === 'string' && HASH.test(hash) ? [hash] : []
  })
  const missing = await projects.blobs.missing(projects.pool, named)
  const there = named.filter((hash) => !missing.includes(hash))
  await noteUses(
    projects.pool,
    there.map((hash) => [id, hash] as const),
  )
}

/** Font files as they ship. They never change under their name. */
export function fontRoutes(): Router {
  const router = Router()
  router.get('/:name', async (request, response, next) => {
    const match = /^([a-z0-9-]+)\.woff2$/.exec(request.params.name)
    if (!match || !(await shippedFile(match[1]!))) return next()
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable')
    response.type('font/woff2').send(await woff2(match[1]!))
  })
  return router
}
