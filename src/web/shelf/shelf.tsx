/** The shelf along the bottom: sections, blocks and pictures to place, with pictures of what you will get. */
import { Image, LayoutPanelTop, Search, Shapes } from 'lucide-react'
import { useState } from 'react'
import { SHELF } from '../../core/shelf/items'
import { type Editor, makeId } from '../editor/editor-state'
import { useBoard, useEditor } from '../editor/use-editor'
import { PictureButton } from '../parts/file-button'
import { pictureUrl } from '../session/pictures'
import { GuidesList } from './guides-list'
import { placeItem, placePicture } from './place-item'
import { readPicture } from './read-picture'
import { Snapping } from './snapping'
import { Thumbnail } from './thumbnail'
import { TracingList } from './tracing-list'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const
const PARTS = [
  { id: 'sections', word: 'Sections', icon: <LayoutPanelTop {...ICON} /> },
  { id: 'blocks', word: 'Blocks', icon: <Shapes {...ICON} /> },
  { id: 'pictures', word: 'Pictures', icon: <Image {...ICON} /> },
] as const

export function Shelf() {
  const editor = useEditor()
  const [search, setSearch] = useState('')
  const [category, setCategory] = useState<string>()
  const open = editor.panels.shelf
  const { shelfPart } = editor
  const count = (part: string) =>
    part === 'pictures' ? editor.doc.assets.size : SHELF.filter((item) => item.shelf === part).length
  const show = (part: Editor['shelfPart']) => {
    const close = open && shelfPart === part && search === ''
    setSearch('')
    setCategory(undefined)
    editor.set({ shelfPart: part, panels: { ...editor.panels, shelf: !close } })
  }
  const words = search.trim().toLowerCase()
  const found = SHELF.filter((item) =>
    words === ''
      ? item.shelf === shelfPart
      : `${item.name} ${item.words} ${item.category}`.toLowerCase().includes(words),
  )
  const categories = [...new Set(found.map((item) => item.category))]
  const items = found.filter((item) => category === undefined || item.category === category)
  return (
    <section aria-label="Shelf" className="flex-none border-t border-base-300 bg-base-100">
      <div className="flex h-[40px] items-center gap-1 px-3">
        <label className="flex w-[216px] items-center gap-2">
          <Search {...ICON} className="soft" />
          <input
            data-shelf-search
            className="min-w-0 flex-1 bg-transparent py-1 outline-offset-4 placeholder:text-(--soft)"
            placeholder="Place anything"
            aria-label="Place anything: search the shelf"
            value={search}
            onFocus={() => editor.set({ panels: { ...editor.panels, shelf: true } })}
            onChange={(event) => {
              setSearch(event.target.value)
              setCategory(undefined)
            }}
            onKeyDown={(event) => {
              event.stopPropagation()
              if (event.key === 'Enter' && items[0]) placeItem(editor, items[0])
              if (event.key === 'Escape') {
                setSearch('')
                event.currentTarget.blur()
                editor.set({ panels: { ...editor.panels, shelf: false } })
              }
            }}
          />
          <kbd className="rounded-[3px] border border-base-300 px-1 text-[11px] soft">/</kbd>
        </label>
        <div className="flex gap-1 pl-2" role="tablist" aria-label="Parts of the shelf">
          {PARTS.map((part) => (
            <button
              key={part.id}
              type="button"
              role="tab"
              aria-selected={open && shelfPart === part.id}
              className={`plain-button font-semibold ${open && shelfPart === part.id ? 'bg-secondary text-secondary-content' : ''}`}
              onClick={() => show(part.id)}
            >
              {part.icon} {part.word} <span className="font-normal soft">{count(part.id)}</span>
            </button>
          ))}
        </div>
        <div className="ml-auto flex items-center gap-1 text-[13px]">
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
        <div className="flex h-[146px] gap-4 px-3 pt-1 pb-3">
          {shelfPart === 'pictures' && words === '' ? (
            <Pictures />
          ) : (
            <>
              <div
                className="flex w-[208px] flex-none flex-col flex-wrap content-start gap-x-2"
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
                      className={`h-[27px] w-[100px] rounded-[3px] px-2 text-left ${on ? 'bg-base-200 font-bold' : 'soft hover:bg-base-200'}`}
                      onClick={() => setCategory(each === 'All' ? undefined : each)}
                    >
                      {each}
                    </button>
                  )
                })}
              </div>
              <div className="flex min-w-0 flex-1 gap-3 overflow-x-auto pt-0.5 pl-0.5">
                {items.length === 0 && (
                  <p className="pt-2 soft">
                    Nothing here is called “{search}”. Try “hero”, “cards”, “button” or “row”.
                  </p>
                )}
                {items.map((item) => (
                  <button
                    key={item.id}
                    type="button"
                    className="group w-[152px] flex-none text-left"
                    onClick={() => placeItem(editor, item)}
                    data-shelf-item={item.id}
                    title={`Place ${item.name}`}
                  >
                    <span className="block overflow-hidden rounded-[3px] border border-base-300 group-hover:border-primary">
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

function Pictures() {
  const editor = useEditor()
  const take = async (file: File) => {
    const asset = await readPicture(file, makeId(), editor.session.pictures)
    editor.commit([{ op: 'asset', id: asset.id, asset }], `Add ${asset.name}`)
  }
  const assets = [...editor.doc.assets.values()]
  return (
    <>
      <div className="w-[208px] flex-none">
        <PictureButton label="Picture files" multiple take={take}>
          Add pictures
        </PictureButton>
      </div>
      <div className="flex min-w-0 flex-1 gap-3 overflow-x-auto pt-0.5 pl-0.5">
        {assets.length === 0 && (
          <p className="pt-1.5 soft">
            No pictures yet. Add SVG, PNG, JPEG or WebP files; they travel with the project.
          </p>
        )}
        {assets.map((asset) => (
          <button
            key={asset.id}
            type="button"
            className="group w-[152px] flex-none text-left"
            title={`Place ${asset.name}`}
            onClick={() => placePicture(editor, asset)}
          >
            <span className="block overflow-hidden rounded-[3px] border border-base-300 group-hover:border-primary">
              <img src={pictureUrl(asset)} alt="" className="h-[84px] w-[150px] object-cover" />
            </span>
            <span className="mt-1 block truncate">{asset.name}</span>
          </button>
        ))}
      </div>
    </>
  )
}

/** How large the sheets are drawn; pressed, real size. */
function Zoom() {
  const editor = useBoard()
  return (
    <button
      type="button"
      className="plain-button min-w-[58px] font-semibold tabular-nums"
      title="Real size (Ctrl 0)"
      onClick={() => editor.zoomReal()}
    >
      {Math.round(editor.camera.zoom * 100)} %
    </button>
  )
}
