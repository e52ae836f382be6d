import type { DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import type { OptionField } from '../../values'
import type { ChartDrawing, ChartRoom } from '../drawing'
import type { Suit, TableShape } from '../shape-of-data'

/** The columns that a chart takes from its table, by what they do in it. */
export type ChartColumn = 'across' | 'height' | 'series' | 'along' | 'size'

/** What a chart can be to show: that is asked for by it where a kind is chosen. */
export const chartPurposes = ['change', 'order', 'share', 'spread', 'link', 'place'] as const
export type ChartPurpose = (typeof chartPurposes)[number]

/** A kind of charts, one file each. */
export interface ChartKind {
  name: string
  label: string
  /** What one of its parts is called, as in “bar by bar”. */
  part: string
  /** What it shows well, the best first. */
  shows: readonly ChartPurpose[]
  /** The columns that it draws. */
  takes: readonly ChartColumn[]
  /**
   * What of it can be chosen beside what all charts have; kept in `options` of a chart, and read by `optionOf`, which holds it to its
   * ranges.
   */
  options: readonly OptionField[]
  /**
   * Whether its marks go as smoothly as amounts do, and stand in the places that categories go through: it is then drawn anew at every time
   * between two moments. Absent, it goes from the drawing of the one to that of the other.
   */
  followsPlaces?: true
  /** Whether it is drawn on outlines: those of its table, or of another one that its specification names as `map`. */
  isMap?: true
  /** Whether levels can be drawn across it, and words said about its amounts. */
  isMarked?: true
  /** How well it suits what a table holds, and why; absent, it is drawn where it is chosen, and never offered. */
  suits?(shape: TableShape): Suit
  draw(spec: ChartSpec, table: DataTable, room: ChartRoom): ChartDrawing
}
