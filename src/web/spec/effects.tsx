/** What is done to everything that is drawn of a block: cut, filtered, mixed with what lies below. */
import { Plus } from 'lucide-react'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { type Cast, type Cut, type Filters, filtersIn, noFilter } from '../../core/properties/effects'
import { BLENDS } from '../../core/properties/items'
import { hasProperty } from '../../core/properties/table'
import { useEditor } from '../editor/use-editor'
import { isMask } from '../palette/shape-commands'
import { AddMenu } from '../parts/add-menu'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { masking } from '../shapes/fetch-points'
import { PointsButton } from '../shapes/points-lines'
import { ColorChip } from './color-chip'
import { FormChip } from './form-chip'
import { Line } from './line'

const WORDS: {
  [K in keyof Filters]-?: [words: string, unit: string, min: number, max: number, first: number]
} = {
  brightness: ['light', ' %', 0, 500, 110],
  contrast: ['contrast', ' %', 0, 500, 115],
  saturation: ['colour', ' %', 0, 500, 70],
  gray: ['grey', ' %', 0, 100, 100],
  sepia: ['sepia', ' %', 0, 100, 60],
  invert: ['inverted', ' %', 0, 100, 100],
  hue: ['hue', '°', -360, 360, 30],
  blur: ['blur', ' px', 0, 500, 6],
}

export function EffectLines({ node }: { node: Node }) {
  const editor = useEditor()
  const resolved = editor.resolved(node)
  const set = (props: Record<string, unknown>, label: string) =>
    editor.setProps(props, `${label} of ${node.name}`)
  return (
    <>
      {hasProperty(node.kind, 'cut') && <CutLine node={node} />}
      <FilterLine node={node} />
      <CastLine node={node} />
      <Line node={node} keys={['blend', 'backdropBlur']}>
        <span>Mixes</span>
        <Choice
          label="How it mixes with what lies below"
          width={160}
          options={BLENDS.map((value) => ({
            value,
            label: value === 'normal' ? 'not at all' : value.replace('-', ' '),
          }))}
          value={resolved.blend as (typeof BLENDS)[number]}
          onChoose={(blend) => set({ blend: blend === 'normal' ? null : blend }, 'Mixing')}
        />
        {hasProperty(node.kind, 'backdropBlur') && (
          <>
            <span>blurs what is behind</span>
            <NumberChip
              label="Blur of what is behind"
              value={resolved.backdropBlur as number}
              unit=" px"
              context={{ min: 0, max: 200 }}
              onChange={(value) => set({ backdropBlur: value === 0 ? null : value }, 'Blur behind')}
            />
          </>
        )}
      </Line>
    </>
  )
}

function CutLine({ node }: { node: Node }) {
  const editor = useEditor()
  const { cut } = editor.resolved(node)
  const set = (next: Cut | null) => editor.setProps({ cut: next }, `Cut of ${node.name}`)
  const fade = cut?.form === 'fade' ? cut : undefined
  const number = (key: 'angle' | 'from' | 'to', words: string, unit: string, min: number, max: number) =>
    fade && (
      <>
        <span className="soft">{words}</span>
        <NumberChip
          label={`Fading ${words}`}
          value={fade[key]}
          unit={unit}
          context={{ min, max }}
          onChange={(value) => set({ ...fade, [key]: value })}
        />
      </>
    )
  return (
    <Line node={node} keys={['cut']}>
      <span>Cut</span>
      {fade ? (
        <>
          {number('angle', 'fades towards', '°', -360, 360)}
          {number('from', 'from', ' %', 0, 100)}
          {number('to', 'to', ' %', 0, 100)}
          <button type="button" className="plain-button text-small" onClick={() => set(null)}>
            not cut
          </button>
        </>
      ) : (
        <>
          <FormChip
            label="Cut to"
            form={cut as Exclude<Cut, { form: 'fade' }> | undefined}
            none="not cut"
            onChange={(form) => set(form as Cut | null)}
          />
          {cut && <PointsButton node={node} />}
          {isMask(editor) && (
            <button
              type="button"
              className="chip"
              onClick={() => void masking().then(({ unmaskSelected }) => unmaskSelected(editor))}
            >
              let out
            </button>
          )}
          {!cut && (
            <button
              type="button"
              className="chip"
              onClick={() => set({ form: 'fade', angle: 180, from: 40, to: 100 })}
            >
              fade out
            </button>
          )}
        </>
      )}
    </Line>
  )
}

function FilterLine({ node }: { node: Node }) {
  const editor = useEditor()
  const filters = editor.resolved(node).filters
  const list = filtersIn(filters)
  const set = (key: keyof Filters, value: number) => {
    const { [key]: _, ...rest } = filters ?? {}
    const next = value === noFilter(key) ? rest : { ...rest, [key]: value }
    editor.setProps({ filters: Object.keys(next).length > 0 ? next : null }, `Filters of ${node.name}`)
  }
  const left = (Object.keys(WORDS) as (keyof Filters)[]).filter((key) => !list.some(([each]) => each === key))
  return (
    <Line node={node} keys={['filters']}>
      <span>Filters</span>
      {list.map(([key, value]) => {
        const [words, unit, min, max] = WORDS[key]
        return (
          <span key={key} className="flex items-center gap-1">
            <span className="text-small soft">{words}</span>
            <NumberChip
              label={`Filter: ${words}`}
              value={value}
              unit={unit}
              context={{ min, max }}
              onChange={(next) => set(key, next)}
              onClear={() => set(key, noFilter(key))}
            />
          </span>
        )
      })}
      {left.length > 0 && (
        <AddMenu
          label="Add a filter"
          className="chip"
          width={140}
          button={list.length === 0 ? 'none' : <Plus size={14} strokeWidth={1.75} aria-hidden />}
          options={left.map((key) => ({ words: WORDS[key][0], value: key }))}
          onTake={(key) => set(key, WORDS[key][4])}
        />
      )}
    </Line>
  )
}

const CAST: Cast = { x: 0, y: 6, blur: 8, color: '#1c2b2466' }

/** The shadow of what is drawn: of letters and shapes, where that of the box is said with it. */
function CastLine({ node }: { node: Node }) {
  const editor = useEditor()
  const { cast } = cascaded(editor.doc, node, editor.view.id)
  const set = (next: Cast | null, gesture?: string) =>
    editor.setProps({ cast: next }, `Shadow of ${node.name}`, gesture && `cast-${gesture}`)
  return (
    <Line node={node} keys={['cast']}>
      <span>{hasProperty(node.kind, 'shadows') ? 'Shadow of what is in it' : 'Shadow'}</span>
      {!cast && (
        <button type="button" className="chip" aria-label="Cast a shadow" onClick={() => set(CAST)}>
          none
        </button>
      )}
      {cast && (
        <>
          {(
            [
              ['x', 'right', -1000],
              ['y', 'down', -1000],
              ['blur', 'blur', 0],
            ] as const
          ).map(([key, words, min]) => (
            <span key={key} className="flex items-center gap-1">
              <span className="text-small soft">{words}</span>
              <NumberChip
                label={`Cast shadow ${words}`}
                value={cast[key]}
                context={{ min, max: 1000 }}
                onChange={(value) => set({ ...cast, [key]: value })}
              />
            </span>
          ))}
          <ColorChip
            label="Cast shadow colour"
            value={cast.color}
            onChange={(color, gesture) => set(color === null ? null : { ...cast, color }, gesture)}
          />
        </>
      )}
    </Line>
  )
}
