/** Fetches font files and unpacks them for shaping, off the main thread: each travels once, and serves both uses. Reads those from outside. */
import cutterAddress from 'harfbuzzjs/dist/harfbuzz-subset.wasm?url'
import { type FontBytes, fontBytes } from './font-bytes'
import type { ReadFont } from './read-font'

export type FontRequest = { id: number } & ({ fetch: string } | { read: ArrayBuffer })
export type FontMessage = { id: number } & (
  | { fetched: FontBytes }
  | { read: ReadFont }
  | { problem: string }
  /** Parts that are made of a font that is read, and how many there will be. */
  | { made: number; of: number }
)

const say = (message: FontMessage, transfer: Transferable[] = []) => postMessage(message, { transfer })

async function fetchCutter(): Promise<ArrayBuffer> {
  const answer = await fetch(cutterAddress)
  if (!answer.ok) throw new Error('what parts large fonts did not load; try again')
  return answer.arrayBuffer()
}

async function answerTo(request: FontRequest): Promise<void> {
  const { id } = request
  if ('fetch' in request) {
    const fetched = await fontBytes(request.fetch)
    return say({ id, fetched }, [fetched.woff2, fetched.openType])
  }
  // Seldom wanted: what reads fonts is fetched when one comes.
  const { readFontFile } = await import('./read-font')
  const read = await readFontFile(new Uint8Array(request.read), fetchCutter, (made, of) =>
    say({ id, made, of }),
  )
  say(
    { id, read },
    [read.whole, ...read.parts].map(({ woff2 }) => woff2),
  )
}

addEventListener('message', ({ data }: MessageEvent<FontRequest>) => {
  answerTo(data).catch((error: Error) => say({ id: data.id, problem: error.message }))
})
