import { execFileSync } from 'node:child_process'
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { broughtFamilies, type BroughtFamily } from '../core/fonts'

/**
 * Brings fonts whose letters are too many to ship: `npm run fonts -- japanese korean`. Their packages come from the npm registry, and their
 * files into the folder of fonts, from which a server that runs takes them within seconds.
 */
const version = '5.3.0'
const weights = [400, 700]
const folder = path.resolve(process.env.HAILBANK_FONTS || path.join(process.env.HAILBANK_HOME ?? '.hailbank', 'fonts'))
const names = broughtFamilies.map(({ name }) => name).join(', ')

/** Puts a family's files into the folder; answers with how many came. */
function bring({ folder: own, part }: BroughtFamily): number {
  const place = mkdtempSync(path.join(tmpdir(), 'fonts-'))
  try {
    execFileSync('npm', ['pack', `@fontsource/${own}@${version}`, '--pack-destination', place, '--silent'], {
      stdio: ['ignore', 'ignore', 'pipe'],
    })
    execFileSync('tar', ['xzf', path.join(place, `fontsource-${own}-${version}.tgz`), '-C', place])
    const files = weights
      .map(weight => `${own}-${part}-${weight}-normal.woff2`)
      .filter(file => existsSync(path.join(place, 'package/files', file)))
    mkdirSync(folder, { recursive: true })
    for (const file of files) copyFileSync(path.join(place, 'package/files', file), path.join(folder, file))
    return files.length
  } finally {
    rmSync(place, { recursive: true })
  }
}

const wanted = process.argv.slice(2)
if (process.env.HAILBANK_FONTS === '') {
  console.log('HAILBANK_FONTS is empty, so that no server takes fonts from a folder. Set it to one, or take it away.')
  process.exit(1)
}
const unknown = wanted.filter(name => !broughtFamilies.some(one => one.name === name))
if (!wanted.length || unknown.length) {
  console.log(
    unknown.length
      ? `There is no “${unknown.join('”, “')}”. These can be brought: ${names}.`
      : `Say which: npm run fonts -- NAME, of ${names}.`,
  )
  process.exit(1)
}
for (const font of broughtFamilies.filter(({ name }) => wanted.includes(name))) {
  try {
    const count = bring(font)
    if (!count) throw new Error('its package holds no such files')
    console.log(`${font.family}: ${count} files are in ${folder}.`)
  } catch (error) {
    // Whatever npm or tar stumble over: no network, no room, no right.
    const said = String((error as { stderr?: Buffer }).stderr ?? '').trim() || (error as Error).message
    console.error(`${font.family} did not come: ${said.split('\n').slice(-2).join(' ')}`)
    process.exitCode = 1
  }
}
if (!process.exitCode)
  console.log('A server that runs takes them within seconds, another one when it starts. Choose them in Compose, Look, Fonts.')
