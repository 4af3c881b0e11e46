/** Blocks behind a button: what is handed off of them, and where they lie when they are open. */
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyEdit } from '../edits/apply'
import { PageLayout } from '../layout/page'
import { paintedBlocks } from '../paint/layers'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { buildSite } from './site'

const paragraphs = new ParagraphCache(new FontLibrary())
let count = 0
const node = (
  kind: NodeTree['kind'],
  id: string,
  props: Props,
  children: NodeTree[] = [],
  overrides: Record<string, Props> = {},
): NodeTree => ({
  id,
  kind,
  name: id,
  order: `a${String(count++).padStart(4, '0')}`,
  props,
  overrides,
  children,
})

/** A header with a menu of two boxes, which on the phone is behind a button. */
function project(phone: Props = { folded: true }): Document {
  const file = starterProject('Site', 'home')
  const part = (id: string) =>
    node('box', id, { width: { kind: 'exact', px: 80 }, height: { kind: 'exact', px: 20 } })
  const menu = node('box', 'menu', { flow: 'row', rowGap: 10 }, [part('one'), part('two')], { mobile: phone })
  const button = node('button', 'opens', { link: '#menu', words: said('Menu'), hidden: true }, [], {
    mobile: { hidden: false },
  })
  file.pages[0]!.sections = [
    node('section', 'head', { flow: 'row', paddingTop: 10, paddingBottom: 10 }, [menu, button]),
    node('section', 'rest', { height: { kind: 'exact', px: 2000 } }),
  ]
  return Document.fromFile(file)
}
const lay = (doc: Document, view: string, opened?: string) =>
  new PageLayout(doc, 'home', view, doc.view(view).width, paragraphs, undefined, undefined, opened)

describe('a menu behind a button', () => {
  test('is handed off as a popover, which the button opens, and is there where it is not behind one', () => {
    const { text } = buildSite(project(), new Map())
    const html = text.get('index.html')!
    const css = text.get('styles.css')!
    expect(html).toMatch(/<div id="menu" class="menu" popover>/)
    expect(html).toMatch(/<button class="opens" type="button" popovertarget="menu">Menu<\/button>/)
    const [wide, narrow] = css.split('@media (max-width: 640px)')
    expect(wide).toContain('[popover] {')
    expect(wide).not.toContain(':popover-open')
    expect(narrow).toMatch(/\.menu:not\(:popover-open\) \{\s+display: none;/)
    expect(narrow).toMatch(/\.menu \{[^}]*position: fixed;/)
  })

  test('nothing is said of popovers where there is none', () => {
    const { text } = buildSite(project({}), new Map())
    expect([...text.values()].join()).not.toContain('popover')
  })

  test('closed takes no room; open lies over the window, and changes nothing else', () => {
    const doc = project({
      folded: true,
      flow: 'column',
      pinTop: { px: 50 },
      pinLeft: { px: 20 },
      pinRight: { px: 20 },
      width: { kind: 'stretch', weight: 1 },
    })
    const closed = lay(doc, 'mobile')
    const open = lay(doc, 'mobile', 'menu')
    expect(closed.rect('menu')).toBeUndefined()
    expect(closed.rect('one')).toBeUndefined()
    expect(open.rect('menu')).toEqual({ x: 20, y: 50, width: 350, height: 50 })
    expect(open.rect('two')).toEqual({ x: 20, y: 80, width: 80, height: 20 })
    for (const id of ['head', 'rest', 'opens']) expect(open.rect(id)).toEqual(closed.rect(id))
    expect(open.height).toBe(closed.height)
    const drawn = paintedBlocks(open).map(({ id }) => id)
    expect(drawn.slice(-3)).toEqual(['menu', 'one', 'two'])
    // Where it is behind no button it stands as ever.
    expect(lay(doc, 'desktop', 'menu').rect('menu')).toEqual(lay(doc, 'desktop').rect('menu'))
  })

  test('is kept while what is in it, and it, change', () => {
    const doc = project()
    const kept = lay(doc, 'mobile', 'menu')
    const same = () => {
      kept.update()
      const anew = lay(doc, 'mobile', 'menu')
      const all = (layout: PageLayout) => [...layout.visible()].map(({ id }) => [id, layout.rect(id)])
      expect(all(kept)).toEqual(all(anew))
    }
    const set = (id: string, props: Props, view?: string) => {
      applyEdit(doc, { op: 'set', node: id, ...(view ? { view } : {}), props })
      same()
    }
    same()
    set('one', { height: { kind: 'exact', px: 60 } })
    set('menu', { pinTop: { px: 70 } }, 'mobile')
    set('menu', { folded: false }, 'mobile')
    set('menu', { folded: true }, 'mobile')
    set('menu', { hidden: true }, 'mobile')
    set('menu', { hidden: false }, 'mobile')
    applyEdit(doc, {
      op: 'insert',
      parent: 'menu',
      tree: node('box', 'three', { height: { kind: 'exact', px: 9 } }),
    })
    same()
    const back = applyEdit(doc, { op: 'remove', node: 'menu' })
    same()
    applyEdit(doc, back)
    same()
  })

  test('higher than the window it is scrolled in itself', () => {
    const doc = project({ folded: true, pinTop: { px: 100 } })
    applyEdit(doc, { op: 'set', node: 'one', props: { height: { kind: 'exact', px: 5000 } } })
    const open = lay(doc, 'mobile', 'menu')
    expect(open.rect('menu')!.height).toBe(doc.view('mobile').fold - 100)
    expect(buildSite(doc, new Map()).text.get('styles.css')).toContain('max-height: calc(100% - 100px)')
  })
})
