import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import fs from 'node:fs'
import path from 'node:path'

const sources = [
  'app',
  'core',
  'stage',
  'player',
  'server',
  'public',
  'nuxt.config.ts',
  'package-lock.json',
  'scripts/build.mjs',
  'scripts/trim.mjs',
  'scripts/alone.vite.config.ts',
]

function* files(place) {
  if (!fs.existsSync(place)) return
  if (fs.statSync(place).isFile()) yield place
  else for (const name of fs.readdirSync(place).sort()) yield* files(path.join(place, name))
}

/** A sum over all that the build is made from. */
function sumOfSources() {
  const sum = createHash('sha256')
  for (const source of sources) for (const file of files(source)) sum.update(file).update(fs.readFileSync(file))
  return sum.digest('hex')
}

/** Runs a tool from the packages to its end, or to that of this process; answers with its exit code and what it said. */
const run = ([tool, ...args], folder) =>
  new Promise((resolve, reject) => {
    const said = []
    const child = spawn(process.execPath, [`node_modules/.bin/${tool}`, ...args], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NODE_ENV: 'production', NODE_OPTIONS: '--max-old-space-size=4096', HAILBANK_BUILD_FOLDER: folder },
    })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', part => said.push(part))
    child.once('error', reject)
    const end = () => child.kill()
    process.once('exit', end)
    child.once('close', status => {
      process.off('exit', end)
      resolve({ status, said: Buffer.concat(said).toString() })
    })
  })

/** Builds the application unless nothing has changed since the last build. */
export async function buildIfChanged(say) {
  const stamp = '.output/hailbank-build'
  const sum = sumOfSources()
  if (fs.existsSync(stamp) && fs.readFileSync(stamp, 'utf8') === sum && fs.existsSync('.output/server/index.mjs')) return
  say('Building (one to two minutes, when something has changed)')
  // The settings of the compiler, which the sources name, stand in the usual folder.
  if (!fs.existsSync('.nuxt/tsconfig.app.json')) await run(['nuxt', 'prepare'], '')
  for (const args of [
    ['nuxt', 'build'],
    ['vite', 'build', '--config', 'scripts/alone.vite.config.ts'],
  ]) {
    const built = await run(args, 'node_modules/.cache/hailbank-build')
    if (built.status !== 0) throw new Error(`The build failed:\n${built.said.split('\n').slice(-40).join('\n')}`)
  }
  fs.writeFileSync(stamp, sum)
}

if (process.argv[1] === import.meta.filename) {
  // Ended by a signal, it takes the tool that it runs along.
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => process.exit(1))
  await buildIfChanged(console.log)
}
