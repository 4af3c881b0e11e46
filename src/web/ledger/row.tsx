/** One row of the ledger: a section with its height and offset, or a block. */
import {
  ChevronDown,
  ChevronRight,
  Columns3,
  Eye,
  EyeOff,
  Image,
  LayoutGrid,
  Lock,
  LockOpen,
  RectangleHorizontal,
  Rows3,
  Shapes,
  Square,
  SquareStack,
  Type,
} from 'lucide-react'
import { memo, useCallback } from 'react'
import { restOfScreen } from '../../core/arrange/budget'
import type { Node } from '../../core/document/document'
import { formatPx } from '../../core/lattice/solve'
import type { Size } from '../../core/properties/values'
import type { Editor } from '../editor/editor-state'
import { useShown, useStillEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import { RenameField } from '../parts/rename'
import { whyParts } from '../spec/why-parts'
import { type Row, wordsFor } from './rows'

/** px */
export const ROW_HEIGHT = 28
const ICON = { size: 14, strokeWidth: 1.75, 'aria-hidden': true } as const

function KindIcon({ node }: { node: Node }) {
  if (node.kind === 'text') return <Type {...ICON} />
  if (node.kind === 'picture') return <Image {...ICON} />
  if (node.kind === 'shape') return <Shapes {...ICON} />
  if (node.kind === 'button') return <RectangleHorizontal {...ICON} />
  if (node.props.flow === 'row') return <Columns3 {...ICON} />
  if (node.props.flow === 'lattice') return <LayoutGrid {...ICON} />
  return node.props.flow === 'free' ? <Square {...ICON} /> : <Rows3 {...ICON} />
}

/** Where a dragged row would go, as seen from this one. */
export type DropMark = 'before' | 'after' | 'inside'

/** What a row is asked to do; the same object as long as the ledger is there. */
export type RowActs = {
  key: (event: React.KeyboardEvent, id: string) => void
  toggle: (id: string) => void
  rename: (id: string, on: boolean) => void
  press: (event: React.PointerEvent, id: string) => void
  /** Everything from what is selected to this row. */
  range: (id: string) => void
}

type LedgerRowProps = Omit<Row, 'node'> & {
  id: string
  tabbable: boolean
  renaming: boolean
  mark: DropMark | undefined
  acts: RowActs
}

/** What a row says of its block. */
function rowShown(editor: Editor, node: Node) {
  const hidden = editor.resolved(node).hidden === true
  const section = node.kind === 'section' || node.kind === 'slot'
  const rect = section ? editor.layout?.rect(node.id) : undefined
  return {
    node,
    section,
    hidden,
    name: editor.called(node),
    selected: editor.selection.includes(node.id) || editor.shared === node.id,
    view: editor.view.name,
    words: section ? '' : wordsFor(editor.doc, node, editor.view.id, editor.layout),
    height: hidden ? 0 : (rect?.height ?? 0),
    from: rect?.y,
    why: hidden || !rect ? undefined : whyParts(editor, node.id),
  }
}
export type RowShown = ReturnType<typeof rowShown>

/** Draws again only when what it says is another: typing in one text leaves the others' rows alone. */
export const LedgerRow = memo(function LedgerRow(props: LedgerRowProps) {
  const { id } = props
  const select = useCallback(
    (editor: Editor) => {
      const node = editor.instances?.find(id)
      return node ? rowShown(editor, node) : GONE
    },
    [id],
  )
  const shown = useShown<RowShown | typeof GONE>(select)
  return 'node' in shown ? <RowOf {...props} shown={shown} /> : null
})
const GONE = {}

function RowOf({
  id,
  depth,
  open,
  position,
  siblings,
  tabbable,
  renaming,
  mark,
  acts,
  shown,
}: LedgerRowProps & { shown: RowShown }) {
  const editor = useStillEditor()
  const { node, section, hidden, name, selected } = shown
  const shared = node.source !== undefined
  const lock = !shared && (
    <RowSwitch
      label={node.locked ? `Unlock ${name}` : `Lock ${name}`}
      onPress={() =>
        editor.commit([{ op: 'meta', node: node.id, locked: !node.locked }], node.locked ? 'Unlock' : 'Lock')
      }
    >
      {node.locked ? <Lock {...ICON} /> : <LockOpen {...ICON} />}
    </RowSwitch>
  )
  const hide = (
    <RowSwitch
      label={hidden ? `Show ${name}` : `Hide ${name}`}
      onPress={() =>
        shared
          ? editor.change(
              node,
              { hidden: !hidden },
              `${hidden ? 'Show' : 'Leave out'} ${node.name} on this page`,
            )
          : editor.setProps({ hidden: !hidden }, hidden ? 'Show' : 'Hide', undefined, [node])
      }
    >
      {hidden ? <EyeOff {...ICON} /> : <Eye {...ICON} />}
    </RowSwitch>
  )
  const chevron = open ? <ChevronDown {...ICON} /> : <ChevronRight {...ICON} />
  return (
    <div
      role="treeitem"
      aria-level={depth + 1}
      aria-expanded={node.children.length > 0 ? open : undefined}
      aria-selected={selected}
      aria-posinset={position + 1}
      aria-setsize={siblings}
      aria-label={renaming ? undefined : saidOf(shown)}
      data-name={name}
      tabIndex={tabbable ? 0 : -1}
      data-row={node.id}
      data-drop={mark}
      className={`group relative flex items-center rounded-field select-none pr-1 ${selected ? 'bg-secondary text-secondary-content shadow-[inset_3px_0_var(--color-primary)]' : 'hover:bg-base-200'} ${hidden ? 'text-(--soft) italic' : ''}`}
      style={{
        height: ROW_HEIGHT,
        paddingLeft: 2 + depth * 13,
        outline: mark === 'inside' ? '1.5px solid var(--color-primary)' : undefined,
      }}
      onKeyDown={(event) => event.target === event.currentTarget && acts.key(event, id)}
      onPointerDown={(event) => acts.press(event, id)}
      onClick={(event) => {
        if (event.shiftKey && !shared) acts.range(id)
        else editor.select(node.id, editor.viewId, event.ctrlKey || event.metaKey)
      }}
      onContextMenu={(event) => {
        event.preventDefault()
        if (!selected) editor.select(id)
        if (!shared)
          editor.set({ menu: { x: event.clientX, y: event.clientY, view: editor.viewId, under: [] } })
      }}
      onDoubleClick={() => (shared ? undefined : acts.rename(id, true))}
      data-shared={shared || undefined}
    >
      {(mark === 'before' || mark === 'after') && (
        <i
          className={`absolute right-1 left-1 h-0.5 bg-primary ${mark === 'before' ? '-top-px' : '-bottom-px'}`}
        />
      )}
      <button
        type="button"
        tabIndex={-1}
        aria-hidden={node.children.length === 0}
        aria-label={open ? `Close ${name}` : `Open ${name}`}
        className={`-mx-1 grid size-6 flex-none place-items-center faint ${node.children.length === 0 ? 'invisible' : ''}`}
        onClick={(event) => {
          event.stopPropagation()
          acts.toggle(id)
        }}
        onDoubleClick={(event) => event.stopPropagation()}
      >
        {chevron}
      </button>
      {!section && (
        <span className="mr-1.5 ml-0.5 flex-none soft">
          <KindIcon node={node} />
        </span>
      )}
      {renaming ? (
        <RenameField
          label={`Name of ${node.name}`}
          value={node.name}
          className="h-6 flex-1"
          onRename={(name) => editor.commit([{ op: 'meta', node: node.id, name }], `Rename ${node.name}`)}
          onDone={() => acts.rename(id, false)}
        />
      ) : (
        <span className={`min-w-0 flex-1 truncate ${section ? 'font-semibold' : ''}`}>{name}</span>
      )}
      {node.locked && (
        <span className={`flex-none soft ${section ? '' : 'group-hover:hidden'}`}>
          <Lock {...ICON} />
        </span>
      )}
      {shared && depth === 0 && (
        <span className="mr-1 flex-none text-primary" title="From the page’s template">
          <SquareStack {...ICON} />
        </span>
      )}
      {section ? (
        <>
          <SectionFigures shown={shown} />
          {/* Locking stands over the offset, only while one points at the switches. */}
          <span
            data-switches
            className="group/switches invisible relative ml-1 flex w-6 flex-none group-hover:visible"
          >
            <span className="absolute right-full hidden group-hover/switches:block">{lock}</span>
            {hide}
          </span>
        </>
      ) : (
        <>
          <span className="max-w-23 flex-none truncate pl-1 text-small group-hover:hidden soft">
            {shown.words}
          </span>
          <span className="hidden w-12 flex-none justify-end group-hover:flex">
            {lock}
            {hide}
          </span>
        </>
      )}
    </div>
  )
}

/** A row read out: what it is called, where it stands, and what is unlike others about it. */
function saidOf({ node, name, hidden, height, from, words, view }: RowShown): string {
  const parts = [name]
  if (node.kind === 'section' && from !== undefined && !hidden)
    parts.push(`${formatPx(height)} high from ${formatPx(from)}`)
  else if (!hidden && words) parts.push(words)
  if (hidden) parts.push(`hidden on ${view}`)
  if (node.locked) parts.push('locked')
  return parts.join(', ')
}

/** A section's height, to be changed here unless it is the template's, and where it begins. */
function SectionFigures({ shown: { node, height, from, why } }: { shown: RowShown }) {
  const editor = useStillEditor()
  const setHeight = (to: Size) => editor.setProps({ height: to }, `Height of ${node.name}`, undefined, [node])
  return (
    <>
      <span className="flex w-11.5 flex-none justify-end font-semibold">
        {/* The room before the figure is the row’s. */}
        <span
          data-height-of={node.id}
          title={why}
          onPointerDown={(event) => event.stopPropagation()}
          onClick={(event) => event.stopPropagation()}
          onDoubleClick={(event) => event.stopPropagation()}
        >
          {node.source !== undefined ? (
            <span className="px-1 tabular-nums soft">{formatPx(height)}</span>
          ) : (
            <NumberChip
              label={`Height of ${node.name}`}
              value={height}
              className="rounded-field px-1 font-semibold tabular-nums hover:bg-base-300/60"
              // What is left of the first screen, whatever the window.
              names={new Map([['rest', () => setHeight(restOfScreen(from ?? 0))]])}
              context={{
                min: 0,
                max: 100_000,
                whole: editor.view.fold,
                rest: Math.max(0, editor.view.fold - (from ?? 0)),
              }}
              onChange={(px) => setHeight({ kind: 'exact', px })}
            />
          )}
        </span>
      </span>
      <span
        className="w-9.5 flex-none text-right text-small tabular-nums soft group-has-[[data-switches]:hover]:invisible"
        data-offset-of={node.id}
      >
        {from === undefined ? '–' : formatPx(from)}
      </span>
    </>
  )
}

function RowSwitch({
  label,
  onPress,
  children,
}: {
  label: string
  onPress: () => void
  children: React.ReactNode
}) {
  return (
    <button
      type="button"
      tabIndex={-1}
      title={label}
      aria-label={label}
      className="grid size-6 place-items-center rounded-field hover:bg-base-300"
      onPointerDown={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      onClick={(event) => {
        event.stopPropagation()
        onPress()
      }}
    >
      {children}
    </button>
  )
}
