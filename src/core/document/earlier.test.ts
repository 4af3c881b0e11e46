import { readFile } from 'node:fs/promises'
import { strFromU8, unzipSync } from 'fflate'
import { expect, test } from 'vitest'
import { hashOf } from '../blobs/blobs'
import { inOldWords } from '../properties/test-old-words'
import { FormatError, missingFrom, openProject } from './open'
import { VERSION } from './schema'

type Version1 = { assets: { id: string; data: string }[] }

test('a file of version 1 opens with the same pages, and its pictures apart', async () => {
  const text = await readFile(new URL('fixtures/project-1.json', import.meta.url), 'utf8')
  const { assets, ...rest } = JSON.parse(text) as Version1
  const opened = openProject(text)
  const { assets: now, ...restNow } = opened.document.toFile()
  expect(inOldWords(restNow)).toEqual({ ...rest, version: VERSION })
  expect(missingFrom(opened)).toEqual([])
  expect(now).toHaveLength(assets.length)
  for (const { id, data } of assets) {
    const asset = now.find((each) => each.id === id)!
    const bytes = opened.blobs.get(asset.hash)!
    expect(Buffer.from(bytes).toString('base64')).toBe(data)
    expect(asset).toMatchObject({ hash: hashOf(bytes), size: bytes.length })
  }
})

test('what is wrong in a file of version 1 is said at its place there', async () => {
  const file = JSON.parse(await readFile(new URL('fixtures/project-1.json', import.meta.url), 'utf8'))
  file.assets[1].data = 'not base64!'
  expect(() => openProject(JSON.stringify(file))).toThrow(FormatError)
  expect(() => openProject(JSON.stringify(file))).toThrow('assets[1].data: expected base64')
  file.assets = 'none'
  expect(() => openProject(JSON.stringify(file))).toThrow(/^assets/)
})

test('a file of version 2 opens with the same looks, in today’s words', async () => {
  const bytes = new Uint8Array(await readFile(new URL('fixtures/project-2.lattice', import.meta.url)))
  const before = JSON.parse(strFromU8(unzipSync(bytes)['project.json']!))
  expect(before.version).toBe(2)
  const now = openProject(bytes).document.toFile()
  expect(inOldWords(now)).toEqual({ ...before, version: VERSION })
})
