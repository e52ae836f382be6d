import { readyThreads } from '../apart'

/** What people give is read in threads apart; one is ready soon after the start, so that nobody waits for it. */
export default defineNitroPlugin(() => {
  setTimeout(readyThreads, 1500).unref()
})
