/** Puts the cursor into the line of a menu's items. */
export function focusItems() {
  // At once: what is typed next is meant for it.
  const line = () => document.querySelector<HTMLInputElement>('[data-menu-items]')
  if (line()) line()!.select()
  else requestAnimationFrame(() => line()?.select())
}

/** Puts the cursor into the words of what is selected of a template, wherever that was asked for. */
export function focusWords() {
  requestAnimationFrame(() => document.querySelector<HTMLElement>('[data-shared-words]')?.focus())
}
