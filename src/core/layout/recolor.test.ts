/** A token that only colours: what is laid out stays, what is drawn follows. */
import { expect, test } from 'vitest'
import { box, lay } from '../arrange/test-page'
import { colorValue } from '../document/tokens'
import type { Fill } from '../properties/items'
import { oneFill } from '../properties/items'
import { said } from '../words/words'

const page = () =>
  lay({ flow: 'column' }, [
    {
      ...box('t', { color: '{color.pine}', words: said('Seed'), fills: oneFill('{color.pine}') }),
      kind: 'text',
    },
    box('h', { hidden: true, fills: oneFill('{color.pine}') }),
  ])
const inkOf = ({ layout }: ReturnType<typeof page>) => layout.boxes.get('t')!.resolved.color

test('its new colour is everywhere, hidden blocks too, and no text is set again', () => {
  const made = page()
  const { layout, run } = made
  const { typeset } = layout.boxes.get('t')!
  const { version } = layout
  expect(inkOf(made)).not.toBe('#123456')
  run([{ op: 'token', name: 'color.pine', token: { $type: 'color', $value: colorValue('#123456') } }])
  expect(inkOf(made)).toBe('#123456')
  expect(layout.version).toBeGreaterThan(version)
  expect(layout.boxes.get('t')!.typeset).toBe(typeset)
  run([{ op: 'set', node: 'h', props: { hidden: false } }])
  const fill = layout.boxes.get('h')!.resolved.fills!.fill as Fill & { color: string }
  expect(fill.color).toBe('#123456')
})

test('a fill that is seen no more changes where lines end, which is laid out again', () => {
  const made = page()
  made.run([{ op: 'token', name: 'color.pine', token: { $type: 'color', $value: colorValue('#12345600') } }])
  expect(inkOf(made)).toBe('#12345600')
  expect(made.layout.tokens.differInPaintOnly(page().layout.tokens)).toBe(false)
})
