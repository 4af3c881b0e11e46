/** Icons by name and meaning: placed by a press or a drag, or put beside a selected button's words. */
import { useVirtualizer } from '@tanstack/react-virtual'
import { createElement, useEffect, useLayoutEffect, useRef, useState } from 'react'
import type { Icon } from '../../core/icons/find'
import type { ShelfItem } from '../../core/shelf/build'
import { useEditor } from '../editor/use-editor'
import { Check } from '../parts/check'
import { FindField } from '../parts/find-field'
import { NumberChip } from '../parts/number-chip'
import type { Icons } from './icons'
import { followPlacing } from './place-gesture'
import { draftOf } from './place-item'
import { useIcons } from './use-icons'

/** A side of what an icon is pressed on, px. */
const CELL = 38

function IconPicture({ icon: { drawing }, line }: { icon: Icon; line: number }) {
  return (
    <svg
      aria-hidden
      viewBox="0 0 24 24"
      width={20}
      height={20}
      fill="none"
      stroke="currentColor"
      strokeWidth={line}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {drawing.map(([element, attributes], i) => createElement(element, { ...attributes, key: i }))}
    </svg>
  )
}

export function IconTray({ place }: { place: (item: ShelfItem) => void }) {
  const editor = useEditor()
  const icons = useIcons(true)
  const [sought, setSought] = useState('')
  const [isInstead, setInstead] = useState(false)
  const { selected } = editor
  const isDrawn = selected !== undefined && selected.kind === 'shape' && selected.props.form?.form === 'path'
  const { iconLook } = editor
  const found = icons?.find(sought) ?? []
  const setLook = (part: Partial<typeof iconLook>) => editor.set({ iconLook: { ...iconLook, ...part } })
  const itemOf = ({ name, drawing }: Icon) => icons!.item(name, drawing, iconLook)
  const press = (icon: Icon) => {
    if (!isInstead || !isDrawn) return place(itemOf(icon))
    const edits = icons!.instead(selected, icon.name, icon.drawing)
    if (editor.commit(edits, `Icon ${icon.name}`)) editor.announce(`${icon.name} is there now`)
  }
  return (
    <>
      <div className="flex w-52 flex-none flex-col items-start gap-2">
        <FindField
          label="Find an icon"
          value={sought}
          onChange={setSought}
          onEnter={() => found[0] && press(found[0])}
        />
        <p role="status" className="px-1 text-small soft">
          {icons ? countWords(found.length, sought) : 'Fetching the icons …'}
        </p>
        <div className="flex flex-wrap items-center gap-1.5 px-1">
          <NumberChip
            label="Size of icons"
            value={iconLook.size}
            unit=" px"
            context={{ min: 4, max: 400 }}
            onChange={(size) => setLook({ size })}
          />
          <span className="soft">drawn by</span>
          <NumberChip
            label="Line of icons"
            value={iconLook.line}
            unit=" px"
            step={0.25}
            context={{ min: 0.25, max: 40 }}
            onChange={(line) => setLook({ line })}
          />
        </div>
        {isDrawn && (
          <Check on={isInstead} set={setInstead}>
            <span className="text-small">In place of {editor.called(selected)}, as it is drawn</span>
          </Check>
        )}
        {selected?.kind === 'button' && (
          <p className="px-1 text-small soft">Goes into {editor.called(selected)}, before its words.</p>
        )}
      </div>
      {icons && (
        <IconGrid
          key={sought}
          found={found}
          icons={icons}
          line={iconLook.line}
          onPress={press}
          onPointerDown={(icon, event) => {
            const item = itemOf(icon)
            followPlacing(editor, { draft: () => draftOf(editor, item), label: `Place ${item.name}` }, event)
          }}
        />
      )}
    </>
  )
}

const countWords = (count: number, sought: string) =>
  count === 0
    ? `No icon here is called “${sought}”.`
    : `${count.toLocaleString('en')} icon${count === 1 ? '' : 's'}${sought.trim() ? ' found' : ''}`

/** Rows of icons of which only those in sight are drawn; the arrow keys go about in them. */
function IconGrid({
  found,
  icons,
  line,
  onPress,
  onPointerDown,
}: {
  found: readonly Icon[]
  icons: Icons
  line: number
  onPress: (icon: Icon) => void
  onPointerDown: (icon: Icon, event: React.PointerEvent) => void
}) {
  const list = useRef<HTMLDivElement>(null)
  const [columns, setColumns] = useState(12)
  const [at, setAt] = useState(0)
  useLayoutEffect(() => {
    const measure = () => setColumns(Math.max(1, Math.floor((list.current?.clientWidth ?? 0) / CELL)))
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(list.current!)
    return () => observer.disconnect()
  }, [])
  const rows = useVirtualizer({
    count: Math.ceil(found.length / columns),
    getScrollElement: () => list.current,
    estimateSize: () => CELL,
    overscan: 2,
  })
  useEffect(() => {
    if (at > 0) rows.scrollToIndex(Math.floor(at / columns), { align: 'auto' })
  }, [at, columns, rows])
  const onKeyDown = (event: React.KeyboardEvent) => {
    const step = {
      ArrowRight: 1,
      ArrowLeft: -1,
      ArrowDown: columns,
      ArrowUp: -columns,
      Home: -found.length,
      End: found.length,
    }[event.key]
    if (step === undefined && event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    event.stopPropagation()
    if (step !== undefined) setAt(Math.max(0, Math.min(found.length - 1, at + step)))
    else if (found[at]) onPress(found[at])
  }
  return (
    <div
      ref={list}
      id="shelf-items"
      role="listbox"
      aria-label="Icons"
      aria-activedescendant={found[at] && `icon-${found[at].name}`}
      tabIndex={0}
      className="min-w-0 flex-1 overflow-y-auto rounded-field"
      onKeyDown={onKeyDown}
    >
      <div className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().flatMap(({ index, start }) =>
          found.slice(index * columns, (index + 1) * columns).map((icon, i) => {
            const place = index * columns + i
            return (
              <button
                key={icon.name}
                id={`icon-${icon.name}`}
                type="button"
                tabIndex={-1}
                role="option"
                aria-selected={place === at}
                aria-label={icons.words(icon.name)}
                title={icons.words(icon.name)}
                className={`absolute grid place-items-center rounded-field hover:bg-base-200 ${place === at ? 'bg-base-200' : ''}`}
                style={{ left: i * CELL, top: start, width: CELL - 2, height: CELL - 2 }}
                onPointerDown={(event) => {
                  setAt(place)
                  onPointerDown(icon, event)
                }}
                onClick={() => onPress(icon)}
              >
                <IconPicture icon={icon} line={line} />
              </button>
            )
          }),
        )}
      </div>
    </div>
  )
}
