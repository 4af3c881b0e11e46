/** What went otherwise than was asked for: said on the board, above the shelf, until it is understood or has been there long enough to be read. */
import { useEffect, useState } from 'react'
import { useEditor } from './use-editor'

/** ms: to see it, and for each of its characters. */
const SEEN = 8000
const READ = 60

export function Notice() {
  const { session } = useEditor()
  const { notice } = session
  /** Pointed at, or with the focus in it: it is being read. */
  const [held, setHeld] = useState(false)
  useEffect(() => {
    if (notice === undefined || held) return
    const timer = setTimeout(() => session.showNotice(undefined), SEEN + READ * notice.length)
    return () => clearTimeout(timer)
  }, [notice, held, session])
  if (notice === undefined) return null
  return (
    <div
      role="alert"
      className="floating pointer-events-auto flex max-w-140 items-center gap-3 px-4 py-2.5"
      onPointerEnter={() => setHeld(true)}
      onPointerLeave={() => setHeld(false)}
      onFocus={() => setHeld(true)}
      onBlur={() => setHeld(false)}
    >
      <span>{notice.charAt(0).toUpperCase() + notice.slice(1)}.</span>
      <button
        type="button"
        className="plain-button font-semibold text-primary"
        onClick={() => {
          setHeld(false)
          session.showNotice(undefined)
        }}
      >
        Understood
      </button>
    </div>
  )
}
