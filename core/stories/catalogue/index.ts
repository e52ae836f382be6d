import type { StoryOutline } from '../story'
import { againstTheRest } from './against-the-rest'
import { beforeAndAfter } from './before-and-after'
import { oneByOne } from './one-by-one'
import { onTheMap } from './on-the-map'
import { places } from './places'
import { race } from './race'
import { riseAndFall } from './rise-and-fall'
import { spread } from './spread'
import { stepByStep } from './step-by-step'
import { toTheTarget } from './to-the-target'
import { together } from './together'
import { twoThatPass } from './two-that-pass'
import { wholeToPart } from './whole-to-part'
import { yearInMonths } from './year-in-months'

/** The catalogue: adding an outline is adding a file and a line. */
export const storyOutlines: readonly StoryOutline[] = [
  race,
  twoThatPass,
  riseAndFall,
  againstTheRest,
  wholeToPart,
  beforeAndAfter,
  toTheTarget,
  places,
  onTheMap,
  yearInMonths,
  oneByOne,
  stepByStep,
  together,
  spread,
]
