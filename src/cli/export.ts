/** `lattice export FILE --to KIND --out DIR`: the handoff, from the command line. */
import { mkdir, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { Resvg } from '@resvg/resvg-js'
import PDFDocument from 'pdfkit'
import { withCleanPictures } from '../core/document/cleaned'
import type { Document } from '../core/document/document'
import type { Opened } from '../core/document/open'
import { namedBy, projectArchive, projectJson } from '../core/document/save'
import { pageFileName, slug } from '../core/handoff/names'
import { tokensFile } from '../core/handoff/site'
import { pageSvg } from '../core/handoff/svg'
import { harmless } from '../server/clean-svg'
import { siteBytes } from '../server/handoff'
import { layoutPage } from '../server/pictures'
import { needPictures, openFile, pathFrom, Refusal, readArgs } from './refusal'

type Files = Map<string, string | Uint8Array>
const KINDS: Record<string, (opened: Opened, mark: boolean) => Promise<Files>> = {
  html: async ({ document, blobs }, mark) => siteBytes(document, blobs, { mark }),
  svg: (opened) => eachView(opened, 'svg', async (svg) => svg),
  png: (opened) => eachView(opened, 'png', async (svg) => new Resvg(svg).render().asPng()),
  pdf: (opened) => eachView(opened, 'pdf', pdf),
  tokens: async ({ document }) => new Map([['tokens.json', tokensFile(document)]]),
  lattice: async ({ document, blobs }) =>
    new Map([[`${fileName(document)}.lattice`, projectArchive(document, blobs)]]),
  json: async ({ document, blobs }) =>
    new Map<string, string | Uint8Array>([
      [`${fileName(document)}.json`, projectJson(document)],
      ...[...namedBy(document, blobs)].map(([hash, bytes]) => [`blobs/${hash}`, bytes] as const),
    ]),
}
const fileName = (doc: Document) => slug(doc.name, 'project')

async function eachView(
  given: Opened,
  ending: string,
  make: (svg: string, width: number, height: number) => Promise<string | Uint8Array>,
): Promise<Files> {
  const files: Files = new Map()
  const { document: doc, blobs } = await withCleanPictures(given, harmless)
  for (const page of doc.pagesInOrder()) {
    for (const view of doc.viewsOf(page)) {
      const layout = await layoutPage(doc, page.id, view.width)
      const name = pageFileName(page.path).replace(/(\/)?index\.html$/, '') || 'home'
      files.set(
        `${name}-${view.width}.${ending}`,
        await make(pageSvg(doc, layout, blobs), view.width, layout.height),
      )
    }
  }
  return files
}

/** One PDF page a sheet, CSS px taken as 0.75 pt; drawn at twice the size so that it prints cleanly. */
function pdf(svg: string, width: number, height: number): Promise<Uint8Array> {
  const png = new Resvg(svg, { fitTo: { mode: 'zoom', value: 2 } }).render().asPng()
  return new Promise((resolve, reject) => {
    const size: [number, number] = [width * 0.75, Math.max(1, height) * 0.75]
    const out = new PDFDocument({ size, margin: 0 })
    const chunks: Buffer[] = []
    out.on('data', (chunk: Buffer) => chunks.push(chunk))
    out.on('end', () => resolve(Buffer.concat(chunks)))
    out.on('error', reject)
    out.image(png, 0, 0, { width: size[0], height: size[1] })
    out.end()
  })
}

export async function exportProject(args: string[]): Promise<number> {
  const { values, positionals } = readArgs(
    args,
    { to: { type: 'string' }, out: { type: 'string' }, mark: { type: 'boolean' } },
    1,
  )
  if (values.to === undefined || !Object.hasOwn(KINDS, values.to))
    throw new Refusal(`--to must be one of ${Object.keys(KINDS).join(', ')}`)
  if (values.out === undefined) throw new Refusal('--out must name a folder')
  const opened = await openFile(positionals[0])
  if (values.to !== 'tokens') needPictures(opened)
  const files = await KINDS[values.to](opened, values.mark === true)
  const out = pathFrom(values.out)
  for (const [path, content] of files) {
    const target = join(out, path)
    await mkdir(dirname(target), { recursive: true })
    await writeFile(target, content)
  }
  console.log(`${files.size} files in ${values.out}`)
  return 0
}
