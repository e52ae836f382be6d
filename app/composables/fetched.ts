/**
 * A piece of the application that is fetched once it is needed; null where it could not be: the server is away, or has been renewed
 * since.
 */
export async function fetched<T>(load: () => Promise<T>): Promise<T | null> {
  try {
    return await load()
  } catch (error) {
    if (error instanceof TypeError) return null
    throw error
  }
}

/** What is said of it. */
export const unfetched = 'This could not be fetched from the server. Try again when it answers.'

/** The same for what a person has asked for: where it could not be fetched, they are told. */
export async function needed<T>(load: () => Promise<T>): Promise<T | null> {
  const piece = await fetched(load)
  if (piece === null) notifyProblem(unfetched)
  return piece
}

/**
 * Hears that something which is shown once it is asked for could not be fetched: the person is told, and `undo` takes back that it was
 * asked for, so that the next press asks again.
 */
export function useUnfetched(undo: () => void) {
  onErrorCaptured(error => {
    if (!(error instanceof TypeError) || !/import/i.test(error.message)) return
    undo()
    notifyProblem(unfetched)
    return false
  })
}
