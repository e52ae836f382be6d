import { memoByText } from '../../values'
import type { Sense } from '../../families'
import { agenda } from './agenda'
import { chapter } from './chapter'
import { comparison } from './comparison'
import { cycle } from './cycle'
import { events } from './events'
import { featuresOf, type SlideWords } from './features'
import { figures } from './figures'
import { cause } from './cause'
import { funnel } from './funnel'
import { growth } from './growth'
import { hours } from './hours'
import { position } from './position'
import { ranking } from './ranking'
import { hierarchy } from './hierarchy'
import { list } from './list'
import { next } from './next'
import { number } from './number'
import { opening } from './opening'
import { people } from './people'
import { pictures } from './pictures'
import { places } from './places'
import { points } from './points'
import { questions } from './questions'
import { saying } from './saying'
import type { Reading, SenseReader } from './sense'
import { shares } from './shares'
import { standout } from './standout'
import { statement } from './statement'
import { steps } from './steps'

export { counted, featuresOf, type Features, type SlideWords } from './features'
export { isBareNumber } from './number'
export type { Reading } from './sense'

/** The catalogue: adding a sense is adding a file and a line. */
const readers: readonly SenseReader[] = [
  opening,
  chapter,
  statement,
  list,
  points,
  events,
  steps,
  cycle,
  shares,
  hierarchy,
  comparison,
  number,
  saying,
  people,
  questions,
  places,
  next,
  agenda,
  figures,
  pictures,
  ranking,
  position,
  funnel,
  cause,
  growth,
  hours,
  standout,
]

/** What the lines of a slide could be, the likeliest first. Never certain: nothing is left out that anything speaks for. */
export const readSenses = memoByText(
  (words: SlideWords) => JSON.stringify(words),
  (words): readonly (Reading & { sense: Sense })[] => {
    const features = featuresOf(words)
    return readers
      .flatMap(({ sense, read }) => {
        const reading = read(features)
        return reading ? [{ sense, ...reading }] : []
      })
      .sort((a, b) => b.score - a.score)
  },
  500,
)
