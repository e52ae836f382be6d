import postgres from 'postgres'

let connection: postgres.Sql | undefined

/** The pool of connections, opened on first use; it reconnects by itself. DATABASE_URL says where. */
export function database(): postgres.Sql {
  connection ??= postgres(process.env.DATABASE_URL ?? '', {
    max: 10,
    connect_timeout: 5,
    backoff: attempt => Math.min(2, 0.1 * 2 ** attempt),
    onnotice: () => {},
    types: { bigint: { to: 20, from: [20], parse: Number, serialize: String } },
  })
  return connection
}

export async function closeDatabase() {
  await connection?.end({ timeout: 2 })
  connection = undefined
}

export type Sql = postgres.Sql | postgres.TransactionSql
