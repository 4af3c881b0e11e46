/** Paper or slate, remembered in the browser. */
export type Theme = 'paper' | 'slate'
const KEY = 'just-lattice:theme'

export const theme = (): Theme => (document.documentElement.dataset.theme === 'slate' ? 'slate' : 'paper')

export function setTheme(next: Theme) {
  document.documentElement.dataset.theme = next
  try {
    localStorage.setItem(KEY, next)
  } catch {
    // A browser without storage: the choice holds until the tab closes.
  }
}

export function restoreTheme() {
  let stored: string | null = null
  try {
    stored = localStorage.getItem(KEY)
  } catch {
    // Without storage the system's preference decides.
  }
  const dark = stored ? stored === 'slate' : matchMedia('(prefers-color-scheme: dark)').matches
  document.documentElement.dataset.theme = dark ? 'slate' : 'paper'
}
