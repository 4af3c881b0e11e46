/** The HTTP interface. Everything that comes in is checked here. */
import { json, type Request, Router } from 'express'
import { nanoid } from 'nanoid'
import * as v from 'valibot'
import { FormatError, openProject } from '../core/document/open'
import { IdSchema } from '../core/document/schema'
import { slug } from '../core/handoff/names'
import { starterProject } from '../core/shelf/starter'
import { fontFile } from '../core/text/fonts'
import { openType, woff2 } from './fonts'
import { siteZip } from './handoff'
import { coverSvg } from './pictures'
import { Problem } from './problem'
import type { Projects } from './projects'
import { streamProject } from './stream'

const Name = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, 'a name is needed'),
  v.maxLength(200, 'a name of at most 200 characters'),
)
const CreateBody = v.union([v.strictObject({ name: Name }), v.strictObject({ file: v.string() })])
const AppendBody = v.strictObject({
  base: v.pipe(v.number(), v.integer(), v.minValue(0)),
  key: IdSchema,
  edits: v.pipe(v.array(v.unknown()), v.minLength(1), v.maxLength(10_000)),
})

function body<S extends v.GenericSchema>(schema: S, request: Request): v.InferOutput<S> {
  const result = v.safeParse(schema, request.body)
  if (result.success) return result.output
  const issue = result.issues[0]
  const where = (issue.path ?? []).map((step) => String(step.key)).join('.')
  throw new Problem(400, 'Bad request', `${where ? `${where}: ` : ''}${issue.message}`)
}

const idOf = (request: Request) => {
  const result = v.safeParse(IdSchema, request.params.id)
  if (!result.success) throw new Problem(404, 'No such project', 'that is not the id of a project')
  return result.output
}

export function projectRoutes(projects: Projects): Router {
  const router = Router()
  const small = json({ limit: '24mb' })

  router.get('/projects', async (_, response) => {
    const rows = await projects.list()
    response.json(
      rows.map((row) => ({
        id: row.id,
        name: row.name,
        revision: row.revision,
        changed: row.changed_at.toISOString(),
      })),
    )
  })

  router.post('/projects', json({ limit: '80mb' }), async (request, response) => {
    const asked = body(CreateBody, request)
    try {
      const file = 'file' in asked ? openProject(asked.file).toFile() : starterProject(asked.name, nanoid(10))
      response.status(201).json(await projects.create(file))
    } catch (error) {
      if (error instanceof FormatError)
        throw new Problem(422, 'Cannot be opened', error.message, { path: error.path, reason: error.reason })
      throw error
    }
  })

  router.get('/projects/:id', async (request, response) => {
    const { id, name, revision, doc } = await projects.load(idOf(request))
    response.json({ id, name, revision, file: doc.toFile() })
  })

  router.post('/projects/:id/edits', small, async (request, response) => {
    const { base, key, edits } = body(AppendBody, request)
    response.json(await projects.append(idOf(request), base, key, edits))
  })

  router.get('/projects/:id/stream', (request, response, next) =>
    streamProject(projects, idOf(request), request, response).catch(next),
  )

  router.patch('/projects/:id', small, async (request, response) => {
    const { name } = body(v.strictObject({ name: Name }), request)
    const id = idOf(request)
    // Renaming is an edit like any other, so that open tabs see it.
    for (let attempt = 0; ; attempt++) {
      try {
        response.json(
          await projects.append(id, await projects.revision(id), nanoid(16), [{ op: 'project', name }]),
        )
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

  router.get('/projects/:id/picture.svg', async (request, response) => {
    const { doc, revision } = await projects.load(idOf(request))
    const tag = `"${revision}"`
    response.setHeader('ETag', tag)
    response.setHeader('Cache-Control', 'no-cache')
    if (request.headers['if-none-match'] === tag) {
      response.status(304).end()
      return
    }
    response.type('image/svg+xml').send(await coverSvg(doc))
  })

  router.get('/projects/:id/handoff.zip', async (request, response) => {
    const { doc, name } = await projects.load(idOf(request))
    const zip = await siteZip(doc)
    response.setHeader('Content-Disposition', `attachment; filename="${slug(name, 'project')}.zip"`)
    response.type('application/zip').send(Buffer.from(zip))
  })

  router.use((request) => {
    throw new Problem(404, 'Not found', `there is nothing at ${request.path}`)
  })
  return router
}

/** Font files, as shipped for the page and uncompressed for shaping. They never change under their name. */
export function fontRoutes(): Router {
  const router = Router()
  router.get('/:name', async (request, response, next) => {
    const match = /^([a-z0-9-]+)\.(woff2|ttf)$/.exec(request.params.name)
    if (!match || !fontFile(match[1])) return next()
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable')
    const bytes = match[2] === 'ttf' ? Buffer.from(await openType(match[1])) : await woff2(match[1])
    response.type(match[2] === 'ttf' ? 'font/ttf' : 'font/woff2').send(bytes)
  })
  return router
}
