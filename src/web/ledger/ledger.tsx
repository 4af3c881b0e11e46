/** The ledger: sections with height and running offset, each opening to its blocks. A tree for mouse and keyboard. */

import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef, useState } from 'react'
import { mayHold } from '../../core/arrange/order'
import { shownChildren } from '../../core/arrange/view-order'
import { formatPx } from '../../core/lattice/solve'
import { holdsBlocks, isText } from '../../core/properties/kinds'
import { HOME } from '../editor/focus-home'
import { openBlock } from '../editor/open-block'
import { useEditor } from '../editor/use-editor'
import { useStable } from '../parts/stable'
import { focusWords } from '../spec/focus-words'
import { type DropMark, LedgerRow, ROW_HEIGHT } from './row'
import { type Row, rowsOf } from './rows'

/** Rows drawn beyond each end of those in sight. */
const AROUND = 40

type Drop = { row: number; where: DropMark }

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

  const { instances } = editor
  const rows = instances?.page === editor.pageId ? rowsOf(instances, doc, editor.viewId, open) : []
  const lines = useVirtualizer({
    count: rows.length,
    getScrollElement: () => tree.current,
    estimateSize: () => ROW_HEIGHT,
    getItemKey: (index) => rows[index]!.node.id,
    overscan: AROUND,
  })
  const drawn = lines.getVirtualItems()
  const latestRows = useRef(rows)
  latestRows.current = rows
  /** Scrolls a row into sight, once it is there. */
  const reveal = (id: string, then?: () => void) =>
    requestAnimationFrame(() => {
      const index = latestRows.current.findIndex((row) => row.node.id === id)
      if (index >= 0) lines.scrollToIndex(index, { align: 'auto' })
      if (then) requestAnimationFrame(then)
    })

  // What is selected on the board is shown here.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when the selection moves
  useEffect(() => {
    if (!selected) return
    const hidden = doc.ancestors(selected.id).filter((node) => node.kind !== 'page' && !open.has(node.id))
    if (hidden.length > 0) setOpen(new Set([...open, ...hidden.map((node) => node.id)]))
    setFocus(selected.id)
    reveal(selected.id)
  }, [selected?.id])

  const toggle = (id: string) => {
    const next = new Set(open)
    if (!next.delete(id)) next.add(id)
    setOpen(next)
  }
  const focusRow = (id: string) => {
    setFocus(id)
    const here = () => tree.current?.querySelector<HTMLElement>(`[data-row="${id}"]`)
    // At once where it is drawn: the next key is meant for it.
    const now = here()
    now?.focus({ preventScroll: true })
    reveal(id, now ? undefined : () => here()?.focus({ preventScroll: true }))
  }
  const step = (id: string, by: -1 | 1) => {
    editor.moveBy(doc.node(id), by)
    focusRow(id)
  }

  const range = (id: string) =>
    editor.selectTo(
      id,
      editor.viewId,
      rows.flatMap(({ node }) => (node.source ? [] : [node.id])),
    )

  const key = (event: React.KeyboardEvent, id: string) => {
    const index = rows.findIndex(({ node }) => node.id === id)
    const row = rows[index]
    if (!row) return
    const { node } = row
    const go = (to: Row | undefined) => {
      if (!to) return
      // Ctrl goes to a row without selecting it; Space then picks it.
      if (event.shiftKey && !to.node.source) range(to.node.id)
      else if (!event.ctrlKey && !event.metaKey) editor.select(to.node.id)
      focusRow(to.node.id)
    }
    switch (event.key) {
      case 'ArrowDown':
        event.preventDefault()
        if (event.altKey && node.source) return
        return event.altKey ? step(node.id, 1) : go(rows[index + 1])
      case 'ArrowUp':
        event.preventDefault()
        if (event.altKey && node.source) return
        return event.altKey ? step(node.id, -1) : go(rows[index - 1])
      case 'ArrowRight':
        event.preventDefault()
        if (node.children.length === 0) return
        return row.open ? go(rows[index + 1]) : toggle(node.id)
      case 'ArrowLeft':
        event.preventDefault()
        return row.open ? toggle(node.id) : go(rows.find((each) => each.node.id === row.parent))
      case ' ':
        event.preventDefault()
        return editor.select(node.id, editor.viewId, true)
      case 'Home':
        return go(rows[0])
      case 'End':
        return go(rows.at(-1))
      case 'F2':
        return node.source ? undefined : setRenaming(node.id)
      case 'Enter':
        // Nothing else is pressed by it.
        event.preventDefault()
        if (node.source) return isText(node.kind) ? focusWords() : toggle(node.id)
        if (!openBlock(editor, node)) toggle(node.id)
    }
  }

  const dropFor = (clientY: number): Drop | undefined => {
    const id = drag.current?.id
    if (!id) return undefined
    const down = clientY - tree.current!.getBoundingClientRect().top + tree.current!.scrollTop
    const row = Math.min(rows.length - 1, Math.max(0, Math.floor(down / ROW_HEIGHT)))
    const target = rows[row]
    if (!target || target.node.source) return undefined
    const share = down / ROW_HEIGHT - row
    // For one view alone only the order there changes: what holds the block is the same on all.
    if (editor.scopedView !== undefined)
      return target.parent === doc.node(id).parent && target.node.id !== id
        ? { row, where: share < 0.5 ? 'before' : 'after' }
        : undefined
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
    const target = rows[drop.row]!
    const parent = drop.where === 'inside' ? target.node.id : target.parent
    const siblings = shownChildren(doc, parent, editor.viewId).filter((id) => id !== now.id)
    const at = siblings.indexOf(target.node.id) + (drop.where === 'after' ? 1 : 0)
    const next = drop.where === 'inside' ? undefined : siblings[at]
    const inDocument = doc.node(parent).children.filter((id) => id !== now.id)
    const index = next === undefined ? inDocument.length : inDocument.indexOf(next)
    editor.move([now.id], { parent, index, next })
    if (drop.where === 'inside') setOpen(new Set([...open, parent]))
  }

  const acts = useStable({
    key,
    toggle,
    range,
    rename: (id: string, on: boolean) => {
      setRenaming(on ? id : undefined)
      if (!on) focusRow(id)
    },
    press: (event: React.PointerEvent, id: string) => {
      if (event.button === 0 && !instances?.find(id)?.source)
        drag.current = { id, y: event.clientY, moving: false }
    },
  })
  if (!editor.page) return <aside aria-label="Ledger" className="w-64 border-r border-base-300" />
  const list = {
    [HOME]: 'ledger',
    'aria-label': `Sections of ${editor.page.name}`,
    // A tree without rows would be none.
    ...(rows.length > 0 ? { role: 'tree', 'aria-multiselectable': true } : { role: 'group' }),
  }
  const sections = instances?.node(editor.pageId).children.length ?? 0
  return (
    <aside
      aria-label="Ledger"
      className="over-board flex w-64 flex-none flex-col border-r border-base-300 bg-base-100"
    >
      <div className="flex h-7.5 flex-none items-end px-3 pb-1 text-small soft">
        <span className="flex-1 pl-4">Section</span>
        <span className="w-11.5 text-right">Height</span>
        <span className="mr-6 w-9.5 text-right">From</span>
      </div>
      <div
        ref={tree}
        {...list}
        className="min-h-0 flex-1 touch-none overflow-y-auto px-1.5 pb-3"
        onPointerMove={pointerMove}
        onPointerUp={pointerUp}
        onPointerCancel={() => {
          drag.current = undefined
          setDrop(undefined)
        }}
      >
        {rows.length === 0 && (
          <p className="px-3 py-6 text-plain leading-5 soft">
            No sections yet. Place one from the shelf at the bottom; its height is added up here.
          </p>
        )}
        <div style={{ height: drawn[0]?.start ?? 0 }} />
        {drawn.map(({ index }) => {
          const { node, ...place } = rows[index]!
          return (
            <LedgerRow
              key={node.id}
              id={node.id}
              {...place}
              tabbable={focus === node.id || (index === 0 && !rows.some((each) => each.node.id === focus))}
              renaming={renaming === node.id}
              mark={drop?.row === index ? drop.where : undefined}
              acts={acts}
            />
          )
        })}
        <div style={{ height: Math.max(0, lines.getTotalSize() - (drawn.at(-1)?.end ?? 0)) }} />
      </div>
      <div className="rule-t flex h-9.5 flex-none items-center justify-between px-3 text-small soft">
        <span>{sections === 1 ? '1 section' : `${sections} sections`}</span>
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
