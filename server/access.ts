import type { H3Event } from 'h3'
import { createError, getHeader } from 'h3'
import type { z } from 'zod'
import { mayEdit, type Person } from './database/people'
import { screenByToken } from './database/screens'
import { bearer } from './session'

/** Ends a request with a sentence for the person who made it. */
export function refuse(status: number, message: string): never {
  throw createError({ statusCode: status, message, data: { message } })
}

/** The person who is signed in; session and role are read anew each time, so that neither can outlive a change. */
export async function requireViewer(event: H3Event): Promise<Person & { session: string }> {
  return (await bearer(event)) ?? refuse(401, 'Sign in first.')
}

export async function requireEditor(event: H3Event): Promise<Person & { session: string }> {
  const person = await requireViewer(event)
  return mayEdit(person.role) ? person : refuse(403, 'Your role is viewer: you can look, but not change. Ask an editor of your team.')
}

export async function requireAdmin(event: H3Event): Promise<Person & { session: string }> {
  const person = await requireViewer(event)
  return person.role === 'admin' ? person : refuse(403, 'That is for the admins of your team. Ask one of them.')
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

/** Aborted when whoever asked goes before the answer is there. */
export function leftSignal(event: H3Event): AbortSignal {
  const left = new AbortController()
  const { res } = event.node
  res.once('close', () => res.writableEnded || left.abort())
  return left.signal
}

/** Reads what was asked; what does not fit is refused with the place where it does not. */
export function readAs<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const parsed = schema.safeParse(value)
  if (parsed.success) return parsed.data
  const issue = parsed.error.issues[0]!
  return refuse(400, `${issue.path.join(' › ') || 'The request'}: ${issue.message}.`)
}
