/** A kept layout against one made anew: after edits, edits taken back, and other window widths. */
import fc from 'fast-check'
import { beforeAll, describe, expect, test } from 'vitest'
import { Document } from '../document/document'
import type { ProjectFile } from '../document/schema'
import { applyEdit } from '../edits/apply'
import { type Edit, EditError } from '../edits/edit'
import { viewEdits } from '../edits/views'
import { documents } from '../samples/documents'
import { FEATURES, WITHOUT_TEXT } from '../samples/features'
import { loadFonts } from '../samples/fonts'
import { FontLibrary } from '../text/fonts'
import { ParagraphCache } from '../text/paragraph-cache'
import { PageLayout } from './page'

/** Widths by the view that applies at them. */
const WIDTHS = { wide: [1440, 1203, 1920], middle: [834, 700.5], narrow: [390, 320, 599] }

const snapshot = (layout: PageLayout) =>
  Object.fromEntries(
    [...layout.visible()].map((box) => [
      box.id,
      // Where it is, what it says, what it is drawn with.
      [layout.rect(box.id), layout.lineTexts(box.id), Object.entries(box.resolved).sort()],
    ]),
  )

/** An edit chosen by a number. Most are allowed; a refused one changes nothing. */
function change(file: ProjectFile, doc: Document, seed: number): Edit {
  const all = [...doc.nodes.values()].filter((each) => each.kind !== 'page')
  // What came before may have taken everything away.
  if (all.length === 0) throw new EditError('nothing is left')
  const one = all[seed % all.length]!
  const other = all[(seed * 7 + 3) % all.length]!
  const colors = doc.tokenTable.names('color')
  const name = colors[seed % Math.max(1, colors.length)] ?? 'color.one'
  const alpha = seed % 4 === 0 ? 0 : 1
  const pool: Edit[] = [
    {
      op: 'token',
      name,
      token: { $type: 'color', $value: { colorSpace: 'srgb', components: [0.5, 0, (seed % 9) / 9], alpha } },
    },
    { op: 'set', node: one.id, props: { paddingTop: seed % 60 } },
    { op: 'set', node: one.id, props: { width: { kind: 'exact', px: 50 + (seed % 500) } } },
    { op: 'set', node: one.id, props: { height: { kind: 'percent', percent: 10 + (seed % 90) } } },
    { op: 'set', node: one.id, view: 'narrow', props: { hidden: seed % 2 === 0 } },
    { op: 'set', node: one.id, props: { flow: (['row', 'column', 'lattice', 'free'] as const)[seed % 4] } },
    { op: 'set', node: one.id, props: { width: { kind: 'columns', span: 1 + (seed % 9) } } },
    { op: 'set', node: one.id, view: 'middle', props: { width: { kind: 'columns', span: 1 + (seed % 5) } } },
    { op: 'set', node: one.id, props: { order: (seed % 5) - 2, lifted: seed % 3 === 0 } },
    { op: 'remove', node: one.id },
    { op: 'move', node: one.id, parent: other.id, order: `a${seed % 10}` },
    ...viewEdits(
      file.views,
      file.views.map((view) => ({ ...view, lattice: { ...view.lattice, gutter: seed % 40 } })),
    ),
  ]
  return pool[seed % pool.length]!
}

describe('a kept layout', () => {
  const sample = [
    ...fc.sample(documents(new Set(FEATURES)), { numRuns: 12, seed: 11 }),
    ...fc.sample(documents(WITHOUT_TEXT), { numRuns: 16, seed: 12 }),
  ]
  let fonts = new FontLibrary()
  beforeAll(async () => {
    for (const file of sample) fonts = await loadFonts(Document.fromFile(file))
  })

  test('is that of a layout from scratch after any edits, undone or not, at any widths', () => {
    const steps = fc.array(
      fc.oneof(
        fc.record({ edit: fc.nat(10_000) }),
        fc.record({ width: fc.nat(2) }),
        fc.constant({ undo: true as const }),
      ),
      { minLength: 1, maxLength: 14 },
    )
    fc.assert(
      fc.property(
        fc.nat(sample.length - 1),
        steps,
        fc.constantFrom('wide' as const, 'middle' as const, 'narrow' as const),
        (which, list, view) => {
          const file = structuredClone(sample[which])
          const doc = Document.fromFile(file!)
          const paragraphs = new ParagraphCache(fonts)
          let width = WIDTHS[view][0]
          const kept = new PageLayout(doc, 'page', view, width!, paragraphs)
          const undo: Edit[] = []
          for (const step of list) {
            if (doc.nodes.size < 3) break
            if ('width' in step) width = WIDTHS[view][step.width % WIDTHS[view].length]
            else if ('undo' in step) {
              const back = undo.pop()
              if (back) applyEdit(doc, back)
            } else {
              try {
                undo.push(applyEdit(doc, change(file!, doc, step.edit)))
              } catch (error) {
                if (!(error instanceof EditError)) throw error
              }
            }
            kept.update(width)
          }
          expect(snapshot(kept)).toEqual(snapshot(new PageLayout(doc, 'page', view, width!, paragraphs)))
        },
      ),
      { numRuns: 150 },
    )
  })

  test('is the same as before once every edit is taken back', () => {
    for (const [index, file] of sample.entries()) {
      const doc = Document.fromFile(structuredClone(file))
      const kept = new PageLayout(doc, 'page', 'wide', 1440, new ParagraphCache(fonts))
      const before = JSON.stringify(snapshot(kept))
      const undo: Edit[] = []
      for (let seed = index; seed < index + 40; seed += 3) {
        try {
          undo.push(applyEdit(doc, change(file, doc, seed)))
        } catch (error) {
          if (!(error instanceof EditError)) throw error
        }
        kept.update()
      }
      expect(undo.length).toBeGreaterThan(0)
      for (const edit of undo.reverse()) applyEdit(doc, edit)
      kept.update()
      expect(JSON.stringify(snapshot(kept))).toBe(before)
    }
  })

  test('of a section edge to edge, on a lattice of its own, follows the window', () => {
    const file = structuredClone(sample[0])
    file!.views[0]!.lattice.halfGutters = false
    file!.pages[0]!.sections = [
      {
        id: 'section',
        kind: 'section',
        name: 'Section',
        order: 'a',
        props: {
          fullBleed: true,
          flow: 'column',
          lattice: { columns: 10, gutter: 10, container: null, margin: 20 },
        },
        children: [
          {
            id: 'block',
            kind: 'box',
            name: 'Block',
            order: 'a',
            props: { width: { kind: 'columns', span: 5 }, height: { kind: 'exact', px: 40 } },
          },
        ],
      },
    ]
    const doc = Document.fromFile(file!)
    const kept = new PageLayout(doc, 'page', 'wide', 1440, new ParagraphCache(fonts))
    // (1440 − 2 × 20 − 9 × 10) / 10 is 131: five columns and four gutters.
    expect(kept.rect('block')!.width).toBe(695)
    kept.update(1240)
    expect(kept.rect('block')!.width).toBe(595)
  })

  test('of the same document has the same boxes, always', () => {
    for (const file of sample.slice(0, 4)) {
      const once = () => {
        const doc = Document.fromFile(structuredClone(file))
        return JSON.stringify(snapshot(new PageLayout(doc, 'page', 'wide', 1440, new ParagraphCache(fonts))))
      }
      expect(once()).toBe(once())
    }
  })
})
