import { spawn, spawnSync, type ChildProcess, type SpawnOptions } from 'node:child_process'
import { existsSync } from 'node:fs'
import path from 'node:path'
import { log } from '../log'

/**
 * The kinds of file that are let in, by ffmpeg's names of their readers: those that hold pictures and sound themselves. Whatever only
 * names other files (playlists, manifests, lists, sessions) is not among them, and could not be read anyway: a file is opened in a
 * room without network in which nothing but its own folder stands.
 */
export const containers = [
  'mov',
  'mp4',
  'm4a',
  '3gp',
  '3g2',
  'mj2',
  'matroska',
  'webm',
  'avi',
  'mpegts',
  'mpeg',
  'mpegvideo',
  'm4v',
  'h264',
  'hevc',
  'ivf',
  'flv',
  'asf',
  'mxf',
  'dv',
  'nut',
  'gif',
  'mp3',
  'wav',
  'w64',
  'ogg',
  'flac',
  'aac',
  'ac3',
  'eac3',
  'aiff',
  'caf',
  'amr',
  'wv',
  'tta',
  'ape',
  'au',
] as const

/** Options of ffmpeg as they are written in a line. */
export const words = (line: string) => line.split(' ')

/** What stands before the input of whatever a person gave. */
export const given = (file: string) => ['-protocol_whitelist', 'file', '-format_whitelist', containers.join(','), '-i', file]

const bubblewrap = '/usr/bin/bwrap'
/** What a decoder may take at most: bytes of address space, seconds of processor. */
const most = { memory: 8 * 1024 ** 3, seconds: 4 * 3600 }

const walls = (folders: readonly string[]) => [
  '--unshare-all',
  '--die-with-parent',
  '--new-session',
  '--clearenv',
  '--setenv',
  'PATH',
  '/usr/bin',
  '--ro-bind',
  '/usr',
  '/usr',
  '--symlink',
  'usr/lib',
  '/lib',
  '--symlink',
  'usr/lib64',
  '/lib64',
  '--symlink',
  'usr/bin',
  '/bin',
  '--ro-bind-try',
  '/etc/alternatives',
  '/etc/alternatives',
  '--ro-bind-try',
  '/etc/ld.so.cache',
  '/etc/ld.so.cache',
  '--proc',
  '/proc',
  '--dev',
  '/dev',
  ...folders.flatMap(folder => ['--bind', folder, folder]),
  '--chdir',
  folders[0] ?? '/',
]

let confined: boolean | undefined
/**
 * Whether decoders run behind walls here; tried once, not believed. Where the system allows none, they run with the list of kinds alone,
 * and that is logged.
 */
export function isConfined(): boolean {
  if (confined === undefined) {
    confined =
      existsSync(bubblewrap) &&
      spawnSync(bubblewrap, [...walls([]), '/usr/bin/ffprobe', '-version'], { stdio: 'ignore', timeout: 60_000 }).status === 0
    if (!confined) log.warn('bubblewrap is missing or not allowed here: films are read without walls around the decoder')
  }
  return confined
}

/**
 * Starts ffmpeg or ffprobe with nothing in sight but some folders, those of the files in its arguments, without network and within
 * limits of memory and time.
 */
export function startDecoder(
  program: 'ffmpeg' | 'ffprobe',
  args: readonly string[],
  folders: readonly string[],
  options: SpawnOptions & { timeout?: number } = {},
): ChildProcess {
  const limits = [
    '/usr/bin/prlimit',
    `--as=${most.memory}`,
    `--cpu=${Math.ceil(options.timeout ? options.timeout / 250 : most.seconds)}`,
    '--core=0',
  ]
  const all = isConfined()
    ? [...limits, bubblewrap, ...walls(folders.map(folder => path.resolve(folder))), program, ...args]
    : [program, ...args]
  return spawn(all[0]!, all.slice(1), { killSignal: 'SIGKILL', ...options })
}

/** A decoder that did not end well, with what it said. */
export class DecoderError extends Error {}

/** Runs ffmpeg or ffprobe to its end; answers with what it wrote. Throws `DecoderError`. */
export function runDecoder(
  program: 'ffmpeg' | 'ffprobe',
  args: readonly string[],
  folders: readonly string[],
  { timeout, mostBytes = 64 * 1024 * 1024 }: { timeout: number; mostBytes?: number },
): Promise<{ stdout: Buffer; stderr: string }> {
  return new Promise((resolve, reject) => {
    const child = startDecoder(program, args, folders, { stdio: ['ignore', 'pipe', 'pipe'], timeout })
    const parts: Buffer[] = []
    let bytes = 0
    let said = ''
    child.stdout!.on('data', (part: Buffer) => {
      bytes += part.length
      if (bytes > mostBytes) child.kill('SIGKILL')
      else parts.push(part)
    })
    child.stderr!.on('data', (part: Buffer) => {
      said = (said + part.toString()).slice(-4000)
    })
    child.on('error', reject)
    child.on('close', (code, signal) => {
      if (code === 0) resolve({ stdout: Buffer.concat(parts), stderr: said })
      else
        reject(
          new DecoderError(signal ? `${program} was ended (${signal})` : said.trim().split('\n').at(-1) || `${program} ended with ${code}`),
        )
    })
  })
}
