/** `lattice parity`: board, SVG, PNG and PDF held against the handed-off page, pixel by pixel. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { numberOption, pathFrom, Refusal, readArgs } from '../refusal'
import { buildWeb, serve } from '../serve'
import { compare, pixelsOf } from './compare'
import { keep } from './keep'
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
