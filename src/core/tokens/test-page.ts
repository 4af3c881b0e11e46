/** A page for tests of tokens: texts that refer to some. */
import { box, exactly, lay } from '../arrange/test-page'
import type { NodeTree } from '../document/schema'
import { oneFill } from '../properties/items'
import type { Props } from '../properties/table'
import { said } from '../words/words'

const text = (id: string, props: Props, overrides?: Record<string, Props>): NodeTree => ({
  id,
  kind: 'text',
  name: id,
  order: `a${id}`,
  props: { words: said('Beans'), ...props },
  ...(overrides ? { overrides } : {}),
})

const gradient = {
  sky: {
    order: 'a0',
    kind: 'gradient' as const,
    angle: 90,
    stops: [
      { color: '{color.pine}', at: 0 },
      { color: '#ffffff', at: 100 },
    ],
  },
}

export const page = () =>
  lay({ flow: 'column', fills: oneFill('{color.paper}'), paddingTop: 25 }, [
    text('t', { type: '{type.heading}', color: '{color.ink}' }, { mobile: { color: '{color.pine}' } }),
    text('u', { type: '{type.body}', fontSize: 15 }),
    box('b', { ...exactly(300, 100), fills: gradient, rowGap: '{space.m}' as never }, [
      text('v', { color: '#1d5c46', fontSize: 16, fontWeight: 400 }),
    ]),
  ])
