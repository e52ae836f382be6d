import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { startPostgres, stopPostgres } from '../../scripts/postgres.mjs'
import { buildIfChanged } from '../../scripts/build.mjs'
import { prepareDatabase, startServer } from '../../scripts/serve.mjs'

const home = process.env.HAILBANK_HOME ?? '.hailbank/test'
export const port = Number(process.env.HAILBANK_TEST_PORT ?? 4690)

/** Where the process that serves is noted: tests that kill it and start it again run in another process than the setup. */
const note = path.join(home, 'server-process')

export async function startAll() {
  await kill()
  buildIfChanged(console.log)
  const database = await startPostgres(home, { fresh: true })
  process.env.HAILBANK_TEST_DATABASE = database.url
  prepareDatabase(database.url, () => {})
  await startAgain()
}

/** Starts the server on its port, with the database that is there. */
export async function startAgain() {
  const { child } = await startServer({ home, url: process.env.HAILBANK_TEST_DATABASE!, port, quiet: true })
  mkdirSync(home, { recursive: true })
  writeFileSync(note, String(child.pid))
}

/** Ends the server at once, as a power cut would. */
export async function kill(signal: NodeJS.Signals = 'SIGKILL') {
  if (!existsSync(note)) return
  const pid = Number(readFileSync(note, 'utf8'))
  rmSync(note)
  try {
    process.kill(pid, signal)
  } catch {
    return
  }
  for (let wait = 0; wait < 100; wait++) {
    await new Promise(resolve => setTimeout(resolve, 50))
    if (!(await answers())) return
  }
}

/** Whether the server answers. */
export const answers = async () => !!(await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null))?.ok

/** Takes the database away. */
export const cutDatabase = () => stopPostgres(home)

/** Brings the database back where it was. */
export const restoreDatabase = () => startPostgres(home, { port: Number(new URL(process.env.HAILBANK_TEST_DATABASE!).port) })
