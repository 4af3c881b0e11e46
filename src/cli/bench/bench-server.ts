/**
 * A server that is measured, in a process of its own: the app's, or an Express with two routes: one answers and does nothing, one commits
 * what it is sent as a row and does nothing else.
 */
import express from 'express'
import { pino } from 'pino'
import { createApp, listen } from '../../server/app'
import { migrate } from '../../server/db/migrate'
import { openPool } from '../../server/db/pool'

const [what, port, address] = process.argv.slice(2)
const UNLIMITED = { address: 1e9, tab: 1e9, project: 1e9, bodies: 1e9 }

async function appServer() {
  const pool = openPool(JSON.parse(address!))
  await migrate(pool)
  return createApp(pool, pino({ level: 'silent' }), { limits: UNLIMITED }).app
}

function emptyServer() {
  const app = express()
  app.get('/', (_, response) => {
    response.json({ ok: true })
  })
  const pool = openPool(JSON.parse(address!))
  app.post('/', express.json(), async (request, response) => {
    await pool.execute('INSERT INTO raw_rows (body) VALUES (?)', [JSON.stringify(request.body)])
    response.json({ ok: true })
  })
  return app
}

await listen(what === 'app' ? await appServer() : emptyServer(), Number(port))
process.on('SIGINT', () => process.exit(0))
console.log('listening')
