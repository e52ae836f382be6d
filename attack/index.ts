import { cutDatabase, kill, killWorker, startAll } from '../tests/support/server'
import { browserKills } from './browser-kills'
import { databaseKills, kills } from './kills'
import { floods } from './floods'
import { hostileDocuments } from './documents'
import { hostileFiles } from './files'
import { largeDecks } from './large'
import { nodes } from './nodes'
import { malformed } from './requests'
import type { Attack } from './attack'

/** The catalogue: adding an attack is adding a file and a line. */
const attacks: readonly Attack[] = [
  kills,
  databaseKills,
  browserKills,
  nodes,
  malformed,
  hostileFiles,
  hostileDocuments,
  largeDecks,
  floods,
]

const wanted = process.argv.slice(2)
const scale = Number(process.env.HAILBANK_ATTACK ?? 1)
await startAll()
let lost = 0
try {
  for (const attack of attacks.filter(({ name }) => !wanted.length || wanted.some(word => name.startsWith(word)))) {
    const begun = Date.now()
    process.stdout.write(`${attack.name}: ${attack.about}\n`)
    const { tried, failures, figures } = await attack.run(count => Math.max(1, Math.round(count * scale)))
    lost += failures.length
    process.stdout.write(
      `  tried ${tried.toLocaleString('en')}, lost ${failures.length}, ${Math.round((Date.now() - begun) / 1000)} ` +
        `s${figures ? `; ${figures}` : ''}\n`,
    )
    for (const failure of failures.slice(0, 12)) process.stdout.write(`  LOST ${failure}\n`)
  }
} finally {
  killWorker()
  await kill('SIGTERM')
  cutDatabase()
}
process.stdout.write(lost ? `${lost} lost\n` : 'Nothing was lost\n')
process.exit(lost ? 1 : 0)
