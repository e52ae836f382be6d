import type { Outcome } from '../../core/values'
import { apart } from '../apart'
import { keepFont, type TeamFont } from '../database/fonts'
import { keepMedia } from '../database/media'

/** Looks into a font file, apart, and keeps it for the team; or says in a sentence why it cannot be one. `person`: who brought it. */
export async function takeFont(bytes: Uint8Array, name: string, person: string | null): Promise<Outcome<TeamFont & { letters: number }>> {
  const checked = await apart('font', { bytes, name }, { seconds: 15, what: 'This font' })
  if (!checked.ok) return checked
  const { row, info } = checked.value
  await keepMedia(row, bytes, person)
  const font = { hash: row.hash, family: info.family, weight: info.weight, italic: info.italic, held: info.held }
  await keepFont(font, person)
  return { ok: true, value: { ...font, letters: info.letters } }
}
