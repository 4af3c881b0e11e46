/** What is wrong with something that was typed in words, and in which part of it. */
export function WordsProblem({ part, reason }: { part: string; reason: string }) {
  return (
    <p role="alert" className="pb-3 text-error">
      {part === '' ? '' : `“${part}”: `}
      {reason}.
    </p>
  )
}
