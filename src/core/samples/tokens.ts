/** Random tokens with values of their own in some views, and blocks that refer to them. */
import fc from 'fast-check'
import type { NodeTree } from '../document/schema'
import { withFluid, withValueAt } from '../document/token-variants'
import { colorValue, dimensionValue, type TokenTree, typographyValue } from '../document/tokens'
import { isText } from '../properties/kinds'
import type { Props } from '../properties/table'

const SPACES = 3
const STYLES = 2
const lengths = ['paddingTop', 'paddingLeft', 'rowGap', 'columnGap', 'spaceBefore'] as const

/** In about one view of three it is something else. @param views their ids, widest first */
function varied<T>(
  value: fc.Arbitrary<T>,
  type: string,
  write: (value: T) => unknown,
  views: readonly string[],
) {
  const elsewhere = fc.tuple(
    ...views.slice(1).map((view) => fc.tuple(fc.constant(view), fc.option(value, { freq: 1 }))),
  )
  return fc.tuple(value, elsewhere).map(([own, others]) => {
    let token: Record<string, unknown> = { $type: type, $value: write(own) }
    for (const [view, other] of others) if (other !== null) token = withValueAt(token, { view }, write(other))
    return token
  })
}

const typography = fc.record({
  fontFamily: fc.constantFrom('Hanken Grotesk', 'Newsreader'),
  fontSize: fc.integer({ min: 11, max: 64 }),
  fontWeight: fc.constantFrom(400, 500, 700),
  lineHeight: fc.constantFrom(1, 1.2, 1.45),
  letterSpacing: fc.constantFrom(0, 0, -0.5, 1.2),
})

export function randomTokens(views: readonly string[]): fc.Arbitrary<TokenTree> {
  const space = varied(fc.integer({ min: 0, max: 60 }), 'dimension', dimensionValue, views)
  const style = varied(typography, 'typography', typographyValue, views)
  return fc
    .tuple(
      fc.array(space, { minLength: SPACES, maxLength: SPACES }),
      fc.array(style, { minLength: STYLES, maxLength: STYLES }),
    )
    .map(([spaces, styles]) => ({
      space: Object.fromEntries(spaces.map((token, i) => [`s${i}`, token])),
      // The first grows with the window.
      type: Object.fromEntries(styles.map((token, i) => [`t${i}`, withFluid(token, i === 0)])),
      color: { ink: { $type: 'color', $value: colorValue('#2b3a33') } },
    }))
}

/** Some of a block's lengths, and texts' type, as references. @param count differs from block to block */
export function withTokens(tree: NodeTree, count: number): NodeTree {
  const props: Props = { ...tree.props }
  lengths.forEach((key, i) => {
    if (typeof props[key] === 'number' && (count + i) % 2 === 0)
      props[key] = `{space.s${(count + i) % SPACES}}`
  })
  if (isText(tree.kind) && count % 3 > 0) {
    props.type = `{type.t${count % STYLES}}`
    delete props.fontSize
    if (count % 3 === 1) delete props.lineHeight
  }
  return { ...tree, props }
}
