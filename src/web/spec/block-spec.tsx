/** What is said of a block: its own, one of the template that the page shows, or the slot in one. */

import { Eye, EyeOff, Lock, LockOpen } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { isOnLattice } from '../../core/arrange/spans'
import type { Node } from '../../core/document/document'
import { holdsBlocks, isText } from '../../core/properties/kinds'
import { ScopeSwitch } from '../editor/scope-switch'
import { useEditor } from '../editor/use-editor'
import { areShapes } from '../palette/shape-commands'
import { NumberChip } from '../parts/number-chip'
import { intoOutlines } from '../shapes/into-outlines'
import { PointsLines } from '../shapes/points-lines'
import { Arrange } from './arrange'
import { FillerButton } from './filler'
import { Help } from './help'
import { Inside } from './inside'
import { HyphensLine, LanguageLine } from './language'
import { Group, Line } from './line'
import { Look, PictureLines, TypeLines } from './look'
import { MeaningLine } from './meaning'
import { Place } from './place'
import { SectionLatticeLines } from './section-lattice'
import { ShapeLines, ShapesTogether } from './shape'
import { SharedSpec } from './shared'
import { SizeChips } from './size-chip'
import { LinkLine, WordsLine } from './words'

const SelectedWords = lazy(() => import('./selected-words').then((part) => ({ default: part.SelectedWords })))

export function BlockSpecs() {
  const editor = useEditor()
  const node = editor.selected
  const shared = editor.sharedNode
  if (shared) return <SharedBlockSpec key={shared.id} node={shared} />
  if (!node) return null
  return node.kind === 'slot' ? <SlotSpec node={node} /> : <BlockSpec key={node.id} node={node} />
}

function SharedBlockSpec({ node }: { node: Node }) {
  return (
    <>
      <header className="rule-b flex h-11.5 flex-none items-center gap-2 px-4">
        <h2 className="min-w-0 flex-1 truncate text-large font-bold">{node.name}</h2>
      </header>
      <ScopeSwitch />
      <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
        <SharedSpec node={node} />
      </div>
    </>
  )
}

function SlotSpec({ node }: { node: Node }) {
  return (
    <>
      <header className="rule-b flex h-11.5 flex-none items-center gap-2 px-4">
        <h2 className="min-w-0 flex-1 truncate text-large font-bold">{node.name}</h2>
      </header>
      <p className="px-4 py-3 leading-5">
        Pages that stand on this template have their own sections here. Place what they share above or below;
        the slot itself is never handed off.
      </p>
    </>
  )
}

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

function BlockSpec({ node }: { node: Node }) {
  const editor = useEditor()
  const many = editor.selection.length
  const elsewhere = editor.elsewhere.length
  const hidden = editor.resolved(node).hidden === true
  // On a lattice the width is the columns, which Place has said already.
  const onLattice = editor.layout !== undefined && isOnLattice(editor.layout, node)
  return (
    <>
      <header className="rule-b flex h-11.5 flex-none items-center gap-2 px-4">
        <h2 className="min-w-0 flex-1 truncate text-large font-bold">
          {many > 1 ? `${many} blocks` : editor.called(node)}
          {elsewhere > 0 && <span className="font-normal soft"> and {elsewhere} on other pages</span>}
        </h2>
        <button
          type="button"
          className="icon-button"
          aria-pressed={node.locked}
          title={node.locked ? 'Unlock' : 'Lock'}
          aria-label={node.locked ? 'Unlock' : 'Lock'}
          onClick={() =>
            editor.commit(
              editor.selection.map((id) => ({ op: 'meta', node: id, locked: !node.locked })),
              node.locked ? 'Unlock' : 'Lock',
            )
          }
        >
          {node.locked ? <Lock {...ICON} /> : <LockOpen {...ICON} />}
        </button>
        <button
          type="button"
          className="icon-button"
          aria-pressed={hidden}
          title={hidden ? 'Show' : 'Hide'}
          aria-label={hidden ? 'Show' : 'Hide'}
          onClick={() => editor.setProps({ hidden: !hidden }, hidden ? 'Show' : 'Hide')}
        >
          {hidden ? <EyeOff {...ICON} /> : <Eye {...ICON} />}
        </button>
      </header>
      <ScopeSwitch />
      <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
        {editor.typing && editor.editing?.id === node.id && (
          <Suspense>
            <SelectedWords node={node} typing={editor.typing} />
          </Suspense>
        )}
        {editor.points?.id === node.id && (
          <Group title="Points">
            <PointsLines node={node} />
          </Group>
        )}
        {node.kind !== 'section' && (
          <Group title="Place" aside={<Help topic="place" />}>
            <Place node={node} />
            <MeaningLine node={node} />
            <LanguageLine node={node} />
            <HyphensLine node={node} />
          </Group>
        )}
        {(many > 1 || editor.layout?.boxes.get(node.id)?.pins) && (
          <Group title="Arrange">
            <Arrange />
          </Group>
        )}
        {node.kind === 'section' && (
          <Group title="Place">
            <SectionLatticeLines node={node} />
            <MeaningLine node={node} />
          </Group>
        )}
        <Group title="Size" aside={<Help topic="size" />}>
          {node.kind !== 'section' && (
            <Line node={node} keys={onLattice ? [] : ['width']}>
              <SizeChips node={node} side="width" />
            </Line>
          )}
          <Line node={node} keys={['height']}>
            <SizeChips node={node} side="height" />
          </Line>
          <Limits node={node} />
        </Group>
        {(holdsBlocks(node.kind) || isText(node.kind)) && (
          <Group title="Inside">
            <Inside node={node} />
          </Group>
        )}
        {isText(node.kind) && (
          <Group title="Type">
            <TypeLines node={node} />
            <div className="flex flex-wrap items-center gap-1.5">
              <FillerButton node={node} />
              {node.kind === 'text' && (
                <button
                  type="button"
                  className="plain-button"
                  title="A shape of its letters, no longer text"
                  onClick={() => void intoOutlines(editor, node)}
                >
                  Into outlines
                </button>
              )}
            </div>
          </Group>
        )}
        {node.kind === 'picture' && (
          <Group title="Picture">
            <PictureLines node={node} />
          </Group>
        )}
        {node.kind === 'shape' && (
          <Group title="Shape">
            {areShapes(editor) && <ShapesTogether />}
            <ShapeLines node={node} />
            <WordsLine node={node} prop="alt" label="Said as" placeholder="left empty: decoration" />
          </Group>
        )}
        <Group title="Look">
          <Look node={node} />
        </Group>
        {(isText(node.kind) || node.kind === 'box') && (
          <Group title="Link">
            <LinkLine node={node} />
          </Group>
        )}
      </div>
    </>
  )
}

function Limits({ node }: { node: Node }) {
  const editor = useEditor()
  const resolved = editor.resolved(node)
  const chip = (key: 'minWidth' | 'maxWidth' | 'minHeight' | 'maxHeight', label: string) => (
    <NumberChip
      label={label}
      value={resolved[key]}
      context={{ min: 0, max: 100_000 }}
      onChange={(value) => editor.setProps({ [key]: value }, `${label} of ${node.name}`)}
      onClear={() => editor.setProps({ [key]: null }, `No ${label.toLowerCase()}`)}
    />
  )
  return (
    <>
      {node.kind !== 'section' && (
        <Line node={node} keys={['minWidth', 'maxWidth']}>
          <span>Width at least</span>
          {chip('minWidth', 'Least width')}
          <span>at most</span>
          {chip('maxWidth', 'Largest width')}
        </Line>
      )}
      <Line node={node} keys={['minHeight', 'maxHeight']}>
        <span>Height at least</span>
        {chip('minHeight', 'Least height')}
        <span>at most</span>
        {chip('maxHeight', 'Largest height')}
      </Line>
    </>
  )
}
