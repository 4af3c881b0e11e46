/** The project's pictures: found by name, with where each is used; placed by a press or a drag; unused ones taken away. */
import { X } from 'lucide-react'
import { lazy, Suspense, useEffect, useMemo, useState } from 'react'
import { pictureUses } from '../../core/document/picture-uses'
import type { Asset } from '../../core/document/schema'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { eachOf, PictureButton } from '../parts/file-button'
import { FindField } from '../parts/find-field'
import { Popover } from '../parts/popover'
import { pictureUrl } from '../session/pictures'
import { followPlacing } from './place-gesture'
import { draftOfPicture } from './place-item'
import { readPicture } from './read-picture'
import { pressPicture } from './take-pictures'

const DrawPicture = lazy(() => import('./draw-picture').then((part) => ({ default: part.DrawPicture })))

/** `84 KB`, `1.2 MB` */
const sizeWords = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1000))} KB` : `${(bytes / 1e6).toFixed(1)} MB`
const kindWords = ({ type }: Asset) => type.replace('image/', '').replace('+xml', '').toUpperCase()
const usedWords = (count: number) =>
  count === 0 ? 'not used' : count === 1 ? 'used once' : `used ${count} times`

export function PictureTray() {
  const editor = useEditor()
  const { doc } = editor
  const { documentVersion } = editor.session
  const [sought, setSought] = useState('')
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  const uses = useMemo(() => pictureUses(doc), [doc, documentVersion])
  const take = async (file: File) => {
    const asset = await readPicture(file, makeId(), editor.session.pictures)
    editor.commit([{ op: 'asset', id: asset.id, asset }], `Add ${asset.name}`)
  }
  const assets = [...doc.assets.values()]
  const words = sought.trim().toLowerCase()
  const shown = assets.filter(({ name }) => name.toLowerCase().includes(words))
  const remove = (list: readonly Asset[]) =>
    editor.commit(
      list.map(({ id }) => ({ op: 'asset' as const, id, asset: null })),
      list.length === 1 ? `Take out ${list[0]!.name}` : `Take out ${list.length} pictures`,
    )
  // What pages use that are not here is not known before they are.
  const { pages } = editor.session
  useEffect(() => {
    pages.whole().then(
      () => editor.changed(),
      () => undefined,
    )
  }, [pages, editor])
  const unused = !pages.isWhole ? [] : assets.filter(({ id }) => !uses.has(id))
  return (
    <>
      <div className="flex w-52 flex-none flex-col items-start gap-2">
        <PictureButton label="Picture files" multiple takeAll={eachOf(take)}>
          Add pictures
        </PictureButton>
        <Popover label="Draw a picture" className="line-button" width={420} button="Draw a picture">
          {(close) => (
            <Suspense>
              <DrawPicture close={close} />
            </Suspense>
          )}
        </Popover>
        {assets.length > 0 && <FindField label="Find a picture" value={sought} onChange={setSought} />}
        {unused.length > 0 && (
          <button
            type="button"
            className="plain-button px-1.5 text-small soft"
            onClick={() => remove(unused)}
          >
            Take out {unused.length === 1 ? 'the one that is' : `the ${unused.length} that are`} not used
          </button>
        )}
      </div>
      <div id="shelf-items" className="flex min-w-0 flex-1 gap-3 overflow-x-auto pt-0.5 pl-0.5">
        {assets.length === 0 && (
          <p className="pt-1.5 soft">
            No pictures yet. Add SVG, PNG, JPEG or WebP files; they travel with the project.
          </p>
        )}
        {assets.length > 0 && shown.length === 0 && (
          <p className="pt-1.5 soft" role="status">
            No picture here is called “{sought}”.
          </p>
        )}
        {shown.map((asset) => (
          <div key={asset.id} className="group relative w-38 flex-none">
            <button
              type="button"
              className="block w-full text-left"
              title={`${asset.name}, ${kindWords(asset)}, ${sizeWords(asset.size)}: press or drag it into a picture or an empty box; anywhere else it is placed, with Shift beside them, too`}
              onPointerDown={(event) =>
                followPlacing(
                  editor,
                  { draft: () => draftOfPicture(asset), label: `Place ${asset.name}`, asset },
                  event,
                )
              }
              onClick={(event) => pressPicture(editor, asset, event.shiftKey)}
            >
              <span className="block overflow-hidden rounded-field border border-base-300 group-hover:border-primary">
                <img src={pictureUrl(asset)} alt="" draggable={false} className="h-17 w-37.5 object-cover" />
              </span>
              <span className="mt-0.5 block truncate">{asset.name}</span>
              <span className="block truncate text-small leading-4 soft">
                {pages.isWhole && `${usedWords(uses.get(asset.id)?.length ?? 0)} · `}
                {asset.width} × {asset.height}
              </span>
            </button>
            {unused.includes(asset) && (
              <button
                type="button"
                className="icon-button absolute top-1 right-1 size-6 bg-base-100"
                aria-label={`Take out ${asset.name}`}
                title="Take it out of the project: nothing uses it"
                onClick={() => remove([asset])}
              >
                <X size={14} strokeWidth={1.75} aria-hidden />
              </button>
            )}
          </div>
        ))}
      </div>
    </>
  )
}
