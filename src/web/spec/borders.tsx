/** Borders and corners: all four alike, or each by itself. */
import { useEffect, useRef, useState } from 'react'
import { CORNERS } from '../../core/arrange/corners'
import type { Node } from '../../core/document/document'
import { borderIn } from '../../core/document/looks'
import { cascaded } from '../../core/document/resolve'
import type { Border, Outline } from '../../core/properties/look'
import type { PropKey } from '../../core/properties/table'
import { borderAsToken } from '../../core/tokens/look-text'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { ColorChip } from './color-chip'
import { LengthChip } from './inside'
import { Line } from './line'
import { WholeToken } from './whole-token'

const SIDES = [
  ['borderTop', 'top'],
  ['borderRight', 'right'],
  ['borderBottom', 'bottom'],
  ['borderLeft', 'left'],
] as const
type SideKey = (typeof SIDES)[number][0]

const NONE: Border = { width: 0 }

function Apart({
  label,
  apart,
  onChoose,
}: {
  label: string
  apart: boolean
  onChoose: (apart: boolean) => void
}) {
  return (
    <Choice
      label={label}
      options={[
        { value: false, label: 'all alike' },
        { value: true, label: 'each by itself' },
      ]}
      value={apart}
      onChoose={onChoose}
    />
  )
}

export function BorderLines({ node }: { node: Node }) {
  const editor = useEditor()
  const raw = cascaded(editor.doc, node, editor.view.id)
  const sides = SIDES.map(([key]) => raw[key] ?? NONE)
  const own = (said: Border | string | undefined) => borderIn(editor.tokens, said) ?? NONE
  const differ = sides.some((side) => JSON.stringify(side) !== JSON.stringify(sides[0]))
  const [opened, setOpened] = useState(false)
  const apart = differ || opened
  const set = (keys: readonly SideKey[], change: Partial<Border>, gesture?: string) => {
    const props: Partial<Record<PropKey, unknown>> = {}
    for (const key of keys) {
      const before = own(raw[key])
      // A new line is in the ink of the project, not in whatever words there are.
      const colored = before.width === 0 && !before.color && change.width ? { color: '{color.ink}' } : {}
      props[key] = { ...before, ...colored, ...change }
    }
    editor.setProps(props, `Border of ${node.name}`, gesture && `border-${gesture}`)
  }
  const all = SIDES.map(([key]) => key)
  return (
    <Line node={node} keys={all}>
      <span>Border</span>
      {!apart && (
        <BorderSaid
          label="Border"
          said={sides[0]!}
          keys={all}
          onChange={(change, gesture) => set(all, change, gesture)}
        />
      )}
      <Apart
        label="Border sides"
        apart={apart}
        onChoose={(next) => {
          setOpened(next)
          if (!next && differ) set(all, { ...sides.map(own).find(({ width }) => width > 0) })
        }}
      />
      {apart &&
        SIDES.map(([key, words], i) => (
          <div key={key} className="flex w-full items-center gap-1.5">
            <span className="w-13 flex-none pl-2 soft">{words}</span>
            <BorderSaid
              label={`Border ${words}`}
              said={sides[i]!}
              keys={[key]}
              onChange={(change, gesture) => set([key], change, gesture)}
            />
          </div>
        ))}
    </Line>
  )
}

/** A border by a token, or by values of its own. */
function BorderSaid({
  label,
  said,
  keys,
  onChange,
}: {
  label: string
  said: Border | string
  keys: readonly SideKey[]
  onChange: (change: Partial<Border>, gesture?: string) => void
}) {
  const editor = useEditor()
  const border = borderIn(editor.tokens, said) ?? NONE
  const isToken = typeof said === 'string'
  return (
    <>
      {!isToken && <BorderChips label={label} border={border} onChange={onChange} />}
      {(isToken || border.width > 0 || editor.doc.tokenTable.names('border').length > 0) && (
        <WholeToken
          label={`${label} token`}
          type="border"
          value={isToken ? said : undefined}
          none={border.width > 0 ? undefined : 'by a token'}
          asToken={() => borderAsToken(border, '#000000')}
          edits={(reference) =>
            editor.propEdits(
              Object.fromEntries(keys.map((key) => [key, reference ?? border])),
              editor.meantNodes,
            )
          }
        />
      )}
    </>
  )
}

export function BorderChips({
  label,
  border,
  onChange,
}: {
  label: string
  border: Border
  onChange: (change: Partial<Border>, gesture?: string) => void
}) {
  const { width, style = 'solid', color } = border
  return (
    <>
      <NumberChip
        label={`${label} width`}
        value={width === 0 ? undefined : width}
        shown={width === 0 ? 'none' : undefined}
        context={{ min: 0, max: 200 }}
        onChange={(next) => onChange({ width: next })}
        onClear={() => onChange({ width: 0 })}
      />
      {width > 0 && (
        <>
          <ColorChip
            label={`${label} colour`}
            value={color}
            onChange={(next, gesture) => onChange({ color: next ?? undefined }, gesture)}
          />
          <Choice
            label={`${label} style`}
            options={[
              { value: 'solid', label: 'solid' },
              { value: 'dashed', label: 'dashed' },
              { value: 'dotted', label: 'dotted' },
            ]}
            value={style}
            onChoose={(next) => onChange({ style: next === 'solid' ? undefined : (next as Border['style']) })}
          />
        </>
      )}
    </>
  )
}

export function OutlineLine({ node }: { node: Node }) {
  const editor = useEditor()
  const outline = cascaded(editor.doc, node, editor.view.id).outline ?? { width: 0, offset: 2 }
  const set = (change: Partial<Outline>, gesture?: string) => {
    const colored = outline.width === 0 && !outline.color && change.width ? { color: '{color.ink}' } : {}
    const label = `Outline of ${node.name}`
    editor.setProps(
      { outline: { ...outline, ...colored, ...change } },
      label,
      gesture && `outline-${gesture}`,
    )
  }
  return (
    <Line node={node} keys={['outline']}>
      <span>Outline</span>
      <BorderChips label="Outline" border={outline} onChange={set} />
      {outline.width > 0 && (
        <>
          <span>away</span>
          <NumberChip
            label="Outline distance"
            value={outline.offset}
            context={{ min: -200, max: 200 }}
            onChange={(offset) => set({ offset })}
          />
        </>
      )}
    </Line>
  )
}

export function CornerLines({ node }: { node: Node }) {
  const editor = useEditor()
  const resolved = editor.resolved(node)
  const differ = CORNERS.some(({ key }) => resolved[key] !== resolved.radiusTopLeft)
  const [opened, setOpened] = useState(false)
  const apart = differ || opened
  const setAll = (radius: number) =>
    editor.setProps(Object.fromEntries(CORNERS.map(({ key }) => [key, radius])), `Corners of ${node.name}`)
  const line = useCornerPull(editor, node)
  return (
    <Line node={node} keys={CORNERS.map(({ key }) => key)}>
      <div ref={line} className="contents" onFocus={() => editor.set({ pulling: { node: node.id } })}>
        <span>Corners</span>
        {apart ? (
          CORNERS.map(({ key, words }) => (
            <LengthChip key={key} node={node} prop={key} label={`Corner ${words}`} />
          ))
        ) : (
          <NumberChip
            label="Corners"
            value={resolved.radiusTopLeft}
            context={{ min: 0, max: 100_000 }}
            onChange={setAll}
          />
        )}
        <Apart
          label="Which corners"
          apart={apart}
          onChoose={(next) => {
            setOpened(next)
            if (!next && differ) setAll(resolved.radiusTopLeft)
          }}
        />
      </div>
    </Line>
  )
}

/** Once they are said here they are pulled on the block, too, until something else is pressed or Escape. @returns what says them */
function useCornerPull(editor: Editor, { id }: Node) {
  const line = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const isOurs = () => editor.pulling?.node === id && editor.pulling.fill === undefined
    const leave = () => isOurs() && editor.set({ pulling: undefined })
    const press = ({ target }: Event) => {
      const stays =
        target instanceof Element && (target.closest('[data-pulls]') || line.current?.contains(target))
      if (!stays) leave()
    }
    const key = ({ key }: KeyboardEvent) => key === 'Escape' && leave()
    addEventListener('pointerdown', press, true)
    addEventListener('keydown', key, true)
    return () => {
      removeEventListener('pointerdown', press, true)
      removeEventListener('keydown', key, true)
      leave()
    }
  }, [editor, id])
  return line
}
