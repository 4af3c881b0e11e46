/** A slow line between a browser and a server: everything waits for its turn on it, and what goes over it is counted. */
import { request as ask, createServer } from 'node:http'
import type { AddressInfo } from 'node:net'

/** Bits a second, and ms there and back. */
const RATE = 10_000_000
const ROUND_TRIP = 40

export type Sent = { path: string; type: string; bytes: number }
export type Line = { address: string; sent: Sent[]; close: () => void }

const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** @param target where the server is, `http://127.0.0.1:port` */
export async function openLine(target: string): Promise<Line> {
  const sent: Sent[] = []
  let free = 0
  /** Resolves when so many bytes are through. */
  const turn = (bytes: number) => {
    const now = performance.now()
    free = Math.max(free, now) + (bytes * 8 * 1000) / RATE
    return rest(free - now)
  }
  const known = new WeakSet<object>()
  const server = createServer(async (request, response) => {
    // A connection is made first: once there and back.
    await rest(known.has(request.socket) ? ROUND_TRIP / 2 : ROUND_TRIP * 1.5)
    known.add(request.socket)
    const { method, url = '/', headers } = request
    const onward = ask(target + url, { method, headers: { ...headers, host: new URL(target).host } })
    onward.on('response', async (answer) => {
      const count: Sent = {
        path: url,
        type: String(answer.headers['content-type'] ?? ''),
        bytes: answer.rawHeaders.join(': ').length + 20,
      }
      sent.push(count)
      await rest(ROUND_TRIP / 2)
      response.writeHead(answer.statusCode ?? 502, answer.headers)
      try {
        for await (const chunk of answer as AsyncIterable<Buffer>) {
          count.bytes += chunk.length
          await turn(chunk.length)
          response.write(chunk)
        }
        response.end()
      } catch {
        // The browser has gone.
        response.destroy()
      }
    })
    onward.on('error', () => response.destroy())
    response.on('close', () => onward.destroy())
    request.pipe(onward)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  return {
    address: `http://127.0.0.1:${port}/`,
    sent,
    close: () => {
      server.closeAllConnections()
      server.close()
    },
  }
}
