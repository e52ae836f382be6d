import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import fs from 'node:fs'
import path from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'

const node = (args, env) => spawnSync(process.execPath, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } })

/** Brings the database up to date and loads the demo where nobody is in it yet. */
export function prepareDatabase(url, say) {
  say('Bringing the database up to date')
  if (node(['scripts/migrate.mjs'], { DATABASE_URL: url }).status !== 0) throw new Error('The database could not be brought up to date.')
  if (node(['--import', 'jiti/register', 'demo/load.ts'], { DATABASE_URL: url }).status !== 0) throw new Error('The demo could not be loaded.')
}

/** The key that session cookies are sealed with; made once. */
function sessionKey(home) {
  const file = path.resolve(home, 'session-key')
  if (!fs.existsSync(file)) {
    fs.mkdirSync(home, { recursive: true })
    fs.writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  }
  return fs.readFileSync(file, 'utf8').trim()
}

/** Runs a program of Node in the background. A quiet one writes what it says into a file of its name in its home. */
function run(args, { home, name, quiet, env }) {
  fs.mkdirSync(home, { recursive: true })
  const log = path.resolve(home, `${name}.log`)
  const file = quiet ? fs.openSync(log, 'a') : undefined
  const child = spawn(process.execPath, args, { detached: quiet, stdio: ['ignore', file ?? 'inherit', file ?? 'inherit'], env: { ...process.env, ...env } })
  if (file !== undefined) {
    child.unref()
    fs.closeSync(file)
  }
  return { child, log }
}

/** Starts a process that does long work: films, and clips that are made playable. */
export const startWorker = ({ home, url, quiet = false }) => run(['--import', 'jiti/register', 'server/jobs/worker.ts'], { home, name: 'worker', quiet, env: { NODE_ENV: 'production', DATABASE_URL: url } }).child

/**
 * Starts the built server and resolves when it answers. A quiet one writes what it says into `server.log` in its home and outlives the
 * process that started it: a pipe to that process would break as it ends, and take the server with it.
 */
export async function startServer({ home, url, port, quiet = false }) {
  const { child, log } = run(['.output/server/index.mjs'], {
    home, name: 'server', quiet, env: {
      NODE_ENV: 'production', DATABASE_URL: url, HOST: '127.0.0.1', NITRO_HOST: '127.0.0.1', PORT: String(port), NITRO_PORT: String(port),
      NUXT_SESSION_PASSWORD: process.env.NUXT_SESSION_PASSWORD ?? sessionKey(home), HAILBANK_DEMO: process.env.HAILBANK_DEMO ?? '1',
    },
  })
  const address = `http://127.0.0.1:${port}`
  for (let attempt = 0; attempt < 600; attempt++) {
    if (child.exitCode !== null) throw new Error(`The server ended at once.${quiet ? ` See ${log}.` : ''}`)
    const answer = await fetch(`${address}/api/health`).catch(() => null)
    if (answer?.ok) return { child, address }
    await pause(200)
  }
  child.kill()
  throw new Error('The server did not answer within two minutes.')
}
