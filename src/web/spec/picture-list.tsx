/** The project's pictures, to choose one of. */
import type { Asset } from '../../core/document/schema'
import { useEditor } from '../editor/use-editor'
import { pictureUrl } from '../session/pictures'

export function PictureList({
  chosen,
  onChoose,
}: {
  chosen: string | undefined
  onChoose: (asset: Asset) => void
}) {
  const assets = [...useEditor().doc.assets.values()]
  if (assets.length === 0)
    return (
      <p className="p-2 leading-5 soft">
        No pictures in this project yet. Add one from the shelf, under Pictures.
      </p>
    )
  return (
    <div className="grid max-h-80 grid-cols-2 gap-1.5 overflow-y-auto" role="listbox" aria-label="Pictures">
      {assets.map((each) => (
        <button
          key={each.id}
          type="button"
          role="option"
          aria-selected={each.id === chosen}
          data-option
          className="rounded-field p-1 text-left text-small hover:bg-base-200"
          onClick={() => onChoose(each)}
        >
          <img alt="" src={pictureUrl(each)} className="mb-1 h-17 w-full rounded-xs object-cover" />
          <span className="block truncate">{each.name}</span>
        </button>
      ))}
    </div>
  )
}
