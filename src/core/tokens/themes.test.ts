/** Themes made one from another, and how words read on what is behind them. */
import { describe, expect, test } from 'vitest'
import { paragraphs } from '../arrange/test-page'
import { contrastOf } from '../color/contrast'
import { buildSite } from '../handoff/site'
import { PageLayout } from '../layout/page'
import { oneFill } from '../properties/items'
import { onPictures, pairsOn, readingOf } from './pairs'
import { page } from './test-page'
import { newThemeEdits, removeThemeEdits, turnedColors } from './themes'
import { turnedThemeEdits } from './turned-theme'

describe('themes', () => {
  const dark = (made = page()) => {
    const { doc, layout, run } = made
    const before = pairsOn(layout)
    run(
      newThemeEdits(
        doc,
        { id: 'dark', first: 'light' },
        { name: 'Dark', scheme: 'dark' },
        turnedColors(doc, before),
      ),
    )
    const night = new PageLayout(doc, layout.page, 'desktop', 1440, paragraphs, undefined, 'dark')
    return { ...made, before, night }
  }

  test('dark from light: grounds are dark, and what read well reads well', () => {
    const { doc, before, night } = dark()
    expect(doc.themes.map(({ name }) => name)).toEqual(['Light', 'Dark'])
    const well = before.filter(({ ratio, needed }) => ratio >= needed).flatMap(({ nodes }) => nodes)
    expect(well.length).toBeGreaterThan(0)
    for (const pair of pairsOn(night))
      if (pair.nodes.some((id) => well.includes(id)))
        expect(pair.ratio, `${pair.ink} on ${pair.ground}`).toBeGreaterThanOrEqual(pair.needed)
    const { lookup } = {
      lookup: (name: string) => doc.tokensAt('desktop', 'dark').lookup(name)!.value as string,
    }
    expect(contrastOf(lookup('color.paper'), '#000000')).toBeLessThan(3)
  })

  test('a page that says no token for its background gets one: words on it read in both', () => {
    const { doc, layout, run } = page()
    const section = layout.boxes.get('t')!.parent!.id
    run([{ op: 'set', node: section, props: { fills: null } }])
    const before = pairsOn(layout).filter(({ nodes }) => nodes.includes('t'))
    expect(before).toMatchObject([{ ground: '#ffffff' }])
    const ids = { id: 'dark', first: 'light' }
    run(turnedThemeEdits(doc, ids, { name: 'Dark', scheme: 'dark' }, pairsOn(layout)))
    expect(doc.node(layout.page).props.background).toBe('{color.page}')
    const ground = (theme: string) => doc.tokensAt('desktop', theme).lookup('color.page')!.value as string
    expect(ground('light')).toBe('#ffffff')
    expect(contrastOf(ground('dark'), '#ffffff')).toBeGreaterThan(7)
    const night = new PageLayout(doc, layout.page, 'desktop', 1440, paragraphs, undefined, 'dark')
    const [words] = pairsOn(night).filter(({ nodes }) => nodes.includes('t'))
    expect(words!.ratio).toBeGreaterThanOrEqual(words!.needed)
    // What stands on a template goes on having that one's, whatever that will be.
    const own = { id: 'slot', kind: 'slot' as const, name: 'Own', order: 'a1', props: {} }
    const made = { id: 'stand', path: '/stand', name: 'Stand', order: 'a5', views: [], sections: [own] }
    const shared = page()
    shared.run([
      { op: 'page', id: 'stand', page: { ...made, isTemplate: true } },
      { op: 'page-meta', id: layout.page, set: { template: 'stand' } },
    ])
    shared.run(turnedThemeEdits(shared.doc, ids, { name: 'Dark', scheme: 'dark' }, []))
    expect(shared.doc.node('stand').props.background).toBe('{color.page}')
    expect(shared.doc.node(layout.page).props.background).toBeUndefined()
    // A second one has nothing to take along.
    const again = turnedThemeEdits(doc, { id: 'dusk', first: '' }, { name: 'Dusk', scheme: 'dark' }, [])
    expect(again.some((edit) => edit.op === 'set')).toBe(false)
  })

  test('boxes and lines are the same in every theme', () => {
    const { layout, night, doc } = dark()
    for (const { id } of layout.visible()) {
      expect(night.rect(id)).toEqual(layout.rect(id))
      expect(night.lineTexts(id)).toEqual(layout.lineTexts(id))
    }
    expect(buildSite(doc, new Map()).text.get('index.html')).toBe(
      buildSite(page().doc, new Map()).text.get('index.html'),
    )
  })

  test('handed off: by itself for who prefers it, and where it is asked for', () => {
    const { doc } = dark()
    const css = buildSite(doc, new Map()).text.get('styles.css')!
    const paper = doc.tokensAt('desktop', 'dark').lookup('color.paper')!.value
    expect(css).toContain('color-scheme: light dark')
    expect(css).toMatch(
      new RegExp(
        `@media \\(prefers-color-scheme: dark\\) \\{\\s*:root:not\\(\\[data-theme\\]\\) \\{[^}]*--color-paper: ${paper};`,
      ),
    )
    expect(css).toMatch(new RegExp(`\\[data-theme="dark"\\] \\{[^}]*--color-paper: ${paper};`))
  })

  test('taken away again, nothing is left of it', () => {
    const { doc, run } = dark()
    run(removeThemeEdits(doc, 'dark'))
    run(removeThemeEdits(doc, 'light'))
    expect(doc.toFile()).toEqual(page().doc.toFile())
  })
})

describe('pairs', () => {
  test('words on what is behind them: the worst stop of a gradient, and what falls short first', () => {
    const { layout } = page()
    const [worst] = pairsOn(layout)
    // Pine words on a gradient that begins in pine.
    expect(worst).toMatchObject({ ink: '#1d5c46', needed: 4.5, nodes: ['v'] })
    expect(worst!.ratio).toBeLessThan(1.1)
    const heading = readingOf(layout.boxes.get('t')!)!
    expect(heading.ratio).toBeGreaterThan(10)
    expect(heading.isSure).toBe(true)
  })
  test('a gradient in the words is held by its worst stop against what is behind them', () => {
    const { layout, run } = page()
    const fill = { order: 'a0', kind: 'gradient' as const, angle: 0 }
    const stops = [
      { color: '#000000', at: 0 },
      { color: '#f4f4f4', at: 100 },
    ]
    run([{ op: 'set', node: 't', props: { fillsIn: 'words', fills: { f: { ...fill, stops } } } }])
    expect(readingOf(layout.boxes.get('t')!)).toMatchObject({ ink: '#f4f4f4', isSure: true })
    run([{ op: 'set', node: 't', props: { fillsIn: null } }])
    // Behind the words it is what they stand on, and there may be a stop that they read on.
    const behind = readingOf(layout.boxes.get('t')!)!
    expect(behind.best).toBeGreaterThan(behind.ratio)
  })
  test('on a picture only pixels tell, unless a colour that lets nothing through lies between', () => {
    const { layout, run } = page()
    expect(onPictures(layout)).toEqual([])
    const section = layout.boxes.get('t')!.parent!.id
    const about = {
      name: 'One',
      type: 'image/png' as const,
      width: 40,
      height: 30,
      size: 9,
      hash: '0'.repeat(64),
    }
    const picture = { p: { order: 'Zz', kind: 'picture' as const, asset: 'one', fit: 'cover' as const } }
    run([{ op: 'asset', id: 'one', asset: { id: 'one', ...about } }])
    run([{ op: 'set', node: section, props: { fills: picture } }])
    expect(onPictures(layout).map(({ id }) => id)).toContain('t')
    expect(pairsOn(layout).flatMap(({ nodes }) => nodes)).not.toContain('t')
    run([{ op: 'set', node: 't', props: { fills: oneFill('#ffffff80') } }])
    expect(onPictures(layout).map(({ id }) => id)).toContain('t')
    run([{ op: 'set', node: 't', props: { fills: oneFill('#ffffff') } }])
    expect(onPictures(layout).map(({ id }) => id)).not.toContain('t')
  })
})
