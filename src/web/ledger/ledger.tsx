/** The ledger: sections with height and running offset, each opening to its blocks. A tree for mouse and keyboard. */
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
  Type,
} from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { mayHold, orderAt, stepEdits } from '../../core/arrange/order'
import type { Node } from '../../core/document/document'
import { holdsBlocks } from '../../core/document/kinds'
import { formatPx } from '../../core/lattice/solve'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import { RenameField } from '../parts/rename'
import { type Row, rowsOf, wordsFor } from './rows'

const ICON = { size: 14, strokeWidth: 1.75, 'aria-hidden': true } as const

function KindIcon({ node }: { node: Node }) {
  if (node.kind === 'text') return <Type {...ICON} />
  if (node.kind === 'picture') return <Image {...ICON} />
  if (node.kind === 'button') return <RectangleHorizontal {...ICON} />
  if (node.props.flow === 'row') return <Columns3 {...ICON} />
  if (node.props.flow === 'lattice') return <LayoutGrid {...ICON} />
  return node.props.flow === 'free' ? <Square {...ICON} /> : <Rows3 {...ICON} />
}

type Drop = { row: number; where: 'before' | 'after' | 'inside' }

export function Ledger() {
  const editor = useEditor()
  const { doc, layout } = editor
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set())
  const [renaming, setRenaming] = useState<string>()
  const [focus, setFocus] = useState<string>()
  const [drop, setDrop] = useState<Drop>()
  const tree = useRef<HTMLDivElement>(null)
  const drag = useRef<{ id: string; y: number; moving: boolean } | undefined>(undefined)
  const selected = editor.selected

  // What is selected on the board is shown here.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when the selection moves
  useEffect(() => {
    if (!selected) return
    const hidden = doc.ancestors(selected.id).filter((node) => node.kind !== 'page' && !open.has(node.id))
    if (hidden.length > 0) setOpen(new Set([...open, ...hidden.map((node) => node.id)]))
    setFocus(selected.id)
    requestAnimationFrame(() =>
      tree.current?.querySelector(`[data-row="${selected.id}"]`)?.scrollIntoView({ block: 'nearest' }),
    )
  }, [selected?.id])

  if (!editor.page) return <aside aria-label="Ledger" className="w-[240px] border-r border-base-300" />
  const rows = rowsOf(doc, editor.pageId, open)
  const toggle = (id: string) => {
    const next = new Set(open)
    if (!next.delete(id)) next.add(id)
    setOpen(next)
  }
  const focusRow = (id: string) => {
    setFocus(id)
    requestAnimationFrame(() => tree.current?.querySelector<HTMLElement>(`[data-row="${id}"]`)?.focus())
  }
  const step = (id: string, by: -1 | 1) => {
    const node = doc.node(id)
    if (editor.commit(stepEdits(doc, id, by), `Move ${node.name}`))
      editor.announce(`${node.name} moved ${by < 0 ? 'up' : 'down'}`)
    focusRow(id)
  }

  const key = (event: React.KeyboardEvent, row: Row, index: number) => {
    const { node } = row
    const go = (to: Row | undefined) => {
      if (!to) return
      editor.select(to.node.id, editor.viewId, event.shiftKey)
      focusRow(to.node.id)
    }
    switch (event.key) {
      case 'ArrowDown':
        event.preventDefault()
        return event.altKey ? step(node.id, 1) : go(rows[index + 1])
      case 'ArrowUp':
        event.preventDefault()
        return event.altKey ? step(node.id, -1) : go(rows[index - 1])
      case 'ArrowRight':
        event.preventDefault()
        if (node.children.length === 0) return
        return row.open ? go(rows[index + 1]) : toggle(node.id)
      case 'ArrowLeft':
        event.preventDefault()
        return row.open ? toggle(node.id) : go(rows.find((each) => each.node.id === row.parent))
      case 'Home':
        return go(rows[0])
      case 'End':
        return go(rows.at(-1))
      case 'F2':
        return setRenaming(node.id)
      case 'Enter':
        if (node.kind === 'text' || node.kind === 'button') {
          event.preventDefault()
          editor.set({ editing: { id: node.id, view: editor.viewId } })
        } else toggle(node.id)
    }
  }

  const dropFor = (clientY: number): Drop | undefined => {
    const id = drag.current?.id
    if (!id) return undefined
    const elements = [...tree.current!.querySelectorAll<HTMLElement>('[data-row]')]
    const at = elements.findIndex((element) => clientY < element.getBoundingClientRect().bottom)
    const row = at < 0 ? rows.length - 1 : at
    const target = rows[row]
    if (!target) return undefined
    const box = elements[row].getBoundingClientRect()
    const share = (clientY - box.top) / box.height
    if (share > 0.3 && share < 0.7 && holdsBlocks(target.node.kind) && mayHold(doc, target.node.id, id))
      return { row, where: 'inside' }
    return mayHold(doc, target.parent, id) && target.node.id !== id
      ? { row, where: share < 0.5 ? 'before' : 'after' }
      : undefined
  }
  const pointerMove = (event: React.PointerEvent) => {
    const now = drag.current
    if (!now) return
    if (!now.moving && Math.abs(event.clientY - now.y) < 5) return
    if (!now.moving) {
      now.moving = true
      event.currentTarget.setPointerCapture(event.pointerId)
    }
    setDrop(dropFor(event.clientY))
  }
  const pointerUp = () => {
    const now = drag.current
    drag.current = undefined
    setDrop(undefined)
    if (!now?.moving || !drop) return
    const target = rows[drop.row]
    const parent = drop.where === 'inside' ? target.node.id : target.parent
    const siblings = doc.node(parent).children.filter((id) => id !== now.id)
    const index =
      drop.where === 'inside'
        ? siblings.length
        : siblings.indexOf(target.node.id) + (drop.where === 'after' ? 1 : 0)
    const node = doc.node(now.id)
    editor.commit(
      [{ op: 'move', node: now.id, parent, order: orderAt(doc, parent, index, now.id) }],
      `Move ${node.name}`,
    )
    if (drop.where === 'inside') setOpen(new Set([...open, parent]))
  }

  return (
    <aside
      aria-label="Ledger"
      className="flex w-[240px] flex-none flex-col border-r border-base-300 bg-base-100"
    >
      <div className="flex h-[30px] flex-none items-end px-3 pb-1 text-[12px] soft">
        <span className="flex-1 pl-4">Section</span>
        <span className="w-[58px] text-right">Height</span>
        <span className="w-[48px] text-right">From</span>
      </div>
      <div
        ref={tree}
        role="tree"
        aria-label={`Sections of ${editor.page.name}`}
        aria-multiselectable="true"
        className="min-h-0 flex-1 touch-none overflow-y-auto px-1.5 pb-3"
        onPointerMove={pointerMove}
        onPointerUp={pointerUp}
        onPointerCancel={() => {
          drag.current = undefined
          setDrop(undefined)
        }}
      >
        {rows.length === 0 && (
          <p className="px-3 py-6 text-[13px] leading-5 soft">
            No sections yet. Place one from the shelf at the bottom; its height is added up here.
          </p>
        )}
        {rows.map((row, index) => (
          <LedgerRow
            key={row.node.id}
            row={row}
            tabbable={focus === row.node.id || (index === 0 && !rows.some((each) => each.node.id === focus))}
            renaming={renaming === row.node.id}
            mark={drop?.row === index ? drop.where : undefined}
            onKey={(event) => event.target === event.currentTarget && key(event, row, index)}
            onToggle={() => toggle(row.node.id)}
            onRename={(on) => {
              setRenaming(on ? row.node.id : undefined)
              if (!on) focusRow(row.node.id)
            }}
            onPress={(event) => {
              if (event.button === 0) drag.current = { id: row.node.id, y: event.clientY, moving: false }
            }}
          />
        ))}
      </div>
      <div className="rule-t flex h-[38px] flex-none items-center justify-between px-3 text-[12px] soft">
        <span>
          {doc.node(editor.pageId).children.length === 1
            ? '1 section'
            : `${doc.node(editor.pageId).children.length} sections`}
        </span>
        <span>
          {editor.view.name}{' '}
          <b className="font-bold text-base-content tabular-nums" data-page-height>
            {formatPx(layout?.height ?? 0)}
          </b>{' '}
          px
        </span>
      </div>
    </aside>
  )
}

type LedgerRowProps = {
  row: Row
  tabbable: boolean
  renaming: boolean
  mark: Drop['where'] | undefined
  onKey: (event: React.KeyboardEvent) => void
  onToggle: () => void
  onRename: (on: boolean) => void
  onPress: (event: React.PointerEvent) => void
}

function LedgerRow({ row, tabbable, renaming, mark, onKey, onToggle, onRename, onPress }: LedgerRowProps) {
  const editor = useEditor()
  const { doc, layout } = editor
  const { node, depth } = row
  const selected = editor.selection.includes(node.id)
  const section = node.kind === 'section'
  const rect = layout?.rect(node.id)
  const hidden = editor.resolved(node).hidden === true
  const switches = (
    <span className="hidden w-[44px] flex-none justify-end group-hover:flex">
      <RowSwitch
        label={node.locked ? `Unlock ${node.name}` : `Lock ${node.name}`}
        onPress={() =>
          editor.commit(
            [{ op: 'meta', node: node.id, locked: !node.locked }],
            node.locked ? 'Unlock' : 'Lock',
          )
        }
      >
        {node.locked ? <Lock {...ICON} /> : <LockOpen {...ICON} />}
      </RowSwitch>
      <RowSwitch
        label={hidden ? `Show ${node.name}` : `Hide ${node.name}`}
        onPress={() => editor.setProps({ hidden: !hidden }, hidden ? 'Show' : 'Hide', undefined, [node])}
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
      aria-labelledby={renaming ? undefined : `name-${node.id}`}
      tabIndex={tabbable ? 0 : -1}
      data-row={node.id}
      data-drop={mark}
      className={`group relative flex h-[28px] items-center rounded-[3px] pr-1 ${selected ? 'bg-secondary text-secondary-content' : 'hover:bg-base-200'} ${hidden ? 'opacity-55' : ''}`}
      style={{
        paddingLeft: 2 + depth * 13,
        outline: mark === 'inside' ? '1.5px solid var(--color-primary)' : undefined,
      }}
      onKeyDown={onKey}
      onPointerDown={onPress}
      onClick={(event) =>
        editor.select(node.id, editor.viewId, event.shiftKey || event.ctrlKey || event.metaKey)
      }
      onDoubleClick={() => onRename(true)}
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
        aria-label={row.open ? `Close ${node.name}` : `Open ${node.name}`}
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
        <span id={`name-${node.id}`} className={`min-w-0 flex-1 truncate ${section ? 'font-semibold' : ''}`}>
          {node.name}
        </span>
      )}
      {node.locked && (
        <span className="flex-none soft group-hover:hidden">
          <Lock {...ICON} />
        </span>
      )}
      {section ? (
        <>
          <span
            className="w-[54px] flex-none text-right font-semibold"
            data-height-of={node.id}
            onPointerDown={(event) => event.stopPropagation()}
            onClick={(event) => event.stopPropagation()}
            onDoubleClick={(event) => event.stopPropagation()}
          >
            <NumberChip
              label={`Height of ${node.name}`}
              value={hidden ? 0 : (rect?.height ?? 0)}
              className="rounded-[3px] px-1 font-semibold tabular-nums hover:bg-base-300/60"
              context={{ min: 0, max: 100_000, whole: editor.view.fold }}
              onChange={(px) =>
                editor.setProps({ height: { kind: 'exact', px } }, `Height of ${node.name}`, undefined, [
                  node,
                ])
              }
            />
          </span>
          <span
            className="w-[44px] flex-none text-right text-[12px] tabular-nums soft group-hover:hidden"
            data-offset-of={node.id}
          >
            {rect ? formatPx(rect.y) : '–'}
          </span>
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
      className="grid size-5 place-items-center rounded-[3px] hover:bg-base-300"
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
