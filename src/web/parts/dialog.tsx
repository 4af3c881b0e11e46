/** A modal dialog: focus is kept inside, and given back to what had it. */
import { useEffect, useState } from 'react'
import { fetchPanels, usePanels } from './floating'
import type { DialogProps } from './floating-props'

export function Dialog(props: DialogProps) {
  const panels = usePanels()
  const { onClose } = props
  // Before anything in it takes the focus by itself.
  const [asker] = useState(() => document.activeElement as HTMLElement | null)
  const isThere = panels !== undefined
  // Nothing can be shown without it: whoever asked for the dialog can ask again.
  useEffect(() => {
    if (!isThere) fetchPanels().catch(onClose)
  }, [isThere, onClose])
  return panels ? <panels.DialogPanel {...props} asker={asker} /> : null
}
