import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import fs from 'node:fs'
import path from 'node:path'

const sources = ['app', 'core', 'stage', 'player', 'server', 'public', 'nuxt.config.ts', 'package-lock.json', 'scripts/build.mjs', 'scripts/alone.vite.config.ts']

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

/** Builds the application unless nothing has changed since the last build. */
export function buildIfChanged(say) {
  const stamp = '.output/hailbank-build'
  const sum = sumOfSources()
  if (fs.existsSync(stamp) && fs.readFileSync(stamp, 'utf8') === sum && fs.existsSync('.output/server/index.mjs')) return
  say('Building (one to two minutes, when something has changed)')
  const run = (args, folder) => spawnSync('npx', args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, NODE_ENV: 'production', NODE_OPTIONS: '--max-old-space-size=4096', HAILBANK_BUILD_FOLDER: folder }, maxBuffer: 1 << 28 })
  // The settings of the compiler, which the sources name, stand in the usual folder.
  if (!fs.existsSync('.nuxt/tsconfig.app.json')) run(['nuxt', 'prepare'], '')
  for (const args of [['nuxt', 'build'], ['vite', 'build', '--config', 'scripts/alone.vite.config.ts']]) {
    const built = run(args, 'node_modules/.cache/hailbank-build')
    if (built.status !== 0) throw new Error(`The build failed:\n${(built.stdout + built.stderr).split('\n').slice(-40).join('\n')}`)
  }
  fs.writeFileSync(stamp, sum)
}

if (process.argv[1] === import.meta.filename) buildIfChanged(console.log)
