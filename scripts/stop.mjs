import { setTimeout as pause } from 'node:timers/promises'
import { runningInstance } from './instance.mjs'
import { databaseRuns, stopPostgres } from './postgres.mjs'

/** npm stop: ends what npm start has running, and a database that one which did not end in order has left. */
const home = process.env.HAILBANK_HOME ?? '.hailbank'
const running = runningInstance(home)
if (running) {
  process.kill(running.pid, 'SIGTERM')
  for (let waited = 0; waited < 20_000 && runningInstance(home); waited += 100) await pause(100)
  if (runningInstance(home)) {
    console.error(`Process ${running.pid} does not end. End it with: kill -9 ${running.pid}`)
    process.exit(1)
  }
  console.log('Hailbank is stopped')
} else if (databaseRuns(home)) {
  stopPostgres(home)
  console.log('Hailbank was not running; a database that was left over is stopped')
} else console.log('Hailbank is not running')
