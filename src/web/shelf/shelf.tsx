/** The shelf along the bottom: sections, blocks and pictures to place, with pictures of what you will get. */
import { Image, LayoutPanelTop, Search, Shapes, Smile, Spline } from 'lucide-react'
import { useState } from 'react'
import type { ShelfItem } from '../../core/shelf/build'
import { SHELF } from '../../core/shelf/items'
import { foundOnShelf } from '../../core/shelf/search'
import type { Editor } from '../editor/editor-state'
import { goHome } from '../editor/focus-home'
import { useBoard, useEditor } from '../editor/use-editor'
import { AddMenu } from '../parts/add-menu'
import { DRAWINGS } from '../shapes/to-draw'
import { GuidesList } from './guides-list'
import { IconTray } from './icon-tray'
import { PictureTray } from './picture-tray'
import { followPlacing } from './place-gesture'
import { draftOf, placeItem } from './place-item'
import { Snapping } from './snapping'
import { Thumbnail } from './thumbnail'
import { TracingList } from './tracing-list'
import { useIcons } from './use-icons'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const
const PARTS = [
  { id: 'sections', word: 'Sections', icon: <LayoutPanelTop {...ICON} /> },
  { id: 'blocks', word: 'Blocks', icon: <Shapes {...ICON} /> },
  { id: 'icons', word: 'Icons', icon: <Smile {...ICON} /> },
  { id: 'pictures', word: 'Pictures', icon: <Image {...ICON} /> },
] as const

/** Most icons that a search of the whole shelf shows. */
const MOST_ICONS = 24

/** The panels that lie over the board in a narrow window, one at a time. */
function OverBoard() {
  const editor = useEditor()
  return (['ledger', 'spec'] as const).map((name) => (
    <button
      key={name}
      type="button"
      className={`plain-button font-semibold capitalize ${editor.panels[name] ? 'bg-secondary text-secondary-content' : ''}`}
      aria-pressed={editor.panels[name]}
      onClick={() => editor.showPanel(name, !editor.panels[name])}
    >
      {name}
    </button>
  ))
}

export function Shelf() {
  const editor = useEditor()
  const [search, setSearch] = useState('')
  const [category, setCategory] = useState<string>()
  const [mark, setMark] = useState(0)
  const open = editor.panels.shelf
  const { shelfPart } = editor
  const show = (part: Editor['shelfPart']) => {
    const close = open && shelfPart === part && search === ''
    setSearch('')
    setCategory(undefined)
    editor.shelfPart = part
    editor.showPanel('shelf', !close)
  }
  const words = search.trim()
  const icons = useIcons(words !== '')
  const found = words === '' ? SHELF.filter((item) => item.shelf === shelfPart) : foundOnShelf(words)
  if (icons)
    for (const { name, drawing } of icons.find(words).slice(0, MOST_ICONS))
      found.push(icons.item(name, drawing, editor.iconLook))
  const categories = [...new Set(found.map((item) => item.category))]
  const items = found.filter((item) => category === undefined || item.category === category)
  /** What Enter places. */
  const marked = words === '' ? undefined : items[Math.min(mark, items.length - 1)]
  const count = (part: string) => {
    if (part === 'icons' && words === '') return ''
    if (part === 'pictures') return words === '' ? editor.doc.assets.size : 0
    return (words === '' ? SHELF : found).filter((item) => item.shelf === part).length
  }
  const isShown = (part: string) => open && part === (marked?.shelf ?? (words === '' ? shelfPart : ''))
  /** Whether drawing a path is offered, too. */
  const drawing =
    words === ''
      ? shelfPart === 'blocks' && (category ?? 'Shapes') === 'Shapes'
      : 'draw a path shape line box ellipse'.includes(words.toLowerCase())
  const place = (item: ShelfItem) => {
    setSearch('')
    placeItem(editor, item)
  }
  return (
    <section aria-label="Shelf" className="flex-none border-t border-base-300 bg-base-100">
      <div className="flex h-10 items-center gap-1 px-3 max-md:overflow-x-auto max-md:*:flex-none">
        {editor.panelsBeside && <OverBoard />}
        <label className="flex w-54 items-center gap-2 max-md:w-44">
          <Search {...ICON} className="soft" />
          <input
            data-shelf-search
            className="min-w-0 flex-1 bg-transparent py-1 outline-offset-4 placeholder:text-(--soft)"
            placeholder="Place anything"
            aria-label="Place anything: search the shelf"
            value={search}
            onFocus={() => editor.showPanel('shelf', true)}
            onChange={(event) => {
              setSearch(event.target.value)
              setCategory(undefined)
              setMark(0)
            }}
            role="combobox"
            aria-expanded={words !== ''}
            aria-controls="shelf-items"
            aria-activedescendant={marked ? `shelf-${marked.id}` : undefined}
            onKeyDown={(event) => {
              event.stopPropagation()
              const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
              if (step !== undefined && marked) {
                event.preventDefault()
                setMark(Math.max(0, Math.min(items.length - 1, mark + step)))
              }
              if (event.key === 'Enter' && marked) place(marked)
              if (event.key === 'Escape') {
                setSearch('')
                goHome(editor)
                editor.showPanel('shelf', false)
              }
            }}
          />
          <kbd className="rounded-field border border-base-300 px-1 text-tiny soft">/</kbd>
        </label>
        <div className="flex gap-1 pl-2" role="group" aria-label="Parts of the shelf">
          {PARTS.map((part) => (
            <button
              key={part.id}
              type="button"
              aria-expanded={isShown(part.id)}
              aria-controls="shelf-items"
              className={`plain-button font-semibold ${isShown(part.id) ? 'bg-secondary text-secondary-content' : ''}`}
              onClick={() => show(part.id)}
            >
              {part.icon} {part.word}{' '}
              <span className="font-normal soft">
                {count(part.id)}
                {words !== '' && ' found'}
              </span>
            </button>
          ))}
        </div>
        <div className="ml-auto flex items-center gap-1 text-plain">
          <TracingList />
          <GuidesList />
          <Snapping />
          <button
            type="button"
            className={`plain-button ${editor.showLattice ? 'font-semibold' : 'soft'}`}
            aria-pressed={editor.showLattice}
            title="Show the lattice on the sheets (L)"
            onClick={() => editor.set({ showLattice: !editor.showLattice })}
          >
            Lattice
          </button>
          <button
            type="button"
            className="plain-button soft"
            title="Fit the sheets (F)"
            onClick={() => editor.fit()}
          >
            Fit
          </button>
          <Zoom />
        </div>
      </div>
      {open && (
        <div className="flex h-36.5 max-h-[45vh] gap-4 overflow-auto px-3 pt-1 pb-3">
          {shelfPart === 'pictures' && words === '' ? (
            <PictureTray />
          ) : shelfPart === 'icons' && words === '' ? (
            <IconTray place={place} />
          ) : (
            <>
              <div
                className="flex w-52 flex-none flex-col flex-wrap content-start gap-x-2"
                role="group"
                aria-label="Categories"
              >
                {['All', ...categories].map((each) => {
                  const on = each === (category ?? 'All')
                  return (
                    <button
                      key={each}
                      type="button"
                      aria-pressed={on}
                      className={`h-6.75 w-25 rounded-field px-2 text-left ${on ? 'bg-base-200 font-bold' : 'soft hover:bg-base-200'}`}
                      onClick={() => setCategory(each === 'All' ? undefined : each)}
                    >
                      {each}
                    </button>
                  )
                })}
              </div>
              <div id="shelf-items" className="flex min-w-0 flex-1 gap-3 overflow-x-auto pt-0.5 pl-0.5">
                {items.length === 0 && !drawing && (
                  <p className="pt-2 soft">
                    Nothing here is called “{search}”. Try “hero”, “cards”, “button” or “row”.
                  </p>
                )}
                {drawing && <DrawShape />}
                {items.map((item) => (
                  <button
                    key={item.id}
                    id={`shelf-${item.id}`}
                    type="button"
                    className="group w-38 flex-none text-left"
                    onPointerDown={(event) =>
                      followPlacing(
                        editor,
                        { draft: () => draftOf(editor, item), label: `Place ${item.name}` },
                        event,
                      )
                    }
                    onClick={() => place(item)}
                    data-shelf-item={item.id}
                    data-marked={item === marked || undefined}
                    title={`Press to place ${item.name} behind what is selected, or drag it onto a sheet`}
                  >
                    <span
                      className={`block overflow-hidden rounded-field border group-hover:border-primary ${item === marked ? 'border-primary outline-2 outline-primary' : 'border-base-300'}`}
                    >
                      <Thumbnail item={item} views={editor.doc.views} tokens={editor.doc.tokens} />
                    </span>
                    <span className="mt-1 block truncate">{item.name}</span>
                  </button>
                ))}
              </div>
            </>
          )}
        </div>
      )}
    </section>
  )
}

/** What is not placed but drawn on the sheet. */
function DrawShape() {
  const editor = useEditor()
  return (
    <span className="group flex w-38 flex-none flex-col justify-center">
      <AddMenu
        label="Draw on the sheet"
        width={150}
        className="grid h-21.5 w-full flex-none place-items-center rounded-field border border-dashed border-base-300 group-hover:border-primary"
        button={<Spline size={26} strokeWidth={1.5} aria-hidden />}
        options={DRAWINGS.map(({ words, begin }) => ({ words, value: begin }))}
        onTake={(begin) => begin(editor)}
      />
      <span className="mt-1 block truncate">Draw …</span>
    </span>
  )
}

/** How large the sheets are drawn; pressed, real size. */
function Zoom() {
  const editor = useBoard()
  return (
    <button
      type="button"
      className="plain-button min-w-14.5 font-semibold tabular-nums"
      title="Real size (Ctrl 0)"
      onClick={() => editor.zoomReal()}
    >
      {Math.round(editor.camera.zoom * 100)} %
    </button>
  )
}
