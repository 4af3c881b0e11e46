/** Fills that are no colour and no gradient: a picture, a pattern, noise; each as a chip that opens in place. */
import type { Fill } from '../../core/properties/items'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'
import { pictureUrl } from '../session/pictures'
import { ColorChip } from './color-chip'
import { PictureList } from './picture-list'

type Of<K extends Fill['kind']> = Extract<Fill, { kind: K }>
type Chip<K extends Fill['kind']> = {
  label: string
  fill: Of<K>
  onChange: (fill: Of<K>, gesture?: string) => void
}

const FITS: Option<Of<'picture'>['fit']>[] = [
  { value: 'cover', label: 'fills the block', hint: 'cropped' },
  { value: 'contain', label: 'whole', hint: 'room left' },
  { value: 'tile', label: 'over and over' },
]

export function PictureFillChip({ label, fill, onChange }: Chip<'picture'>) {
  const { doc } = useEditor()
  const asset = doc.assets.get(fill.asset)
  const name = asset?.name ?? 'none yet'
  return (
    <Popover
      label={`${label}: ${name}`}
      width={260}
      button={
        <>
          {asset && (
            <img alt="" src={pictureUrl(asset)} className="h-3.5 w-6 flex-none rounded-xs object-cover" />
          )}
          <span className="max-w-22 truncate">{name}</span>
        </>
      }
    >
      {() => (
        <div className="grid gap-2 p-1">
          <div className="flex flex-wrap items-center gap-1.5">
            <Choice
              label="How it lies"
              width={170}
              options={FITS}
              value={fill.fit}
              onChoose={(fit) => onChange({ ...fill, fit })}
            />
            {fill.fit === 'tile' ? (
              <NumberChip
                label="Width of a tile"
                value={fill.size ?? asset?.width}
                unit=" px"
                context={{ min: 1, max: 4000 }}
                onChange={(size) => onChange({ ...fill, size })}
              />
            ) : (
              (['x', 'y'] as const).map((axis) => (
                <NumberChip
                  key={axis}
                  label={axis === 'x' ? 'Kept in sight, across' : 'Kept in sight, down'}
                  value={fill[axis] ?? 50}
                  unit=" %"
                  context={{ min: 0, max: 100 }}
                  onChange={(at) => onChange({ ...fill, [axis]: at })}
                />
              ))
            )}
          </div>
          <PictureList chosen={fill.asset} onChoose={({ id }) => onChange({ ...fill, asset: id })} />
        </div>
      )}
    </Popover>
  )
}

const SHAPES: Option<Of<'pattern'>['shape']>[] = [
  { value: 'dots', label: 'dots' },
  { value: 'lines', label: 'lines' },
  { value: 'grid', label: 'a grid' },
  { value: 'checks', label: 'checks' },
  { value: 'waves', label: 'waves' },
]

export function PatternChip({ label, fill, onChange }: Chip<'pattern'>) {
  const number = (
    key: 'size' | 'weight' | 'angle',
    words: string,
    unit: string,
    min: number,
    max: number,
  ) => (
    <span className="flex items-center gap-1">
      <span className="soft">{words}</span>
      <NumberChip
        label={`${label}: ${words}`}
        value={fill[key] ?? 0}
        unit={unit}
        context={{ min, max }}
        onChange={(value) => onChange({ ...fill, [key]: value })}
      />
    </span>
  )
  return (
    <Popover label={`${label}: ${fill.shape}`} width={250} button={`${fill.shape} ${fill.size}`}>
      {() => (
        <div className="flex flex-wrap items-center gap-1.5 p-1">
          <Choice
            label="Pattern"
            width={130}
            options={SHAPES}
            value={fill.shape}
            onChoose={(shape) => onChange({ ...fill, shape })}
          />
          <ColorChip
            label="Colour of the pattern"
            none={false}
            value={fill.color}
            onChange={(color, gesture) => color !== null && onChange({ ...fill, color }, gesture)}
          />
          {number('size', 'every', ' px', 2, 1000)}
          {fill.shape !== 'checks' &&
            number('weight', fill.shape === 'dots' ? 'across' : 'thick', ' px', 0.5, 1000)}
          {fill.shape === 'lines' && number('angle', 'towards', '°', -360, 360)}
        </div>
      )}
    </Popover>
  )
}

export function NoiseChip({ label, fill, onChange }: Chip<'noise'>) {
  return (
    <Popover label={`${label}: ${fill.amount} %`} width={220} button={`noise ${fill.amount} %`}>
      {() => (
        <div className="flex flex-wrap items-center gap-1.5 p-1">
          <NumberChip
            label="How much of it is seen"
            value={fill.amount}
            unit=" %"
            context={{ min: 1, max: 100 }}
            onChange={(amount) => onChange({ ...fill, amount })}
          />
          <span>grains of</span>
          <NumberChip
            label="Size of a grain"
            value={fill.grain}
            unit=" px"
            step={0.5}
            context={{ min: 0.5, max: 20 }}
            onChange={(grain) => onChange({ ...fill, grain })}
          />
        </div>
      )}
    </Popover>
  )
}
