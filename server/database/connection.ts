import postgres from 'postgres'

let connection: postgres.Sql | undefined

/**
 * How long, ms, a statement may take, may wait for a lock, and a transaction may do nothing: none holds up all others. A deck that is
 * brought is made in a thread within its transaction, and may wait for its turn.
 */
const timeouts = { statement_timeout: 60_000, lock_timeout: 20_000, idle_in_transaction_session_timeout: 300_000 }

/** The pool of connections, opened on first use; it reconnects by itself. DATABASE_URL says where. */
export function database(): postgres.Sql {
  connection ??= postgres(process.env.DATABASE_URL ?? '', {
    max: 10,
    connect_timeout: 5,
    backoff: attempt => Math.min(2, 0.1 * 2 ** attempt),
    onnotice: () => {},
    connection: timeouts,
    types: { bigint: { to: 20, from: [20], parse: Number, serialize: String } },
  })
  return connection
}

export async function closeDatabase() {
  await connection?.end({ timeout: 2 })
  connection = undefined
}

/**
 * Whether an error of the database is one that passes: the connection (that it cannot be had, or lets nobody in), a database that starts
 * or ends, a full disk, a conflict of two at once. See PostgreSQL's appendix of error codes: classes 08, 28, 3D, 40, 53, 55, 57. All else
 * would fail again.
 */
export function isPassing(error: unknown): boolean {
  const code = String((error as { code?: unknown } | null)?.code ?? '')
  return !/^[0-9A-Z]{5}$/.test(code) || /^(08|28|3D|40|53|55|57)/.test(code)
}

export type Sql = postgres.Sql | postgres.TransactionSql

/** A value as a parameter of type json. */
export const jsonOf = (value: unknown) => database().json(value as postgres.JSONValue)
