/** What is set aside, as several hear of it. */
import { expect, test } from 'vitest'
import type { Parked } from '../../core/replica/parked'
import { ParkedEdits } from './parked-edits'
import type { Ports } from './ports'

const ENTRY: Parked = { id: 'one', by: 'tab', at: 1, reason: 'it is gone', words: [], edits: [] }

test('what was dismissed does not come back with an answer that was on its way', async () => {
  let answer: (list: Parked[]) => void = () => undefined
  const wire = {
    parked: () =>
      new Promise<Parked[]>((resolve) => {
        answer = resolve
      }),
    park: async () => ({ dismissed: false }),
    dismiss: async () => undefined,
  }
  const found: string[] = []
  const parked = new ParkedEdits(
    'p',
    { wire, keep: undefined } as unknown as Ports,
    () => undefined,
    (list) => found.push(...list.map(({ id }) => id)),
  )
  parked.add([ENTRY])
  const asked = parked.recover()
  await Promise.resolve()
  await parked.dismiss('one')
  answer([ENTRY, { ...ENTRY, id: 'two' }])
  await asked
  expect(parked.list.map(({ id }) => id)).toEqual(['two'])
  expect(found).toEqual(['two'])
})
