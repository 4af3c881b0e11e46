/** SVG to PNG without a browser. The rasteriser reads PNG and JPEG alone, and no JPEG that its camera held turned: others are made anew. */
import { Resvg, type ResvgRenderOptions } from '@resvg/resvg-js'
import sharp from 'sharp'

const PICTURE = /data:image\/(webp|jpeg);base64,([A-Za-z0-9+/=]+)/g
/** Most pixels that are decoded. */
const MOST_PIXELS = 120_000_000

/** @returns the same picture as an address; undefined: as it is */
async function readable(type: string, base64: string): Promise<string | undefined> {
  const picture = sharp(Buffer.from(base64, 'base64'), { limitInputPixels: MOST_PIXELS })
  const { orientation = 1 } = await picture.metadata()
  if (type === 'jpeg' && orientation === 1) return undefined
  const png = await picture.autoOrient().png({ compressionLevel: 1 }).toBuffer()
  return `data:image/png;base64,${png.toString('base64')}`
}

/** @param svg with its pictures in it; what cannot be read is not drawn */
export async function pngOf(svg: string, fitTo: ResvgRenderOptions['fitTo']): Promise<Uint8Array> {
  const found = new Map(
    [...svg.matchAll(PICTURE)].map(([address, type, base64]) => [address, [type!, base64!] as const]),
  )
  const others = new Map<string, string>()
  for (const [address, [type, base64]] of found) {
    const other = await readable(type, base64).catch(() => undefined)
    if (other) others.set(address, other)
  }
  const drawn = others.size > 0 ? svg.replace(PICTURE, (address) => others.get(address) ?? address) : svg
  return new Resvg(drawn, { fitTo }).render().asPng()
}
