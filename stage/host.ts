import type { InjectionKey } from 'vue'
import type { DataTable } from '#core/data'
import type { ElementFrame, Frame, Moment, TimingContext } from '#core/timing'

/** What the stage is handed by whoever shows it: tables, media and a measurer. */
export interface StageHost extends TimingContext {
  table(id: string): DataTable | undefined
  /** Where a picture of so many px across can be loaded from; undefined while it is not at hand. */
  mediaUrl(hash: string, width?: number): string | undefined
  /** Where a still of a film can be loaded from, at some seconds, so many px across; absent where the film itself is sought. */
  stillUrl?(hash: string, seconds: number, width: number): string | undefined
  /** Films are shown by their stills only, as in a thumbnail. */
  stillsOnly?: boolean
  /** Whether time runs by itself, so that films play; absent or false: they are sought to each moment. */
  live?(): boolean
  /** The voice that is heard at a moment; null while nobody speaks. Absent, faces are still. */
  voice?(moment: Moment): Frame['voice'] | null
  /** Seconds by which a film is sought further than its moment, so that the picture at that moment is met in its middle. */
  seekAhead?(): number
}

export const stageHostKey: InjectionKey<() => StageHost> = Symbol('stage host')

/** Brings what draws itself (a chart on its way, a film that plays, a figure that acts) to a frame; null as composed. */
export type Redraw = (frame: ElementFrame | null, voice?: Frame['voice']) => void

/** How an element tells its slide what draws it, and that it is gone. */
export const redrawKey: InjectionKey<(element: string, redraw: Redraw | null) => void> = Symbol('redraw')
