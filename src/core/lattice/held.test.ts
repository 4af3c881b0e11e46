import { describe, expect, test } from 'vitest'
import { at, box, exactly, lay, paragraphs } from '../arrange/test-page'
import { applyAll } from '../edits/apply'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'

const narrowOf = (children: Parameters<typeof lay>[1]) => {
  const { doc, layout } = lay({ flow: 'column' }, [
    box('host', { flow: 'free', height: { kind: 'exact', px: 300 } }, children),
  ])
  const narrow = new PageLayout(doc, layout.page, 'mobile', 390, paragraphs)
  return { doc, layout, narrow }
}

describe('lifted blocks on the phone', () => {
  test('a pin that would lead out of the sheet stops where the block still is in it', () => {
    const { layout, narrow } = narrowOf([at('a', 900, 10, 200, 40)])
    expect(layout.rect('a')).toMatchObject({ x: 900, width: 200 })
    expect(narrow.rect('a')).toMatchObject({ x: 190, width: 200 })
  })
  test('what is wider than the sheet is as wide as the sheet', () => {
    const { narrow } = narrowOf([at('a', 100, 10, 800, 40)])
    expect(narrow.rect('a')).toMatchObject({ x: 0, width: 390 })
  })
  test('pinned at the right, too', () => {
    const { narrow } = narrowOf([box('a', { ...exactly(200, 40), pinRight: { px: 700 } })])
    expect(narrow.rect('a')).toMatchObject({ x: 0, width: 200 })
  })
  test('what fits stays where it is, and what the view says itself is not held', () => {
    const { doc, narrow } = narrowOf([at('a', 20, 10, 100, 40), at('b', 900, 10, 200, 40)])
    expect(narrow.rect('a')).toMatchObject({ x: 20 })
    applyAll(doc, [{ op: 'set', node: 'b', view: 'mobile', props: { pinLeft: { px: 350 } } }])
    narrow.update()
    expect(narrow.rect('b')).toMatchObject({ x: 350 })
  })
  test('is handed off with what holds it, on that view alone', () => {
    const { doc } = narrowOf([at('a', 900, 10, 200, 40)])
    const css = [...buildSite(doc, new Map()).text].find(([path]) => path.endsWith('.css'))![1]
    const narrow = css.slice(css.indexOf('@media'))
    expect(narrow).toContain('left: max(0px, min(900px, 100% - 200px))')
    expect(css.slice(0, css.indexOf('@media'))).toContain('left: 900px')
  })
})
