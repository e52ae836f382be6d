import path from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { buildIfChanged } from './build.mjs'
import { claim, noteAddress, release } from './instance.mjs'
import { keepRunning } from './keep-running.mjs'
import { databaseRuns, freePort, startPostgres, stopPostgres } from './postgres.mjs'
import { prepareDatabase, startServer, startWorker } from './serve.mjs'

/** npm start: brings all up that Hailbank is made of, keeps it running, and takes all of it down again when it ends itself. */
const say = words => console.log(words)
// A terminal that was closed takes no more words.
for (const stream of [process.stdout, process.stderr])
  stream.on('error', error => {
    if (error.code !== 'EIO' && error.code !== 'EPIPE') throw error
  })

const home = process.env.HAILBANK_HOME ?? '.hailbank'
const fresh = process.argv.includes('--fresh')
const others = process.env.DATABASE_URL
const kept = []
let ownDatabase = false
let ending = false

async function end(code) {
  if (ending) return process.exit(code || 1)
  ending = true
  if (kept.length) say('Ending what was started')
  await Promise.all(kept.map(one => one.end()))
  if (ownDatabase) stopPostgres(home)
  release(home)
  process.exit(code)
}

const other = claim(home)
if (other) {
  say(
    other.address
      ? `Hailbank is running already, at ${other.address}. npm stop ends it.`
      : `Hailbank is being started already, by process ${other.pid}.`,
  )
  if (fresh) say('It has to be stopped before it can begin again with the demo.')
  process.exit(fresh ? 1 : 0)
}
// A second press ends at once.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0))

/** Brings the own database back whenever it is gone. */
async function watchDatabase(port) {
  while (!ending) {
    await pause(2000)
    if (ending || databaseRuns(home)) continue
    say('The database ended. It is started again')
    try {
      await startPostgres(home, { port })
      say('The database runs again')
    } catch (error) {
      say(error.message)
    }
  }
}

try {
  let url = others
  if (url) {
    say('Using the database that DATABASE_URL names')
    if (fresh) say('  --fresh leaves a database that is not its own as it is')
  } else {
    if (fresh) say('Beginning again with the demo')
    const database = await startPostgres(home, { fresh, say })
    ownDatabase = true
    url = database.url
    void watchDatabase(database.port)
  }
  await buildIfChanged(say)
  await prepareDatabase(url, say)
  const wanted = Number(process.env.PORT ?? 4600)
  const port = await freePort(wanted)
  if (port !== wanted) say(`Port ${wanted} is taken, so it is ${port}`)
  say('Starting')
  const serve = () => startServer({ home, url, port, tied: true })
  const work = async () => startWorker({ home, url, tied: true })
  const server = await serve()
  kept.push(keepRunning('server', server, serve, say))
  kept.push(keepRunning('worker', await work(), work, say))
  if (ending) throw new Error('Ended while it was starting')
  noteAddress(home, server.address)
  say('')
  say(`Hailbank is at ${server.address}`)
  if ((process.env.HAILBANK_DEMO ?? '1') !== '0')
    say('Demo sign-in: ines@velmoor.example, password harbour-demo (or one press on the page)')
  const tables = process.env.HAILBANK_TABLES ?? path.resolve(home, 'tables')
  if (tables) say(`Files of data in ${tables} become tables under Data, and those follow them`)
  say('Ctrl-C stops it')
} catch (error) {
  if (error.started)
    kept.push(
      keepRunning(
        'server',
        error.started,
        async () => {
          throw error
        },
        () => {},
      ),
    )
  if (!ending) console.error(error.message)
  await end(1)
}
