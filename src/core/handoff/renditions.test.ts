import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { framingOf } from '../arrange/framing'
import { paragraphs } from '../arrange/test-page'
import { Document } from '../document/document'
import type { NodeTree, ProjectFile } from '../document/schema'
import { PageLayout } from '../layout/page'
import type { Props } from '../properties/table'
import { starterProject } from '../shelf/starter'
import { planRenditions, sizeText, widthsFor } from './renditions'
import { buildSite } from './site'

/** What a length of `sizes` comes to on a page so wide. */
function pxOf(text: string, width: number): number {
  const least = /^min\((.*), (\d+)px\)$/.exec(text)
  if (least) return Math.min(pxOf(least[1]!, width), Number(least[2]))
  const sum = /^calc\(([\d.]+)vw ([+-]) ([\d.]+)px\)$/.exec(text)
  if (sum) return (Number(sum[1]) * width) / 100 + Number(`${sum[2]}${sum[3]}`)
  return text.endsWith('vw') ? (Number.parseFloat(text) * width) / 100 : Number.parseFloat(text)
}
/** The length that holds at a width: that of the first condition that does. */
function sizeAt(sizes: string, width: number): number {
  // Commas within brackets part nothing.
  for (const part of sizes.split(/, (?![^(]*\))/)) {
    const found = /^\(max-width: ([\d.]+)px\) (.*)$/.exec(part)
    if (!found) return pxOf(part, width)
    if (width <= Number(found[1])) return pxOf(found[2]!, width)
  }
  throw new Error(sizes)
}

describe('one length for a range', () => {
  test('that is the same everywhere', () =>
    expect(
      sizeText([
        { at: 600, need: 300.2 },
        { at: 900, need: 300.2 },
      ]),
    ).toBe('301px'))
  test('that is a share of the page, or what margins leave of it', () => {
    expect(
      sizeText([
        { at: 400, need: 200 },
        { at: 500, need: 250 },
        { at: 800, need: 400 },
      ]),
    ).toBe('50vw')
    expect(
      sizeText([
        { at: 400, need: 360 },
        { at: 500, need: 460 },
        { at: 800, need: 760 },
      ]),
    ).toBe('calc(100vw - 40px)')
  })
  test('that grows up to a most', () =>
    expect(
      sizeText([
        { at: 600, need: 560 },
        { at: 700, need: 660 },
        { at: 1440, need: 1224 },
        { at: 2880, need: 1224 },
      ]),
    ).toBe('min(calc(100vw - 40px), 1224px)'))
  test('is never less than what is shown where it was looked at', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 320, max: 3000 }), { minLength: 1, maxLength: 4 }),
        fc.array(fc.integer({ min: 1, max: 3000 }), { minLength: 4, maxLength: 4 }),
        (widths, needs) => {
          const shown = widths.sort((a, b) => a - b).map((at, i) => ({ at, need: needs[i]! }))
          for (const { at, need } of shown) expect(pxOf(sizeText(shown), at)).toBeGreaterThan(need - 4)
        },
      ),
    ))
})

test('made for one, two and three device pixels, not larger than it is, none nearly as another', () => {
  expect(widthsFor({ width: 4000 }, [600, 350])).toEqual([350, 700, 1200, 1800])
  expect(widthsFor({ width: 1000 }, [600])).toEqual([600, 1000])
  expect(widthsFor({ width: 40 }, [600])).toEqual([40])
})

const photograph = (id: string) => ({
  id,
  name: `${id}.jpg`,
  type: 'image/jpeg' as const,
  width: 3000,
  height: 2000,
  size: 10,
  hash: '0'.repeat(64),
})

function site(pictures: Record<string, Props>, narrow: Props = {}) {
  const file: ProjectFile = starterProject('Test', 'home')
  file.assets = [photograph('one'), { ...photograph('two'), width: 900, height: 1200 }]
  const children = Object.entries(pictures).map(
    ([id, props]): NodeTree => ({
      id,
      kind: 'picture',
      name: id,
      order: `a${id}`,
      props: { asset: 'one', ...props },
      overrides: { mobile: narrow },
    }),
  )
  file.pages[0]!.sections = [
    { id: 's', kind: 'section', name: 'S', order: 'a0', props: { flow: 'lattice', rowGap: 24 }, children },
  ]
  const laidOut = (from: ProjectFile) => {
    const doc = Document.fromFile(from)
    return {
      doc,
      lay: (page: string, width: number) =>
        new PageLayout(doc, page, doc.viewAt(width).id, width, paragraphs),
    }
  }
  const whole = laidOut(file)
  const least = laidOut({
    ...file,
    assets: file.assets.map((each) => ({ ...each, width: each.width / 2, height: each.height / 2 })),
  })
  return { ...whole, plan: planRenditions(whole.doc, whole.lay, least.lay) }
}

describe('a site’s photographs', () => {
  const { doc, lay, plan } = site({
    a: { width: { kind: 'columns', span: 6, from: 1 } },
    b: { width: { kind: 'columns', span: 12 }, height: { kind: 'exact', px: 700 } },
    c: { width: { kind: 'exact', px: 200 } },
  })
  const sizes = plan.sizes.get('home')!
  test('are as wide as said, at any width of the page', () => {
    for (let width = 320; width <= 2800; width += 37) {
      const layout = lay('home', width)
      for (const id of ['a', 'b', 'c']) {
        const need = framingOf(layout.boxes.get(id)!, doc.assets.get('one')!).picture.width
        const said = sizeAt(sizes.get(id)!, width)
        expect(said, `${id} at ${width}: ${sizes.get(id)}`).toBeGreaterThan(need - 4)
        expect(said, `${id} at ${width}: ${sizes.get(id)}`).toBeLessThan(need * 1.5 + 4)
      }
    }
  })
  test('stand in the page with a source in each size, and the file that they are', () => {
    const { text, renditions } = buildSite(doc, new Map(), { renditions: plan })
    const html = text.get('index.html')!
    expect(html).toContain(`sizes="${sizes.get('a')}"`)
    expect(html).toMatch(/<source type="image\/webp" srcset="pictures\/one-\d+\.webp \d+w, /)
    expect(html).toContain('src="pictures/one.jpg"')
    for (const [path, { asset, width }] of renditions) {
      expect(asset).toBe('one')
      expect(path).toBe(`pictures/one-${width}.webp`)
      expect(html).toContain(path)
    }
    expect(renditions.size).toBe(plan.widths.get('one')!.length)
  })
  test('that are as wide as their px say are said so: another size would be laid out otherwise', () => {
    const snug = site({ a: { width: { kind: 'snug' } } })
    expect(snug.plan.sizes.get('home')!.get('a')).toBe('3000px')
  })
  test('that are another on the phone are as wide as that one there', () => {
    const { doc, plan } = site({ a: { width: { kind: 'snug' } } }, { asset: 'two' })
    const { breakpoint } = doc.view('mobile')
    expect(plan.sizes.get('home')!.get('a')).toBe(`(max-width: ${breakpoint}px) 900px, 3000px`)
    expect(plan.widths.get('two')!.at(-1)).toBe(900)
  })
})
