import type { H3Event } from 'h3'
import { createError, getHeader } from 'h3'
import type { z } from 'zod'
import { personById, type Person } from './database/people'
import { screenByToken } from './database/screens'

/** Ends a request with a sentence for the person who made it. */
export function refuse(status: number, message: string): never {
  throw createError({ statusCode: status, message, data: { message } })
}

/** The person who is signed in; the role is read anew each time, so that it cannot outlive a change. */
export async function requireViewer(event: H3Event): Promise<Person> {
  const session = await getUserSession(event)
  const person = session.user && (await personById(session.user.id))
  return person ?? refuse(401, 'Sign in first.')
}

export async function requireEditor(event: H3Event): Promise<Person> {
  const person = await requireViewer(event)
  return person.role === 'editor' ? person : refuse(403, 'Your role is viewer: you can look, but not change. Ask an editor of your team.')
}

/** The screen whose token the request bears. */
export async function requireScreen(event: H3Event) {
  const token = /^Bearer (.{16,200})$/.exec(getHeader(event, 'authorization') ?? '')?.[1]
  const screen = token && (await screenByToken(token))
  return screen || refuse(401, 'This screen’s address is not valid any more. Open it again from the list of screens.')
}

/** A person who is signed in, or a screen. */
export async function requireViewerOrScreen(event: H3Event): Promise<void> {
  if (getHeader(event, 'authorization')) await requireScreen(event)
  else await requireViewer(event)
}

/** Reads what was asked; what does not fit is refused with the place where it does not. */
export function readAs<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const parsed = schema.safeParse(value)
  if (parsed.success) return parsed.data
  const issue = parsed.error.issues[0]!
  return refuse(400, `${issue.path.join(' › ') || 'The request'}: ${issue.message}.`)
}
