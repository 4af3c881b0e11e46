/** The app server: holds no state of its own beyond caches. */
import { existsSync } from 'node:fs'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import sirv from 'sirv'
import { blobRoutes } from './blob-routes'
import { bodyBudget, LIMITS, type Limits, rateLimits } from './limits'
import { problemHandler } from './problem'
import { Projects } from './projects'
import { fontRoutes, projectRoutes } from './routes'
import { knownHosts, sameOrigin } from './same-origin'
import { Streams } from './stream'

/** Streams are sent as they come; pictures and archives are packed already. */
const compressible: compression.CompressionFilter = (_, response) =>
  /json|svg/.test(String(response.getHeader('Content-Type')))

const WEB = fileURLToPath(new URL('../../dist/web/', import.meta.url))

export type AppOptions = {
  /** Names that the server answers to besides loopback's. */
  hosts?: readonly string[]
  limits?: Partial<Limits>
}

export function createApp(
  pool: Pool,
  log: Logger,
  options: AppOptions = {},
): { app: Express; projects: Projects; streams: Streams } {
  const limits = { ...LIMITS, ...options.limits }
  const app = express()
  const projects = new Projects(pool)
  const streams = new Streams(projects)
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // WebAssembly for text shaping; scripts are never made from strings.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
    }),
  )
  app.use(knownHosts(options.hosts))
  app.use('/api', sameOrigin)
  app.get('/api/health', async (_, response) => {
    await pool.query('SELECT 1')
    response.json({ ok: true })
  })
  app.use('/api', compression({ filter: compressible }))
  app.use('/api', ...rateLimits(limits), bodyBudget(limits.bodies))
  app.use('/api/blobs', blobRoutes(projects.blobs))
  app.use('/api', projectRoutes(projects, streams))
  app.use('/fonts', fontRoutes())
  if (existsSync(WEB)) {
    // Named by their content: they never change. Compressed when they were built.
    app.use(
      '/assets',
      sirv(`${WEB}assets`, { brotli: true, gzip: true, immutable: true, maxAge: 31_536_000, etag: true }),
    )
    app.get(/^\/(?!api\/|fonts\/|assets\/).*/, (_, response) => {
      response.setHeader('Cache-Control', 'no-cache')
      response.sendFile('index.html', { root: WEB })
    })
  }
  app.use(problemHandler(log))
  return { app, projects, streams }
}

/** Listens on loopback. Port 0: any free one. */
export function listen(app: Express, port: number): Promise<{ server: Server; port: number }> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, '127.0.0.1', () =>
      resolve({ server, port: (server.address() as AddressInfo).port }),
    )
    server.on('error', reject)
  })
}
