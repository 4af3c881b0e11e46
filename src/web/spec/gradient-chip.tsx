/** A gradient as a chip: its shape, its way, its colours. */
import { useEffect } from 'react'
import type { Gradient } from '../../core/arrange/gradient-pull'
import { ownStops } from '../../core/document/looks'
import { colorIn } from '../../core/document/resolve'
import type { SaidFill } from '../../core/properties/items'
import { stopsAsToken } from '../../core/tokens/look-text'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'
import { ColorChip } from './color-chip'
import { WholeToken } from './whole-token'

type Said = Extract<SaidFill, { kind: 'gradient' }>
type Stops = Gradient['stops']

export function GradientChip({
  label,
  said,
  on,
  onChange,
}: {
  label: string
  /** Its stops may be a token's: changed, they are its own. */
  said: Said
  /** The fill that it is: on the board it is pulled while it is said here. */
  on?: { node: string; fill: string }
  onChange: (gradient: Said, gesture?: string) => void
}) {
  const editor = useEditor()
  const gradient = ownStops(editor.tokens, said) as Gradient
  const { angle, stops } = gradient
  const shape: Shape = gradient.shape ?? 'linear'
  const way = shape === 'radial' ? 'radial' : shape === 'conic' ? `conic ${angle}°` : `${angle}°`
  const shown = stops.map(({ color, at }) => `${colorIn(editor.tokens, color) ?? 'transparent'} ${at}%`)
  return (
    <Popover
      label={`${label}: ${way}, ${stops.length} colours`}
      width={270}
      button={
        <>
          <i
            aria-hidden
            className="h-3.5 w-11 flex-none rounded-xs border border-base-300"
            style={{ background: `linear-gradient(90deg, ${shown.join(', ')}) #fff` }}
          />
          {way}
        </>
      }
    >
      {() => (
        <div className="grid gap-1 p-1">
          {on && <Pulled {...on} />}
          <div className="flex flex-wrap items-center gap-2">
            <Choice
              label="Shape of the gradient"
              width={150}
              options={SHAPES}
              value={shape}
              onChoose={(next) => onChange(shaped(said, next))}
            />
            {shape !== 'radial' && (
              <>
                <span>{shape === 'conic' ? 'from' : 'towards'}</span>
                <NumberChip
                  label="Angle of the gradient"
                  value={angle}
                  unit="°"
                  step={5}
                  context={{ min: -360, max: 360 }}
                  onChange={(next) => onChange({ ...said, angle: next })}
                />
              </>
            )}
            {shape === 'linear' ? (
              <span className="text-small soft">0° up, 90° right</span>
            ) : (
              <>
                <span>at</span>
                {(['x', 'y'] as const).map((axis) => (
                  <NumberChip
                    key={axis}
                    label={axis === 'x' ? 'Centre across' : 'Centre down'}
                    value={gradient[axis] ?? 50}
                    unit=" %"
                    context={{ min: 0, max: 100 }}
                    onChange={(at) => onChange({ ...said, [axis]: at })}
                  />
                ))}
              </>
            )}
          </div>
          {on && (
            <div className="flex items-center gap-1.5">
              <span>Colours</span>
              <WholeToken
                label={`${label}, colours`}
                type="gradient"
                value={typeof said.stops === 'string' ? said.stops : undefined}
                asToken={() => stopsAsToken(stops)}
                edits={(reference) =>
                  editor.propEdits(
                    { fills: { [on.fill]: { ...said, stops: reference ?? stops } } },
                    editor.meantNodes,
                  )
                }
              />
            </div>
          )}
          <StopLines
            stops={stops}
            onChange={(next, gesture) => onChange({ ...said, stops: next }, gesture)}
          />
        </div>
      )}
    </Popover>
  )
}

/** The colours on a gradient's way. */
export function StopLines({
  stops,
  onChange,
}: {
  stops: Stops
  onChange: (stops: Stops, gesture?: string) => void
}) {
  const setStop = (index: number, stop: Partial<Stops[number]>, gesture?: string) =>
    onChange(
      stops.map((each, i) => (i === index ? { ...each, ...stop } : each)),
      gesture,
    )
  return (
    <>
      {stops.map((stop, i) => (
        <div key={i} className="flex items-center gap-1.5">
          <ColorChip
            label={`Colour ${i + 1}`}
            none={false}
            value={stop.color}
            onChange={(color, gesture) => color !== null && setStop(i, { color }, gesture)}
          />
          <span>at</span>
          <NumberChip
            label={`Place of colour ${i + 1}`}
            value={stop.at}
            unit=" %"
            context={{ min: 0, max: 100 }}
            onChange={(at) => setStop(i, { at })}
          />
          {stops.length > 2 && (
            <button
              type="button"
              className="plain-button ml-auto text-small"
              onClick={() => onChange(stops.filter((_, k) => k !== i))}
            >
              Remove
            </button>
          )}
        </div>
      ))}
      {stops.length < 16 && (
        <button
          type="button"
          className="plain-button justify-self-start text-primary"
          onClick={() => onChange(between(stops))}
        >
          Another colour
        </button>
      )}
    </>
  )
}

function Pulled({ node, fill }: { node: string; fill: string }) {
  const editor = useEditor()
  useEffect(() => {
    editor.set({ pulling: { node, fill } })
    return () => editor.set({ pulling: undefined })
  }, [editor, node, fill])
  return <p className="soft">Pull it on the block, or say it here.</p>
}

type Shape = NonNullable<Gradient['shape']> | 'linear'

const SHAPES: Option<Shape>[] = [
  { value: 'linear', label: 'along a line' },
  { value: 'radial', label: 'out of a point', hint: 'radial' },
  { value: 'conic', label: 'round a point', hint: 'conic' },
]

/** The same colours in another shape; along a line there is no centre. */
function shaped({ shape: _, x, y, ...rest }: Said, shape: Shape): Said {
  if (shape === 'linear') return rest
  return { ...rest, shape, ...(x === undefined ? {} : { x }), ...(y === undefined ? {} : { y }) }
}

/** One more stop, half-way between the last two. */
function between(stops: Gradient['stops']): Gradient['stops'] {
  const [before, last] = stops.slice(-2)
  return [...stops.slice(0, -1), { color: last!.color, at: Math.round((before!.at + last!.at) / 2) }, last!]
}
