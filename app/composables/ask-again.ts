/**
 * For the `catch` of a request that a store made: what is not there (404) is not asked for again; while the server is away or busy it is,
 * by whoever wants it next after `wait` ms. Anything else is no answer of a server, and goes through.
 */
export const askAgain =
  (forget: () => void, wait = 5000) =>
  (error: unknown): null => {
    if (!(error instanceof Error) || error.name !== 'FetchError') throw error
    if ((error as { status?: number }).status !== 404) setTimeout(forget, wait)
    return null
  }
