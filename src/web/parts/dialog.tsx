/** A modal dialog on the platform's own element: focus is kept inside and given back. */

import { X } from 'lucide-react'
import { type ReactNode, useEffect, useRef } from 'react'

export function Dialog({
  title,
  onClose,
  children,
  width = 520,
}: {
  title: string
  onClose: () => void
  children: ReactNode
  width?: number
}) {
  const element = useRef<HTMLDialogElement>(null)
  useEffect(() => {
    const dialog = element.current
    dialog?.showModal()
    // The platform would take the first button, which is Close.
    dialog?.querySelector<HTMLElement>('[data-first], input:not([type=checkbox])')?.focus()
    return () => dialog?.close()
  }, [])
  return (
    <dialog
      ref={element}
      aria-label={title}
      className="floating m-auto p-0 text-base-content backdrop:bg-black/25"
      style={{ width }}
      onCancel={(event) => {
        event.preventDefault()
        onClose()
      }}
      onKeyDown={(event) => event.stopPropagation()}
    >
      <div className="rule-b flex items-center justify-between px-4 py-2.5">
        <h2 className="text-[15px] font-bold">{title}</h2>
        <button type="button" className="icon-button" aria-label="Close" onClick={onClose}>
          <X size={16} strokeWidth={1.75} />
        </button>
      </div>
      <div className="p-4">{children}</div>
    </dialog>
  )
}
