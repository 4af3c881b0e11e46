/** Shadows of a block, the first on top. */
import { Plus } from 'lucide-react'
import type { Node } from '../../core/document/document'
import { followedShadows } from '../../core/document/looks'
import type { Items, SaidShadow, Shadow } from '../../core/properties/items'
import { shadowsAsToken } from '../../core/tokens/look-text'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { ColorChip } from './color-chip'
import { ItemSwitches, useItems } from './items'
import { Line } from './line'
import { WholeToken } from './whole-token'

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
  const editor = useEditor()
  const { list, change, add, remove } = useItems<SaidShadow>(node, 'shadows', 'Shadow')
  const set = (shadows: Items<SaidShadow>) => editor.propEdits({ shadows }, editor.meantNodes)
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
          <WholeToken
            label={i === 0 ? 'Shadow token' : `Shadow token, ${i + 1}`}
            type="shadow"
            value={'token' in shadow ? shadow.token : undefined}
            asToken={() => ('token' in shadow ? [] : shadowsAsToken([shadow]))}
            edits={(token) => {
              const { order, hidden } = shadow
              if (token !== undefined) return set({ [id]: { order, ...(hidden ? { hidden } : {}), token } })
              const own = Object.values(followedShadows(editor.tokens, { [id]: shadow }))
              return set(Object.fromEntries(own.map((each, n) => [n === 0 ? id : `${id}-${n}`, each])))
            }}
          />
          {!('token' in shadow) && (
            <ShadowChips shadow={shadow} number={i} onChange={(next, gesture) => change(id, next, gesture)} />
          )}
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

/** Where a shadow falls, how far, in which colour. */
export function ShadowChips<S extends Omit<Shadow, 'order'>>({
  shadow,
  number,
  onChange,
}: {
  shadow: S
  number: number
  onChange: (shadow: S, gesture?: string) => void
}) {
  const called = (words: string) => (number === 0 ? words : `${words}, ${number + 1}`)
  return (
    <>
      <Choice
        label={called('Where the shadow falls')}
        options={[...FALLS]}
        value={shadow.inset ? 'inner' : 'outer'}
        onChoose={(falls) => {
          const { inset: _, ...rest } = shadow
          onChange((falls === 'inner' ? { ...rest, inset: true } : rest) as S)
        }}
      />
      {LENGTHS.map(([key, words, label, min]) => (
        <span key={key} className="flex items-center gap-1">
          <span className="text-small soft">{words}</span>
          <NumberChip
            label={called(label)}
            value={shadow[key]}
            context={{ min, max: 1000 }}
            onChange={(value) => onChange({ ...shadow, [key]: value })}
          />
        </span>
      ))}
      <ColorChip
        label={called('Shadow colour')}
        none={false}
        value={shadow.color}
        onChange={(color, gesture) => color !== null && onChange({ ...shadow, color }, gesture)}
      />
    </>
  )
}
