import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { freePort } from '../scripts/postgres.mjs'
import { cookieOf } from './support/live'

/** `npm start` in a terminal of its own, as a person has it: the pty comes from util-linux' script. */
const home = path.resolve('.hailbank/test-start')

/** Processes that belong to this home: all that were started from it carry its name in their surroundings. */
function living(): string[] {
  const found = []
  for (const pid of readdirSync('/proc').filter(name => /^\d+$/.test(name))) {
    try {
      if (readFileSync(`/proc/${pid}/environ`, 'utf8').split('\0').includes(`HAILBANK_HOME=${home}`))
        found.push(readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' '))
    } catch {
      // It ended between the list and the look.
    }
  }
  return found
}

const taken = (port: number) =>
  new Promise<boolean>(resolve => {
    const socket = net
      .connect(port, '127.0.0.1', () => {
        socket.destroy()
        resolve(true)
      })
      .once('error', () => resolve(false))
  })

function inTerminal(port: number): { terminal: ChildProcess; said: () => string } {
  const terminal = spawn('script', ['-qefc', 'npm start', '/dev/null'], {
    env: { ...process.env, HAILBANK_HOME: home, PORT: String(port) },
    stdio: ['pipe', 'pipe', 'pipe'],
  })
  let words = ''
  terminal.stdout!.on('data', part => {
    words += part
  })
  return { terminal, said: () => words }
}

/** A start that has come up, and stands there ten seconds later. */
async function up() {
  const port = await freePort(4720)
  const started = inTerminal(port)
  await expect.poll(started.said, { timeout: 180_000 }).toContain('Ctrl-C stops it')
  return { port, ...started }
}

async function gone(port: number) {
  await expect.poll(living, { timeout: 120_000 }).toEqual([])
  expect(await taken(port)).toBe(false)
  expect(existsSync(path.join(home, 'running.json'))).toBe(false)
}

test.beforeAll(() => rmSync(path.join(home, 'running.json'), { force: true }))
test.afterAll(() => void spawnSync('npm', ['stop'], { env: { ...process.env, HAILBANK_HOME: home } }))

test('npm start stays until Ctrl-C, and then nothing of it is left', async () => {
  const { port, terminal, said } = await up()
  await new Promise(resolve => setTimeout(resolve, 10_000))
  expect(terminal.exitCode).toBeNull()
  expect((await fetch(`http://127.0.0.1:${port}/api/health`)).ok).toBe(true)
  // It works as it was started: what is made goes through threads of its own.
  const made = await fetch(`http://127.0.0.1:${port}/api/decks`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie: await cookieOf('ines@velmoor.example', port) },
    body: '{"title":"Begun","purpose":"talk"}',
  })
  expect(made.status).toBe(200)
  terminal.stdin!.write('\u0003')
  await expect.poll(() => terminal.exitCode, { timeout: 120_000 }).not.toBeNull()
  expect(said()).toContain('Ending what was started')
  await gone(port)
})

test('a second start finds the first, a worker that dies is replaced and said, and npm stop ends all', async () => {
  const { port, terminal, said } = await up()
  const environment = { ...process.env, HAILBANK_HOME: home, PORT: String(port) }
  const second = spawnSync('npm', ['start'], { env: environment, encoding: 'utf8' })
  expect(second.stdout).toContain(`Hailbank is running already, at http://127.0.0.1:${port}`)
  expect(second.status).toBe(0)
  const worker = readdirSync('/proc')
    .filter(name => /^\d+$/.test(name))
    .find(pid => {
      try {
        return (
          readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('server/jobs/worker.ts') &&
          readFileSync(`/proc/${pid}/environ`, 'utf8').includes(`HAILBANK_HOME=${home}\0`)
        )
      } catch {
        return false
      }
    })
  process.kill(Number(worker), 'SIGKILL')
  await expect.poll(said).toContain('The worker ended (SIGKILL)')
  await expect.poll(said).toContain('The worker runs again')
  await expect.poll(() => living().filter(words => words.includes('server/jobs/worker.ts')).length).toBe(1)
  const stopped = spawnSync('npm', ['stop'], { env: environment, encoding: 'utf8' })
  expect(stopped.stdout).toContain('Hailbank is stopped')
  await expect.poll(() => terminal.exitCode).toBe(0)
  await gone(port)
})

test('a terminal that is closed takes all with it', async () => {
  const { port, terminal } = await up()
  terminal.kill('SIGKILL')
  await gone(port)
})

test('a start that is killed leaves neither server nor worker, and the next one goes on with the same data', async () => {
  const first = await up()
  const { pid } = JSON.parse(readFileSync(path.join(home, 'running.json'), 'utf8')) as { pid: number }
  process.kill(pid, 'SIGKILL')
  await expect.poll(() => living().filter(words => /worker\.ts|index\.mjs/.test(words)), { timeout: 120_000 }).toEqual([])
  expect(await taken(first.port)).toBe(false)
  const next = await up()
  process.kill((JSON.parse(readFileSync(path.join(home, 'running.json'), 'utf8')) as { pid: number }).pid, 'SIGTERM')
  await gone(next.port)
})
