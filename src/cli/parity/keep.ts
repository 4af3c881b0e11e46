/** Pictures of what differs, for whoever looks into it. */
import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { type Pixels, pngOf } from './compare'

/** Side by side: the handed-off page, what was drawn, what differs. */
export async function keep(folder: string, name: string, pictures: readonly Pixels[]) {
  const width = pictures.reduce((sum, each) => sum + each.width, 0)
  const height = Math.max(...pictures.map((each) => each.height))
  const data = new Uint8Array(width * height * 4).fill(255)
  let x = 0
  for (const picture of pictures) {
    for (let y = 0; y < picture.height; y++)
      data.set(picture.data.subarray(y * picture.width * 4, (y + 1) * picture.width * 4), (y * width + x) * 4)
    x += picture.width
  }
  await mkdir(folder, { recursive: true })
  await writeFile(
    join(folder, `${name.replace(/[^a-z0-9]+/gi, '-')}.png`),
    await pngOf({ width, height, data }),
  )
}
