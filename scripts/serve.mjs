import { spawn } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'

/** Runs a program of Node to its end; false where it failed. */
const succeeds = (args, env) =>
  new Promise(resolve => {
    spawn(process.execPath, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } }).once('close', code =>
      resolve(code === 0),
    )
  })

/** Brings the database and what is kept of decks up to date, and loads the demo where nobody is in it yet. */
export async function prepareDatabase(url, say) {
  say('Bringing the database up to date')
  if (!(await succeeds(['scripts/migrate.mjs'], { DATABASE_URL: url }))) throw new Error('The database could not be brought up to date.')
  if (!(await succeeds(['--import', 'jiti/register', 'scripts/fill.ts'], { DATABASE_URL: url })))
    throw new Error('What the database holds could not be brought up to date, or the demo not be loaded.')
}

/**
 * Where a program keeps its files, its database, and how it runs.
 *
 * @typedef {{ home: string, url: string, quiet?: boolean, tied?: boolean }} Run
 * @typedef {{ child: import('node:child_process').ChildProcess, log: string }} Running
 */

/**
 * Runs a program of Node in a group of its own, beside this one. `quiet`: what it says goes into a file of its name in its home, and it
 * outlives this process: a pipe to it would break as it ends. `tied`: quiet, but it ends in order as soon as this process is gone.
 *
 * @param {string[]} args
 * @param {Omit<Run, 'url'> & { name: string, env: Record<string, string> }} how
 * @returns {Running}
 */
function run(args, { home, name, quiet = false, tied = false, env }) {
  fs.mkdirSync(home, { recursive: true })
  const log = path.resolve(home, `${name}.log`)
  const file = quiet || tied ? fs.openSync(log, 'a') : undefined
  const said = file ?? 'inherit'
  const child = spawn(process.execPath, tied ? ['--import', './scripts/tied.mjs', ...args] : args, {
    detached: quiet || tied,
    stdio: ['ignore', said, said, ...(tied ? ['ipc'] : [])],
    env: { ...process.env, ...env },
  })
  if (quiet) child.unref()
  if (file !== undefined) fs.closeSync(file)
  return { child, log }
}

/**
 * Starts a process that does long work: films, and clips that are made playable.
 *
 * @param {Run} how
 */
export const startWorker = ({ home, url, ...how }) =>
  run(['--import', 'jiti/register', 'server/jobs/worker.ts'], {
    home,
    name: 'worker',
    ...how,
    env: { NODE_ENV: 'production', DATABASE_URL: url },
  })

/**
 * Starts the built server and resolves when it answers; an error says where its words are, and holds what was started if that still runs.
 *
 * @param {Run & { port: number }} how
 */
export async function startServer({ home, url, port, ...how }) {
  const started = run(['.output/server/index.mjs'], {
    home,
    name: 'server',
    ...how,
    env: {
      NODE_ENV: 'production',
      DATABASE_URL: url,
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_PORT: String(port),
      HAILBANK_DEMO: process.env.HAILBANK_DEMO ?? '1',
      // Beside the port of the server, where nobody else is likely to listen.
      HAILBANK_STAND_IN: process.env.HAILBANK_STAND_IN ?? (process.env.HAILBANK_DEMO === '0' ? '' : String(port + 2000)),
      HAILBANK_TABLES: process.env.HAILBANK_TABLES ?? path.resolve(home, 'tables'),
      HAILBANK_FONTS: process.env.HAILBANK_FONTS ?? path.resolve(home, 'fonts'),
    },
  })
  const { child, log } = started
  const where = how.quiet || how.tied ? ` See ${log}.` : ''
  const address = `http://127.0.0.1:${port}`
  for (let attempt = 0; attempt < 600; attempt++) {
    if (child.exitCode !== null || child.signalCode !== null)
      throw Object.assign(new Error(`The server ended at once.${where}`), { started })
    // Refused until it listens.
    const answer = await fetch(`${address}/api/health`).catch(error => {
      if (error.name === 'TypeError') return null
      throw error
    })
    if (answer?.ok) return { ...started, address }
    await pause(200)
  }
  child.kill()
  throw Object.assign(new Error(`The server did not answer within two minutes.${where}`), { started })
}
