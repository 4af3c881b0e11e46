/** The app server: holds no state of its own beyond caches. */
import { existsSync } from 'node:fs'
import { createServer, type RequestListener, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import compression from 'compression'
import express, { type Request, type RequestHandler, type Response } from 'express'
import helmet from 'helmet'
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import sirv from 'sirv'
import { blobRoutes } from './blob-routes'
import { Covers } from './covers'
import type { Disk } from './disk'
import { appendedBy, editsRoute } from './edits-route'
import { gateOf } from './gate'
import type { Pace } from './held'
import { LIMITS, type Limits } from './limits'
import { Prints } from './prints'
import { Problem, problemHandler } from './problem'
import { Projects } from './projects'
import { RenditionMaker } from './renditions'
import { fontRoutes, projectRoutes } from './routes'
import { Streams } from './stream'

/** What the app has a page for. Whoever asks for anything else, such as /metrics or /ready, is not told that it is there. */
const PAGES = ['/', '/index.html', '/projects/:id', '/projects/:id/*rest']

/** One that is being done serves all who ask meanwhile. */
function shared<T>(work: () => Promise<T>): () => Promise<T> {
  let running: Promise<T> | undefined
  return () => {
    running ??= work().finally(() => {
      running = undefined
    })
    return running
  }
}

const pageHeaders = helmet({
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
})

/** The workers that unpack fonts: the decoder's compiler makes its glue from strings. They see fonts of ours and nothing else. */
const UNPACKERS = /\/(font|layout)\.worker-[^/]+\.js$/
const UNPACKING = "default-src 'none'; script-src 'self' 'unsafe-eval'; connect-src 'self'"

/** Streams are sent as they come; pictures and archives are packed already. */
const compressible: compression.CompressionFilter = (_, response) =>
  /json|svg/.test(String(response.getHeader('Content-Type')))

const WEB = fileURLToPath(new URL('../../dist/web/', import.meta.url))

export type AppOptions = {
  /** Names that the server answers to besides loopback's. */
  hosts?: readonly string[]
  limits?: Partial<Limits>
  /** The disk of a database that lies on this machine. */
  disk?: Disk
  /** How often snapshots are written. */
  pace?: Pace
  /** How often the log is looked at for what other servers could not tell, ms. */
  poll?: number
  /** The module that prints pages, in a process of its own. */
  printer?: URL
}

/** `end` ends what goes on beside requests. */
export type RunningApp = { app: RequestListener; projects: Projects; streams: Streams; end: () => void }

/** A check that throws, for Express. */
const passing =
  (check: (request: Request, response: Response) => void | Promise<void>): RequestHandler =>
  async (request, response, next) => {
    await check(request, response)
    next()
  }

export function createApp(pool: Pool, log: Logger, options: AppOptions = {}): RunningApp {
  const gate = gateOf(options.hosts, { ...LIMITS, ...options.limits }, options.disk)
  const app = express()
  const projects = new Projects(pool, options.pace)
  const streams = new Streams(projects, options.poll)
  const covers = new Covers(projects)
  const prints = new Prints(projects, options.printer)
  const renditions = new RenditionMaker()
  const isUp = shared(() => pool.query('SELECT 1'))
  app.disable('x-powered-by')
  app.use(passing(gate.host))
  app.use('/api', passing(gate.page))
  app.get('/api/health', async (_, response) => {
    await isUp()
    response.json({ ok: true, ...(options.disk ? { disk: options.disk.room } : {}) })
  })
  const compressed = compression({ filter: compressible })
  app.use('/api', (request, response, next) =>
    request.method === 'GET' ? compressed(request, response, next) : next(),
  )
  app.use('/api', passing(gate.room))
  app.use('/api/blobs', blobRoutes(projects.blobs))
  app.use('/api', projectRoutes(projects, streams, { covers, prints, renditions }))
  app.use(pageHeaders)
  app.use('/fonts', fontRoutes())
  if (existsSync(WEB)) {
    // Named by their content: they never change. Compressed when they were built.
    app.use(
      '/assets',
      sirv(`${WEB}assets`, {
        brotli: true,
        gzip: true,
        immutable: true,
        maxAge: 31_536_000,
        etag: true,
        setHeaders: (response, path) => {
          if (UNPACKERS.test(path)) response.setHeader('Content-Security-Policy', UNPACKING)
        },
      }),
    )
    app.get(PAGES, (_, response) => {
      response.setHeader('Cache-Control', 'no-cache')
      response.sendFile('index.html', { root: WEB })
    })
  }
  app.use((request: Request) => {
    throw new Problem(404, 'Not found', `there is nothing at ${request.path}`)
  })
  app.use(problemHandler(log))
  const edits = editsRoute(projects, gate, log)
  return {
    app: (request, response) => {
      const project = appendedBy(request)
      if (project === undefined) app(request, response)
      else void edits(project, request, response)
    },
    projects,
    streams,
    end: () => {
      streams.end()
      covers.end()
      prints.end()
      renditions.end()
      projects.svg.end()
    },
  }
}

/**
 * ms that a connection nobody speaks on is kept: longer than browsers, proxies and test runners keep theirs. Who closes first
 * must be the one that asks, or a request may be sent into a connection that is just being closed.
 */
const KEPT_OPEN = 310_000

/** Listens on loopback. Port 0: any free one. */
export function listen(app: RequestListener, port: number): Promise<{ server: Server; port: number }> {
  return new Promise((resolve, reject) => {
    const server = createServer(app)
    server.listen(port, '127.0.0.1', () => resolve({ server, port: (server.address() as AddressInfo).port }))
    server.keepAliveTimeout = KEPT_OPEN
    server.on('error', reject)
  })
}
