/** A button that asks for files, and says beside it what was wrong with them. */
import { Plus } from 'lucide-react'
import { type ReactNode, useRef, useState } from 'react'

type Props = {
  /** What the files are, for whoever cannot see the button. */
  label: string
  /** What is offered of a folder: endings and types, as HTML says them. */
  accept: string
  multiple?: boolean
  /** Whether a panel begins with it. */
  isFirst?: boolean
  /** @throws Error with a reason for the user */
  takeAll: (files: readonly File[]) => Promise<void>
  children: ReactNode
}

/** Takes files one after the other. @throws what was wrong with those that were not taken */
export const eachOf = (take: (file: File) => Promise<void>) => async (files: readonly File[]) => {
  const problems: string[] = []
  for (const file of files) await take(file).catch((error: Error) => problems.push(error.message))
  if (problems.length > 0) throw new Error(problems.join(' '))
}

/** What a picture's file may be, as HTML says it. */
export const PICTURE_FILES = 'image/svg+xml,image/png,image/jpeg,image/webp,image/avif,image/gif'

export const PictureButton = (props: Omit<Props, 'accept'>) => (
  <FileButton accept={PICTURE_FILES} isFirst {...props} />
)

export function FileButton({ label, accept, multiple = false, isFirst, takeAll, children }: Props) {
  const field = useRef<HTMLInputElement>(null)
  const [problem, setProblem] = useState<string>()
  const taken = async (files: FileList | null) => {
    setProblem(undefined)
    await takeAll([...(files ?? [])]).catch((error: Error) => setProblem(error.message))
    if (field.current) field.current.value = ''
  }
  return (
    <>
      <button
        type="button"
        className="line-button"
        data-first={isFirst}
        onClick={() => field.current?.click()}
      >
        <Plus size={16} strokeWidth={1.75} aria-hidden /> {children}
      </button>
      <input
        ref={field}
        type="file"
        multiple={multiple}
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => void taken(event.target.files)}
      />
      {problem && (
        <p role="alert" className="mt-2 text-small leading-4 text-error">
          {problem}
        </p>
      )}
    </>
  )
}
