/** A modal dialog: focus is kept inside, and given back to what had it. */
import { useEffect } from 'react'
import { fetchPanels, usePanels } from './floating'
import type { DialogProps } from './floating-props'

export function Dialog(props: DialogProps) {
  const panels = usePanels()
  const { onClose } = props
  const isThere = panels !== undefined
  // Nothing can be shown without it: whoever asked for the dialog can ask again.
  useEffect(() => {
    if (!isThere) fetchPanels().catch(onClose)
  }, [isThere, onClose])
  return panels ? <panels.DialogPanel {...props} /> : null
}
