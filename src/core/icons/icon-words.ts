/** `arrow-up-right`: “Arrow up right” */
export function iconWords(name: string): string {
  const words = name.replaceAll('-', ' ')
  return words.charAt(0).toUpperCase() + words.slice(1)
}
