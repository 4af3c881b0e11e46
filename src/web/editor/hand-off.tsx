/** What is handed off, and as what. */
import { Download, FileDown } from 'lucide-react'
import { slug } from '../../core/handoff/names'
import { savePdf, savePicture, savePng, saveProject, saveSite } from './save-file'
import { useEditor } from './use-editor'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

export function HandOff({ close }: { close: () => void }) {
  const editor = useEditor()
  const name = slug(editor.doc.name, 'project')
  const waiting = editor.session.saveState.kind !== 'saved'
  const row = 'flex w-full items-start gap-2.5 rounded-field px-2 py-2 text-left hover:bg-base-200'
  return (
    <div>
      <button
        type="button"
        className={row}
        data-option
        disabled={waiting}
        onClick={() => {
          void saveSite(editor, `${name}.zip`)
          close()
        }}
      >
        <Download {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>Website</b> <span className="soft">zip</span>
          <span className="block text-small leading-4 soft">
            {waiting
              ? 'Waits until your changes are saved.'
              : 'HTML and CSS with tokens, fonts, and photographs in the sizes that they are shown in. It lays out exactly as you see it here.'}
          </span>
        </span>
      </button>
      <button
        type="button"
        data-option
        className={row}
        onClick={() => {
          void saveProject(editor, `${name}.lattice`)
          close()
        }}
      >
        <FileDown {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>Project file</b> <span className="soft">lattice</span>
          <span className="block text-small leading-4 soft">
            Everything, pictures too, in the open format. Opens again as it is.
          </span>
        </span>
      </button>
      <button
        type="button"
        data-option
        className={row}
        disabled={!editor.layout}
        onClick={() => {
          void savePicture(editor, `${slug(editor.page?.name ?? 'page')}-${editor.view.width}.svg`)
          close()
        }}
      >
        <FileDown {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>
            Picture of {editor.page?.name}, {editor.view.name}
          </b>{' '}
          <span className="soft">svg</span>
          <span className="block text-small leading-4 soft">The active sheet as vectors.</span>
        </span>
      </button>
      <button
        type="button"
        data-option
        className={row}
        disabled={waiting || !editor.page}
        onClick={() => {
          void savePdf(editor, `${slug(editor.page?.name ?? 'page')}-${editor.view.width}.pdf`)
          close()
        }}
      >
        <FileDown {...ICON} className="mt-0.5 flex-none" />
        <span>
          <b>
            {editor.page?.name}, {editor.view.name}, on paper
          </b>{' '}
          <span className="soft">pdf</span>
          <span className="block text-small leading-4 soft">
            {waiting ? 'Waits until your changes are saved.' : 'One sheet of its size, with words and links.'}
          </span>
        </span>
      </button>
      <div className="flex items-center gap-1.5 px-2 py-1.5 text-small">
        <span className="flex-1 soft">The same as pixels, png</span>
        {[1, 2, 3].map((scale) => (
          <button
            key={scale}
            type="button"
            data-option
            className="chip"
            disabled={!editor.layout}
            aria-label={`Picture of ${editor.page?.name} as PNG, ${scale} pixels for one px`}
            onClick={() => {
              void savePng(editor, `${slug(editor.page?.name ?? 'page')}-${editor.view.width}`, scale)
              close()
            }}
          >
            {scale}×
          </button>
        ))}
      </div>
    </div>
  )
}
