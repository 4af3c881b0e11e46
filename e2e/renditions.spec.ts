/** Photographs in a handed-off site: the browser fetches one that is large enough and no larger than it must be, and lays out the same. */
import sharp from 'sharp'
import { SiteViewer } from '../src/cli/browser'
import { handOff } from '../src/cli/hand-off'
import { framingOf } from '../src/core/arrange/framing'
import { hashOf } from '../src/core/blobs/blobs'
import { Document } from '../src/core/document/document'
import { starterProject } from '../src/core/shelf/starter'
import { layoutPage } from '../src/server/pictures'
import { expect, test } from './app'

const [WIDTH, HEIGHT] = [1999, 1333]

async function photograph() {
  const raw = Buffer.alloc(WIDTH * HEIGHT * 3)
  for (let i = 0; i < raw.length; i++) raw[i] = (i * 7 + (i >> 9)) % 256
  return new Uint8Array(
    await sharp(raw, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
      .jpeg({ quality: 60 })
      .toBuffer(),
  )
}

test('a photograph is fetched as large as it is shown, and boxes are as on the board', async () => {
  const bytes = await photograph()
  const hash = hashOf(bytes)
  const file = starterProject('Test', 'home')
  file.assets = [
    {
      id: 'one',
      name: 'One.jpg',
      type: 'image/jpeg',
      width: WIDTH,
      height: HEIGHT,
      size: bytes.length,
      hash,
    },
  ]
  const picture = (id: string, props: object) => ({
    id,
    kind: 'picture' as const,
    name: id,
    order: `a${id}`,
    props: { asset: 'one', ...props },
  })
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'S',
      order: 'a0',
      props: { flow: 'lattice', rowGap: 24 },
      children: [
        picture('a', { width: { kind: 'columns', span: 4, from: 1 } }),
        picture('b', { width: { kind: 'columns', span: 12 }, height: { kind: 'exact', px: 500 } }),
      ],
    },
  ]
  const doc = Document.fromFile(file)
  const blobs = new Map([[hash, bytes]])
  const site = await handOff(doc, blobs, { mark: true })
  const viewer = await SiteViewer.open()
  for (const width of [1440, 900, 390]) {
    await viewer.show(site, 'index.html', width, 900)
    const layout = await layoutPage({ doc, blobs }, 'home', width)
    for (const id of ['a', 'b']) {
      const img = viewer.page.locator(`[data-node="${id}"]`)
      await expect.poll(() => img.evaluate((each: HTMLImageElement) => each.complete)).toBe(true)
      const { box, source } = await img.evaluate((each) => {
        const { width, height } = each.getBoundingClientRect()
        return { box: { width, height }, source: (each as HTMLImageElement).currentSrc }
      })
      const laid = layout.boxes.get(id)!
      expect(box.width, `${id} at ${width}`).toBeCloseTo(laid.width, 1)
      expect(box.height, `${id} at ${width}`).toBeCloseTo(laid.height, 1)
      const need = framingOf(laid, file.assets[0]!).picture.width
      const fetched = Number(/-(\d+)\.webp$/.exec(source)?.[1])
      expect(fetched, `${id} at ${width}: ${source}`).toBeGreaterThanOrEqual(Math.floor(need))
      expect(fetched, `${id} at ${width}: ${source}`).toBeLessThan(need * 1.6)
    }
  }
  await viewer.close()
})
