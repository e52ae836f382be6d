import type { AmountFinding } from '../../model'
import { change, changeShare, changeShareSinceFirst, changeSinceFirst } from './change'
import { course } from './course'
import { first, last } from './ends'
import type { Finding } from './finding'
import { count, least, mean, median, most, sum } from './measures'
import { row } from './row'
import { whoLeast, whoMost } from './who'

export type { Finding, Found } from './finding'

/** The catalogue: adding a finding is adding it to a file of its like, and a line. */
export const findings: readonly Finding[] = [
  sum,
  mean,
  median,
  least,
  most,
  count,
  first,
  last,
  change,
  changeShare,
  changeSinceFirst,
  changeShareSinceFirst,
  course,
  whoMost,
  whoLeast,
  row,
]

const byName = new Map(findings.map(finding => [finding.name, finding]))
export const findingNamed = (name: AmountFinding): Finding => byName.get(name)!
