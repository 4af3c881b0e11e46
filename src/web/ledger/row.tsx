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
  Square,
  SquareStack,
  Type,
} from 'lucide-react'
import type { Node } from '../../core/document/document'
import { formatPx } from '../../core/lattice/solve'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import { RenameField } from '../parts/rename'
import { ROW_HEIGHT } from './row-window'
import { type Row, wordsFor } from './rows'

const ICON = { size: 14, strokeWidth: 1.75, 'aria-hidden': true } as const

function KindIcon({ node }: { node: Node }) {
  if (node.kind === 'text') return <Type {...ICON} />
  if (node.kind === 'picture') return <Image {...ICON} />
  if (node.kind === 'button') return <RectangleHorizontal {...ICON} />
  if (node.props.flow === 'row') return <Columns3 {...ICON} />
  if (node.props.flow === 'lattice') return <LayoutGrid {...ICON} />
  return node.props.flow === 'free' ? <Square {...ICON} /> : <Rows3 {...ICON} />
}

/** Where a dragged row would go, as seen from this one. */
export type DropMark = 'before' | 'after' | 'inside'

type LedgerRowProps = {
  row: Row
  tabbable: boolean
  renaming: boolean
  mark: DropMark | undefined
  onKey: (event: React.KeyboardEvent) => void
  onToggle: () => void
  onRename: (on: boolean) => void
  onPress: (event: React.PointerEvent) => void
  /** Everything from what is selected to this row. */
  onRange: () => void
}

export function LedgerRow({
  row,
  tabbable,
  renaming,
  mark,
  onKey,
  onToggle,
  onRename,
  onPress,
  onRange,
}: LedgerRowProps) {
  const editor = useEditor()
  const { doc, layout } = editor
  const { node, depth } = row
  const name = editor.called(node)
  const shared = node.source !== undefined
  const selected = editor.selection.includes(node.id) || editor.shared === node.id
  const section = node.kind === 'section' || node.kind === 'slot'
  const hidden = editor.resolved(node).hidden === true
  const switches = (
    <span className="hidden w-[48px] flex-none justify-end group-hover:flex">
      {!shared && (
        <RowSwitch
          label={node.locked ? `Unlock ${name}` : `Lock ${name}`}
          onPress={() =>
            editor.commit(
              [{ op: 'meta', node: node.id, locked: !node.locked }],
              node.locked ? 'Unlock' : 'Lock',
            )
          }
        >
          {node.locked ? <Lock {...ICON} /> : <LockOpen {...ICON} />}
        </RowSwitch>
      )}
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
    </span>
  )
  const chevron = row.open ? <ChevronDown {...ICON} /> : <ChevronRight {...ICON} />
  return (
    <div
      role="treeitem"
      aria-level={depth + 1}
      aria-expanded={node.children.length > 0 ? row.open : undefined}
      aria-selected={selected}
      aria-posinset={row.position + 1}
      aria-setsize={row.siblings}
      aria-label={renaming ? undefined : saidOf(editor, node, name, hidden)}
      data-name={name}
      tabIndex={tabbable ? 0 : -1}
      data-row={node.id}
      data-drop={mark}
      className={`group relative flex items-center rounded-[3px] select-none pr-1 ${selected ? 'bg-secondary text-secondary-content shadow-[inset_3px_0_var(--color-primary)]' : 'hover:bg-base-200'} ${hidden ? 'text-(--soft) italic' : ''}`}
      style={{
        height: ROW_HEIGHT,
        paddingLeft: 2 + depth * 13,
        outline: mark === 'inside' ? '1.5px solid var(--color-primary)' : undefined,
      }}
      onKeyDown={onKey}
      onPointerDown={onPress}
      onClick={(event) => {
        if (event.shiftKey && !shared) onRange()
        else editor.select(node.id, editor.viewId, event.ctrlKey || event.metaKey)
      }}
      onDoubleClick={() => (shared ? undefined : onRename(true))}
      data-shared={shared || undefined}
    >
      {(mark === 'before' || mark === 'after') && (
        <i
          className={`absolute right-1 left-1 h-[2px] bg-primary ${mark === 'before' ? '-top-px' : '-bottom-px'}`}
        />
      )}
      <button
        type="button"
        tabIndex={-1}
        aria-hidden={node.children.length === 0}
        aria-label={row.open ? `Close ${name}` : `Open ${name}`}
        className={`grid size-4 flex-none place-items-center faint ${node.children.length === 0 ? 'invisible' : ''}`}
        onClick={(event) => {
          event.stopPropagation()
          onToggle()
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
          onDone={() => onRename(false)}
        />
      ) : (
        <span className={`min-w-0 flex-1 truncate ${section ? 'font-semibold' : ''}`}>{name}</span>
      )}
      {node.locked && (
        <span className="flex-none soft group-hover:hidden">
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
          <SectionFigures node={node} hidden={hidden} />
          {switches}
        </>
      ) : (
        <>
          <span className="max-w-[92px] flex-none truncate pl-1 text-[12px] group-hover:hidden soft">
            {wordsFor(doc, node, editor.view.id, layout)}
          </span>
          {switches}
        </>
      )}
    </div>
  )
}

/** A row read out: what it is called, where it stands, and what is unlike others about it. */
function saidOf(editor: Editor, node: Node, name: string, hidden: boolean): string {
  const parts = [name]
  if (node.kind === 'section') {
    const rect = editor.layout?.rect(node.id)
    if (rect && !hidden) parts.push(`${formatPx(rect.height)} high from ${formatPx(rect.y)}`)
  } else if (!hidden) parts.push(wordsFor(editor.doc, node, editor.view.id, editor.layout))
  if (hidden) parts.push(`hidden on ${editor.view.name}`)
  if (node.locked) parts.push('locked')
  return parts.join(', ')
}

/** A section's height, to be changed here unless it is the template's, and where it begins. */
function SectionFigures({ node, hidden }: { node: Node; hidden: boolean }) {
  const editor = useEditor()
  const rect = editor.layout?.rect(node.id)
  const height = hidden ? 0 : (rect?.height ?? 0)
  return (
    <>
      <span
        className="w-[54px] flex-none text-right font-semibold"
        data-height-of={node.id}
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
            className="rounded-[3px] px-1 font-semibold tabular-nums hover:bg-base-300/60"
            // “rest”: what is left of the first screen.
            context={{
              min: 0,
              max: 100_000,
              whole: editor.view.fold,
              rest: Math.max(0, editor.view.fold - (rect?.y ?? 0)),
            }}
            onChange={(px) =>
              editor.setProps({ height: { kind: 'exact', px } }, `Height of ${node.name}`, undefined, [node])
            }
          />
        )}
      </span>
      <span
        className="w-[44px] flex-none text-right text-[12px] tabular-nums soft group-hover:hidden"
        data-offset-of={node.id}
      >
        {rect ? formatPx(rect.y) : '–'}
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
      className="grid size-6 place-items-center rounded-[3px] hover:bg-base-300"
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
