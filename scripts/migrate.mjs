import { readFile, readdir } from 'node:fs/promises'
import path from 'node:path'
import postgres from 'postgres'

/**
 * Runs the numbered migrations that a database has not seen, each in one transaction. Usage: node scripts/migrate.mjs (DATABASE_URL set).
 */
const sql = postgres(process.env.DATABASE_URL, { max: 1, onnotice: () => {} })
const folder = path.resolve(import.meta.dirname, '../database')

try {
  await sql`create table if not exists migrations (name text primary key, run_at timestamptz not null default now())`
  const known = new Set((await sql`select name from migrations`).map(row => row.name))
  const files = (await readdir(folder)).filter(name => /^\d{3}-.*\.sql$/.test(name)).sort()
  for (const name of files) {
    if (known.has(name)) continue
    const text = await readFile(path.join(folder, name), 'utf8')
    // eslint-disable-next-line no-restricted-syntax -- the application is not here; what is cut is begun anew by the next start
    await sql.begin(async transaction => {
      await transaction.unsafe(text)
      await transaction`insert into migrations (name) values (${name})`
    })
    console.log(`  brought the database to ${name.replace('.sql', '')}`)
  }
} finally {
  await sql.end()
}
