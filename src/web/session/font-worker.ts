/** Asking the font worker. What is fetched is asked of one that is started when first asked; what is read has one of its own. */

import type { FontMessage, FontRequest } from '../../workers/font.worker'
import type { FontBytes } from '../../workers/font-bytes'
import type { ReadFont } from '../../workers/read-font'

type Asked = { resolve: (answer: FontBytes) => void; reject: (error: Error) => void }
const asked = new Map<number, Asked>()
let worker: Worker | undefined
let last = 0

const make = () => new Worker(new URL('../../workers/font.worker.ts', import.meta.url), { type: 'module' })

function start(): Worker {
  const made = make()
  made.addEventListener('message', ({ data }: MessageEvent<FontMessage>) => {
    const waiting = asked.get(data.id)
    asked.delete(data.id)
    if ('fetched' in data) waiting?.resolve(data.fetched)
    else if ('problem' in data) waiting?.reject(new Error(data.problem))
  })
  made.addEventListener('error', (event) => {
    for (const { reject } of asked.values()) reject(new Error(event.message))
    asked.clear()
    worker = undefined
  })
  return made
}

/** Fetched and unpacked. @throws when it cannot be had */
export function fetchFont(address: string): Promise<FontBytes> {
  worker ??= start()
  const request: FontRequest = { id: ++last, fetch: address }
  return new Promise((resolve, reject) => {
    asked.set(request.id, { resolve, reject })
    worker?.postMessage(request)
  })
}

/**
 * What a font file is; a large one is parted, which takes seconds.
 * @param said how many parts are made, and of how many
 * @throws Error with a reason for the user, or the signal's
 */
export async function readFontBytes(
  bytes: ArrayBuffer,
  signal: AbortSignal,
  said: (made: number, of: number) => void,
): Promise<ReadFont> {
  signal.throwIfAborted()
  const own = make()
  try {
    return await new Promise<ReadFont>((resolve, reject) => {
      own.addEventListener('message', ({ data }: MessageEvent<FontMessage>) => {
        if ('read' in data) resolve(data.read)
        else if ('problem' in data) reject(new Error(data.problem))
        else if ('made' in data) said(data.made, data.of)
      })
      own.addEventListener('error', (event) => reject(new Error(event.message)))
      signal.addEventListener('abort', () => reject(signal.reason))
      own.postMessage({ id: 0, read: bytes } satisfies FontRequest, [bytes])
    })
  } finally {
    own.terminate()
  }
}
