import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { expect, it } from 'vitest'

const tied = (program: string) =>
  spawn(process.execPath, ['--import', './scripts/tied.mjs', '-e', program], { stdio: ['ignore', 'pipe', 'inherit', 'ipc'] })

it('a process that is tied ends with whoever started it, also when that was gone before it had begun', async () => {
  const early = tied('setInterval(() => {}, 1000)')
  early.disconnect()
  expect((await once(early, 'exit'))[1]).toBe('SIGKILL')
})

it('a process that is tied ends in order, and is ended where it does not', async () => {
  const orderly = tied(
    'process.on("SIGTERM", () => { console.log("in order"); process.exit(0) }); setInterval(() => {}, 1000); console.log("there")',
  )
  let said = ''
  orderly.stdout!.on('data', (part: Buffer) => {
    said += part
  })
  await once(orderly.stdout!, 'data')
  orderly.disconnect()
  expect((await once(orderly, 'exit'))[0]).toBe(0)
  expect(said).toContain('in order')

  const stubborn = tied('process.on("SIGTERM", () => {}); setInterval(() => {}, 1000); console.log("there")')
  await once(stubborn.stdout!, 'data')
  stubborn.disconnect()
  expect((await once(stubborn, 'exit'))[1]).toBe('SIGKILL')
})

it('a process that is tied may have threads, and lives with them until then', async () => {
  const threaded = tied(
    'new (require("node:worker_threads").Worker)("require(`node:worker_threads`).parentPort.postMessage(`there`)", { eval: ' +
      'true }).on("message", words => console.log(words)); setInterval(() => {}, 1000)',
  )
  const [said] = (await once(threaded.stdout!, 'data')) as [Buffer]
  expect(String(said)).toContain('there')
  await new Promise(resolve => setTimeout(resolve, 500))
  expect(threaded.signalCode).toBeNull()
  threaded.disconnect()
  await once(threaded, 'exit')
})
