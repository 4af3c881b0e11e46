/** The command line as a user calls it: what it prints, what it refuses, its exit status. */
import { execFile } from 'node:child_process'
import { existsSync } from 'node:fs'
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { openProject } from '../core/document/open'
import { projectJson } from '../core/document/save'

const MAIN = fileURLToPath(new URL('main.ts', import.meta.url))
const LOADER = fileURLToPath(new URL('../../node_modules/tsx/dist/loader.mjs', import.meta.url))
const DEMO = fileURLToPath(new URL('../../demo/hollow-oak.lattice', import.meta.url))
const demo = openProject(await readFile(DEMO))
let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-cli-'))
})
afterAll(() => rm(folder, { recursive: true, force: true }))

type Result = { status: number; out: string; err: string }
const lattice = (...args: string[]): Promise<Result> =>
  new Promise((resolve) => {
    execFile(
      process.execPath,
      ['--import', LOADER, MAIN, ...args],
      { env: { ...process.env, LATTICE_CWD: folder }, maxBuffer: 64e6 },
      (error, out, err) => {
        resolve({ status: error ? ((error as { code?: number }).code ?? 1) : 0, out, err })
      },
    )
  })

describe('solve', () => {
  test.each([
    [
      ['--width', '1512', '--container', '1224', '--columns', '12', '--gutter', '24'],
      { columnWidth: 80, margin: 144, whole: true },
    ],
    [
      ['--width', '1366', '--margin', '93', '--columns', '12', '--gutter', '20'],
      { container: 1180, columnWidth: 80 },
    ],
    [
      ['--container', '600+600', '--columns', '12', '--gutter', '20', '--width', '1440', '--half-gutters'],
      { columnWidth: 80 },
    ],
  ])('%j', async (args, expected) => {
    const { status, out } = await lattice('solve', ...args)
    expect(status).toBe(0)
    expect(JSON.parse(out)).toMatchObject(expected)
    expect(Object.keys(JSON.parse(out))).toEqual([
      'width',
      'container',
      'margin',
      'columns',
      'columnWidth',
      'gutter',
      'whole',
    ])
  })
  test.each([
    [['--width', '1440'], 'still needed'],
    [['--width', 'wide'], '--width wide'],
    [['--columns', '0', '--width', '10'], 'at least 1'],
    [['--colums', '12'], 'colums'],
  ])('%j is refused with status 2', async (args, reason) => {
    const { status, out, err } = await lattice('solve', ...args)
    expect({ status, out }).toEqual({ status: 2, out: '' })
    expect(err).toContain(reason)
  })
})

describe('start', () => {
  test('what belongs to several servers is refused for one alone, before anything is started', async () => {
    const { status, err } = await lattice('start', '--neighbour-host', '127.0.0.1')
    expect(status).toBe(2)
    expect(err).toContain('--database')
  })
})

describe('layout', () => {
  test('boxes and lines of a page at a width', async () => {
    const { status, out } = await lattice('layout', DEMO, '--page', 'Home', '--width', '390')
    expect(status).toBe(0)
    const { boxes, lines } = JSON.parse(out)
    expect(boxes['oak-001']).toMatchObject({ x: 0, y: 0, width: 390 })
    const all = Object.values<string[]>(lines)
    const heading = all.find((each) => each.join(' ') === 'Borrow a packet. Return a harvest.')
    expect(heading?.length).toBeGreaterThan(1)
  })
  test('bad files and pages: the place, the reason, status 2', async () => {
    const broken = JSON.parse(projectJson(demo.document))
    broken.pages[1].sections[0].props.rowGap = -3
    await writeFile(join(folder, 'broken.json'), JSON.stringify(broken))
    expect(await lattice('layout', 'broken.json')).toMatchObject({
      status: 2,
      err: expect.stringContaining('pages[1].sections[0].props.rowGap'),
    })
    expect(await lattice('layout', 'nowhere.json')).toMatchObject({
      status: 2,
      err: expect.stringContaining('ENOENT'),
    })
    expect(await lattice('layout', DEMO, '--page', 'Attic')).toMatchObject({
      status: 2,
      err: expect.stringContaining('there are Home, Catalogue'),
    })
  })
})

describe('export', () => {
  test('html: a site that marks its elements', async () => {
    expect((await lattice('export', DEMO, '--to', 'html', '--out', 'site', '--mark')).status).toBe(0)
    expect(await readFile(join(folder, 'site/index.html'), 'utf8')).toContain('data-node="oak-013"')
    expect(await readdir(join(folder, 'site'))).toEqual(
      expect.arrayContaining(['catalogue', 'fonts', 'pictures', 'styles.css', 'tokens.json']),
    )
  })
  test('json opens again identically; tokens are the tokens', async () => {
    await lattice('export', DEMO, '--to', 'json', '--out', 'json')
    const text = await readFile(join(folder, 'json/hollow-oak-seed-library.json'), 'utf8')
    expect(openProject(text).document.toFile()).toEqual(demo.document.toFile())
    // Its pictures lie beside it, and are found there: the archive made of both is the one it came from.
    expect((await readdir(join(folder, 'json/blobs'))).sort()).toEqual([...demo.blobs.keys()].sort())
    await lattice('export', 'json/hollow-oak-seed-library.json', '--to', 'lattice', '--out', 'again')
    expect(await readFile(join(folder, 'again/hollow-oak-seed-library.lattice'))).toEqual(
      await readFile(DEMO),
    )
    await rm(join(folder, 'json/blobs'), { recursive: true })
    expect(
      await lattice('export', 'json/hollow-oak-seed-library.json', '--to', 'html', '--out', 'none'),
    ).toMatchObject({ status: 2, err: expect.stringMatching(/picture “.*” is not in the file/) })
    await lattice('export', DEMO, '--to', 'tokens', '--out', 'tokens')
    expect(JSON.parse(await readFile(join(folder, 'tokens/tokens.json'), 'utf8'))).toEqual(
      JSON.parse(text).tokens,
    )
  })
  test.each([
    ['svg', '<svg'],
    ['png', '\u0089PNG'],
    ['pdf', '%PDF-'],
  ])('%s: a file a page and view', async (kind, magic) => {
    await lattice('export', DEMO, '--to', kind, '--out', kind)
    const names = (await readdir(join(folder, kind))).sort()
    const pages = ['borrow', 'catalogue', 'home', 'workshops']
    expect(names).toEqual(pages.flatMap((page) => [`${page}-1440.${kind}`, `${page}-390.${kind}`]))
    for (const name of names)
      expect((await readFile(join(folder, kind, name), 'latin1')).startsWith(magic)).toBe(true)
  })
  test('refusals write nothing', async () => {
    expect(await lattice('export', DEMO, '--to', 'gif', '--out', 'gif')).toMatchObject({
      status: 2,
      err: expect.stringContaining('html, svg'),
    })
    expect(await lattice('export', DEMO, '--to', 'html')).toMatchObject({
      status: 2,
      err: expect.stringContaining('--out'),
    })
    expect(existsSync(join(folder, 'gif'))).toBe(false)
  })
})

test('a verb that does not exist', async () => {
  expect(await lattice('paint')).toMatchObject({
    status: 2,
    err: expect.stringContaining('there is no “paint”'),
  })
  expect((await lattice('help')).out).toContain('lattice conformance')
})
