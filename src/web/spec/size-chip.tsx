/** The five ways to size a side, as one chip for the way and one for its value. */

import { isOnLattice } from '../../core/arrange/spans'
import type { Node } from '../../core/document/document'
import { formatPx } from '../../core/lattice/solve'
import { spanWidth } from '../../core/lattice/used'
import type { ScreenHeight, Size } from '../../core/properties/values'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { CarriedMark } from './carried-mark'
import { whyParts } from './why-parts'

type Kind = Size['kind']
const WORDS: Record<Kind, string> = {
  exact: 'exact',
  snug: 'snug',
  stretch: 'stretch',
  percent: 'percent',
  columns: 'columns',
  svh: 'first screen',
}
const HINTS: Record<Kind, string> = {
  exact: 'a length',
  snug: 'as the content',
  stretch: 'all the room',
  percent: 'of the parent',
  columns: 'of the lattice',
  svh: 'a share',
}

/** A share of the first screen, what is taken off it, and whether the content may need more. */
function ScreenChips({
  size,
  label,
  isSection,
  commit,
}: {
  size: ScreenHeight
  label: string
  isSection: boolean
  commit: (size: Size) => void
}) {
  const { less, grows, ...plain } = size
  return (
    <>
      {isSection && (
        <Choice
          label={`${label} of the first screen`}
          options={[
            { value: 'least', label: 'at least', hint: 'more where the content needs it' },
            { value: 'exact', label: 'exactly', hint: 'what is too much sticks out' },
          ]}
          value={grows ? 'least' : 'exact'}
          onChoose={(to) =>
            commit({ ...plain, ...(less && { less }), ...(to === 'least' && { grows: true as const }) })
          }
        />
      )}
      <NumberChip
        label={`${label} as a share of the first screen`}
        value={size.percent}
        unit=" %"
        context={{ min: 0, max: 1000 }}
        onChange={(percent) => commit({ ...size, percent })}
      />
      <span>less</span>
      <NumberChip
        label={`${label} taken off the first screen`}
        value={less ?? 0}
        unit=" px"
        context={{ min: 0, max: 10_000 }}
        onChange={(off) => commit({ ...plain, ...(off > 0 && { less: off }), ...(grows && { grows }) })}
      />
    </>
  )
}

export function SizeChips({ node, side }: { node: Node; side: 'width' | 'height' }) {
  const editor = useEditor()
  const { layout } = editor
  const size = editor.resolved(node)[side]
  const rect = layout?.rect(node.id)
  const now = rect?.[side] ?? 0
  const label = side === 'width' ? 'Width' : 'Height'
  const commit = (next: Size, gesture?: string) =>
    editor.setProps({ [side]: next }, `${label} of ${node.name}`, gesture)
  const kinds: Kind[] =
    side === 'width'
      ? ['snug', 'stretch', 'columns', 'exact', 'percent']
      : node.kind === 'section'
        ? ['snug', 'exact', 'svh']
        : ['snug', 'stretch', 'exact', 'percent']
  const options: Option<Kind>[] = kinds.map((kind) => ({
    value: kind,
    label: WORDS[kind],
    hint: HINTS[kind],
  }))
  /** The share of its parent that it takes now: choosing the way leaves the size. */
  const shareNow = () => {
    const parent = node.parent ? layout?.boxes.get(node.parent) : undefined
    if (!parent) return 100
    const out = layout?.boxes.get(node.id)?.pins !== null
    const across = side === 'width'
    const size = across ? parent.width : parent.height
    const edges = out
      ? across
        ? parent.borL + parent.borR
        : parent.borT + parent.borB
      : across
        ? parent.padX
        : parent.padY
    const room = size - edges
    return room > 0 ? Math.round((now / room) * 10_000) / 100 : 100
  }
  const choose = (kind: Kind) => {
    if (kind === size.kind) return
    if (kind === 'exact') commit({ kind, px: Math.round(now * 100) / 100 })
    else if (kind === 'snug') commit({ kind })
    else if (kind === 'stretch') commit({ kind, weight: 1 })
    else if (kind === 'percent') commit({ kind, percent: shareNow() })
    else if (kind === 'svh')
      commit({
        kind,
        percent: Math.max(1, Math.round((now / editor.view.fold) * 100)),
        ...(node.kind === 'section' && { grows: true }),
      })
    else {
      const used = layout!.usedFor(node.id)
      const span = Math.min(
        used.columns,
        Math.max(1, Math.round((now + used.gutter) / (used.columnWidth + used.gutter))),
      )
      commit({ kind: 'columns', span })
    }
  }
  const parentSize = () => {
    const parent = node.parent ? layout?.boxes.get(node.parent) : undefined
    if (!parent) return undefined
    return side === 'width' ? parent.width - parent.padX : parent.height - parent.padY
  }
  const context = {
    min: 0,
    max: 100_000,
    whole: parentSize(),
    columns: layout ? (count: number) => spanWidth(layout.usedFor(node.id), count) : undefined,
  }
  // What is set is known; what follows from it wants a reason.
  const why = side === 'height' && size.kind !== 'exact' ? whyParts(editor, node.id) : undefined
  return (
    <>
      <span>{label}</span>
      <Choice label={label} options={options} value={size.kind} onChoose={choose} />
      {size.kind === 'exact' && (
        <NumberChip
          label={`${label} in px`}
          value={typeof size.px === 'number' ? size.px : now}
          unit=" px"
          context={context}
          onChange={(px) => commit({ kind: 'exact', px })}
        />
      )}
      {size.kind === 'percent' && (
        <NumberChip
          label={`${label} in percent`}
          value={size.percent}
          unit=" %"
          context={{ min: 0, max: 1000 }}
          onChange={(percent) => commit({ kind: 'percent', percent })}
        />
      )}
      {size.kind === 'svh' && (
        <ScreenChips size={size} label={label} isSection={node.kind === 'section'} commit={commit} />
      )}
      {size.kind === 'stretch' && size.weight !== 1 && (
        <NumberChip
          label={`${label} weight`}
          value={size.weight}
          context={{ min: 0.01, max: 1000 }}
          onChange={(weight) => commit({ kind: 'stretch', weight })}
        />
      )}
      {size.kind === 'columns' && side === 'width' && layout && !isOnLattice(layout, node) && (
        <NumberChip
          label="Columns wide"
          value={size.span}
          context={{ min: 1, max: 48, integer: true }}
          onChange={(span) => commit({ kind: 'columns', span })}
        />
      )}
      {size.kind !== 'exact' && <span className="soft tabular-nums">{formatPx(now)} px</span>}
      {side === 'width' && layout && !isOnLattice(layout, node) && <CarriedMark node={node} />}
      {why && <span className="w-full text-small leading-4 soft">{why}</span>}
    </>
  )
}
