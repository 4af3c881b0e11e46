/** Text stays text wherever it is written; a browser's own parsers are asked in `lattice conformance --hostile`. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import {
  cssColor,
  cssComment,
  cssString,
  htmlAddress,
  htmlAttribute,
  htmlText,
  isCssValue,
  pathPart,
} from './escape'
import { pageFileName, slug } from './names'

const nasty = fc.oneof(
  fc.string({ unit: 'binary' }),
  fc
    .array(
      fc.constantFrom(
        '<',
        '>',
        '"',
        "'",
        '&',
        '\\',
        '*',
        '/',
        ';',
        '{',
        '}',
        '\n',
        '\0',
        'script',
        ' ',
        '\\22',
        '--',
      ),
    )
    .map((parts) => parts.join('')),
)

test('in HTML nothing begins or ends an element or an attribute', () => {
  fc.assert(
    fc.property(nasty, (text) => {
      for (const written of [htmlText(text), htmlAttribute(text)]) {
        expect(written).not.toMatch(/[<>"]/)
        expect(written.replace(/&(amp|lt|gt|quot|nbsp|shy);/g, '')).not.toContain('&')
      }
    }),
  )
  expect(htmlText('a\u00a0b\u00ad<i>')).toBe('a&nbsp;b&shy;&lt;i&gt;')
})

test('in CSS a string ends where it is meant to, a comment too', () => {
  fc.assert(
    fc.property(nasty, (text) => {
      const body = cssString(text).slice(1, -1)
      // Escapes taken out, no quote, no line end, no beginning of a tag is left.
      expect(body.replace(/\\(?:[0-9a-f]+ |.)/g, '')).not.toMatch(/["\n\r\f<\0]/)
      expect(cssComment(text)).not.toMatch(/\*\/|[\n\r\f]/)
    }),
  )
  expect(cssComment('**//')).toBe('** //')
})

test('values that would end their declaration are none', () => {
  for (const value of ['red;x', 'a}b', '{', 'u\\72l(x)', '</style>', '/*', '*/'])
    expect(isCssValue(value)).toBe(false)
  for (const value of ['1 / span 2', 'calc(100% - 2px)', '"Hanken Grotesk", serif', 'var(--space-m)'])
    expect(isCssValue(value)).toBe(true)
  expect([cssColor('#aabbcc'), cssColor('#aabbcc80'), cssColor('red;}'), cssColor('#abc"')]).toEqual([
    '#aabbcc',
    '#aabbcc80',
    'transparent',
    'transparent',
  ])
})

test('addresses that may not be followed lead nowhere', () => {
  expect(htmlAddress('javascript:alert(1)')).toBe('#')
  expect(htmlAddress('https://seeds.test/?a=1&b="2"')).toBe('https://seeds.test/?a=1&amp;b=&quot;2&quot;')
})

test('files lie below the site’s folder, whatever they are named after', () => {
  fc.assert(
    fc.property(nasty, (text) => {
      for (const path of [pageFileName(text), `pictures/${pathPart(slug(text))}.svg`])
        expect(path).toMatch(/^([a-z0-9_-]+~?\/)*[a-z0-9_-]+~?\.(html|svg)$/)
    }),
  )
  expect(pageFileName('//evil')).toBe('evil/index.html')
  expect(pageFileName('/../../up')).toBe('up/index.html')
  expect(pageFileName('/con/a')).toBe('con~/a/index.html')
  expect(pathPart('a'.repeat(500)).length).toBe(80)
})
