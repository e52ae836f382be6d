import { spawnSync } from 'node:child_process'

/** Lists the packages of package.json that have a newer version in the registry. */
const { stdout, error } = spawnSync('npm', ['outdated', '--json', '--long'], { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 })
if (error) throw error
const found = Object.entries(JSON.parse(stdout || '{}')).map(([name, one]) => ({ name, ...(Array.isArray(one) ? one[0] : one) }))
if (found.some(({ name }) => name === 'error')) throw new Error(stdout)
const width = Math.max(8, ...found.map(({ name }) => name.length))
const row = (...cells) =>
  console.log(
    `${cells[0].padEnd(width)}  ${cells
      .slice(1)
      .map(cell => String(cell ?? '').padEnd(14))
      .join('')}`,
  )
if (!found.length) console.log('Every package is at its newest version.')
else {
  row('package', 'here', 'newest', 'for')
  for (const { name, current, latest, type } of found.sort((a, b) => a.name.localeCompare(b.name)))
    row(name, current ?? 'missing', latest, type)
}
