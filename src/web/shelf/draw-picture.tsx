/** Placeholder pictures by subject: drawn in the shape of what is selected, and put there. */
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import { placeholder, SUBJECTS, type Subject } from '../../core/placeholders/subjects'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { readPictures, selectedTargets, takePictures } from './take-pictures'

/** Of a picture that is for no block, px. */
const PLAIN = { width: 1200, height: 800 }
/** Of a preview, px. */
const SMALL = { width: 132, height: 88 }
/** Drawings are no smaller, so that they can be made larger later, px. */
const LEAST = 600

/** As large as a block on the active sheet, or larger in the same shape. */
function shapeFor(editor: Editor, node: Node | undefined) {
  const rect = node && editor.layout?.rect(node.id)
  if (!rect || rect.width < 1 || rect.height < 1) return PLAIN
  const scale = Math.max(1, LEAST / Math.max(rect.width, rect.height))
  return { width: Math.round(rect.width * scale), height: Math.round(rect.height * scale) }
}

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)

/** How many of a subject there are already: the next is another. */
const countOf = ({ doc }: Editor, subject: Subject) =>
  [...doc.assets.values()].filter(({ name }) => name.startsWith(`${capital(subject)} `)).length

/** The file of the next of a subject. @param more of it that are drawn just now and not yet there */
function drawn(editor: Editor, subject: Subject, node: Node | undefined, more = 0) {
  const { width, height } = shapeFor(editor, node)
  const count = countOf(editor, subject) + more
  const svg = placeholder(subject, count, width, height)
  return new File([svg], `${capital(subject)} ${count + 1}.svg`, { type: 'image/svg+xml' })
}

/** One for each block that is selected, or one that is placed. */
export function drawPictures(editor: Editor, subject: Subject) {
  const targets = selectedTargets(editor)
  const blocks = targets.length > 0 ? targets : [undefined]
  return takePictures(
    editor,
    blocks.map((node, i) => drawn(editor, subject, node, i)),
    targets,
  )
}

/** One in a block's shape, to be put behind what the block holds; nothing: it could not be had, or was not waited for. */
export async function drawBehind(editor: Editor, node: Node): Promise<Asset | undefined> {
  const [asset] = await readPictures(editor, [drawn(editor, 'landscapes', node)])
  return asset
}

export function DrawPicture({ close }: { close: () => void }) {
  const editor = useEditor()
  return (
    <div className="grid gap-1.5">
      <p className="px-1 soft">A placeholder in the shape of what is selected.</p>
      <div className="grid grid-cols-4 gap-1.5" role="listbox" aria-label="Draw a picture">
        {SUBJECTS.map((subject) => (
          <button
            key={subject}
            type="button"
            role="option"
            aria-selected={false}
            data-option
            className="rounded-field p-1 text-left text-small hover:bg-base-200"
            onClick={() => {
              close()
              void drawPictures(editor, subject)
            }}
          >
            <img
              alt=""
              className="mb-0.5 w-full rounded-xs"
              src={`data:image/svg+xml,${encodeURIComponent(
                placeholder(subject, countOf(editor, subject), SMALL.width, SMALL.height),
              )}`}
            />
            {subject}
          </button>
        ))}
      </div>
    </div>
  )
}
