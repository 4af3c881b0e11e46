/**
 * Where the focus lives. Single keys are heard only in the homes, the board and the ledger: typed elsewhere they do nothing by
 * accident. And what had the focus may go away; it then returns home instead of falling to the page.
 */
import type { Editor } from './editor-state'

/** What an element says to be a home: `board` or `ledger`. */
export const HOME = 'data-focus-home'

type Home = 'board' | 'ledger'

const homeOf = (element: Element | null) =>
  element?.closest(`[${HOME}]`)?.getAttribute(HOME) as Home | null | undefined

/** Whether a key pressed there is meant for what is selected: in a home, or with the focus on nothing. */
export const isAtHome = (target: EventTarget | null): boolean =>
  !(target instanceof Element) || target === document.body || homeOf(target) !== undefined

/** Puts the focus on the board, or in the ledger on the row of what is selected. */
export function goHome(editor: Editor, home: Home = 'board') {
  const row = home === 'ledger' ? rowOf(editor) : undefined
  const board = document.querySelector<HTMLElement>(`[${HOME}=board]`)
  ;(row ?? board)?.focus({ preventScroll: true })
}

function rowOf(editor: Editor): HTMLElement | undefined {
  const rows = [...document.querySelectorAll<HTMLElement>(`[${HOME}=ledger] [role=treeitem]`)]
  return rows.find((row) => row.dataset.row === editor.selected?.id) ?? rows[0]
}

/** @returns what takes the listeners off again */
export function keepFocus(editor: Editor): () => void {
  let last: Home = 'board'
  let asked = 0
  const note = () => {
    const home = homeOf(document.activeElement)
    if (home) last = home
  }
  const check = () => {
    cancelAnimationFrame(asked)
    // Whoever moves the focus has done so by the frame after the next.
    asked = requestAnimationFrame(() => {
      asked = requestAnimationFrame(() => {
        const lost = document.activeElement === document.body || document.activeElement === null
        if (lost && document.hasFocus() && !document.querySelector('[role=dialog]')) goHome(editor, last)
      })
    })
  }
  document.addEventListener('focusin', note)
  document.addEventListener('focusout', check)
  // An element that is taken out of the page says nothing of its focus.
  const gone = new MutationObserver(check)
  gone.observe(document.body, { childList: true, subtree: true })
  check()
  return () => {
    cancelAnimationFrame(asked)
    gone.disconnect()
    document.removeEventListener('focusin', note)
    document.removeEventListener('focusout', check)
  }
}
