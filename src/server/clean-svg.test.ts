/** SVG pictures that mean harm, cleaned; harmless ones as they were. */
import { readFile } from 'node:fs/promises'
import { JSDOM } from 'jsdom'
import { expect, test } from 'vitest'
import { openProject } from '../core/document/open'
import { cleanPicture, isClean } from './clean-svg'

const svg = (inside: string, attributes = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9" ${attributes}>${inside}</svg>`

test.each([
  ['a script', '<script>harm()</script>'],
  [
    'a script in another case and namespace',
    '<SCRIPT>harm()</SCRIPT><x:script xmlns:x="http://www.w3.org/2000/svg">harm()</x:script>',
  ],
  ['a handler', '<rect onclick="harm()" onload="harm()"/>'],
  [
    'another document',
    '<foreignObject><body xmlns="http://www.w3.org/1999/xhtml" onload="harm()">harm()</body></foreignObject>',
  ],
  [
    'a link',
    '<a href="javascript:harm()"><text>x</text></a><a xlink:href="javascript:harm()"><text>y</text></a>',
  ],
  [
    'an animated address',
    '<use id="u" href="#a"/><animate href="#u" attributeName="href" to="javascript:harm()"/>',
  ],
  [
    'a picture from elsewhere',
    '<image href="https://outside.test/harm.png"/><image xlink:href="//outside.test/harm.png"/>',
  ],
  ['a part of another file', '<use href="harm.svg#x"/><use xlink:href="data:image/svg+xml,harm#x"/>'],
  ['a style sheet', '<style>@import url(https://outside.test/harm.css);</style>'],
  [
    'paint from elsewhere',
    '<rect fill="url(https://outside.test/harm#x)" style="fill:url( \'harm.svg#x\')"/>',
  ],
  ['paint spelled with escapes', '<rect style="fill:u\\72l(harm.svg)"/>'],
  ['a filter from elsewhere', '<filter id="f"><feImage href="https://outside.test/harm.png"/></filter>'],
  ['a frame', '<iframe src="https://outside.test/harm"/><object data="harm"/><embed src="harm"/>'],
])('%s is taken out', async (_, inside) => {
  const clean = await cleanPicture(svg(`<circle r="4"/>${inside}`))
  expect(clean).not.toMatch(/harm|javascript|\son[a-z]+=/i)
  expect(clean).toContain('circle')
  // Still one picture, as XML.
  const { documentElement } = new JSDOM(clean, { contentType: 'image/svg+xml' }).window.document
  expect(documentElement.localName).toBe('svg')
})

test('entities and instructions before the picture go', async () => {
  const clean = await cleanPicture(
    `<?xml version="1.0"?><?xml-stylesheet href="https://outside.test/harm.css"?><!DOCTYPE svg [<!ENTITY x SYSTEM "file:///harm">]>${svg('<text>&x;</text>')}`,
  )
  expect(clean).not.toMatch(/harm|DOCTYPE|stylesheet/)
})

test('what is no picture becomes an empty one', async () => {
  for (const text of ['', 'not SVG', '<html><script>harm()</script></html>', '<math></math>'])
    expect(await cleanPicture(text)).toMatch(/^<svg [^>]*\/>$/)
})

test('pictures that do no harm stay as they are, to the byte', async () => {
  const { document, blobs } = openProject(
    await readFile(new URL('../../demo/hollow-oak.lattice', import.meta.url)),
  )
  const drawings = [...document.assets.values()].filter(({ type }) => type === 'image/svg+xml')
  expect(drawings.length).toBeGreaterThan(4)
  for (const { hash } of drawings) {
    const text = new TextDecoder().decode(blobs.get(hash))
    expect(await cleanPicture(text)).toBe(text)
    expect(await isClean(text)).toBe(true)
  }
})

test('gradients, clips, masks, patterns, filters and uses of one’s own parts stay', async () => {
  const own = svg(
    '<style>.a{fill:url(#g)} .b{opacity:.5}</style><defs><linearGradient id="g"><stop offset="0" stop-color="#123456"/></linearGradient><clipPath id="c"><rect width="4" height="4"/></clipPath>' +
      '<filter id="f"><feGaussianBlur stdDeviation="2"/></filter><mask id="m"><rect width="4" height="4" fill="url(#g)"/></mask></defs>' +
      '<g clip-path="url(#c)" filter="url(#f)" mask="url(\'#m\')" style="mix-blend-mode:multiply"><rect id="r" width="9" height="9"/></g><use href="#r" xlink:href="#r"/>' +
      '<image href="data:image/png;base64,iVBORw0KGgo=" width="4" height="4"/>',
  )
  const clean = await cleanPicture(own)
  for (const part of [
    'linearGradient',
    '.a{fill:url(#g)} .b{opacity:.5}',
    'url(#g)',
    'clip-path',
    'filter="url(#f)"',
    'mask',
    'mix-blend-mode',
    'href="#r"',
    'data:image/png',
  ])
    expect(clean).toContain(part)
})
