import type { InjectionKey } from 'vue'
import type { DataTable } from '#core/data'
import type { ElementFrame, TimingContext } from '#core/timing'

/** What the stage is handed by whoever shows it: tables, media and a measurer. */
export interface StageHost extends TimingContext {
  table(id: string): DataTable | undefined
  /** Where a picture of so many px across can be loaded from; undefined while it is not at hand. */
  mediaUrl(hash: string, width?: number): string | undefined
}

export const stageHostKey: InjectionKey<() => StageHost> = Symbol('stage host')

/** Draws a chart on its way from one state to another; null as composed. */
export type Redraw = (chart: ElementFrame['chart']) => void

/** How a chart tells its slide what draws it, and that it is gone. */
export const redrawKey: InjectionKey<(element: string, redraw: Redraw | null) => void> = Symbol('redraw')
