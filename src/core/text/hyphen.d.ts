declare module 'hyphen' {
  /** Text with `hyphenChar` wherever a word may be parted. */
  export default function createHyphenator(
    rules: unknown,
    options: { async: false; html: false; hyphenChar: string; minWordLength: number },
  ): (text: string) => string
}
declare module 'hyphen/patterns/*' {
  const rules: unknown
  export default rules
}
