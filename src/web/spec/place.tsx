/** Where a block is: its turn in the parent's flow, its columns, or its pins. */

import { openersOf } from '../../core/arrange/behind-button'
import { coverOf, isOnLattice, sizeOnColumns } from '../../core/arrange/spans'
import { seenElsewhere, shownChildren, viewOrderEdits } from '../../core/arrange/view-order'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { formatPx } from '../../core/lattice/solve'
import { Flow } from '../../core/layout/box'
import type { PropKey } from '../../core/properties/table'
import type { Pin } from '../../core/properties/values'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { CarriedMark } from './carried-mark'
import { Line } from './line'
import { PinsPicture } from './pins-picture'

const ORDINALS = [
  'First',
  'Second',
  'Third',
  'Fourth',
  'Fifth',
  'Sixth',
  'Seventh',
  'Eighth',
  'Ninth',
  'Tenth',
]
const COUNT = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']

type Standing = 'flow' | 'lifted' | 'button'
const STANDINGS: Option<Standing>[] = [
  { value: 'flow', label: 'in the flow' },
  { value: 'lifted', label: 'lifted out of it', hint: 'keeps its pins' },
  { value: 'button', label: 'behind a button', hint: 'opens over the page' },
]

/** From one of the three to another. */
function stand(editor: Editor, node: Node, to: Standing) {
  if (editor.resolved(node).folded) editor.standBehindButton(node, false)
  else if (to === 'flow') editor.setProps({ lifted: false }, `Put ${node.name} into the flow`)
  if (to === 'lifted') editor.lift(node)
  if (to === 'button') editor.standBehindButton(node, true)
}

export function Place({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc, layout } = editor
  const parent = doc.node(node.parent!)
  const index = shownChildren(doc, parent.id, editor.view.id).indexOf(node.id)
  const elsewhere = seenElsewhere(doc, node.id, editor.view.id)
  const total = parent.children.length
  const resolved = editor.resolved(node)
  const free = layout?.boxes.get(parent.id)?.flow === Flow.Free
  const folded = resolved.folded === true
  const lifted = resolved.lifted === true || free || folded
  const stands: Standing = folded ? 'button' : lifted ? 'lifted' : 'flow'
  const rect = layout?.rect(node.id)
  return (
    <>
      <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
        <span>
          {ORDINALS[index] ?? `${index + 1}th`} of {COUNT[total] ?? total} in
        </span>
        {parent.kind === 'page' ? (
          <b>{parent.name}</b>
        ) : (
          <button
            type="button"
            className="chip max-w-37.5 truncate"
            onClick={() => editor.select(parent.id)}
            title="Select what it lies in (Esc)"
          >
            {editor.called(parent)}
          </button>
        )}
        <span className="ml-auto inline-flex">
          <button
            type="button"
            className="icon-button"
            aria-label="Move towards the front of its row or column"
            title="Earlier (Alt ↑ in the ledger)"
            disabled={index === 0}
            onClick={() => editor.moveBy(node, -1)}
          >
            ↑
          </button>
          <button
            type="button"
            className="icon-button"
            aria-label="Move towards the end of its row or column"
            title="Later (Alt ↓ in the ledger)"
            disabled={index === total - 1}
            onClick={() => editor.moveBy(node, 1)}
          >
            ↓
          </button>
        </span>
      </div>
      {elsewhere && (
        <Line node={node} keys={['order']}>
          <p className="min-w-0 flex-1 text-small leading-4 text-(--gold-text)" data-read-order>
            {ORDINALS[elsewhere.seen - 1] ?? `${elsewhere.seen}th`} to see on {editor.view.name}, but read{' '}
            {(ORDINALS[elsewhere.read - 1] ?? `${elsewhere.read}th`).toLowerCase()}: keyboards and screen
            readers follow the order of {editor.doc.views[0]!.name}.
          </p>
          <button
            type="button"
            className="line-button flex-none text-small"
            onClick={() =>
              editor.commit(
                viewOrderEdits(doc, parent.children, editor.view.id),
                `Put back the order on ${editor.view.name}`,
              )
            }
          >
            Put back
          </button>
        </Line>
      )}
      {layout && isOnLattice(layout, node) && <Columns node={node} />}
      {!lifted && <Before node={node} />}
      {(!free || folded) && (
        <Line node={node} keys={['lifted', 'folded']}>
          <Choice
            label="In the flow or lifted"
            options={STANDINGS.filter(({ value }) => value !== 'button' || node.kind === 'box')}
            value={stands}
            width={250}
            onChoose={(value) => value !== stands && stand(editor, node, value)}
          />
          {stands === 'flow' && rect && (
            <span className="text-small soft tabular-nums">
              at {formatPx(rect.x)}, {formatPx(rect.y)}
            </span>
          )}
        </Line>
      )}
      {folded && <Unopened node={node} />}
      {lifted && <PinsPicture node={node} />}
      {lifted && <Pins node={node} />}
      <Line node={node} keys={['rotate']}>
        <span>Turned by</span>
        <NumberChip
          label="Turn"
          value={resolved.rotate ?? 0}
          unit="°"
          context={{ min: -360, max: 360 }}
          onChange={(rotate) => editor.setProps({ rotate: rotate % 360 }, `Turn ${node.name}`)}
        />
      </Line>
    </>
  )
}

/** Nobody can get at what no button opens. */
function Unopened({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc, view } = editor
  const isSeen = openersOf(doc, editor.pageId, node.id).some(
    (button) => !cascaded(doc, button, view.id).hidden,
  )
  if (isSeen) return null
  return (
    <div role="status" className="flex min-h-7.5 flex-wrap items-center gap-1.5" data-unopened>
      <span className="text-(--gold-text)">No button opens it on {view.name}.</span>
      <button
        type="button"
        className="line-button ml-auto text-small"
        onClick={() => editor.standBehindButton(node, true)}
      >
        Put one there
      </button>
    </div>
  )
}

/** More distance before a block than its row or column gives all of them. */
function Before({ node }: { node: Node }) {
  const editor = useEditor()
  const flow = editor.layout?.boxes.get(node.parent!)?.flow
  if (flow !== Flow.Row && flow !== Flow.Column) return null
  return (
    <Line node={node} keys={['spaceBefore']}>
      <span>{flow === Flow.Row ? 'Left of it' : 'Above it'}</span>
      <NumberChip
        label="Distance before it"
        value={editor.resolved(node).spaceBefore}
        unit=" px"
        context={{ min: 0, max: 10_000 }}
        onChange={(spaceBefore) => editor.setProps({ spaceBefore }, `Distance before ${node.name}`)}
        onClear={() => editor.setProps({ spaceBefore: null }, `Distance before ${node.name}`)}
      />
      <span>more than the gap</span>
    </Line>
  )
}

function Columns({ node }: { node: Node }) {
  const editor = useEditor()
  const layout = editor.layout!
  const cover = coverOf(layout, node.id)
  if (!cover) return null
  const { columns } = layout.usedFor(node.id)
  const place = (from: number, to: number) =>
    editor.setProps({ width: sizeOnColumns(layout, node, from, to) }, `Place ${node.name} on columns`)
  const context = { min: 1, max: columns, integer: true }
  return (
    <Line node={node} keys={['width']}>
      <span>Columns</span>
      <NumberChip
        label="First column"
        value={cover.from}
        context={context}
        onChange={(from) => place(from, Math.max(from, Math.min(columns, from + cover.to - cover.from)))}
      />
      <span>to</span>
      <NumberChip
        label="Last column"
        value={cover.to}
        context={context}
        onChange={(to) => place(Math.min(cover.from, to), to)}
      />
      <span>of {columns}</span>
      <CarriedMark node={node} />
    </Line>
  )
}

const SIDES = [
  ['pinLeft', 'left'],
  ['pinRight', 'right'],
  ['pinTop', 'top'],
  ['pinBottom', 'bottom'],
] as const

function Pins({ node }: { node: Node }) {
  const editor = useEditor()
  const resolved = editor.resolved(node)
  const pinTo = (key: string, pin: Pin | number) => editor.setProps({ [key]: pin }, `Pin ${node.name}`)
  const chip = (key: PropKey & `pin${string}`, word: string, pin: Pin | number | undefined) => {
    const value = typeof pin === 'number' ? pin : pin && ('px' in pin ? pin.px : pin.percent)
    const unit = pin !== undefined && typeof pin !== 'number' && 'percent' in pin ? ' %' : ''
    return (
      <span key={key} className="inline-flex items-center gap-1.5">
        <span>{word}</span>
        <NumberChip
          label={`Pin ${word}`}
          value={value}
          unit={unit}
          shown={value === undefined ? 'free' : undefined}
          context={unit ? { min: -1000, max: 1000 } : { min: -100_000, max: 100_000 }}
          other={
            key.startsWith('pinCenter')
              ? undefined
              : unit
                ? { sign: 'px', onChange: (px) => pinTo(key, { px }) }
                : { sign: '%', onChange: (percent) => pinTo(key, { percent }) }
          }
          onChange={(px) => pinTo(key, key.startsWith('pinCenter') ? px : unit ? { percent: px } : { px })}
          onClear={() => editor.setProps({ [key]: null }, `Unpin ${node.name}`)}
        />
      </span>
    )
  }
  return (
    <>
      <Line node={node} keys={['pinLeft', 'pinRight', 'pinTop', 'pinBottom']}>
        <span>Pinned</span>
        {SIDES.map(([key, word]) => chip(key, word, resolved[key]))}
      </Line>
      <Line node={node} keys={['pinCenterX', 'pinCenterY', 'z']}>
        <span>From the centre</span>
        {chip('pinCenterX', 'across', resolved.pinCenterX)}
        {chip('pinCenterY', 'down', resolved.pinCenterY)}
      </Line>
    </>
  )
}
