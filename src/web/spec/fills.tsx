/** What a block is filled with: colours, gradients, pictures, patterns, noise; the first on top. */
import { Blend, Plus, SquareDashed } from 'lucide-react'
import { Fragment } from 'react'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import type { Edit } from '../../core/edits/edit'
import { allBorders, BLENDS, type SaidFill } from '../../core/properties/items'
import { hasProperty } from '../../core/properties/table'
import { useEditor } from '../editor/use-editor'
import { AddMenu } from '../parts/add-menu'
import { Choice } from '../parts/choice'
import { drawBehind } from '../shelf/draw-picture'
import { ColorChip } from './color-chip'
import { NoiseChip, PatternChip, PictureFillChip } from './fill-chips'
import { GradientChip } from './gradient-chip'
import { ItemSwitches, useItems, type WithoutOrder } from './items'
import { Line } from './line'

type Add = ReturnType<typeof useItems<SaidFill>>['add']

const INK = '#1c2b2426'

const NEW: { words: string; fill: WithoutOrder<SaidFill> }[] = [
  { words: 'A colour', fill: { kind: 'color', color: '#1d5c4533' } },
  {
    words: 'A gradient',
    fill: {
      kind: 'gradient',
      angle: 180,
      stops: [
        { color: '#1c2b2400', at: 0 },
        { color: '#1c2b24cc', at: 100 },
      ],
    },
  },
  {
    words: 'Two colours, split',
    fill: {
      kind: 'gradient',
      angle: 90,
      stops: [
        { color: '#1d5c45', at: 50 },
        { color: '#f3efe4', at: 50 },
      ],
    },
  },
  { words: 'Dots', fill: { kind: 'pattern', shape: 'dots', color: INK, size: 16, weight: 3 } },
  { words: 'Lines', fill: { kind: 'pattern', shape: 'lines', color: INK, size: 12, weight: 2, angle: 45 } },
  { words: 'A grid', fill: { kind: 'pattern', shape: 'grid', color: INK, size: 24, weight: 1 } },
  { words: 'Checks', fill: { kind: 'pattern', shape: 'checks', color: INK, size: 24, weight: 1 } },
  { words: 'Waves', fill: { kind: 'pattern', shape: 'waves', color: INK, size: 20, weight: 2 } },
  { words: 'Noise', fill: { kind: 'noise', amount: 14, grain: 1 } },
]

export function FillLines({ node }: { node: Node }) {
  const editor = useEditor()
  const { list, change, add, remove } = useItems<SaidFill>(node, 'fills', 'Fill')
  const inWords = editor.resolved(node).fillsIn === 'words'
  const row = (fill: SaidFill) => `flex w-full items-center gap-1.5 ${fill.hidden ? 'soft line-through' : ''}`
  const none = (
    <>
      <span>Fill</span>
      <ColorChip
        label="Fill"
        value={undefined}
        onChange={(color) => color !== null && add({ kind: 'color', color })}
      />
    </>
  )
  const chip = (id: string, fill: SaidFill, i: number) => (
    <Fragment key={id}>
      <span className="w-8.5 flex-none">{i === 0 ? 'Fill' : 'over'}</span>
      <FillChip
        fill={fill}
        on={{ node: node.id, fill: id }}
        number={i}
        onChange={(next, gesture) => (next === null ? remove(id) : change(id, next, gesture))}
      />
    </Fragment>
  )
  const switches = (id: string, fill: SaidFill, i: number) => (
    <Fragment key={`${id} switches`}>
      {fill.kind !== 'color' && <FillPlace node={node} id={id} fill={fill} number={i} />}
      {i < list.length - 1 && (
        <Choice
          label={`How fill ${i + 1} mixes with those below`}
          className={`icon-button size-6 ${(fill.blend ?? 'normal') === 'normal' ? '' : 'text-primary'}`}
          shown={<Blend size={14} strokeWidth={1.75} aria-hidden />}
          width={160}
          options={BLENDS.map((value) => ({ value, label: value.replace('-', ' ') }))}
          value={fill.blend ?? 'normal'}
          onChoose={(blend) => {
            const { blend: _, ...rest } = fill
            change(id, (blend === 'normal' ? rest : { ...fill, blend }) as SaidFill)
          }}
        />
      )}
      <ItemSwitches
        words={list.length === 1 ? 'the fill' : `fill ${i + 1}`}
        hidden={fill.hidden === true}
        onHide={() => change(id, { ...fill, hidden: !fill.hidden })}
        onRemove={() => remove(id)}
      />
    </Fragment>
  )
  return (
    <Line node={node} keys={['fills', 'fillsIn']}>
      {/* In one place with fills or without: what it has open stays open when a picture arrives. */}
      <div className={list[0] ? row(list[0][1]) : 'contents'}>
        {list[0] ? chip(...list[0], 0) : none}
        <AnotherFill node={node} onAdd={add} />
        {list[0] && switches(...list[0], 0)}
      </div>
      {list.slice(1).map(([id, fill], i) => (
        <div key={id} className={row(fill)}>
          {chip(id, fill, i + 1)}
          {switches(id, fill, i + 1)}
        </div>
      ))}
      {list.length > 0 && hasProperty(node.kind, 'fillsIn') && (
        <Choice
          label="Where fills are seen"
          options={[
            { value: 'box', label: 'behind the words' },
            { value: 'words', label: 'in the words alone' },
          ]}
          value={inWords ? 'words' : 'box'}
          onChoose={(fillsIn) =>
            editor.setProps({ fillsIn: fillsIn === 'box' ? null : fillsIn }, `Fills of ${node.name}`)
          }
        />
      )}
    </Line>
  )
}

/** Behind all of the block, or in its border alone: one that has none gets one with it. */
function FillPlace({ node, id, fill, number }: { node: Node; id: string; fill: SaidFill; number: number }) {
  const editor = useEditor()
  const own = cascaded(editor.doc, node, editor.view.id)
  const choose = (where: 'box' | 'border') => {
    const { in: _, ...rest } = fill
    const border = allBorders(2, '{color.ink}')
    const hasBorder = (Object.keys(border) as (keyof typeof border)[]).some(
      (side) => typeof own[side] === 'string' || own[side]?.width,
    )
    editor.setProps(
      {
        fills: { [id]: where === 'border' ? { ...fill, in: 'border' } : rest },
        ...(where === 'border' && !hasBorder ? border : {}),
      },
      `Fill of ${node.name}`,
    )
  }
  return (
    <Choice
      label={`Where fill ${number + 1} is seen`}
      className={`icon-button size-6 ${fill.in === 'border' ? 'text-primary' : ''}`}
      shown={<SquareDashed size={14} strokeWidth={1.75} aria-hidden />}
      width={160}
      options={[
        { value: 'box' as const, label: 'in the box' },
        { value: 'border' as const, label: 'in its border alone' },
      ]}
      value={fill.in ?? 'box'}
      onChoose={choose}
    />
  )
}

function FillChip({
  fill,
  on,
  number,
  onChange,
}: {
  fill: SaidFill
  on: { node: string; fill: string }
  number: number
  onChange: (fill: SaidFill | null, gesture?: string) => void
}) {
  const label = (word: string) => (number === 0 ? word : `${word} ${number + 1}`)
  switch (fill.kind) {
    case 'color':
      return (
        <ColorChip
          label={label('Fill')}
          value={fill.color}
          onChange={(color, gesture) => onChange(color === null ? null : { ...fill, color }, gesture)}
        />
      )
    case 'gradient':
      return <GradientChip label={label('Gradient')} said={fill} on={on} onChange={onChange} />
    case 'picture':
      return <PictureFillChip label={label('Picture behind')} fill={fill} onChange={onChange} />
    case 'pattern':
      return <PatternChip label={label('Pattern')} fill={fill} onChange={onChange} />
    case 'noise':
      return <NoiseChip label={label('Noise')} fill={fill} onChange={onChange} />
  }
}

/** One more fill on top; a picture is the project's first, or where there is none yet one that is drawn. */
function AnotherFill({ node, onAdd }: { node: Node; onAdd: Add }) {
  const editor = useEditor()
  const addPicture = async () => {
    const nodes = editor.meantNodes
    const [first] = editor.doc.assets.values()
    const asset = first ?? (await drawBehind(editor, node))
    const left = nodes.filter(({ id }) => editor.doc.nodes.has(id))
    if (!asset || left.length === 0) return
    const known: Edit[] = first ? [] : [{ op: 'asset', id: asset.id, asset }]
    onAdd({ kind: 'picture', asset: asset.id, fit: 'cover' }, left, known)
  }
  const options = NEW.map(({ words, fill }) => ({ words, value: () => void onAdd(structuredClone(fill)) }))
  return (
    <AddMenu
      label="Another fill on top"
      className="icon-button size-6"
      width={170}
      button={<Plus size={14} strokeWidth={1.75} aria-hidden />}
      options={options.toSpliced(3, 0, { words: 'A picture', value: () => void addPicture() })}
      onTake={(take) => take()}
    />
  )
}
