/** The sentence that a failed request came back with, or one that says what to do. */
export function messageOf(error: unknown): string {
  const data = (error as { data?: { data?: { message?: string }; message?: string } }).data
  return data?.data?.message ?? data?.message ?? 'The server does not answer. Check that it runs, then try again.'
}

/** Runs a request; what goes wrong is told to the person in a sentence, unless it was given up. */
export async function asking<T>(request: () => Promise<T>, given?: AbortSignal): Promise<T | undefined> {
  try {
    return await request()
  } catch (error) {
    if (given?.aborted) return undefined
    useToast().add({ title: messageOf(error), color: 'error', icon: 'i-lucide-circle-alert', duration: 9000 })
    return undefined
  }
}

/**
 * Runs a request that nobody asked for, such as a look for what may suit: where the server cannot be reached, which the page says anyway,
 * it is left; what the server says is wrong with it is told.
 */
export const askingBeside = <T>(request: () => Promise<T>): Promise<T | undefined> =>
  asking(() =>
    request().catch((error: { status?: number }) => {
      if (error.status !== undefined) throw error
      return undefined
    }),
  )

/** Tells the person what has happened. */
export const notify = (title: string) => useToast().add({ title, color: 'success', icon: 'i-lucide-check' })

/** Tells the person what was not done, and why. */
export const notifyProblem = (title: string) => useToast().add({ title, color: 'warning', icon: 'i-lucide-circle-alert', duration: 9000 })

/** A fresh record id: 14 letters and digits. */
export function freshId(): string {
  const letters = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789'
  return Array.from(crypto.getRandomValues(new Uint8Array(14)), byte => letters[byte % letters.length]).join('')
}
