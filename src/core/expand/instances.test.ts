/** Pages that stand on templates: what they show, and that it is kept up to date. */

import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyEdit } from '../edits/apply'
import { type Edit, EditError } from '../edits/edit'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'
import { loadFonts } from '../samples/fonts'
import { starterProject } from '../shelf/starter'
import type { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { instanceKey } from './instances'
import { letGo, likelyShared, standOn, templateFrom } from './template'

let fonts: FontLibrary
beforeAll(async () => {
  fonts = await loadFonts(Document.fromFile(starterProject('Fonts', 'home')))
})

const words = (id: string, text: string, order = 'a0'): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order,
  props: { words: said(text) },
})
const band = (
  id: string,
  order: string,
  tag: 'header' | 'section' | 'footer',
  child: NodeTree,
): NodeTree => ({
  id,
  kind: 'section',
  name: id,
  order,
  props: { tag, paddingTop: 10 },
  children: [
    {
      id: `${id}-row`,
      kind: 'box',
      name: 'Row',
      order: 'a0',
      props: { flow: 'row', width: { kind: 'columns', span: 3 } },
      children: [child],
    },
  ],
})

/** Two pages; the first has a header and a footer. */
function site() {
  const file = starterProject('Site', 'home')
  file.pages[0]!.sections = [
    band('head', 'a0', 'header', words('logo', 'Hollow Oak')),
    band('hero', 'a1', 'section', words('title', 'Borrow a packet')),
    band('foot', 'a2', 'footer', words('small', 'Open Saturdays')),
  ]
  file.pages.push({
    id: 'shop',
    name: 'Shop',
    path: '/shop',
    order: 'a5',
    views: [],
    sections: [band('list', 'a0', 'section', words('rows', 'All seed'))],
  })
  return Document.fromFile(file)
}

let count = 0
const makeId = () => `made-${count++}`
const run = (doc: Document, edits: readonly Edit[]) => edits.map((edit) => applyEdit(doc, edit))
const lay = (doc: Document, page: string, view = 'desktop') =>
  new PageLayout(doc, page, view, doc.view(view).width, new ParagraphCache(fonts))
/** What a page shows, top down, with where it stands. */
const shown = (layout: PageLayout) =>
  [...layout.visible()].map((box) => [box.id, layout.rect(box.id), layout.lineTexts(box.id).join(' ')])
const texts = (layout: PageLayout) =>
  [...layout.visible()].map((box) => layout.lineTexts(box.id).join(' ')).filter(Boolean)

function templated() {
  const doc = site()
  const before = shown(lay(doc, 'home')).map(([, ...rest]) => rest)
  const made = templateFrom(doc, 'home', new Set(likelyShared(doc, 'home')), 'Main', makeId)
  if (typeof made === 'string') throw new Error(made)
  run(doc, made.edits)
  run(doc, standOn('shop', made.id))
  return { doc, id: made.id, before }
}

/** The logo of the template, otherwise on the page Shop. */
const change = (props: Record<string, unknown>, view?: string): Edit => ({
  op: 'change',
  page: 'shop',
  node: 'logo',
  props,
  ...(view ? { view } : {}),
})

describe('a template', () => {
  test('is made of a page in one command, and the page looks as before', () => {
    const { doc, before } = templated()
    expect(shown(lay(doc, 'home')).map(([, ...rest]) => rest)).toEqual(before)
    expect(doc.node('home').children).toEqual(['hero'])
    expect(doc.pagesInOrder().map(({ id }) => id)).toEqual(['home', 'shop'])
    expect(doc.templates().map(({ name }) => name)).toEqual(['Main'])
  })

  test('is shown on every page that stands on it, around what is theirs', () => {
    const { doc } = templated()
    expect(texts(lay(doc, 'shop'))).toEqual(['Hollow Oak', 'All seed', 'Open Saturdays'])
    applyEdit(doc, { op: 'set', node: 'logo', props: { words: said('Old Oak') } })
    expect(texts(lay(doc, 'shop'))[0]).toBe('Old Oak')
    expect(texts(lay(doc, 'home'))[0]).toBe('Old Oak')
  })

  test('a page changes what it shows of it, for all views or one, and puts it back', () => {
    const { doc } = templated()
    applyEdit(doc, { op: 'set', node: 'logo', view: 'mobile', props: { words: said('H.O.') } })
    const inverse = applyEdit(doc, change({ words: said('The shop') }))
    expect(texts(lay(doc, 'shop'))[0]).toBe('The shop')
    // What was said for a view alone is changed with it.
    expect(texts(lay(doc, 'shop', 'mobile'))[0]).toBe('The shop')
    expect(texts(lay(doc, 'home', 'mobile'))[0]).toBe('H.O.')
    applyEdit(doc, change({ hidden: true }, 'mobile'))
    expect(texts(lay(doc, 'shop', 'mobile'))).toEqual(['All seed', 'Open Saturdays'])
    expect(texts(lay(doc, 'shop'))[0]).toBe('The shop')
    applyEdit(doc, inverse)
    applyEdit(doc, change({ hidden: null }, 'mobile'))
    expect(doc.pages.get('shop')!.changes).toBeUndefined()
    expect(texts(lay(doc, 'shop', 'mobile'))[0]).toBe('H.O.')
  })

  test('what a page cannot change is refused, with the reason', () => {
    const { doc, id } = templated()
    const refused = (edit: Edit, reason: RegExp) => expect(() => applyEdit(doc, edit)).toThrow(reason)
    refused({ op: 'change', page: 'shop', node: 'title', props: { hidden: true } }, /does not show “title”/)
    refused(
      { op: 'change', page: 'shop', node: 'logo', props: { asset: 'x' } },
      /it has no picture|no picture x/,
    )
    refused(
      { op: 'change', page: 'shop', node: 'logo', view: 'mobile', props: { link: '#' } },
      /for all views/,
    )
    refused({ op: 'page', id, page: null }, /stands on “Main”/)
    refused({ op: 'page-meta', id, set: { template: id } }, /would stand on itself/)
    refused({ op: 'page-meta', id: 'shop', set: { template: 'home' } }, /there is no template/)
    const slot = doc.node(id).children.find((child) => doc.node(child).kind === 'slot')!
    refused({ op: 'remove', node: slot }, /the slot stays/)
    refused({ op: 'move', node: slot, parent: 'home', order: 'a0' }, /the slot stays/)
  })

  test('what a page shows otherwise counts as used: its views, tokens and pictures', () => {
    const { doc } = templated()
    const refused = (edit: Edit, reason: RegExp) => expect(() => applyEdit(doc, edit)).toThrow(reason)
    applyEdit(doc, change({ words: said([{ text: 'x', color: '{color.gold}' }]) }, 'mobile'))
    refused({ op: 'token', name: 'color.gold', token: null }, /still used by “Shop”/)
    refused(
      { op: 'views', change: { mobile: null } },
      /“Shop” still shows its template otherwise on “Mobile”/,
    )
    applyEdit(doc, change({ words: null }, 'mobile'))
    expect(() => applyEdit(doc, { op: 'views', change: { mobile: null } })).not.toThrow()
  })

  test('may stand on another; a circle is refused', () => {
    const { doc, id } = templated()
    const made = templateFrom(doc, 'shop', new Set(), 'None', makeId)
    expect(made).toMatch(/at least one section/)
    applyEdit(doc, { op: 'insert', parent: 'shop', tree: band('note', 'Zz', 'header', words('n', 'A note')) })
    const inner = templateFrom(doc, 'shop', new Set(['note']), 'With note', makeId)
    if (typeof inner === 'string') throw new Error(inner)
    run(doc, inner.edits)
    expect(texts(lay(doc, 'shop'))).toEqual(['Hollow Oak', 'A note', 'All seed', 'Open Saturdays'])
    expect(() => applyEdit(doc, { op: 'page-meta', id, set: { template: inner.id } })).toThrow(EditError)
  })

  test('lets go: what was shown becomes the page’s own, as it looked', () => {
    const { doc } = templated()
    run(doc, [{ op: 'change', page: 'shop', node: 'logo', props: { words: said('The shop') } }])
    const before = shown(lay(doc, 'shop')).map(([, ...rest]) => rest)
    run(doc, letGo(doc, 'shop', makeId))
    expect(shown(lay(doc, 'shop')).map(([, ...rest]) => rest)).toEqual(before)
    expect(doc.pages.get('shop')).not.toHaveProperty('template')
    expect(doc.pages.get('shop')).not.toHaveProperty('changes')
    expect(doc.node('shop').children).toHaveLength(3)
  })

  test('is handed off in the pages, with one class for what looks the same, and not by itself', () => {
    const { doc } = templated()
    const { text } = buildSite(doc, new Map(), { mark: true })
    expect([...text.keys()].sort()).toEqual(['index.html', 'shop/index.html', 'styles.css', 'tokens.json'])
    const [home, shop] = ['index.html', 'shop/index.html'].map((file) => text.get(file)!)
    expect(shop).toMatch(
      /<header class="head"[^>]*>\s*<div class="row"[^>]*>\s*<p class="logo" data-node="shop\/logo">Hollow Oak<\/p>/,
    )
    expect(home).toContain('<p class="logo" data-node="home/logo">')
    expect(shop).toContain('<main>')
    expect(text.get('styles.css')!.match(/\.logo\b/g)).toHaveLength(1)
  })
})

test('kept layouts of pages on templates are those from scratch, after any edits', () => {
  const text = fc.constantFrom(
    'Short',
    'Rather a lot of words that need more than one line on the phone',
    'Seeds',
  )
  const node = fc.constantFrom('logo', 'small', 'title', 'rows', 'head', 'foot')
  const template = fc.constantFrom('shop', 'home')
  const step = fc.oneof(
    fc.tuple(node, text).map(([id, text]) => ({ op: 'set', node: id, props: { words: said(text) } })),
    fc.tuple(node, fc.boolean()).map(([id, hidden]) => ({ op: 'set', node: id, props: { hidden } })),
    fc.tuple(node, fc.nat(60)).map(([id, paddingTop]) => ({ op: 'set', node: id, props: { paddingTop } })),
    fc
      .tuple(template, node, fc.option(text, { nil: null }), fc.constantFrom(undefined, 'mobile'))
      .map(([page, id, text, view]) => ({
        op: 'change',
        page,
        node: id,
        ...(view ? { view } : {}),
        props: { words: text === null ? null : said(text) },
      })),
    fc
      .tuple(template, node, fc.constantFrom(true, null))
      .map(([page, id, hidden]) => ({ op: 'change', page, node: id, props: { hidden } })),
    fc.tuple(template, fc.boolean()).map(([page, on]) => ({
      op: 'page-meta',
      id: page,
      set: { template: on ? 'TEMPLATE' : null },
    })),
    fc.constantFrom('head', 'foot').map((id) => ({
      op: 'insert',
      parent: `${id}-row`,
      tree: words(makeId(), 'More', 'b0'),
    })),
    fc.constant({ op: 'move', node: 'foot', parent: 'TEMPLATE', order: 'Z0' }),
    fc.constant({ op: 'remove', node: 'small' }),
  )
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      const { doc, id } = templated()
      const kept = ['home', 'shop', id].flatMap((page) =>
        ['desktop', 'mobile'].map((view) => lay(doc, page, view)),
      )
      for (const each of steps) {
        try {
          applyEdit(doc, JSON.parse(JSON.stringify(each).replaceAll('TEMPLATE', id)) as Edit)
        } catch (error) {
          if (!(error instanceof EditError)) throw error
        }
        for (const layout of kept) {
          layout.update()
          expect(shown(layout)).toEqual(shown(lay(doc, layout.page, layout.viewId)))
        }
      }
    }),
    { numRuns: 60 },
  )
})

test('a page that stands on nothing has the document’s own nodes for instances', () => {
  const doc = site()
  const layout = lay(doc, 'home')
  for (const box of layout.visible()) expect(box.node).toBe(doc.node(box.id))
  expect(instanceKey('home', 'logo')).toBe('home/logo')
})
