/** Light or dark. */
import { Moon, Sun } from 'lucide-react'
import { useState } from 'react'
import { setTheme, theme } from '../editor/theme'

export function ThemeButton() {
  const [now, setNow] = useState(theme)
  const words = now === 'paper' ? 'Dark' : 'Light'
  const Icon = now === 'paper' ? Moon : Sun
  return (
    <button
      type="button"
      className="icon-button"
      aria-label={words}
      title={words}
      onClick={() => {
        const next = now === 'paper' ? 'slate' : 'paper'
        setTheme(next)
        setNow(next)
      }}
    >
      <Icon size={16} strokeWidth={1.75} aria-hidden />
    </button>
  )
}
