/** What is wrong with something in the open format, and where. */
export class FormatError extends Error {
  override name = 'FormatError'
  constructor(
    /** Where in the file, such as `pages[0].sections[2].props.rowGap`. */
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path || 'the file'}: ${reason}`)
  }
}
