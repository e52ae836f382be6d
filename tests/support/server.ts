import type { ChildProcess } from 'node:child_process'
import { startPostgres, stopPostgres } from '../../scripts/postgres.mjs'
import { buildIfChanged } from '../../scripts/build.mjs'
import { prepareDatabase, startServer } from '../../scripts/serve.mjs'

const home = process.env.HAILBANK_HOME ?? '.hailbank/test'
export const port = Number(process.env.HAILBANK_TEST_PORT ?? 4690)

/** The server under test, which tests may kill and start again. */
export const underTest: { child?: ChildProcess, url?: string, stopDatabase?: () => void } = {}

export async function startAll() {
  buildIfChanged(console.log)
  const database = await startPostgres(home, { fresh: true })
  process.env.HAILBANK_TEST_DATABASE = database.url
  underTest.stopDatabase = database.stop
  prepareDatabase(database.url, () => {})
  await startAgain()
}

/** Starts the server on its port, with the database that is there. */
export async function startAgain() {
  const { child } = await startServer({ home, url: process.env.HAILBANK_TEST_DATABASE!, port, quiet: true })
  process.env.HAILBANK_TEST_PID = String(child.pid)
  underTest.child = child
  return child
}

/** Ends the server at once, as a power cut would. */
export async function kill(signal: NodeJS.Signals = 'SIGKILL') {
  const pid = Number(underTest.child?.pid ?? process.env.HAILBANK_TEST_PID)
  process.kill(pid, signal)
  for (let wait = 0; wait < 100; wait++) {
    await new Promise(resolve => setTimeout(resolve, 50))
    if (!(await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null))) return
  }
}

/** Takes the database away. */
export const cutDatabase = () => stopPostgres(home)

/** Brings the database back where it was. */
export const restoreDatabase = () => startPostgres(home, { port: Number(new URL(process.env.HAILBANK_TEST_DATABASE!).port) })
