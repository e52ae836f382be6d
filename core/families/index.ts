/**
 * Families of layouts: places, and where items stand.
 *
 * @example
 * import { families, familyNamed } from 'core/families'
 *
 * familyNamed('timeline-row')?.senses[0] // → 'events'
 * families.length > 60 // → true
 */
import { agenda } from './agenda'
import { agendaTrack } from './agenda-track'
import { beforeAfter } from './before-after'
import { cardsGrid } from './cards-grid'
import { cardsRow } from './cards-row'
import { chapter } from './chapter'
import { chart } from './chart'
import { chartBeside } from './chart-beside'
import { chartLines } from './chart-lines'
import { chartNumber } from './chart-number'
import { compareColumns } from './compare-columns'
import { compareLists } from './compare-lists'
import { contact } from './contact'
import { cycle } from './cycle'
import { cycleTrack } from './cycle-track'
import { departures } from './departures'
import type { LayoutFamily } from './family'
import { cause } from './cause'
import { funnel } from './funnel'
import { growth } from './growth'
import { hours } from './hours'
import { quadrants } from './quadrants'
import { ranking } from './ranking'
import { iconsRow } from './icons-row'
import { iconsRows } from './icons-rows'
import { halves } from './halves'
import { leadRows } from './lead-rows'
import { list } from './list'
import { listColumns } from './list-columns'
import { nested } from './nested'
import { nextSteps } from './next-steps'
import { numberSingle } from './number-single'
import { numbered } from './numbered'
import { numbersGrid } from './numbers-grid'
import { numbersRow } from './numbers-row'
import { numbersRows } from './numbers-rows'
import { peopleList } from './people-list'
import { peopleRow } from './people-row'
import { person } from './person'
import { picture } from './picture'
import { pictureBand } from './picture-band'
import { pictureFull } from './picture-full'
import { picturePoints } from './picture-points'
import { pictureRows } from './picture-rows'
import { picturesRow } from './pictures-row'
import { pillars } from './pillars'
import { placesCards } from './places-cards'
import { placesMap } from './places-map'
import { questionCards } from './question-cards'
import { questions } from './questions'
import { quote } from './quote'
import { quotePortrait } from './quote-portrait'
import { quoteTitle } from './quote-title'
import { shareBar } from './share-bar'
import { shareRing } from './share-ring'
import { shareRows } from './share-rows'
import { stairs } from './stairs'
import { standout } from './standout'
import { statement } from './statement'
import { stepsColumn } from './steps-column'
import { stepsRow } from './steps-row'
import { timelineColumn } from './timeline-column'
import { timelineRow } from './timeline-row'
import { timelineScale } from './timeline-scale'
import { timelineTurns } from './timeline-turns'
import { title } from './title'
import { titlesWithPicture } from './title-pictures'
import { treeAcross } from './tree-across'
import { treeDown } from './tree-down'

export {
  below,
  framing,
  headTitle,
  isFraming,
  iconPlace,
  itemsPlace,
  noIcon,
  picturePlace,
  slot,
  textPlace,
  type Frame,
  type Item,
  type LayoutFamily,
  type LayoutRoom,
  type Page,
  type Place,
  type Sense,
} from './family'
export { atStyleSize } from './roomy'
export { settled } from './settled'

/** The catalogue: adding a family is adding a file and a line. */
export const families: readonly LayoutFamily[] = [
  title,
  chapter,
  statement,
  list,
  listColumns,
  cardsRow,
  cardsGrid,
  leadRows,
  pillars,
  numbered,
  picturePoints,
  pictureRows,
  timelineRow,
  timelineColumn,
  timelineTurns,
  timelineScale,
  departures,
  stepsRow,
  stepsColumn,
  stairs,
  cycle,
  cycleTrack,
  shareBar,
  shareRing,
  shareRows,
  treeDown,
  treeAcross,
  nested,
  compareColumns,
  compareLists,
  halves,
  beforeAfter,
  numberSingle,
  numbersRow,
  numbersGrid,
  numbersRows,
  quote,
  quotePortrait,
  quoteTitle,
  peopleRow,
  peopleList,
  person,
  questions,
  questionCards,
  placesMap,
  placesCards,
  picturesRow,
  picture,
  pictureBand,
  pictureFull,
  chart,
  chartBeside,
  chartNumber,
  nextSteps,
  contact,
  agenda,
  agendaTrack,
  ranking,
  standout,
  growth,
  chartLines,
  funnel,
  cause,
  quadrants,
  hours,
  iconsRow,
  iconsRows,
  ...titlesWithPicture,
]

const byName = new Map(families.map(family => [family.name, family]))

/** The family of a name; undefined where this catalogue has none such. */
export const familyNamed = (name: string) => byName.get(name)
