import { database, jsonOf, transaction } from './connection'

export type JobState = 'waiting' | 'working' | 'done' | 'failed' | 'cancelled'

/** Long work as a person sees it. */
export interface Job {
  id: string
  kind: 'film' | 'clip'
  deck: string | null
  name: string
  state: JobState
  done: number
  total: number
  message: string
  result: string | null
  /** Of its result. */
  bytes: number | null
  createdAt: string
  endedAt: string | null
}

/** Whoever works on a job is believed to be alive for so many seconds after it last said so. */
export const heldFor = 20
/** A job that ended its worker so many times is not taken up again. */
export const mostAttempts = 3

const columns = () =>
  database()`j.id, j.kind, j.deck, j.name, j.state, j.done, j.total, j.message, j.result, m.bytes, j.created_at as "createdAt", j.ended_at as "endedAt"`

export async function addJob(job: {
  kind: Job['kind']
  deck: string | null
  name: string
  input: unknown
  person: string
}): Promise<string> {
  const sql = database()
  const [row] = await sql<{ id: string }[]>`insert into jobs (kind, deck, name, input, person)
    values (${job.kind}, ${job.deck}, ${job.name}, ${jsonOf(job.input)}, ${job.person}) returning id`
  return row!.id
}

export const jobsOfDeck = (deck: string) =>
  database()<Job[]>`select ${columns()} from jobs j left join media m on m.hash = j.result where j.deck = ${deck} and j.kind = 'film'
    order by j.created_at desc`

export async function jobById(id: string): Promise<Job | undefined> {
  const [row] = await database()<Job[]>`select ${columns()} from jobs j left join media m on m.hash = j.result where j.id = ${id}`
  return row
}

/** Takes up a job that waits; nothing where somebody else has it or it is over. */
export async function takeJob(
  id: string,
): Promise<{ id: string; kind: Job['kind']; input: unknown; name: string; person: string | null; attempts: number } | undefined> {
  const [row] = await database()<
    { id: string; kind: Job['kind']; input: unknown; name: string; person: string | null; attempts: number }[]
  >`
    update jobs
      set state = 'working', attempts = attempts + 1, done = 0, message = '', held_until = now() + ${`${heldFor} seconds`}::interval
    where id = ${id} and state = 'waiting' returning id, kind, input, name, person, attempts`
  return row
}

/** Says how far a job is and that its worker is alive; false where nobody wants it any more. */
export async function advanceJob(id: string, done: number, total: number, message: string): Promise<boolean> {
  const rows = await database()`update jobs
      set done = ${done}, total = ${total}, message = ${message}, held_until = now() + ${`${heldFor} seconds`}::interval
      where id = ${id} and state = 'working' returning id`
  return rows.length > 0
}

export const finishJob = (id: string, result: string) =>
  database()`update jobs set state = 'done', done = total, message = '', result = ${result}, ended_at = now() where id = ${id}
    and state = 'working'`
export const failJob = (id: string, message: string) =>
  database()`update jobs set state = 'failed', message = ${message.slice(0, 500)}, ended_at = now() where id = ${id}
    and state in ('working', 'waiting')`

/** Ends a job that is not over; false where it is. */
export async function cancelJob(id: string): Promise<boolean> {
  return (
    (
      await database()`update jobs set state = 'cancelled', message = '', ended_at = now() where id = ${id}
        and state in ('waiting', 'working') returning id`
    ).length > 0
  )
}

/** Lets a job that failed or was cancelled begin again; false where it is not over or is done. */
export async function renewJob(id: string): Promise<boolean> {
  return (
    (
      await database()`update jobs
        set state = 'waiting', attempts = 0, done = 0, message = '', ended_at = null, held_until = null where id = ${id}
        and state in ('failed', 'cancelled') returning id`
    ).length > 0
  )
}

/** Takes a job that is over away, and what it made where nothing else has it. */
export async function dropJob(id: string) {
  await transaction(async sql => {
    const [gone] = await sql<
      { result: string | null }[]
    >`delete from jobs where id = ${id} and state not in ('waiting', 'working') returning result`
    if (gone?.result)
      await sql`delete from media m where m.hash = ${gone.result} and m.made and not exists (select from jobs j where j.result = m.hash)`
  })
}

/**
 * Lets jobs wait again whose worker has not been heard of, and names those that nobody has been offered for a while, each once in that
 * while.
 */
export async function lapsedJobs(): Promise<{ id: string }[]> {
  const sql = database()
  await sql`update jobs set state = 'waiting', held_until = null where state = 'working' and held_until < now()`
  return await sql<{ id: string }[]>`
    update jobs set held_until = now() + interval '5 minutes'
    where state = 'waiting'
      and coalesce(held_until, case when attempts > 0 then now() else created_at + interval '30 seconds' end) <= now()
      returning id`
}

/** A worker says every so many seconds that it is there, and is believed gone after so many without. */
export const workerBeat = { every: 5, gone: 20 }

/** Says that a worker is there. */
export async function hearWorker(id: string) {
  await database()`insert into workers (id) values (${id}) on conflict (id) do update set heard_at = now()`
}
export async function forgetWorker(id: string) {
  await database()`delete from workers where id = ${id} or heard_at < now() - interval '1 day'`
}
/** How many workers were heard of lately. */
export async function workersHeard(): Promise<number> {
  const [row] = await database()<
    { count: number }[]
  >`select count(*)::int as count from workers where heard_at > now() - ${`${workerBeat.gone} seconds`}::interval`
  return row!.count
}
