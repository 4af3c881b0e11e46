/** What is hidden on a sheet, or lies in what is, has no place there: no command may stop at that. */
import { expect, test } from 'vitest'
import type { Edit } from '../edits/edit'
import type { Props } from '../properties/table'
import { alignEdits, distributeEdits, gapEdits, sameSizeEdits, stackEdits, swapEdits } from './align'
import { behindButtonEdits, inFrontEdits } from './behind-button'
import { gauge } from './gauge'
import { liftEdits } from './lift'
import { maskEdits } from './mask'
import { growEdits, nudgeEdits } from './nudge'
import { mirrorEdits, repeatEdits } from './repeat'
import { SNAP_KINDS, snapLines } from './snap'
import { at, box, exactly, lay, makeId, set } from './test-page'

const HIDDEN: Props = { hidden: true }
const page = (props: Props) => {
  const gone = at('h', 500, 20)
  const around = box('o', { ...exactly(200, 100), ...HIDDEN }, [
    box('i', exactly(20, 20)),
    box('j', exactly(20, 20)),
  ])
  return lay(props, [
    at('a', 10, 20),
    at('b', 200, 60),
    { ...gone, props: { ...gone.props, ...HIDDEN } },
    around,
  ])
}

const SELECTIONS = [['h'], ['i'], ['i', 'j'], ['a', 'h'], ['a', 'b', 'h'], ['o', 'a'], ['a', 'i', 'b']]

test.each(['row', 'column', 'lattice', 'free'] as const)('in a %s', (flow) => {
  const { doc, layout } = page({ flow })
  const runs: ((ids: string[]) => Edit[] | string | unknown)[] = []
  for (const to of ['sheet', 'lattice', 'parent', 'each other'] as const)
    for (const edge of ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const)
      runs.push((ids) => alignEdits(layout, ids, edge, to, set))
  for (const axis of ['x', 'y'] as const) {
    for (const what of ['gaps', 'centres'] as const)
      runs.push((ids) => distributeEdits(layout, ids, axis, what, set))
    runs.push((ids) => repeatEdits(layout, doc, ids[0]!, 3, axis, 20, makeId))
  }
  for (const side of ['width', 'height'] as const) {
    runs.push((ids) => sameSizeEdits(layout, ids, side, set))
    runs.push((ids) => growEdits(layout, ids, side, 8, set))
  }
  for (const to of ['front', 'forward', 'backward', 'back'] as const)
    runs.push((ids) => stackEdits(layout, ids.at(-1)!, to, set))
  runs.push(
    (ids) => gapEdits(layout, ids, 24, set),
    (ids) => swapEdits(doc, layout, ids, set),
    (ids) => nudgeEdits(layout, ids, 1, 0, set),
    (ids) => mirrorEdits(layout, doc, ids[0]!, false, set),
    (ids) => maskEdits(doc, layout, ids, set, makeId),
    (ids) => liftEdits(doc, [layout], ids[0]!),
    (ids) => gauge(layout, ids[0]!, ids[1]),
    (ids) => snapLines(layout, ids, new Set(SNAP_KINDS)),
    (ids) => behindButtonEdits(doc, layout, doc.node(ids[0]!), undefined, makeId).edits,
    (ids) => inFrontEdits(doc, layout, doc.node(ids[0]!), 'mobile'),
  )
  for (const ids of SELECTIONS)
    for (const [i, run] of runs.entries()) expect(() => run(ids), `${run} of ${ids} (${i})`).not.toThrow()
})

test('to align what is not seen is refused, and what is seen beside it is aligned', () => {
  const { doc, layout, run, rect } = page({ flow: 'free' })
  expect(alignEdits(layout, ['h'], 'left', 'sheet', set)).toBe('select blocks that this sheet shows first')
  const before = doc.node('h')
  run(alignEdits(layout, ['a', 'h'], 'left', 'sheet', set))
  expect(rect('a').x).toBe(0)
  expect(doc.node('h')).toBe(before)
})
