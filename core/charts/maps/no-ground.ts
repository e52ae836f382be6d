import type { ChartDrawing } from '../drawing'
import { finished } from '../finish'
import type { Setting } from '../setting'

/** What a map draws where nothing says where its rows lie. */
export const noGround = (setting: Setting, of: string): ChartDrawing =>
  finished(setting, {
    of,
    each: 'places',
    marks: [],
    names: [],
    notes: ['Nothing says where these rows lie: choose a map for their names, or a table with outlines or degrees.'],
  })
