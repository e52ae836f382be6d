import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { startPostgres, stopPostgres } from '../../scripts/postgres.mjs'
import { buildIfChanged } from '../../scripts/build.mjs'
import { prepareDatabase, startServer, startWorker } from '../../scripts/serve.mjs'

const home = process.env.HAILBANK_HOME ?? '.hailbank/test'
export const port = Number(process.env.HAILBANK_TEST_PORT ?? 4690)

/** Where the processes are noted: tests that kill them and start them again run in another process than the setup. */
const notes = { server: path.join(home, 'server-process'), worker: path.join(home, 'worker-process') }
const note = notes.server
const noted = (file: string, pid: number | undefined) => {
  mkdirSync(home, { recursive: true })
  writeFileSync(file, String(pid))
}

export async function startAll() {
  await kill()
  killWorker()
  await buildIfChanged(console.log)
  const database = await startPostgres(home, { fresh: true })
  process.env.HAILBANK_TEST_DATABASE = database.url
  await prepareDatabase(database.url, () => {})
  await startAgain()
  startWorkerAgain()
}

/** Starts the process that does long work. */
export const startWorkerAgain = () =>
  noted(notes.worker, startWorker({ home, url: process.env.HAILBANK_TEST_DATABASE!, quiet: true }).child.pid)

/** Ends it at once, as a power cut would. */
export function killWorker() {
  if (!existsSync(notes.worker)) return
  try {
    process.kill(Number(readFileSync(notes.worker, 'utf8')), 'SIGKILL')
  } catch {
    // It has ended by itself.
  }
  rmSync(notes.worker)
}

/** Starts the server on its port, with the database that is there. */
export async function startAgain() {
  const { child } = await startServer({ home, url: process.env.HAILBANK_TEST_DATABASE!, port, quiet: true })
  noted(note, child.pid)
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
