/** Fetches a font file and unpacks it for shaping, off the main thread: it travels once, and serves both uses. */
import { fontBytes } from './font-bytes'

export type FontMessage = { id: string; woff2?: ArrayBuffer; openType?: ArrayBuffer; problem?: string }

addEventListener('message', async (event: MessageEvent<string>) => {
  const id = event.data
  try {
    const { woff2, openType } = await fontBytes(id)
    postMessage({ id, woff2, openType } satisfies FontMessage, { transfer: [woff2, openType] })
  } catch (error) {
    postMessage({ id, problem: (error as Error).message } satisfies FontMessage)
  }
})
