import { randomBytes } from 'node:crypto'
import postgres from 'postgres'
import { afterAll, beforeAll, inject } from 'vitest'
import { closeDatabase } from '../database/connection'

declare module 'vitest' {
  export interface ProvidedContext {
    /** The address of the database that scripts/testing/cluster.ts has started. */
    cluster: string
  }
}

const name = `copy_${randomBytes(6).toString('hex')}`

/** Runs a statement beside all databases: none may be in use that is copied. */
async function beside(statement: string) {
  const sql = postgres(new URL('/template1', inject('cluster')).href, { max: 1, onnotice: () => {} })
  try {
    await sql.unsafe(statement)
  } finally {
    await sql.end()
  }
}

beforeAll(async () => {
  await beside(`create database ${name} template postgres`)
  process.env.DATABASE_URL = new URL(`/${name}`, inject('cluster')).href
})
afterAll(async () => {
  await closeDatabase()
  await beside(`drop database ${name} with (force)`)
})
