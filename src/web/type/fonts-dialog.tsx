/** The project's own fonts: what is there, where it is used, and taking more in. */
import { X } from 'lucide-react'
import { useEffect, useMemo, useRef, useState } from 'react'
import { familyOf, ownName } from '../../core/document/own-families'
import type { OwnFamily } from '../../core/document/schema'
import { hasProperty } from '../../core/properties/table'
import { DEFAULT_FAMILY } from '../../core/properties/type'
import { type FontUses, fontUses, takeOutFont } from '../../core/tokens/own-fonts'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Check } from '../parts/check'
import { Choice, type Option } from '../parts/choice'
import { Dialog } from '../parts/dialog'
import { FileButton } from '../parts/file-button'
import { InItself } from '../spec/font-choice'
import { addFonts, type FontRead, readFonts } from './take-fonts'

export function FontsDialog() {
  const editor = useEditor()
  const { doc } = editor
  const [waiting, setWaiting] = useState<readonly FontRead[]>([])
  const { documentVersion } = editor.session
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  const uses = useMemo(() => fontUses(doc), [doc, documentVersion])
  const leaving = useRef<AbortController>(undefined)
  useEffect(() => {
    const left = new AbortController()
    leaving.current = left
    return () => left.abort()
  }, [])
  const take = async (files: readonly File[]) => {
    const found = await readFonts(editor, files, leaving.current!.signal)
    if (!found) return
    setWaiting((before) => [
      ...before,
      ...found.read.filter(({ whole }) => before.every((each) => each.whole.hash !== whole.hash)),
    ])
    if (found.problems.length > 0) throw new Error(found.problems.join(' '))
  }
  const problem = useDropped(editor, take)
  return (
    <Dialog title="Fonts of this project" onClose={() => editor.set({ dialog: undefined })} width={560}>
      <p className="pb-3 soft">
        Beside those that ship with the program: fonts of your own. They lie in the project and are handed off
        with the website.
      </p>
      {doc.fonts.length === 0 && waiting.length === 0 && (
        <p className="pb-3">None yet. Add the WOFF2, TTF or OTF files of a family, one for each weight.</p>
      )}
      <ul className="flex flex-col">
        {doc.fonts.map((own) => (
          <FamilyRow key={own.id} own={own} uses={uses.get(own.id)} />
        ))}
      </ul>
      <FileButton label="Font files" accept=".woff2,.ttf,.otf,.woff,.ttc" multiple isFirst takeAll={take}>
        Add font files
      </FileButton>
      {problem && (
        <p role="alert" className="mt-2 text-small leading-4 text-error">
          {problem}
        </p>
      )}
      {waiting.length > 0 && <Waiting fonts={waiting} setFonts={setWaiting} />}
    </Dialog>
  )
}

/** Files that were dropped on the board are read as soon as this is open. @returns what was wrong with them */
function useDropped(editor: Editor, take: (files: readonly File[]) => Promise<void>): string | undefined {
  const [problem, setProblem] = useState<string>()
  const latest = useRef(take)
  latest.current = take
  useEffect(() => {
    const files = editor.droppedFonts
    if (files.length === 0) return
    editor.droppedFonts = []
    latest.current(files).catch((error: Error) => setProblem(error.message))
  }, [editor])
  return problem
}

const weightWords = ([least, most]: readonly [number, number]) =>
  least === most ? `${least}` : `${least} to ${most}`

const fileWords = ({ italic, weights }: { italic?: boolean; weights: [number, number] }) =>
  `${italic ? 'italic ' : ''}${weightWords(weights)}`

const STAND_INS: Option<OwnFamily['category']>[] = [
  { value: 'sans', label: 'a sans' },
  { value: 'serif', label: 'a serif' },
  { value: 'mono', label: 'letters of one width' },
  { value: 'hand', label: 'a hand' },
]

function usedWords({ texts, styles }: FontUses): string {
  const some = (count: number, one: string) =>
    count === 0 ? [] : [count === 1 ? `1 ${one}` : `${count} ${one}s`]
  return `used by ${[...some(texts, 'text'), ...some(styles.length, 'type style')].join(' and ')}`
}

function FamilyRow({ own, uses }: { own: OwnFamily; uses: FontUses | undefined }) {
  const editor = useEditor()
  const size = own.files.reduce((sum, file) => sum + file.size, 0)
  const styles = new Set(own.files.map(fileWords))
  const isInParts = styles.size < own.files.length
  const isUsed = uses !== undefined
  const takeOut = isUsed ? `Take out, set them in ${DEFAULT_FAMILY}` : 'Take out'
  return (
    <li className="rule-b mb-2 flex items-center gap-3 pb-2" aria-label={own.family}>
      <div className="min-w-0 flex-1">
        <div className="truncate">
          <InItself family={own.id} />
        </div>
        <div className="text-small soft">
          {[...styles].join(', ')} · {Math.max(1, Math.round(size / 1000))} KB
          {isInParts && ` in ${own.files.length} parts, each loaded when it is drawn with`} ·{' '}
          {isUsed ? usedWords(uses) : 'not used'}
        </div>
        <div className="mt-1 flex items-center gap-2 text-small soft">
          Until it is there visitors see
          <Choice
            label={`What stands in for ${own.family}`}
            width={200}
            options={STAND_INS}
            value={own.category}
            onChoose={(category) =>
              editor.commit(
                [{ op: 'font', id: own.id, font: { ...own, category } }],
                `What stands in for ${own.family}`,
              )
            }
          />
        </div>
      </div>
      <SetButton own={own} />
      <button
        type="button"
        className="plain-button flex-none px-1.5 text-small"
        aria-label={`${takeOut}: ${own.family}`}
        onClick={() => {
          editor.commit(takeOutFont(editor.doc, own.id, DEFAULT_FAMILY), `Take out the font ${own.family}`)
          editor.announce(`${own.family} taken out`)
        }}
      >
        {takeOut}
      </button>
    </li>
  )
}

/** Whoever came here from a text wants it set so. */
function SetButton({ own }: { own: OwnFamily }) {
  const editor = useEditor()
  const texts = editor.selectedNodes.filter(({ kind }) => hasProperty(kind, 'fontFamily'))
  if (texts.every((node) => editor.resolved(node).fontFamily === own.id)) return null
  const what = texts.length === 1 ? editor.called(texts[0]!) : `${texts.length} texts`
  return (
    <button
      type="button"
      className="line-button max-w-55 flex-none"
      aria-label={`Set ${what} in ${own.family}`}
      onClick={() => {
        editor.setProps({ fontFamily: own.id }, `Font family of ${what}`, undefined, texts)
        editor.set({ dialog: undefined })
      }}
    >
      <span className="truncate">Set {what} in it</span>
    </button>
  )
}

/** Files that were read, with what has to be said before they are the project's. */
function Waiting({
  fonts,
  setFonts,
}: {
  fonts: readonly FontRead[]
  setFonts: (fonts: readonly FontRead[]) => void
}) {
  const editor = useEditor()
  const [isLicensed, setLicensed] = useState(false)
  const [inParts, setInParts] = useState(true)
  const parts = fonts.reduce((sum, font) => sum + font.parts.length, 0)
  const [problem, setProblem] = useState<string>()
  const { fonts: families } = editor.doc
  // Who has answered for a family need not for its other weights.
  const asks = fonts.some(({ facts }) => !familyOf(families, facts.family))
  const add = async () => {
    setProblem(undefined)
    try {
      const names = await addFonts(editor, fonts, inParts)
      if (!names) return
      setFonts([])
      editor.announce(`${names.join(', ')} can be chosen now`)
    } catch (error) {
      setProblem(`It was not sent: ${(error as Error).message}. Try again.`)
    }
  }
  return (
    <section aria-label="Fonts to be added" className="rule-t mt-4 pt-3">
      <ul className="flex flex-col gap-1 pb-2">
        {fonts.map((font) => (
          <li key={font.whole.hash} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 truncate" title={font.file}>
              <span className="font-semibold">{ownName(font.facts.family)}</span> {fileWords(font.facts)}
              {ownName(font.facts.family) !== font.facts.family &&
                ` · ${font.facts.family} ships with the program, too`}
              {font.facts.isRestricted && ' · says of itself that it may not be embedded: ask who sold it'}
            </span>
            <button
              type="button"
              className="icon-button size-6"
              aria-label={`Leave out ${font.file}`}
              onClick={() => setFonts(fonts.filter((each) => each !== font))}
            >
              <X size={14} strokeWidth={1.75} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      {parts > 0 && (
        <Check on={inParts} set={setInParts}>
          In {parts} parts, so that a page loads only those that it draws with
        </Check>
      )}
      {asks && (
        <Check on={isLicensed} set={setLicensed}>
          Their licence allows me to use them on a website
        </Check>
      )}
      <button
        type="button"
        className="main-button mt-2"
        disabled={asks && !isLicensed}
        onClick={() => void add()}
      >
        {fonts.length === 1 ? 'Add the font' : `Add the ${fonts.length} files`}
      </button>
      {problem && (
        <p role="alert" className="mt-2 text-small leading-4 text-error">
          {problem}
        </p>
      )}
    </section>
  )
}
