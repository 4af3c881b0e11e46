/** What a trial finds. `kind`: the check that found it, by which shrinking knows it again. */
export class Fault extends Error {
  override name = 'Fault'
  constructor(
    readonly kind: string,
    message: string,
  ) {
    super(message)
  }
}
