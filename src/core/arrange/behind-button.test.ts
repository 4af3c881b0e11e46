/** A menu put behind a button on the phone, and out again. */
import { expect, test } from 'vitest'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { applyAll } from '../edits/apply'
import { panelLinked } from '../handoff/panels'
import { PageLayout } from '../layout/page'
import { oneFill, shownItems } from '../properties/items'
import type { Props } from '../properties/table'
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

function project(change: (file: ProjectFile) => void = () => undefined) {
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
  change(file)
  return Document.fromFile(file)
}
const lay = (doc: Document, view: string, opened?: string) =>
  new PageLayout(doc, 'home', view, doc.view(view).width, paragraphs, undefined, undefined, opened)
const shown = (doc: Document, view: string) =>
  [...lay(doc, view).visible()].map(({ id, x, y, width, height }) => ({ id, x, y, width, height }))

test('on the phone alone: a button in its place, and it opens below the header as wide as the window', () => {
  const doc = project()
  const wide = shown(doc, 'desktop')
  const { edits, button } = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile', makeId)
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
  const first = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile', makeId)
  applyAll(doc, first.edits)
  applyAll(doc, inFrontEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile'))
  expect(shown(doc, 'mobile')).toEqual(before)
  // The button that is there is taken again.
  const again = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile', makeId)
  expect(again.button).toBe(first.button)
  applyAll(doc, again.edits)
  expect(shown(doc, 'mobile').map(({ id }) => id)).toEqual(['head', 'more', again.button])
})

test('a copy’s button opens the copy’s menu', () => {
  const doc = project()
  const { edits, button } = behindButtonEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile', makeId)
  applyAll(doc, edits)
  const made = duplicateEdits(doc, 'head', makeId)!
  applyAll(doc, made.edits)
  const copy = doc.node(made.copy)
  expect(doc.node(copy.children[2]!).props.link).toBe(`#${copy.children[0]}`)
  expect(doc.node(button).props.link).toBe('#menu')
  const pasted = readBlocks(copyBlocks(doc, ['head']), makeId)!.trees[0]!
  expect(pasted.children![2]!.props.link).toBe(`#${pasted.children![0]!.id}`)
})

test('what the box says there itself it keeps, behind a button and in front again', () => {
  const doc = project()
  const own: Props = {
    rowGap: 7,
    paddingLeft: 3,
    fills: oneFill('#abcdef'),
    width: { kind: 'exact', px: 200 },
  }
  applyAll(doc, [{ op: 'set', node: 'menu', view: 'mobile', props: own }])
  const before = doc.node('menu')
  applyAll(doc, behindButtonEdits(doc, lay(doc, 'mobile'), before, 'mobile', makeId).edits)
  expect(doc.node('menu').overrides.mobile).toMatchObject(own)
  applyAll(doc, inFrontEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile'))
  expect(doc.node('menu').overrides).toEqual(before.overrides)
  expect(doc.node('menu').props).toEqual(before.props)
})

test('on every view, and out again: its row and its gap are its own', () => {
  const doc = project()
  const before = doc.node('menu').props
  const wide = shown(doc, 'desktop')
  const { edits, button } = behindButtonEdits(doc, lay(doc, 'desktop'), doc.node('menu'), undefined, makeId)
  applyAll(doc, edits)
  for (const view of ['desktop', 'mobile'])
    expect(shown(doc, view).map(({ id }) => id)).toEqual(['head', 'more', button])
  expect(doc.node('menu').props).toMatchObject({ flow: 'row', rowGap: 32 })
  applyAll(doc, inFrontEdits(doc, lay(doc, 'desktop'), doc.node('menu'), undefined))
  expect(doc.node('menu').props).toEqual(before)
  expect(shown(doc, 'desktop')).toEqual(wide)
})

test('in front on the phone alone, where the tablet has it behind: it stands as on the desktop', () => {
  const doc = project((file) => {
    const [desktop, mobile] = file.views
    file.views = [
      desktop!,
      { ...mobile!, id: 'tablet', name: 'Tablet', width: 800, breakpoint: 900 },
      mobile!,
    ]
  })
  const phone = shown(doc, 'mobile')
  applyAll(doc, behindButtonEdits(doc, lay(doc, 'tablet'), doc.node('menu'), 'tablet', makeId).edits)
  expect(lay(doc, 'mobile').rect('menu')).toBeUndefined()
  applyAll(doc, inFrontEdits(doc, lay(doc, 'mobile'), doc.node('menu'), 'mobile'))
  expect(shown(doc, 'mobile')).toEqual(phone)
  expect(lay(doc, 'tablet').rect('menu')).toBeUndefined()
  const { fills, shadows } = lay(doc, 'mobile').boxes.get('menu')!.resolved
  expect(shownItems(fills)).toEqual([])
  expect(shownItems(shadows)).toEqual([])
})
