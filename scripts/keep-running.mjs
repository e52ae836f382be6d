import { setTimeout as pause } from 'node:timers/promises'

/** A process that ran so long, ms, counts as having started well. */
const wellAfter = 30_000
const waits = [1000, 2000, 5000, 15_000, 60_000]

/**
 * Keeps a process running: whenever it ends, that is said and it is started again, after a wait that grows while it does not
 * hold. `start` answers with `{ child, log }`. Returns how to end it: asked first, made to after `patience` ms.
 */
export function keepRunning(name, first, start, say) {
  let current = first
  let ending = false
  let failures = 0

  function follow({ child, log }) {
    const since = Date.now()
    child.once('exit', async (code, signal) => {
      // Browsers and decoders that it started itself are of its group.
      signalGroup(child, 'SIGKILL')
      if (ending) return
      if (Date.now() - since > wellAfter) failures = 0
      const wait = waits[Math.min(failures++, waits.length - 1)]
      say(`The ${name} ended (${signal ?? `code ${code}`}). It is started again in ${wait / 1000} s. What it said last is in ${log}`)
      await pause(wait)
      if (ending) return
      try {
        current = await start()
        if (ending) signalGroup(current.child, 'SIGKILL')
        else {
          say(`The ${name} runs again`)
          follow(current)
        }
      } catch (error) {
        say(error.message)
        if (error.started) follow(error.started)
      }
    })
  }
  follow(first)

  return {
    async end(patience = 8000) {
      ending = true
      const { child } = current
      if (child.exitCode !== null || child.signalCode !== null) return
      const gone = new Promise(resolve => child.once('exit', resolve))
      child.kill('SIGTERM')
      await Promise.race([gone, pause(patience)])
      signalGroup(child, 'SIGKILL')
      await Promise.race([gone, pause(1000)])
    },
  }
}

function signalGroup(child, signal) {
  try {
    process.kill(-child.pid, signal)
  } catch (error) {
    if (error.code !== 'ESRCH') throw error
  }
}
