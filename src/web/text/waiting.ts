/** A field that has the focus while what texts are written with is fetched: what is pressed and pasted meanwhile is kept. */

/** A key, or words that were pasted. */
export type Kept = KeyboardEvent | string

export class Waiting {
  private readonly kept: Kept[] = []

  /** @param leave what Escape does */
  constructor(
    private readonly place: HTMLElement,
    label: string,
    private readonly leave: () => void,
  ) {
    // The board takes what is pasted anywhere but into a field.
    place.contentEditable = 'false'
    place.tabIndex = 0
    place.setAttribute('role', 'textbox')
    place.setAttribute('aria-label', label)
    place.setAttribute('aria-busy', 'true')
    place.addEventListener('keydown', this.keepKey)
    place.addEventListener('paste', this.keepPaste)
    place.focus()
  }

  private readonly keepKey = (event: KeyboardEvent) => {
    if (event.key === 'Tab' || isPaste(event)) return
    event.preventDefault()
    if (event.key === 'Escape') this.leave()
    else this.kept.push(event)
  }

  private readonly keepPaste = (event: ClipboardEvent) => {
    event.preventDefault()
    const words = event.clipboardData?.getData('text/plain')
    if (words) this.kept.push(words)
  }

  /** Leaves the field to who writes in it. @returns what was pressed so far, in order */
  end(): Kept[] {
    const { place } = this
    place.removeEventListener('keydown', this.keepKey)
    place.removeEventListener('paste', this.keepPaste)
    place.removeAttribute('aria-busy')
    place.removeAttribute('tabindex')
    return this.kept
  }
}

const isPaste = ({ key, ctrlKey, metaKey }: KeyboardEvent) =>
  (ctrlKey || metaKey) && key.toLowerCase() === 'v'
