/** The set of icons, once it is wanted. */
import { useEffect, useState } from 'react'
import { useEditor } from '../editor/use-editor'
import type { Icons } from './icons'

let kept: Icons | undefined

/** @returns undefined: not wanted, not here yet, or not to be had just now */
export function useIcons(wanted: boolean): Icons | undefined {
  const editor = useEditor()
  const [icons, setIcons] = useState(kept)
  useEffect(() => {
    if (!wanted || icons) return
    let isGone = false
    import('./icons').then(
      (part) => {
        kept = part.icons
        if (!isGone) setIcons(kept)
      },
      () => isGone || editor.session.showNotice('the icons cannot be fetched just now; try again'),
    )
    return () => {
      isGone = true
    }
  }, [wanted, icons, editor])
  return wanted ? icons : undefined
}
