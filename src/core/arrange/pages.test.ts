import { describe, expect, test } from 'vitest'
import { applyAll } from '../edits/apply'
import { duplicatePageEdits, pagesInFolders, stepPageEdits } from './pages'
import { box, exactly, lay, makeId } from './test-page'

const names = (doc: ReturnType<typeof lay>['doc']) => doc.pagesInOrder().map(({ name }) => name)

describe('pages', () => {
  test('a copy stands behind, with a name, a path and blocks of its own', () => {
    const { doc } = lay({ flow: 'column' }, [box('a', exactly(100, 50))])
    const [home] = doc.pagesInOrder()
    const { edits, copy } = duplicatePageEdits(doc, home!.id, makeId)
    applyAll(doc, edits)
    applyAll(doc, duplicatePageEdits(doc, home!.id, makeId).edits)
    expect(names(doc)).toEqual(['Home', 'Home copy 2', 'Home copy'])
    expect(new Set(doc.allPages().map(({ path }) => path)).size).toBe(3)
    const ids = [...doc.walk(copy)].map(({ id }) => id)
    expect(ids).toHaveLength([...doc.walk(home!.id)].length)
    expect(ids).not.toContain('a')
  })
  test('one place up or down, and not beyond the ends', () => {
    const { doc } = lay({ flow: 'column' }, [])
    const [home] = doc.pagesInOrder()
    for (let i = 0; i < 2; i++) applyAll(doc, duplicatePageEdits(doc, home!.id, makeId).edits)
    const before = names(doc)
    expect(stepPageEdits(doc, home!.id, -1)).toEqual([])
    applyAll(doc, stepPageEdits(doc, home!.id, 1))
    expect(names(doc)).toEqual([before[1], before[0], before[2]])
    applyAll(doc, stepPageEdits(doc, home!.id, 1))
    expect(names(doc)).toEqual([before[1], before[2], before[0]])
    expect(stepPageEdits(doc, home!.id, 1)).toEqual([])
  })

  /** A site of empty pages at these paths, in this order. */
  const site = (...paths: string[]) => {
    const { doc } = lay({ flow: 'column' }, [])
    const [home] = doc.pagesInOrder()
    paths.forEach((path, i) => {
      const page = { ...doc.pageFile(home!.id), id: `p${i}`, name: path, path, order: `b${i}`, sections: [] }
      applyAll(doc, [{ op: 'page', id: page.id, page }])
    })
    return doc
  }

  test('a folder’s pages stand under it, whether it is a page or not, each once', () => {
    const doc = site('/seeds/beans', '/news', '/seeds', '/seeds/peas', '/about/us/people')
    const lines = pagesInFolders(doc.pagesInOrder())
    expect(lines.map(({ page, folder, depth }) => `${depth} ${page?.name ?? folder}`)).toEqual([
      '0 Home',
      '0 /seeds',
      '1 /seeds/beans',
      '1 /seeds/peas',
      '0 /news',
      '0 /about',
      '1 /about/us',
      '2 /about/us/people',
    ])
  })

  test('a step goes past the next one in the same folder', () => {
    const doc = site('/seeds/beans', '/news', '/seeds/peas')
    applyAll(doc, stepPageEdits(doc, 'p0', 1))
    expect(names(doc)).toEqual(['Home', '/news', '/seeds/peas', '/seeds/beans'])
    expect(stepPageEdits(doc, 'p0', 1)).toEqual([])
    applyAll(doc, stepPageEdits(doc, 'p1', -1))
    expect(names(doc)).toEqual(['/news', 'Home', '/seeds/peas', '/seeds/beans'])
  })
})
