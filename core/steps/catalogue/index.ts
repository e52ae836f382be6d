import { coarser } from './coarser'
import { cumulate } from './cumulate'
import { difference } from './difference'
import { fill } from './fill'
import { formula } from './formula'
import { gather } from './gather'
import { group } from './group'
import { index } from './index-to-base'
import { join } from './join'
import { keep } from './keep'
import { leave } from './leave'
import { order } from './order'
import { rank } from './rank'
import { rename } from './rename'
import { rolling } from './rolling'
import { share } from './share'
import { spread } from './spread'
import { top } from './top'

/** Every kind of steps, in the order in which they are offered. */
export const stepKinds = [
  keep,
  group,
  coarser,
  top,
  order,
  formula,
  share,
  difference,
  rolling,
  cumulate,
  index,
  rank,
  join,
  gather,
  spread,
  fill,
  leave,
  rename,
] as const
