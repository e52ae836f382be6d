import fs from 'node:fs'
import { buildIfChanged } from './build.mjs'
import { freePort, startPostgres } from './postgres.mjs'
import { prepareDatabase, startServer, startWorker } from './serve.mjs'

const say = words => console.log(words)
const home = process.env.HAILBANK_HOME ?? '.hailbank'
const fresh = process.argv.includes('--fresh')
fs.mkdirSync(home, { recursive: true })

let stopDatabase = () => {}
let child
let worker
let ending = false
function end(code) {
  if (ending) return
  ending = true
  worker?.kill('SIGTERM')
  const finish = () => {
    stopDatabase()
    process.exit(code)
  }
  if (!child || child.exitCode !== null) return finish()
  child.once('exit', finish)
  child.kill('SIGTERM')
  setTimeout(() => child.kill('SIGKILL'), 5000).unref()
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => end(0))

try {
  let url = process.env.DATABASE_URL
  if (url) {
    say('Using the database that DATABASE_URL names')
    if (fresh) say('  --fresh leaves a database that is not its own as it is')
  } else {
    if (fresh) say('Beginning again with the demo')
    const database = await startPostgres(home, { fresh, say })
    stopDatabase = database.stop
    url = database.url
  }
  buildIfChanged(say)
  prepareDatabase(url, say)
  const wanted = Number(process.env.PORT ?? 4600)
  const port = await freePort(wanted)
  if (port !== wanted) say(`Port ${wanted} is taken, so it is ${port}`)
  say('Starting')
  const server = await startServer({ home, url, port, quiet: true })
  child = server.child
  child.once('exit', code => end(code ?? 1))
  const work = () => {
    worker = startWorker({ home, url, quiet: true })
    // Whatever ended it: what it was at is taken up again by the next one.
    worker.once('exit', () => ending || setTimeout(work, 2000))
  }
  work()
  say('')
  say(`Hailbank is at ${server.address}`)
  say('Demo sign-in: ines@velmoor.example, password harbour-demo (or one press on the page)')
  say('Ctrl-C stops it')
} catch (error) {
  console.error(error.message)
  end(1)
}
