/** The page budget: read from words, laid out, read again. */
import { describe, expect, test } from 'vitest'
import { budgetEdits, budgetOf, budgetPlan, endOfPage, readBudget } from './budget'
import { lay, makeId, set } from './test-page'

describe('page budget', () => {
  test('names, counts, sums, offsets', () => {
    const read = readBudget('header 96, 3 × section 520, footer 180', 900)
    if ('reason' in read) throw new Error(read.reason)
    expect(read.total).toBe(1836)
    expect(read.bands.map((band) => band.name)).toEqual([
      'Header',
      'Section 1',
      'Section 2',
      'Section 3',
      'Footer',
    ])
    expect(read.offsets).toEqual([0, 96, 616, 1136, 1656])
  })
  test('arithmetic, shares and the rest of the first screen', () => {
    const read = readBudget('header 48*2; hero rest\nband 50%', 900)
    expect(read).toMatchObject({ bands: [{ height: 96 }, { height: 804 }, { height: 450 }] })
  })
  test('what is said by the first screen follows every window, less what is above it there, and may grow', () => {
    const { doc, layout, run, rect } = lay({}, [])
    const bands = (words: string) => {
      const read = readBudget(words, 900)
      if ('reason' in read) throw new Error(read.reason)
      return read.bands
    }
    run(budgetEdits(doc, layout, bands('header 96, hero rest, news 50%'), set, makeId))
    const [header, hero, news] = doc.node(layout.page).children as [string, string, string]
    expect([hero, news].map((id) => rect(id).height)).toEqual([804, 450])
    expect(doc.node(hero).props.height).toEqual({ kind: 'svh', percent: 100, less: 96, grows: true })
    run([{ op: 'set', node: hero, props: { paddingTop: 900, flow: 'column' } }])
    expect(rect(hero).height).toBe(900)
    // Laid out again as it is: it still follows the window.
    run([{ op: 'set', node: hero, props: { paddingTop: null } }])
    run(budgetEdits(doc, layout, bands(budgetOf(layout)), set, makeId))
    expect(doc.node(hero).props.height).toMatchObject({ kind: 'svh' })
    // A header that is lower on the phone leaves more there.
    const [, phone] = doc.views
    run([
      { op: 'set', node: header, view: phone!.id, props: { height: { kind: 'exact', px: 64 } } },
      { op: 'set', node: hero, props: { height: { kind: 'snug' } } },
    ])
    run(budgetEdits(doc, layout, bands('header 96, hero rest, news rest'), set, makeId))
    expect(doc.node(hero).overrides[phone!.id]?.height).toMatchObject({ less: 64 })
    expect(doc.node(hero).props.height).toMatchObject({ less: 96 })
  })
  test('names may hold digits and spaces, sums too', () => {
    expect(readBudget('Hero 2 400, Band 3 48 * 2', 900)).toMatchObject({
      bands: [
        { name: 'Hero 2', height: 400 },
        { name: 'Band 3', height: 96 },
      ],
    })
  })
  test('what a page has is read as it is; fewer bands, more bands, hidden sections left alone', () => {
    const { doc, layout, run } = lay({ flow: 'column' }, [])
    run([{ op: 'meta', node: 's', name: 'Hero, first 2' }])
    expect(budgetOf(layout)).toBe('Hero first 2 400, Last 100')
    const same = readBudget(budgetOf(layout), 900)
    if ('reason' in same) throw new Error(same.reason)
    expect(same.bands.map((band) => band.height)).toEqual([400, 100])
    run([{ op: 'set', node: 's', props: { hidden: true } }])
    const more = readBudget('last 120, footer 80', 900)
    if ('reason' in more) throw new Error(more.reason)
    run(budgetEdits(doc, layout, more.bands, set, makeId))
    expect(doc.node('s').props.height).toEqual({ kind: 'exact', px: 400 })
    expect(layout.root.kids.map((kid) => [kid.node.name, kid.height])).toEqual([
      ['Last', 120],
      ['Footer', 80],
    ])
    run(budgetEdits(doc, layout, more.bands.slice(0, 1), set, makeId))
    expect(layout.root.kids.map((kid) => kid.node.name)).toEqual(['Last'])
  })
  test('edited again, names stay with their sections: put between, put in another order, taken out, renamed', () => {
    const { doc, layout, run } = lay({ flow: 'column' }, [])
    const bands = (words: string) => {
      const read = readBudget(words, 900)
      if ('reason' in read) throw new Error(read.reason)
      return read.bands
    }
    const plan = (words: string) => run(budgetEdits(doc, layout, bands(words), set, makeId))
    const shown = () => layout.root.kids.map((kid) => [kid.node.name, kid.height])
    plan('header 96, hero 500, offer 300, quote 200, footer 100')
    const ids = Object.fromEntries(layout.root.kids.map(({ node }) => [node.name, node.id]))
    const isStill = () => {
      for (const { node } of layout.root.kids) if (ids[node.name]) expect(node.id).toBe(ids[node.name])
    }
    plan('header 96, hero 480, news 1,200, offer 300, quote 200, footer 100')
    expect(shown()).toEqual([
      ['Header', 96],
      ['Hero', 480],
      ['News', 1200],
      ['Offer', 300],
      ['Quote', 200],
      ['Footer', 100],
    ])
    isStill()
    plan('header 96, quote 200, hero 480, offer 300, footer 100')
    expect(shown().map(([name]) => name)).toEqual(['Header', 'Quote', 'Hero', 'Offer', 'Footer'])
    isStill()
    expect(budgetPlan(layout, bands('header 96, hero 480, offer 300, footer 100')).gone).toMatchObject([
      { name: 'Quote' },
    ])
    plan('header 96, quote 200, intro 480, offer 300, footer 100')
    expect(layout.root.kids.map(({ node }) => node.id)).toContain(ids.Hero)
    expect(shown()[2]).toEqual(['Intro', 480])
  })
  test('says which part is wrong', () => {
    expect(readBudget('header ninety', 900)).toMatchObject({ part: 'header ninety' })
    expect(readBudget('header 1/0', 900)).toHaveProperty('reason')
    expect(readBudget('900 × section 10', 900)).toHaveProperty('reason')
    expect(readBudget('  ', 900)).toHaveProperty('reason')
  })
})

describe('a cushion', () => {
  const bands = (words: string) => {
    const read = readBudget(words, 900)
    if ('reason' in read) throw new Error(read.reason)
    return read.bands
  }
  test('comes last, stays last and keeps its height when bands are added before it', () => {
    const { doc, layout, run, rect } = lay({}, [])
    const names = () => doc.node(layout.page).children.map((id) => doc.node(id).name)
    run(budgetEdits(doc, layout, bands('header 96, hero 300, cushion 80'), set, makeId))
    expect(names()).toEqual(['Header', 'Hero', 'Cushion'])
    run(budgetEdits(doc, layout, bands('header 96, hero 300, news 200, cushion 90'), set, makeId))
    expect(names()).toEqual(['Header', 'Hero', 'News', 'Cushion'])
    expect(rect(doc.node(layout.page).children[3]!).height).toBe(90)
    expect(endOfPage(doc, layout.page)).toBe(3)
    run(budgetEdits(doc, layout, bands('header 96, hero 300'), set, makeId))
    expect(names()).toEqual(['Header', 'Hero'])
    expect(endOfPage(doc, layout.page)).toBe(2)
  })
  test('anywhere else is told', () => {
    expect(readBudget('cushion 80, hero 300', 900)).toMatchObject({
      reason: expect.stringContaining('write it last'),
    })
  })
})
