/** Rules of a style sheet as text. */
import type { Declarations } from '../properties/declarations'

/** Rules as text; those that say the same are one. */
export function rulesText(
  rules: readonly (readonly [selector: string, Declarations])[],
  indent = '',
): string {
  const selectors = new Map<string, string[]>()
  for (const [selector, declarations] of rules) {
    if (declarations.size === 0) continue
    const body = [...declarations].map(([property, value]) => `${indent}  ${property}: ${value};`).join('\n')
    const same = selectors.get(body)
    if (same) same.push(selector)
    else selectors.set(body, [selector])
  }
  return [...selectors]
    .map(([body, all]) => `${all.map((each) => indent + each).join(',\n')} {\n${body}\n${indent}}`)
    .join('\n\n')
}
