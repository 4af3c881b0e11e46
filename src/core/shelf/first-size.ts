/** How wide a new block begins in what it is put into: what needs no mending most of the time. */
import { Flow, type LayoutBox } from '../layout/box'
import { isText } from '../properties/kinds'
import type { Props } from '../properties/table'
import type { Draft } from './build'

const HEADING = /head|title|display/i

/** Columns for a block in a lattice: words what they need, pictures and boxes a third or a half. */
function spanIn(columns: number, { kind, props }: Draft): number {
  const share = (part: number) => Math.max(1, Math.min(columns, Math.round(columns * part)))
  if (kind === 'button' || props.link !== undefined) return share(columns < 6 ? 1 / 2 : 1 / 6)
  if (isText(kind)) return HEADING.test(String(props.type)) ? columns : share(columns < 6 ? 1 : 7 / 12)
  return columns % 3 === 0 ? columns / 3 : share(columns < 6 ? 1 : 1 / 2)
}

/** @param host undefined: nothing is known of it @returns what to set where the block says nothing of its width */
export function firstSize(draft: Draft, host: LayoutBox | undefined): Props {
  if (!host || draft.props.width !== undefined || draft.kind === 'section') return {}
  if (host.flow === Flow.Lattice) return { width: { kind: 'columns', span: spanIn(host.columns, draft) } }
  // A picture across a whole section is a band of its own, which is asked for otherwise.
  if (host.flow === Flow.Column && draft.kind === 'picture' && host.node.kind === 'section')
    return { width: { kind: 'percent', percent: 50 } }
  if (
    host.flow === Flow.Row &&
    (draft.kind === 'picture' || draft.kind === 'box') &&
    draft.children.length === 0
  )
    return { width: { kind: 'stretch', weight: 1 } }
  if (host.flow === Flow.Free && !isText(draft.kind)) return { width: { kind: 'percent', percent: 33 } }
  return {}
}
