import { z } from 'zod'
import { changeBetween } from '../../../../core/data'
import { readAs, refuse, requireViewer } from '../../../access'
import { versionOf, versionsOf } from '../../../database/sources'
import { tableById, tableHead } from '../../../database/tables'
import { sourceAsked } from '../../../tables/sources'
import { watchedFolder } from '../../../tables/watched'

const query = z.object({ version: z.coerce.number().int().min(1).optional() })

/** A table of the team: its versions, how one of them was read, and what it changes against the one on air; without `version` that. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const number = readAs(query, getQuery(event)).version ?? source.onAir ?? 1
  const version = (await versionOf(source.id, number)) ?? refuse(404, 'There is no such version of this table.')
  const versions = await versionsOf(source.id)
  const aired = versions.find(one => one.number === source.onAir && one.number !== number)
  // Two versions are read whole where they are compared alone.
  const [before, now] = aired ? [await tableById(aired.tableId), await tableById(version.tableId)] : []
  return {
    ...source,
    // A folder that is watched no more is followed by none.
    file: watchedFolder() ? source.file : null,
    fileFault: watchedFolder() || source.address ? source.fileFault : null,
    versions: versions.map(({ tableId: _, ...one }) => one),
    shown: {
      number,
      reading: version.reading,
      ...(await tableHead(version.tableId))!,
      change: before && now ? changeBetween(before, now) : null,
    },
  }
})
