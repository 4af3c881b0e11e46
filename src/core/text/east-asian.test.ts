import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { buildSite } from '../handoff/site'
import { starterProject } from '../shelf/starter'
import { said } from '../words/words'
import { learnEastAsian } from './east-asian'
import { fileFor, fontFile } from './families'
import { fontsOf } from './needed'

const WANTED = { family: 'Hanken Grotesk', italic: false, weight: 400 }

function pageThatSays(words: string) {
  const file = starterProject('Site', 'home')
  file.pages[0]!.sections = [
    {
      id: 's',
      kind: 'section',
      name: 'Opening',
      order: 'a0',
      props: {},
      children: [{ id: 't', kind: 'text', name: 'Text', order: 'a0', props: { words: said(words) } }],
    },
  ]
  return Document.fromFile(file)
}

// The table is read once, for all that comes after.
describe('East Asian characters', () => {
  test('have no file until they are met; then each has one', async () => {
    expect(fileFor(WANTED, '種'.codePointAt(0)!)).toBeUndefined()
    expect(await learnEastAsian(pageThatSays('Seeds → زرع'))).toBe(false)
    expect(fileFor(WANTED, '種'.codePointAt(0)!)).toBeUndefined()
    expect(await learnEastAsian(pageThatSays('種子'))).toBe(true)
    for (const char of '種子库씨앗キャ、。（￥')
      expect(fileFor(WANTED, char.codePointAt(0)!)?.family, char).toBe('Lattice Scripts')
    expect(await learnEastAsian(pageThatSays('種子'))).toBe(false)
  })
  test('bring the files that they are in, and no others; signs keep their width', () => {
    const doc = pageThatSays('種子')
    const needed = [...fontsOf(doc)].filter((id) => fontFile(id)!.isEastAsian)
    expect(needed.length).toBeGreaterThan(0)
    expect(needed.length).toBeLessThanOrEqual(2)
    const css = buildSite(doc, new Map()).text.get('styles.css')!
    for (const id of needed) expect(css).toContain(`fonts/${id}.woff2`)
    expect(css).toContain('text-spacing-trim: space-all')
    expect(buildSite(pageThatSays('Seeds'), new Map()).text.get('styles.css')).not.toContain(
      'text-spacing-trim',
    )
  })
})
