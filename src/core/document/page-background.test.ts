/** A page's background: in the file, in edits, under templates, in what is drawn and handed off. */
import { expect, test } from 'vitest'
import { newPageProps, sameBackgroundEdits } from '../arrange/pages'
import { applyEdit as apply, applyAll } from '../edits/apply'
import type { Edit } from '../edits/edit'
import { buildSite } from '../handoff/site'
import { pageSvg } from '../handoff/svg/page'
import { PageLayout } from '../layout/page'
import { loadFonts } from '../samples/fonts'
import { starterProject } from '../shelf/starter'
import { ParagraphCache } from '../text/paragraph-cache'
import { removeTokenEdits, renameTokenEdits } from '../tokens/instead'
import { pageThen } from '../tokens/page-then'
import { pairsOn } from '../tokens/pairs'
import { tokenUses } from '../tokens/uses'
import { said } from '../words/words'
import { backgroundFrom, backgroundOf } from './background'
import { Document } from './document'
import { Draft } from './draft'
import { openProject } from './open'
import { bodyOf, outlineOf, partsOf } from './outline'
import { projectJson } from './save'

const night = (value = '#120d1d') => ({ $type: 'color', $value: value })

/** Two pages; the first has a text on it. */
function project(): Document {
  const file = starterProject('Ground', 'home')
  const text = {
    id: 't',
    kind: 'text',
    name: 'Words',
    order: 'a0',
    props: { color: '#777777', words: said('Late') },
  }
  const section = { id: 's', kind: 'section', name: 'Section', order: 'a0', props: {}, children: [text] }
  const other = { ...file.pages[0]!, id: 'about', name: 'About', path: '/about', order: 'b0', sections: [] }
  const pages = [{ ...file.pages[0]!, sections: [section] }, other]
  return Document.fromFile({ ...file, tokens: { ...file.tokens, color: { night: night() } }, pages } as never)
}
const set = (node: string, background: string | null): Edit => ({ op: 'set', node, props: { background } })

async function layoutOf(doc: Document, page = 'home') {
  return new PageLayout(doc, page, 'desktop', 1440, new ParagraphCache(await loadFonts(doc)))
}

test('set, kept in the file, taken back', () => {
  const doc = project()
  const before = projectJson(doc)
  const inverse = apply(doc, set('home', '{color.night}'))
  expect(doc.toFile().pages[0]!.props).toEqual({ background: '{color.night}' })
  expect(projectJson(openProject(projectJson(doc)).document)).toBe(projectJson(doc))
  apply(doc, inverse)
  expect(projectJson(doc)).toBe(before)
})

test('a page has no other properties, and one background for all views', () => {
  const doc = project()
  expect(() => apply(doc, { op: 'set', node: 'home', props: { opacity: 0.5 } })).toThrow('it has no')
  expect(() => apply(doc, { op: 'set', node: 's', props: { background: '#000000' } })).toThrow(
    'it has no background',
  )
  expect(() => apply(doc, { ...set('home', '#000000'), view: 'mobile' } as Edit)).toThrow(
    'one background for all views',
  )
  const file = doc.toFile()
  const broken = { ...file, pages: [{ ...file.pages[0]!, props: { opacity: 0.5 } }] }
  expect(() => openProject(JSON.stringify(broken))).toThrow(/pages\[0\]\.props/)
})

test('it comes with what is on the page, and goes with it', () => {
  const doc = project()
  apply(doc, set('about', '#221133'))
  const { file, absent } = partsOf(outlineOf(doc), new Map())
  const part = Document.fromParts(file, absent)
  expect(part.node('about').props).toEqual({})
  const draft = new Draft(part)
  draft.fill('about', bodyOf(doc, 'about'))
  part.accept(draft)
  expect(part.node('about').props).toEqual({ background: '#221133' })
  const inverse = apply(doc, { op: 'page', id: 'about', page: null })
  apply(doc, inverse)
  expect(doc.node('about').props).toEqual({ background: '#221133' })
})

test('a token of it is used there: renamed and taken away as in blocks', () => {
  const doc = project()
  apply(doc, set('home', '{color.night}'))
  expect(tokenUses(doc).get('color.night')).toMatchObject([{ node: 'home', key: 'background' }])
  applyAll(doc, renameTokenEdits(doc, 'color.night', 'color.late'))
  expect(doc.node('home').props.background).toBe('{color.late}')
  applyAll(doc, removeTokenEdits(doc, 'color.late'))
  expect(doc.node('home').props.background).toBe('#120d1d')
})

test('a page that says none has its template’s', async () => {
  const doc = project()
  const { sections: _, ...rest } = doc.pageFile('about')
  const frame = {
    ...rest,
    id: 'frame',
    name: 'Frame',
    path: '/frame',
    order: 'c0',
    isTemplate: true as const,
  }
  applyAll(doc, [
    { op: 'page', id: 'frame', page: { ...frame, sections: [] } },
    set('frame', '{color.night}'),
    { op: 'page-meta', id: 'home', set: { template: 'frame' } },
  ])
  const layout = await layoutOf(doc)
  expect(layout.root.resolved.background).toBe('#120d1d')
  apply(doc, set('frame', '#332244'))
  layout.update()
  expect(layout.root.resolved.background).toBe('#332244')
  apply(doc, set('home', '#445566'))
  layout.update()
  expect(layout.root.resolved.background).toBe('#445566')
})

test('it is drawn behind everything, and words are read on it', async () => {
  const doc = project()
  const layout = await layoutOf(doc)
  const paper = () => /<rect[^>]*fill="([^"]+)"/.exec(pageSvg(doc, layout, new Map()))![1]
  expect(paper()).toBe('#ffffff')
  expect(pairsOn(layout)).toMatchObject([{ ground: '#ffffff' }])
  apply(doc, set('home', '{color.night}'))
  layout.update()
  expect(paper()).toBe('#120d1d')
  expect(pairsOn(layout)).toMatchObject([{ ink: '#777777', ground: '#120d1d' }])
  apply(doc, { op: 'token', name: 'color.night', token: night('#ffffff80') })
  layout.update()
  expect(paper()).toBe('#ffffff')
})

test('blocks blend with it, and not with the white below a page without one', async () => {
  const doc = project()
  const layout = await layoutOf(doc)
  const drawn = () => pageSvg(doc, layout, new Map()).replace(/<defs>.*<\/defs>/, '')
  expect(drawn()).toMatch(/<rect[^>]*fill="#ffffff"\/><g style="isolation:isolate">/)
  apply(doc, set('home', '#f6e3c5'))
  layout.update()
  expect(drawn()).toMatch(/<g style="isolation:isolate"><rect[^>]*fill="#f6e3c5"\/>/)
})

test('a new page has the one that all pages have', () => {
  const doc = project()
  expect(newPageProps(doc, undefined)).toEqual({})
  apply(doc, set('home', '{color.night}'))
  expect(newPageProps(doc, undefined)).toEqual({})
  apply(doc, set('about', '{color.night}'))
  expect(newPageProps(doc, undefined)).toEqual({ props: { background: '{color.night}' } })
  expect(newPageProps(doc, 'frame')).toEqual({})
})

test('on all pages: templates say it, and pages on them follow', async () => {
  const doc = project()
  const { sections: _, ...rest } = doc.pageFile('about')
  const outer = {
    ...rest,
    id: 'outer',
    name: 'Outer',
    path: '/outer',
    order: 'c0',
    isTemplate: true as const,
  }
  const inner = { ...outer, id: 'inner', path: '/inner', order: 'd0', template: 'outer' }
  applyAll(doc, [
    { op: 'page', id: 'outer', page: { ...outer, sections: [] } },
    { op: 'page', id: 'inner', page: { ...inner, sections: [] } },
    { op: 'page-meta', id: 'home', set: { template: 'inner' } },
    set('home', '#445566'),
  ])
  const inverses = applyAll(doc, sameBackgroundEdits(doc, '{color.night}'))
  const said = () => ['home', 'about', 'outer', 'inner'].map((id) => doc.node(id).props.background)
  expect(said()).toEqual([undefined, '{color.night}', '{color.night}', undefined])
  expect(['home', 'about'].map((id) => backgroundOf(doc, id))).toEqual(['{color.night}', '{color.night}'])
  expect(backgroundFrom(doc, 'home')?.id).toBe('outer')
  expect(sameBackgroundEdits(doc, '{color.night}')).toEqual([])
  // As it would be is seen with all of its templates.
  const paragraphs = new ParagraphCache(await loadFonts(doc))
  const at = { page: 'home', view: 'desktop', theme: undefined }
  expect(pageThen(doc, [], at, paragraphs).layout.root.resolved.background).toBe('#120d1d')
  applyAll(doc, inverses.reverse())
  expect(said()).toEqual(['#445566', undefined, undefined, undefined])
})

/** The style sheet, and each page's root element. */
function handedOff(doc: Document) {
  const { text } = buildSite(doc, new Map())
  const html = (path: string) => /<html[^>]*>/.exec(text.get(path)!)![0]
  return { css: text.get('styles.css')!, home: html('index.html'), about: html('about/index.html') }
}

test('one for all pages is the window’s; others are each page’s', () => {
  const doc = project()
  expect(handedOff(doc).css).not.toContain('background-color')
  applyAll(doc, [set('home', '{color.night}'), set('about', '{color.night}')])
  const all = handedOff(doc)
  expect(all.css).toMatch(/:root \{\s+background-color: var\(--color-night\);\s+\}/)
  expect(all.home).toBe('<html lang="en">')
  apply(doc, set('about', null))
  const one = handedOff(doc)
  expect(one.css).toMatch(/\[data-page="home"\] \{\s+background-color: var\(--color-night\);\s+\}/)
  expect([one.home, one.about]).toEqual(['<html lang="en" data-page="home">', '<html lang="en">'])
})

test('below one that lets something through it is white in every scheme', () => {
  const doc = project()
  const themes = ['light', 'dark'].map((id) => ({ id, name: id, scheme: id }))
  const dark = Document.fromFile({ ...doc.toFile(), themes } as never)
  applyAll(dark, [set('home', '#12345680'), set('about', '#12345680')])
  expect(handedOff(dark).css).toMatch(
    /:root \{\s+background-color: #ffffff;\s+background-image: linear-gradient\(#12345680, #12345680\);/,
  )
})
