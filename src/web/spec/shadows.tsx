/** Shadows of a block, the first on top. */
import { Plus } from 'lucide-react'
import type { Node } from '../../core/document/document'
import type { Shadow } from '../../core/properties/items'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { ColorChip } from './color-chip'
import { ItemSwitches, useItems } from './items'
import { Line } from './line'

const NEW: Omit<Shadow, 'order'> = { x: 0, y: 4, blur: 16, spread: 0, color: '#1c2b2433' }

const FALLS = [
  { value: 'outer', label: 'behind it' },
  { value: 'inner', label: 'into it' },
] as const

const LENGTHS = [
  ['x', 'right', 'Shadow to the right', -1000],
  ['y', 'down', 'Shadow down', -1000],
  ['blur', 'blur', 'Shadow blur', 0],
  ['spread', 'spread', 'Shadow spread', -1000],
] as const

export function ShadowLines({ node }: { node: Node }) {
  const { list, change, add, remove } = useItems<Shadow>(node, 'shadows', 'Shadow')
  return (
    <Line node={node} keys={['shadows']}>
      <span>Shadow</span>
      <button type="button" className="chip" aria-label="Add a shadow" onClick={() => add(NEW)}>
        {list.length === 0 ? 'none' : <Plus size={14} strokeWidth={1.75} aria-hidden />}
      </button>
      {list.map(([id, shadow], i) => (
        <div
          key={id}
          className={`flex w-full flex-wrap items-center gap-x-1.5 gap-y-1 pl-2 ${shadow.hidden ? 'soft line-through' : ''}`}
        >
          <Choice
            label={i === 0 ? 'Where the shadow falls' : `Where the shadow falls, ${i + 1}`}
            options={[...FALLS]}
            value={shadow.inset ? 'inner' : 'outer'}
            onChoose={(falls) => {
              const { inset: _, ...rest } = shadow
              change(id, falls === 'inner' ? { ...rest, inset: true } : rest)
            }}
          />
          {LENGTHS.map(([key, words, label, min]) => (
            <span key={key} className="flex items-center gap-1">
              <span className="text-small soft">{words}</span>
              <NumberChip
                label={i === 0 ? label : `${label}, ${i + 1}`}
                value={shadow[key]}
                context={{ min, max: 1000 }}
                onChange={(value) => change(id, { ...shadow, [key]: value })}
              />
            </span>
          ))}
          <ColorChip
            label={i === 0 ? 'Shadow colour' : `Shadow colour, ${i + 1}`}
            none={false}
            value={shadow.color}
            onChange={(color, gesture) => color !== null && change(id, { ...shadow, color }, gesture)}
          />
          <ItemSwitches
            words={list.length === 1 ? 'the shadow' : `shadow ${i + 1}`}
            hidden={shadow.hidden === true}
            onHide={() => change(id, { ...shadow, hidden: !shadow.hidden })}
            onRemove={() => remove(id)}
          />
        </div>
      ))}
    </Line>
  )
}
