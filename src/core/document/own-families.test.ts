/** Families of a project's own: beside each other, in texts, in what is handed off. */
import { beforeAll, expect, test } from 'vitest'
import { hashOf } from '../blobs/blobs'
import { applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { buildSite } from '../handoff/site'
import { openType } from '../samples/fonts'
import { starterProject } from '../shelf/starter'
import { EAST_ASIAN } from '../text/catalogue-east'
import { codesIn, parseRanges, rangesOf } from '../text/code-ranges'
import { fileFor, fontFile, learnFamilies, primaryFile } from '../text/families'
import { readFont } from '../text/font-file'
import { FontLibrary } from '../text/fonts'
import { fontsOf } from '../text/needed'
import { fontUses, takeOutFont } from '../tokens/own-fonts'
import { readTokensFile, writeTokensFile } from '../tokens/tokens-file'
import { said } from '../words/words'
import { Document } from './document'
import { missingFrom, openProject } from './open'
import { problemOfFamily, type TakenFont, withFonts } from './own-families'
import { projectArchive, projectJson } from './save'
import type { OwnFamily } from './schema'

let bytes: Uint8Array
let family: OwnFamily
beforeAll(async () => {
  bytes = await openType('caveat-latin-wght-normal')
  family = withFonts([], [taken()], () => '1')[0]!
})
const taken = (change: Partial<TakenFont['facts']> = {}): TakenFont => ({
  facts: { ...readFont(bytes), family: 'Hedgerow', weights: [400, 400], ...change },
  files: [{ ranges: readFont(bytes).ranges, hash: hashOf(bytes), size: bytes.length }],
})

/** With a page, a text on it, and a type style in the first family. */
function project(fonts: OwnFamily[], props: Record<string, unknown> = {}): string {
  const { pages, ...rest } = starterProject('Own', 'home')
  const $value = {
    fontFamily: fonts[0]!.id,
    fontSize: { value: 16, unit: 'px' },
    fontWeight: 400,
    lineHeight: 1.5,
    letterSpacing: { value: 0, unit: 'px' },
  }
  const text = {
    id: 't',
    kind: 'text',
    name: 'Text',
    order: 'a0',
    props: { words: said('Sown → early'), ...props },
  }
  const section = { id: 's', kind: 'section', name: 'Section', order: 'a0', props: {}, children: [text] }
  return JSON.stringify({
    ...rest,
    tokens: { type: { body: { $type: 'typography', $value } } },
    fonts,
    pages: [{ ...pages[0], sections: [section] }],
  })
}
const opened = (fonts: OwnFamily[], props?: Record<string, unknown>) =>
  openProject(project(fonts, props)).document

test('files of one name make a family, one of the same style and weight takes the place of another', () => {
  const bold = taken({ weights: [700, 700] })
  const [both] = withFonts([], [bold, taken()], () => '1')
  expect(both!.files.map(({ weights }) => weights[0])).toEqual([400, 700])
  const another = { ...bold, files: [{ ...bold.files[0]!, hash: 'f'.repeat(64) }] }
  const [more] = withFonts([both!], [taken({ italic: true }), another], () => '2')
  expect(more!.id).toBe(both!.id)
  expect(more!.files.map(({ italic, hash }) => [italic ?? false, hash.slice(0, 4)])).toEqual([
    [false, hashOf(bytes).slice(0, 4)],
    [false, 'ffff'],
    [true, hashOf(bytes).slice(0, 4)],
  ])
})

test('files of a family that is called as a shipped one make one family, at once or one after the other', () => {
  const [light, bold] = [taken({ family: 'Caveat' }), taken({ family: 'Caveat', weights: [700, 700] })]
  const together = withFonts([], [light, bold], () => '1')
  expect(together).toHaveLength(1)
  expect(together[0]!.files).toHaveLength(2)
  expect(problemOfFamily(together[0]!, [])).toBeUndefined()
  const [first] = withFonts([], [light], () => '1')
  const [then] = withFonts([first!], [bold], () => '2')
  expect(then).toMatchObject({ id: first!.id, family: first!.family })
  expect(then!.files).toHaveLength(2)
})

test('a file is refused where two families, or two files, cannot be told apart', () => {
  const other = { ...family, id: 'other' }
  expect(() => opened([family, other])).toThrow(/fonts\[1\].*another family called “Hedgerow”/)
  expect(() => opened([{ ...family, family: 'Fraunces' }])).toThrow(/another family called “Fraunces”/)
  expect(() => opened([{ ...family, files: [family.files[0]!, family.files[0]!] }])).toThrow(/the weight 400/)
})

test('the weight that is nearest is drawn, as browsers choose it; what it has not another family draws', () => {
  const weights = [300, 500, 800].map((weight) => taken({ weights: [weight, weight] }))
  const own = withFonts([], weights, () => 'w')[0]!
  learnFamilies([own])
  const drawn = (weight: number) => primaryFile({ family: own.id, italic: false, weight }).weights[0]
  expect([100, 399, 400, 450, 500, 501, 650, 900].map(drawn)).toEqual([
    300, 300, 500, 500, 500, 800, 800, 800,
  ])
  const wanted = { family: own.id, italic: false, weight: 400 }
  expect(fileFor(wanted, 'a'.codePointAt(0)!)!.hash).toBe(hashOf(bytes))
  expect(fileFor(wanted, '→'.codePointAt(0)!)!.family).toBe('Lattice Symbols')
  // HarfBuzz makes a thin space of the font's own.
  expect(fileFor(wanted, 0x2009)!.hash).toBe(hashOf(bytes))
})

test('a text needs its files, and they come with the project', () => {
  const doc = opened([family], { fontFamily: family.id })
  const ids = [...fontsOf(doc)].filter((id) => fontFile(id)!.hash)
  expect(ids).toHaveLength(1)
  const library = new FontLibrary()
  library.add(ids[0]!, bytes)
  expect(library.primary({ family: family.id, italic: false, weight: 400 })!.has('a'.codePointAt(0)!)).toBe(
    true,
  )
  expect(missingFrom({ document: doc, blobs: new Map() })).toMatchObject([
    { name: 'Hedgerow', type: 'font/woff2' },
  ])
  const blobs = new Map([[hashOf(bytes), bytes]])
  const again = openProject(projectArchive(doc, blobs))
  expect(projectJson(again.document)).toBe(projectJson(doc))
  expect([...again.blobs.keys()]).toEqual([hashOf(bytes)])
})

test('handed off by name, with its file; a tokens file says the name, too', () => {
  const doc = opened([family], { fontFamily: family.id })
  const site = buildSite(doc, new Map([[hashOf(bytes), bytes]]))
  const css = site.text.get('styles.css')!
  expect(css).toMatch(/@font-face \{\s+font-family: "Hedgerow";[^}]*font-weight: 400;[^}]*\}/)
  expect(css).not.toMatch(/"Hedgerow";[^}]*unicode-range/)
  const [path] = [...site.ownFonts.keys()]
  expect(css).toContain(`url("${path}")`)
  expect(css).not.toContain(family.id.concat('"'))
  expect(writeTokensFile(doc)).toContain('"fontFamily": "Hedgerow"')
  expect(readTokensFile(doc, writeTokensFile(doc))).toMatchObject({ edits: [] })
})

/** Two parts of one font. */
const inParts = (...ranges: string[]): TakenFont => ({
  ...taken(),
  files: ranges.map((each, i) => ({ ranges: each, hash: `${i + 1}`.repeat(64), size: 1000 })),
})

test('a font in parts: each draws its characters, and those that are drawn with are handed off', () => {
  const [own] = withFonts([family], [inParts('U+20-7E', 'U+3001-30FF', 'U+4E00-4FFF')], () => 'p')
  expect(own!.files).toHaveLength(3)
  const doc = opened([own!], { fontFamily: own!.id, words: said('Seed 、 一') })
  learnFamilies(doc.fonts)
  const wanted = { family: own!.id, italic: false, weight: 400 }
  const drawnBy = (text: string) => fileFor(wanted, text.codePointAt(0)!)!.hash?.[0]
  expect([...'aあ一é'].map(drawnBy)).toEqual(['1', '2', '3', undefined])
  expect(primaryFile(wanted).hash?.[0]).toBe('1')
  const whole = withFonts([own!], [taken()], () => 'w')[0]!
  expect(whole.files.map(({ hash }) => hash)).toEqual([hashOf(bytes)])

  const { text } = buildSite(doc, new Map())
  const css = text.get('styles.css')!
  const asked = [...css.matchAll(/"Hedgerow";[^}]*unicode-range: ([^;]+);/g)].map(([, ranges]) => ranges)
  // The last that is declared is asked first (CSS Fonts 4 §4.5).
  expect(asked).toEqual(['U+4E00-4FFF', 'U+3001-30FF', 'U+20-7E'])
  const latin = opened([own!], { fontFamily: own!.id, words: said('Seed') })
  expect([...fontsOf(latin)].flatMap((id) => fontFile(id)!.hash?.[0] ?? [])).toEqual(['1'])
})

test('parts that draw one character are refused, and parts beside a font of other weights', () => {
  const [own] = withFonts([], [inParts('U+20-7E,U+3001', 'U+3000-30FF')], () => 'p')
  expect(() => opened([own!])).toThrow(/the weight 400 have the character U\+3001/)
  const file = { ...own!.files[1]!, weights: [300, 500] as [number, number] }
  expect(() => opened([{ ...own!, files: [own!.files[0]!, file] }])).toThrow(/the weight 400/)
})

test('a font of all characters in use in Japan can stay in one file', () => {
  const slices = EAST_ASIAN.filter(({ slug }) => slug === 'noto-sans-jp')
  const codes = new Set(slices.flatMap(({ ranges }) => [...codesIn(parseRanges(ranges))]))
  const ranges = rangesOf([...codes].sort((a, b) => a - b))
  expect(ranges.length).toBeGreaterThan(40_000)
  const [own] = withFonts([], [{ ...taken(), files: [{ ...taken().files[0]!, ranges }] }], () => 'j')
  expect(opened([own!]).fonts[0]!.files[0]!.ranges).toBe(ranges)
})

test('East Asian signs are as wide as they are drawn in a font of one’s own, too', () => {
  const css = (own: OwnFamily) =>
    buildSite(opened([own], { fontFamily: own.id, words: said('Seed 、一') }), new Map()).text.get(
      'styles.css',
    )
  const [east] = withFonts([], [inParts('U+20-7E,U+3001,U+4E00')], () => 'p')
  expect(css(east!)).toContain('text-spacing-trim: space-all')
})

test('taken out, what was set in it is set in another; undone, all is as it was', () => {
  const doc = opened([family], { fontFamily: family.id })
  const before = projectJson(doc)
  expect(fontUses(doc).get(family.id)).toEqual({ texts: 1, styles: ['type.body'] })
  const inverses = applyAll(doc, takeOutFont(doc, family.id, 'Figtree'))
  expect(doc.fonts).toEqual([])
  expect(fontUses(doc).get(family.id)).toBeUndefined()
  expect(fontUses(doc).get('Figtree')).toEqual({ texts: 1, styles: ['type.body'] })
  applyAll(doc, inverses.reverse())
  expect(projectJson(doc)).toBe(before)
})

test('an edit that would give two families one name is refused, and changes nothing', () => {
  const doc = Document.fromFile(opened([family]).toFile())
  const edit: Edit = { op: 'font', id: 'other', font: { ...family, id: 'other' } }
  expect(() => applyAll(doc, [edit])).toThrow(/another family called “Hedgerow”/)
  expect(doc.fonts).toEqual([family])
})
