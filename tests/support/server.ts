import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { startPostgres, stopPostgres } from '../../scripts/postgres.mjs'
import { buildIfChanged } from '../../scripts/build.mjs'
import { prepareDatabase, startServer, startWorker } from '../../scripts/serve.mjs'

/**
 * Tests that run beside each other have a place each: a home, a database, a server, and the process that does long work. There are as
 * many as ports are named.
 */
const ports = (process.env.HAILBANK_TEST_PORTS ?? '4690').split(',').map(Number)
export const places = ports.map((_, place) => place)
const here = Number(process.env.TEST_PARALLEL_INDEX ?? 0)
const homeOf = (place: number) => path.join(process.env.HAILBANK_HOME ?? '.hailbank/test', `place-${place}`)
const portOf = (place: number) => ports[place]!
export const home = homeOf(here)
export const port = portOf(here)

/** Where the database of a place is; what starts it says so to all processes that follow. */
const databaseName = (place: number) => `HAILBANK_TEST_DATABASE_${place}`
const databaseOf = (place: number) => {
  const url = process.env[databaseName(place)]
  if (!url) throw new Error(`No database was started for place ${place}.`)
  return url
}
export const databaseUrl = () => databaseOf(here)

/** Where the processes are noted: tests that kill them and start them again run in another process than the setup. */
const noteOf = (place: number, which: 'server' | 'worker') => path.join(homeOf(place), `${which}-process`)
const noted = (file: string, pid: number | undefined) => {
  mkdirSync(path.dirname(file), { recursive: true })
  writeFileSync(file, String(pid))
}

export async function startAll(place = here) {
  await kill('SIGKILL', place)
  killWorker(place)
  await buildIfChanged(console.log)
  // What an earlier run put into the watched folder is not of this one.
  rmSync(path.join(homeOf(place), 'tables'), { recursive: true, force: true })
  // A port range of each place's own: while its database is away, no other one takes its port.
  const database = await startPostgres(homeOf(place), { fresh: true, port: 54500 + 50 * place })
  process.env[databaseName(place)] = database.url
  await prepareDatabase(database.url, () => {})
  await startAgain(place)
  startWorkerAgain(place)
}

/** Starts the process that does long work. */
export const startWorkerAgain = (place = here) =>
  noted(noteOf(place, 'worker'), startWorker({ home: homeOf(place), url: databaseOf(place), quiet: true }).child.pid)

/** Ends it at once, as a power cut would. */
export function killWorker(place = here) {
  const note = noteOf(place, 'worker')
  if (!existsSync(note)) return
  try {
    process.kill(Number(readFileSync(note, 'utf8')), 'SIGKILL')
  } catch {
    // It has ended by itself.
  }
  rmSync(note)
}

/** Starts the server on its port, with the database that is there. */
export async function startAgain(place = here) {
  const { child } = await startServer({ home: homeOf(place), url: databaseOf(place), port: portOf(place), quiet: true })
  noted(noteOf(place, 'server'), child.pid)
}

/** Ends the server at once, as a power cut would. */
export async function kill(signal: NodeJS.Signals = 'SIGKILL', place = here) {
  const note = noteOf(place, 'server')
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
    if (!(await answers(place))) return
  }
}

/** Whether the server answers. */
export const answers = async (place = here) => !!(await fetch(`http://127.0.0.1:${portOf(place)}/api/health`).catch(() => null))?.ok

/** Takes the database away. */
export const cutDatabase = (place = here) => stopPostgres(homeOf(place))

/** Brings the database back where it was. */
export const restoreDatabase = () => startPostgres(home, { port: Number(new URL(databaseUrl()).port) })
