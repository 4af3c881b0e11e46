/** `lattice parity`: board, SVG, PNG and PDF held against the handed-off page, pixel by pixel. */
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { numberOption, pathFrom, Refusal, readArgs } from '../refusal'
import { buildWeb, serve } from '../serve'
import { compare, type Pixels, pixelsOf, pngOf } from './compare'
import { subjects } from './subjects'
import { scaleOf, WAYS, type Way, Ways } from './ways'

/** Largest mean share of differing pixels, largest of a page, and levels in flat areas. */
export const BAR = { mean: 0.003, page: 0.01, flat: 8 }

type Finding = { page: string; share: number; flat: number }

const percent = (share: number) => `${(share * 100).toFixed(2)} %`

/** @returns whether the bars are met */
function report(way: Way, findings: readonly Finding[]): boolean {
  const mean = findings.reduce((sum, each) => sum + each.share, 0) / findings.length
  const worst = findings.reduce((a, b) => (b.share > a.share ? b : a))
  const flat = findings.reduce((a, b) => (b.flat > a.flat ? b : a))
  const met = mean <= BAR.mean && worst.share <= BAR.page && flat.flat <= BAR.flat
  console.log(
    `${way.padEnd(6)} mean ${percent(mean)} (bar ${percent(BAR.mean)}), worst ${percent(worst.share)} on ${worst.page} (bar ${percent(BAR.page)}), flat areas within ${flat.flat} levels${flat.flat > BAR.flat ? ` on ${flat.page}` : ''} (bar ${BAR.flat})${met ? '' : '  MISSED'}`,
  )
  return met
}

/** Side by side: the handed-off page, what was drawn, what differs. */
async function keep(folder: string, name: string, pictures: readonly Pixels[]) {
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

export async function parity(args: string[]): Promise<number> {
  const { values } = readArgs(args, {
    documents: { type: 'string' },
    seed: { type: 'string' },
    only: { type: 'string' },
    keep: { type: 'string' },
  })
  const documents = numberOption('documents', values.documents) ?? 100
  const seed = numberOption('seed', values.seed) ?? 1
  const ways = WAYS.filter((way) => !values.only || values.only.split(',').includes(way))
  if (ways.length === 0) throw new Refusal(`--only takes ${WAYS.join(', ')}`)
  await buildWeb()
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-parity-'))
  const app = await serve({ data, port: 0, demo: true, logLevel: 'silent' })
  const drawing = await Ways.open(app)
  const findings = new Map<Way, Finding[]>(ways.map((way) => [way, []]))
  try {
    let count = 0
    for await (const subject of subjects(app, documents, seed)) {
      const layout = await drawing.layoutOf(subject)
      const shipped = await pixelsOf(await drawing.shipped(subject, layout))
      for (const way of ways) {
        const page =
          scaleOf(way, layout) === 1 ? shipped : await pixelsOf(await drawing.shipped(subject, layout, way))
        const drawn = await pixelsOf(await drawing.drawn(way, subject, layout))
        const { share, flat, picture } = compare(page, drawn, scaleOf(way, layout))
        findings.get(way)!.push({ page: subject.name, share, flat })
        if (values.keep && (share > BAR.page || flat > BAR.flat))
          await keep(pathFrom(values.keep), `${way} ${subject.name}`, [page, drawn, picture])
      }
      if (++count % 10 === 0) console.log(`… ${count} pages`)
    }
  } finally {
    await drawing.close()
    await app.stop()
    await rm(data, { recursive: true, force: true })
  }
  console.log(`pages ${findings.get(ways[0]!)!.length}, random ones from seed ${seed}`)
  const met = ways.map((way) => report(way, findings.get(way)!))
  return met.every(Boolean) ? 0 : 1
}
