import { lackOf } from '../folder'
import { logError } from '../log'

/** The sentence of what a file itself is to blame for; null where it is not. */
export function faultOf(error: unknown): string | null {
  const {
    statusCode,
    status = statusCode,
    message,
    data,
  } = error as {
    statusCode?: number
    status?: number
    message: string
    data?: { message?: string }
  }
  return status !== undefined && status >= 400 && status < 500 ? (data?.message ?? message) : lackOf(error)
}

/** Does something again and again until it is told to stop; what goes wrong is logged once, and one goes on. */
export function keepGoing(once: () => Promise<void>, { every, what }: { every: number; what: string }): () => Promise<void> {
  let over = false
  let last = ''
  let waits: ReturnType<typeof setTimeout> | undefined
  let wake = () => {}
  const run = async () => {
    while (!over) {
      try {
        await once()
        last = ''
      } catch (error) {
        // Whatever it was, as a database that is away, it is tried again; said once.
        const words = (error as Error).message
        if (words !== last) logError(error, what)
        last = words
      }
      if (over) return
      await new Promise<void>(resolve => {
        wake = resolve
        waits = setTimeout(resolve, every)
      })
    }
  }
  const running = run()
  return async () => {
    over = true
    clearTimeout(waits)
    wake()
    await running
  }
}
