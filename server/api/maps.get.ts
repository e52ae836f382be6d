import { shippedMaps } from '../../core/maps'
import { requireViewer } from '../access'
import { columnsOnAir } from '../database/sources'

/** The maps that charts can be drawn on: those of the team (tables with outlines, `own`), and those that ship with the application. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const own = (await columnsOnAir()).filter(({ columns }) => columns.some(({ kind }) => kind === 'outline'))
  return [
    ...own.map(({ id, name }) => ({ id, label: name, own: true })),
    ...shippedMaps.map(({ id, label }) => ({ id, label, own: false })),
  ]
})
