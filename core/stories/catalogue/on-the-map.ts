import type { ChartSpec } from '../../model'
import { bare, headline, now, type StoryOutline, type StoryRoom } from '../story'

/** The chart of a table's first group on a map. */
const drawn = (room: StoryRoom): ChartSpec => bare(room, { kind: 'map-areas', across: room.groups[0]!.name, ...now(room) })

/** Where amounts are: all of it, then where most is, from near. */
export const onTheMap: StoryOutline = {
  name: 'on-the-map',
  label: 'Where on the map',
  about: 'All places, then the one that has most, lit and seen from near.',
  needs: ['groups'],
  lacks: room => (mapOf(room) ? null : 'a column of countries, or of places of a map that the team has'),
  suits: room => ({ score: 0.82, why: `${mapOf(room)!.called}, by what each comes to.` }),
  tell(room) {
    const { kind, map } = mapOf(room)!
    const all: ChartSpec = { ...drawn(room), kind, ...(map ? { map } : {}) }
    const lit: ChartSpec = { ...all, rule: 'most' }
    return [
      {
        title: headline(room.facts(all), ['most'], `Where ${room.amount?.name ?? 'the rows'} are`),
        chart: all,
        states: [lit, { ...lit, options: { camera: 'highlighted' } }],
      },
    ]
  },
}

/** What its places are drawn on; null where nothing says where they lie. */
function mapOf(room: StoryRoom): { kind: string; map: string | null; called: string } | null {
  const { placed, named, categories } = room.shape(drawn(room))
  if (placed) return { kind: placed === 'areas' ? 'map-areas' : 'map-points', map: null, called: `${categories} places` }
  if (!named || named.categories < Math.max(2, categories * 0.6)) return null
  return { kind: 'map-areas', map: named.map, called: `${named.categories} ${named.called}` }
}
