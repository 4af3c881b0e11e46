/** An icon beside a button's words: the button becomes a row of both, which looks and leads as it did. */
import { generateNKeysBetween } from 'fractional-indexing'
import type { Node } from '../document/document'
import type { NodeTree } from '../document/schema'
import type { Edit } from '../edits/edit'
import type { Kind } from '../properties/kinds'
import { defaultsOf, hasProperty, KEYS, keysOf, type PropKey, type Props } from '../properties/table'
import { type Drawing, iconProps } from './icon'
import { iconWords } from './icon-words'

/** Between the icon and the words, px. */
const GAP = 8
/** Of an icon beside words, of their size. */
const SHARE = 1.25
/** Of its line, px. */
const LINE = 2

const OF_WORDS: ReadonlySet<PropKey> = new Set([...keysOf('type'), 'words'])

/** What of a button's properties goes to the row, or to the words in it. */
function part(props: Props, kind: Kind, which: (key: PropKey) => boolean): Props {
  const entries = Object.entries(props).filter(([key]) => hasProperty(kind, key) && which(key as PropKey))
  return Object.fromEntries(entries) as Props
}

const ofWords = (props: Props) => part(props, 'text', (key) => OF_WORDS.has(key))
const ofRow = (props: Props) => part(props, 'box', (key) => !OF_WORDS.has(key))

/** What a button is by itself and another kind is not. */
function begins(kind: Kind): Props {
  const [button, other] = [defaultsOf('button'), defaultsOf(kind)]
  const keys = KEYS.filter((key) => key !== 'tag' && button[key] !== undefined && button[key] !== other[key])
  return Object.fromEntries(keys.map((key) => [key, button[key]])) as Props
}

/** A button's words where it is looked at: their size and the height that they take, px. */
export type ButtonWords = { fontSize: number; height: number }

/**
 * @param words the icon is no higher, so that the button stays as high as it was
 * @returns the edits, and the id of what stands in the button's place
 */
export function iconInButton(
  node: Node,
  name: string,
  drawing: Drawing,
  { fontSize, height }: ButtonWords,
  makeId: () => string,
): { edits: Edit[]; row: string } {
  const color = (props: Props) => props.color as string | undefined
  const size = Math.min(Math.round(fontSize * SHARE), Math.floor(height))
  const ink = color(node.props) ?? (defaultsOf('button').color as string)
  const icon = iconProps(drawing, { size, line: LINE, color: ink })
  const overridden = Object.entries(node.overrides)
  const own = <T>(of: (props: Props) => T | undefined) =>
    Object.fromEntries(overridden.flatMap(([view, props]) => (of(props) ? [[view, of(props)!]] : [])))
  const some = (props: Props) => (Object.keys(props).length > 0 ? props : undefined)
  const [first, second] = generateNKeysBetween(null, null, 2)
  const tree: NodeTree = {
    id: makeId(),
    kind: 'box',
    name: node.name,
    order: node.order,
    props: {
      ...ofRow({ ...begins('box'), ...node.props }),
      flow: 'row',
      align: 'center',
      justify: 'center',
      rowGap: GAP,
      tag: 'a',
      link: node.props.link ?? '#',
    },
    overrides: own((props) => some(ofRow(props))),
    children: [
      {
        id: makeId(),
        kind: 'shape',
        name: iconWords(name),
        order: first!,
        props: icon,
        overrides: own((props) =>
          color(props) === undefined ? undefined : { stroke: { ...icon.stroke!, color: color(props)! } },
        ),
      },
      {
        id: makeId(),
        kind: 'text',
        name: 'Words',
        order: second!,
        props: { ...ofWords({ ...begins('text'), ...node.props }), tag: 'span' },
        overrides: own((props) => some(ofWords(props))),
      },
    ],
  }
  return {
    edits: [
      { op: 'remove', node: node.id },
      { op: 'insert', parent: node.parent!, tree },
    ],
    row: tree.id,
  }
}
