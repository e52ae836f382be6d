import type { NamedMotion } from '../../core/timing'
import { database, jsonOf } from './connection'

/** The team's named motions, by name. */
export const listMotions = () => database()<NamedMotion[]>`select id, name, motion from motions order by lower(name), id`

export const motionExists = async (id: string) => (await database()`select from motions where id = ${id}`).length > 0

/** Keeps motion under a name: anew, or in place of one that is there. */
export async function keepMotion(motion: NamedMotion, person: string | null): Promise<NamedMotion> {
  const [row] = await database()<NamedMotion[]>`
    insert into motions (id, name, motion, created_by) values (${motion.id}, ${motion.name}, ${jsonOf(motion.motion)}, ${person})
    on conflict (id) do update set name = excluded.name, motion = excluded.motion, changed_at = now()
    returning id, name, motion`
  return row!
}

export const dropMotion = (id: string) => database()`delete from motions where id = ${id}`
