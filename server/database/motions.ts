import type { NamedMotion } from '../../core/timing'
import { numberWords } from '../../core/values'
import { UserError } from '../user-error'
import { database, jsonOf } from './connection'

/** The team's named motions, by name. */
export const listMotions = () => database()<NamedMotion[]>`select id, name, motion from motions order by lower(name), id`

export const motionExists = async (id: string) => (await database()`select from motions where id = ${id}`).length > 0

/** As many as one list still shows at a glance, and sends at once. */
export const mostMotions = 500

/** Keeps motion under a name: anew, or in place of one that is there. Throws `UserError` where there are as many as there may be. */
export async function keepMotion(motion: NamedMotion, person: string | null): Promise<NamedMotion> {
  const [others] = await database()<{ count: number }[]>`select count(*)::int as count from motions where id <> ${motion.id}`
  if (others!.count >= mostMotions)
    throw new UserError(
      429,
      `The team has saved ${numberWords(mostMotions)} motions, as many as can be kept. Remove one, or save over one of them.`,
    )
  const [row] = await database()<NamedMotion[]>`
    insert into motions (id, name, motion, created_by) values (${motion.id}, ${motion.name}, ${jsonOf(motion.motion)}, ${person})
    on conflict (id) do update set name = excluded.name, motion = excluded.motion, changed_at = now()
    returning id, name, motion`
  return row!
}

export const dropMotion = (id: string) => database()`delete from motions where id = ${id}`
