import { startAll, underTest } from './server'

export default async function start() {
  await startAll()
  return async () => {
    const pid = Number(process.env.HAILBANK_TEST_PID)
    try {
      process.kill(pid, 'SIGTERM')
    } catch {
      // A test has ended it already.
    }
    await new Promise(resolve => setTimeout(resolve, 800))
    underTest.stopDatabase?.()
  }
}
