/** For how long a line that is asked for is waited for, ms. */
const PATIENCE = 2000

const itemsLine = () => document.querySelector<HTMLInputElement>('[data-menu-items]')

/** Puts the cursor into the line of a menu's items. What is typed next is meant for it, though the spec may not show it yet. */
export function focusItems() {
  const line = itemsLine()
  if (line) return line.select()
  const kept: string[] = []
  const keep = (event: KeyboardEvent) => {
    const isTyped = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey
    if (!isTyped && !(event.key === 'Enter' && kept.length > 0)) return
    event.preventDefault()
    event.stopPropagation()
    kept.push(event.key)
  }
  addEventListener('keydown', keep, true)
  const end = performance.now() + PATIENCE
  const look = () => {
    const shown = itemsLine()
    if (!shown && performance.now() < end) return void requestAnimationFrame(look)
    removeEventListener('keydown', keep, true)
    if (shown) typeInto(shown, kept)
  }
  requestAnimationFrame(look)
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
