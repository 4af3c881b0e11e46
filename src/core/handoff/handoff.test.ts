import { beforeAll, describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { applyEdit } from '../edits/apply'
import { PageLayout } from '../layout/page'
import { allCorners, oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import { loadFonts } from '../samples/fonts'
import { starterProject, viewFor } from '../shelf/starter'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { ClassNames, customProperty, pageFileName, rootOf, slug } from './names'
import { buildSite } from './site'
import { pageSvg } from './svg/page'
import { fitPicture } from './svg/pictures'

let count = 0
const text = (words: string, props: Props = {}, more: Partial<NodeTree> = {}): NodeTree => ({
  id: `t${count++}`,
  kind: 'text',
  name: 'Words',
  order: `a${String(count).padStart(4, '0')}`,
  props: { words: said(words), ...props },
  ...more,
})

function project(
  children: NodeTree[],
  section: Props = {},
  change: (file: ProjectFile) => void = () => undefined,
): Document {
  const file = starterProject('Site', 'home')
  file.pages[0]!.sections = [
    { id: 'section', kind: 'section', name: 'Opening', order: 'a0', props: section, children },
  ]
  change(file)
  return Document.fromFile(file)
}
const site = (doc: Document, mark = false) => {
  const { text: files } = buildSite(doc, new Map(), { mark })
  return { html: files.get('index.html')!, css: files.get('styles.css')!, files }
}
/** The declarations of the first rule for a selector, in the media query named or outside of any. */
function rule(css: string, selector: string, media = ''): string {
  const scope = media
    ? css.slice(css.indexOf(media))
    : css.slice(0, css.includes('@media') ? css.indexOf('@media') : undefined)
  const at = scope.indexOf(`${selector} {`)
  return at < 0 ? '' : scope.slice(at, scope.indexOf('}', at))
}

describe('names', () => {
  test('slugs are valid identifiers', () => {
    expect(slug('Hero words')).toBe('hero-words')
    expect(slug('Ümläut & Söhne!')).toBe('umlaut-sohne')
    expect(slug('3 cards')).toBe('block-3-cards')
    expect(slug('…')).toBe('block')
  })
  test('paths become files, with the way back to the root', () => {
    expect([pageFileName('/'), pageFileName('/shop/seeds')]).toEqual(['index.html', 'shop/seeds/index.html'])
    expect([rootOf('/'), rootOf('/shop/seeds')]).toEqual(['', '../../'])
  })
  test('custom properties', () => {
    expect(customProperty('{space.m}')).toBe('--space-m')
    expect(customProperty('color.Deep pine')).toBe('--color-deep-pine')
  })
  test('the same name and look share a class, others get a number', () => {
    const names = new ClassNames()
    expect(['one', 'one', 'two'].map((look) => names.pick(['Card'], look, 'box'))).toEqual([
      'card',
      'card',
      'card-2',
    ])
  })
})

describe('HTML', () => {
  test('is semantic: header and footer outside of main, tags as the document has them', () => {
    const doc = project([text('Hello', { tag: 'h1' })], {}, (file) => {
      const band = (id: string, tag: 'header' | 'footer', order: string): NodeTree => ({
        id,
        kind: 'section',
        name: tag,
        order,
        props: { tag },
      })
      file.pages[0]!.sections = [
        band('top', 'header', 'A0'),
        ...file.pages[0]!.sections,
        band('end', 'footer', 'b0'),
      ]
    })
    const { html } = site(doc)
    expect(html.replace(/\s+/g, ' ')).toMatch(
      /<header class="header"><\/header> <main> <section class="opening"> <h1 class="words">Hello<\/h1> <\/section> <\/main> <footer/,
    )
    expect(html).toContain('<html lang="en">')
    expect(html).not.toContain('style=')
  })
  test('what the user typed is text, never markup', () => {
    const { html } = site(
      project([text('<script>alert("x")</script> & more', { tag: 'a', link: 'x" onclick="y' })]),
    )
    expect(html).toContain('&lt;script&gt;alert(&quot;x&quot;)&lt;/script&gt; &amp; more')
    expect(html).toContain('href="x&quot; onclick=&quot;y"')
    expect(html).not.toContain('<script>')
  })
  test('spans become elements, line feeds breaks', () => {
    const { html, css } = site(
      project([
        text('', {
          words: said([
            { text: 'plain ' },
            { text: 'bold', weight: 700 },
            { text: '\nslanted', italic: true },
            { text: ' ink', color: '#aa0000' },
          ]),
        }),
      ]),
    )
    expect(html).toContain(
      'plain <strong>bold</strong><br><em>slanted</em><span class="is-ink-aa0000"> ink</span>',
    )
    expect(rule(css, 'strong')).toContain('font-weight: 700')
  })
  test('links to pages are relative, a button without a link is a button', () => {
    const doc = project(
      [text('Shop', { tag: 'a', link: '/shop' }), { ...text('Buy'), kind: 'button' }],
      {},
      (file) => {
        file.pages.push({
          id: 'shop',
          name: 'Shop',
          path: '/shop',
          order: 'a1',
          views: [],
          sections: [
            {
              id: 's2',
              kind: 'section',
              name: 'S',
              order: 'a0',
              props: {},
              children: [text('Back', { tag: 'a', link: '/' })],
            },
          ],
        })
      },
    )
    const { html, files } = site(doc)
    expect(html).toContain('href="shop/index.html"')
    expect(html).toContain('<button class="opening-words" type="button">Buy</button>')
    expect(files.get('shop/index.html')).toContain('href="../index.html"')
    expect(files.get('shop/index.html')).toContain('href="../styles.css"')
  })
  test('marks only when asked', () => {
    const doc = project([text('Hello')])
    expect(site(doc).html).not.toContain('data-node')
    expect(site(doc, true).html).toContain('data-node="section"')
  })
})

describe('CSS', () => {
  test('tokens stay tokens, numbers stay numbers', () => {
    const { css } = site(
      project([text('Hello', { color: '{color.pine}', type: '{type.title}', paddingTop: 12 })], {
        rowGap: '{space.m}',
        flow: 'column',
      }),
    )
    expect(rule(css, '.opening')).toContain('gap: var(--space-m)')
    expect(rule(css, '.words')).toMatch(/color: var\(--color-pine\)/)
    expect(rule(css, '.type-title')).toContain('font-size: var(--type-title-size)')
    expect(rule(css, '.words')).not.toContain('font-size')
    expect(rule(css, '.words')).toContain('padding: 12px 0 0')
    expect(rule(css, ':root')).toContain('--space-m: 24px')
  })
  test('each of the five size kinds', () => {
    const sized = (width: Props['width'], flow: Props['flow']) =>
      rule(site(project([text('x', { width })], { flow })).css, '.words')
    expect(sized({ kind: 'exact', px: 120 }, 'row')).toMatch(/width: 120px;\s+flex-shrink: 0/)
    expect(sized({ kind: 'snug' }, 'row')).toContain('width: fit-content')
    expect(sized({ kind: 'stretch', weight: 2 }, 'row')).toContain('flex: 2 1 0px')
    expect(sized({ kind: 'stretch', weight: 1 }, 'column')).toContain('align-self: stretch')
    expect(sized({ kind: 'percent', percent: 40 }, 'row')).toContain('width: 40%')
    expect(sized({ kind: 'columns', span: 5, from: 2 }, 'lattice')).toContain('grid-column: 2 / span 5')
    expect(sized({ kind: 'columns', span: 20, from: 10 }, 'lattice')).toContain('grid-column: 10 / span 3')
    expect(sized({ kind: 'columns', span: 3 }, 'row')).toContain(
      'calc(3 * var(--column) + 2 * var(--gutter))',
    )
  })
  test('lifted blocks: insets from their pins, a positioned parent', () => {
    const { css } = site(
      project([text('x', { lifted: true, pinRight: { px: 20 }, pinTop: { percent: 10 }, z: 3 })]),
    )
    expect(rule(css, '.words')).toMatch(/right: 20px;\s+top: 10%[^}]+position: absolute;\s+z-index: 3/)
    expect(rule(css, '.opening')).toContain('position: relative')
    expect(rule(css, '.words')).not.toContain('left')
  })
  test('a view writes only what it changes, and takes back what it drops before that', () => {
    const block = text(
      'x',
      { width: { kind: 'stretch', weight: 1 }, color: '#112233' },
      { overrides: { mobile: { width: { kind: 'exact', px: 90 } } } },
    )
    const { css } = site(project([block], { flow: 'row' }))
    const narrow = rule(css, '.words', '@media (max-width: 640px)')
    expect(narrow).toMatch(/flex: 0 1 auto;\s+width: 90px;\s+flex-shrink: 0/)
    expect(narrow).not.toContain('color')
  })
  test('hidden here, shown again below', () => {
    const block = text('x', {}, { overrides: { tablet: { hidden: true }, mobile: { hidden: false } } })
    const { css } = site(
      project([block], { flow: 'column' }, (file) => {
        file.views = [
          file.views[0]!,
          { ...viewFor('tablet', 'Tablet', 834, file.views[0]), breakpoint: 1000 },
          file.views[1]!,
        ]
      }),
    )
    expect(rule(css, '.words', '@media (max-width: 1000px)')).toContain('display: none')
    expect(rule(css, '.words', '@media (max-width: 640px)')).toContain('display: block')
  })
  test('a fluid, a contained and a half-guttered lattice', () => {
    const edges = (lattice: Partial<ProjectFile['views'][0]['lattice']>) =>
      rule(
        site(
          project([], {}, (file) => {
            file.views[0] = { ...file.views[0]!, lattice: { ...file.views[0]!.lattice, ...lattice } }
          }),
        ).css,
        ':root',
      )
    expect(edges({})).toContain('--edge-start: max(24px, (100% - 1224px) / 2)')
    expect(edges({ container: null, margin: 40 })).toContain('--edge-start: 40px')
    expect(edges({ container: null, margin: 40, halfGutters: true })).toContain(
      '--edge-start: calc(40px + 12px)',
    )
    expect(edges({ place: 'left', margin: 0 })).toContain('--edge-end: max(0px, 100% - 1224px)')
  })
  test('only fonts that are used, with the ranges they cover', () => {
    const doc = project([text('Łąka', { fontFamily: 'Bitter' })])
    expect(buildSite(doc, new Map()).fonts).toEqual([
      'bitter-latin-ext-wght-normal',
      'bitter-latin-wght-normal',
    ])
    expect(site(doc).css).toContain('src: url("fonts/bitter-latin-ext-wght-normal.woff2")')
  })
  test('a family that no text has in other widths is handed off in files that vary in weight alone', () => {
    const plain = [text('Seeds', { fontFamily: 'Archivo' })]
    expect(buildSite(project(plain), new Map()).fonts).toEqual(['archivo-latin-wght-normal'])
    expect(buildSite(project(plain), new Map()).text.get('index.html')).toContain('fonts/archivo-latin-wght')
    const wide = [...plain, text('Return', { fontFamily: 'Archivo', axes: 'wdth 75' })]
    const { fonts, text: files } = buildSite(project(wide), new Map())
    expect(fonts).toEqual(['archivo-latin-wdth-normal'])
    expect(files.get('index.html')).not.toContain('archivo-latin-wght')
    expect(files.get('styles.css')).toContain('font-variation-settings: "wdth" 75')
  })
  test('the same document gives the same files', () => {
    const doc = project([text('Hello'), text('World')], { flow: 'row' })
    const once = [...buildSite(doc, new Map()).text]
    expect([...buildSite(Document.fromFile(structuredClone(doc.toFile())), new Map()).text]).toEqual(once)
  })
})

describe('SVG', () => {
  let doc: Document
  let svg: string
  beforeAll(async () => {
    doc = project(
      [
        text('Hi', {
          fills: oneFill('#112233'),
          ...allCorners(6),
          opacity: 0.5,
          textDecoration: 'underline',
          color: '#aabbcc80',
          fontFamily: 'Bitter',
        }),
      ],
      { fills: oneFill('#ffeedd'), height: { kind: 'exact', px: 300 } },
    )
    svg = pageSvg(
      doc,
      new PageLayout(doc, 'home', 'desktop', 1440, new ParagraphCache(await loadFonts(doc))),
      new Map(),
      200,
    )
  })
  test('is as large as the page, cropped where asked', () => {
    expect(svg).toContain('width="1440" height="200" viewBox="0 0 1440 200"')
  })
  test('draws fills, corners, opacity, glyphs as paths, alpha apart from colour', () => {
    expect(svg).toContain('fill="#ffeedd"')
    expect(svg).toContain('<g opacity="0.5" ')
    expect(svg).toMatch(/rx="6" fill="#112233"/)
    expect(svg).toMatch(
      /<g transform="translate\([^"]+" fill="#aabbcc" fill-opacity="0.50\d+"><use href="#c0"/,
    )
    expect(svg).toContain('<g role="img" aria-label="Hi">')
    expect(svg).not.toContain('<text')
  })
  test('pictures are cropped, contained or stretched', () => {
    const box = (fit: 'cover' | 'contain' | 'fill', focusX = 50) =>
      fitPicture(400, 200, 100, 100, { fit, focusX, focusY: 50 })
    expect(box('cover')).toEqual({ x: -50, y: 0, width: 200, height: 100 })
    expect(box('cover', 0).x).toBe(-0)
    expect(box('contain')).toEqual({ x: 0, y: 25, width: 100, height: 50 })
    expect(box('fill')).toEqual({ x: 0, y: 0, width: 100, height: 100 })
  })
})

describe('what is handed off does no harm', () => {
  const link = (target: string) => text('Go', { tag: 'a', link: target })
  const hrefs = (html: string) =>
    [...html.matchAll(/<a [^>]*>/g)].map(([tag]) => /href="([^"]*)"/.exec(tag)?.[1])

  test('a link to a page follows it to another path, and leads nowhere when it is gone', () => {
    const doc = project([link('page:about#team'), link('page:gone'), link('/about')], {}, (file) => {
      file.pages.push({ id: 'about', name: 'About', path: '/about', order: 'a5', views: [], sections: [] })
    })
    expect(hrefs(site(doc).html)).toEqual(['about/index.html', undefined, 'about/index.html'])
    applyEdit(doc, { op: 'page-meta', id: 'about', set: { path: '/who/we-are' } })
    expect(hrefs(site(doc).html)).toEqual(['who/we-are/index.html', undefined, '/about'])
  })

  test('links that may not be followed lead nowhere', () => {
    const bad = ['javascript:alert(1)', ' java\nscript:alert(1)', 'data:text/html,x', '//elsewhere.test']
    expect(hrefs(site(project(bad.map(link))).html)).toEqual(bad.map(() => undefined))
  })

  test('tokens, views and names stay what they are in the style sheet', () => {
    const doc = project([text('A')], {}, (file) => {
      file.views[1]!.name = '**// body{color:red} /*'
      Object.assign(file.tokens, {
        odd: { $type: 'fontFamily', a: { $value: 'x";}*{color:red}' }, b: { $value: '{no.such}' } },
      })
    })
    const { css } = site(doc)
    expect(css).toContain('--odd-a: "x\\";}*{color:red}";')
    expect(css).not.toContain('--odd-b')
    expect(css.match(/\/\* [^\n]* \*\/\n@media/g)).toEqual(['/* ** // body{color:red} /* */\n@media'])
  })

  test('every page carries a policy that runs no script', () => {
    expect(site(project([])).html).toContain(
      `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'self';`,
    )
  })
})
