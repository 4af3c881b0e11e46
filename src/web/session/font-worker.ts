/** Asking the font worker; it is started when first asked. */

import type { FontMessage, FontRequest } from '../../workers/font.worker'
import type { FontBytes } from '../../workers/font-bytes'
import type { ReadFont } from '../../workers/read-font'

type Asked = { resolve: (answer: FontMessage) => void; reject: (error: Error) => void }
const asked = new Map<number, Asked>()
let worker: Worker | undefined
let last = 0

function start(): Worker {
  const made = new Worker(new URL('../../workers/font.worker.ts', import.meta.url), { type: 'module' })
  made.addEventListener('message', ({ data }: MessageEvent<FontMessage>) => {
    const waiting = asked.get(data.id)
    asked.delete(data.id)
    if (data.problem === undefined) waiting?.resolve(data)
    else waiting?.reject(new Error(data.problem))
  })
  made.addEventListener('error', (event) => {
    for (const { reject } of asked.values()) reject(new Error(event.message))
    asked.clear()
    worker = undefined
  })
  return made
}

function ask(request: FontRequest, transfer: Transferable[] = []): Promise<FontMessage> {
  worker ??= start()
  return new Promise((resolve, reject) => {
    asked.set(request.id, { resolve, reject })
    worker?.postMessage(request, transfer)
  })
}

/** Fetched and unpacked. @throws when it cannot be had */
export const fetchFont = async (address: string): Promise<FontBytes> =>
  (await ask({ id: ++last, fetch: address })).fetched!

/** What a font file is. @throws Error with a reason for the user */
export const readFontBytes = async (bytes: ArrayBuffer): Promise<ReadFont> =>
  (await ask({ id: ++last, read: bytes }, [bytes])).read!
