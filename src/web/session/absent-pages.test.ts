/** A project opens with one page; the others come when they are needed, as they are then. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { NodeTree, ProjectFile } from '../../core/document/schema'
import { type FakeTab, fileOf, pad, settled, smallProject, World } from './test-world'

let world: World
beforeEach(async () => {
  vi.useFakeTimers()
  vi.stubGlobal('indexedDB', new IDBFactory())
  world = await settled(new World(threePages()).begin())
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

function threePages(): ProjectFile {
  const file = smallProject()
  const [home] = file.pages
  const page = (n: number) => ({
    ...structuredClone(home!),
    id: `page${n}`,
    path: `/page${n}`,
    order: `b${n}`,
    sections: home!.sections.map((section) => renamed(section, n)),
  })
  return { ...file, pages: [home!, page(1), page(2)] }
}
const renamed = (tree: NodeTree, n: number): NodeTree => ({
  ...tree,
  id: `${tree.id}-${n}`,
  children: tree.children?.map((child) => renamed(child, n)),
})
const absent = (tab: FakeTab) => [...tab.session.doc.absent].sort()
const rest = () => vi.advanceTimersByTimeAsync(5000)

test('what others did to a page while it was not here is on it when it comes', async () => {
  const one = await settled(world.tab())
  const other = await settled(world.tab())
  expect(absent(one)).toEqual(['page1', 'page2'])
  await settled(other.session.pages.need('page1'))
  other.session.commit([pad('a-1', 33), pad('a', 11)], 'Pad')
  other.session.commit([{ op: 'remove', node: 'b-1' }], 'Remove')
  await rest()
  expect(one.session.doc.node('a').props.paddingTop).toBe(11)
  expect(one.session.doc.nodes.has('a-1')).toBe(false)
  await settled(one.session.pages.need('page1'))
  expect(one.session.doc.node('a-1').props.paddingTop).toBe(33)
  await settled(one.session.pages.whole())
  expect(fileOf(one.session.doc)).toBe(fileOf(world.server.doc))
})

test('own changes that are on their way stay while a page comes, and others’ that come with it', async () => {
  const one = await settled(world.tab())
  const other = await settled(world.tab())
  await settled(other.session.pages.whole())
  one.deaf = true
  other.session.commit([pad('a-2', 7)], 'Pad')
  await rest()
  one.fates.push('lost', 'lost')
  one.session.commit([pad('b', 55)], 'Pad')
  // Its page is read from a server that is further on than this tab.
  const coming = one.session.pages.need('page2').catch(() => one.session.pages.need('page2'))
  await settled(coming)
  expect(one.session.doc.node('a-2').props.paddingTop).toBe(7)
  expect(one.session.doc.node('b').props.paddingTop).toBe(55)
  one.deaf = false
  await rest()
  expect(one.session.saveState.kind).toBe('saved')
  await settled(one.session.pages.whole())
  expect(fileOf(one.session.doc)).toBe(fileOf(world.server.doc))
})

test('a block that comes from a page that is not here is here', async () => {
  const one = await settled(world.tab())
  const other = await settled(world.tab())
  await settled(other.session.pages.whole())
  other.session.commit([{ op: 'move', node: 'c-1', parent: 'home', order: 'a9' }], 'Move')
  await rest()
  expect(one.session.doc.node('home').children).toContain('c-1')
  expect(one.session.doc.node('c-1').children).toEqual(['c1-1'])
  other.session.commit([{ op: 'move', node: 'a', parent: 'page2', order: 'a9' }], 'Move')
  await rest()
  await settled(one.session.pages.whole())
  expect(fileOf(one.session.doc)).toBe(fileOf(world.server.doc))
})

test('what may be about absent pages is not done before they are here', async () => {
  const one = await settled(world.tab())
  const [view] = one.session.doc.views.slice(-1)
  const remove = () => one.session.commit([{ op: 'views', change: { [view!.id]: null } }], 'Remove a view')
  expect(remove()).toBe(false)
  expect(one.session.notice).toContain('not here yet')
  expect(one.session.commit([{ op: 'page', id: 'page1', page: null }], 'Delete')).toBe(false)
  await rest()
  expect(absent(one)).toEqual([])
  expect(remove()).toBe(true)
  expect(one.session.commit([{ op: 'page', id: 'page1', page: null }], 'Delete')).toBe(true)
  one.session.undo()
  expect(one.session.doc.node('page1').children).toEqual(['a-1', 'b-1', 'c-1'])
})

test('with steps to undo, a reload brings all pages: a step may be about any', async () => {
  const one = await settled(world.tab())
  await settled(one.session.pages.need('page1'))
  one.session.commit([pad('a-1', 9)], 'Pad')
  await rest()
  await settled(one.reload())
  expect(absent(one)).toEqual([])
  one.session.undo()
  expect(one.session.doc.node('a-1').props.paddingTop).toBeUndefined()
})

test('nothing is put on a page that is not here', async () => {
  const one = await settled(world.tab())
  const tree = { id: 'new', kind: 'section' as const, name: 'New', order: 'a9', props: {} }
  const insert = () => one.session.commit([{ op: 'insert', parent: 'page1', tree }], 'Insert')
  const guide = {
    kind: 'guide' as const,
    id: 'g',
    view: one.session.doc.views[0]!.id,
    axis: 'x' as const,
    at: 4,
  }
  expect(insert()).toBe(false)
  expect(one.session.commit([{ op: 'aid', page: 'page1', id: 'g', aid: guide }], 'Guide')).toBe(false)
  await rest()
  expect(insert()).toBe(true)
  expect(one.session.doc.node('page1').children).toEqual(['a-1', 'b-1', 'c-1', 'new'])
})
