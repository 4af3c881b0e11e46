import { useState } from 'react'

type Field = HTMLInputElement | HTMLTextAreaElement

/**
 * A field that is taken when it is left or Enter is pressed, and put back by Escape.
 * @param take says what is wrong; then the field stays open, and nothing that was typed is lost
 */
export function useTyped(shown: string, take: (typed: string) => string | undefined) {
  const [typed, setTyped] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const close = () => {
    setTyped(undefined)
    setProblem(undefined)
  }
  const done = () => {
    const wrong = typed === undefined || typed === shown ? undefined : take(typed)
    if (wrong) setProblem(wrong)
    else close()
  }
  return {
    problem,
    field: {
      value: typed ?? shown,
      'aria-invalid': problem !== undefined,
      onChange: (event: React.ChangeEvent<Field>) => {
        setTyped(event.target.value)
        setProblem(undefined)
      },
      onBlur: done,
      onKeyDown: (event: React.KeyboardEvent) => {
        event.stopPropagation()
        if (event.key === 'Enter' && !event.shiftKey) {
          event.preventDefault()
          done()
        }
        if (event.key === 'Escape') close()
      },
    },
  }
}
