import { readFile } from 'node:fs/promises'
import { openProject } from '../../core/document/open'
import { FEATURES, type Feature } from '../../core/samples/features'
import { readFontsWith } from '../../core/samples/fonts'
import { fuzz } from '../../core/samples/fuzz'
import { openType } from '../../server/fonts'
import { SiteViewer } from '../browser'
import { photographs } from '../photographs'
import { numberOption, Refusal, readArgs } from '../refusal'
import { DEMO_FILE, OTHER_DEMO_FILE } from '../serve'
import { type Compared, compareDocument } from './compare'
import { hostile } from './hostile'
import { languagesProject } from './languages-project'
import { DEFAULT_WIDTHS, runConformance } from './run'
import { shelfProject } from './shelf-project'

export async function conformance(args: string[]): Promise<number> {
  const { values } = readArgs(args, {
    documents: { type: 'string' },
    seed: { type: 'string' },
    widths: { type: 'string' },
    only: { type: 'string' },
    explain: { type: 'boolean' },
    shipped: { type: 'boolean' },
    fuzz: { type: 'string' },
    hostile: { type: 'string' },
  })
  if (values.shipped) return shipped()
  const seed = numberOption('seed', values.seed, { integer: true }) ?? 1
  readFontsWith(openType)
  const harmful = numberOption('fuzz', values.fuzz, { min: 1, max: 1_000_000, integer: true })
  if (harmful !== undefined) {
    const { documents, slowest } = await fuzz(harmful, seed, (done) => console.log(`… ${done} documents`))
    console.log(
      `${documents} hostile documents at 4 widths: every number finite, the slowest layout ${slowest.toFixed(0)} ms`,
    )
    return 0
  }
  const opened = numberOption('hostile', values.hostile, { min: 1, max: 100_000, integer: true })
  if (opened !== undefined) {
    const made = await hostile(opened, seed, (done) => console.log(`… ${done} documents`))
    console.log(
      `${made.documents} hostile documents (${made.refused} that opening a file refuses), seed ${seed}: ${made.pages} pages and ${made.pictures} pictures opened, ${made.links} links; no script ran, no request left`,
    )
    return 0
  }
  const widths = values.widths
    ?.split(',')
    .map((each) => numberOption('widths', each, { min: 200, max: 4000, integer: true })!)
  const only = values.only?.split(',').map((each) => {
    if (!FEATURES.includes(each as Feature))
      throw new Refusal(`--only ${each}: the features are ${FEATURES.join(', ')}`)
    return each as Feature
  })
  const ok = await runConformance(
    {
      documents: numberOption('documents', values.documents, { min: 1, max: 100_000, integer: true }) ?? 200,
      seed,
      widths: widths ?? DEFAULT_WIDTHS,
      only,
      explain: values.explain,
    },
    (line) => console.log(line),
  )
  console.log(
    ok
      ? 'the bar is met'
      : 'below the bar: every box without text; with text 99.9 % of boxes and of paragraphs',
  )
  return ok ? 0 : 1
}

/** Everything that ships with the app: a name, the project, the page's place in it. */
export async function shippedSites(): Promise<[string, Compared, number][]> {
  const sites: [string, Compared, number][] = []
  for (const path of [DEMO_FILE, OTHER_DEMO_FILE]) {
    const { document, blobs } = openProject(await readFile(path))
    const file = document.toFile()
    file.pages.forEach((page, i) => void sites.push([`${file.name}, ${page.name}`, { file, blobs }, i]))
  }
  const photographed = await photographs()
  return [
    ...sites,
    ['shelf', { file: shelfProject(photographed.assets), blobs: photographed.blobs }, 0],
    ['languages', { file: languagesProject(), blobs: new Map() }, 0],
  ]
}

/** What ships with the app, the demos, every shelf item and a sample in every language, at every eighth px from 320 to 1920. */
async function shipped(): Promise<number> {
  const widths = Array.from({ length: 201 }, (_, i) => 320 + i * 8)
  const sites = await shippedSites()
  const viewer = await SiteViewer.open()
  let off = 0
  try {
    for (const [name, project, page] of sites) {
      const result = await compareDocument(viewer, project, widths, page)
      off += result.boxesOff.length + result.linesOff.length
      console.log(
        `${name.padEnd(16)} ${result.boxes} boxes, ${result.boxesOff.length} off, largest difference ${result.largest.toFixed(3)} px; ` +
          `${result.paragraphs} paragraphs, ${result.linesOff.length} with other line breaks`,
      )
    }
  } finally {
    await viewer.close()
  }
  return off === 0 ? 0 : 1
}
