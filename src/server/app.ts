/** The app server: holds no state of its own beyond caches. */
import { existsSync } from 'node:fs'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import express, { type Express } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import { problemHandler } from './problem'
import { Projects } from './projects'
import { fontRoutes, projectRoutes } from './routes'

const WEB = fileURLToPath(new URL('../../dist/web/', import.meta.url))

export function createApp(pool: Pool, log: Logger): { app: Express; projects: Projects } {
  const app = express()
  const projects = new Projects(pool)
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
  app.get('/api/health', async (_, response) => {
    await pool.query('SELECT 1')
    response.json({ ok: true })
  })
  app.use(
    '/api',
    rateLimit({ windowMs: 60_000, limit: 12_000, standardHeaders: 'draft-8', legacyHeaders: false }),
  )
  app.use('/api', projectRoutes(projects))
  app.use('/fonts', fontRoutes())
  if (existsSync(WEB)) {
    app.use(express.static(WEB, { index: false, maxAge: '1h' }))
    app.get(/^\/(?!api\/|fonts\/|assets\/).*/, (_, response) => {
      response.setHeader('Cache-Control', 'no-cache')
      response.sendFile('index.html', { root: WEB })
    })
  }
  app.use(problemHandler(log))
  return { app, projects }
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
