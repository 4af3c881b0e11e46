/** A modal dialog: focus is kept inside, and given back to what had it. */
import { Dialog as Base } from '@base-ui/react/dialog'
import { X } from 'lucide-react'
import { useRef } from 'react'
import { openFoot } from '../dialog-foot'
import type { DialogProps } from '../floating-props'

/** @param asker what had the focus when it was asked for */
export function DialogPanel({
  title,
  onClose,
  children,
  width = 520,
  asker,
}: DialogProps & { asker: HTMLElement | null }) {
  const element = useRef<HTMLDivElement>(null)
  return (
    <Base.Root open onOpenChange={(open) => !open && onClose()}>
      <Base.Portal>
        <Base.Backdrop className="fixed inset-0 z-50 bg-black/25" />
        <Base.Viewport className="fixed inset-0 z-50 grid place-items-center overflow-auto p-2">
          <Base.Popup
            ref={element}
            className="floating max-h-[calc(100vh-16px)] max-w-full overflow-auto p-0 text-base-content outline-none"
            style={{ width }}
            // The first button would be Close.
            initialFocus={() =>
              element.current?.querySelector<HTMLElement>('[data-first], input:not([type=checkbox])') ?? true
            }
            finalFocus={() => (asker?.isConnected ? asker : true)}
            onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
          >
            <div className="rule-b flex items-center justify-between px-4 py-2.5">
              <Base.Title className="text-large font-bold">{title}</Base.Title>
              <Base.Close className="icon-button" aria-label="Close">
                <X size={16} strokeWidth={1.75} />
              </Base.Close>
            </div>
            <div className="p-4">{children}</div>
            <div ref={openFoot} className="sticky bottom-0 bg-inherit" />
          </Base.Popup>
        </Base.Viewport>
      </Base.Portal>
    </Base.Root>
  )
}
