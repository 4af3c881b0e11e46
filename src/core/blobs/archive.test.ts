import { zipSync } from 'fflate'
import { describe, expect, test } from 'vitest'
import { openProject } from '../document/open'
import { projectArchive, projectJson } from '../document/save'
import type { Asset } from '../document/schema'
import { starterProject } from '../shelf/starter'
import { base64Of, fromBase64 } from './base64'
import { hashOf, nameOf, partsOf } from './blobs'
import { typeOfPicture } from './picture-type'

const bytes = (text: string) => new TextEncoder().encode(text)
const svg = bytes('<svg xmlns="http://www.w3.org/2000/svg" width="4" height="3"/>')
const asset: Asset = {
  id: 'pic',
  name: 'Plan',
  type: 'image/svg+xml',
  width: 4,
  height: 3,
  ...nameOf(svg),
}
const project = () => {
  const { document } = openProject(JSON.stringify({ ...starterProject('Test', 'home'), assets: [asset] }))
  return document
}
const json = () => bytes(projectJson(project()))
const opened = (files: Record<string, Uint8Array>) => () => openProject(zipSync(files))

describe('a project file', () => {
  test('opens as it was saved, and the same project gives the same bytes', () => {
    const file = projectArchive(project(), new Map([[asset.hash, svg]]))
    const { document, blobs } = openProject(file)
    expect(document.toFile()).toEqual(project().toFile())
    expect(blobs).toEqual(new Map([[asset.hash, svg]]))
    expect(projectArchive(document, blobs)).toEqual(file)
  })
  test('what it does not name is neither written nor read', () => {
    const other = bytes('other')
    const file = projectArchive(
      project(),
      new Map([
        [asset.hash, svg],
        [hashOf(other), other],
      ]),
    )
    expect(openProject(file).blobs.size).toBe(1)
    const more = opened({ 'project.json': json(), [`blobs/${asset.hash}`]: svg, 'notes.txt': other })
    expect(more().blobs.size).toBe(1)
  })
  test.each([
    ['without a project', { [`blobs/${asset.hash}`]: svg }, /zip without a project\.json/],
    ['without a picture', { 'project.json': json() }, /^blobs\/[0-9a-f]{64}: the picture “Plan” is not in/],
    [
      'with another picture under the name',
      { 'project.json': json(), [`blobs/${asset.hash}`]: bytes('other') },
      /“Plan” is damaged/,
    ],
    ['with broken JSON', { 'project.json': bytes('{') }, /cut short/],
    ['with JSON that is no text', { 'project.json': new Uint8Array([0xff, 0xfe, 0]) }, /UTF-8/],
  ])('%s it is refused with the place', (_, files, reason) => {
    expect(opened(files as Record<string, Uint8Array>)).toThrow(reason)
  })
  test('cut short or spoilt anywhere, it is refused or whole: never anything else', () => {
    const file = projectArchive(project(), new Map([[asset.hash, svg]]))
    const whole = JSON.stringify(project().toFile())
    for (let at = 4; at < file.length; at += 7) {
      const spoilt = file.slice()
      spoilt[at]! ^= 0x55
      for (const bad of [spoilt, file.slice(0, at)]) {
        try {
          expect(JSON.stringify(openProject(bad).document.toFile())).toBe(whole)
        } catch (error) {
          expect((error as Error).name).toBe('FormatError')
        }
      }
    }
  })
  test('one that would unpack to more than it may is not unpacked', () => {
    const bomb = zipSync({ 'project.json': new Uint8Array(65_000_000) }, { level: 9 })
    expect(bomb.length).toBeLessThan(200_000)
    expect(() => openProject(bomb)).toThrow('project.json is larger than 64 MB')
  })
})

test('base64 there and back; what is none is none', () => {
  for (const length of [0, 1, 2, 3, 70_000]) {
    const some = Uint8Array.from({ length }, (_, i) => (i * 31) % 256)
    expect(base64Of(some)).toBe(Buffer.from(some).toString('base64'))
    expect(fromBase64(base64Of(some))).toEqual(some)
  }
  for (const text of ['a', 'ab=c', 'a b', 'é']) expect(fromBase64(text)).toBeUndefined()
})

test('parts of a blob', () => {
  expect([0, 1, 1_000_000, 1_000_001, 4_000_000].map(partsOf)).toEqual([1, 1, 1, 2, 4])
})

test.each([
  ['image/png', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0])],
  ['image/jpeg', new Uint8Array([0xff, 0xd8, 0xff, 0xe0])],
  ['image/webp', bytes('RIFF....WEBPVP8 ')],
  ['image/svg+xml', svg],
  ['image/svg+xml', bytes('<?xml version="1.0"?>\n<!-- a plan --><!DOCTYPE svg>\n<svg:svg>')],
  [undefined, bytes('<html><svg></svg></html>')],
  [undefined, bytes('RIFF....WAVE')],
  [undefined, new Uint8Array()],
])('%s is told by its content', (type, content) => {
  expect(typeOfPicture(content)).toBe(type)
})
