/** Which rows of a long list are drawn: those in sight and some around them. */
import { type RefObject, useLayoutEffect, useState } from 'react'

/** px */
export const ROW_HEIGHT = 28
/** Rows drawn beyond each end; shorter lists are drawn whole. */
const AROUND = 40

export function useRowWindow(list: RefObject<HTMLElement | null>, count: number) {
  const [from, setFrom] = useState(0)
  const [height, setHeight] = useState(800)
  useLayoutEffect(() => {
    const element = list.current
    if (!element) return
    const scrolled = () => {
      setHeight(element.clientHeight)
      // In steps, so that scrolling seldom draws anew.
      setFrom(Math.floor(Math.max(0, element.scrollTop / ROW_HEIGHT - AROUND) / 20) * 20)
    }
    scrolled()
    element.addEventListener('scroll', scrolled, { passive: true })
    return () => element.removeEventListener('scroll', scrolled)
  }, [list])
  const first = Math.min(from, count)
  return {
    from: first,
    to: Math.min(count, first + Math.ceil(height / ROW_HEIGHT) + 2 * AROUND + 20),
    /** Scrolls just as far as is needed to see a row. */
    reveal: (index: number) => {
      const element = list.current
      if (!element || index < 0) return
      const top = index * ROW_HEIGHT
      if (top < element.scrollTop) element.scrollTop = top
      else if (top + ROW_HEIGHT > element.scrollTop + element.clientHeight)
        element.scrollTop = top + ROW_HEIGHT - element.clientHeight
    },
  }
}
