/** What holds of every layout, whatever the document: random ones, without text so that all is whole sums. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import { documents } from '../samples/documents'
import { WITHOUT_TEXT } from '../samples/features'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { Flow, type LayoutBox, Sizing, Spread } from './box'
import { fitContent, maxContent, minContent } from './intrinsic'
import { PageLayout } from './page'

const WIDTHS = [1440, 1013, 834, 390]

function everyLayout(check: (layout: PageLayout, width: number) => void) {
  const paragraphs = new ParagraphCache(new FontLibrary())
  fc.assert(
    fc.property(documents(WITHOUT_TEXT), fc.constantFrom(...WIDTHS), (file, width) => {
      const doc = Document.fromFile(file)
      check(new PageLayout(doc, 'page', doc.viewAt(width).id, width, paragraphs), width)
    }),
    { numRuns: 150 },
  )
}
const everyBox = (check: (box: LayoutBox) => void) =>
  everyLayout((layout) => {
    for (const box of layout.visible()) check(box)
  })

describe('pages', () => {
  test('sections are as wide as the window and stand one below the other', () => {
    everyLayout((layout, width) => {
      let y = 0
      for (const section of layout.root.kids) {
        expect([section.x, section.y, section.width]).toEqual([0, y, width])
        y += section.height
      }
      expect(layout.height).toBe(y)
    })
  })

  test('nothing is smaller than its padding and borders, or than its least size', () => {
    everyBox((box) => {
      const nested = box.subgrid && box.flow === Flow.Lattice
      if (!nested) expect(box.width).toBeGreaterThanOrEqual(box.padX - 1e-9)
      expect(box.height).toBeGreaterThanOrEqual(box.padY - 1e-9)
      if (!nested && box.minW > 0) expect(box.width).toBeGreaterThanOrEqual(box.minW - 1e-9)
      if (box.minH > 0) expect(box.height).toBeGreaterThanOrEqual(box.minH - 1e-9)
    })
  })
})

describe('flows', () => {
  test('in a row that starts at its start, only gaps lie between blocks', () => {
    everyBox((box) => {
      if (box.flow !== Flow.Row || box.justify !== Spread.Start) return
      let right = Number.NaN
      let line = -1
      for (const kid of box.kids) {
        const from = kid.row === line ? right + box.colGap : box.padL + box.borL
        expect(kid.x).toBeCloseTo(from + kid.before, 6)
        right = kid.x + kid.width
        line = kid.row
      }
    })
  })

  test('in a column that starts at its start, only gaps lie between blocks', () => {
    everyBox((box) => {
      if (box.flow !== Flow.Column || box.justify !== Spread.Start) return
      let bottom = box.padT + box.borT - box.rowGap
      for (const kid of box.kids) {
        expect(kid.y).toBeCloseTo(bottom + box.rowGap + kid.before, 6)
        bottom = kid.y + kid.height
      }
    })
  })

  test('blocks that stretch along a row share what is left by their weights', () => {
    everyBox((box) => {
      if (box.flow !== Flow.Row || box.wrap) return
      const free = box.kids.filter(
        (kid) =>
          kid.widthKind === Sizing.Stretch && kid.target > kid.low + 1e-6 && !(kid.width >= kid.maxW - 1e-6),
      )
      const share = (kid: LayoutBox) => (kid.width - kid.padX) / kid.widthValue
      // A block that is shrunk under others is no longer at its share.
      if (free.some((kid) => kid.width <= kid.padX + 1e-6)) return
      // Each is cut down to whole layout units.
      for (const kid of free)
        expect(Math.abs(share(kid) - share(free[0]!))).toBeLessThanOrEqual(
          1 / 64 / Math.min(kid.widthValue, free[0]!.widthValue) + 1e-6,
        )
    })
  })

  test('on a lattice, what stretches begins and ends at the lines of its columns', () => {
    everyBox((box) => {
      if (box.flow !== Flow.Lattice || box.subgrid) return
      const inner = Math.max(0, box.width - box.padX)
      // Lines are at whole layout units, 1/64 px.
      const lines = Math.max(0, inner - box.colGap * (box.columns - 1))
      const track = (count: number) => Math.floor((lines * 64 * count) / box.columns + 1e-6) / 64
      const left = box.padL + box.borL
      for (const kid of box.kids) {
        if (kid.widthKind !== Sizing.Stretch || kid.minW > 0 || kid.maxW >= 0) continue
        const span = Math.min(kid.span, box.columns)
        expect(kid.column + span).toBeLessThanOrEqual(box.columns)
        const before = track(kid.column)
        const area = track(kid.column + span) - before + (span - 1) * box.colGap
        // What floating-point sums lose may be one unit.
        const near = (value: number, wanted: number) =>
          expect(Math.abs(value - wanted)).toBeLessThanOrEqual(1 / 64)
        near(kid.x, left + before + kid.column * box.colGap)
        near(kid.width, kid.subgrid ? area : Math.max(kid.padX, area))
      }
    })
  })

  test('blocks of one lattice row do not lie on each other', () => {
    everyBox((box) => {
      if (box.flow !== Flow.Lattice) return
      const taken = new Set<string>()
      for (const kid of box.kids)
        for (let column = kid.column; column < kid.column + Math.min(kid.span, box.columns); column++) {
          expect(taken.has(`${kid.row}/${column}`)).toBe(false)
          taken.add(`${kid.row}/${column}`)
        }
    })
  })
})

describe('contents', () => {
  test('at their narrowest are no wider than unwrapped, and what fits them lies between', () => {
    everyBox((box) => {
      const least = minContent(box, Number.NaN)
      const most = maxContent(box, Number.NaN)
      expect(least).toBeLessThanOrEqual(most + 1e-6)
      for (const room of [0, (least + most) / 2, most + 10]) {
        const fit = fitContent(box, room, Number.NaN)
        expect(fit).toBeLessThanOrEqual(most)
        expect(fit).toBeGreaterThanOrEqual(Math.min(least, most))
      }
    })
  })
})
