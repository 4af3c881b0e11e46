/** Asking the worker that takes backdrops away. */
import type { BackdropWanted } from '../../core/pictures/backdrop'
import type { Pixels } from '../../core/pictures/pixels'
import type { BackdropMessage, BackdropRequest } from '../../workers/backdrop.worker'

type Drawn = Extract<BackdropMessage, { pixels: Pixels }>
type AsFile = Extract<BackdropMessage, { file: Blob }>

function ask<T extends Drawn | AsFile>(
  request: BackdropRequest,
  signal: AbortSignal,
  progress: (share: number) => void,
): Promise<T> {
  const worker = new Worker(new URL('../../workers/backdrop.worker.ts', import.meta.url), { type: 'module' })
  return new Promise<T>((resolve, reject) => {
    signal.addEventListener('abort', () => reject(signal.reason))
    worker.addEventListener('error', (event) => reject(new Error(event.message || 'the work broke off')))
    worker.addEventListener('message', ({ data }: MessageEvent<BackdropMessage>) => {
      if ('progress' in data) return progress(data.progress)
      if ('problem' in data) return reject(new Error(data.problem))
      resolve(data as T)
    })
    worker.postMessage(request)
  }).finally(() => worker.terminate())
}

/** @throws Error with a reason for the user; the signal's reason */
export const previewOf = (pixels: Pixels, wanted: BackdropWanted, signal: AbortSignal): Promise<Drawn> =>
  ask({ pixels, wanted, encode: false }, signal, () => {})

/** As `previewOf`. @param progress is told 0 … 1 */
export const fileOf = (
  pixels: Pixels,
  wanted: BackdropWanted,
  signal: AbortSignal,
  progress: (share: number) => void,
): Promise<AsFile> => ask({ pixels, wanted, encode: true }, signal, progress)
