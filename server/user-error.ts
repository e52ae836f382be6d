/**
 * A request that cannot be done, with the sentence for who made it. Thrown where no request is at hand, and answered as such by whoever has
 * it.
 */
export class UserError extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message)
  }
}
