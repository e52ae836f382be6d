import type { H3Event } from 'h3'
import { deleteCookie, getCookie, getHeader, getRequestIP, setCookie } from 'h3'
import { bearerOf, beginSession, endSessionByToken, sessionDays } from './database/sessions'

const isSecure = () => process.env.HAILBANK_SECURE === '1'
/** Behind TLS the name itself has browsers hold to it: from this host alone, over TLS alone, for all of it. */
const cookieName = () => (isSecure() ? '__Host-hailbank' : 'hailbank')

/** From where a request comes: the next machine, or, behind a proxy that is trusted, the one that it names. */
export const addressOf = (event: H3Event) => getRequestIP(event, { xForwardedFor: process.env.HAILBANK_PROXY === '1' }) ?? ''

/** Signs somebody in: a session of the database's, a token in a cookie. */
export async function signIn(event: H3Event, person: string) {
  const token = await beginSession(person, { agent: getHeader(event, 'user-agent') ?? '', address: addressOf(event) })
  setCookie(event, cookieName(), token, { httpOnly: true, sameSite: 'lax', secure: isSecure(), path: '/', maxAge: sessionDays * 24 * 3600 })
}

export async function signOut(event: H3Event) {
  const token = getCookie(event, cookieName())
  if (!token) return
  await endSessionByToken(token)
  deleteCookie(event, cookieName(), { path: '/', secure: isSecure() })
}

const tokenPattern = /^[A-Za-z0-9_-]{43}$/

/** Who makes a request, by its cookie; undefined for strangers. Nothing is set on their answers. */
export async function bearer(event: H3Event) {
  const token = getCookie(event, cookieName())
  return token && tokenPattern.test(token) ? await bearerOf(token) : undefined
}

/** The same by a header of cookies, for sockets. */
export async function bearerByHeader(header: string | null) {
  const token = header
    ?.split(';')
    .map(part => part.trim().split('='))
    .find(([name]) => name === cookieName())?.[1]
  return token && tokenPattern.test(token) ? await bearerOf(token) : undefined
}
