/** Fetches font files and unpacks them for shaping, off the main thread: each travels once, and serves both uses. Reads those from outside. */
import { type FontBytes, fontBytes } from './font-bytes'
import type { ReadFont } from './read-font'

export type FontRequest = { id: number } & ({ fetch: string } | { read: ArrayBuffer })
export type FontMessage = { id: number; fetched?: FontBytes; read?: ReadFont; problem?: string }

async function answerTo(request: FontRequest): Promise<void> {
  const { id } = request
  if ('fetch' in request) {
    const fetched = await fontBytes(request.fetch)
    return postMessage({ id, fetched } satisfies FontMessage, {
      transfer: [fetched.woff2, fetched.openType],
    })
  }
  // Seldom wanted: what reads fonts is fetched when one comes.
  const { readFontFile } = await import('./read-font')
  const read = await readFontFile(new Uint8Array(request.read))
  postMessage({ id, read } satisfies FontMessage, { transfer: [read.woff2] })
}

addEventListener('message', ({ data }: MessageEvent<FontRequest>) => {
  answerTo(data).catch((error: Error) =>
    postMessage({ id: data.id, problem: error.message } satisfies FontMessage),
  )
})
