import { chart } from './chart'
import type { LayoutFamily } from './family'
import { list } from './list'
import { picture } from './picture'
import { statement } from './statement'
import { title } from './title'

export type { LayoutFamily, LayoutRoom, Place } from './family'

/** The catalogue: adding a family is adding a file and a line. */
export const families: readonly LayoutFamily[] = [title, list, chart, picture, statement]
