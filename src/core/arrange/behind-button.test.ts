/** A menu put behind a button on the phone, and out again. */
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree } from '../document/schema'
import { applyAll } from '../edits/apply'
import { panelLinked } from '../handoff/panels'
import { PageLayout } from '../layout/page'
import { oneFill } from '../properties/items'
import { starterProject } from '../shelf/starter'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { said } from '../words/words'
import { behindButtonEdits, inFrontEdits } from './behind-button'
import { copyBlocks, readBlocks } from './clipboard'
import { duplicateEdits } from './order'

const paragraphs = new ParagraphCache(new FontLibrary())
let count = 0
const makeId = () => `made-${count++}`
const link = (id: string): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order: id,
  props: { words: said(id), tag: 'a', link: '#', color: '#123456' },
})

function project() {
  const file = starterProject('Site', 'home')
  file.pages[0]!.sections = [
    {
      id: 'head',
      kind: 'section',
      name: 'Header',
      order: 'a0',
      props: { flow: 'row', height: { kind: 'exact', px: 64 }, fills: oneFill('#fefefe') },
      children: [
        {
          id: 'menu',
          kind: 'box',
          name: 'Menu',
          order: 'a0',
          props: { flow: 'row', rowGap: 32 },
          children: [link('a1'), link('a2')],
        },
        { id: 'more', kind: 'box', name: 'More', order: 'a1', props: {}, children: [] },
      ],
    },
  ]
  return Document.fromFile(file)
}
const lay = (doc: Document, view: string, opened?: string) =>
  new PageLayout(doc, 'home', view, doc.view(view).width, paragraphs, undefined, undefined, opened)
const shown = (doc: Document, view: string) =>
  [...lay(doc, view).visible()].map(({ id, x, y, width, height }) => ({ id, x, y, width, height }))

test('on the phone alone: a button in its place, and it opens below the header as wide as the window', () => {
  const doc = project()
  const wide = shown(doc, 'desktop')
  const { edits, button } = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), makeId)
  applyAll(doc, edits)
  expect(shown(doc, 'desktop')).toEqual(wide)
  expect(shown(doc, 'mobile').map(({ id }) => id)).toEqual(['head', 'more', button])
  expect(panelLinked(doc, doc.node(button).props.link)).toBe('menu')
  expect(doc.node(button).props.color).toBe('#123456')
  const open = lay(doc, 'mobile', 'menu')
  expect(open.rect('menu')).toMatchObject({ x: 0, y: 64, width: 390 })
  expect(open.rect('a2')!.y).toBeGreaterThan(open.rect('a1')!.y)
  expect(open.boxes.get('menu')!.resolved.fills).toEqual(oneFill('#fefefe'))
})

test('and back: it is as it was, and no button stays to be seen', () => {
  const doc = project()
  const before = shown(doc, 'mobile')
  const first = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), makeId)
  applyAll(doc, first.edits)
  applyAll(doc, inFrontEdits(doc, 'home', doc.node('menu'), 'mobile'))
  expect(shown(doc, 'mobile')).toEqual(before)
  // The button that is there is taken again.
  const again = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), makeId)
  expect(again.button).toBe(first.button)
  applyAll(doc, again.edits)
  expect(shown(doc, 'mobile').map(({ id }) => id)).toEqual(['head', 'more', again.button])
})

test('a copy’s button opens the copy’s menu', () => {
  const doc = project()
  const { edits, button } = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), makeId)
  applyAll(doc, edits)
  const made = duplicateEdits(doc, 'head', makeId)!
  applyAll(doc, made.edits)
  const copy = doc.node(made.copy)
  expect(doc.node(copy.children[2]!).props.link).toBe(`#${copy.children[0]}`)
  expect(doc.node(button).props.link).toBe('#menu')
  const pasted = readBlocks(copyBlocks(doc, ['head']), makeId)!.trees[0]!
  expect(pasted.children![2]!.props.link).toBe(`#${pasted.children![0]!.id}`)
})
