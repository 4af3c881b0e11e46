/** Takes a picture's backdrop away, off the main thread. */
import { type BackdropWanted, withoutBackdrop } from '../core/pictures/backdrop'
import type { Pixels } from '../core/pictures/pixels'

/** `encode`: the picture is wanted as a file, not to be drawn. */
export type BackdropRequest = { pixels: Pixels; wanted: BackdropWanted; encode: boolean }
export type BackdropMessage =
  | { progress: number }
  | { pixels: Pixels; share: number }
  | { file: Blob; share: number }
  | { problem: string }

/** What WebP keeps of it, 0 to 1. */
const QUALITY = 0.92

async function fileOf({ width, height, data }: Pixels): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height)
  const image = new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height)
  canvas.getContext('2d')!.putImageData(image, 0, 0)
  return canvas.convertToBlob({ type: 'image/webp', quality: QUALITY })
}

const say = (message: BackdropMessage) => postMessage(message)

addEventListener('message', async ({ data }: MessageEvent<BackdropRequest>) => {
  try {
    const steps = withoutBackdrop(data.pixels, data.wanted)
    for (;;) {
      const { done, value } = steps.next()
      if (!done) {
        say({ progress: value })
        continue
      }
      say(data.encode ? { file: await fileOf(value.pixels), share: value.share } : value)
      break
    }
  } catch (error) {
    say({ problem: (error as Error).message })
  }
})
