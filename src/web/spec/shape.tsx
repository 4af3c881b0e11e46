/** What a shape is: its form, its paint, the line along it. */
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { isTipped } from '../../core/forms/form-svg'
import type { Stroke } from '../../core/properties/shape'
import { useEditor } from '../editor/use-editor'
import { COMBINED, combine } from '../palette/shape-commands'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { inkLine } from '../shapes/ink'
import { MadeOf } from '../shapes/made-of'
import { PointsButton } from '../shapes/points-lines'
import { ColorChip } from './color-chip'
import { FormChip } from './form-chip'
import { Line } from './line'
import { TipChoices } from './tips'

const CAPS = [
  { value: 'butt', label: 'cut ends' },
  { value: 'round', label: 'round ends' },
  { value: 'square', label: 'square ends' },
] as const
const JOINS = [
  { value: 'miter', label: 'sharp corners' },
  { value: 'round', label: 'round corners' },
  { value: 'bevel', label: 'cut corners' },
] as const
const DASHES: { value: string; label: string }[] = [
  { value: '', label: 'solid' },
  { value: '12 8', label: 'dashed' },
  { value: '2 6', label: 'dotted' },
  { value: '16 6 2 6', label: 'dash and dot' },
]

export function ShapeLines({ node }: { node: Node }) {
  const editor = useEditor()
  const raw = cascaded(editor.doc, node, editor.view.id)
  const resolved = editor.resolved(node)
  const set = (props: Record<string, unknown>, label: string, gesture?: string) =>
    editor.setProps(props, `${label} of ${node.name}`, gesture && `${label}-${gesture}`)
  const stroke = raw.stroke
  const line = (part: Partial<Stroke>, gesture?: string) =>
    set({ stroke: { ...(stroke ?? inkLine(editor.tokens.names('color'))), ...part } }, 'Line', gesture)
  return (
    <>
      <Line node={node} keys={['form']}>
        <span>Form</span>
        <FormChip label="Form" form={resolved.form} lines onChange={(form) => set({ form }, 'Form')} />
        <PointsButton node={node} />
        {/* Without a line nothing would be seen of them. */}
        {(stroke || isTipped(resolved.form)) && (
          <TipChoices form={resolved.form} onChange={(form, label) => set({ form }, label)} />
        )}
      </Line>
      <MadeOf node={node} />
      <Line node={node} keys={['paint']}>
        <span>Paint</span>
        <ColorChip
          label="Paint"
          value={raw.paint}
          onChange={(paint, gesture) => set({ paint }, 'Paint', gesture)}
        />
      </Line>
      <Line node={node} keys={['stroke']}>
        <span>Line</span>
        <NumberChip
          label="Width of the line"
          value={stroke?.width ?? 0}
          shown={stroke ? undefined : 'none'}
          unit=" px"
          context={{ min: 0, max: 1000 }}
          onChange={(width) => (width === 0 ? set({ stroke: null }, 'Line') : line({ width }))}
        />
        {stroke && (
          <>
            <ColorChip
              label="Colour of the line"
              none={false}
              value={stroke.color}
              onChange={(color, gesture) => color !== null && line({ color }, gesture)}
            />
            <Choice
              label="Dashes"
              options={DASHES}
              value={(stroke.dash ?? []).join(' ')}
              shown={stroke.dash ? undefined : 'solid'}
              onChoose={(text) => {
                const { dash: _, ...rest } = stroke
                set({ stroke: text ? { ...rest, dash: text.split(' ').map(Number) } : rest }, 'Dashes')
              }}
            />
            <Choice
              label="Ends"
              options={[...CAPS]}
              value={stroke.cap ?? 'butt'}
              onChoose={(cap) => line({ cap })}
            />
            <Choice
              label="Corners of the line"
              options={[...JOINS]}
              value={stroke.join ?? 'miter'}
              onChoose={(join) => line({ join })}
            />
          </>
        )}
      </Line>
    </>
  )
}

/** Several shapes made one. */
export function ShapesTogether() {
  const editor = useEditor()
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <span>Together</span>
      {COMBINED.map(([how, word, name]) => (
        <button
          key={how}
          type="button"
          className="chip"
          title={name}
          onClick={() => void combine(editor, how, name)}
        >
          {word}
        </button>
      ))}
    </div>
  )
}
