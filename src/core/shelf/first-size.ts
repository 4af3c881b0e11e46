/** How wide a new block begins in what it is put into: what needs no mending most of the time. */
import { Flow, type LayoutBox } from '../layout/box'
import { isText } from '../properties/kinds'
import type { Props } from '../properties/table'
import { isHeadingStyle } from '../properties/type'
import type { Draft } from './build'

/** Columns that are free behind the last block of a lattice, in its row. */
function freeBehind({ kids, columns }: LayoutBox): number {
  const last = Math.max(-1, ...kids.map(({ row }) => row))
  const ends = kids.flatMap(({ row, column, span }) => (row === last ? [column + span] : []))
  return columns - Math.max(0, ...ends)
}

/** Columns for a block in a lattice: words what they need; a picture or a card a third, a box half, or what is left of the row. */
function spanIn(host: LayoutBox, { kind, props, children }: Draft): number {
  const { columns } = host
  const share = (part: number) => Math.max(1, Math.min(columns, Math.round(columns * part)))
  const few = columns < 6
  if (kind === 'button' || props.link !== undefined) return share(few ? 1 / 2 : 1 / 6)
  if (isText(kind)) return isHeadingStyle(props.type) || few ? columns : share(7 / 12)
  const free = host.kids.length > 0 ? freeBehind(host) : 0
  if (free >= share(1 / 3) && free <= share(2 / 3)) return free
  if (few) return columns
  return kind === 'picture' || children.length > 0 ? share(1 / 3) : share(1 / 2)
}

/**
 * @param host undefined: nothing is known of it
 * @param columns of the lattice that it stands on
 * @returns what to set where the block says nothing of its width
 */
export function firstSize(draft: Draft, host: LayoutBox | undefined, columns: number): Props {
  if (!host || draft.props.width !== undefined || draft.kind === 'section') return {}
  const isPlain = !isText(draft.kind) && draft.children.length === 0
  switch (host.flow) {
    case Flow.Lattice:
      return { width: { kind: 'columns', span: spanIn(host, draft) } }
    case Flow.Column:
      // A picture across a whole section is a band of its own, which is asked for otherwise.
      return draft.kind === 'picture' && host.node.kind === 'section'
        ? { width: { kind: 'columns', span: Math.ceil(columns / 2) } }
        : {}
    case Flow.Free:
      return isPlain ? { width: { kind: 'percent', percent: 33 } } : {}
    default:
      return {}
  }
}
