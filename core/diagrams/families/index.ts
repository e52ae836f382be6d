import type { DiagramFamily } from '../drawing'
import { balance, hub, overlap, ring, rings } from './round'
import { cards, fields, ladder, lanes, layers, line, pillars, steps } from './rows'
import { funnel, peak } from './slices'
import { branches, tree } from './trees'
import { flow } from './flow'

/** Every family, in the order in which they are offered. */
export const diagramFamilies: readonly DiagramFamily[] = [
  steps,
  ring,
  cards,
  line,
  tree,
  layers,
  ladder,
  hub,
  branches,
  funnel,
  peak,
  fields,
  overlap,
  rings,
  pillars,
  lanes,
  balance,
  flow,
]

const byName = new Map(diagramFamilies.map(family => [family.name, family]))

/** A family by name; one that this version does not know is drawn as cards. */
export const diagramFamily = (name: string): DiagramFamily => byName.get(name) ?? cards
