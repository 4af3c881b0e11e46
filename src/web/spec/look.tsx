/** Look, type, picture and link: the rest of the spec's statements. */
import { useState } from 'react'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import type { PropKey, Props } from '../../core/document/schema'
import { formatPx } from '../../core/lattice/solve'
import { FAMILIES } from '../../core/text/fonts'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import { Choice, Popover } from '../parts/popover'
import { ColorChip } from './color-chip'
import { LengthChip } from './inside'
import { Line } from './line'

function useSet(node: Node) {
  const editor = useEditor()
  return (props: Partial<Record<PropKey, unknown>>, label: string, gesture?: string) =>
    editor.setProps(props, `${label} of ${node.name}`, gesture && `${label}-${gesture}`)
}

export function Look({ node }: { node: Node }) {
  const editor = useEditor()
  const set = useSet(node)
  const resolved = editor.resolved(node)
  const raw = cascaded(editor.doc, node, editor.view.id)
  const edge = resolved.borderTop ?? 0
  return (
    <>
      <Line node={node} keys={['fill']}>
        <span>Fill</span>
        <ColorChip
          label="Fill"
          value={raw.fill}
          onChange={(fill, gesture) => set({ fill }, 'Fill', gesture)}
        />
      </Line>
      <Line
        node={node}
        keys={['borderTop', 'borderRight', 'borderBottom', 'borderLeft', 'borderColor', 'radius']}
      >
        <span>Edge</span>
        <NumberChip
          label="Edge width"
          value={edge === 0 ? undefined : edge}
          shown={edge === 0 ? 'none' : undefined}
          context={{ min: 0, max: 200 }}
          onChange={(value) =>
            set(
              {
                borderTop: value,
                borderRight: value,
                borderBottom: value,
                borderLeft: value,
                ...(raw.borderColor ? {} : { borderColor: '{color.ink}' }),
              },
              'Edge',
            )
          }
          onClear={() => set({ borderTop: 0, borderRight: 0, borderBottom: 0, borderLeft: 0 }, 'Edge')}
        />
        {edge > 0 && (
          <ColorChip
            label="Edge colour"
            value={raw.borderColor}
            onChange={(borderColor, gesture) => set({ borderColor }, 'Edge colour', gesture)}
          />
        )}
        <span>corners</span>
        <LengthChip node={node} prop="radius" label="Corners" />
      </Line>
      <Line node={node} keys={['opacity', 'clip']}>
        <span>Opacity</span>
        <NumberChip
          label="Opacity"
          value={Math.round((resolved.opacity ?? 1) * 100)}
          unit=" %"
          context={{ min: 0, max: 100 }}
          onChange={(value) => set({ opacity: value / 100 }, 'Opacity')}
        />
        <Choice
          label="Overflow"
          options={[
            { value: false, label: 'shows overflow' },
            { value: true, label: 'clipped' },
          ]}
          value={resolved.clip === true}
          onChoose={(clip) => set({ clip }, 'Overflow')}
        />
      </Line>
    </>
  )
}

const WEIGHTS = [300, 400, 500, 600, 700, 800]

export function TypeLines({ node }: { node: Node }) {
  const editor = useEditor()
  const set = useSet(node)
  const resolved = editor.resolved(node)
  const raw = cascaded(editor.doc, node, editor.view.id)
  const height = resolved.lineHeight!
  const styles = editor.doc.tokenTable.names('typography')
  const line = 'px' in height ? height.px : height.ratio * resolved.fontSize
  return (
    <>
      <Line node={node} keys={['type', 'fontFamily']}>
        <span>Style</span>
        <Choice
          label="Type style"
          options={[
            ...styles.map((name) => {
              const token = editor.doc.tokenTable.lookup(name)
              return {
                value: `{${name}}` as string | undefined,
                label: name.replace(/^type\./, ''),
                hint:
                  token?.type === 'typography'
                    ? `${token.value.fontSize} / ${formatPx(token.value.fontSize * token.value.lineHeight)}`
                    : '',
              }
            }),
            { value: undefined, label: 'no style' },
          ]}
          value={raw.type}
          onChoose={(type) => set({ type: type ?? null }, 'Type style')}
        />
        <Choice
          label="Font family"
          width={230}
          options={FAMILIES.map((family) => ({
            value: family.family,
            label: family.family,
            hint: family.category,
          }))}
          value={resolved.fontFamily}
          onChoose={(fontFamily) => set({ fontFamily }, 'Font family')}
        />
      </Line>
      <Line node={node} keys={['fontSize', 'lineHeight', 'fontWeight']}>
        <span>Size</span>
        <NumberChip
          label="Font size"
          value={resolved.fontSize}
          context={{ min: 1, max: 2000 }}
          onChange={(fontSize) => set({ fontSize }, 'Font size')}
        />
        <span>line</span>
        <NumberChip
          label="Line height in px"
          value={line}
          context={{ min: 0, max: 2000 }}
          onChange={(px) =>
            set(
              { lineHeight: { ratio: Math.round((px / resolved.fontSize) * 10_000) / 10_000 } },
              'Line height',
            )
          }
        />
        <span>weight</span>
        <Choice
          label="Font weight"
          options={WEIGHTS.map((weight) => ({ value: weight, label: String(weight) }))}
          value={resolved.fontWeight}
          shown={String(resolved.fontWeight)}
          onChoose={(fontWeight) => set({ fontWeight }, 'Font weight')}
        />
      </Line>
      <Line node={node} keys={['color', 'textAlign', 'textCase', 'letterSpacing']}>
        <span>Ink</span>
        <ColorChip
          label="Ink"
          value={raw.color}
          onChange={(color, gesture) => set({ color }, 'Ink', gesture)}
        />
        <Choice
          label="Text alignment"
          options={[
            { value: 'left', label: 'set left' },
            { value: 'center', label: 'centred' },
            { value: 'right', label: 'set right' },
          ]}
          value={resolved.textAlign as string}
          onChoose={(textAlign) => set({ textAlign: textAlign as Props['textAlign'] }, 'Text alignment')}
        />
        <span>spacing</span>
        <NumberChip
          label="Letter spacing"
          value={resolved.letterSpacing ?? 0}
          step={0.1}
          context={{ min: -100, max: 200 }}
          onChange={(letterSpacing) => set({ letterSpacing }, 'Letter spacing')}
        />
        <Choice
          label="Case"
          options={[
            { value: 'none', label: 'as typed' },
            { value: 'uppercase', label: 'CAPITALS' },
            { value: 'lowercase', label: 'small letters' },
          ]}
          value={resolved.textCase as string}
          onChoose={(textCase) => set({ textCase: textCase as Props['textCase'] }, 'Case')}
        />
      </Line>
    </>
  )
}

export function PictureLines({ node }: { node: Node }) {
  const editor = useEditor()
  const set = useSet(node)
  const resolved = editor.resolved(node)
  const asset = resolved.asset ? editor.doc.assets.get(resolved.asset) : undefined
  const assets = [...editor.doc.assets.values()]
  return (
    <>
      <Line node={node} keys={['asset', 'fit']}>
        <Popover
          label={`Picture: ${asset?.name ?? 'none yet'}`}
          button={<span className="max-w-[150px] truncate">{asset?.name ?? 'none yet'}</span>}
          width={250}
        >
          {(close) =>
            assets.length === 0 ? (
              <p className="p-2 leading-5 soft">
                No pictures in this project yet. Add one from the shelf, under Pictures.
              </p>
            ) : (
              <div className="grid grid-cols-2 gap-1.5" role="listbox" aria-label="Pictures">
                {assets.map((each) => (
                  <button
                    key={each.id}
                    type="button"
                    role="option"
                    aria-selected={each.id === resolved.asset}
                    data-option
                    className="rounded-[3px] p-1 text-left text-[12px] hover:bg-base-200"
                    onClick={() => {
                      editor.commit(
                        [
                          {
                            op: 'set',
                            node: node.id,
                            props: { asset: each.id, alt: node.props.alt || each.name },
                          },
                        ],
                        `Picture of ${node.name}`,
                      )
                      close()
                    }}
                  >
                    <img
                      alt=""
                      src={`data:${each.type};base64,${each.data}`}
                      className="mb-1 h-[68px] w-full rounded-[2px] object-cover"
                    />
                    <span className="block truncate">{each.name}</span>
                  </button>
                ))}
              </div>
            )
          }
        </Popover>
        <Choice
          label="Fit"
          options={[
            { value: 'cover', label: 'fills its box', hint: 'cropped' },
            { value: 'contain', label: 'whole', hint: 'room left' },
            { value: 'fill', label: 'stretched' },
          ]}
          value={resolved.fit as string}
          onChoose={(fit) => set({ fit: fit as Props['fit'] }, 'Fit')}
        />
      </Line>
      <Line node={node} keys={['ratio', 'focusX', 'focusY']}>
        <span>Shape</span>
        <NumberChip
          label="Width divided by height"
          value={resolved.ratio}
          shown={resolved.ratio === undefined ? 'its own' : formatPx(resolved.ratio)}
          context={{ min: 0.001, max: 1000 }}
          onChange={(ratio) => set({ ratio }, 'Shape')}
          onClear={() => set({ ratio: null }, 'Shape')}
        />
        <span>centred at</span>
        <NumberChip
          label="Focus across"
          value={resolved.focusX}
          unit=" %"
          context={{ min: 0, max: 100 }}
          onChange={(focusX) => set({ focusX }, 'Focus')}
        />
        <NumberChip
          label="Focus down"
          value={resolved.focusY}
          unit=" %"
          context={{ min: 0, max: 100 }}
          onChange={(focusY) => set({ focusY }, 'Focus')}
        />
      </Line>
      <WordsLine node={node} prop="alt" label="Said as" placeholder="for who cannot see it" />
    </>
  )
}

export function LinkLine({ node }: { node: Node }) {
  const editor = useEditor()
  if (node.kind === 'box' && node.props.link === undefined) {
    return (
      <div className="flex min-h-[30px] items-center gap-2">
        <span className="soft">Leads nowhere.</span>
        <button
          type="button"
          className="plain-button text-primary"
          onClick={() =>
            editor.commit([{ op: 'set', node: node.id, props: { link: '#', tag: 'a' } }], `Link ${node.name}`)
          }
        >
          Make it a link
        </button>
      </div>
    )
  }
  return (
    <>
      <div className="flex flex-wrap gap-1 pb-1">
        {editor.doc.pagesInOrder().map((page) => (
          <button
            key={page.id}
            type="button"
            aria-pressed={node.props.link === page.path}
            className="chip aria-pressed:bg-secondary aria-pressed:text-secondary-content"
            onClick={() =>
              editor.commit(
                [
                  {
                    op: 'set',
                    node: node.id,
                    props: { link: page.path, ...(node.kind === 'button' ? {} : { tag: 'a' }) },
                  },
                ],
                `Link ${node.name}`,
              )
            }
          >
            {page.name}
          </button>
        ))}
      </div>
      <WordsLine node={node} prop="link" label="Leads to" placeholder="/page or address" />
    </>
  )
}

/** A line of words typed into a field; the same on every view. */
function WordsLine({
  node,
  prop,
  label,
  placeholder,
}: {
  node: Node
  prop: 'alt' | 'link'
  label: string
  placeholder: string
}) {
  const editor = useEditor()
  const [typed, setTyped] = useState<string>()
  const take = () => {
    if (typed !== undefined && typed !== (node.props[prop] ?? '')) {
      const tag = prop === 'link' && node.kind === 'text' ? { tag: typed === '' ? 'p' : 'a' } : {}
      editor.commit(
        [{ op: 'set', node: node.id, props: { [prop]: typed === '' ? null : typed, ...tag } }],
        `${label} of ${node.name}`,
      )
    }
    setTyped(undefined)
  }
  return (
    <label className="flex min-h-[32px] items-center gap-2">
      <span className="flex-none">{label}</span>
      <input
        className="text-field min-w-0 flex-1"
        placeholder={placeholder}
        value={typed ?? node.props[prop] ?? ''}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          event.stopPropagation()
          if (event.key === 'Enter') take()
          if (event.key === 'Escape') setTyped(undefined)
        }}
      />
    </label>
  )
}
