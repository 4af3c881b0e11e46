/** Tokens out of a file, and into one, in the format that other tools read (W3C Design Tokens). */
import { useState } from 'react'
import { slug } from '../../core/handoff/names'
import { type ReadTokens, readTokensFile, writeTokensFile } from '../../core/tokens/tokens-file'
import { giveFile } from '../editor/save-file'
import { useEditor } from '../editor/use-editor'
import { eachOf, FileButton } from '../parts/file-button'

export function TokensFile() {
  const editor = useEditor()
  const { doc } = editor
  const [found, setFound] = useState<{ name: string; read: ReadTokens }>()
  const take = async (file: File) => {
    setFound(undefined)
    const read = readTokensFile(doc, await file.text())
    if (typeof read === 'string') throw new Error(`“${file.name}” was not taken: ${read}.`)
    setFound({ name: file.name, read })
  }
  return (
    <div className="rule-t mt-4 flex flex-wrap items-center gap-3 pt-3">
      <FileButton label="Tokens file" accept=".json,.tokens,application/json" takeAll={eachOf(take)}>
        Take in a tokens file
      </FileButton>
      <button
        type="button"
        className="line-button"
        onClick={() =>
          giveFile(`${slug(doc.name, 'project')}.tokens.json`, 'application/json', writeTokensFile(doc))
        }
      >
        Save as a tokens file
      </button>
      {found && (
        <p role="status" className="flex flex-wrap items-center gap-2">
          {found.read.edits.length === 0 ? (
            `“${found.name}” holds nothing that is not so already.`
          ) : (
            <>
              {changeWords(found.read)}
              <button
                type="button"
                className="main-button"
                onClick={() => {
                  if (editor.commit(found.read.edits, `Tokens of ${found.name}`)) setFound(undefined)
                }}
              >
                Take them in
              </button>
            </>
          )}
        </p>
      )}
    </div>
  )
}

const some = (names: readonly string[]) =>
  names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', ')

/** What would change, before it does. */
function changeWords({ added, changed }: ReadTokens): string {
  const parts = []
  if (added.length > 0) parts.push(`${added.length} new: ${some(added)}`)
  if (changed.length > 0) parts.push(`${changed.length} with other values: ${some(changed)}`)
  return `${parts.join('; ')}.`
}
