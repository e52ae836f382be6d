import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync } from 'node:fs'
import type { Readable, Writable } from 'node:stream'

/** A browser that is told what to do over a pipe, by the Chrome DevTools Protocol. */
export interface Browser {
  /** Whether its frames begin when they are asked for. */
  stepped: boolean
  send<T = Record<string, unknown>>(method: string, params?: Record<string, unknown>, session?: string): Promise<T>
  close(): void
}

const shell = ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromium-headless-shell'].find(existsSync)
const flags = [
  '--remote-debugging-pipe',
  '--no-sandbox',
  '--disable-gpu',
  '--hide-scrollbars',
  '--mute-audio',
  '--force-color-profile=srgb',
  '--allow-file-access-from-files',
  '--no-first-run',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  '--autoplay-policy=no-user-gesture-required',
  '--run-all-compositor-stages-before-draw',
  '--disable-threaded-animation',
  '--disable-threaded-scrolling',
  '--disable-checker-imaging',
]

/** Starts a headless browser: the one that draws frame by frame where it is installed, else the usual one. */
export function startBrowser(folder: string): Browser {
  const program = shell ?? process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium'
  const args = [...flags, `--user-data-dir=${folder}`, ...(shell ? ['--enable-begin-frame-control'] : ['--headless=new']), 'about:blank']
  const child: ChildProcess = spawn(program, args, { stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'] })
  const [write, read] = [child.stdio[3] as Writable, child.stdio[4] as Readable]
  const waiting = new Map<number, { resolve(result: unknown): void; reject(error: Error): void }>()
  let last = 0
  let parts: Buffer[] = []
  const fail = (error: Error) => {
    for (const { reject } of waiting.values()) reject(error)
    waiting.clear()
  }
  child.on('error', fail)
  child.on('exit', () => fail(new Error('the browser ended')))
  write.on('error', () => {})
  read.on('data', (part: Buffer) => {
    let from = 0
    for (let end = part.indexOf(0); end >= 0; end = part.indexOf(0, from)) {
      parts.push(part.subarray(from, end))
      const message = JSON.parse(Buffer.concat(parts).toString()) as { id?: number; result?: unknown; error?: { message: string } }
      parts = []
      from = end + 1
      const asked = message.id === undefined ? undefined : waiting.get(message.id)
      if (!asked) continue
      waiting.delete(message.id!)
      if (message.error) asked.reject(new Error(message.error.message))
      else asked.resolve(message.result)
    }
    if (from < part.length) parts.push(part.subarray(from))
  })
  return {
    stepped: !!shell,
    send: <T>(method: string, params: object = {}, session?: string) =>
      new Promise<T>((resolve, reject) => {
        const id = ++last
        // What a method answers with is known to whoever calls it, from the protocol's own description.
        waiting.set(id, { resolve: result => resolve(result as T), reject })
        write.write(`${JSON.stringify({ id, method, params, ...(session ? { sessionId: session } : {}) })}\0`)
      }),
    close: () => {
      child.kill('SIGKILL')
    },
  }
}
