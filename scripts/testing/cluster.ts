import { spawnSync } from 'node:child_process'
import type { TestProject } from 'vitest/node'
import { startPostgres } from '../postgres.mjs'

/** Starts a database of its own for all tests that ask one, brought up to date; each file of tests works in a copy. */
export default async function (project: TestProject) {
  const cluster = await startPostgres('.hailbank/unit', { fresh: true, port: 54420 })
  const made = spawnSync(process.execPath, ['scripts/migrate.mjs'], {
    env: { ...process.env, DATABASE_URL: cluster.url },
    encoding: 'utf8',
  })
  if (made.status !== 0) throw new Error(`The database of the tests could not be made:\n${made.stderr}`)
  project.provide('cluster', cluster.url)
  return cluster.stop
}
