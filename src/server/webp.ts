/** Photographs made smaller. */
import sharp from 'sharp'

/** Most pixels that are decoded. */
const MOST_PIXELS = 120_000_000
/** What WebP keeps of it, 1 to 100: no difference is seen at the size it is shown in. */
const QUALITY = 80
/** Longest that one may take, seconds. */
const PATIENCE = 30

// One after the other: whoever asks for many does not fill the memory.
sharp.concurrency(1)
sharp.cache(false)

export type Photograph = { bytes: Uint8Array; width: number }

/** @param width px; as high as that makes it @throws when it cannot be read, or is too large */
export async function webp({ bytes, width }: Photograph): Promise<Uint8Array> {
  const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
  // Turned as its camera was held: browsers do that, too.
  const made = await picture
    .autoOrient()
    .resize({ width, withoutEnlargement: true })
    .webp({ quality: QUALITY })
    .timeout({ seconds: PATIENCE })
    .toBuffer()
  return new Uint8Array(made)
}
