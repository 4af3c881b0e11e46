/** What goes out of the server for good: the handoff, covers, pages on paper. */

import { readFile } from 'node:fs/promises'
import { unzipSync } from 'fflate'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { openProject } from '../core/document/open'
import { projectJson } from '../core/document/save'
import { starterProject } from '../core/shelf/starter'
import { type TestServer, testServer } from './test-server'

let running: TestServer
let ask: TestServer['ask']

beforeAll(async () => {
  running = await testServer()
  ask = running.ask
})
afterAll(() => running?.stop())

test('the handoff is a zip whose project is the project; the picture is the page', async () => {
  const { document, blobs } = openProject(
    await readFile(new URL('../../demo/hollow-oak.lattice', import.meta.url)),
  )
  for (const { hash, type } of document.assets.values()) await running.sendBlob(blobs.get(hash)!, type)
  const { id } = (await ask('/projects', 'POST', { file: projectJson(document) })).body as { id: never }
  const files = unzipSync(
    new Uint8Array(await (await fetch(`${running.base}/projects/${id}/handoff.zip`)).arrayBuffer()),
  )
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining([
      'index.html',
      'catalogue/index.html',
      'styles.css',
      'tokens.json',
      'project.lattice',
      'pictures/falling-leaves.svg',
      'fonts/fraunces-latin-wght-normal.woff2',
      'fonts/fraunces-LICENSE.txt',
    ]),
  )
  expect(openProject(files['project.lattice']!)).toEqual({ document, blobs })
  // Started without anything that prints.
  expect(await ask(`/projects/${id}/pages/${document.pagesInOrder()[0]!.id}/desktop.pdf`)).toMatchObject({
    status: 501,
    body: { detail: 'this server does not print' },
  })
  const answers = await Promise.all([1, 2, 3].map(() => fetch(`${running.base}/projects/${id}/picture.png`)))
  const [picture, ...others] = await Promise.all(
    answers.map(async (each) => Buffer.from(await each.arrayBuffer())),
  )
  // A PNG's size stands in its first chunk, the width at byte 16.
  expect([picture!.readUInt32BE(16), picture!.readUInt32BE(20)]).toEqual([560, 350])
  expect(picture!.length).toBeLessThan(40_000)
  for (const other of others) expect(other.equals(picture!)).toBe(true)
  const tag = answers[0]!.headers.get('etag')!
  const again = await fetch(`${running.base}/projects/${id}/picture.png`, {
    headers: { 'If-None-Match': tag },
  })
  expect(again.status).toBe(304)
})

test('a photograph is handed off in the sizes that it is shown in; one that cannot be read as it is', async () => {
  const raw = { width: 1200, height: 800, channels: 3 as const, background: '#7799aa' }
  const whole = new Uint8Array(await sharp({ create: raw }).jpeg().toBuffer())
  const broken = whole.slice(0, whole.length / 2)
  const file = starterProject('Photographs', 'home')
  for (const [id, bytes] of [
    ['whole', whole],
    ['broken', broken],
  ] as const) {
    const { hash } = await running.sendBlob(bytes, 'image/jpeg')
    const about = { name: `${id}.jpg`, type: 'image/jpeg' as const, width: 1200, height: 800 }
    file.assets.push({ id, ...about, hash, size: bytes.length })
  }
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'S',
      order: 'a0',
      props: { flow: 'lattice' },
      children: file.assets.map(({ id }, i) => ({
        id: `p-${id}`,
        kind: 'picture',
        name: id,
        order: `a${i}`,
        props: { asset: id, width: { kind: 'columns', span: 3 } },
      })),
    },
  ]
  const { id } = (await ask('/projects', 'POST', { file: JSON.stringify(file) })).body as { id: never }
  const answer = await fetch(`${running.base}/projects/${id}/handoff.zip`)
  const files = unzipSync(new Uint8Array(await answer.arrayBuffer()))
  const made = Object.keys(files).filter((path) => path.endsWith('.webp'))
  expect(made.length).toBeGreaterThan(1)
  for (const path of made) {
    const { width, height, format } = await sharp(files[path]).metadata()
    expect(format).toBe('webp')
    expect(path).toBe(`pictures/whole-${width}.webp`)
    expect(height).toBe(Math.round((width * 2) / 3))
  }
  const html = new TextDecoder().decode(files['index.html'])
  expect(html.match(/<source/g)).toHaveLength(1)
  expect(html).toContain('src="pictures/broken.jpg"')
  expect(files['pictures/broken.jpg']).toEqual(broken)
})
