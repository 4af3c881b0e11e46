/** `lattice export FILE --to KIND --out DIR`: the handoff, from the command line. */
import { mkdir, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { withCleanPictures } from '../core/document/cleaned'
import type { Document } from '../core/document/document'
import type { Opened } from '../core/document/open'
import { namedBy, projectArchive, projectJson } from '../core/document/save'
import { pageFileName, slug } from '../core/handoff/names'
import { pageSvg } from '../core/handoff/svg/page'
import { writeTokensFile } from '../core/tokens/tokens-file'
import { harmless } from '../server/clean-svg'
import { layoutPage } from '../server/pictures'
import { handOff } from './hand-off'
import { openPrinter, type Printed, type Printer } from './print'
import { needPictures, numberOption, openFile, pathFrom, Refusal, readArgs } from './refusal'

type Files = Map<string, string | Uint8Array>
/** `theme`: an id. */
type Options = { mark: boolean; scale: number; theme: string | undefined }
const KINDS: Record<string, (opened: Opened, options: Options) => Promise<Files>> = {
  html: async ({ document, blobs }, { mark, theme }) => handOff(document, blobs, { mark, theme }),
  svg: (opened, { theme }) =>
    eachView(opened, 'svg', theme, async ({ doc, layout, blobs }) => pageSvg(doc, layout, blobs)),
  png: (opened, { scale, theme }) =>
    printed(opened, 'png', theme, (printer, page) => printer.png(page, scale)),
  pdf: (opened, { theme }) => printed(opened, 'pdf', theme, (printer, page) => printer.pdf(page)),
  tokens: async ({ document }) => new Map([['tokens.json', writeTokensFile(document)]]),
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
  theme: string | undefined,
  make: (page: Printed) => Promise<string | Uint8Array>,
): Promise<Files> {
  const files: Files = new Map()
  const { document: doc, blobs } = await withCleanPictures(given, harmless)
  for (const page of doc.pagesInOrder()) {
    for (const view of doc.viewsOf(page)) {
      const layout = await layoutPage({ doc, blobs }, page.id, view.width, theme)
      const name = pageFileName(page.path).replace(/(\/)?index\.html$/, '') || 'home'
      files.set(`${name}-${view.width}.${ending}`, await make({ doc, blobs, layout }))
    }
  }
  return files
}

async function printed(
  opened: Opened,
  ending: string,
  theme: string | undefined,
  make: (printer: Printer, page: Printed) => Promise<Uint8Array>,
): Promise<Files> {
  const printer = await openPrinter()
  try {
    return await eachView(opened, ending, theme, (page) => make(printer, page))
  } finally {
    await printer.close()
  }
}

/** @throws Refusal when there is none of that name */
function themeNamed({ themes }: Document, name: string | undefined): string | undefined {
  if (name === undefined) return undefined
  const found = themes.find((theme) => theme.name.toLowerCase() === name.toLowerCase())
  if (found) return found.id
  const known = themes.map((theme) => theme.name).join(', ')
  throw new Refusal(`--theme ${name}: the project has ${known ? `the themes ${known}` : 'no themes'}`)
}

export async function exportProject(args: string[]): Promise<number> {
  const { values, positionals } = readArgs(
    args,
    {
      to: { type: 'string' },
      out: { type: 'string' },
      mark: { type: 'boolean' },
      scale: { type: 'string' },
      theme: { type: 'string' },
    },
    1,
  )
  if (values.to === undefined || !Object.hasOwn(KINDS, values.to))
    throw new Refusal(`--to must be one of ${Object.keys(KINDS).join(', ')}`)
  if (values.out === undefined) throw new Refusal('--out must name a folder')
  const scale = numberOption('scale', values.scale) ?? 1
  if (![1, 2, 3].includes(scale)) throw new Refusal('--scale is 1, 2 or 3 device pixels for one px')
  const opened = await openFile(positionals[0])
  if (values.to !== 'tokens') needPictures(opened)
  const theme = themeNamed(opened.document, values.theme)
  const files = await KINDS[values.to]!(opened, { mark: values.mark === true, scale, theme })
  const out = pathFrom(values.out)
  for (const [path, content] of files) {
    const target = join(out, path)
    await mkdir(dirname(target), { recursive: true })
    await writeFile(target, content)
  }
  console.log(`${files.size} files in ${values.out}`)
  return 0
}
