import type { InjectionKey } from 'vue'
import type { DataTable } from '#core/data'
import type { TimingContext } from '#core/timing'

/** What the stage is handed by whoever shows it: tables, media and a measurer. */
export interface StageHost extends TimingContext {
  table(id: string): DataTable | undefined
  /** Where a picture of so many px across can be loaded from; undefined while it is not at hand. */
  mediaUrl(hash: string, width?: number): string | undefined
}

export const stageHostKey: InjectionKey<() => StageHost> = Symbol('stage host')
