import { useRef, useState } from 'react'

type Field = HTMLInputElement | HTMLTextAreaElement

/**
 * A field that is taken when it is left or Enter is pressed, and put back by Escape.
 * @param take says what is wrong; then the field stays open, and nothing that was typed is lost
 */
export function useTyped(shown: string, take: (typed: string) => string | undefined) {
  const [typed, setTyped] = useState<string>()
  const [problem, setProblem] = useState<string>()
  /** What is still to be taken: taking it may move the focus, which takes again. */
  const open = useRef<string>(undefined)
  const close = () => {
    open.current = undefined
    setTyped(undefined)
    setProblem(undefined)
  }
  const done = () => {
    const now = open.current
    open.current = undefined
    const wrong = now === undefined || now === shown ? undefined : take(now)
    if (wrong) {
      open.current = now
      setProblem(wrong)
    } else close()
  }
  return {
    problem,
    field: {
      value: typed ?? shown,
      'aria-invalid': problem !== undefined,
      onChange: (event: React.ChangeEvent<Field>) => {
        open.current = event.target.value
        setTyped(event.target.value)
        setProblem(undefined)
      },
      onBlur: done,
      onKeyDown: (event: React.KeyboardEvent) => {
        // Put back, or with nothing to put back: away from the field.
        if (event.key !== 'Escape' || typed !== undefined) event.stopPropagation()
        if (event.key === 'Enter' && !event.shiftKey) {
          event.preventDefault()
          done()
        }
        if (event.key === 'Escape') close()
      },
    },
  }
}
