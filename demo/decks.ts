import { setFields } from '../core/edits'
import { applyChanges, elementsOf, slidesOf, type ChartSpec, type Deck, type Logo } from '../core/model'
import { newChart } from '../core/charts'
import { deckOfStarter, putLook, starterNamed } from '../core/layouts'
import { workbench } from './workbench'

export interface DemoPicture {
  hash: string
  width: number
  height: number
}

/** The talk that Ines gives in spring. */
export function briefing(pictures: readonly DemoPicture[], logo: Logo): Deck {
  const work = workbench({
    title: 'Spring timetable briefing',
    purpose: 'talk',
    prefix: 'briefing',
    outline: `Spring timetable briefing
  Harbour office, for crews and quay staff
What changes on 2 April
  Astrel sails every hour from 06:10
  Quill gains a late boat at 22:40
  Low Sands waits for the school bus
  Port Harrow moves to berth 2
August carries the year
  Passengers on all four routes, by month, ten seasons
The morning boat
  Ready at the ramp 25 minutes before
  Cars first, then the foot queue
  Doors close 3 minutes before time
Boats on time
  Share of sailings that left within 5 minutes
One promise: nobody waits in the rain
  The covered hall opens with the new timetable`,
  })
  work.brand(logo)
  work.layout(1, 'lead-rows')
  work.layout(2, 'chart')
  work.chart(2, 'demo-crossings', { across: 'month', height: 'passengers', highlighted: ['Aug'], total: true })
  work.layout(3, 'picture')
  work.picture(3, pictures[0]!, 'A ferry leaves the harbour in the morning light')
  work.layout(4, 'chart')
  work.chart(4, 'demo-punctuality', {
    across: 'route',
    height: 'on time',
    kind: 'lying-bar',
    order: 'falling',
    format: { decimals: 1, scale: 'percent', prefix: '', suffix: '' },
    rule: 'most',
  })
  work.layout(5, 'statement')
  work.cue(0, 0, 'title', 'enter', 'rise', { duration: 0.8 })
  work.cue(0, 0, 'body', 'enter', 'fade', { delay: 0.6 })
  work.cue(1, 0, 'title', 'enter', 'wipe')
  work.build(1, 'advance')
  work.cue(2, 0, 'chart', 'enter', 'grow', { duration: 0.6, parts: { by: 'mark', stagger: 0.12 } })
  work.cue(3, 0, 'picture', 'enter', 'fade', { duration: 1 })
  work.build(3, 'advance')
  work.cue(4, 0, 'chart', 'enter', 'grow', { parts: { by: 'mark', stagger: 0.3 } })
  work.cue(5, 0, 'title', 'enter', 'fade', { duration: 0.7, parts: { by: 'word', stagger: 0.12 } })
  work.look('soundings')
  work.lift(64)
  work.notes(0, 'Welcome the night crew first. The new boards hang in the hall since Monday.')
  work.notes(1, 'Say why: the school bus has waited in vain eleven times this winter.')
  return work.deck()
}

/** The film that runs at the season's opening. */
/** What is said on the second slide of the film. */
export const seasonsVoice =
  'Ten years ago half a million people crossed. Every season since has brought more. Last year it was seven hundred and forty thousand.'

export function tenSeasons(
  pictures: readonly DemoPicture[],
  logo: Logo,
  sound?: { bed: string; voice: { hash: string; peaks: Uint8Array } },
): Deck {
  const work = workbench({
    title: 'Ten seasons of crossings',
    purpose: 'film',
    prefix: 'seasons',
    outline: `Ten seasons of crossings
  Velmoor Harbour, 2022 to 2031
Every season, more people cross
  Passengers a year, all routes
What grew with them
  2022 the second berth opens
  2025 the night boat begins
  2028 shore power at both berths
  2031 the covered hall
Four routes, one harbour
  Passengers over ten seasons, by route
Thank you for crossing with us`,
  })
  work.brand(logo)
  work.layout(1, 'chart')
  work.chart(1, 'demo-crossings', { across: 'season', height: 'passengers', rule: 'most' })
  work.layout(3, 'chart')
  work.chart(3, 'demo-crossings', { kind: 'line', across: 'season', series: 'route', height: 'passengers', rule: 'rise' })
  work.layout(4, 'picture-full')
  work.picture(4, pictures[1]!, 'The light at the end of the quay, at dusk')
  work.cue(0, 0, 'title', 'enter', 'fade', { duration: 0.9, parts: { by: 'letter', stagger: 0.03 } })
  work.cue(0, 0, 'body', 'enter', 'fade', { delay: 0.9 })
  work.cue(1, 0, 'chart', 'enter', 'grow', { duration: 0.6, parts: { by: 'mark', stagger: 0.25 } })
  work.build(2, 'self')
  work.cue(3, 0, 'chart', 'enter', 'grow', { parts: { by: 'mark', stagger: 0.4 } })
  work.cue(4, 0, 'title', 'enter', 'type', { duration: 1.8 })
  work.look('night-chart', { ground: 'deep' })
  // Too short for its words, as Check will say.
  work.hold(2, 1, 0.4)
  work.hold(4, 0, 3)
  work.notes(1, seasonsVoice)
  if (sound) {
    work.bed(sound.bed, 'Quiet bed')
    work.voice(1, sound.voice)
  }
  return work.deck()
}

/** The data story of the routes: a race through ten seasons, two of them alone, and what each has of the whole. */
export function routeRace(logo: Logo): Deck {
  const work = workbench({
    title: 'The race of the routes',
    purpose: 'talk',
    prefix: 'race',
    outline: `The race of the routes
  Ten seasons of Velmoor Harbour
Quill overtakes them all
  Passengers a season, by route
What we do about it
  A second boat for Quill from April
  The night boat stays
Where the season cards are
  Season cards per 1,000 people, by parish
A stop
  Boardings`,
  })
  work.brand(logo)
  work.layout(1, 'chart')
  work.layout(3, 'chart')
  const race: Partial<ChartSpec> = {
    kind: 'lying-bar',
    across: 'route',
    height: 'passengers',
    order: 'falling',
    rule: 'rise',
    moment: { column: 'season', at: 'first' },
  }
  const now: Partial<ChartSpec> = { ...race, moment: { column: 'season', at: 'last' } }
  work.chart(1, 'demo-routes-by-season', race)
  work.cue(1, 0, 'chart', 'enter', 'grow', { duration: 0.6, parts: { by: 'mark', stagger: 0.06 } })
  work.state(1, 'demo-routes-by-season', now)
  work.state(1, 'demo-routes-by-season', { ...now, only: { keys: ['Astrel'], found: ['rise'] } })
  work.state(1, 'demo-routes-by-season', { ...now, kind: 'ring' })
  work.build(2, 'advance')
  const cards: Partial<ChartSpec> = { kind: 'map-areas', map: 'demo-parishes', across: 'parish', height: 'season cards' }
  work.chart(3, 'demo-cards', cards)
  work.cue(3, 0, 'chart', 'enter', 'fade', { duration: 0.6 })
  work.state(3, 'demo-cards', { ...cards, rule: 'most' })
  work.state(3, 'demo-cards', { ...cards, rule: 'most', options: { camera: 'highlighted' } })
  const format = { decimals: null, scale: 'none', prefix: '', suffix: '' } as const
  const ofStop = (column: string) => ({ table: 'demo-stop-places', column, find: 'row' as const, format })
  work.rows(4, { table: 'demo-stop-places', order: { column: 'boardings a day', way: 'falling' }, most: 3 })
  work.words(4, 'title', [ofStop('stop')])
  work.words(4, 'body', [
    ofStop('boardings a day'),
    ' boardings a day, of ',
    { table: 'demo-stop-places', column: 'boardings a day', find: 'sum', format },
    ' at all stops',
  ])
  work.look('two-inks')
  work.notes(1, 'Let the ten seasons run. Then say that in 2027 Quill passed Astrel.')
  return work.deck()
}

/** What hangs in the hall. */
export function hallLoop(pictures: readonly DemoPicture[]): Deck {
  const work = workbench({
    title: 'Hall loop',
    purpose: 'loop',
    prefix: 'hall',
    outline: `Good morning, Velmoor
  Boats leave from berths 1 and 2
Sailings today
  All routes run to time
Low Sands, twice a day more
  From 2 April at 10:15 and 15:45
  Dogs travel free
  Bicycles on the lower deck
Take your umbrella: the covered hall opens in May`,
  })
  work.layout(1, 'chart')
  work.chart(1, 'demo-sailings', {
    across: 'route',
    height: 'sailings',
    kind: 'ring',
    rule: 'most',
    format: { decimals: 0, scale: 'none', prefix: '', suffix: '' },
    options: { says: 'both' },
  })
  work.layout(2, 'picture')
  work.picture(2, pictures[2]!, 'The shore of Low Sands at noon')
  work.layout(3, 'statement')
  work.cue(0, 0, 'title', 'enter', 'rise')
  work.cue(1, 0, 'chart', 'enter', 'grow', { parts: { by: 'mark', stagger: 0.2 } })
  work.cue(2, 0, 'body', 'enter', 'rise', { parts: { by: 'paragraph', stagger: 0.5 } })
  work.cue(3, 0, 'title', 'emphasis', 'pulse', { delay: 1, options: { amount: 4 } })
  work.look('signpost')
  work.transition(0, 'push', { duration: 0.42 })
  for (const index of [0, 1, 2, 3]) work.hold(index, 0, index === 0 ? 5 : 8)
  return work.deck()
}

/** The season in review, from the starter for it, with the harbour's own figures. */
export function seasonReview(): Deck {
  let count = 0
  const deck = deckOfStarter(
    starterNamed('season-review')!,
    { title: 'Season review 2031', language: 'en', audience: 'colleagues' },
    { id: () => `review-${++count}` },
  )
  const chart = slidesOf(deck)
    .flatMap(slide => elementsOf(deck, slide.id))
    .find(element => element.kind === 'chart')
  const told = chart
    ? applyChanges(
        deck,
        setFields(deck, {
          table: 'elements',
          id: chart.id,
          fields: { chart: { ...newChart('demo-crossings'), across: 'month', height: 'passengers', highlighted: ['Aug'] } },
        }),
      )
    : deck
  return applyChanges(told, putLook(told, { look: 'lightwell', seed: 4711, ground: 'light' }, { id: () => `review-look-${++count}` }))
}
