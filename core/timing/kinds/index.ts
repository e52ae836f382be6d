import type { Element, ElementKind } from '../../model'
import { chartKind } from './chart'
import { diagramKind } from './diagram'
import type { TimedKind } from './kind'
import { tableKind } from './table'
import { textKind } from './text'

export type { By, ShownKind, TimedKind } from './kind'

/** The kinds of elements that have parts; all others move as a whole. Adding one is adding a file and a line. */
const kinds: { readonly [K in ElementKind]?: unknown } = { text: textKind, chart: chartKind, table: tableKind, diagram: diagramKind }

/**
 * What timing knows of an element's kind; undefined of one that has no parts. The compiler does not see that an element and what is known
 * of
 * its kind, each of a union, belong together: the table holds it.
 */
export const timedKind = (element: Pick<Element, 'kind'>) => kinds[element.kind] as TimedKind | undefined
