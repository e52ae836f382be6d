import { setTimeout as pause } from 'node:timers/promises'
import type { ParameterOrJSON } from 'postgres'
import type { RateLimiterRes } from 'rate-limiter-flexible'
import { RateLimiterPostgres } from 'rate-limiter-flexible'
import { database } from './database/connection'

/** The limiter's own client speaks as `pg` does; ours is Postgres.js. */
const client = {
  query: async ({ text, values }: { text: string; values: ParameterOrJSON<never>[] }) => {
    const rows = await database().unsafe(text, values)
    return { rows, rowCount: rows.count }
  },
}
const limiter = (keyPrefix: string, duration: number) =>
  new RateLimiterPostgres({
    storeClient: client,
    storeType: 'client',
    tableName: 'attempts',
    tableCreated: true,
    keyPrefix,
    points: 1_000_000,
    duration,
    clearExpiredByTimeout: false,
  })

/** Failed attempts are remembered for a quarter of an hour, by account and by address, in the database: a restart forgets none. */
const limits = { account: limiter('account', 15 * 60), address: limiter('address', 15 * 60) }
/** So many failures are anybody's fingers; from then on each further one doubles the wait. */
const free = { account: 5, address: 20 }
const longest = 10_000

/** Milliseconds to wait after so many failures. */
export const waitAfter = (failures: number, without: number) =>
  failures < without ? 0 : Math.min(longest, 250 * 2 ** (failures - without))

const failuresOf = async (kind: keyof typeof limits, key: string) =>
  ((await limits[kind].get(key)) as RateLimiterRes | null)?.consumedPoints ?? 0

/** Attempts of one address that wait at once; who has more of them open is no person. */
const mostWaiting = 10
const waiting = new Map<string, number>()

/**
 * Lets an attempt to sign in wait as long as earlier failures ask for: never banned, only slowed, so that nobody is locked out by what
 * others try. False where the address already has too many attempts waiting.
 */
export async function takeTurn(account: string, address: string): Promise<boolean> {
  const open = waiting.get(address) ?? 0
  if (open >= mostWaiting) return false
  waiting.set(address, open + 1)
  try {
    const [ofAccount, ofAddress] = await Promise.all([failuresOf('account', account), failuresOf('address', address)])
    const wait = Math.max(waitAfter(ofAccount, free.account), waitAfter(ofAddress, free.address))
    if (wait) await pause(wait)
    return true
  } finally {
    const left = (waiting.get(address) ?? 1) - 1
    if (left) waiting.set(address, left)
    else waiting.delete(address)
  }
}

export const countFailure = (account: string, address: string) =>
  Promise.all([limits.account.consume(account), limits.address.consume(address)])
export const forgetFailures = (account: string) => limits.account.delete(account)
