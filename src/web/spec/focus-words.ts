/** Puts the cursor into the words of what is selected of a template, wherever that was asked for. */
export function focusWords() {
  requestAnimationFrame(() => document.querySelector<HTMLElement>('[data-shared-words]')?.focus())
}
