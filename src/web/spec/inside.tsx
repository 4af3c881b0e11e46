/** How a box arranges what is in it, and its padding. */

import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { shortName, tokenIn } from '../../core/document/tokens'
import { formatPx } from '../../core/lattice/solve'
import { isText } from '../../core/properties/kinds'
import type { PropKey, Props } from '../../core/properties/table'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'
import { Line } from './line'
import { MenuItems } from './menu-items'

const FLOWS = [
  { value: 'row', label: '→ row' },
  { value: 'column', label: '↓ column' },
  { value: 'lattice', label: '# lattice' },
  { value: 'free', label: 'free', hint: 'everything lifted' },
] as const

type Corner = 'radiusTopLeft' | 'radiusTopRight' | 'radiusBottomRight' | 'radiusBottomLeft'

/** A length that may be a token, whose name is shown: typed, a name makes it that token, a number one of its own. */
export function LengthChip({
  node,
  prop,
  label,
  max = 100_000,
}: {
  node: Node
  prop: 'rowGap' | 'columnGap' | 'paddingTop' | 'paddingRight' | 'paddingBottom' | 'paddingLeft' | Corner
  label: string
  max?: number
}) {
  const editor = useEditor()
  const value = editor.resolved(node)[prop] ?? editor.layout?.boxes.get(node.id)?.colGap
  const tokens = editor.tokens
  const bound = tokenIn(cascaded(editor.doc, node, editor.view.id)[prop])
  const take = (next: number | string) => editor.setProps({ [prop]: next }, `${label} of ${node.name}`)
  // A space of the project is typed by its name.
  const names = new Map(
    tokens
      .names('dimension')
      .map((name) => [shortName(name).toLowerCase(), () => take(`{${name}}`)] as const),
  )
  return (
    <NumberChip
      label={label}
      value={value}
      shown={bound && value !== undefined ? `${shortName(bound)} · ${formatPx(value)}` : undefined}
      names={names}
      context={{ min: 0, max, whole: editor.layout?.boxes.get(node.id)?.width }}
      step={prop.startsWith('radius') ? 1 : 4}
      onChange={take}
    />
  )
}

export function Inside({ node }: { node: Node }) {
  const editor = useEditor()
  const resolved = editor.resolved(node)
  const set = (props: Partial<Record<PropKey, unknown>>, label: string) =>
    editor.setProps(props, `${label} of ${node.name}`)
  if (isText(node.kind)) return <Padding node={node} />
  const { flow } = resolved
  const row = flow === 'row'
  const across = row
    ? ([
        ['start', 'top'],
        ['center', 'middle'],
        ['end', 'bottom'],
        ['baseline', 'baseline'],
      ] as const)
    : ([
        ['start', 'left'],
        ['center', 'centre'],
        ['end', 'right'],
      ] as const)
  const along = row
    ? ([
        ['start', 'left'],
        ['center', 'middle'],
        ['end', 'right'],
      ] as const)
    : ([
        ['start', 'top'],
        ['center', 'middle'],
        ['end', 'bottom'],
      ] as const)
  const spreads = [
    ['space-between', 'spread apart'],
    ['space-around', 'spread around'],
    ['space-evenly', 'spread evenly'],
  ] as const
  const options = (list: readonly (readonly [string, string])[]) =>
    list.map(([value, label]) => ({ value, label }))
  return (
    <>
      <MenuItems node={node} />
      <Line node={node} keys={['flow', 'rowGap', 'columnGap', 'wrap']}>
        <span>A</span>
        <Choice
          label="Flow"
          options={FLOWS.map((each) => ({ ...each }))}
          value={flow}
          onChoose={(value) => set({ flow: value }, 'Flow')}
        />
        {flow !== 'free' && (
          <>
            <span>with gap</span>
            <LengthChip node={node} prop="rowGap" label={flow === 'lattice' ? 'Gap between rows' : 'Gap'} />
          </>
        )}
        {flow === 'lattice' && node.kind !== 'section' && (
          <>
            <span>across</span>
            <LengthChip node={node} prop="columnGap" label="Gap between columns" />
          </>
        )}
        {row && (
          <Choice
            label="Wrapping"
            options={[
              { value: false, label: 'on one line' },
              { value: true, label: 'wrapping' },
            ]}
            value={resolved.wrap === true}
            onChoose={(wrap) => set({ wrap }, 'Wrapping')}
          />
        )}
      </Line>
      {flow !== 'free' && (
        <Line node={node} keys={['align', 'justify']}>
          <span>Lined up</span>
          <Choice
            label="Lined up"
            options={options(
              flow === 'lattice'
                ? [
                    ['start', 'top'],
                    ['center', 'middle'],
                    ['end', 'bottom'],
                    ['baseline', 'baseline'],
                  ]
                : across,
            )}
            value={resolved.align as string}
            onChoose={(align) => set({ align: align as Props['align'] }, 'Alignment')}
          />
          {flow !== 'lattice' && (
            <>
              <span>packed to the</span>
              <Choice
                label="Packed"
                options={options([...along, ...spreads])}
                value={resolved.justify as string}
                onChoose={(justify) => set({ justify: justify as Props['justify'] }, 'Packing')}
              />
            </>
          )}
        </Line>
      )}
      <Padding node={node} />
    </>
  )
}

function Padding({ node }: { node: Node }) {
  const editor = useEditor()
  const contained = node.kind === 'section' && !editor.resolved(node).fullBleed
  return (
    <Line node={node} keys={['paddingTop', 'paddingRight', 'paddingBottom', 'paddingLeft', 'fullBleed']}>
      <span>Padding</span>
      <LengthChip node={node} prop="paddingTop" label="Padding top" />
      {!contained && <LengthChip node={node} prop="paddingRight" label="Padding right" />}
      <LengthChip node={node} prop="paddingBottom" label="Padding bottom" />
      {!contained && <LengthChip node={node} prop="paddingLeft" label="Padding left" />}
      <PaddingAll node={node} contained={contained} />
      {node.kind === 'section' && (
        <Choice
          label="Width of the content"
          options={[
            { value: false, label: 'in the container' },
            { value: true, label: 'edge to edge' },
          ]}
          value={!contained}
          onChoose={(fullBleed) => editor.setProps({ fullBleed }, `Width of ${node.name}`)}
        />
      )}
    </Line>
  )
}

function PaddingAll({ node, contained }: { node: Node; contained: boolean }) {
  const editor = useEditor()
  return (
    <Popover label="All padding at once" className="icon-button" title="All at once" button="⊞" width={180}>
      {(close) => (
        <div className="flex items-center gap-2 p-1">
          <span>All sides</span>
          <NumberChip
            label="Padding on all sides"
            value={editor.resolved(node).paddingTop}
            context={{ min: 0, max: 100_000 }}
            onChange={(value) => {
              const sides = contained
                ? { paddingTop: value, paddingBottom: value }
                : { paddingTop: value, paddingRight: value, paddingBottom: value, paddingLeft: value }
              editor.setProps(sides, `Padding of ${node.name}`)
              close()
            }}
          />
        </div>
      )}
    </Popover>
  )
}
