import type { H3Event } from 'h3'
import { getRouterParam } from 'h3'
import { z } from 'zod'
import { refuse, requireEditor, requireViewer } from '../access'
import { jobById, type Job } from '../database/jobs'

/** The job that a request is about, for whoever may see it, or change it. */
export async function jobOf(event: H3Event, change = false): Promise<Job> {
  await (change ? requireEditor(event) : requireViewer(event))
  const id = z.uuid().safeParse(getRouterParam(event, 'id'))
  return (id.success ? await jobById(id.data) : undefined) ?? refuse(404, 'There is no such job any more.')
}
