/** The cursor, put where the words of what is selected are typed in the spec, though it may not be shown yet. */
import { blockSpec } from './fetch-block-spec'

/** For how many pictures of the screen the line is looked for, once what shows it is there. */
const PATIENCE = 60

/** Ends the wait for the line, while there is one. */
let giveUp: (() => void) | undefined

const itemsLine = () => document.querySelector<HTMLInputElement>('[data-menu-items]')

/** Puts the cursor into the line of a menu's items. What is typed next is meant for it, though the spec may not show it yet. */
export function focusItems() {
  const line = itemsLine()
  if (line) return line.select()
  if (giveUp) return
  const kept: string[] = []
  const end = () => {
    giveUp = undefined
    removeEventListener('keydown', keep, true)
    removeEventListener('pointerdown', end, true)
  }
  const keep = (event: KeyboardEvent) => {
    if (event.key === 'Escape') return end()
    const isTyped = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey
    if (!isTyped && !(event.key === 'Enter' && kept.length > 0)) return
    event.preventDefault()
    event.stopPropagation()
    kept.push(event.key)
  }
  const look = (left: number) => {
    if (giveUp !== end) return
    const shown = itemsLine()
    if (!shown && left > 0) return void requestAnimationFrame(() => look(left - 1))
    end()
    if (shown) typeInto(shown, kept)
  }
  giveUp = end
  addEventListener('keydown', keep, true)
  // Who presses something else meanwhile no longer means it.
  addEventListener('pointerdown', end, true)
  // However slow the line is: what is typed meanwhile would be single keys that do something else.
  blockSpec().then(() => look(PATIENCE), end)
}

function typeInto(line: HTMLInputElement, keys: readonly string[]) {
  line.select()
  const words = keys.filter((key) => key !== 'Enter').join('')
  // As a person's typing, so that whoever listens hears of it.
  if (words !== '') document.execCommand('insertText', false, words)
  if (keys.includes('Enter'))
    line.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
}

/** Puts the cursor into the words of what is selected of a template, wherever that was asked for. */
export function focusWords() {
  requestAnimationFrame(() => document.querySelector<HTMLElement>('[data-shared-words]')?.focus())
}
