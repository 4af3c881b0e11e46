/** A picture of the project as pixels. */
import type { Asset } from '../../core/document/schema'
import { pictureUrl } from './pictures'

/**
 * @param most longest side, px: larger pictures are made smaller first
 * @returns with `scale`: px of these for one of the picture @throws when it cannot be read
 */
export async function pixelsOf(asset: Asset, most: number): Promise<{ pixels: ImageData; scale: number }> {
  const image = new Image()
  image.src = pictureUrl(asset)
  await image.decode()
  const scale = Math.min(1, most / Math.max(asset.width, asset.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(asset.width * scale)),
    Math.max(1, Math.round(asset.height * scale)),
  )
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(image, 0, 0, canvas.width, canvas.height)
  return { pixels: context.getImageData(0, 0, canvas.width, canvas.height), scale }
}
