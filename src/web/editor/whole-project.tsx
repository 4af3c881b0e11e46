/** What is about all pages waits until all are here: a project opens with one. */
import { type ReactNode, useEffect, useState } from 'react'
import { Dialog } from '../parts/dialog'
import { useEditor } from './use-editor'

/** What is here so soon needs no words, ms. */
const SOON = 250

/** Shows `children` once every page is here; until then how far that is, and a way to leave it. */
export function WholeProject({ title, children }: { title: string; children: ReactNode }) {
  const editor = useEditor()
  const { pages } = editor.session
  const [share, setShare] = useState(0)
  const [problem, setProblem] = useState<string>()
  const [shown, setShown] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setShown(true), SOON)
    return () => clearTimeout(timer)
  }, [])
  useEffect(() => {
    pages.whole(setShare).then(
      () => editor.changed(),
      (error: Error) => setProblem(error.message),
    )
  }, [pages, editor])
  if (pages.isWhole) return children
  if (!shown && problem === undefined) return null
  return (
    <Dialog title={title} onClose={() => editor.set({ dialog: undefined })} width={420}>
      {problem === undefined ? (
        <>
          <p className="pb-3 soft">Fetching the other pages …</p>
          <progress
            className="progress progress-primary mb-2 w-full"
            value={share}
            max={1}
            aria-label="Pages fetched"
          />
        </>
      ) : (
        <p role="alert" className="pb-2">
          The other pages cannot be fetched: {problem}. Close this and try again.
        </p>
      )}
    </Dialog>
  )
}
