/** Sending blobs in parts, and getting them. */
import { json, Router, raw } from 'express'
import * as v from 'valibot'
import { MOST_BLOB, PART } from '../core/blobs/blobs'
import { PICTURE_TYPES } from '../core/blobs/picture-type'
import { FONT_TYPE, HashSchema } from '../core/document/schema'
import type { BlobStore } from './blobs'
import { Problem } from './problem'
import { body, param } from './requests'

const BeginBody = v.strictObject({
  type: v.picklist([...PICTURE_TYPES, FONT_TYPE]),
  size: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(MOST_BLOB, 'at most 40 MB')),
})
const PartNumber = v.pipe(v.string(), v.regex(/^\d{1,4}$/), v.transform(Number))

/** A picture that is opened by itself is a document: one that runs nothing, fetches nothing and belongs to nobody. */
const ALONE = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox"

export function blobRoutes(blobs: BlobStore): Router {
  const router = Router()

  router.post('/:hash', json({ limit: '1kb' }), async (request, response) => {
    const hash = param(request, 'hash', HashSchema)
    response.json(await blobs.begin({ hash, ...body(BeginBody, request) }))
  })

  router.put(
    '/:hash/:part',
    raw({ type: 'application/octet-stream', limit: PART }),
    async (request, response) => {
      const bytes: unknown = request.body
      if (!Buffer.isBuffer(bytes))
        throw new Problem(415, 'Not bytes', 'a part is sent as application/octet-stream')
      const hash = param(request, 'hash', HashSchema)
      response.json(await blobs.put(hash, param(request, 'part', PartNumber), bytes))
    },
  )

  router.get('/:hash', async (request, response) => {
    const hash = param(request, 'hash', HashSchema)
    const state = await blobs.state(hash)
    if (!state?.complete) throw new Problem(404, 'No such picture', 'these bytes are not here')
    response.setHeader('ETag', `"${hash}"`)
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable')
    response.setHeader('Content-Security-Policy', ALONE)
    response.setHeader('X-Content-Type-Options', 'nosniff')
    if (request.headers['if-none-match'] === `"${hash}"`) {
      response.status(304).end()
      return
    }
    response.setHeader('Content-Type', state.type)
    response.setHeader('Content-Length', state.size)
    for await (const part of blobs.parts(hash, state.size))
      if (!response.write(part))
        await new Promise((resolve) => response.once('drain', resolve).once('close', resolve))
    response.end()
  })
  return router
}
