import postgres from 'postgres'
import { lineTo } from './line'

let connection: postgres.Sql | undefined

/**
 * How long, ms, a statement may take, may wait for a lock, and a transaction may do nothing: none holds up all others. A deck that is
 * brought is made in a thread within its transaction, and may wait for its turn.
 */
const timeouts = { statement_timeout: 60_000, lock_timeout: 20_000, idle_in_transaction_session_timeout: 300_000 }

/** Postgres.js takes what opens a line, but does not say so in its types. */
const lines = { socket: lineTo } as object

/** The pool of connections, opened on first use; it reconnects by itself. DATABASE_URL says where. */
export function database(): postgres.Sql {
  connection ??= postgres(process.env.DATABASE_URL ?? '', {
    max: 10,
    connect_timeout: 5,
    backoff: attempt => Math.min(2, 0.1 * 2 ** attempt),
    onnotice: () => {},
    connection: timeouts,
    ...lines,
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

const never = new Promise<never>(() => {})
const turn = () => new Promise(resolve => setImmediate(resolve))

/**
 * Runs statements in one transaction: all of them count, or none. Where the connection is cut meanwhile it rejects at once, as with any
 * error of the connection, and no statement of the work runs after that: on a connection that is gone, or that others have by then, not
 * even the one that rolls back.
 */
export async function transaction<T>(work: (sql: postgres.TransactionSql) => Promise<T>): Promise<T> {
  let cut: unknown
  // eslint-disable-next-line no-restricted-syntax -- the one place
  const running = database().begin(async sql => {
    const whole = new Proxy(sql, {
      apply(target, self, args) {
        if (cut !== undefined) throw cut
        return Reflect.apply(target, self, args) as unknown
      },
    })
    const outcome = await work(whole).then(
      value => ({ value }),
      async (error: unknown) => {
        // By then a connection that the error came of is known to be cut.
        await turn()
        return { error }
      },
    )
    if (cut !== undefined) return await never
    if ('error' in outcome) throw outcome.error
    return outcome.value
  })
  running.catch((error: unknown) => (cut = error))
  return (await running) as T
}

export type Sql = postgres.Sql | postgres.TransactionSql

/** A value as a parameter of type json. */
export const jsonOf = (value: unknown) => database().json(value as postgres.JSONValue)
